import type { WayTest } from '@core/things/connector';
import { put, remove } from '../storage/changes';
import type { Edit } from './workspace-slice';

/** Adds own tests of ways to clip; several when they come from a file, one step to undo. */
export const addTests = (tests: readonly WayTest[]): Edit => ({
  label: tests.length === 1 ? 'add own test' : `add ${tests.length} own tests`,
  changes: tests.map((test) => put('wayTests', null, test)),
  mergeKey: null,
});
export const removeTest = (test: WayTest): Edit => ({
  label: 'remove own test',
  changes: [remove('wayTests', test)],
  mergeKey: null,
});
