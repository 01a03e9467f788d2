import type { TrainingRecord } from '../../records/log/index.ts';
import type { Practice } from './practice.ts';

/** A practice as it is kept: for whom, when, and what came out. */
export const recordOf = (
  p: Practice,
  own: { readonly id: string; readonly at: string; readonly person: TrainingRecord['person'] },
): TrainingRecord => ({
  ...own,
  belay: p.settings.belay,
  device: p.settings.device,
  hand: p.settings.hand,
  pace: p.settings.pace,
  seed: p.settings.seed,
  lastedS: p.tS,
  offBrakeS: p.offBrakeS,
  aboveLineS: p.aboveLineS,
  mostSlackM: Math.min(100, Math.max(0, p.mostSlackM)),
  falls: p.falls.slice(-200),
});
