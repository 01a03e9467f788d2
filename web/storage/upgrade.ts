import type { IDBPDatabase, IDBPTransaction } from 'idb';
import {
  entryFrom1To2,
  entryFrom3To4,
  entryFrom4To5,
  entryFrom5To6,
  entryFrom6To7,
  entryFrom7To8,
  entryFrom8To9,
  entryFrom9To10,
  entryFrom10To11,
  entryFrom11To12,
  entryFrom12To13,
  setupsWithChoices,
} from '@core/files';

export type UpgradeTransaction = IDBPTransaction<unknown, string[], 'versionchange'>;

interface Stored {
  readonly id: string;
  readonly doc: unknown;
}

/**
 * Brings every stored entry up from an older version of the database, by the same steps as files. An entry that has not the shape of its version stays as it is, and is counted as unreadable later.
 */
export async function bringUp(database: IDBPDatabase, tx: UpgradeTransaction, from: number): Promise<void> {
  const each = async (collection: string, change: (entry: unknown) => unknown) => {
    const store = tx.objectStore(collection);
    for (let cursor = await store.openCursor(); cursor; cursor = await cursor.continue()) {
      const stored = cursor.value as Stored;
      await cursor.update({ ...stored, doc: change(stored.doc) });
    }
  };
  const there = [...database.objectStoreNames].filter((name) => name !== 'meta');
  if (from < 2) for (const collection of there) await each(collection, (doc) => entryFrom1To2(collection, doc));
  if (from < 4) {
    for (const collection of there.filter((c) => c !== 'choices'))
      await each(collection, (doc) => entryFrom3To4(collection, doc));
    if (there.includes('choices')) await moveChoices(database, tx);
  }
  const since4 = (doc: unknown) => (from < 5 ? entryFrom4To5(doc) : doc);
  const since5 = (doc: unknown) => (from < 6 ? entryFrom5To6(since4(doc)) : doc);
  const since6 = (doc: unknown) => (from < 7 ? entryFrom6To7(since5(doc)) : doc);
  const since7 = (doc: unknown) => (from < 8 ? entryFrom7To8(since6(doc)) : doc);
  const since8 = (doc: unknown) => (from < 9 ? entryFrom8To9(since7(doc)) : doc);
  const since9 = (doc: unknown) => (from < 10 ? entryFrom9To10(since8(doc)) : doc);
  const since10 = (doc: unknown) => (from < 11 ? entryFrom10To11(since9(doc)) : doc);
  const since11 = (doc: unknown) => (from < 12 ? entryFrom11To12(since10(doc)) : doc);
  for (const collection of there.filter((c) => c !== 'choices'))
    await each(collection, (doc) => entryFrom12To13(since11(doc)));
}

async function moveChoices(database: IDBPDatabase, tx: UpgradeTransaction): Promise<void> {
  // Choices are set-ups of their job now.
  const setups = tx.objectStore('setups');
  const kept = (await setups.getAll()) as Stored[];
  const choices = (await tx.objectStore('choices').getAll()) as Stored[];
  const moved = setupsWithChoices(
    kept.map((s) => s.doc),
    choices.map((c) => c.doc),
  ).slice(kept.length);
  for (const choice of moved) {
    const doc = entryFrom3To4('choices', choice) as { id: string };
    await setups.put?.({ id: doc.id, doc });
  }
  database.deleteObjectStore('choices');
}
