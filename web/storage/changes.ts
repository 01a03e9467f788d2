import { COLLECTIONS, type Collection, type Workspace } from '@core/records/files';

/** A document of any collection. */
export type Doc = Workspace[Collection][number];

/**
 * One document before and after: null before is new, null after is removed. The unit of saving, of undo and of what
 * tabs tell each other.
 */
export interface Change {
  readonly collection: Collection;
  readonly id: string;
  readonly before: Doc | null;
  readonly after: Doc | null;
}

export const put = (collection: Collection, before: Doc | null, after: Doc): Change => ({
  collection,
  id: after.id,
  before,
  after,
});
export const remove = (collection: Collection, before: Doc): Change => ({
  collection,
  id: before.id,
  before,
  after: null,
});
export const inverse = (changes: readonly Change[]): Change[] =>
  changes.map(({ collection, id, before, after }) => ({ collection, id, before: after, after: before })).reverse();

/** The workspace with the changes applied, in order. Lists keep their places; a new document goes to the end. */
export function applyChanges(workspace: Workspace, changes: readonly Change[]): Workspace {
  const next: Record<Collection, Doc[]> = { ...workspace };
  for (const collection of COLLECTIONS) {
    const own = changes.filter((change) => change.collection === collection);
    if (own.length === 0) continue;
    // A map keeps the places of what was there, also through thousands of changes.
    const docs = new Map<string, Doc>(next[collection].map((doc) => [doc.id, doc]));
    for (const { id, after } of own)
      if (after === null) docs.delete(id);
      else docs.set(id, after);
    next[collection] = [...docs.values()];
  }
  return next as unknown as Workspace;
}

/** The changes that turn one workspace into another, for import and wipe. */
export function difference(from: Workspace, to: Workspace): Change[] {
  return COLLECTIONS.flatMap((collection) => {
    const before = new Map<string, Doc>(from[collection].map((doc) => [doc.id, doc]));
    const after = new Set(to[collection].map((doc) => doc.id));
    return [
      ...from[collection].filter((doc) => !after.has(doc.id)).map((doc) => remove(collection, doc)),
      ...to[collection].map((doc) => put(collection, before.get(doc.id) ?? null, doc)),
    ];
  });
}
