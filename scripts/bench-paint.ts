// First useful paint and blocking of the main thread while the first screens load, on a CPU slowed four times (Chromium's own throttling and timing).
import { spawn } from 'node:child_process';
import { chromium } from '@playwright/test';
import { launch } from './chromium.ts';

const PAINT_MS = 1500;
const BLOCKING_MS = 150;
const SLOWER = 4;
const RUNS = 5;
const PORT = 4312;
const base = `http://localhost:${PORT}`;
/** The first screens, each with the words that make it useful. */
const VIEWS = [
  ['/', 'What are you going to do?'],
  ['/mine/setups', 'An answer first'],
  ['/demo/setups', 'Low span, lichen plots 1 to 6'],
] as const;

const server = spawn(process.execPath, ['--import', 'tsx', 'server/bin.ts'], {
  env: { ...process.env, PORT: String(PORT) },
  stdio: 'ignore',
});
let over = false;
try {
  for (let i = 0; i < 50 && !(await fetch(base).then(Boolean, () => false)); i += 1)
    await new Promise((r) => setTimeout(r, 200));
  const browser = await chromium.launch(launch);
  for (const [view, words] of VIEWS) {
    const figures: { paint: number; blocking: number }[] = [];
    for (let i = 0; i < RUNS; i += 1) {
      // A context of its own: nothing is in its cache, and no service worker answers.
      const context = await browser.newContext({ serviceWorkers: 'block', viewport: { width: 390, height: 844 } });
      const page = await context.newPage();
      const cdp = await context.newCDPSession(page);
      await cdp.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
      await page.addInitScript(() => {
        const at = window as unknown as { blocked: number };
        at.blocked = 0;
        new PerformanceObserver((list) => {
          for (const task of list.getEntries()) at.blocked += Math.max(0, task.duration - 50);
        }).observe({ type: 'longtask', buffered: true });
      });
      await page.goto(base + view, { waitUntil: 'commit' });
      await page.getByText(words).first().waitFor();
      const paint = await page.evaluate(() => performance.now());
      await page.waitForTimeout(2500);
      const blocking = await page.evaluate(() => (window as unknown as { blocked: number }).blocked);
      figures.push({ paint, blocking });
      await context.close();
    }
    const middle = (key: 'paint' | 'blocking') =>
      figures.map((f) => f[key]).sort((a, b) => a - b)[Math.floor(RUNS / 2)]!;
    const [paint, blocking] = [middle('paint'), middle('blocking')];
    over ||= paint > PAINT_MS || blocking > BLOCKING_MS;
    console.log(
      `${view.padEnd(16)} useful after ${paint.toFixed(0).padStart(5)} ms (${PAINT_MS})   blocked ${blocking.toFixed(0).padStart(4)} ms (${BLOCKING_MS})`,
    );
  }
  await browser.close();
} finally {
  server.kill();
}
process.exitCode = over ? 1 : 0;
