import type { Workspace } from '@core/records/files';
import { inverse, type Change, type Doc } from '../storage/changes';
import { resolve } from '../storage/resolve';

export interface Edit {
  readonly label: string;
  readonly changes: readonly Change[];
  /** Steps with the same key that follow each other are one step to undo (typing in one field). */
  readonly mergeKey: string | null;
  /** Names the step for whoever offers to undo just this one; given when the edit is done. */
  readonly step?: string;
}

export const docOf = (data: Workspace, { collection, id }: Pick<Change, 'collection' | 'id'>): Doc | null =>
  (data[collection] as readonly Doc[]).find((doc) => doc.id === id) ?? null;

/**
 * Changes as they stand on what is there now: a step that is undone takes back what it changed and nothing else. null
 * when something of it was changed again since, so that undoing it would bring an old value back over a newer one.
 */
export function onto(data: Workspace, changes: readonly Change[]): Change[] | null {
  const result: Change[] = [];
  for (const change of changes) {
    const before = docOf(data, change);
    const { doc, note } = resolve(change, before);
    if (note) return null;
    result.push({ ...change, before, after: doc });
  }
  return result;
}

const keyOf = ({ collection, id }: Pick<Change, 'collection' | 'id'>) => `${collection}/${id}`;

/**
 * The steps that can still be gone through, nearest first, after documents were changed elsewhere. A step that would
 * bring old values back goes, and so does every step behind it that is about the same document.
 *
 * @param steps nearest first, each as the changes that going through it makes.
 */
export function stillOpen(data: Workspace, steps: readonly Edit[], direction: 'undo' | 'redo'): Edit[] {
  const docs = new Map<string, Doc | null>();
  const lost = new Set<string>();
  return steps.filter((step) => {
    const changes = direction === 'undo' ? inverse(step.changes) : step.changes;
    const next = changes.map((change) => {
      const key = keyOf(change);
      const there = docs.has(key) ? docs.get(key)! : docOf(data, change);
      return { key, ...resolve(change, there) };
    });
    if (next.some(({ key, note }) => note !== null || lost.has(key))) {
      next.forEach(({ key }) => lost.add(key));
      return false;
    }
    next.forEach(({ key, doc }) => docs.set(key, doc));
    return true;
  });
}
