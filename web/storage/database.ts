import { nanoid } from '@reduxjs/toolkit';
import { openDB, type DBSchema, type IDBPDatabase, type IDBPTransaction } from 'idb';
import { COLLECTIONS, VERSION, type Collection, type Workspace } from '@core/records/files';
import { spread } from '@core/foundations/units';
import type { Change, Doc } from './changes';
import { fitsShape, shapesArrived } from './fits';
import type { Mark } from './journal';
import type { WorkspaceName } from './names';
import { resolve, type Note } from './resolve';
import { createRoom } from './room';
import { inSlices } from './slices';
import type { UpgradeTransaction } from './upgrade';

export type { WorkspaceName };

interface Stored {
  readonly id: string;
  readonly doc: Doc;
  /** The write that it comes from; entries from before writes were counted have none. */
  readonly revision?: number;
  /** Of the text of the document, as it was written from here. */
  readonly sum?: number;
}
type Schema = DBSchema & Record<Collection, { key: string; value: Stored }> & { meta: { key: string; value: unknown } };
type Db = IDBPDatabase<Schema>;
type Writing = IDBPTransaction<Schema, (Collection | 'meta')[], 'readwrite'>;

/** One document as it is on the disk after a write; null when it is gone. */
export interface Entry {
  readonly collection: Collection;
  readonly id: string;
  readonly doc: Doc | null;
}
/**
 * A write that is on the disk. Revisions count the writes of a database, in the order in which they were done,
 * whichever tab did them.
 */
export interface WriteOutcome {
  readonly revision: number;
  readonly entries: readonly Entry[];
  readonly notes: readonly Note[];
}
/** Everything up to this write was looked at by this build of the program, and fits. */
interface Looked {
  readonly build: string;
  readonly revision: number;
}
export interface Loaded {
  readonly workspace: Workspace;
  /** What does not fit the schema any more, as it lies on the disk. */
  readonly unreadable: readonly unknown[];
  readonly revision: number;
  readonly revisionOf: (collection: Collection, id: string) => number;
}

export interface Database {
  /** Made with the database: another one under the same name has another. */
  readonly born: unknown;
  /**
   * Everything that is stored. `checked`: it has just been written from here, so that it is not gone through by the
   * schema again.
   */
  readonly load: (just?: 'checked') => Promise<Loaded>;
  /**
   * Writes all changes in one transaction, or none; each goes onto what is there by then (see `resolve`). A change that
   * was written already under this mark, by this tab or by one that took over from it, is not written again.
   */
  readonly write: (changes: readonly Change[], mark?: Mark | null) => Promise<WriteOutcome>;
  /** Empties the database, what cannot be read included, and puts this in, in one transaction. */
  readonly replace: (workspace: Workspace) => Promise<WriteOutcome>;
  /** The last write of any tab. */
  readonly revision: () => Promise<number>;
  /**
   * Fills a database that was never filled, with what `make` gives; for another one it is not asked. What is stored
   * then, or null when it had been filled before. Two tabs at once fill it once.
   */
  readonly seedOnce: (make: () => Promise<Workspace>) => Promise<Loaded | null>;
  readonly close: () => void;
}

/**
 * The database is not the one that was opened: it was deleted, or a newer version of Zevrin has changed it. Only a
 * reload helps.
 */
export class DatabaseGone extends Error {}

const sumOf = (doc: unknown) => spread(JSON.stringify(doc) ?? '');
const entryOf = (doc: Doc, revision: number): Stored => ({ id: doc.id, doc, revision, sum: sumOf(doc) });

/** How many entries are unpacked in one go; a check holds a set-up with all its gear. */
const BATCH: Partial<Readonly<Record<Collection, number>>> = { checks: 40, setups: 60 };

/**
 * The build of this program, by what it says of documents; null where it is not built: the schemas may change under it.
 */
const BUILD = (import.meta.env.VITE_BUILD as string | undefined) ?? null;

/** Tabs whose last write is remembered: more than anybody has open at once. */
const MOST_MARKS = 50;

const STORES: (Collection | 'meta')[] = [...COLLECTIONS, 'meta'];

/** The steps from older versions, loaded only where there is something to bring up: an upgrade cannot wait for them. */
async function stepsFor(name: string) {
  const known = await indexedDB.databases?.().catch(() => undefined);
  const version = known?.find((d) => d.name === name)?.version;
  const none = known !== undefined && (version === undefined || version >= VERSION);
  return none ? null : (await import('./upgrade')).bringUp;
}

async function connect(name: WorkspaceName, onLost: () => void, room: Room): Promise<Db> {
  const bringUp = await stepsFor(`zevrin-${name}`);
  if (bringUp) await room.for();
  const db: Db = await openDB<Schema>(`zevrin-${name}`, VERSION, {
    upgrade(database, from, _to, tx) {
      for (const collection of COLLECTIONS) {
        if (!database.objectStoreNames.contains(collection)) database.createObjectStore(collection, { keyPath: 'id' });
      }
      if (from < 1) {
        void database.createObjectStore('meta').put(nanoid(), 'born');
        return;
      }
      // All or nothing: what cannot be brought up stays as it was, and the workspace says that it cannot be opened.
      if (bringUp)
        bringUp(database as unknown as IDBPDatabase, tx as unknown as UpgradeTransaction, from).catch(() => tx.abort());
      else tx.abort();
    },
    // Another tab upgrades or deletes it: this connection must not stand in the way.
    blocking: () => {
      db.close();
      onLost();
    },
    terminated: onLost,
  });
  return db;
}

type Room = ReturnType<typeof createRoom>;

/**
 * Opens the database of a workspace; each workspace has its own. A connection that the browser closes is opened again
 * when it is needed.
 *
 * @param build the program that opens it: what it has looked at once it does not look at again. null: it looks at
 * everything each time.
 * @param room is asked before anything is written.
 */
export async function openDatabase(
  name: WorkspaceName,
  build: string | null = BUILD,
  room: Room = createRoom(),
): Promise<Database> {
  if (!(globalThis.indexedDB as IDBFactory | undefined)) throw new Error('there is none in it.');
  let db: Db | null = null;
  let born: unknown;
  let closed = false;
  const lost = () => (db = null);

  async function connection(): Promise<Db> {
    if (db) return db;
    let next: Db;
    try {
      next = await connect(name, lost, room);
    } catch (error) {
      if (born === undefined) throw error;
      throw new DatabaseGone('A newer version of Zevrin is open in another tab.', { cause: error });
    }
    const id = (await next.get('meta', 'born')) ?? null;
    if (born === undefined) born = id;
    if (id !== born) {
      next.close();
      throw new DatabaseGone('What was stored has been deleted, by the browser or in another tab.');
    }
    if (closed) next.close();
    return (db = next);
  }
  await connection();

  /** One transaction; on a connection that turns out to be closed, once more on a new one. */
  async function transact<T>(
    work: (tx: Writing) => Promise<T>,
    { durability = 'strict', bytes = 0 }: { durability?: 'strict' | 'relaxed'; bytes?: number } = {},
  ): Promise<T> {
    await room.for(bytes);
    const begin = (on: Db): Writing => on.transaction(STORES, 'readwrite', { durability });
    let tx: Writing;
    try {
      tx = begin(await connection());
    } catch (error) {
      if (error instanceof DatabaseGone || closed) throw error;
      db = null;
      tx = begin(await connection());
    }
    try {
      const result = await work(tx);
      // Everything is asked for; the sooner it is on the disk, the less a page that is closed now can lose.
      tx.commit();
      await tx.done;
      return result;
    } catch (error) {
      // Half of a step is not kept. When the transaction is over by itself, it says why.
      tx.done.catch(() => undefined);
      try {
        tx.abort();
      } catch {
        throw tx.error ?? error;
      }
      throw error;
    }
  }

  /** Requests fail with their transaction, which says it once for all of them. */
  const request = (asked: Promise<unknown>) => void asked.catch(() => undefined);

  async function countUp(tx: Writing): Promise<number> {
    const revision = Number((await tx.objectStore('meta').get('revision')) ?? 0) + 1;
    request(tx.objectStore('meta').put(revision, 'revision'));
    return revision;
  }

  async function load(just?: 'checked'): Promise<Loaded> {
    const tx = (await connection()).transaction(STORES, 'readonly');
    const meta = tx.objectStore('meta');
    // All are asked for at once, and each comes in batches: what is unpacked by itself lets the page breathe in
    // between.
    const readAll = async (collection: Collection): Promise<Stored[]> => {
      const list: Stored[] = [];
      for (;;) {
        const last = list.at(-1)?.id;
        const range = last === undefined ? null : IDBKeyRange.lowerBound(last, true);
        const more = await tx.objectStore(collection).getAll(range, BATCH[collection] ?? 500);
        list.push(...more);
        if (more.length < (BATCH[collection] ?? 500)) return list;
      }
    };
    const [counted, looked, ...lists] = await Promise.all([
      meta.get('revision'),
      meta.get('looked') as Promise<Looked | undefined>,
      ...COLLECTIONS.map(readAll),
    ]);
    await tx.done;
    const revision = Number(counted ?? 0);
    const upTo = build !== null && looked?.build === build ? looked.revision : -1;
    const breathe = inSlices();
    /** To be looked at: what this build has not seen, and what was changed where it lies. */
    const unseen = new Set<Stored>();
    if (just !== 'checked')
      for (const list of lists)
        for (const stored of list) {
          if ((stored.revision ?? Infinity) > upTo || stored.sum !== sumOf(stored.doc)) unseen.add(stored);
          await breathe();
        }
    if (unseen.size > 0) await shapesArrived();
    const unreadable: unknown[] = [];
    const revisions = new Map<string, number>();
    const entries: [Collection, Doc[]][] = [];
    for (const [i, collection] of COLLECTIONS.entries()) {
      const docs: Doc[] = [];
      for (const stored of lists[i]!) {
        revisions.set(`${collection}/${stored.id}`, stored.revision ?? 0);
        // Frozen one by one here; the store would freeze all of them at once.
        if (!unseen.has(stored) || (stored.doc?.id === stored.id && fitsShape(collection, stored.doc)))
          docs.push(Object.freeze(stored.doc));
        else unreadable.push(stored.doc);
        await breathe();
      }
      entries.push([collection, docs]);
    }
    // Asked early, while there is room as a rule: whoever has answered once is believed later. When the note is lost,
    // everything is looked at again.
    void Promise.all([connection(), room.for()])
      .then(([on]) => {
        if (build !== null && upTo < revision && unreadable.length === 0)
          return on.put('meta', { build, revision } satisfies Looked, 'looked');
      })
      .catch(() => undefined);
    return {
      workspace: Object.fromEntries(entries) as unknown as Workspace,
      unreadable,
      revision,
      revisionOf: (collection, id) => revisions.get(`${collection}/${id}`) ?? 0,
    };
  }

  async function write(changes: readonly Change[], mark: Mark | null = null): Promise<WriteOutcome> {
    // Before the transaction, which waits for nothing but the disk. Without them it writes all the same: only what two
    // changed at once is not put together then.
    await shapesArrived().catch(() => undefined);
    return transact(async (tx) => {
      const entries: Entry[] = [];
      const notes: Note[] = [];
      const [meta, ...there] = await Promise.all([
        tx.objectStore('meta').get('written'),
        ...changes.map(({ collection, id }) => tx.objectStore(collection).get(id)),
      ]);
      const marks = (meta ?? []) as readonly Mark[];
      if (mark && marks.some(({ tab, n }) => tab === mark.tab && n >= mark.n)) {
        changes.forEach(({ collection, id }, i) => entries.push({ collection, id, doc: there[i]?.doc ?? null }));
        return { revision: Number((await tx.objectStore('meta').get('revision')) ?? 0), entries, notes };
      }
      if (mark) {
        const others = marks.filter(({ tab }) => tab !== mark.tab).slice(1 - MOST_MARKS);
        request(tx.objectStore('meta').put([...others, mark], 'written'));
      }
      const revision = await countUp(tx);
      const docs = new Map<string, Doc | null>();
      changes.forEach((change, i) => {
        const { collection, id } = change;
        const key = `${collection}/${id}`;
        // One step may change a document twice: the second goes onto the first.
        const { doc, note } = resolve(change, docs.has(key) ? docs.get(key)! : (there[i]?.doc ?? null));
        docs.set(key, doc);
        const store = tx.objectStore(collection);
        request(doc === null ? store.delete(id) : store.put(entryOf(doc, revision)));
        entries.push({ collection, id, doc });
        if (note) notes.push(note);
      });
      return { revision, entries, notes };
    });
  }

  const fill = (tx: Writing, workspace: Workspace, revision: number) => {
    for (const collection of COLLECTIONS)
      for (const doc of workspace[collection]) request(tx.objectStore(collection).put(entryOf(doc, revision)));
  };

  const replace = (workspace: Workspace) =>
    transact(
      async (tx): Promise<WriteOutcome> => {
        const revision = await countUp(tx);
        for (const collection of COLLECTIONS) request(tx.objectStore(collection).clear());
        fill(tx, workspace, revision);
        return { revision, entries: [], notes: [] };
        // In the log, and in the file that is made of it.
      },
      { bytes: 2 * JSON.stringify(workspace).length },
    );

  async function seedOnce(make: () => Promise<Workspace>): Promise<Loaded | null> {
    if (await (await connection()).get('meta', 'seeded')) return null;
    const made = await make();
    // In the order in which they come back from the disk.
    const sorted = COLLECTIONS.map((collection) => [
      collection,
      made[collection].map((doc) => Object.freeze(doc)).sort((a, b) => (a.id < b.id ? -1 : 1)),
    ]);
    const workspace = Object.fromEntries(sorted) as unknown as Workspace;
    return transact(
      async (tx) => {
        if (await tx.objectStore('meta').get('seeded')) return null;
        request(tx.objectStore('meta').put(true, 'seeded'));
        const revision = await countUp(tx);
        if (build !== null) request(tx.objectStore('meta').put({ build, revision } satisfies Looked, 'looked'));
        fill(tx, workspace, revision);
        return { workspace, unreadable: [], revision, revisionOf: () => revision };
        // What is lost with the power is put in again.
      },
      { durability: 'relaxed' },
    );
  }

  return {
    born,
    load,
    write,
    replace,
    revision: async () => Number((await (await connection()).get('meta', 'revision')) ?? 0),
    seedOnce,
    close: () => {
      closed = true;
      db?.close();
    },
  };
}
