import type { Person } from '../gear/index.ts';
import { constant, threshold } from '../../foundations/sources/index.ts';
import {
  around,
  exactly,
  interval,
  mapFalling,
  scale,
  STANDARD_GRAVITY_M_PER_S2,
  times,
  timesIndependent,
  type Interval,
} from '../../foundations/units/index.ts';
import type { Weather } from './conditions.ts';

export interface BrakeForceInput {
  /** Mass with gear, kg. */
  readonly massKg: number;
  /** ln(T_load / T_brake) of the device, pure number. */
  readonly exponent: Interval;
  /** Mass of all strands together, kg per metre of strand. */
  readonly ropeKgPerM: Interval;
  /**
   * Hand force on one strand over that on two, when only one runs through the device; left out: two do, or the device
   * was not made for two.
   */
  readonly oneStrand?: Interval;
  /** Length of strand that hangs free below the device, m, >= 0. */
  readonly hangingM: number;
}

/**
 * Force that the brake hand must hold: m g / A - rho g L, A the ratio of the device. Negative when the hanging rope
 * holds more than is needed. N.
 */
export function brakeForceN({ massKg, exponent, ropeKgPerM, hangingM, oneStrand }: BrakeForceInput): Interval {
  const g = STANDARD_GRAVITY_M_PER_S2;
  const bothN = mapFalling(exponent, (e) => (massKg * g) / Math.exp(e));
  const needN = oneStrand ? timesIndependent(bothN, oneStrand) : bothN;
  const ropeN = scale(ropeKgPerM, g * hangingM);
  return interval(needN.low - ropeN.high, needN.best - ropeN.best, needN.high - ropeN.low);
}

/** Diameter of the rope that hand forces are stated for, mm. */
const HAND_REFERENCE_MM = 10;

/**
 * What the brake hand of this person holds on this rope, N: measured once (with its spread), or the stated default, of
 * which a light person has at most a share by mass; less on thin, wet or icy rope. Check: 10 mm, dry: 150/230/330; a
 * child of 30 kg 55/84/121; 8.5 mm 0.892 of it.
 * @param on diameter of the rope, mm, > 0.
 */
export function handForceN(
  person: Pick<Person, 'handForceN' | 'massKg'>,
  on: { readonly diameterMm: number; readonly weather: Weather },
): {
  readonly forceN: Interval;
  readonly measured: boolean;
} {
  const { handForceN: byScaleN, massKg } = person;
  const dry = byScaleN === null ? unmeasuredN(massKg) : scale(around(1, threshold('handForceSpread')), byScaleN);
  const byDiameter = (on.diameterMm / HAND_REFERENCE_MM) ** threshold('handForceDiameterPower');
  const byWeather = { dry: exactly(1), wet: constant('handFactorWet'), icy: constant('handFactorIcy') }[on.weather];
  return { forceN: times(scale(dry, byDiameter), byWeather), measured: byScaleN !== null };
}

function unmeasuredN(massKg: number): Interval {
  const usual = constant('handForceDefaultN');
  // A light person has the same share of the default at each end of its interval.
  return scale(usual, Math.min(1, (threshold('handForcePerKgN') * massKg) / usual.best));
}
