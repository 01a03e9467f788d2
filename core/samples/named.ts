import { plan, takeChoice } from '../choose/index.ts';
import { writeChoice, writeSequence, writeSetup } from '../files/index.ts';
import { JOB_KEYS, type Job } from '../gear/index.ts';
import type { Choice, Question, Setup } from '../rig/index.ts';
import { beechMulti, CHOICE_DAY, topRopeCam } from './choices.ts';
import { clubItems, ilse } from './club.ts';
import { newSequence, PROCEDURES, type ProcedureId } from '../sequence/index.ts';
import { lowSpanFromMemory } from './sequences.ts';
import { rappelDouble, rappelDoubleFaulty } from './setups.ts';

/** The best that the club’s locker offers for a job; where everything has a *stop*, the least bad. */
export function bestChoice(job: Job): Choice {
  const question: Question = { job, heightM: 12, weather: 'dry', climber: ilse, belayer: null };
  const { combinations, rejected } = plan(question, clubItems, []);
  return takeChoice({
    question,
    combination: (combinations[0] ?? rejected[0])!,
    items: clubItems,
    tests: [],
    id: `choice-${job}`,
    name: `Best of the club’s locker: ${job}`,
    now: CHOICE_DAY,
  });
}

const SETUPS: Readonly<Record<string, Setup>> = {
  'rappel-double': rappelDouble,
  'rappel-double-faulty': rappelDoubleFaulty,
};

/** Files to start from, by the name used on the command line: two set-ups, a combination for every job, and orders of steps. */
export const SAMPLES: Readonly<Record<string, () => string>> = {
  ...Object.fromEntries(Object.entries(SETUPS).map(([name, setup]) => [name, () => writeSetup(setup)])),
  'choice-wall': () => writeChoice(topRopeCam),
  'choice-beech': () => writeChoice(beechMulti),
  ...Object.fromEntries(JOB_KEYS.map((job) => [`choice-${job}`, () => writeChoice(bestChoice(job))])),
  ...Object.fromEntries(
    (Object.keys(PROCEDURES) as ProcedureId[]).map((id) => [
      `sequence-${id}`,
      () => writeSequence(newSequence(id, `sequence-${id}`, CHOICE_DAY)),
    ]),
  ),
  'sequence-from-memory': () => writeSequence(lowSpanFromMemory),
};
