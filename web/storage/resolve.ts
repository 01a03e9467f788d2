import equal from 'fast-deep-equal';
import type { Collection } from '@core/records/files';
import type { Change, Doc } from './changes';
import { fitsShape } from './fits';
import { merge } from './merge';
import { nameOf } from './name-of';

/** What has to be told about a change that met another one. */
export interface Note {
  readonly collection: Collection;
  readonly id: string;
  readonly name: string;
  /**
   * `both`: the same place was changed twice. `came-back`: taken out there, changed here. `stayed`: changed there,
   * taken out here.
   */
  readonly kind: 'both' | 'came-back' | 'stayed';
  /** Places that were changed twice, as `site.heightM`; empty for the whole. */
  readonly places: readonly string[];
  /**
   * The document with what did not stand in the places that were changed twice; null when that side had taken it out.
   */
  readonly theirs: Doc | null;
}
export interface Resolved {
  readonly doc: Doc | null;
  readonly note: Note | null;
}

/**
 * The one rule for a change of a document that is not as the change found it, in the database as on the screen: what
 * was changed goes onto what is there, place by place; where both changed the same place the later writer stands; what
 * one took out and the other changed stays. Nothing goes without a note.
 *
 * @param there what is there now; null when there is none.
 */
export function resolve(change: Change, there: Doc | null): Resolved {
  const { collection, id, before, after } = change;
  const note = (kind: Note['kind'], places: readonly string[], theirs: Doc | null): Note => ({
    collection,
    id,
    name: nameOf(after ?? there ?? before),
    kind,
    places,
    theirs,
  });
  if (before === null ? there === null : there !== null && equal(there, before)) return { doc: after, note: null };
  if (there === null) return { doc: after, note: after === null ? null : note('came-back', [], null) };
  if (after === null) return { doc: there, note: note('stayed', [], there) };
  if (before === null) return { doc: after, note: equal(after, there) ? null : note('both', [''], there) };
  const { value, conflicts } = merge<Doc>(before, after, there);
  // Two changes that are right by themselves can be wrong together: then the later one stands whole, and the other is
  // told.
  if (!equal(value, after) && !fitsShape(collection, value)) return { doc: after, note: note('both', [''], there) };
  if (conflicts.length === 0) return { doc: value, note: null };
  const other = merge<Doc>(before, there, after).value;
  return { doc: value, note: note('both', conflicts, fitsShape(collection, other) ? other : there) };
}
