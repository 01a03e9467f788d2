// First useful paint and blocking of the main thread while the first screens load, on a CPU slowed four times
// (Chromium's own throttling and timing). Useful: the frame after the words of the screen are in the page, noted by the
// page itself: asking from outside compiles scripts in it, which blocks too. Blocked: of every task the part above 50
// ms. Total blocking time as page audits define it counts from the first content on; the stricter sum from the very
// beginning is printed beside it.
import { spawn } from 'node:child_process';
import { chromium } from '@playwright/test';
import { launch } from './chromium.ts';

const PAINT_MS = 1500;
const BLOCKING_MS = 150;
const SLOWER = 4;
const RUNS = Number(process.env.RUNS ?? 5);

/**
 * How fast this machine is at this moment: the same sum each time. It can be twice as slow an hour later, and then so
 * is every figure.
 */
function sumMs(): number {
  const from = performance.now();
  let sum = 0;
  for (let i = 0; i < 1e8; i += 1) sum += i % 7;
  return sum < 0 ? 0 : performance.now() - from;
}
/** Long after everything has settled. */
const SETTLED_MS = 6000;

/** What the page notes of itself. */
interface Noted {
  tasks: { start: number; ms: number }[];
  paint: number;
}
interface Figures {
  readonly paint: number;
  readonly content: number;
  readonly blocking: number;
  readonly all: number;
}
const PORT = 4312;
const base = `http://localhost:${PORT}`;
/**
 * The first screens, each with the words that make it useful; `back`: opened before, so that what is stored is read and
 * looked at.
 */
const VIEWS = [
  { view: '/', words: 'What are you going to do?', back: false },
  { view: '/mine/setups', words: 'An answer first', back: false },
  { view: '/demo/setups', words: 'Low span, lichen plots 1 to 6', back: false },
  { view: '/demo/setups', words: 'Low span, lichen plots 1 to 6', back: true },
  { view: '/mine/quick', words: 'What are you going to do?', back: false },
  { view: '/demo/setups/setup-low-span', words: 'No fault found in what was entered', back: false },
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
  for (const { view, words, back } of VIEWS) {
    const figures: Figures[] = [];
    const sums: number[] = [];
    for (let i = 0; i < RUNS; i += 1) {
      sums.push(sumMs());
      // A context of its own: nothing is in its cache, and no service worker answers.
      const context = await browser.newContext({ serviceWorkers: 'block', viewport: { width: 390, height: 844 } });
      if (back) {
        const before = await context.newPage();
        await before.goto(base + view);
        await before.getByText(words).waitFor();
        await new Promise((r) => setTimeout(r, SETTLED_MS));
        await before.close();
      }
      const page = await context.newPage();
      const cdp = await context.newCDPSession(page);
      await cdp.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
      await page.addInitScript((useful) => {
        const at = window as unknown as Noted;
        at.tasks = [];
        at.paint = 0;
        new PerformanceObserver((list) => {
          for (const task of list.getEntries()) at.tasks.push({ start: task.startTime, ms: task.duration });
        }).observe({ type: 'longtask', buffered: true });
        const watch = new MutationObserver(() => {
          if (!document.body?.textContent.includes(useful)) return;
          watch.disconnect();
          requestAnimationFrame(() => setTimeout(() => (at.paint = performance.now())));
        });
        watch.observe(document, { childList: true, subtree: true, characterData: true });
      }, words);
      await page.goto(base + view, { waitUntil: 'commit' });
      await new Promise((r) => setTimeout(r, SETTLED_MS));
      const { tasks, paint, content } = await page.evaluate(() => ({
        tasks: (window as unknown as Noted).tasks,
        paint: (window as unknown as Noted).paint,
        content: performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? 0,
      }));
      const over = (from: number) =>
        tasks.reduce((sum, { start, ms }) => sum + Math.max(0, Math.min(start + ms - from, ms) - 50), 0);
      figures.push({ paint, content, blocking: over(content), all: over(0) });
      await context.close();
    }
    const middle = (key: keyof Figures) => figures.map((f) => f[key]).sort((a, b) => a - b)[Math.floor(RUNS / 2)]!;
    const [paint, blocking] = [middle('paint'), middle('blocking')];
    if (paint === 0) throw new Error(`${view}: “${words}” did not appear within ${SETTLED_MS} ms`);
    over ||= paint > PAINT_MS || blocking > BLOCKING_MS;
    console.log(
      `${(view + (back ? ' again' : '')).padEnd(20)} useful after ${paint.toFixed(0).padStart(5)} ms (${PAINT_MS})   blocked ${blocking.toFixed(0).padStart(4)} ms (${BLOCKING_MS})   from the very beginning ${middle('all').toFixed(0)} ms; first content after ${middle('content').toFixed(0)} ms; least ${Math.min(...figures.map((f) => f.paint)).toFixed(0)} and ${Math.min(...figures.map((f) => f.blocking)).toFixed(0)} ms; the machine did its sum in ${Math.min(...sums).toFixed(0)} to ${Math.max(...sums).toFixed(0)} ms`,
    );
  }
  await browser.close();
} finally {
  server.kill();
}
process.exitCode = over ? 1 : 0;
