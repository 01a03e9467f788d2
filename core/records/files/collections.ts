import type { Workspace } from './documents.ts';

/*
 * What a workspace consists of, without the schemas: a page that has only to know which collections there are does not
 * load those.
 */

export type Collection = keyof Workspace;
export const COLLECTIONS = [
  'items',
  'people',
  'setups',
  'checks',
  'uses',
  'wayTests',
  'sequences',
  'trainings',
] as const satisfies readonly Collection[];

export const emptyWorkspace = (): Workspace => ({
  items: [],
  people: [],
  setups: [],
  checks: [],
  uses: [],
  wayTests: [],
  sequences: [],
  trainings: [],
});
