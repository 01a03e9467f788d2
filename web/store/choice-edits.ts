import type { WayTest } from '@core/connector';
import type { Choice } from '@core/rig';
import { put, remove } from '../storage/changes';
import type { Step } from './workspace-slice';

export const addChoice = (choice: Choice): Step => ({
  label: `take ${choice.name}`,
  changes: [put('choices', null, choice)],
  mergeKey: null,
});
export const changeChoice = (before: Choice, after: Choice): Step => ({
  label: `change ${after.name}`,
  changes: [put('choices', before, after)],
  mergeKey: `${after.id}/name`,
});
export const removeChoice = (choice: Choice): Step => ({
  label: `remove ${choice.name}`,
  changes: [remove('choices', choice)],
  mergeKey: null,
});

/** Adds own tests of ways to clip; several when they come from a file, one step to undo. */
export const addTests = (tests: readonly WayTest[]): Step => ({
  label: tests.length === 1 ? 'add own test' : `add ${tests.length} own tests`,
  changes: tests.map((test) => put('wayTests', null, test)),
  mergeKey: null,
});
export const removeTest = (test: WayTest): Step => ({
  label: 'remove own test',
  changes: [remove('wayTests', test)],
  mergeKey: null,
});
