import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { BUDGET_KB, firstLoads } from '../scripts/first-load.mjs';
import { expect, open, saved, test } from './helpers.ts';

const root = fileURLToPath(new URL('..', import.meta.url));
/**
 * The library of schemas, and what is made with it: parts of the build (`TOGETHER` in vite.config.ts) and what asks for
 * them.
 */
const SCHEMAS = /\/(library|ropes|gear|rigs|documents|shapes)-[-\w]*\.js$/;
/** Each file more takes a slow phone about ten milliseconds; there were 25 to 28. */
const MOST_FILES = 7;
/** What is made in turns, one file each: see `TOGETHER` in vite.config.ts. */
const SCHEMA_TURNS = ['library', 'ropes', 'gear', 'rigs'];
const ENGINE_TURNS = ['engine-values', 'engine-rules', 'engine-parts', 'engine-between'];
/** A fifth of a megabyte of program in one go took a slow phone a tenth of a second. */
const LARGEST_TURN_KB = 100;

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

/** What the build says of its files. */
const readManifest = () =>
  JSON.parse(readFileSync(join(root, 'dist/.vite/manifest.json'), 'utf8')) as Record<
    string,
    { file: string; imports?: string[] }
  >;

test('the page names the files that it is going to load for an address, so that they come at once', async ({
  page,
}) => {
  const manifest = readManifest();
  for (const [address, parts] of [
    ['/', ['app/StartPage.tsx', 'features/take/first-answer/StartJobs.tsx']],
    ['/demo/setups', ['app/Inside.tsx', 'features/rig/setups/SetupsPage.tsx', 'app/demo-data.ts']],
    [
      '/mine/setups/some-id',
      ['app/Inside.tsx', 'features/rig/setups/SetupPage.tsx', 'features/rig/setups/SetupView.tsx'],
    ],
    ['/mine/quick', ['app/Inside.tsx', 'features/take/first-answer/QuickPage.tsx']],
  ] as const) {
    const html = await (await page.request.get(address)).text();
    for (const part of parts) expect(html, `${address}: ${part}`).toContain(`href="/${manifest[part]!.file}"`);
  }
});

test('what is made in turns is made of small files: no turn keeps a finger waiting', () => {
  const files = Object.values(readManifest()).map(({ file }) => file);
  for (const turn of [...SCHEMA_TURNS, ...ENGINE_TURNS]) {
    const [file] = files.filter((name) => new RegExp(`/${turn}-[-\\w]{8}\\.js$`).test(name));
    expect(file, turn).toBeTruthy();
    expect(readFileSync(join(root, 'dist', file!)).length / 1000, `${turn}, kB`).toBeLessThan(LARGEST_TURN_KB);
  }
});

test('the schemas are where they are looked for, and no file of the build waits for one that waits for it', () => {
  const manifest = readManifest();
  const names = Object.values(manifest).map(({ file }) => `/${file}`);
  for (const part of [...SCHEMA_TURNS, 'documents', 'shapes'])
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
