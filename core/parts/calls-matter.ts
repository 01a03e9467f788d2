import type { Job } from '../gear/index.ts';
import type { Setup } from '../rig/index.ts';

/** One person holds the other: what they tell each other decides what the belayer does. */
export const callsMatter = ({ persons }: Setup): boolean => persons.some((p) => p.role === 'belayer');

const COMES_DOWN: ReadonlySet<Job> = new Set<Job>(['belay-top-rope', 'belay-leader']);
/** Jobs at whose end the climber is lowered, or takes the rope for something else: mistaken for each other, nobody holds. */
export const downMatters = (setup: Setup): boolean => callsMatter(setup) && COMES_DOWN.has(setup.job);
