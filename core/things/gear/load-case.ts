import type { Interval } from '../../foundations/units/index.ts';
import { anyRope, type RopeSprings } from './rope-springs.ts';
import { JOB_FACTS, type Job, type JobFacts } from './jobs.ts';

/** What a device is used for at its place in a rig: all that fit needs to know. */
export interface UseCase extends Pick<JobFacts, 'strands' | 'persons' | 'fall' | 'tended' | 'climbs'> {
  /** The use that the maker's declaration has to cover. */
  readonly use: Job;
  /** What it is attached to. */
  readonly hangsOn: 'harness' | 'anchor';
}

/** A use with what it must carry and how it is pulled. */
export interface LoadCase extends UseCase {
  /** The heaviest person who can hang on it, with gear, kg. */
  readonly massKg: number;
  /** Fall factor to reckon with; null where the rope stays tight. */
  readonly fallFactor: Interval | null;
  /** How the rope that catches it gives; a rope of any kind where none is chosen. */
  readonly springs: RopeSprings;
  /**
   * Force at which the rope slips through the device, held by this hand, kN; null where device or hand are not known.
   */
  readonly slipKn: Interval | null;
  /** Angle between the brake strand and the loaded strand, rad: 0 beside it, pi opposite to it. */
  readonly brakeAngleRad: number;
  /** The free rope hangs below the device and helps the hand. */
  readonly ropeBelow: boolean;
}

/** The usual case of a job, where there is no rig to ask: for the maps of the locker. */
export const usualUse = (use: Job): UseCase => {
  const { strands, persons, fall, tended, climbs, deviceAt } = JOB_FACTS[use];
  return { use, strands, persons, fall, tended, climbs, hangsOn: deviceAt[0] === 'anchor' ? 'anchor' : 'harness' };
};

/**
 * The usual load of a job. A device at an anchor has load and hand both below it, so that its strands run side by side;
 * elsewhere the hand pulls away from the load.
 * @param massKg with gear, > 0.
 */
export const usualLoad = (use: Job, massKg: number): LoadCase => {
  const usual = usualUse(use);
  return {
    ...usual,
    massKg,
    fallFactor: JOB_FACTS[use].fallFactor,
    springs: anyRope(),
    slipKn: null,
    brakeAngleRad: usual.hangsOn === 'anchor' ? 0 : Math.PI,
    ropeBelow: JOB_FACTS[use].ropeBelow,
  };
};
