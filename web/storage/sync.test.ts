import 'fake-indexeddb/auto';
import fc from 'fast-check';
import { IDBFactory } from 'fake-indexeddb';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { COLLECTIONS, type Workspace } from '@core/records/files';
import { demoWorkspace } from '@core/samples';
import { createStore } from '../store/store';
import { edited, loaded, redone, replaced, undone } from '../store/workspace-slice';
import { put, remove, type Change } from './changes';
import { DatabaseGone, openDatabase, type Database, type Loaded } from './database';
import { resolve, type Note } from './resolve';
import { NoRoom } from './room';
import { createSync, type TabMessage, type SaveState } from './sync';

beforeEach(() => {
  globalThis.indexedDB = new IDBFactory();
});

const demo = demoWorkspace();
const small: Workspace = { ...demo, items: demo.items.slice(0, 3), setups: demo.setups.slice(0, 2), checks: [] };
const sorted = (w: Workspace) =>
  Object.fromEntries(
    COLLECTIONS.map((c) => [c, [...w[c]].sort((a, b) => (a.id < b.id ? -1 : 1))]),
  ) as unknown as Workspace;
const pause = () => new Promise((resolve) => setTimeout(resolve, 0));

/** Tabs over one database, with a channel that delivers each message late, in another order, or never. */
async function tabs(
  count: number,
  channel: { readonly drops: (n: number) => boolean; readonly lateMs: (n: number) => number },
) {
  const first = await openDatabase('mine');
  await first.replace(small);
  first.close();
  const notes: Note[] = [];
  const all: { readonly tab: ReturnType<typeof createStore>; readonly database: Database }[] = [];
  let sent = 0;
  let underway = 0;
  for (let i = 0; i < count; i += 1) {
    const database = await openDatabase('mine');
    const tab = createStore({
      database,
      tell: (message: TabMessage) =>
        all.forEach(({ tab: other }, j) => {
          const n = (sent += 1);
          if (j === i || channel.drops(n)) return;
          underway += 1;
          // As the channel of a browser does, a copy is sent.
          const copy = structuredClone(message);
          setTimeout(() => {
            underway -= 1;
            other.sync.hear(copy);
          }, channel.lateMs(n));
        }),
      onNotes: (more, here) => here && notes.push(...more),
      later: (then) => void setTimeout(then, 15),
    });
    const { workspace, revision, revisionOf } = await database.load();
    tab.store.dispatch(loaded(workspace));
    tab.sync.start({ revision, revisionOf });
    all.push({ tab, database });
  }
  const data = (i: number) => all[i]!.tab.store.getState().workspace.data;
  /** Until nothing waits, nothing is on its way, and missing messages were looked up. */
  const settle = async () => {
    do {
      await Promise.all(all.map(({ tab }) => tab.sync.drained()));
      await pause();
    } while (underway > 0 || all.some(({ tab }) => tab.sync.pending() > 0));
    for (const { tab } of all) await tab.sync.catchUp();
    await new Promise((resolve) => setTimeout(resolve, 25));
  };
  const disk = async () => (await all[0]!.database.load()).workspace;
  const close = () => all.forEach(({ database }) => database.close());
  return { all, data, settle, disk, notes, close };
}

type Act =
  | { readonly kind: 'name' | 'note'; readonly at: number; readonly text: string }
  | { readonly kind: 'remove'; readonly at: number }
  | { readonly kind: 'add'; readonly at: number }
  | { readonly kind: 'undo' | 'redo' | 'wait' };
const act: fc.Arbitrary<readonly [number, Act]> = fc.tuple(
  fc.nat({ max: 1 }),
  fc.oneof(
    {
      weight: 6,
      arbitrary: fc.record(
        {
          kind: fc.constantFrom('name', 'note'),
          at: fc.nat({ max: 2 }),
          text: fc.string({ minLength: 1, maxLength: 3 }),
        },
        { noNullPrototype: true },
      ),
    },
    {
      weight: 2,
      arbitrary: fc.record(
        { kind: fc.constantFrom('remove', 'add'), at: fc.nat({ max: 2 }) },
        { noNullPrototype: true },
      ),
    },
    {
      weight: 3,
      arbitrary: fc.record({ kind: fc.constantFrom('undo', 'redo', 'wait') }, { noNullPrototype: true }),
    },
  ),
);

function perform(store: ReturnType<typeof createStore>['store'], doing: Act, n: number) {
  const { setups } = store.getState().workspace.data;
  const step = (label: string, changes: readonly Change[]) =>
    store.dispatch(edited({ label, changes, mergeKey: null }));
  const pick = (at: number) => setups[at % Math.max(1, setups.length)];
  switch (doing.kind) {
    case 'undo':
      return store.dispatch(undone());
    case 'redo':
      return store.dispatch(redone());
    case 'wait':
      return undefined;
    case 'add':
      return step('add', [put('setups', null, { ...small.setups[doing.at % 2]!, id: `new-${n}`, name: `New ${n}` })]);
    case 'remove': {
      const setup = pick(doing.at);
      return setup && step('remove', [remove('setups', setup)]);
    }
    case 'name':
    case 'note': {
      const setup = pick(doing.at);
      return setup && step(doing.kind, [put('setups', setup, { ...setup, [doing.kind]: doing.text.trim() || 'x' })]);
    }
  }
}

/**
 * Tabs over one database in memory. When a call reaches the disk, when its answer comes back, when a message or a look
 * at the clock comes: the scheduler of the law says, so that every order can happen, the same one twice, and none hangs
 * on real milliseconds.
 */
function scheduledTabs(s: fc.Scheduler, count: number, drops: (n: number) => boolean) {
  const turn = () => s.schedule(Promise.resolve());
  const docs = new Map(COLLECTIONS.flatMap((c) => small[c].map((doc) => [`${c}/${doc.id}`, { doc: doc, at: 1 }])));
  let revision = 1;
  const now = (): Workspace =>
    Object.fromEntries(
      COLLECTIONS.map((c) => [c, [...docs].flatMap(([key, { doc }]) => (key.startsWith(`${c}/`) ? [doc] : []))]),
    ) as unknown as Workspace;
  const snapshot = (): Loaded => {
    const at = new Map([...docs].map(([key, entry]) => [key, entry.at]));
    return {
      workspace: now(),
      unreadable: [],
      revision,
      revisionOf: (collection, id) => at.get(`${collection}/${id}`) ?? 0,
    };
  };
  /** Asked, done on the disk at once and whole, answered. */
  const call = async <T>(work: () => T): Promise<T> => {
    await turn();
    const result = work();
    await turn();
    return result;
  };
  const database: Pick<Database, 'write' | 'replace' | 'load' | 'revision'> = {
    write: (changes) =>
      call(() => {
        revision += 1;
        const written = changes.map((change) => {
          const { collection, id } = change;
          const key = `${collection}/${id}`;
          const { doc, note } = resolve(change, docs.get(key)?.doc ?? null);
          if (doc === null) docs.delete(key);
          else docs.set(key, { doc, at: revision });
          return { entry: { collection, id, doc }, note };
        });
        return {
          revision,
          entries: written.map(({ entry }) => entry),
          notes: written.flatMap(({ note }) => note ?? []),
        };
      }),
    replace: () => Promise.reject(new Error('not asked')),
    load: () => call(snapshot),
    revision: () => call(() => revision),
  };
  let sent = 0;
  const all: ReturnType<typeof createStore>[] = [];
  for (let i = 0; i < count; i += 1) {
    const tab = createStore({
      database,
      tell: (message) =>
        all.forEach((other, j) => {
          if (j === i || drops((sent += 1))) return;
          const copy = structuredClone(message);
          void turn().then(() => other.sync.hear(copy));
        }),
      later: (then) => void turn().then(then),
    });
    tab.store.dispatch(loaded(now()));
    tab.sync.start(snapshot());
    all.push(tab);
  }
  return { all, now, turn };
}

describe('two tabs', () => {
  it('end equal, with the disk too, whatever they do at once, in whatever order it happens, and whichever messages are lost', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(act, { minLength: 1, maxLength: 14 }),
        fc.nat({ max: 4 }),
        fc.scheduler(),
        async (acts, drop, s) => {
          const { all, now, turn } = scheduledTabs(s, 2, (n) => drop > 0 && n % (drop + 2) === 0);
          const doing = (async () => {
            for (const [n, [who, what]] of acts.entries()) {
              perform(all[who]!.store, what, n);
              if (what.kind === 'wait') await turn();
            }
          })();
          await s.waitIdle();
          await doing;
          // Whoever looks at a tab again hears what was missed.
          const looked = Promise.all(all.map(({ sync }) => sync.catchUp()));
          await s.waitIdle();
          await looked;
          const disk = sorted(now());
          for (const { store, sync } of all) {
            expect(sync.pending()).toBe(0);
            expect(sorted(store.getState().workspace.data)).toEqual(disk);
          }
        },
      ),
      { numRuns: Number(process.env.LAW_RUNS ?? 200) },
    );
  });

  it('what was added and taken out again before this tab looked does not come back with a late message of the adding', async () => {
    const screen: Change[] = [];
    const sync = createSync({
      database: {
        write: () => Promise.reject(new Error('not asked')),
        replace: () => Promise.reject(new Error('not asked')),
        revision: () => Promise.resolve(3),
        load: () => Promise.resolve({ workspace: small, unreadable: [], revision: 3, revisionOf: () => 1 }),
      },
      all: () => small,
      onState: () => undefined,
      onNotes: () => undefined,
      onElsewhere: (changes) => screen.push(...changes),
      tell: () => undefined,
      later: () => undefined,
    });
    sync.start({ revision: 1, revisionOf: () => 1 });
    // Written as 2 and taken out as 3; neither message came, and the disk was looked at.
    await sync.catchUp();
    const added = { ...small.setups[0]!, id: 'late', name: 'Late' };
    sync.hear({ revision: 2, entries: [{ collection: 'setups', id: 'late', doc: added }], notes: [] });
    expect(screen).toEqual([]);
    // What is new is heard as ever.
    sync.hear({ revision: 4, entries: [{ collection: 'setups', id: 'late', doc: added }], notes: [] });
    expect(screen).toHaveLength(1);
  });

  it('two fields of one set-up, changed at once: both are kept, on both screens', async () => {
    const world = await tabs(2, { drops: () => false, lateMs: () => 1 });
    const [setup] = small.setups;
    world.all[0]!.tab.store.dispatch(
      edited({ label: 'a', changes: [put('setups', setup!, { ...setup!, name: 'A' })], mergeKey: null }),
    );
    world.all[1]!.tab.store.dispatch(
      edited({ label: 'b', changes: [put('setups', setup!, { ...setup!, note: 'B' })], mergeKey: null }),
    );
    await world.settle();
    for (const i of [0, 1])
      expect(world.data(i).setups.find((s) => s.id === setup!.id)).toMatchObject({ name: 'A', note: 'B' });
    expect(world.notes).toEqual([]);
    world.close();
  });

  it('one field, changed at once: one stands in both and on the disk, and the other is told, not dropped', async () => {
    const world = await tabs(2, { drops: () => false, lateMs: () => 1 });
    const [setup] = small.setups;
    const named = (name: string) =>
      edited({ label: name, changes: [put('setups', setup!, { ...setup!, name })], mergeKey: null });
    world.all[0]!.tab.store.dispatch(named('A'));
    world.all[1]!.tab.store.dispatch(named('B'));
    await world.settle();
    const names = [0, 1].map((i) => world.data(i).setups.find((s) => s.id === setup!.id)!.name);
    expect(names[0]).toBe(names[1]);
    expect(world.notes).toHaveLength(1);
    expect([names[0], (world.notes[0]!.theirs as { name: string }).name].sort()).toEqual(['A', 'B']);
    world.close();
  });

  it('undo takes back what was done here and leaves what was done there', async () => {
    const world = await tabs(2, { drops: () => false, lateMs: () => 0 });
    const [setup] = small.setups;
    const [a, b] = world.all.map(({ tab }) => tab.store);
    a!.dispatch(edited({ label: 'a', changes: [put('setups', setup!, { ...setup!, name: 'A' })], mergeKey: null }));
    await world.settle();
    const there = world.data(1).setups.find((s) => s.id === setup!.id)!;
    b!.dispatch(edited({ label: 'b', changes: [put('setups', there, { ...there, note: 'B' })], mergeKey: null }));
    await world.settle();
    a!.dispatch(undone());
    await world.settle();
    for (const i of [0, 1])
      expect(world.data(i).setups.find((s) => s.id === setup!.id)).toMatchObject({ name: setup!.name, note: 'B' });
    world.close();
  });

  it('a file read in one tab is what the other shows', async () => {
    const world = await tabs(2, { drops: () => false, lateMs: () => 1 });
    const [{ tab }] = world.all as [(typeof world.all)[0]];
    tab.store.dispatch(replaced(await tab.sync.replace((db) => db.replace(demo))));
    await world.settle();
    expect(sorted(world.data(1))).toEqual(sorted(demo));
    world.close();
  });
});

describe('saving', () => {
  const [first] = demo.items;
  const second = { ...first!, name: 'Second name' };
  async function one(
    more: Partial<Pick<Database, 'write' | 'replace'>> = {},
    tell: (m: TabMessage) => void = () => undefined,
  ) {
    const database = await openDatabase('mine');
    const states: SaveState[] = [];
    let shown: Workspace = { ...small, items: [] };
    const sync = createSync({
      database: { ...database, ...more },
      onState: (state) => states.push(state),
      all: () => shown,
      onElsewhere: () => (shown = { ...shown }),
      onNotes: () => undefined,
      tell,
    });
    return { database, states, sync };
  }

  it('keeps its place in the queue until it is tried again; the order stays and nothing is dropped', async () => {
    const told: TabMessage[] = [];
    let full = true;
    const database = await openDatabase('mine');
    const { sync, states } = await one(
      { write: (changes) => (full ? Promise.reject(new Error('the disk is full')) : database.write(changes)) },
      (m) => told.push(m),
    );
    sync.save([put('items', null, first!)]);
    sync.save([put('items', first!, second)]);
    await vi.waitFor(() => expect(states.at(-1)).toEqual({ kind: 'failed', message: 'the disk is full', gone: false }));
    expect(sync.pending()).toBe(2);
    expect(told).toEqual([]);
    full = false;
    sync.retry();
    await sync.drained();
    expect(states.at(-1)).toEqual({ kind: 'saved' });
    expect(told.flatMap((m) => (m.entries === 'all' ? [] : m.entries.map((e) => e.doc)))).toEqual([first, second]);
    expect((await database.load()).workspace.items).toEqual([second]);
    database.close();
  });

  it('what is saved while another write runs is drained after it, in order, and only then is it said', async () => {
    const order: string[] = [];
    let letGo = () => undefined as void;
    const held = new Promise<void>((resolve) => (letGo = resolve));
    const { sync } = await one({
      write: async ([change]) => {
        if (change!.id === 'a') await held;
        order.push(change!.id);
        return { revision: order.length, entries: [], notes: [] };
      },
    });
    for (const id of ['a', 'b', 'c']) sync.save([put('items', null, { ...first!, id })]);
    expect(sync.pending()).toBe(3);
    let drained = false;
    void sync.drained().then(() => (drained = true));
    await pause();
    expect(drained).toBe(false);
    letGo();
    await vi.waitFor(() => expect(drained).toBe(true));
    expect(order).toEqual(['a', 'b', 'c']);
  });

  it('what waits here stays on the screen when another tab has written something else of it', async () => {
    const database = await openDatabase('mine');
    const screen: Change[] = [];
    const sync = createSync({
      database: { ...database, write: () => new Promise(() => undefined) },
      onState: () => undefined,
      all: () => ({ ...small, items: [second] }),
      onElsewhere: (changes) => screen.push(...changes),
      onNotes: () => undefined,
      tell: () => undefined,
    });
    sync.save([put('items', first!, second)]);
    const there = { ...first!, note: 'written there' };
    sync.hear({ revision: 1, entries: [{ collection: 'items', id: first!.id, doc: there }], notes: [] });
    expect(screen.map((c) => c.after)).toEqual([{ ...there, name: 'Second name' }]);
    database.close();
  });

  it('a channel that is closed does not stop the queue', async () => {
    const { sync, database } = await one({}, () => {
      throw new DOMException('Channel is closed', 'InvalidStateError');
    });
    sync.save([put('items', null, first!)]);
    sync.save([put('items', first!, second)]);
    await sync.drained();
    expect((await database.load()).workspace.items).toEqual([second]);
    database.close();
  });

  it('a file that could not be stored is not read in, and does not wait behind the reader’s back', async () => {
    let full = true;
    const database = await openDatabase('mine');
    const { sync, states } = await one({
      replace: (w) => (full ? Promise.reject(new DOMException('full', 'QuotaExceededError')) : database.replace(w)),
    });
    await expect(sync.replace((db) => db.replace(demo))).rejects.toThrow('There is no room left on this device');
    expect(sync.pending()).toBe(0);
    // And that it was: a copy is asked for before the browser is closed.
    expect(states.at(-1)).toEqual({ kind: 'saved', afterFull: true });
    full = false;
    expect(sorted(await sync.replace((db) => db.replace(demo)))).toEqual(sorted(demo));
    expect(sorted((await database.load()).workspace)).toEqual(sorted(demo));
    database.close();
  });

  it('on a full disk typing on does not ask again and again; who says so asks, and then everything is written', async () => {
    let full = true;
    let asked = 0;
    const database = await openDatabase('mine');
    const { sync, states } = await one({
      write: (changes) => {
        asked += 1;
        return full ? Promise.reject(new NoRoom()) : database.write(changes);
      },
    });
    sync.save([put('items', null, first!)]);
    await vi.waitFor(() => expect(states.at(-1)!.kind).toBe('failed'));
    for (let i = 0; i < 20; i += 1) sync.save([put('items', first!, second)]);
    expect(asked).toBe(1);
    sync.retry();
    await vi.waitFor(() => expect(asked).toBe(2));
    full = false;
    sync.retry();
    await sync.drained();
    // Nothing was cut off: the database was not asked before there was room.
    expect(states.at(-1)).toEqual({ kind: 'saved' });
    expect((await database.load()).workspace.items).toEqual([second]);
    database.close();
  });

  it('says that only a reload helps when the database is gone', async () => {
    const { sync, states } = await one({ write: () => Promise.reject(new DatabaseGone('deleted')) });
    sync.save([put('items', null, first!)]);
    await vi.waitFor(() => expect(states.at(-1)).toEqual({ kind: 'failed', message: 'deleted', gone: true }));
    expect(sync.pending()).toBe(1);
  });

  it('a write of many documents is looked up by the others, not sent', async () => {
    const told: TabMessage[] = [];
    const { sync, database } = await one({}, (m) => told.push(m));
    sync.save(Array.from({ length: 300 }, (_, i) => put('items', null, { ...first!, id: `i${i}` })));
    await sync.drained();
    expect(told.map((m) => m.entries)).toEqual(['all']);
    database.close();
  });
});
