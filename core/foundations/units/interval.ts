/**
 * A quantity known only within bounds. All three share one unit, stated by the name of the variable that holds it.
 * Invariant: low <= best <= high, all finite.
 */
export interface Interval {
  readonly low: number;
  readonly best: number;
  readonly high: number;
}

/** Builds an interval; throws RangeError when the bounds are out of order or not finite (a programmer's mistake). */
export function interval(low: number, best: number, high: number): Interval {
  // Bounds in order and both ends finite: then so is what lies between. NaN fails every comparison.
  if (!(low <= best && best <= high && low > -Infinity && high < Infinity)) {
    throw new RangeError(`interval: low <= best <= high and finite required, got ${low}, ${best}, ${high}`);
  }
  return { low, best, high };
}

/** A value without spread. */
export const exactly = (value: number): Interval => interval(value, value, value);

/** `value` with the same uncertainty on both sides; `plusMinus` >= 0, in the unit of `value`. */
export const around = (value: number, plusMinus: number): Interval =>
  interval(value - plusMinus, value, value + plusMinus);

/** Sum of two intervals (same unit): bounds add, which is the cautious reading of independent errors. */
export const plus = (a: Interval, b: Interval): Interval => interval(a.low + b.low, a.best + b.best, a.high + b.high);

/** Difference a - b (same unit): the lowest a with the highest b and the reverse. */
export const minus = (a: Interval, b: Interval): Interval => interval(a.low - b.high, a.best - b.best, a.high - b.low);

/** Product of two intervals that are both >= 0; throws RangeError otherwise. */
export function times(a: Interval, b: Interval): Interval {
  if (a.low < 0 || b.low < 0) throw new RangeError('times: both intervals must be >= 0');
  return interval(a.low * b.low, a.best * b.best, a.high * b.high);
}

/** Interval times a plain factor of any sign. */
export function scale(a: Interval, factor: number): Interval {
  return factor >= 0
    ? interval(a.low * factor, a.best * factor, a.high * factor)
    : interval(a.high * factor, a.best * factor, a.low * factor);
}

/** Image of `a` under a function that never falls. */
export const mapRising = (a: Interval, f: (x: number) => number): Interval => interval(f(a.low), f(a.best), f(a.high));

/** Image of `a` under a function that never rises. */
export const mapFalling = (a: Interval, f: (x: number) => number): Interval => interval(f(a.high), f(a.best), f(a.low));

/** True when the bounds differ by more than rounding. */
export const isSpread = (a: Interval): boolean => a.high - a.low > 1e-9 * Math.max(1, Math.abs(a.best));

/**
 * Product of factors whose errors are independent: the relative errors combine as the root of the sum of their squares
 * (JCGM 100:2008, clause 5.1), instead of all going wrong together. All factors > 0; throws RangeError otherwise.
 */
export function timesIndependent(...factors: readonly Interval[]): Interval {
  if (factors.some((f) => f.low <= 0)) throw new RangeError('timesIndependent: factors must be > 0');
  const best = factors.reduce((product, f) => product * f.best, 1);
  const down = Math.hypot(...factors.map((f) => 1 - f.low / f.best));
  const up = Math.hypot(...factors.map((f) => f.high / f.best - 1));
  return interval(best * Math.max(0, 1 - down), best, best * (1 + up));
}

/**
 * Ratio a / b of two positive, independent intervals of one unit, their errors combined in the logarithm
 * (JCGM 100:2008, clause 5.1). Throws RangeError unless both are > 0.
 */
export function ratioIndependent(a: Interval, b: Interval): Interval {
  if (a.low <= 0 || b.low <= 0) throw new RangeError('ratioIndependent: both intervals must be > 0');
  const best = a.best / b.best;
  const down = Math.hypot(Math.log(a.best / a.low), Math.log(b.high / b.best));
  const up = Math.hypot(Math.log(a.high / a.best), Math.log(b.best / b.low));
  return interval(best * Math.exp(-down), best, best * Math.exp(up));
}
