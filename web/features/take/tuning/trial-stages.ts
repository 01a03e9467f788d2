import type { TrialResult } from '@core/things/tuning';
import type { Quantity } from '@core/foundations/units';

/** One thing that is done in a trial, with the answers that a thumb can give; the first one is the best. */
export interface TrialStage {
  readonly key: Exclude<keyof TrialResult, 'releases'>;
  readonly does: string;
  readonly see: string;
  readonly quantity: Quantity;
  readonly timerS: number | null;
  /** Values, each with words; the last one stands for that and more. */
  readonly answers: readonly (readonly [value: number, words: string])[];
}

export const TRIAL_STAGES: readonly TrialStage[] = [
  {
    key: 'creepMm',
    does: 'Hang still for a minute, hands off.',
    see: 'Tape on the rope just below the device: how far did it creep?',
    quantity: 'lengthMm',
    timerS: 60,
    answers: [
      [0, 'Not at all'],
      [3, 'Hardly'],
      [5, 'A little'],
      [15, 'Visibly'],
      [50, 'It runs'],
    ],
  },
  {
    key: 'bounceMm',
    does: 'Bounce three times.',
    see: 'How far from the tape?',
    quantity: 'lengthMm',
    timerS: null,
    answers: [
      [0, 'Not at all'],
      [30, 'A little'],
      [50, 'Four fingers'],
      [150, 'Two hands or more'],
    ],
  },
  {
    key: 'handForceN',
    does: 'Go down about half a metre a second.',
    see: 'How hard does the hand work?',
    quantity: 'forceN',
    timerS: null,
    answers: [
      [30, 'Two fingers'],
      [80, 'Easily'],
      [150, 'With effort'],
      [300, 'With all I have'],
    ],
  },
  {
    key: 'dragN',
    does: 'Stand up, and draw the rope through.',
    see: 'How does it run?',
    quantity: 'forceN',
    timerS: null,
    answers: [
      [10, 'By itself'],
      [25, 'With a light pull'],
      [60, 'With force'],
    ],
  },
];
