import type { Sequence } from '@core/answers/procedures';
import { put, remove } from '../storage/changes';
import type { Edit } from './workspace-slice';

export const addSequence = (sequence: Sequence): Edit => ({
  label: `add ${sequence.name}`,
  changes: [put('sequences', null, sequence)],
  mergeKey: null,
});
/**
 * @param field what is being typed into; changes of the same field that follow each other are one step to undo. null: a
 * step of its own.
 */
export const changeSequence = (before: Sequence, after: Sequence, now: string, field: string | null): Edit => ({
  label: `change ${after.name}`,
  changes: [put('sequences', before, { ...after, updatedAt: now })],
  mergeKey: field === null ? null : `${after.id}/${field}`,
});
export const removeSequence = (sequence: Sequence): Edit => ({
  label: `remove ${sequence.name}`,
  changes: [remove('sequences', sequence)],
  mergeKey: null,
});
