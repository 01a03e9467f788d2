import { stretchUnder, type RopeSprings, type TwoSprings } from '../gear/index.ts';
import { constant } from '../../foundations/sources/index.ts';
import { interval, scale, STANDARD_GRAVITY_M_PER_S2, type Interval } from '../../foundations/units/index.ts';

/*
 * One person on a rope from above, with what grips it: where the ground is reached, and where the rope begins to run by
 * itself. Mechanics.
 */

/**
 * Height, m, from which somebody comes down onto the ground by hanging still: h = e (H - h) + t, e the stretch under
 * this mass. Check, H 30 m, t 0.3 m, rope of 8 % and 9.0 kN: 68 kg 2.2 m, 110 kg 2.8.
 * @param ropeM H, from the anchor to the ground. @param travelM t: slack, and what the device runs.
 */
export const hangsToM = (rope: TwoSprings, massKg: number, ropeM: number, travelM: number): number =>
  reach(stretchUnder(rope, massKg), ropeM, travelM);

/**
 * The same for the lowest point of a fall without damping. The energy of the fall is in the rope there: m g (t + H e) =
 * (H - t) W(e). Check: 68 kg 3.6 m, 110 kg 4.6.
 */
export function fallsToM(
  { firstN, secondN, kneeN }: TwoSprings,
  massKg: number,
  ropeM: number,
  travelM: number,
): number {
  if (travelM >= ropeM) return ropeM;
  const perM = (massKg * STANDARD_GRAVITY_M_PER_S2) / (ropeM - travelM);
  const [a, b] = [perM * travelM, perM * ropeM];
  const soft = (b + Math.sqrt(b * b + 2 * firstN * a)) / firstN;
  const knee = kneeN / firstN;
  if (soft <= knee) return reach(soft, ropeM, travelM);
  const beyond =
    (b - kneeN + Math.sqrt((b - kneeN) ** 2 + 2 * secondN * (a + b * knee - (kneeN * knee) / 2))) / secondN;
  return reach(knee + beyond, ropeM, travelM);
}

const reach = (strain: number, ropeM: number, travelM: number): number =>
  Math.min(ropeM, (strain * ropeM + travelM) / (1 + strain));

/**
 * Height above the ground, m, below which a fall reaches it: hanging still on the rope that gives least at the one end,
 * the lowest point without damping on the one that gives most at the other, and between them what is left of the bounce
 * with the usual damping.
 */
export function groundReachedBelowM(ropeM: number, springs: RopeSprings, massKg: number, travelM: Interval): Interval {
  const { soft, best, hard } = springs;
  const still = hangsToM(best, massKg, ropeM, travelM.best);
  const lowest = fallsToM(best, massKg, ropeM, travelM.best);
  const zeta = constant('ropeDamping').best;
  // The first overshoot of a damped swing over that of an undamped one.
  const bounce = Math.exp((-Math.PI * zeta) / Math.sqrt(1 - zeta * zeta));
  return interval(
    hangsToM(hard, massKg, ropeM, travelM.low),
    still + bounce * (lowest - still),
    fallsToM(soft, massKg, ropeM, travelM.high),
  );
}

/**
 * Height above the ground, m, from which a rope runs through a grab by itself: there the rope below and what hangs on
 * its end weigh as much as the drag. Never below 0. Check: 10 N and 62 g/m: 16.4 m; with 1 kg on the end 0.3 m.
 */
export function feedsAboveM(dragN: Interval, kgPerM: Interval, endWeightKg: number): Interval {
  const at = (drag: number, perM: number) => Math.max(0, (drag / STANDARD_GRAVITY_M_PER_S2 - endWeightKg) / perM);
  return interval(at(dragN.low, kgPerM.high), at(dragN.best, kgPerM.best), at(dragN.high, kgPerM.low));
}

/** What has to hang on the end, kg, so that the rope feeds itself from the ground on. */
export const feedingWeightKg = (dragN: Interval): Interval => scale(dragN, 1 / STANDARD_GRAVITY_M_PER_S2);

const LONGEST_M = 1000;
/**
 * Rope above, m, from which on the upper of two grabs reaches the lower one when it slips: the rope gives `stretch` of
 * that length, and the lower one needs `travelM` until it is loaded. At most 1000 m, longer than any rope; 0 where the
 * gap is no larger than the travel.
 */
export function meetsWithM(gapM: Interval, stretch: Interval, travelM: number): Interval {
  const at = (gap: number, eps: number) =>
    gap <= travelM ? 0 : Math.min(LONGEST_M, eps > 0 ? (gap - travelM) / eps : LONGEST_M);
  return interval(at(gapM.low, stretch.high), at(gapM.best, stretch.best), at(gapM.high, stretch.low));
}
