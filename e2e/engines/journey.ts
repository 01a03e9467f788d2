import { constants, inflateSync } from 'node:zlib';
import { inWords } from '../../core/foundations/vocabulary/index.ts';
import { until } from './driver.ts';
import type { Page } from './page.ts';

/** What comes sooner than anybody can look is asked again: the clock of the page goes on by as long as a look. */
const LOOKING_TAKES_TIME = `() => {
  const Real = Date;
  let shiftMs = 0;
  globalThis.lookLonger = () => { shiftMs += 3000; };
  globalThis.Date = class extends Real {
    constructor(...given) { if (given.length > 0) super(...given); else super(Real.now() + shiftMs); }
    static now() { return Real.now() + shiftMs; }
  };
}`;

/** A text of an item as it stands on a button: its numbers are whatever they are. */
const asShown = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&').replace(/\\\{\w+\\\}/g, '.+');

/**
 * One thing that people do, from where it begins to where its end is seen. What an engine cannot be asked for is said,
 * and nothing is claimed of it.
 */
export interface Part {
  readonly title: string;
  /** Also in the tests, where the engine is there. */
  readonly short: boolean;
  readonly go: (page: Page, base: string, server: { readonly stop: () => Promise<void> }) => Promise<string | void>;
}

/** The text that the page would have saved as a file, once a button is pressed. */
async function fileFrom(page: Page, button: string): Promise<string> {
  await page.driver.run(
    `() => {
      const make = URL.createObjectURL;
      URL.createObjectURL = (blob) => { window.__file = blob; return make.call(URL, blob); };
      HTMLAnchorElement.prototype.click = () => undefined;
    }`,
    [],
  );
  await page.press('button', button);
  await until('a file', () => page.driver.run<boolean>('() => window.__file instanceof Blob', []));
  await page.driver.run('() => void window.__file.text().then((text) => (window.__text = text))', []);
  return until('its text', () => page.driver.run<string | null>('() => window.__text ?? null', []));
}

/** Hands a file to the field that asks for one. */
const giveFile = (page: Page, label: string, text: string) =>
  page.driver.run(
    `(label, text) => {
      const field = [...document.querySelectorAll('input[type="file"]')].find((f) => f.getAttribute('aria-label') === label);
      const carried = new DataTransfer();
      carried.items.add(new File([text], 'own.zevrin.json', { type: 'application/json' }));
      field.files = carried.files;
      field.dispatchEvent(new Event('change', { bubbles: true }));
    }`,
    [label, text],
  );

interface AskedItem {
  readonly id: string;
  readonly expected: string;
  readonly others: readonly string[];
}
/** The items of the check that stands on the page, as its record has them: as soon as it is on the disk. */
const askedItems = (page: Page) =>
  until('the items of the check', () =>
    page.driver.run<readonly AskedItem[] | null>(
      `() => {
        const [, place, , id] = location.pathname.split('/');
        const request = indexedDB.open('zevrin-' + place);
        request.onsuccess = () => {
          const get = request.result.transaction('checks').objectStore('checks').get(id);
          get.onsuccess = () => { window.__items = get.result?.doc.items.map(({ id, expected }) => ({ id, expected })); request.result.close(); };
        };
        return window.__items ?? null;
      }`,
      [],
    ),
  );

/** Pages of a PDF, whose parts may stand packed inside of it (ISO 32000-1:2008, 7.5.7: object streams). */
function pagesIn(pdf: Uint8Array): number {
  const bytes = Buffer.from(pdf);
  const text = bytes.toString('latin1');
  const packed = [...text.matchAll(/stream\r?\n/g)].map(({ index, 0: { length } }) => {
    try {
      return inflateSync(bytes.subarray(index + length), { finishFlush: constants.Z_SYNC_FLUSH }).toString('latin1');
    } catch {
      return '';
    }
  });
  return [text, ...packed].join('\n').match(/\/Type\s*\/Page\b/g)?.length ?? 0;
}

export const JOURNEY: readonly Part[] = [
  {
    title: 'the first page, six questions, a verdict',
    short: true,
    async go(page, base) {
      await page.driver.go(`${base}/`);
      await page.press('link', 'Rappel on two strands');
      await page.see('heading', 'A first answer');
      await page.fill('Thickness of the rope', '9.6');
      await page.press('radio', 'Single rope');
      await page.press('radio', 'Tube with brake grooves');
      await page.fill('You weigh', '74');
      await page.press('radio', 'Left');
      await page.press('button', 'Show the answer');
      await page.at(/^\/mine\/setups\/.+/);
      const verdict = await page.verdict();
      if (!/^(Caution|Not tested)/.test(verdict)) throw new Error(`the verdict is: ${verdict}`);
      await page.saved();
    },
  },
  {
    title: 'what was entered is there after a reload; the drawing is dragged, and a change judged and undone',
    short: false,
    async go(page, base) {
      await page.driver.go(`${base}/demo/setups/setup-low-span`);
      await page.verdict();
      await page.fill('Name of the set-up', 'Span, named here');
      await page.saved();
      await page.driver.reload();
      await until(
        'the name',
        async () => (await page.find('field', 'Name of the set-up'))?.value === 'Span, named here',
      );
      const grip = /along the rope$/;
      const at = () =>
        page.driver.run<number>(
          `() => Number([...document.querySelectorAll('[role="slider"]')].find((e) => /along the rope$/.test(e.getAttribute('aria-label'))).getAttribute('aria-valuenow'))`,
          [],
        );
      const from = await page.see('grip', grip);
      const before = await at();
      await page.driver.point([from, { x: from.x, y: from.y + 30 }, { x: from.x, y: from.y + 70 }]);
      await until('the figure lower on the rope', async () => (await at()) > before + 0.5);
    },
  },
  {
    title: 'a check, face to face, to its end and into the log',
    short: false,
    async go(page, base) {
      await page.driver.go(`${base}/demo/setups/setup-ledge`);
      await page.press('button', 'Check before use');
      await page.press('button', /^Face to face/);
      await page.at(/\/check\//);
      const items = await askedItems(page);
      await page.driver.run(LOOKING_TAKES_TIME, []);
      const press = (words: string, within: string) =>
        page.press('button', new RegExp(`^${asShown(inWords(words, 'rappel'))}$`), within);
      for (const who of ['climber', 'partner']) {
        const half = `[data-half="${who}"]`;
        const asked = () =>
          page.driver.run<string | null>(
            `(half) => document.querySelector(half + ' [data-item]')?.getAttribute('data-item') ?? null`,
            [half],
          );
        for (let id = await asked(); id !== null; id = await asked()) {
          await page.driver.run('() => globalThis.lookLonger()', []);
          await press(items.find((i) => i.id === id)!.expected, `${half} [data-item="${id}"]`);
          await until(`${id} taken`, async () => (await asked()) !== id);
        }
        // In one check of four something comes back the other way round.
        const back = await page.driver.run<string | null>(
          `(half) => document.querySelector(half + ' [data-turned]')?.getAttribute('data-turned') ?? null`,
          [half],
        );
        if (back === null) continue;
        for (const other of items.find((i) => i.id === back)!.others) await press(other, `${half} [data-turned]`);
        await press('I saw none of those', `${half} [data-turned]`);
      }
      await page.press('button', 'Close the check');
      await page.at(/\/log\//);
      await page.see('text', /Complete, face to face/);
    },
  },
  {
    title: 'an order done step by step, with a reload in between',
    short: false,
    async go(page, base) {
      await page.driver.go(`${base}/demo/steps/sequence-wall/run`);
      const step = () =>
        until('a step', () =>
          page.driver.run<string | null>(`() => /Step (\\d+)/.exec(document.body.innerText)?.[1] ?? null`, []),
        );
      const first = await step();
      const looks = '[aria-label="Stop and look"]';
      for (let i = 0; i < 3; i += 1) {
        const now = await step();
        await page.see('button', /^(Done|Look first)/);
        while ((await page.find('button', /^Look first/)) !== null)
          await page.driver.run(`(at) => document.querySelector(at + ' button:not([aria-pressed="true"])')?.click()`, [
            looks,
          ]);
        await page.press('button', /^Done/);
        await until('the next step', async () => (await step()) !== now);
      }
      const reached = await step();
      if (reached === first) throw new Error('no step was done');
      await page.driver.reload();
      await until('the same step after a reload', async () => (await step()) === reached);
    },
  },
  {
    title: 'a fall, simulated a hundred times beside the page',
    short: false,
    async go(page, base) {
      await page.driver.go(`${base}/demo/setups/setup-wall-lead/catch`);
      await page.see('text', /Force on the climber, of 100 falls/);
      await until('findings', () =>
        page.driver.run<boolean>(`() => document.querySelector('[data-finding="catch.first-piece"]') !== null`, []),
      );
      await until('curves', () =>
        page.driver.run<boolean>(`() => document.querySelectorAll('.recharts-surface path').length > 3`, []),
      );
    },
  },
  {
    title: 'a set-up shared by a link, and taken',
    short: false,
    async go(page, base) {
      await page.driver.go(`${base}/demo/setups/setup-high-span/share`);
      const link = await until('the link', async () => (await page.find('field', 'The link'))?.value || null);
      await page.driver.go(link);
      await page.press('button', 'Take it as a copy');
      await page.at(/\/setups\/.+/);
      await until('the copy', async () =>
        /\(shared\)$/.test((await page.find('field', 'Name of the set-up'))?.value ?? ''),
      );
    },
  },
  {
    title: 'everything exported, wiped, and read in again',
    short: true,
    async go(page, base) {
      await page.driver.go(`${base}/demo/files`);
      const text = await fileFrom(page, 'Export everything');
      await page.driver.reload();
      await page.press('button', 'Wipe everything');
      await page.press('button', 'Wipe it');
      await page.see('text', /holds 0 items/);
      await giveFile(page, 'Zevrin file to read', text);
      await page.press('button', 'Replace everything with it');
      await page.gone('text', /holds 0 items/);
      await page.driver.reload();
      const again = await fileFrom(page, 'Export everything');
      if (again !== text) throw new Error('what was read in is not what was exported');
    },
  },
  {
    title: 'the card on paper',
    short: false,
    async go(page, base) {
      await page.driver.go(`${base}/demo/setups/setup-low-span/card`);
      await page.see('heading', /.+/);
      const paper = await page.driver.print();
      if (paper === null) return 'its driver prints nothing';
      const pages = pagesIn(paper);
      if (pages !== 1) throw new Error(`${pages} pages of paper`);
    },
  },
  {
    title: 'with the server stopped: a reload, and a page that was never opened',
    short: false,
    async go(page, base, server) {
      await page.driver.go(`${base}/demo/setups/setup-low-span`);
      await page.verdict();
      const keeps = await page.driver.run<boolean>(`() => 'serviceWorker' in navigator`, []);
      if (!keeps) return 'it keeps no page for use without a network here';
      await page.driver.run(
        `() => void navigator.serviceWorker.ready.then((r) => { const look = () => (window.__kept = r.active?.state); look(); r.active?.addEventListener('statechange', look); })`,
        [],
      );
      const kept = await until('the program kept', () =>
        page.driver.run<boolean>(`() => window.__kept === 'activated'`, []),
      ).catch(() => false);
      if (!kept) return 'it keeps no page for use without a network here';
      await server.stop();
      await page.driver.reload();
      await page.verdict();
      await page.driver.go(`${base}/demo/setups/setup-wall-down/holds`);
      await page.see('heading', /.+/);
    },
  },
];
