// @vitest-environment jsdom
import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { club, rappelDouble } from '@core/samples';
import type { TabMessage } from './sync';

/** The program as it is after a reload: nothing of it has come yet. */
async function fresh() {
  vi.resetModules();
  const [fits, { resolve }, { openDatabase }, { NotLoaded }, { enter, leave }] = await Promise.all([
    import('./fits'),
    import('./resolve'),
    import('./database'),
    import('../ui/not-loaded'),
    import('../app/session'),
  ]);
  return { ...fits, resolve, openDatabase, NotLoaded, enter, leave };
}
const PART = './shapes-of-rigs';
const rope = club.longRope;
const put = (name: string) => ({ collection: 'items', id: rope.id, before: null, after: { ...rope, name } }) as const;

beforeEach(() => {
  globalThis.indexedDB = new IDBFactory();
});
afterEach(() => {
  vi.doUnmock(PART);
  vi.restoreAllMocks();
});

it('knows nothing that fits before the schemas have come, and afterwards what does and what does not', async () => {
  const { fitsShape, shapesArrived } = await fresh();
  expect(fitsShape('items', rope)).toBe(false);
  await shapesArrived();
  expect(fitsShape('items', rope)).toBe(true);
  expect(fitsShape('setups', rappelDouble)).toBe(true);
  expect(fitsShape('setups', rope)).toBe(false);
  expect(fitsShape('items', { ...rope, lengthM: 'long' })).toBe(false);
});

it('puts two changes of one thing together only when it can look at what comes of it; until then the later one stands and the other is told', async () => {
  const { resolve, shapesArrived } = await fresh();
  const change = { collection: 'items', id: rope.id, before: rope, after: { ...rope, name: 'Here' } } as const;
  const there = { ...rope, note: 'There' };
  expect(resolve(change, there)).toMatchObject({ doc: { name: 'Here', note: rope.note }, note: { theirs: there } });
  await shapesArrived();
  expect(resolve(change, there)).toEqual({ doc: { ...rope, name: 'Here', note: 'There' }, note: null });
});

it('when they do not arrive it says so and asks anew; what is entered meanwhile is written, and what is stored is not shown unseen', async () => {
  const { fitsShape, openDatabase, NotLoaded, shapesArrived } = await fresh();
  vi.doMock(PART, () => {
    throw new TypeError('Failed to fetch');
  });
  await expect(shapesArrived()).rejects.toThrow(NotLoaded);
  const database = await openDatabase('mine');
  await expect(database.load()).resolves.toMatchObject({ workspace: { items: [] } });
  await database.write([put('Written')]);
  await expect(database.load()).rejects.toThrow(NotLoaded);
  vi.doUnmock(PART);
  expect((await database.load()).workspace.items).toEqual([{ ...rope, name: 'Written' }]);
  expect(fitsShape('items', rope)).toBe(true);
  database.close();
});

it('hears what another tab writes before they have come, once they are there', async () => {
  const { enter, leave, shapesArrived } = await fresh();
  let come = (): void => undefined;
  const gate = new Promise<void>((open) => (come = open));
  vi.doMock(PART, async (original) => {
    await gate;
    return await original<object>();
  });
  const session = await enter('mine');
  const names = () => session.store.getState().workspace.data.items.map((item) => item.name);
  const other = new BroadcastChannel('zevrin-mine');
  const doc = { ...rope, name: 'From there' };
  other.postMessage({
    revision: 1,
    entries: [{ collection: 'items', id: rope.id, doc }],
    notes: [],
  } satisfies TabMessage);
  await new Promise((after) => setTimeout(after, 100));
  expect(names()).toEqual([]);
  come();
  await shapesArrived();
  await vi.waitFor(() => expect(names()).toEqual(['From there']));
  other.close();
  leave('mine');
});
