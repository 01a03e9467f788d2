import { expect, open, saved, test } from './helpers.ts';
import type { Page } from '@playwright/test';

test.use({ expected: null });

/** Changes what is stored, behind the back of the program: the entry keeps its place and its number. */
const changeInPlace = (page: Page, collection: string, id: string, doc: unknown) =>
  page.evaluate(
    async ([store, key, next]) => {
      const done = <T>(request: IDBRequest<T>) =>
        new Promise<T>((resolve, reject) => {
          request.onsuccess = () => resolve(request.result);
          request.onerror = () => reject(request.error ?? new Error('refused'));
        });
      const db = await done(indexedDB.open('zevrin-demo'));
      const at = db.transaction(store, 'readwrite').objectStore(store);
      const entry = (await done(at.get(key))) as object;
      await done(at.put({ ...entry, doc: next }));
      db.close();
    },
    [collection, id, doc] as const,
  );

test('entries that were changed where they are stored are named, kept, and everything else goes on', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await open(page, '/demo/setups');
  const first = page
    .getByRole('main')
    .getByRole('link', { name: /Rappel/ })
    .first();
  await expect(first).toBeVisible();
  await saved(page);
  // A second time, so that everything has been looked at once.
  await page.reload();
  await expect(first).toBeVisible();
  const id = (await first.getAttribute('href'))!.split('/').at(-1)!;
  await changeInPlace(page, 'setups', id, { id, name: 'Torn rappel', persons: 'none' });
  await changeInPlace(page, 'uses', 'use-1', null);
  for (const path of [`/demo/setups/${id}`, `/demo/setups/${id}/holds`, '/demo/setups', '/demo/log', '/demo/locker']) {
    await open(page, path);
    await expect(page.getByRole('alert').filter({ hasText: '2 stored entries cannot be read' })).toContainText(
      '(“Torn rappel”, 1 more): they are not shown. Nothing was deleted.',
    );
  }
  await open(page, `/demo/setups/${id}`);
  await expect(page.getByRole('heading', { name: 'This set-up is not here' })).toBeVisible();
  await open(page, '/demo/log');
  await expect(page.getByText('Hitch slow to let go after a stop').first()).toBeVisible();
  await page.getByRole('link', { name: 'Save them to a file' }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save them to a file' }).click();
  expect((await download).suggestedFilename()).toBe('zevrin-demo-not-read.json');
});

test('a browser without a database: the demo says so as the own place does', async ({ page }) => {
  await page.addInitScript(() => Object.defineProperty(window, 'indexedDB', { value: undefined }));
  for (const place of ['/demo', '/mine', '/demo/setups', '/mine/setups']) {
    await page.goto(place);
    await expect(page.getByRole('heading', { name: 'The workspace cannot be opened' }), place).toBeVisible();
  }
});
