import { interval, STANDARD_GRAVITY_M_PER_S2, type Interval } from '../../foundations/units/index.ts';

/** What going up a rope costs, stroke by stroke. */
export interface AscentInput {
  /** Gained by standing up once, mm, > 0. */
  readonly strokeMm: Interval;
  /** Lost when the capture device takes the weight, mm, >= 0. */
  readonly setbackMm: Interval;
  /** Pull that draws the rope through it while it is unloaded, N. */
  readonly pullN: Interval;
  /** Mass with gear, kg. */
  readonly massKg: number;
  /** Way up, m, and how much the rope stretches under the person, 1. */
  readonly heightM: number;
  readonly stretch: Interval;
  /** One stroke, s. */
  readonly strokeS: Interval;
}

export interface Ascent {
  /** Kept of each stroke, mm. */
  readonly netMm: Interval;
  /** Strokes for the whole way with those that only stretch the rope. */
  readonly strokes: Interval;
  /** Work of one stroke, J: the body lifted, and the rope drawn through the device. */
  readonly strokeJ: Interval;
  readonly totalKj: Interval;
  readonly minutes: Interval;
}

/**
 * net = stroke - setback; strokes = H (1 + eps) / net; work of a stroke = m g stroke + pull * stroke. Mechanics. Check:
 * 80 kg, 0.55 m, nothing lost and no pull: 431 J a stroke and, over 30 m of rope that does not stretch, m g H = 23.5
 * kJ. null where a stroke may gain nothing.
 */
export function ascentOf(input: AscentInput): Ascent | null {
  const { strokeMm, setbackMm, pullN, massKg, heightM, stretch, strokeS } = input;
  const netMm = interval(strokeMm.low - setbackMm.high, strokeMm.best - setbackMm.best, strokeMm.high - setbackMm.low);
  if (netMm.low <= 0) return null;
  const strokes = interval(
    (heightM * 1000 * (1 + stretch.low)) / netMm.high,
    (heightM * 1000 * (1 + stretch.best)) / netMm.best,
    (heightM * 1000 * (1 + stretch.high)) / netMm.low,
  );
  const weightN = massKg * STANDARD_GRAVITY_M_PER_S2;
  const joule = (mm: number, pull: number) => (mm / 1000) * (weightN + pull);
  const strokeJ = interval(
    joule(strokeMm.low, pullN.low),
    joule(strokeMm.best, pullN.best),
    joule(strokeMm.high, pullN.high),
  );
  const each = (a: Interval, b: Interval, by: number) =>
    interval((a.low * b.low) / by, (a.best * b.best) / by, (a.high * b.high) / by);
  return { netMm, strokes, strokeJ, totalKj: each(strokes, strokeJ, 1000), minutes: each(strokes, strokeS, 60) };
}
