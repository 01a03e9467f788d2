/*
 * What was shown as saved must be on the disk after the browser was killed, and both tabs and the disk must end equal
 * when it was not. A value counts as shown when the tab that wrote it says "Saved" with the value on the screen. Prints
 * what it found, and ends with 1 when anything was lost, half-written or different.
 */
import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { AddressInfo } from 'node:net';
import { chromium, type Browser, type Page } from '@playwright/test';
import { writeWorkspace, emptyWorkspace } from '../core/records/files/index.ts';
import { rappelDouble } from '../core/samples/index.ts';
import { createApp } from '../server/app.ts';
import { launch } from './chromium.ts';

const KILLS = Number(process.argv[2] ?? 200);
const SEED = Number(process.argv[3] ?? 20261125);
const EXTRA = 12;

/** Mulberry32: small, and the same run for the same seed. */
function randomFrom(seed: number) {
  let a = seed >>> 0;
  return () => {
    a = (a + 0x6d2b79f5) | 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}
const random = randomFrom(SEED);
const below = (n: number) => Math.floor(random() * n);

const server = createApp(join(import.meta.dirname, '../dist')).listen(0, '127.0.0.1');
await new Promise((resolve) => server.once('listening', resolve));
const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
const profile = mkdtempSync(join(tmpdir(), 'zevrin-soak-'));

interface Running {
  readonly process: ChildProcess;
  readonly browser: Browser;
}
async function start(): Promise<Running> {
  const process = spawn(
    launch.executablePath,
    [
      ...launch.args,
      '--headless=new',
      '--window-size=1400,1000',
      '--remote-debugging-port=0',
      `--user-data-dir=${profile}`,
      'about:blank',
    ],
    { detached: true, stdio: ['ignore', 'ignore', 'pipe'] },
  );
  const endpoint = await new Promise<string>((resolve, reject) => {
    let text = '';
    process.stderr.on('data', (data: Buffer) => {
      text += data.toString();
      const found = /ws:\/\/\S+/.exec(text);
      if (found) resolve(found[0]);
    });
    process.once('exit', () => reject(new Error(`the browser did not start: ${text}`)));
  });
  return { process, browser: await chromium.connectOverCDP(endpoint) };
}
/** As the power going: no page is asked, nothing is flushed. */
async function kill({ process, browser }: Running) {
  const gone = new Promise((resolve) => process.once('exit', resolve));
  globalThis.process.kill(-process.pid!, 'SIGKILL');
  await gone;
  await browser.close().catch(() => undefined);
}

/** Every value that a field was given, in order, and the last that was shown as saved. */
interface Trail {
  readonly values: string[];
  shown: number;
}
const trails: Record<'name' | 'height', Trail> = {
  name: { values: ['Start'], shown: 0 },
  height: { values: ['0'], shown: 0 },
};
type Field = keyof typeof trails;
/** Files by the number in the names of their set-ups; the last one that was shown as read in. */
let filesGiven = 0;
let fileShown = 0;

const ID = 'soak';
/** Another height for each number, in metres, as the field prints it. */
const heightOf = (n: number) => (100 + (n % 900)) / 10;
const file = (n: number) =>
  writeWorkspace({
    ...emptyWorkspace(),
    setups: [
      { ...rappelDouble, id: ID, name: `File ${n}`, site: { ...rappelDouble.site, anchorHeightM: heightOf(n) } },
      ...Array.from({ length: EXTRA }, (_, i) => ({ ...rappelDouble, id: `extra-${i}`, name: `Extra ${n}` })),
    ],
  });

/**
 * The file that is being read in: it may land after an edit that was shown as saved, and then takes its place, as was
 * asked for.
 */
let landing: Readonly<Record<Field, string>> | null = null;

const found = { lost: 0, half: 0, diverged: 0, edits: 0, undos: 0, files: 0, compared: 0 };
const say = (text: string) => console.log(text);

interface Kept {
  readonly id: string;
  readonly name: string;
  readonly height: string;
}
interface Stored {
  readonly id: string;
  readonly name: string;
  readonly site: { readonly anchorHeightM: number };
}
const onDisk = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<Kept[]>((resolve, reject) => {
        const request = indexedDB.open('zevrin-mine');
        request.onerror = () => reject(new Error('cannot open'));
        request.onsuccess = () => {
          const all = request.result.transaction('setups').objectStore('setups').getAll();
          all.onsuccess = () => {
            request.result.close();
            resolve(
              (all.result as { doc: Stored }[]).map(({ doc }) => ({
                id: doc.id,
                name: doc.name,
                height: String(doc.site.anchorHeightM),
              })),
            );
          };
        };
      }),
  );

const FIELDS: Readonly<Record<Field, string>> = { name: 'Name of the set-up', height: 'Anchor above the ground' };
const savedNow = async (page: Page) =>
  (await page.getByTestId('save-state').textContent({ timeout: 3000 }))?.includes('Saved');
async function openSetup(page: Page) {
  await page.goto(`${base}/mine/setups/${ID}`);
  await page.getByLabel(FIELDS.name).waitFor();
  await page.getByRole('button', { name: /^Site/ }).click();
  await page.getByLabel(FIELDS.height, { exact: true }).waitFor();
}

async function edit(page: Page, field: Field, n: number) {
  const value = field === 'name' ? `Name ${n}` : String(heightOf(n));
  trails[field].values.push(value);
  await page.getByLabel(FIELDS[field], { exact: true }).fill(value, { timeout: 3000, force: true });
  found.edits += 1;
  if (random() < 0.5) await page.waitForTimeout(below(60));
  if (!(await savedNow(page))) return;
  if ((await page.getByLabel(FIELDS[field], { exact: true }).inputValue()) === value)
    trails[field].shown = trails[field].values.length - 1;
}

/**
 * A step is being taken back: one of the values just before may be on the disk before anybody has read it from the
 * screen.
 */
const undoing = new Set<Field>();
const JUST_BEFORE = 4;

async function undo(page: Page, field: Field) {
  const button = page.getByRole('button', { name: /^Undo/ }).first();
  if (await button.isDisabled()) return;
  undoing.add(field);
  await button.click({ timeout: 3000 });
  const value = await page.getByLabel(FIELDS[field], { exact: true }).inputValue();
  trails[field].values.push(value);
  undoing.delete(field);
  found.undos += 1;
  if (await savedNow(page)) trails[field].shown = trails[field].values.length - 1;
}

/** Reads a file in from a third tab, which both others have to follow. */
async function readIn(page: Page) {
  const n = (filesGiven += 1);
  await page.goto(`${base}/mine/files`);
  await page
    .getByLabel('Zevrin file to read')
    .setInputFiles({ name: 'soak.zevrin.json', mimeType: 'application/json', buffer: Buffer.from(file(n)) });
  // An edit of another tab that is under way may land after the file: then it stands, and that is told. What stood
  // before is gone.
  const from = { name: trails.name.values.length - 1, height: trails.height.values.length - 1 };
  trails.name.values.push(`File ${n}`);
  trails.height.values.push(String(heightOf(n)));
  landing = { name: `File ${n}`, height: String(heightOf(n)) };
  await page.getByRole('button', { name: 'Replace everything with it' }).click({ timeout: 5000 });
  await page.getByText('The file is read in.', { exact: true }).first().waitFor({ timeout: 5000 });
  // What was entered before this moment may have landed before the file or after it.
  for (const field of ['name', 'height'] as const) trails[field].values.push(landing[field]);
  landing = null;
  found.files += 1;
  fileShown = n;
  for (const field of ['name', 'height'] as const) trails[field].shown = Math.max(trails[field].shown, from[field]);
}

function compareDisk(docs: readonly Kept[], when: string) {
  const doc = docs.find((d) => d.id === ID);
  for (const field of ['name', 'height'] as const) {
    const { values, shown } = trails[field];
    const at = doc ? values.lastIndexOf(doc[field]) : -1;
    const replaced = landing !== null && doc?.[field] === landing[field];
    const takenBack = undoing.has(field) && doc !== undefined && values.slice(-JUST_BEFORE).includes(doc[field]);
    if (at < shown && !replaced && !takenBack) {
      found.lost += 1;
      say(`${when}: lost: ${field} is "${doc?.[field]}", shown as saved was "${values[shown]}"`);
    }
    // What was on its way and did not arrive is gone, and nobody was told otherwise.
    if (doc) trails[field] = { values: [doc[field]], shown: 0 };
  }
  landing = null;
  undoing.clear();
  const extras = new Set(docs.filter((d) => d.id.startsWith('extra-')).map((d) => d.name));
  const count = docs.filter((d) => d.id.startsWith('extra-')).length;
  const n = Number([...extras][0]?.split(' ')[1] ?? 0);
  if (extras.size > 1 || (count !== 0 && count !== EXTRA)) {
    found.half += 1;
    say(`${when}: half-written: ${count} of ${EXTRA}, ${[...extras].join(', ')}`);
  } else if (n < fileShown) {
    found.lost += 1;
    say(`${when}: lost: file ${fileShown} was shown as read in, on the disk is ${n}`);
  }
}

async function compareTabs(tabs: readonly Page[], when: string) {
  for (const tab of tabs)
    await tab.getByTestId('save-state').getByText('Saved').waitFor({ state: 'attached', timeout: 8000 });
  await tabs[0]!.waitForTimeout(1500);
  const doc = (await onDisk(tabs[0]!)).find((d) => d.id === ID)!;
  for (const tab of tabs) {
    const screen = {
      name: await tab.getByLabel(FIELDS.name).inputValue(),
      height: await tab.getByLabel(FIELDS.height, { exact: true }).inputValue(),
    };
    if (screen.name !== doc.name || screen.height !== doc.height) {
      found.diverged += 1;
      say(`${when}: diverged: screen ${JSON.stringify(screen)}, disk ${JSON.stringify([doc.name, doc.height])}`);
    }
  }
  found.compared += 1;
}

let counter = 0;
let first = true;
for (let round = 1; round <= KILLS; round += 1) {
  const running = await start();
  const context = running.browser.contexts()[0]!;
  const [a, b, c] = [await context.newPage(), await context.newPage(), await context.newPage()];
  if (first) {
    await readIn(c);
    first = false;
  } else {
    await a.goto(`${base}/favicon.ico`);
    compareDisk(await onDisk(a), `after kill ${round - 1}`);
  }
  await Promise.all([openSetup(a), openSetup(b)]);
  let stop = false;
  /** Acts until the browser goes away in the middle of one. */
  const work = async (act: () => Promise<void>) => {
    while (!stop) await act();
  };
  const acts = Promise.allSettled([
    work(() => (random() < 0.15 ? undo(a, 'name') : edit(a, 'name', (counter += 1)))),
    work(() => (random() < 0.15 ? undo(b, 'height') : edit(b, 'height', (counter += 1)))),
    round % 5 === 0
      ? (async () => {
          await c.waitForTimeout(below(400));
          await readIn(c);
        })()
      : Promise.resolve(),
  ]);
  await new Promise((resolve) => setTimeout(resolve, 300 + below(1500)));
  if (round % 4 === 0) {
    stop = true;
    await acts;
    await compareTabs([a, b], `round ${round}`);
  }
  await kill(running);
  stop = true;
  await acts;
  if (round % 20 === 0) say(`${round} kills, ${JSON.stringify(found)}`);
}
const last = await start();
const page = await last.browser.contexts()[0]!.newPage();
await page.goto(`${base}/favicon.ico`);
compareDisk(await onDisk(page), 'at the end');
await kill(last);
server.close();
rmSync(profile, { recursive: true, force: true });
say(`${KILLS} kills with seed ${SEED}: ${JSON.stringify(found)}`);
process.exitCode = found.lost + found.half + found.diverged > 0 ? 1 : 0;
