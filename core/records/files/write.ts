import type { Setup } from '../../rigs/rig/index.ts';
import type { HalfCheck } from '../log/index.ts';
import type { Sequence } from '../../answers/procedures/index.ts';
import { documentSchema, type Document, type Workspace } from './documents.ts';
import { FORMAT, VERSION } from './version.ts';

/**
 * Prints in the key order of the schema, so that the same data is always the same text. Data that a later bug made
 * invalid is written as it is: nobody loses it because it does not fit.
 */
function print(document: Document): string {
  const parsed = documentSchema.safeParse(document);
  return `${JSON.stringify(parsed.success ? parsed.data : document, null, 2)}\n`;
}

const byId = <T extends { id: string }>(list: readonly T[]): T[] =>
  [...list].sort((a, b) => (a.id < b.id ? -1 : a.id > b.id ? 1 : 0));

/** A whole workspace as a file; every list in the order of its ids, so that the order of storing does not show. */
export function writeWorkspace(workspaceToWrite: Workspace): string {
  const { items, people, setups, checks, uses, wayTests, sequences, trainings } = workspaceToWrite;
  const workspace: Workspace = {
    items: byId(items),
    people: byId(people),
    setups: byId(setups),
    checks: byId(checks),
    uses: byId(uses),
    wayTests: byId(wayTests),
    sequences: byId(sequences),
    trainings: byId(trainings),
  };
  return print({ format: FORMAT, version: VERSION, kind: 'workspace', workspace });
}
/** One set-up as a file, for the command line and for a partner. */
export const writeSetup = (setup: Setup): string => print({ format: FORMAT, version: VERSION, kind: 'setup', setup });
/** One order of steps as a file. */
export const writeSequence = (sequence: Sequence): string =>
  print({ format: FORMAT, version: VERSION, kind: 'sequence', sequence });
/** One half of a check, for the other phone. */
export const writeHalf = (half: HalfCheck): string => print({ format: FORMAT, version: VERSION, kind: 'half', half });
