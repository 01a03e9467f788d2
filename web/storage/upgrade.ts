import type { IDBPDatabase, IDBPTransaction } from 'idb';
import { entryBroughtUp, listsBroughtUp } from '@core/records/files';

export { entryBroughtUp };

export type UpgradeTransaction = IDBPTransaction<unknown, string[], 'versionchange'>;

interface Stored {
  readonly id: string;
  readonly doc: unknown;
}

/**
 * Brings every stored entry up from an older version of the database, by the same steps as files. What has not the
 * shape of its version stays as it is, and is counted as unreadable later.
 */
export async function bringUp(database: IDBPDatabase, tx: UpgradeTransaction, from: number): Promise<void> {
  await listsMoved(database, tx, from);
  for (const collection of [...database.objectStoreNames].filter((name) => name !== 'meta')) {
    const store = tx.objectStore(collection);
    for (let cursor = await store.openCursor(); cursor; cursor = await cursor.continue()) {
      const stored = cursor.value as Stored;
      await cursor.update({ ...stored, doc: entryBroughtUp(stored.doc, collection, from) });
    }
  }
}

/** What a version kept in a list of its own, and this one keeps in another, goes there. */
async function listsMoved(database: IDBPDatabase, tx: UpgradeTransaction, from: number): Promise<void> {
  const were = [...database.objectStoreNames].filter((name) => name !== 'meta');
  const lists: Record<string, readonly unknown[]> = {};
  for (const name of were) lists[name] = ((await tx.objectStore(name).getAll()) as Stored[]).map(({ doc }) => doc);
  const now = listsBroughtUp(lists, from);
  const gone = were.filter((name) => !(name in now));
  if (gone.length === 0) return;
  for (const [name, docs] of Object.entries(now))
    for (const doc of (docs as { readonly id: string }[]).filter((doc) => !lists[name]?.includes(doc)))
      await tx.objectStore(name).put?.({ id: doc.id, doc });
  for (const name of gone) database.deleteObjectStore(name);
}
