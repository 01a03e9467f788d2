import { once } from 'node:events';
import { appendFileSync, readFileSync, writeFileSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { fileURLToPath } from 'node:url';
import { type Page } from '@playwright/test';
import { createApp } from '../server/app.ts';
import { answer, answerAll, expect, open, saved, test, verdict } from './helpers';

test.use({ serviceWorkers: 'allow' });
// The second one changes the file that the worker is read from.
test.describe.configure({ mode: 'serial' });

/** The whole app is kept. */
const kept = (page: Page) => page.evaluate(async () => (await navigator.serviceWorker.ready).active?.state);

/** A server of its own, so that it can be stopped without taking the other tests along. */
async function ownServer() {
  const server = createApp(fileURLToPath(new URL('../dist', import.meta.url))).listen(0, '127.0.0.1');
  await once(server, 'listening');
  return {
    base: `http://localhost:${(server.address() as AddressInfo).port}`,
    stop: async () => {
      server.closeAllConnections();
      server.close();
      await once(server, 'close');
    },
  };
}

test('with the server stopped after the first visit: reload, a deep link never visited, a check that is finished', async ({
  page,
}) => {
  test.setTimeout(120_000);
  const { base, stop } = await ownServer();
  await open(page, `${base}/demo/setups/setup-wall-down`);
  await expect(verdict(page)).toBeVisible();
  await expect.poll(() => kept(page), { timeout: 30_000 }).toBe('activated');
  await stop();
  await expect(fetch(base)).rejects.toThrow();
  await page.reload();
  await expect(verdict(page)).toBeVisible();
  // Pages whose code was never loaded before, one of them with a worker of its own.
  await page.goto(`${base}/demo/setups/setup-wall-lead/catch`);
  await expect(page.locator('[data-finding="catch.first-piece"]')).toHaveAttribute('data-severity', 'mind');
  await page.goto(`${base}/demo/setups/setup-wall-down`);
  const name = page.getByLabel('Name of the set-up');
  await name.fill('Wall, without a network');
  await name.press('Tab');
  await saved(page);
  await page.getByRole('button', { name: 'Check before use' }).click();
  await page.getByRole('button', { name: /Face to face/ }).click();
  await answer(page, 'climber');
  await page.reload();
  await answerAll(page, ['climber', 'partner']);
  await page.getByRole('button', { name: 'Close the check' }).click();
  await expect(page.getByText(/Complete, face to face/)).toBeVisible();
  await page.reload();
  await expect(page.getByText(/Complete, face to face/)).toBeVisible();
});

test('a newer version waits until it is taken, and a half-filled form is kept over it', async ({ page }) => {
  await open(page, '/demo/locker/rope/new');
  const name = page.getByLabel('Name', { exact: true });
  await expect(name).toBeVisible();
  await expect.poll(() => kept(page), { timeout: 30_000 }).toBe('activated');
  await page.reload();
  await name.fill('Half-filled rope');
  const news = page.getByRole('status').filter({ hasText: 'A newer version of Zevrin is ready.' });
  await expect(news).toHaveCount(0);
  // The same worker with some bytes more is a newer version.
  const file = new URL('../dist/sw.js', import.meta.url);
  const before = readFileSync(file);
  try {
    appendFileSync(file, '\n// newer');
    await page.evaluate(async () => (await navigator.serviceWorker.getRegistration())!.update());
    await expect(news).toBeVisible();
    await expect(name).toHaveValue('Half-filled rope');
    await news.getByRole('button', { name: 'Load it now' }).click();
    await expect(news).toHaveCount(0);
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Half-filled rope');
  } finally {
    writeFileSync(file, before);
  }
});
