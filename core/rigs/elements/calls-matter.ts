import { JOB_FACTS } from '../../things/gear/index.ts';
import type { Setup } from '../rig/index.ts';

/** One person holds the other: what they tell each other decides what the belayer does. */
export const callsMatter = ({ persons }: Setup): boolean => persons.some((p) => p.role === 'belayer');

/**
 * Jobs at whose end the climber is lowered, or takes the rope for something else: mistaken for each other, nobody
 * holds.
 */
export const downMatters = (setup: Setup): boolean =>
  callsMatter(setup) && JOB_FACTS[setup.job].belayedFrom === 'below';
