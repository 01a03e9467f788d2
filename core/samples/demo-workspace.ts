import type { Workspace } from '../records/files/index.ts';
import type { UseRecord } from '../records/log/index.ts';
import { clubItems, clubPeople, ilse, tomas } from './club.ts';
import { demoSequences } from './sequences.ts';
import { demoTests, rappelDouble, SETUPS } from './setups.ts';

const uses: readonly UseRecord[] = [
  {
    id: 'use-1',
    at: '2026-09-12T15:20:00.000Z',
    setupId: rappelDouble.id,
    setupName: rappelDouble.name,
    people: [ilse.name],
    outcome: 'as-planned',
    descents: 3,
    note: 'Plots 1 to 3 done. Rope ran clean through the rings.',
  },
  {
    id: 'use-2',
    at: '2026-09-13T14:05:00.000Z',
    setupId: rappelDouble.id,
    setupName: rappelDouble.name,
    people: [ilse.name, tomas.name],
    outcome: 'odd',
    descents: 2,
    note: 'Hitch slow to let go after a stop; cord was wet and sandy. Washed.',
  },
];

/** What the demo starts with: the club’s gear, its people, a set-up for each job and a few entries in the log. */
export function demoWorkspace(): Workspace {
  return structuredClone({
    items: [...clubItems],
    people: [...clubPeople],
    setups: Object.values(SETUPS),
    checks: [],
    uses: [...uses],
    wayTests: [...demoTests],
    sequences: [...demoSequences],
    trainings: [],
  });
}
