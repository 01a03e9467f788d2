import { interval, scale, STANDARD_GRAVITY_M_PER_S2, type Interval } from '../units/index.ts';

/*
 * One person on a rope from above, with what grips it: where the ground is reached, and where the rope begins to run by itself. Mechanics; the rope
 * stretches by a share of what is above, and nothing is damped.
 */

/**
 * Height above the ground, m, below which a fall reaches it: the whole rope of `ropeM` stretches by `stretch` (1), and the device runs `travelM`
 * before it holds. Solved from h = stretch (ropeM - h) + travelM. Check: 30 m and 0.3 m: 2.5 m at 8 %, 1.3 m at 3.5 %.
 */
export function groundReachedBelowM(ropeM: number, stretch: Interval, travelM: Interval): Interval {
  const at = (eps: number, travel: number) => (eps * ropeM + travel) / (1 + eps);
  return interval(at(stretch.low, travelM.low), at(stretch.best, travelM.best), at(stretch.high, travelM.high));
}

/**
 * Height above the ground, m, from which a rope runs through a grab by itself: there the rope below and what hangs on its end weigh as much as the drag.
 * Never below 0. Check: 10 N and 62 g/m: 16.4 m; with 1 kg on the end 0.3 m.
 */
export function feedsAboveM(dragN: Interval, kgPerM: Interval, endWeightKg: number): Interval {
  const at = (drag: number, perM: number) => Math.max(0, (drag / STANDARD_GRAVITY_M_PER_S2 - endWeightKg) / perM);
  return interval(at(dragN.low, kgPerM.high), at(dragN.best, kgPerM.best), at(dragN.high, kgPerM.low));
}

/** What has to hang on the end, kg, so that the rope runs by itself from the ground on. */
export const feedingWeightKg = (dragN: Interval): Interval => scale(dragN, 1 / STANDARD_GRAVITY_M_PER_S2);

const LONGEST_M = 1000;
/**
 * Rope above, m, from which on the upper of two grabs reaches the lower one when it slips: the rope gives `stretch` of that length, and the lower one needs
 * `travelM` until it is loaded. At most 1000 m, longer than any rope; 0 where the gap is no larger than the travel.
 */
export function meetsWithM(gapM: Interval, stretch: Interval, travelM: number): Interval {
  const at = (gap: number, eps: number) =>
    gap <= travelM ? 0 : Math.min(LONGEST_M, eps > 0 ? (gap - travelM) / eps : LONGEST_M);
  return interval(at(gapM.low, stretch.high), at(gapM.best, stretch.best), at(gapM.high, stretch.low));
}
