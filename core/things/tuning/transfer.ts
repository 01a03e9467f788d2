import type { RopeState } from '../gear/index.ts';
import { threshold } from '../../foundations/sources/index.ts';
import { interval, type Interval } from '../../foundations/units/index.ts';

/** A rope on which a setting was found. */
export interface TunedRope {
  readonly rope: RopeState;
  readonly setting: number;
}

export type Transfer =
  | { readonly kind: 'setting'; readonly setting: Interval; readonly from: number }
  /** Too few ropes, or ropes that say nothing about this one: it is not tested. */
  | { readonly kind: 'outside'; readonly why: 'too-few' | 'thinner' | 'thicker' | 'sheath' | 'stiffness' };

/** How slick a sheath is, and how stiff a rope, as numbers for the line of best fit. */
const SHEATH = { 'new-treated': -1, smooth: 0, fuzzy: 1 } as const;
const STIFFNESS = { supple: -1, usual: 0, stiff: 1 } as const;

/**
 * Half of the 90 % interval of Student's t, by degrees of freedom 1 to 30: NIST/SEMATECH e-Handbook of Statistical
 * Methods, 1.3.6.7.2, column 0.95; beyond, that of the normal distribution.
 */
const T95 = [
  6.314, 2.92, 2.353, 2.132, 2.015, 1.943, 1.895, 1.86, 1.833, 1.812, 1.796, 1.782, 1.771, 1.761, 1.753, 1.746, 1.74,
  1.734, 1.729, 1.725, 1.721, 1.717, 1.714, 1.711, 1.708, 1.706, 1.703, 1.701, 1.699, 1.697,
];
const t95 = (freedom: number): number => T95[freedom - 1] ?? 1.645;

const known = (r: RopeState): r is RopeState & { sheath: keyof typeof SHEATH; stiffness: keyof typeof STIFFNESS } =>
  r.sheath !== 'unknown' && r.stiffness !== 'unknown';

/**
 * The setting for another rope: setting = a + b d + c sheath + e stiffness, by least squares over the ropes that were
 * tuned, with the 90 % interval of a single new one (Draper and Smith, Applied Regression Analysis, prediction at a
 * point). What is alike in all ropes tuned says nothing and is left out; a rope outside of what was tuned is not told
 * anything.
 */
export function transferOf(tuned: readonly TunedRope[], rope: RopeState): Transfer {
  const all = tuned.filter((t) => known(t.rope));
  const rows = all.map(({ rope: r }) => features(r));
  const wanted = features(rope);
  const names = ['thickness', 'sheath', 'stiffness'] as const;
  // What a rope that was not looked at is like is not known either.
  if (rope.sheath === 'unknown') return { kind: 'outside', why: 'sheath' };
  if (rope.stiffness === 'unknown') return { kind: 'outside', why: 'stiffness' };
  for (const [i, name] of names.entries()) {
    const column = rows.map((r) => r[i]!);
    const slack = i === 0 ? threshold('sameRopeMm') : 0;
    if (rows.length > 0 && wanted[i]! < Math.min(...column) - slack)
      return { kind: 'outside', why: i === 0 ? 'thinner' : (name as 'sheath' | 'stiffness') };
    if (rows.length > 0 && wanted[i]! > Math.max(...column) + slack)
      return { kind: 'outside', why: i === 0 ? 'thicker' : (name as 'sheath' | 'stiffness') };
  }
  const varying = names.flatMap((_, i) => (new Set(rows.map((r) => r[i])).size > 1 ? [i] : []));
  const x = rows.map((r) => [1, ...varying.map((i) => r[i]!)]);
  const freedom = x.length - 1 - varying.length;
  if (freedom < 1) return { kind: 'outside', why: 'too-few' };
  const inverse = inverseOf(normal(x));
  if (!inverse) return { kind: 'outside', why: 'too-few' };
  const y = all.map((t) => t.setting);
  const b = times(
    inverse,
    x[0]!.map((_, j) => x.reduce((sum, row, i) => sum + row[j]! * y[i]!, 0)),
  );
  const at = (row: readonly number[]) => row.reduce((sum, v, i) => sum + v * b[i]!, 0);
  const squares = x.reduce((sum, row, i) => sum + (y[i]! - at(row)) ** 2, 0);
  // Settings are whole numbers: even where all ropes lie on one line the next one may be half a setting off.
  const variance = Math.max(squares / freedom, ROUNDING);
  const point = [1, ...varying.map((i) => wanted[i]!)];
  const lever = point.reduce((sum, v, i) => sum + v * times(inverse, point)[i]!, 0);
  const half = t95(freedom) * Math.sqrt(variance * (1 + lever));
  const best = at(point);
  return { kind: 'setting', setting: interval(best - half, best, best + half), from: all.length };
}

/** Variance of a number that was rounded to a whole one: 1/12 (uniform distribution). */
const ROUNDING = 1 / 12;

const features = ({ diameterMm, sheath, stiffness }: RopeState): readonly number[] => [
  diameterMm,
  sheath === 'unknown' ? 0 : SHEATH[sheath],
  stiffness === 'unknown' ? 0 : STIFFNESS[stiffness],
];

const normal = (x: readonly (readonly number[])[]): number[][] =>
  x[0]!.map((_, i) => x[0]!.map((__, j) => x.reduce((sum, row) => sum + row[i]! * row[j]!, 0)));

const times = (m: readonly (readonly number[])[], v: readonly number[]): number[] =>
  m.map((row) => row.reduce((sum, a, i) => sum + a * v[i]!, 0));

/** The inverse of a small matrix by Gauss and Jordan, with the largest pivot; null where the columns say the same. */
function inverseOf(m: readonly (readonly number[])[]): number[][] | null {
  const n = m.length;
  const a = m.map((row, i) => [...row, ...Array.from({ length: n }, (_, j) => (i === j ? 1 : 0))]);
  for (let c = 0; c < n; c++) {
    let pivot = c;
    for (let r = c + 1; r < n; r++) if (Math.abs(a[r]![c]!) > Math.abs(a[pivot]![c]!)) pivot = r;
    [a[c], a[pivot]] = [a[pivot]!, a[c]!];
    const p = a[c]![c]!;
    if (Math.abs(p) < 1e-9) return null;
    a[c] = a[c]!.map((v) => v / p);
    for (let r = 0; r < n; r++) {
      if (r === c) continue;
      const f = a[r]![c]!;
      a[r] = a[r]!.map((v, k) => v - f * a[c]![k]!);
    }
  }
  return a.map((row) => row.slice(n));
}
