import type { Cord } from '../gear/index.ts';
import { constant, threshold } from '../../foundations/sources/index.ts';
import { interval, scale, timesIndependent, type Interval } from '../../foundations/units/index.ts';
import { frictionShifts, overPossible, type Conditions } from './conditions.ts';

/** EN 564: least strength of one strand of cord, kN, for d in mm. Check: 5 mm 5.0, 6 mm 7.2, 7 mm 9.8, 8 mm 12.8. */
export const cordStrengthKn = (diameterMm: number): number => 0.2 * diameterMm * diameterMm;

export interface HitchGripInput {
  readonly cordDiameterMm: number;
  readonly ropeDiameterMm: number;
  /** Full turns of the doubled cord around the rope, >= 1. */
  readonly wraps: number;
  readonly material: Cord['material'];
  readonly weather: Conditions['weather'];
  readonly sheath: Conditions['sheath'];
}

/** How well the cord bites, 0.1 to 1: full up to the good cord-to-rope ratio, less above it. */
export function bite(cordDiameterMm: number, ropeDiameterMm: number): number {
  const above = cordDiameterMm / ropeDiameterMm - threshold('hitchRatioHigh');
  return Math.min(1, Math.max(0.1, 1 - threshold('hitchBiteLossPerRatio') * above));
}

const MATERIAL = { polyester: 'muFactorPolyester', aramid: 'muFactorAramid', uhmwpe: 'muFactorUhmwpe' } as const;

/**
 * Grip margin of a friction hitch: wraps there are over wraps needed, where the wraps needed build up the tension ratio
 * R by capstan friction: n = ln R / (2 pi mu). Above 1 it grips. An estimate; a pull test on the rope itself beats it.
 */
export function hitchGripMargin(input: HitchGripInput): Interval {
  const { material } = input;
  // A cord of unknown fibre spans everything from polyamide to the slipperiest one; the finding says that it is not
  // known.
  const materialFactor =
    material === 'polyamide'
      ? []
      : material === 'unknown'
        ? [interval(constant('muFactorUhmwpe').low, 1, 1)]
        : [constant(MATERIAL[material])];
  const mu = overPossible({ weather: input.weather, sheath: input.sheath, wear: 'new' }, (known) =>
    timesIndependent(constant('muCordOnRope'), ...materialFactor, ...frictionShifts(known).map((s) => s.factor)),
  );
  const turns = input.wraps * bite(input.cordDiameterMm, input.ropeDiameterMm);
  return scale(mu, (2 * Math.PI * turns) / Math.log(threshold('hitchTensionRatio')));
}
