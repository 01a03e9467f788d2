import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { BUDGET_KB, firstLoads } from '../scripts/first-load.mjs';
import { expect, open, saved, test } from './helpers.ts';

const root = fileURLToPath(new URL('..', import.meta.url));
/** The library of schemas, and what is made with it: parts of the build (`TOGETHER` in vite.config.ts) and what asks for them. */
const SCHEMAS = /\/(library|gear|rigs|documents|shapes)-[-\w]*\.js$/;
/** Each file more takes a slow phone about ten milliseconds; there were 25 to 28. */
const MOST_FILES = 7;

test('each first screen loads no more than its budget, and the list of set-ups no schemas', () => {
  const loads = firstLoads(root);
  expect(loads.map(({ name }) => name)).toEqual([
    'first page',
    'first load, own workspace',
    'first load, demo',
    'first load straight to a set-up',
  ]);
  for (const { name, kb, files } of loads) {
    expect(kb, name).toBeGreaterThan(50);
    expect(kb, name).toBeLessThanOrEqual(BUDGET_KB);
    if (!name.includes('set-up'))
      expect(
        files.filter((file) => SCHEMAS.test(`/${file}`)),
        name,
      ).toEqual([]);
    if (!name.includes('set-up')) expect(files.length, name).toBeLessThanOrEqual(MOST_FILES);
  }
});

test('the schemas are where they are looked for, and no file of the build waits for one that waits for it', () => {
  const manifest = JSON.parse(readFileSync(join(root, 'dist/.vite/manifest.json'), 'utf8')) as Record<
    string,
    { file: string; imports?: string[] }
  >;
  const names = Object.values(manifest).map(({ file }) => `/${file}`);
  for (const part of ['library', 'gear', 'rigs', 'documents', 'shapes'])
    expect(names.filter((name) => SCHEMAS.test(name) && name.includes(`/${part}-`)).length, part).toBeGreaterThan(0);
  const done = new Set<string>();
  const visit = (key: string, above: readonly string[]) => {
    expect(above, [...above, key].join(' → ')).not.toContain(key);
    if (done.has(key)) return;
    for (const next of manifest[key]!.imports ?? []) visit(next, [...above, key]);
    done.add(key);
  };
  for (const key of Object.keys(manifest)) visit(key, []);
  expect(done.size).toBeGreaterThan(100);
});

test.describe('without the schemas', () => {
  test.use({ expected: /Failed to load resource|dynamically imported module/ });

  test('what was stored is not shown unseen: without the schemas the page says so, and goes on once they come', async ({
    page,
  }) => {
    await open(page, '/mine/locker/rope/new');
    await page.getByLabel('Name', { exact: true }).fill('Kept rope');
    await page.getByLabel('Diameter on the label').fill('9.8');
    await page.getByLabel('Length on the label').fill('60');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByRole('heading', { name: 'Locker' })).toBeVisible();
    await saved(page);
    // As if another build had stored it: this one has not looked at it yet.
    await page.evaluate(
      () =>
        new Promise<void>((done, failed) => {
          const asked = indexedDB.open('zevrin-mine');
          asked.onerror = () => failed(new Error('no database'));
          asked.onsuccess = () => {
            const tx = asked.result.transaction('meta', 'readwrite');
            tx.objectStore('meta').delete('looked');
            tx.oncomplete = () => {
              asked.result.close();
              done();
            };
          };
        }),
    );
    await page.route(SCHEMAS, (route) => route.abort());
    await page.goto('/mine/setups');
    const alert = page.getByRole('alert');
    await expect(alert).toContainText('The workspace could not be loaded.');
    await expect(alert).toContainText('What you entered is kept.');
    await page.unroute(SCHEMAS);
    await page.getByRole('button', { name: 'Try again' }).click();
    await expect(page.getByRole('heading', { name: 'Set-ups' })).toBeVisible();
    await page.goto('/mine/locker');
    await expect(page.getByRole('link', { name: /Kept rope/ })).toBeVisible();
  });

  test('the demo stands without the schemas, and its verdicts follow once they come', async ({ page }) => {
    let asked = 0;
    await page.route(SCHEMAS, async (route) => {
      asked += 1;
      await route.abort();
    });
    await page.goto('/demo/setups');
    await expect(page.getByRole('link', { name: /Low span, lichen plots 1 to 6/ })).toBeVisible();
    await expect.poll(() => asked).toBeGreaterThan(0);
    await page.unroute(SCHEMAS);
    await page.reload();
    await expect(page.getByRole('link', { name: /Low span, lichen plots 1 to 6/ })).toContainText('No fault found');
  });
});
