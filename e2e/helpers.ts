import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { expect, test as base, type Locator, type Page } from '@playwright/test';
import { inWords, type Vocabulary } from '../core/foundations/vocabulary/index.ts';

const axeSource = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

/** Every test fails when the page throws, logs an error or breaks its own content security policy. */
export const test = base.extend<{ quiet: void; expected: RegExp | null }>({
  /** Errors that a test brings about itself. */
  expected: [null, { option: true }],
  quiet: [
    async ({ context, expected, serviceWorkers }, use) => {
      // The news that nothing is kept would come between pressing and letting go of a button, and move it.
      if (serviceWorkers === 'block')
        await context.addInitScript(() => {
          const { serviceWorker } = navigator as Partial<Navigator>;
          if (serviceWorker) serviceWorker.register = () => new Promise(() => undefined);
        });
      const loud: string[] = [];
      context.on('console', (message) => {
        if (message.type() === 'error') loud.push(message.text());
      });
      context.on('weberror', (error) => loud.push(error.error().message));
      await use();
      expect(expected ? loud.filter((text) => !expected.test(text)) : loud, 'errors in the console').toEqual([]);
    },
    { auto: true },
  ],
});
export { expect };

interface AxeResults {
  violations: { id: string; impact: string | null; nodes: { html: string; failureSummary: string }[] }[];
}

/** Serious and critical findings of axe on the page as it stands. */
export async function seriousAxe(page: Page): Promise<string[]> {
  await page.evaluate(axeSource);
  const results = await page.evaluate(() =>
    (window as unknown as { axe: { run: (root: Document, options: object) => Promise<AxeResults> } }).axe.run(
      document,
      {
        // Describing what passed takes longer than finding what does not.
        resultTypes: ['violations'],
      },
    ),
  );
  return results.violations
    .filter((v) => v.impact === 'serious' || v.impact === 'critical')
    .map((v) => `${v.id}: ${v.nodes.map((n) => `${n.html} ${n.failureSummary}`).join(' | ')}`);
}

/** Text of the verdict and of what is found that is read at less than 7:1 (WCAG 2.2, 1.4.6). */
export async function paleVerdicts(page: Page): Promise<string[]> {
  await page.evaluate(axeSource);
  const results = await page.evaluate(() =>
    (window as unknown as { axe: { run: (context: object, options: object) => Promise<AxeResults> } }).axe.run(
      { include: [['[data-testid="verdict"]'], ['[data-finding]']] },
      { runOnly: ['color-contrast-enhanced'], rules: { 'color-contrast-enhanced': { enabled: true } } },
    ),
  );
  return results.violations.flatMap((v) => v.nodes.map((n) => `${n.html} ${n.failureSummary}`));
}

/** Opens a place of a workspace and waits until its data is there. */
export async function open(page: Page, path: string) {
  await page.goto(path);
  await loaded(page);
}

/**
 * Goes on to another place, within the page where it can: what is to be seen of many places does not load the program
 * for each.
 */
export async function goOn(page: Page, path: string) {
  const [, workspace, room, , way] = path.split(/[/?]/);
  const within = await page.evaluate(
    ([path, start]) => {
      if (!document.querySelector('#content') || !location.pathname.startsWith(`${start}/`)) return false;
      history.pushState({}, '', path);
      dispatchEvent(new PopStateEvent('popstate', { state: {} }));
      return true;
    },
    [path, `/${workspace}`] as const,
  );
  // Without the frame around it, or an address that no link leads to.
  if (!within || way === 'run' || room === undefined || room === 'nowhere') return open(page, path);
  await page.locator(`#content[data-at="${path}"]`).waitFor();
  await loaded(page);
}

async function loaded(page: Page) {
  // Looked at in every frame: an assertion that is repeated looks again after a second only, hundreds of times in a
  // run.
  await page.waitForFunction(
    () => document.querySelector('main') && !/^(Opening the workspace|Loading) …$/m.test(document.body.innerText),
  );
}

/** Everything written so far is on disk. */
export const saved = (page: Page) => expect(page.getByTestId('save-state')).toContainText('Saved');

/** Walks with Tab until the element has the focus: what cannot be reached that way fails. */
export async function tabTo(page: Page, target: Locator) {
  await expect(target).toBeVisible();
  const reached = () => target.evaluate((element) => element === document.activeElement);
  if (await reached()) return;
  // Looking after every press takes longer than pressing: most of the way is walked by a guess, short of the target
  // rather than past it.
  const guess = await target.evaluate((element) => {
    const all = [
      ...document.querySelectorAll<HTMLElement>('a[href], button, input, select, textarea, summary, [tabindex]'),
    ];
    const stops = all.filter(
      (e) => e === element || (e.tabIndex >= 0 && !e.matches(':disabled') && e.checkVisibility()),
    );
    const from = stops.indexOf(document.activeElement as HTMLElement);
    const to = stops.indexOf(element as HTMLElement);
    return to > from ? to - from : stops.length - from + to;
  });
  for (let i = 0; i < Math.min(guess, 150) - 3; i += 1) await page.keyboard.press('Tab');
  if (await reached()) return;
  for (let i = 0; i < 150; i += 1) {
    await page.keyboard.press('Tab');
    if (await reached()) return;
  }
  throw new Error(`not reached with Tab: ${String(target)}`);
}

export async function press(page: Page, target: Locator, key = 'Enter') {
  await tabTo(page, target);
  await page.keyboard.press(key);
}

/** Types into a field, by keyboard only. */
export async function type(page: Page, label: string | RegExp, text: string, root: Page | Locator = page) {
  await tabTo(page, root.getByLabel(label, typeof label === 'string' ? { exact: true } : {}));
  await page.keyboard.press('Control+A');
  await page.keyboard.type(text);
}

/** Picks an option of a select by typing its beginning, by keyboard only. */
export async function pick(page: Page, label: string | RegExp, option: string) {
  const select = page.getByLabel(label, typeof label === 'string' ? { exact: true } : {});
  await tabTo(page, select);
  await page.keyboard.type(option);
  await expect(select.locator('option:checked')).toHaveText(option);
}

export const verdict = (page: Page) => page.getByTestId('verdict');
/** Codes on the screen in their order; `open` leaves out those against which nothing was found. */
export async function codes(page: Page, open = false): Promise<string[]> {
  await expect(page.locator('[data-finding]').first()).toBeAttached();
  return page
    .locator(`[data-finding]${open ? ':not([data-severity="clear"])' : ''}`)
    .evaluateAll((rows) => rows.map((row) => row.getAttribute('data-finding')!));
}

interface AskedItem {
  readonly id: string;
  readonly expected: string;
  readonly others: readonly string[];
}
/** Items of the check on a page, read once: they do not change while it runs. */
const askedOn = new WeakMap<Page, { readonly path: string; readonly items: readonly AskedItem[] }>();

/** What the check that stands on the page asks, from the record in the database. */
async function askedItems(page: Page): Promise<readonly AskedItem[]> {
  const path = new URL(page.url()).pathname;
  const there = askedOn.get(page);
  if (there?.path === path) return there.items;
  await saved(page);
  const items = await page.evaluate(async () => {
    const name = `zevrin-${location.pathname.split('/')[1]}`;
    const db = await new Promise<IDBDatabase>((resolve, reject) => {
      const request = indexedDB.open(name);
      request.onsuccess = () => resolve(request.result);
      request.onerror = () => reject(new Error('cannot open'));
    });
    const checks = await new Promise<{ doc: { id: string; items: AskedItem[] } }[]>((resolve) => {
      const request = db.transaction('checks').objectStore('checks').getAll();
      request.onsuccess = () => resolve(request.result as never);
    });
    db.close();
    return checks.find((c) => c.doc.id === location.pathname.split('/').at(-1))!.doc.items;
  });
  askedOn.set(page, { path, items });
  return items;
}

/**
 * Somebody looks before they answer: the check gives nobody an answer to press before what is new on the screen has
 * stood there for a moment, and asks again what came quicker than anybody can look. That time is passed over by the
 * page's clock, not waited out: over all jobs it would be minutes.
 */
export async function looked(page: Page) {
  if (!clocks.has(page)) await page.clock.install();
  clocks.add(page);
  await page.clock.fastForward(LOOK_MS);
}
const LOOK_MS = 2500;
const clocks = new WeakSet<Page>();

/** A text of an item as it stands on a button: its numbers are whatever they are. */
const asShown = (text: string) =>
  new RegExp(`^${text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&').replace(/\\\{\w+\\\}/g, '.+')}$`);

/** The answer to give for the item that stands on a half, as a partner would know it. */
export async function answer(page: Page, who: 'climber' | 'partner', expected = true) {
  const half = page.locator(`[data-half="${who}"]`);
  const asked = half.locator('[data-item]').first();
  await asked.waitFor();
  const id = await asked.getAttribute('data-item');
  const item = (await askedItems(page)).find((i) => i.id === id)!;
  const said = expected ? item.expected : item.others[0]!;
  await looked(page);
  const left = await half.getAttribute('data-left');
  await asked.getByRole('button', { name: asShown(inWords(said, await wordsOf(page))) }).click();
  // The answer is taken: another one is asked for, here or in the other half, or nothing is left.
  if (expected) await expect(page.locator(`[data-half="${who}"][data-left="${left}"]`)).toHaveCount(0);
}

/** Goes through all that is left of a check, each half at a time; what was left open by the plan first. */
export async function answerAll(page: Page, halves: readonly ('climber' | 'partner')[] = ['climber']) {
  const open = page.getByRole('region', { name: 'Before the check' });
  const close = page.getByRole('button', { name: 'Close the check' });
  const half = page.locator('[data-half="climber"]');
  await half.waitFor();
  while (await open.isVisible()) await answer(page, 'climber');
  for (const who of halves) await answerHalf(page, who);
  await close.waitFor();
}

/** Goes through all that one of the two is asked, with what comes back to them. */
export async function answerHalf(page: Page, who: 'climber' | 'partner') {
  const within = (what: string) => page.locator(`[data-half="${who}"] ${what}`);
  while ((await within('[data-item], [data-turned]').count()) > 0)
    if ((await within('[data-item]').count()) > 0) await answer(page, who);
    else await answerTurned(page, who);
}

/** Says of what comes back the other way round what it is not. */
async function answerTurned(page: Page, who: 'climber' | 'partner') {
  const back = page.locator(`[data-half="${who}"] [data-turned]`);
  const id = await back.getAttribute('data-turned');
  const { others } = (await askedItems(page)).find((i) => i.id === id)!;
  await looked(page);
  for (const other of others)
    await back.getByRole('button', { name: asShown(inWords(other, await wordsOf(page))) }).click();
  await back.getByRole('button', { name: 'I saw none of those' }).click();
  await expect(back).toHaveCount(0);
}

/** In which words the page is read. */
const wordsOf = (page: Page): Promise<Vocabulary> =>
  page.evaluate(
    () => (JSON.parse(localStorage.getItem('zevrin-preferences') ?? '{}') as { words?: Vocabulary }).words ?? 'rappel',
  );

/** Run mode: looks at everything that stands before the step, and does it; how many looks there were. */
export async function doStep(page: Page): Promise<number> {
  const looks = page.getByRole('region', { name: 'Stop and look' }).getByRole('button');
  await expect(page.getByRole('button', { name: /^(Done|Look first)/ })).toBeVisible();
  const count = await looks.count();
  for (let i = 0; i < count; i += 1) await looks.nth(i).click();
  await page.getByRole('button', { name: /^Done/ }).click();
  return count;
}

/**
 * Picks something up by its handle and moves it up by one, with the keyboard; what is said to a screen reader tells
 * when each key has been taken.
 */
export async function moveUp(page: Page, handle: Locator) {
  const said = page.locator('[id^="DndLiveRegion"]').first();
  await handle.focus();
  await page.keyboard.press('Space');
  await expect(said).toContainText('was moved over');
  const before = await said.innerText();
  await page.keyboard.press('ArrowUp');
  await expect(said).not.toHaveText(before);
  await page.keyboard.press('Space');
}

/** "What are you going to do?": one answer makes the set-up. */
export async function begin(page: Page, what: string) {
  const question = page.getByRole('region', { name: 'What are you going to do?' });
  if (!(await question.isVisible())) await page.getByRole('button', { name: 'New set-up' }).click();
  await question.getByRole('button', { name: what, exact: true }).click();
  await expect(page).toHaveURL(/\/setups\/.+/);
}
