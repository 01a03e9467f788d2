import type { Person } from '../gear/index.ts';
import { constant, threshold } from '../sources/index.ts';
import { interval, mapFalling, scale, STANDARD_GRAVITY_M_PER_S2, type Interval } from '../units/index.ts';

export interface BrakeForceInput {
  /** Mass with gear, kg. */
  readonly massKg: number;
  /** ln(T_load / T_brake) of the device, pure number. */
  readonly exponent: Interval;
  /** Mass of all strands together, kg per metre of strand. */
  readonly ropeKgPerM: Interval;
  /** Length of strand that hangs free below the device, m, >= 0. */
  readonly hangingM: number;
}

/**
 * Force that the brake hand must hold: m g / A - rho g L, A the ratio of the device. Negative when the hanging rope holds more
 * than is needed. N.
 */
export function brakeForceN({ massKg, exponent, ropeKgPerM, hangingM }: BrakeForceInput): Interval {
  const g = STANDARD_GRAVITY_M_PER_S2;
  const needN = mapFalling(exponent, (e) => (massKg * g) / Math.exp(e));
  const ropeN = scale(ropeKgPerM, g * hangingM);
  return interval(needN.low - ropeN.high, needN.best - ropeN.best, needN.high - ropeN.low);
}

/** What the brake hand of this person holds, N: measured once (with its spread) or the stated default. */
export function handForceN(person: Pick<Person, 'handForceN'>): {
  readonly forceN: Interval;
  readonly measured: boolean;
} {
  if (person.handForceN === null) return { forceN: constant('handForceDefaultN'), measured: false };
  const spread = threshold('handForceSpread') * person.handForceN;
  return {
    forceN: interval(person.handForceN - spread, person.handForceN, person.handForceN + spread),
    measured: true,
  };
}
