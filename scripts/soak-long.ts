/*
 * A long stretch of invented work in one page that is never loaded anew: edits, undo, checks, falls, searches, files
 * read in. What the page holds after thousands of edits must be what it held after the first hundred: memory,
 * listeners, workers, the journal, and the disk no larger than what stands in it. npm run soak -- long [minutes]
 * [edits]
 */
import { mkdtempSync, rmSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { writeWorkspace } from '../core/records/files/index.ts';
import { demoWorkspace } from '../core/samples/index.ts';
import { createApp } from '../server/app.ts';
import { launch } from './chromium.ts';

const MINUTES = Number(process.argv[2] ?? 20);
const EDITS = Number(process.argv[3] ?? 10_000);
/** Edits between two looks at what the page holds; before each look everything is replaced by the same file. */
const ROUND = 100;
const MOST_GROWTH = 1.5;
/** Times the file: a database keeps what was written over until it tidies up by itself. */
const MOST_ON_DISK = 10;

const server = createApp(join(import.meta.dirname, '../dist')).listen(0, '127.0.0.1');
await new Promise((resolve) => server.once('listening', resolve));
const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
const profile = mkdtempSync(join(tmpdir(), 'zevrin-long-'));
const context = await chromium.launchPersistentContext(profile, {
  ...launch,
  viewport: { width: 1280, height: 1000 },
  serviceWorkers: 'block',
});
const page = context.pages()[0] ?? (await context.newPage());
const errors: string[] = [];
page.on('pageerror', (error) => errors.push(error.message));
page.on('console', (message) => message.type() === 'error' && errors.push(message.text()));

const file = writeWorkspace(demoWorkspace());
/** As a link does: without loading the page. */
const to = (path: string) =>
  page.evaluate((next) => {
    history.pushState(null, '', next);
    dispatchEvent(new PopStateEvent('popstate'));
  }, path);
const saved = () => page.getByTestId('save-state').getByText('Saved').waitFor({ state: 'attached' });

async function readIn() {
  await to('/mine/files');
  await page.getByLabel('Zevrin file to read').waitFor({ state: 'attached' });
  // By the page itself: what the driver hands over it also holds on to, with the whole page around it.
  await page.evaluate((text) => {
    const field = document.querySelector<HTMLInputElement>('[aria-label="Zevrin file to read"]')!;
    const carried = new DataTransfer();
    carried.items.add(new File([text], 'long.zevrin.json', { type: 'application/json' }));
    field.files = carried.files;
    field.dispatchEvent(new Event('change', { bubbles: true }));
  }, file);
  await page.getByRole('button', { name: 'Replace everything with it' }).click();
  await page.getByText('The file is read in.', { exact: true }).first().waitFor();
  await saved();
}

const SETUPS = ['setup-low-span', 'setup-high-span', 'setup-wall-down', 'setup-ledge', 'setup-drill'];
let edits = 0;
async function edit(n: number) {
  const setup = SETUPS[Math.floor(edits / 25) % SETUPS.length]!;
  const path = `/mine/setups/${setup}`;
  if (new URL(page.url()).pathname !== path) await to(path);
  const field = page.getByLabel('Name of the set-up');
  await field.fill(`Name ${n}`);
  edits += 1;
  if (n % 7 === 0) await page.getByRole('button', { name: /^Undo/ }).first().click();
}

const works: Readonly<Record<string, () => Promise<void>>> = {
  async fall() {
    await to('/mine/setups/setup-wall-lead/catch');
    await page.getByText('Force on the climber, of 100 falls').first().waitFor();
  },
  async search() {
    await to('/mine/plan?job=rappel-double');
    await page.locator('[data-combination]').first().waitFor();
    await to('/mine/fit');
    await page.getByRole('table').first().waitFor();
  },
  async check() {
    await to('/mine/setups/setup-low-span');
    // The page may still be judging an edit, and draws the choice anew under the pointer: pressed again then, as a
    // person would.
    const alone = page.getByRole('button', { name: /^Alone/ });
    for (let tries = 0; tries < 5; tries += 1) {
      await page.getByRole('button', { name: /^Check (before use|anew)/ }).click();
      const pressed = await alone.click({ timeout: 3000 }).then(
        () => true,
        () => false,
      );
      if (pressed) break;
    }
    const answers = page.locator('[data-half="climber"] [role="group"] button:not([disabled])');
    await answers.first().click();
    await page.getByRole('button', { name: 'End' }).click();
    await page.getByRole('button', { name: 'End it' }).click();
    await page.waitForURL(/\/log\//);
  },
  async holds() {
    await to('/mine/setups/setup-low-span/holds');
    await page.getByRole('table').first().waitFor();
    await to('/mine/steps/sequence-low-span');
    await page.getByText('Stops that count').waitFor();
  },
};

/** Lets go what nobody holds, and counts the rest. */
const session = await context.newCDPSession(page);
await session.send('Performance.enable');
interface Held {
  readonly heapMb: number;
  readonly listeners: number;
  readonly nodes: number;
  readonly workers: number;
  readonly journal: number;
  readonly diskMb: number;
}
async function held(): Promise<Held> {
  await readIn();
  await to('/mine/setups/setup-low-span');
  await page.getByTestId('verdict').waitFor();
  await page.getByText('Hands', { exact: true }).first().waitFor();
  await session.send('HeapProfiler.collectGarbage');
  await session.send('HeapProfiler.collectGarbage');
  const { metrics } = await session.send('Performance.getMetrics');
  const of = (name: string) => metrics.find((m) => m.name === name)!.value;
  const [journal, usage] = await page.evaluate(
    async () =>
      [
        Object.keys(localStorage).filter((key) => key.startsWith('zevrin-waiting')).length,
        (await navigator.storage.estimate()).usage ?? 0,
      ] as const,
  );
  return {
    heapMb: of('JSHeapUsedSize') / 1e6,
    listeners: of('JSEventListeners'),
    nodes: of('Nodes'),
    workers: page.workers().length,
    journal,
    diskMb: usage / 1e6,
  };
}
const row = (h: Held) =>
  `| ${edits.toString().padStart(6)} | ${h.heapMb.toFixed(1).padStart(7)} | ${String(h.listeners).padStart(9)} | ${String(h.nodes).padStart(6)} | ${h.workers} | ${h.journal} | ${h.diskMb.toFixed(2)} |`;

await page.goto(`${base}/mine/files`);
const began = Date.now();
const minutes = () => (Date.now() - began) / 60_000;
const names = Object.keys(works);
console.log('| edits | heap, MB | listeners | nodes | workers | journal | disk, MB |\n| - | - | - | - | - | - | - |');
await readIn();
let first: Held | null = null;
let last: Held;
for (let round = 0; edits < EDITS || minutes() < MINUTES; round += 1) {
  for (let i = 0; i < ROUND; i += 1) await edit(edits);
  await saved();
  // All of it once before the first look: what is loaded for the first time is not left over.
  for (const name of first ? [names[round % names.length]!] : names) await works[name]!();
  if (first && round % 10 !== 9) continue;
  last = await held();
  first ??= last;
  console.log(row(last));
}
last = await held();
console.log(row(last));
await context.close();
server.close();
rmSync(profile, { recursive: true, force: true });

const wrong = [
  last.heapMb > first!.heapMb * MOST_GROWTH &&
    `memory grew from ${first!.heapMb.toFixed(1)} to ${last.heapMb.toFixed(1)} MB`,
  last.listeners > first!.listeners * 1.1 && `listeners grew from ${first!.listeners} to ${last.listeners}`,
  last.workers > first!.workers && `workers grew from ${first!.workers} to ${last.workers}`,
  last.journal > 0 && `${last.journal} changes are left in the journal`,
  last.diskMb > (MOST_ON_DISK * file.length) / 1e6 &&
    `${last.diskMb} MB on the disk for a file of ${file.length / 1e6} MB`,
  errors.length > 0 && `errors: ${[...new Set(errors)].slice(0, 5).join(' | ')}`,
].filter((text) => text !== false);
console.log(
  `${edits} edits in ${minutes().toFixed(1)} minutes. ${wrong.length === 0 ? 'Nothing grew.' : wrong.join('; ')}`,
);
process.exitCode = wrong.length === 0 ? 0 : 1;
