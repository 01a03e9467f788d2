import { interval, STANDARD_GRAVITY_M_PER_S2, type Interval } from '../../foundations/units/index.ts';

/**
 * Pull that lifts a mass with three parts of rope, of which two turns lose a share: F = m g / (1 + eta + eta^2), eta
 * the pull that is left behind one turn. Check, 80 kg: 289 N at 0.9, 322 at 0.8, 400 at 0.6. Statics. N.
 */
export function haulThreeN(massKg: number, eta: Interval): Interval {
  const at = (e: number) => (massKg * STANDARD_GRAVITY_M_PER_S2) / (1 + e + e * e);
  return interval(at(eta.high), at(eta.best), at(eta.low));
}

/**
 * The same with the hauling strand turned down once more, so that one can put one's weight into it: the turn costs its
 * share again. Check, 80 kg: 321 N at 0.9, 402 at 0.8, 667 at 0.6.
 */
export function haulThreeDownN(massKg: number, eta: Interval): Interval {
  const up = haulThreeN(massKg, eta);
  return interval(up.low / eta.high, up.best / eta.best, up.high / eta.low);
}

/** Rope to haul for a lift: three times as much, m. */
export const hauledM = (liftM: number): number => 3 * liftM;
