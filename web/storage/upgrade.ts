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

/** What changed an entry, and before which version it has to be done. */
const STEPS: readonly (readonly [before: number, step: (doc: unknown, collection: string) => unknown])[] = [
  [2, (doc, collection) => entryFrom1To2(collection, doc)],
  [4, (doc, collection) => entryFrom3To4(collection, doc)],
  [5, entryFrom4To5],
  [6, entryFrom5To6],
  [7, entryFrom6To7],
  [8, entryFrom7To8],
  [9, entryFrom8To9],
  [10, entryFrom9To10],
  [11, entryFrom10To11],
  [12, entryFrom11To12],
  [13, entryFrom12To13],
];

/** One entry of an older version as this one has it, by the same steps as files. What has not the shape of its version stays as it is, and is counted as unreadable later. */
export const broughtUp = (doc: unknown, collection: string, from: number): unknown =>
  STEPS.reduce((now, [before, step]) => (from < before ? step(now, collection) : now), doc);

/** Brings every stored entry up from an older version of the database. */
export async function bringUp(database: IDBPDatabase, tx: UpgradeTransaction, from: number): Promise<void> {
  const moved = database.objectStoreNames.contains('choices') ? await choicesAsSetups(tx, from) : [];
  if (database.objectStoreNames.contains('choices')) database.deleteObjectStore('choices');
  for (const collection of [...database.objectStoreNames].filter((name) => name !== 'meta')) {
    const store = tx.objectStore(collection);
    for (let cursor = await store.openCursor(); cursor; cursor = await cursor.continue()) {
      const stored = cursor.value as Stored;
      await cursor.update({ ...stored, doc: broughtUp(stored.doc, collection, from) });
    }
  }
  for (const doc of moved) await tx.objectStore('setups').put?.({ id: doc.id, doc });
}

/** Choices were something of their own before version 4; they are set-ups of their job now. */
async function choicesAsSetups(tx: UpgradeTransaction, from: number): Promise<readonly { readonly id: string }[]> {
  const all = async (collection: string) =>
    ((await tx.objectStore(collection).getAll()) as Stored[]).map(({ doc }) =>
      from < 2 ? entryFrom1To2(collection, doc) : doc,
    );
  const kept = await all('setups');
  const moved = setupsWithChoices(kept, await all('choices')).slice(kept.length);
  return moved.map((choice) => broughtUp(entryFrom3To4('choices', choice), 'setups', 4) as { id: string });
}
