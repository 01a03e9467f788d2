import { finding, type Finding } from '../../foundations/finding/index.ts';
import type { Setup } from '../rig/index.ts';
import { callsMatter, downMatters } from './calls-matter.ts';
import { claimOf, type Judge } from './judge.ts';

const belayerOf = (setup: Setup) => setup.persons.find((p) => p.role === 'belayer')!.id;

/** What is agreed between who climbs and who belays. */
export const callsJudge: Judge = {
  id: 'calls',
  subjects: ({ setup }) => (callsMatter(setup) ? [belayerOf(setup)] : []),
  claims: (ref, { setup }) => [claimOf(ref, 'calls'), ...(downMatters(setup) ? [claimOf(ref, 'down')] : [])],
  judge: (ref, { setup }): Finding[] => [...heard(ref, setup), ...(downMatters(setup) ? down(ref, setup) : [])],
  reads: (ref) => [ref],
};

function heard(ref: string, { calls }: Setup): Finding[] {
  if (calls.by === 'voice' || calls.by === 'signs') return [];
  const says = {
    tugs: 'Tugs on the rope are the only calls.',
    none: 'You have not agreed how to communicate.',
    unknown: 'Not entered yet: how you tell each other what you do.',
  }[calls.by];
  return [
    finding(
      { code: 'crew.calls', severity: calls.by === 'unknown' ? 'untested' : 'mind', subject: [ref], says },
      calls.by === 'tugs'
        ? {
            because: 'Tugs get lost over edges and pieces, and a climber who pulls rope looks like one who tugs.',
            remedy:
              'Agree how many tugs mean what, and that they are answered. The second stays on belay until the rope comes tight and the call to climb came.',
          }
        : {
            because: 'Out of sight, an unclear call or silence is heard as whatever you expect.',
            remedy: 'Agree words, tugs or signs on the ground, with names; each is answered, and silence is no answer.',
          },
    ),
  ];
}

function down(ref: string, { calls }: Setup): Finding[] {
  if (calls.down !== 'unknown') return [];
  return [
    finding({
      code: 'crew.down',
      severity: 'untested',
      subject: [ref],
      says: 'It is not agreed whether the climber is lowered or rappels.',
      because:
        'If the belayer expects a rappel, they take the climber off belay while the climber leans back to be lowered.',
      remedy: 'Agree it on the ground, and look at each other before the climber leans back.',
    }),
  ];
}
