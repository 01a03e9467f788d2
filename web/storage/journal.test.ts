// @vitest-environment jsdom
import 'fake-indexeddb/auto';
import fc from 'fast-check';
import { IDBFactory } from 'fake-indexeddb';
import { beforeEach, describe, expect, it } from 'vitest';
import { emptyWorkspace } from '@core/records/files';
import { club } from '@core/samples';
import { createStore } from '../store/store';
import { edited, loaded } from '../store/workspace-slice';
import { put, remove, type Doc } from './changes';
import { openDatabase, type Database } from './database';
import { openJournal } from './journal';
import { VERSION } from '@core/records/files';

beforeEach(() => {
  globalThis.indexedDB = new IDBFactory();
  localStorage.clear();
});

const rope = club.longRope;
const sling = club.clubItems.find((i) => i.kind === 'sling')!;
const seeded = { ...emptyWorkspace(), items: [rope, sling] };
const kept = () => Object.keys(localStorage).filter((key) => key.startsWith('zevrin-waiting'));
const named = (text: string) => ({ ...rope, name: text });

/**
 * What happens to the writes of a page: each is done, or the page dies before it, or right after it and before it hears
 * so.
 */
type Fate = 'done' | 'before' | 'after';

/** A page over the database whose writes end as told; from the first that dies on, nothing of it arrives any more. */
async function page(tab: string, fates: readonly Fate[]) {
  const database = await openDatabase('mine');
  const never = new Promise<never>(() => undefined);
  let n = 0;
  let dead = false;
  const dying: Pick<Database, 'write' | 'replace' | 'load' | 'revision'> = {
    ...database,
    write: async (changes, mark) => {
      const fate = fates[n++] ?? 'done';
      if (dead || fate === 'before') dead = true;
      if (dead) return never;
      const result = await database.write(changes, mark);
      if (fate === 'after') dead = true;
      return dead ? never : result;
    },
  };
  const journal = openJournal('mine', database.born, tab);
  const { store, sync } = createStore({ database: dying, tell: () => undefined, journal });
  const { workspace, revision, revisionOf } = await database.load();
  store.dispatch(loaded(workspace));
  sync.start({ revision, revisionOf });
  const waiting = await journal.left();
  await Promise.race([sync.resume(waiting.left), new Promise((after) => setTimeout(after, 20))]);
  const items = () => store.getState().workspace.data.items;
  const step = (...changes: Parameters<typeof edited>[0]['changes']) =>
    store.dispatch(edited({ label: 'step', changes, mergeKey: null }));
  return { database, store, sync, items, step, unreadable: waiting.unreadable };
}
const disk = async (database: Database) => (await database.load()).workspace.items;
const byId = (docs: readonly Doc[]) => [...docs].sort((a, b) => (a.id < b.id ? -1 : 1));
const begin = async () => {
  const first = await openDatabase('mine');
  await first.replace(seeded);
  first.close();
};

describe('a page that goes before its change is on the disk', () => {
  it.each(['before', 'after'] as const)('%s it was written: the next page has it, once', async (fate) => {
    await begin();
    const first = await page('a', [fate]);
    first.step(remove('items', sling));
    await new Promise((later) => setTimeout(later, 20));
    expect((await disk(first.database)).length).toBe(fate === 'before' ? 2 : 1);
    expect(kept().length).toBe(1);
    const second = await page('b', []);
    expect(second.items().map((i) => i.id)).toEqual([rope.id]);
    expect((await disk(second.database)).map((i) => i.id)).toEqual([rope.id]);
    expect(kept()).toEqual([]);
  });

  it('what was written already is not put onto what came after it', async () => {
    await begin();
    const first = await page('a', ['after']);
    first.step(put('items', rope, named('Mine')));
    await new Promise((later) => setTimeout(later, 20));
    // Another tab, open all the while, writes over it; then the first page is opened anew.
    await first.database.write([put('items', named('Mine'), named('Later'))]);
    const second = await page('b', []);
    expect(second.items()[0]!.name).toBe('Later');
    expect(kept()).toEqual([]);
  });

  it('whatever is done and wherever pages die, nothing is lost, nothing is done twice and nothing stays behind', async () => {
    const act = fc.record(
      { kind: fc.constantFrom('name', 'remove', 'add'), text: fc.string({ minLength: 1, maxLength: 4 }) },
      { noNullPrototype: true },
    );
    const life = fc.record(
      {
        acts: fc.array(act, { minLength: 1, maxLength: 4 }),
        fates: fc.array(fc.constantFrom<Fate>('done', 'done', 'before', 'after'), { maxLength: 5 }),
      },
      { noNullPrototype: true },
    );
    await fc.assert(
      fc.asyncProperty(fc.array(life, { minLength: 1, maxLength: 3 }), async (lives) => {
        globalThis.indexedDB = new IDBFactory();
        localStorage.clear();
        await begin();
        let meant: readonly Doc[] = seeded.items;
        let n = 0;
        for (const [i, { acts, fates }] of lives.entries()) {
          const now = await page(`page-${i}`, fates);
          // What the page shows is what was meant, although not everything of it may be written.
          expect(byId(now.items())).toEqual(byId(meant));
          for (const { kind, text } of acts) {
            const there = now.items();
            const last = there.at(-1);
            if (kind === 'add') now.step(put('items', null, { ...sling, id: `new-${(n += 1)}`, name: `N${text}` }));
            else if (last && kind === 'remove') now.step(remove('items', last));
            else if (last) now.step(put('items', last, { ...last, name: `N${text}` }));
          }
          meant = now.items();
          await new Promise((later) => setTimeout(later, 0));
          now.database.close();
        }
        const end = await page('end', []);
        await end.sync.drained();
        expect(byId(end.items())).toEqual(byId(meant));
        expect(byId(await disk(end.database))).toEqual(byId(meant));
        expect(kept()).toEqual([]);
        end.database.close();
      }),
      { numRuns: 40 },
    );
  });
});

describe('what is kept', () => {
  const journal = (born: unknown = 'one', storage: Storage | null = localStorage) =>
    openJournal('mine', born, 'a', storage);

  it('is read in the order of its writing, also past ten', async () => {
    const first = journal();
    for (let i = 0; i < 12; i += 1) first.keep([put('items', rope, named(`N${i}`))]);
    const { left } = await journal().left();
    expect(left.map(({ mark }) => mark.n)).toEqual(Array.from({ length: 12 }, (_, i) => i + 1));
  });

  it('of another database, or torn, is dropped; of another workspace it is left alone', async () => {
    journal('old').keep([remove('items', rope)]);
    localStorage.setItem('zevrin-waiting/mine/a/000000009', '{"version":12,"chan');
    localStorage.setItem('zevrin-waiting/demo/a/000000001', 'x');
    expect(await journal('new').left()).toEqual({ left: [], unreadable: [] });
    expect(kept()).toEqual(['zevrin-waiting/demo/a/000000001']);
  });

  /** Changes what is kept under the only key, as another version would have written it. */
  const rewrite = (how: (was: { version: number; changes: { after: object }[] }) => object) => {
    const [key] = kept();
    localStorage.setItem(key!, JSON.stringify(how(JSON.parse(localStorage.getItem(key!)!) as never)));
  };

  it('of a newer version, or not fitting this one, is shown as unreadable, and stays until everything is replaced', async () => {
    journal().keep([put('items', rope, named('x'))]);
    rewrite((was) => ({ ...was, version: VERSION + 1 }));
    expect(await journal().left()).toEqual({ left: [], unreadable: [named('x')] });
    rewrite((was) => ({
      ...was,
      version: VERSION,
      changes: [{ ...was.changes[0], after: { ...named('x'), lengthM: 'long' } }],
    }));
    const next = journal();
    expect(await next.left()).toEqual({ left: [], unreadable: [{ ...named('x'), lengthM: 'long' }] });
    expect(kept()).toHaveLength(1);
    next.forget();
    expect(kept()).toEqual([]);
  });

  it('of an older version is brought up by the steps of the database', async () => {
    const { staticStretchPercent, stretchTest, ...of12 } = rope;
    expect([staticStretchPercent, stretchTest]).not.toContain(undefined);
    journal().keep([put('items', null, of12 as Doc)]);
    rewrite((was) => ({ ...was, version: 12 }));
    const { left, unreadable } = await journal().left();
    expect(unreadable).toEqual([]);
    expect(left[0]!.changes[0]!.after).toEqual({ ...rope, staticStretchPercent: null, stretchTest: 'standard' });
  });

  it('and could not be read is gone after a wipe', async () => {
    await begin();
    const first = await page('a', ['before']);
    first.step(put('items', rope, named('Mine')));
    await new Promise((later) => setTimeout(later, 20));
    rewrite((was) => ({ ...was, version: VERSION + 1 }));
    const second = await page('b', []);
    expect(second.unreadable).toEqual([named('Mine')]);
    await second.sync.replace((database) => database.replace(emptyWorkspace()));
    expect(kept()).toEqual([]);
    expect((await page('c', [])).unreadable).toEqual([]);
  });

  it('where there is no room or no storage nothing is kept, and the page asks before it goes', async () => {
    const full = {
      setItem: () => {
        throw new DOMException('full', 'QuotaExceededError');
      },
    } as unknown as Storage;
    expect(journal('one', full).keep([remove('items', rope)])).toBeNull();
    expect(journal('one', null).keep([remove('items', rope)])).toBeNull();
    expect(await journal('one', null).left()).toEqual({ left: [], unreadable: [] });
    const hangs = {
      write: () => new Promise<never>(() => undefined),
      replace: () => new Promise<never>(() => undefined),
      load: () => Promise.reject(new Error('not asked')),
      revision: () => Promise.resolve(0),
    };
    for (const [storage, asks] of [
      [full, true],
      [null, true],
      [localStorage, false],
    ] as const) {
      const { store, sync } = createStore({
        database: hangs,
        tell: () => undefined,
        journal: journal('one', storage),
      });
      store.dispatch(loaded(seeded));
      store.dispatch(edited({ label: 'step', changes: [remove('items', rope)], mergeKey: null }));
      await Promise.resolve();
      expect(sync.pending()).toBe(1);
      expect(sync.atRisk()).toBe(asks);
    }
  });
});
