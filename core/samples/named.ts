import { writeSequence, writeSetup } from '../records/files/index.ts';
import { newSequence, PROCEDURES, type ProcedureId } from '../answers/procedures/index.ts';
import { lowSpanFromMemory } from './sequences.ts';
import { SETUPS } from './setups.ts';

const DAY = '2026-09-05T18:00:00.000Z';

/** Files to start from, by the name used on the command line: a set-up for every job, and orders of steps. */
export const SAMPLES: Readonly<Record<string, () => string>> = {
  ...Object.fromEntries(Object.entries(SETUPS).map(([name, setup]) => [name, () => writeSetup(setup)])),
  ...Object.fromEntries(
    (Object.keys(PROCEDURES) as ProcedureId[]).map((id) => [
      `sequence-${id}`,
      () => writeSequence(newSequence(id, `sequence-${id}`, DAY)),
    ]),
  ),
  'sequence-from-memory': () => writeSequence(lowSpanFromMemory),
};
