import type { TuningTrial } from '../gear/index.ts';
import { threshold } from '../../foundations/sources/index.ts';

/**
 * What one trial says about its setting. `slips`: it grips too little; `drags`: too much; `neither`: it slips and drags
 * at once, so that no setting of this bollard suits this rope; `open`: nothing of it is wrong, and not all of it was
 * done.
 */
export type TrialVerdict = 'slips' | 'drags' | 'neither' | 'good' | 'open';

/** The parts of a trial that decide. */
export type TrialResult = Pick<TuningTrial, 'creepMm' | 'bounceMm' | 'handForceN' | 'dragN' | 'releases'>;

/** Why a trial is not good, in the order in which it is done. */
export const TRIAL_FAULTS = {
  creeps: 'It creeps while you hang still',
  bounces: 'It slips when one bounces',
  'hard-down': 'Going down takes a hard pull',
  'hard-up': 'The rope pulls through only with force',
  sticks: 'It does not let go and hold again',
} as const;
export type TrialFault = keyof typeof TRIAL_FAULTS;

const over = (value: number | null, limit: number): boolean => value !== null && value > limit;

/** Faults of a trial; common practice (`practice-tuning`). */
export function trialFaults({ creepMm, bounceMm, handForceN, dragN, releases }: TrialResult): TrialFault[] {
  return [
    // "Less than 5 mm" and "less than 50 mm": just as much is too much.
    ...(creepMm !== null && creepMm >= threshold('tuningCreepMm') ? (['creeps'] as const) : []),
    ...(bounceMm !== null && bounceMm >= threshold('tuningBounceMm') ? (['bounces'] as const) : []),
    ...(over(handForceN, threshold('tuningHandN')) ? (['hard-down'] as const) : []),
    ...(over(dragN, threshold('tuningDragN')) ? (['hard-up'] as const) : []),
    ...(releases === 'no' ? (['sticks'] as const) : []),
  ];
}

export function trialVerdict(trial: TrialResult): TrialVerdict {
  const faults = trialFaults(trial);
  const slips = faults.includes('creeps') || faults.includes('bounces');
  const drags = faults.includes('hard-down') || faults.includes('hard-up') || faults.includes('sticks');
  if (slips && drags) return 'neither';
  if (slips) return 'slips';
  if (drags) return 'drags';
  const { creepMm, bounceMm, handForceN, dragN, releases } = trial;
  const whole = [creepMm, bounceMm, handForceN, dragN].every((x) => x !== null) && releases === 'yes';
  return whole ? 'good' : 'open';
}
