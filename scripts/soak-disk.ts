/*
 * A disk that is really full: the browser keeps its data on a small file system of its own, which is filled to the last
 * byte while somebody types. Nothing that was shown as saved is lost, that nothing can be saved is said, typing goes
 * on, and with room again all of it is written. Needs the right to mount: npm run soak -- disk
 */
import { execFileSync } from 'node:child_process';
import { appendFileSync, mkdtempSync, rmSync, statfsSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { emptyWorkspace, writeWorkspace } from '../core/records/files/index.ts';
import { rappelDouble } from '../core/samples/index.ts';
import { createApp } from '../server/app.ts';
import { launch } from './chromium.ts';

const SIZE = '160m';
/** How often the browser is closed on a full disk. */
const ENDS = Number(process.argv[2] ?? 24);
const disk = mkdtempSync(join(tmpdir(), 'zevrin-disk-'));
const elsewhere = mkdtempSync(join(tmpdir(), 'zevrin-cache-'));
try {
  execFileSync('mount', ['-t', 'tmpfs', '-o', `size=${SIZE}`, 'tmpfs', disk], { stdio: 'pipe' });
} catch (error) {
  console.log(
    `Not tried: a file system of its own cannot be mounted here (${String((error as { stderr?: unknown }).stderr).trim()}).`,
  );
  process.exit(2);
}
const server = createApp(join(import.meta.dirname, '../dist')).listen(0, '127.0.0.1');
await new Promise((resolve) => server.once('listening', resolve));
const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
const start = async () => {
  const context = await chromium.launchPersistentContext(join(disk, 'profile'), {
    ...launch,
    // Caches of the graphics lie in memory as files with holes: the browser breaks down when they cannot be filled,
    // with any page.
    args: [...launch.args, '--disable-gpu-shader-disk-cache', `--disk-cache-dir=${elsewhere}`],
    serviceWorkers: 'block',
  });
  const page = context.pages()[0] ?? (await context.newPage());
  // A browser that has promised nothing clears everything when the disk is full, as it says: that is not the question
  // here.
  const browser = await context.newCDPSession(page);
  await browser.send('Browser.grantPermissions', { permissions: ['durableStorage'] });
  return { context, page };
};
const ballast = join(disk, 'ballast');
const freeBytes = () => {
  const { bavail, bsize } = statfsSync(disk);
  return bavail * bsize;
};
function fill() {
  for (let block = 1 << 20; block >= 1; block >>= 1)
    for (;;)
      try {
        appendFileSync(ballast, Buffer.alloc(block));
      } catch {
        break;
      }
}

const wrong: string[] = [];
const NAME = 'Name of the set-up';
/** What the head of the page says of saving. */
const state = (page: Page) =>
  page.evaluate(
    () => document.querySelector<HTMLElement>('header [role="alert"], [data-testid="save-state"]')?.textContent ?? '',
  );
const shows = async (page: Page, value: string) => {
  const there = await page.getByLabel(NAME).inputValue();
  if (there !== value) wrong.push(`the screen shows “${there}” and not “${value}”`);
};
const there = (page: Page) =>
  page
    .getByLabel(NAME)
    .waitFor({ timeout: 15_000 })
    .then(
      () => true,
      () => false,
    );
let shownAsSaved = '';
/** Typed after what was last shown as saved: may be there or not. */
const offered = new Set<string>();
try {
  // Opened once before, so that the browser has written down that it knows the place, and has promised to keep it.
  const before = await start();
  await before.page.goto(`${base}/mine/files`);
  await before.page.getByLabel('Zevrin file to read').setInputFiles({
    name: 'disk.zevrin.json',
    mimeType: 'application/json',
    buffer: Buffer.from(writeWorkspace({ ...emptyWorkspace(), setups: [{ ...rappelDouble, id: 'disk' }] })),
  });
  await before.page.getByRole('button', { name: 'Replace everything with it' }).click();
  await before.page.getByText('The file is read in.', { exact: true }).first().waitFor();
  const promised = await before.page.evaluate(() => navigator.storage.persisted());
  if (!promised) wrong.push('the browser did not promise to keep anything');
  await before.context.close();
  const { context, page } = await start();
  const crashed: string[] = [];
  page.on('crash', () => crashed.push('the page crashed'));
  page.on('pageerror', (error) => crashed.push(error.message));
  await page.goto(`${base}/mine/setups/disk`);
  await page.getByLabel(NAME).waitFor();

  fill();
  console.log(`${freeBytes()} bytes are free.`);
  let typed = 0;
  let failedAt = 0;
  for (; typed < 400 && failedAt === 0; typed += 1) {
    const value = `Full ${typed}`;
    await page.getByLabel(NAME).fill(value);
    await page.waitForTimeout(60);
    const said = await state(page);
    if (said.includes('Not saved')) failedAt = typed + 1;
    else if (said === 'Saved') shownAsSaved = value;
  }
  if (failedAt === 0) wrong.push('nobody was told that the disk is full');
  else
    console.log(
      `“${(await state(page)).trim()}” after ${failedAt} edits; “${shownAsSaved}” was the last that was shown as saved.`,
    );
  for (let i = 0; i < 20; i += 1) await page.getByLabel(NAME).fill(`Typed on ${i}`);
  await shows(page, 'Typed on 19');
  rmSync(ballast);
  const again = page.getByRole('button', { name: /again/i }).first();
  if (await again.isVisible()) await again.click();
  await page.getByTestId('save-state').getByText('Saved').waitFor({ timeout: 20_000 });
  await shows(page, 'Typed on 19');
  wrong.push(...crashed);
  await context.close();
  const next = await start();
  await next.page.goto(`${base}/mine/setups/disk`);
  if (await there(next.page)) await shows(next.page, 'Typed on 19');
  else {
    throw new Error('everything is lost when the browser is closed after the disk was full');
  }

  await next.context.close();

  // And the end of it all on a full disk, again and again: what was shown as saved is there, whatever else is not.
  let last = 'Typed on 19';
  for (let round = 0; round < ENDS; round += 1) {
    const { context, page } = await start();
    await page.goto(`${base}/mine/setups/disk`);
    if (!(await there(page))) throw new Error(`everything is lost after ${round} ends on a full disk`);
    const kept = await page.getByLabel(NAME).inputValue();
    if (kept !== last && !offered.has(kept)) wrong.push(`“${last}” was shown as saved, and “${kept}” is there`);
    last = kept;
    offered.clear();
    fill();
    try {
      for (let i = 0; i < 30; i += 1) {
        const value = `Round ${round}, ${i}`;
        offered.add(value);
        await page.getByLabel(NAME).fill(value);
        await page.waitForTimeout(60);
        if ((await state(page)) !== 'Saved') continue;
        last = value;
        offered.clear();
      }
    } catch {
      // A browser may break down when it has no room for its own files.
      console.log(`Round ${round}: the browser broke down.`);
    }
    await context.close().catch(() => undefined);
    // One that has no room to open its own files shows no page: what is there is seen with room again.
    rmSync(ballast);
  }
  console.log(`Closed ${ENDS} times on a full disk.`);
} catch (error) {
  wrong.push(error instanceof Error ? error.message.split('\n')[0]! : String(error));
} finally {
  server.close();
  execFileSync('umount', ['-l', disk]);
  for (const folder of [disk, elsewhere]) rmSync(folder, { recursive: true, force: true });
}
console.log(wrong.length === 0 ? 'Nothing was lost.' : wrong.join('; '));
// A browser that was left open by a failure holds nothing up.
process.exit(wrong.length === 0 ? 0 : 1);
