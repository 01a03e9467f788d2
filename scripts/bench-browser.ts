// Longest block of the main thread while the worker plans and maps a locker of 30 x 30 x 30, and how long one waits for
// the answer.
import { spawn } from 'node:child_process';
import { chromium } from '@playwright/test';
import { TEMPLATE_IDS } from '../core/rigs/rig/index.ts';
import { demoWorkspace } from '../core/samples/index.ts';
import { launch } from './chromium.ts';
import { items } from './bench-locker.ts';

const BLOCK_MS = 50;
const WAIT_MS = 1000;
const PORT = 4311;
const base = `http://localhost:${PORT}`;

const server = spawn(process.execPath, ['--import', 'tsx', 'server/bin.ts'], {
  env: { ...process.env, PORT: String(PORT) },
  stdio: 'ignore',
});
let over = false;
try {
  for (let i = 0; i < 50; i += 1) {
    if (
      await fetch(base).then(
        () => true,
        () => false,
      )
    )
      break;
    await new Promise((r) => setTimeout(r, 200));
  }
  const browser = await chromium.launch(launch);
  const page = await browser.newPage();
  await page.addInitScript(() => {
    const seen: number[] = [];
    Object.assign(window, { seen });
    new PerformanceObserver((list) => {
      for (const { duration, startTime } of list.getEntries())
        if (startTime > ((window as unknown as { from?: number }).from ?? Infinity)) seen.push(duration);
    }).observe({ type: 'longtask' });
  });
  await page.goto(`${base}/mine/setups`);
  await page.getByRole('heading', { name: 'Set-ups' }).waitFor();
  await page.evaluate(
    async ({ docs, people }) => {
      const db = await new Promise<IDBDatabase>((resolve, reject) => {
        const request = indexedDB.open('zevrin-mine');
        request.onsuccess = () => resolve(request.result);
        request.onerror = () => reject(new Error('cannot open'));
      });
      await new Promise<void>((resolve) => {
        const tx = db.transaction(['items', 'people'], 'readwrite');
        for (const doc of docs) tx.objectStore('items').put({ id: doc.id, doc });
        for (const doc of people) tx.objectStore('people').put({ id: doc.id, doc });
        tx.oncomplete = () => resolve();
      });
      db.close();
    },
    { docs: items, people: demoWorkspace().people },
  );
  for (const [name, first, then, done] of [
    ...TEMPLATE_IDS.map(
      (id) =>
        [`plan, ${id}`, `/mine/plan?job=${id === 'lower' ? 'ascend' : 'lower'}`, id, '[data-combination]'] as const,
    ),
    ['fit map', '/mine/fit', 'ascend', '[aria-label="Fit map"] tbody tr'],
    ['connector map', '/mine/connectors?job=lower', 'ascend', '[aria-label="Connector map"] tbody tr'],
  ] as const) {
    await page.goto(base + first);
    await page.locator(done).first().waitFor();
    await page.waitForTimeout(500);
    await page.evaluate(() => {
      Object.assign(window, { from: performance.now() });
      let working = false;
      new MutationObserver(() => {
        const now = document.querySelector('progress') !== null;
        if (working && !now) Object.assign(window, { answered: performance.now() });
        working = now;
      }).observe(document.body, { subtree: true, childList: true });
    });
    await page.getByRole('combobox', { name: /^Job/ }).selectOption(then);
    const waited = await (
      await page.waitForFunction(() => {
        const { from, answered } = window as unknown as { from: number; answered?: number };
        return answered === undefined ? null : answered - from;
      })
    ).jsonValue();
    await page.waitForTimeout(300);
    const longest = await page.evaluate(() => Math.max(0, ...(window as unknown as { seen: number[] }).seen));
    over ||= longest > BLOCK_MS || waited! > WAIT_MS;
    console.log(
      `in the browser: ${name.padEnd(28)} answer after ${waited!.toFixed(0).padStart(5)} ms   ${waited! <= WAIT_MS ? 'within' : 'OVER'} ${WAIT_MS} ms   longest block ${longest.toFixed(0).padStart(4)} ms   ${longest <= BLOCK_MS ? 'within' : 'OVER'} ${BLOCK_MS} ms`,
    );
  }
  await browser.close();
} finally {
  server.kill();
}
process.exitCode = over ? 1 : 0;
