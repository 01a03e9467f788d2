import type { TrainingRecord } from '../../records/log/index.ts';
import { tubeExponent } from '../../things/friction/index.ts';
import { constant } from '../../foundations/sources/index.ts';

/** What is practised, and with whose hand. */
export interface PracticeSettings {
  readonly belay: TrainingRecord['belay'];
  readonly device: TrainingRecord['device'];
  readonly hand: TrainingRecord['hand'];
  readonly pace: TrainingRecord['pace'];
  /** Climber with gear, kg, > 0. */
  readonly massKg: number;
  /** What the brake hand holds on this rope, N, >= 0. */
  readonly handForceN: number;
  /** Height at which the climber is lowered, m, > 0. */
  readonly topM: number;
  /** Same seed, same falls and pauses. */
  readonly seed: number;
}

/** A hand on its pad: 1 as high as it goes, 0 at the line of the device, -1 as low as it goes. null: off the rope. */
export type HandHeight = number | null;

/** What the two hands do at a moment. */
export interface Hands {
  readonly brake: HandHeight;
  /** Above the line it holds the climber’s strand; below it holds the brake strand under the brake hand. */
  readonly guide: HandHeight;
  /** Thumb of the guide hand kept on the cam, so that rope runs out freely: a cam device only. */
  readonly thumbOnCam: boolean;
}

export const NO_HANDS: Hands = { brake: null, guide: null, thumbOnCam: false };

/** Rope that a hand moves by a stroke over its whole pad, m. */
export const STROKE_M = 0.6;

/**
 * How far the brake strand is bent away from the loaded one with the hand at this height, rad: beside it above,
 * opposite below.
 */
export const bendRad = (height: number): number => ((1 - Math.min(1, Math.max(-1, height))) / 2) * Math.PI;

/**
 * Load over brake force with the hand at this height, pure number. A grooved tube on a 10 mm rope, best values: 6.66
 * below, 3.82 at the line, 2.19 above. A cam that is kept from turning brakes like its bend alone.
 */
export const ratioAt = (device: PracticeSettings['device'], height: number): number =>
  Math.exp(
    tubeExponent({
      grooved: device === 'tube',
      conditions: { weather: 'dry', sheath: 'smooth', wear: 'new' },
      diameterMm: 10,
      extraConnector: false,
      lipRad: device === 'tube' ? bendRad(height) : 0,
    }).best,
  );

/** Force at which rope slips through a device while the hands are like this, N. 0: nothing holds. */
export function holdingN(settings: PracticeSettings, hands: Hands, loose: boolean): number {
  const { device, handForceN } = settings;
  // Where the cam may turn it holds; that somebody need not hold it is not what is practised.
  if (device === 'cam' && !hands.thumbOnCam) return constant('assistedSlipKn').best * 1000;
  const brakeN = hands.brake === null || loose ? 0 : ratioAt(device, hands.brake) * handForceN;
  const underN = hands.guide !== null && hands.guide < 0 ? ratioAt(device, -1) * handForceN : 0;
  return Math.max(brakeN, underN);
}
