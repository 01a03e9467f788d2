import { JOB_KEYS } from '../gear/index.ts';
import { writeChoice, writeSetup } from '../files/index.ts';
import type { Setup } from '../rig/index.ts';
import { beechMulti, bestChoice, topRopeCam } from './choices.ts';
import { rappelDouble, rappelDoubleFaulty } from './setups.ts';

export * as club from './club.ts';
export { demoWorkspace } from './demo-workspace.ts';
export { FAULTY_CODES, rappelDouble, rappelDoubleFaulty } from './setups.ts';

export { beechMulti, bestChoice, demoChoices, demoTests, topRopeCam } from './choices.ts';

const SETUPS: Readonly<Record<string, Setup>> = {
  'rappel-double': rappelDouble,
  'rappel-double-faulty': rappelDoubleFaulty,
};

/** Files to start from, by the name used on the command line: two set-ups, and a combination for every job. */
export const SAMPLES: Readonly<Record<string, () => string>> = {
  ...Object.fromEntries(Object.entries(SETUPS).map(([name, setup]) => [name, () => writeSetup(setup)])),
  'choice-wall': () => writeChoice(topRopeCam),
  'choice-beech': () => writeChoice(beechMulti),
  ...Object.fromEntries(JOB_KEYS.map((job) => [`choice-${job}`, () => writeChoice(bestChoice(job))])),
};
