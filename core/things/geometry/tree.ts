import { interval, STANDARD_GRAVITY_M_PER_S2, type Interval } from '../../foundations/units/index.ts';

/**
 * What a fork carries over the weight on the line, where the line is tied at the base of the tree: 1 + e^(-mu pi), half
 * a turn of friction (Euler and Eytelwein). Check: mu 0.1: 1.73, 0.3: 1.39, a ring without friction 2.
 */
export function forkRatio(mu: Interval): Interval {
  const at = (m: number) => 1 + Math.exp(-m * Math.PI);
  return interval(at(mu.high), at(mu.best), at(mu.low));
}

/**
 * What a fork carries at rest after a bounce of `jerk` weights on a line tied at the base: 1 + min(e^(mu pi), J e^(-mu
 * pi)). The bounce draws rope over the fork, and friction keeps it in the base leg, so that less friction is not always
 * less load: at most 1 + sqrt(J), at mu = ln(J) / (2 pi). Check, 2 weights: 1.4 to 2.4. Mechanics.
 */
export function afterBounceRatio(mu: Interval, jerk: number): Interval {
  const at = (m: number) => 1 + Math.min(Math.exp(m * Math.PI), jerk * Math.exp(-m * Math.PI));
  const most = Math.log(jerk) / (2 * Math.PI);
  const ends = [at(mu.low), at(mu.best), at(mu.high)];
  const peak = most > mu.low && most < mu.high ? [at(most)] : [];
  return interval(Math.min(...ends), at(mu.best), Math.max(...ends, ...peak));
}

/**
 * What a redirect carries, as a part of the load on the line: 2 sin(bend / 2), both legs pulling alike (closed form).
 * Check: 60° 1; 90° 1.41; 180° 2.
 */
export const redirectWeights = (bendDeg: number): number => 2 * Math.sin((bendDeg * Math.PI) / 360);

export interface Swing {
  /** Tight line from the tie-in to where one stands, m. */
  readonly lineM: number;
  /**
   * Down to the lowest point of the swing, m: also the slack that is stored when one walks back and does not take in.
   */
  readonly dropM: number;
  /** Of the line from the vertical. */
  readonly angleDeg: number;
  /** At the lowest point, m/s. */
  readonly speedMPerS: number;
}

/**
 * Somebody who slips off a limb swings to below the tie-in: drop = sqrt(x^2 + h^2) - h for x out along the limb and h
 * from the tie-in down to it, speed = sqrt(2 g drop). Checks: (3, 6) 27 deg, 0.71 m; (4, 4) 45 deg, 1.66 m, 5.7 m/s;
 * (5, 3) 59 deg, 2.83 m. Mechanics. m, > 0.
 */
export function swingOf(outM: number, belowM: number): Swing {
  const lineM = Math.hypot(outM, belowM);
  const dropM = lineM - belowM;
  return {
    lineM,
    dropM,
    angleDeg: (Math.atan2(outM, belowM) * 180) / Math.PI,
    speedMPerS: Math.sqrt(2 * STANDARD_GRAVITY_M_PER_S2 * dropM),
  };
}
