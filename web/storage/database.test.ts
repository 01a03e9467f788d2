import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { deleteDB, openDB } from 'idb';
import { readFileSync } from 'node:fs';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { emptyWorkspace, readDocument, type Workspace } from '@core/records/files';
import { demoWorkspace } from '@core/samples';
import { spread } from '@core/foundations/units';
import { difference, put, remove } from './changes';
import { DatabaseGone, openDatabase } from './database';

type Json = Record<string, unknown>;
const fixture = readFileSync(new URL('../../core/records/files/fixtures/v3-workspace.json', import.meta.url), 'utf8');
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
    expect(unreadable).toEqual([]);
    const expected = byId(asFile);
    expect(byId(workspace)).toEqual(version === 3 ? expected : { ...expected, sequences: [] });
    database.close();
  });

  it.each([
    [
      4,
      /^(condition|stiffness|impactForceKn|helmet|stands|threaded|brakeSide|tuned|upperHole|tiedAt|loadStrand|strandsLie|gatheredM|arriving|gapOpens|slant|slackM|brakeAngleDeg|calls|trainings|tieInHeightMm|fromWallM|endWeightKg|bench)$/,
      '"helmet"',
    ],
    [
      5,
      /^(loadStrand|strandsLie|gatheredM|arriving|gapOpens|slant|slackM|brakeAngleDeg|calls|trainings|tieInHeightMm|fromWallM|endWeightKg|bench)$/,
      '"loadStrand"',
    ],
    [6, /^(gapOpens|slant|slackM|brakeAngleDeg|calls|trainings|tieInHeightMm|fromWallM|endWeightKg|bench)$/, '"slant"'],
    [7, /^(tieInHeightMm|fromWallM|endWeightKg|bench)$/, '"fromWallM"'],
    [8, /^bench$/, '"bench"'],
  ] as const)(
    'version %s opens with everything: what later ones ask is not known, in records as well',
    async (version, added, gone) => {
      const then = JSON.parse(JSON.stringify(asFile, (key, v: unknown) => (added.test(key) ? undefined : v))) as Record<
        string,
        { id: string }[]
      >;
      expect(JSON.stringify(then)).not.toContain(gone);
      const db = await openDB('zevrin-mine', version, {
        upgrade(database) {
          for (const name of Object.keys(then)) database.createObjectStore(name, { keyPath: 'id' });
          database.createObjectStore('meta');
        },
      });
      for (const [name, docs] of Object.entries(then)) for (const doc of docs) await db.put(name, { id: doc.id, doc });
      db.close();
      const database = await openDatabase('mine');
      const { workspace, unreadable } = await database.load();
      expect(unreadable).toEqual([]);
      expect(workspace.checks.length).toBeGreaterThan(0);
      expect(byId(workspace)).toEqual(byId(asFile));
      database.close();
    },
  );

  it('version 1 opens with everything it had; what it did not know is not known', async () => {
    await stored(1);
    const database = await openDatabase('mine');
    const { workspace, unreadable } = await database.load();
    expect(unreadable).toEqual([]);
    expect(workspace.setups.map((s) => s.id).sort()).toEqual(old.setups!.map((s) => s.id).sort());
    expect(workspace.items).toHaveLength(old.items!.length);
    expect(workspace.checks.map((c) => c.setup.template)).toEqual(['rappel-double']);
    database.close();
  });

  it('an entry that is of no version stays on the disk, is counted, and the others open', async () => {
    await stored(3, { setups: [{ id: 'odd', name: 7 }], choices: [{ id: 'odder' }] });
    const database = await openDatabase('mine');
    const { workspace, unreadable } = await database.load();
    expect(unreadable).toHaveLength(2);
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
    const seeded = await database.seedOnce(() => Promise.resolve(demo));
    // What it says is stored is what is read from the disk, and by the same write.
    const read = await database.load();
    expect(seeded!.workspace).toEqual(read.workspace);
    expect(seeded!.revision).toBe(read.revision);
    for (const { id } of demo.items) expect(seeded!.revisionOf('items', id)).toBe(read.revisionOf('items', id));
    await database.write(difference(demo, emptyWorkspace()));
    const make = vi.fn(() => Promise.resolve(demo));
    expect(await database.seedOnce(make)).toBeNull();
    expect(make).not.toHaveBeenCalled();
    expect((await database.load()).workspace.items).toEqual([]);
    database.close();
  });
});

describe('what one build has looked at', () => {
  const demo = demoWorkspace();
  const [rope, other] = demo.items;
  const broken = { ...rope!, lengthM: 'long' };
  const entry = { id: rope!.id, doc: broken };
  /** What the disk holds, behind the back of the program. */
  const putRaw = async (stored: object) => {
    const raw = await openDB('zevrin-mine');
    await raw.put('items', stored);
    raw.close();
  };
  /** It is written beside what was asked for. */
  const remembered = (build: string, revision: number) =>
    vi.waitFor(async () => {
      const raw = await openDB('zevrin-mine');
      const looked: unknown = await raw.get('meta', 'looked');
      raw.close();
      expect(looked).toEqual({ build, revision });
    });
  const unreadable = async (build: string | null) => {
    const database = await openDatabase('mine', build);
    const loaded = await database.load();
    if (build !== null && loaded.unreadable.length === 0) await remembered(build, loaded.revision);
    database.close();
    return loaded.unreadable;
  };
  beforeEach(async () => {
    const database = await openDatabase('mine', 'one');
    await database.write([put('items', null, rope!)]);
    await database.write([put('items', null, other!)]);
    database.close();
  });

  it('it does not look at again; another build does, and one without a name each time', async () => {
    const database = await openDatabase('mine', 'one');
    await database.replace({ ...emptyWorkspace(), items: [broken as unknown as typeof rope & object] });
    await remembered('one', (await database.load('checked')).revision);
    database.close();
    expect(await unreadable('one')).toEqual([]);
    expect(await unreadable('two')).toEqual([broken]);
    expect(await unreadable(null)).toEqual([broken]);
  });

  it('but for what was changed where it lies, by whatever: nothing of it reaches a page unseen', async () => {
    expect(await unreadable('one')).toEqual([]);
    await putRaw({ ...entry, revision: 1 });
    expect(await unreadable('one')).toEqual([broken]);
    const sum = spread(JSON.stringify(rope));
    for (const doc of [broken, null, 'torn', { ...rope!, id: other!.id }]) {
      await putRaw({ id: rope!.id, doc, revision: 1, sum });
      expect(await unreadable('one')).toEqual([doc]);
    }
    // Another rope, and a right one: it is what is stored now.
    await putRaw({ ...entry, doc: { ...rope!, name: 'Changed' }, revision: 1, sum });
    expect(await unreadable('one')).toEqual([]);
  });

  it('is what was written until then: later writes are looked at, and so is what does not say when it was written', async () => {
    expect(await unreadable('one')).toEqual([]);
    await putRaw({ ...entry, revision: 3 });
    expect(await unreadable('one')).toEqual([broken]);
    await putRaw(entry);
    expect(await unreadable('one')).toEqual([broken]);
  });

  it('is not remembered while something does not fit: it is named each time', async () => {
    await putRaw({ ...entry, revision: 1 });
    expect(await unreadable('one')).toEqual([broken]);
    expect(await unreadable('one')).toEqual([broken]);
  });

  it('what a file brings is looked at once more', async () => {
    expect(await unreadable('one')).toEqual([]);
    const database = await openDatabase('mine', 'one');
    await database.replace({ ...emptyWorkspace(), items: [broken as unknown as typeof rope & object] });
    database.close();
    expect(await unreadable('one')).toEqual([broken]);
  });
});

describe('a change that is not alone', () => {
  const demo = demoWorkspace();
  const rope = demo.items.find((i) => i.kind === 'rope')!;
  const open = async () => {
    const database = await openDatabase('mine');
    await database.write([put('items', null, rope)]);
    return database;
  };
  const stored = async () => {
    const raw = await openDB('zevrin-mine');
    const all = (await raw.getAll('items')) as { doc: typeof rope }[];
    raw.close();
    return all.map(({ doc }) => doc);
  };

  it('two changes of different fields are both kept, whoever is later', async () => {
    const database = await open();
    const { notes: first } = await database.write([put('items', rope, { ...rope, name: 'A' })]);
    const { notes: second, entries } = await database.write([put('items', rope, { ...rope, note: 'N' })]);
    expect([first, second]).toEqual([[], []]);
    expect(entries[0]!.doc).toEqual({ ...rope, name: 'A', note: 'N' });
    expect(await stored()).toEqual([{ ...rope, name: 'A', note: 'N' }]);
    database.close();
  });

  it('two changes of the same field: the later one stands, and what the other had is told with everything else kept', async () => {
    const database = await open();
    await database.write([put('items', rope, { ...rope, name: 'A', note: 'N' })]);
    const { notes } = await database.write([put('items', rope, { ...rope, name: 'B' })]);
    expect(notes).toEqual([
      {
        collection: 'items',
        id: rope.id,
        name: 'B',
        kind: 'both',
        places: ['name'],
        theirs: { ...rope, name: 'A', note: 'N' },
      },
    ]);
    expect(await stored()).toEqual([{ ...rope, name: 'B', note: 'N' }]);
    database.close();
  });

  it('taken out there and changed here, in either order: it stays, and it is told', async () => {
    const database = await open();
    const changed = { ...rope, name: 'A' };
    await database.write([remove('items', rope)]);
    const back = await database.write([put('items', rope, changed)]);
    expect(back.notes.map((n) => n.kind)).toEqual(['came-back']);
    expect(await stored()).toEqual([changed]);
    const kept = await database.write([remove('items', rope)]);
    expect(kept.notes.map((n) => n.kind)).toEqual(['stayed']);
    expect(await stored()).toEqual([changed]);
    database.close();
  });

  it('two changes that are right alone and wrong together: the later one stands whole, and it is told', async () => {
    const database = await openDatabase('mine');
    const setup = demo.setups.find((s) => s.attachments.length > 1)!;
    await database.write([put('setups', null, setup)]);
    // Here the lines go with what hangs on them; there something more is hung on one of them.
    const bare = { ...setup, lines: [], attachments: [], knots: [] } as typeof setup;
    const more = { ...setup, attachments: [...setup.attachments, { ...setup.attachments[0]!, id: 'more' }] };
    const { notes } = await database
      .write([put('setups', setup, more)])
      .then(() => database.write([put('setups', setup, bare)]));
    expect(notes).toHaveLength(1);
    expect(notes[0]!.theirs).toBeTruthy();
    database.close();
  });

  it('revisions count on through all tabs', async () => {
    const [a, b] = [await open(), await openDatabase('mine')];
    const one = await a.write([put('items', rope, { ...rope, name: 'A' })]);
    const two = await b.write([put('items', rope, { ...rope, note: 'N' })]);
    expect(two.revision).toBe(one.revision + 1);
    expect(await a.revision()).toBe(two.revision);
    const { revision, revisionOf } = await a.load();
    expect([revision, revisionOf('items', rope.id)]).toEqual([two.revision, two.revision]);
    a.close();
    b.close();
  });
});

describe('a database that is taken away', () => {
  const demo = demoWorkspace();
  const [rope] = demo.items;

  it('closed by the browser: it is opened again for the next write', async () => {
    const database = await openDatabase('mine');
    await database.write([put('items', null, rope!)]);
    // An upgrade of another tab closes what stands in its way; this one fails, and everything is as it was.
    const upgrade = openDB('zevrin-mine', 99, {
      upgrade: (_db, _from, _to, tx) => {
        tx.done.catch(() => undefined);
        tx.abort();
      },
    });
    await expect(upgrade).rejects.toThrow();
    const { entries } = await database.write([put('items', rope!, { ...rope!, name: 'A' })]);
    expect(entries[0]!.doc).toMatchObject({ name: 'A' });
    expect((await database.load()).workspace.items).toMatchObject([{ name: 'A' }]);
    database.close();
  });

  it('brought up by a newer version in another tab: nothing is written, and only a reload helps', async () => {
    const database = await openDatabase('mine');
    await database.write([put('items', null, rope!)]);
    // What a browser does to a connection that stands in the way of an upgrade.
    const other = openDB('zevrin-mine', 99, { blocking: (_c, _b, event) => (event.target as IDBDatabase).close() });
    (await other).close();
    await expect(database.write([put('items', rope!, { ...rope!, name: 'A' })])).rejects.toBeInstanceOf(DatabaseGone);
    database.close();
  });

  it('deleted in between: nothing is written into a new empty one; only a reload helps', async () => {
    const database = await openDatabase('mine');
    await database.write([put('items', null, rope!)]);
    await deleteDB('zevrin-mine');
    await expect(database.write([put('items', rope!, { ...rope!, name: 'A' })])).rejects.toThrow('has been deleted');
    await expect(database.revision()).rejects.toBeInstanceOf(DatabaseGone);
    database.close();
    const fresh = await openDatabase('mine');
    expect((await fresh.load()).workspace.items).toEqual([]);
    fresh.close();
  });

  it('replacing everything takes what cannot be read along', async () => {
    const database = await openDatabase('mine');
    const raw = await openDB('zevrin-mine');
    await raw.put('items', { id: 'odd', doc: { id: 'odd', kind: 'nothing' } });
    expect((await database.load()).unreadable).toEqual([{ id: 'odd', kind: 'nothing' }]);
    await database.replace(demo);
    const { workspace, unreadable } = await database.load();
    expect(unreadable).toEqual([]);
    expect(byId(workspace)).toEqual(byId(demo));
    expect(await raw.count('items')).toBe(demo.items.length);
    raw.close();
    database.close();
  });
});
