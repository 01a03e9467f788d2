import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { COLLECTIONS, workspaceSchema, type Collection, type Workspace } from '@core/files';
import { bringUp, VERSION_OF_DATABASE, type UpgradeTransaction } from './upgrade';
import type { Change, Doc } from './changes';

export const WORKSPACES = ['demo', 'mine'] as const;
export type WorkspaceName = (typeof WORKSPACES)[number];

interface Stored {
  readonly id: string;
  readonly doc: Doc;
}
type Schema = DBSchema & Record<Collection, { key: string; value: Stored }> & { meta: { key: string; value: unknown } };

export interface Database {
  /** Everything stored, and what does not fit the schema any more (left untouched on disk). */
  readonly load: () => Promise<{ workspace: Workspace; unreadable: number }>;
  /** Writes all changes in one transaction, or none. */
  readonly write: (changes: readonly Change[]) => Promise<void>;
  /** Fills a database that was never filled; true when it did. Two tabs at once fill it once. */
  readonly seedOnce: (changes: readonly Change[]) => Promise<boolean>;
  readonly close: () => void;
}

/** Opens the database of a workspace; each workspace has its own. */
export async function openDatabase(name: WorkspaceName): Promise<Database> {
  const db: IDBPDatabase<Schema> = await openDB<Schema>(`zevrin-${name}`, VERSION_OF_DATABASE, {
    upgrade(database, from, _to, tx) {
      for (const collection of COLLECTIONS) {
        if (!database.objectStoreNames.contains(collection)) database.createObjectStore(collection, { keyPath: 'id' });
      }
      if (from < 1) {
        database.createObjectStore('meta');
        return;
      }
      // All or nothing: what cannot be brought up stays as it was, and the workspace says that it cannot be opened.
      bringUp(database as unknown as IDBPDatabase, tx as unknown as UpgradeTransaction, from).catch(() => tx.abort());
    },
    blocking: () => db.close(),
  });

  async function load() {
    const tx = db.transaction(COLLECTIONS, 'readonly');
    const lists = await Promise.all(COLLECTIONS.map((collection) => tx.objectStore(collection).getAll()));
    await tx.done;
    let unreadable = 0;
    const entries = COLLECTIONS.map((collection, i) => {
      const schema = workspaceSchema.shape[collection].element;
      const docs = lists[i]!.map((stored) => stored.doc).filter((doc) => {
        const fits = schema.safeParse(doc).success;
        if (!fits) unreadable += 1;
        return fits;
      });
      return [collection, docs] as const;
    });
    return { workspace: Object.fromEntries(entries) as unknown as Workspace, unreadable };
  }

  async function write(changes: readonly Change[]) {
    if (changes.length === 0) return;
    const tx = db.transaction(COLLECTIONS, 'readwrite', { durability: 'strict' });
    try {
      for (const { collection, id, after } of changes) {
        const store = tx.objectStore(collection);
        // Each request fails with the transaction, which says it once for all of them.
        (after === null ? store.delete(id) : store.put({ id, doc: after })).catch(() => undefined);
      }
    } catch (error) {
      // What cannot be stored throws at once; without this the changes before it would be kept.
      tx.done.catch(() => undefined);
      tx.abort();
      throw error;
    }
    await tx.done;
  }

  async function seedOnce(changes: readonly Change[]) {
    const tx = db.transaction([...COLLECTIONS, 'meta'], 'readwrite');
    const seeded = await tx.objectStore('meta').get('seeded');
    if (!seeded) {
      void tx.objectStore('meta').put(true, 'seeded');
      for (const { collection, id, after } of changes)
        if (after) void tx.objectStore(collection).put({ id, doc: after });
    }
    await tx.done;
    return !seeded;
  }

  return { load, write, seedOnce, close: () => db.close() };
}
