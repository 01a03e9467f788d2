import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { openDB } from 'idb';
import { readFileSync } from 'node:fs';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { emptyWorkspace, readDocument, type Workspace } from '@core/files';
import { demoWorkspace } from '@core/samples';
import { difference, put, type Change } from './changes';
import { openDatabase } from './database';
import { createSaver, type SaveState } from './saver';

type Json = Record<string, unknown>;
const fixture = readFileSync(new URL('../../core/files/fixtures/v3-workspace.json', import.meta.url), 'utf8');
const old = (JSON.parse(fixture) as { workspace: Record<string, { id: string }[]> }).workspace;
const read = readDocument(fixture);
/** The same data read as a file: database and file must bring up alike. */
const asFile = read.ok && read.value.kind === 'workspace' ? read.value.workspace : emptyWorkspace();

const OF_VERSION: Readonly<Record<number, readonly string[]>> = {
  1: ['items', 'people', 'setups', 'checks', 'uses'],
  2: ['items', 'people', 'setups', 'checks', 'uses', 'choices', 'wayTests'],
  3: ['items', 'people', 'setups', 'checks', 'uses', 'choices', 'wayTests', 'sequences'],
};
/** What version 1 did not know, taken out of every item and snapshot. */
function asVersion1<T>(value: T): T {
  const measures =
    /^(narrowInsideWidthMm|broadStockMm|narrowStockMm|sleeve.*Mm|gateOpeningMm|eyeMm|plateMm|gapMm|coverMm)$/;
  const facts =
    /^(notchMm|mustTurn|entry|handed|personsRated|attachTo|connectorWanted|connectorForbidden|looseParts|massG|metal|priceClass|bestM..DiameterMm)$/;
  return JSON.parse(
    JSON.stringify(value, (key, v: unknown) => (measures.test(key) || facts.test(key) ? undefined : v)),
  ) as T;
}

/** A database as that version left it. */
async function stored(version: number, more: Readonly<Record<string, readonly Json[]>> = {}) {
  const db = await openDB('zevrin-mine', version, {
    upgrade(database) {
      for (const name of OF_VERSION[version]!) database.createObjectStore(name, { keyPath: 'id' });
      database.createObjectStore('meta');
    },
  });
  for (const name of OF_VERSION[version]!) {
    const docs = version === 1 ? asVersion1(old[name]!) : old[name]!;
    for (const doc of [...docs, ...(more[name] ?? [])]) await db.put(name, { id: doc.id, doc });
  }
  db.close();
}
const byId = (w: Workspace): Workspace =>
  Object.fromEntries(
    Object.entries(w).map(([key, list]) => [
      key,
      [...(list as { id: string }[])].sort((a, b) => (a.id < b.id ? -1 : 1)),
    ]),
  ) as unknown as Workspace;

beforeEach(() => {
  globalThis.indexedDB = new IDBFactory();
});

describe('a database of an older version', () => {
  it.each([2, 3])('version %s opens with everything, choices as set-ups, as a file of it does', async (version) => {
    await stored(version);
    const database = await openDatabase('mine');
    const { workspace, unreadable } = await database.load();
    expect(unreadable).toBe(0);
    const expected = byId(asFile);
    expect(byId(workspace)).toEqual(version === 3 ? expected : { ...expected, sequences: [] });
    database.close();
  });

  it('version 1 opens with everything it had; what it did not know is not known', async () => {
    await stored(1);
    const database = await openDatabase('mine');
    const { workspace, unreadable } = await database.load();
    expect(unreadable).toBe(0);
    expect(workspace.setups.map((s) => s.id).sort()).toEqual(old.setups!.map((s) => s.id).sort());
    expect(workspace.items).toHaveLength(old.items!.length);
    expect(workspace.checks.map((c) => c.setup.template)).toEqual(['rappel-double']);
    database.close();
  });

  it('an entry that is of no version stays on the disk, is counted, and the others open', async () => {
    await stored(3, { setups: [{ id: 'odd', name: 7 }], choices: [{ id: 'odder' }] });
    const database = await openDatabase('mine');
    const { workspace, unreadable } = await database.load();
    expect(unreadable).toBe(2);
    expect(workspace.setups).toHaveLength(asFile.setups.length);
    database.close();
    const raw = await openDB('zevrin-mine');
    expect(await raw.get('setups', 'odd')).toEqual({ id: 'odd', doc: { id: 'odd', name: 7 } });
    expect(await raw.get('setups', 'odder')).toBeDefined();
    expect([...raw.objectStoreNames]).not.toContain('choices');
    raw.close();
  });

  it('a choice whose id a set-up has already gets another one: nothing is written over', async () => {
    const twin = { ...(old.choices![0] as unknown as Json), id: 'setup-low-span' };
    await stored(3, { choices: [twin] });
    const database = await openDatabase('mine');
    const { workspace } = await database.load();
    expect(workspace.setups.find((s) => s.id === 'setup-low-span')?.template).toBe('rappel-double');
    expect(workspace.setups.map((s) => s.id)).toContain('setup-low-span-choice');
    database.close();
  });
});

describe('writing', () => {
  const demo = demoWorkspace();
  const [rope] = demo.items;

  it('what is written is there when it is opened again', async () => {
    const database = await openDatabase('mine');
    await database.write(difference(emptyWorkspace(), demo));
    database.close();
    const again = await openDatabase('mine');
    expect(byId((await again.load()).workspace)).toEqual(byId(demo));
    again.close();
  });

  it('all changes of one step, or none: a document that cannot be stored takes the others with it', async () => {
    const database = await openDatabase('mine');
    const bad = { ...demo.items[1]!, note: () => 'a function cannot be cloned' } as never;
    await expect(database.write([put('items', null, rope!), put('items', null, bad)])).rejects.toThrow();
    expect((await database.load()).workspace.items).toEqual([]);
    database.close();
  });

  it('the demo is put in once, whoever asks again', async () => {
    const database = await openDatabase('demo');
    const fill = difference(emptyWorkspace(), demo);
    expect(await database.seedOnce(fill)).toBe(true);
    await database.write(difference(demo, emptyWorkspace()));
    expect(await database.seedOnce(fill)).toBe(false);
    expect((await database.load()).workspace.items).toEqual([]);
    database.close();
  });
});

describe('a write that fails', () => {
  it('keeps its place in the queue until it is tried again; the order stays and nothing is dropped', async () => {
    const database = await openDatabase('mine');
    const demo = demoWorkspace();
    const states: SaveState['kind'][] = [];
    const told: (readonly Change[])[] = [];
    let full = true;
    const saver = createSaver({
      write: (changes) => (full ? Promise.reject(new Error('the disk is full')) : database.write(changes)),
      onState: (state) => states.push(state.kind),
      onWritten: (changes) => told.push(changes),
    });
    const first = demo.items[0]!;
    const second = { ...first, name: 'Second name' };
    saver.save([put('items', null, first)]);
    saver.save([put('items', first, second)]);
    await vi.waitFor(() => expect(states.at(-1)).toBe('failed'));
    expect(saver.pending()).toBe(2);
    expect(told).toEqual([]);
    full = false;
    saver.retry();
    await vi.waitFor(() => expect(states.at(-1)).toBe('saved'));
    expect(saver.pending()).toBe(0);
    expect(told.map((c) => c[0]!.after)).toEqual([first, second]);
    expect((await database.load()).workspace.items).toEqual([second]);
    database.close();
  });

  it('what is saved while another write runs is drained after it, in order', async () => {
    const order: string[] = [];
    let letGo = () => undefined as void;
    const held = new Promise<void>((resolve) => (letGo = resolve));
    const saver = createSaver({
      write: async ([change]) => {
        if (change!.id === 'a') await held;
        order.push(change!.id);
      },
      onState: () => undefined,
      onWritten: () => undefined,
    });
    const at = (id: string) => [put('items', null, { ...demoWorkspace().items[0]!, id })];
    for (const id of ['a', 'b', 'c']) saver.save(at(id));
    expect(saver.pending()).toBe(3);
    letGo();
    await vi.waitFor(() => expect(saver.pending()).toBe(0));
    expect(order).toEqual(['a', 'b', 'c']);
  });
});
