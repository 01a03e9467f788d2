import type { Interval } from '../../foundations/units/index.ts';
import type { Caught } from './fall.ts';
import { BEST, clearanceM, drawOf, fallOf, palmJ, type Scenario } from './scenario.ts';
import { simulateCatch } from './simulate.ts';

export const RUNS = 10_000;
/** Remedies are compared with each other, not read to the last part of a hundred: fewer falls tell which one helps. */
export const REMEDY_RUNS = 2000;

/** Figures of a fall, each with what it is counted in. */
export const FIGURES = {
  climberN: { label: 'Force on the climber', quantity: 'forceN' },
  pieceN: { label: 'Force on the last piece', quantity: 'forceN' },
  belayerN: { label: 'Force at the device', quantity: 'forceN' },
  liftM: { label: 'Belayer is lifted', quantity: 'lengthM' },
  towardsWallM: { label: 'Belayer is drawn to the wall', quantity: 'lengthM' },
  slipM: { label: 'Rope through the hand', quantity: 'lengthM' },
  clearanceM: { label: 'Left below the feet', quantity: 'lengthM' },
} as const;
export type FigureId = keyof typeof FIGURES;
const FIGURE_IDS = Object.keys(FIGURES) as FigureId[];

export interface Bar {
  readonly from: number;
  readonly to: number;
  readonly runs: number;
}

export interface CatchRuns {
  readonly runs: number;
  readonly seed: number;
  /** With the best value of everything. */
  readonly best: Caught & { readonly clearanceM: number; readonly palmJ: number };
  /** Of a hundred falls five lie below `low`, five above `high`; `best` is the middle one. */
  readonly spread: Readonly<Record<FigureId, Interval>>;
  /** Share of the falls, 0 to 1, in which ... */
  readonly share: { readonly reachesPiece: number; readonly reachesGround: number; readonly lifted: number };
  readonly palmJ: Interval;
  /** How the forces on the climber and the lift are spread. */
  readonly bars: Readonly<Record<'climberN' | 'liftM', readonly Bar[]>>;
}

/**
 * Numbers between 0 and 1 that are the same for the same seed: 32 bits of a counter, mixed (the multipliers are those
 * of the finaliser that Stafford tabulated as no. 13, cut to 32 bits). Enough for ten thousand draws of six; not for
 * secrets.
 */
export function seeded(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x9e3779b9) >>> 0;
    let z = state;
    z = Math.imul(z ^ (z >>> 16), 0x21f0aaad);
    z = Math.imul(z ^ (z >>> 15), 0x735a2d97);
    return ((z ^ (z >>> 15)) >>> 0) / 4294967296;
  };
}

/** More than a hand's width off the ground. */
const LIFTED_M = 0.1;

/**
 * Many falls of one scenario, what is not known drawn anew in each: deterministic for a seed.
 * @param onDone hears now and then how many are done.
 */
export function catchRuns(scenario: Scenario, runs: number, seed: number, onDone?: (done: number) => void): CatchRuns {
  const random = seeded(seed);
  const values = Object.fromEntries(FIGURE_IDS.map((id) => [id, new Float64Array(runs)])) as Record<
    FigureId,
    Float64Array
  >;
  const palms = new Float64Array(runs);
  let reachesPiece = 0;
  let reachesGround = 0;
  let lifted = 0;
  for (let i = 0; i < runs; i += 1) {
    const draw = drawOf(random);
    const fall = fallOf(scenario, draw);
    const caught = simulateCatch(fall);
    values.climberN[i] = caught.climberN;
    values.pieceN[i] = caught.pieceN;
    values.belayerN[i] = caught.belayerN;
    values.liftM[i] = caught.liftM;
    values.towardsWallM[i] = caught.towardsWallM;
    values.slipM[i] = caught.slipM;
    values.clearanceM[i] = clearanceM(fall, caught);
    palms[i] = palmJ(scenario, draw, caught);
    reachesPiece += caught.reachedPiece ? 1 : 0;
    reachesGround += caught.reachedGround ? 1 : 0;
    lifted += caught.liftM > LIFTED_M ? 1 : 0;
    if (onDone && i % 200 === 199) onDone(i + 1);
  }
  for (const id of FIGURE_IDS) values[id].sort();
  palms.sort();
  const fall = fallOf(scenario, BEST);
  const best = simulateCatch(fall);
  return {
    runs,
    seed,
    best: { ...best, clearanceM: clearanceM(fall, best), palmJ: palmJ(scenario, BEST, best) },
    spread: Object.fromEntries(FIGURE_IDS.map((id) => [id, middle(values[id])])) as Record<FigureId, Interval>,
    share: { reachesPiece: reachesPiece / runs, reachesGround: reachesGround / runs, lifted: lifted / runs },
    palmJ: middle(palms),
    bars: { climberN: barsOf(values.climberN), liftM: barsOf(values.liftM) },
  };
}

/** Nine tenths of sorted values, and the middle one. */
function middle(sorted: Float64Array): Interval {
  const at = (share: number) => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!;
  return { low: at(0.05), best: at(0.5), high: at(0.95) };
}

const BARS = 24;
function barsOf(sorted: Float64Array): Bar[] {
  const from = sorted[0]!;
  const width = (sorted.at(-1)! - from) / BARS;
  if (width === 0) return [{ from, to: from, runs: sorted.length }];
  const counts = new Array<number>(BARS).fill(0);
  for (const value of sorted) counts[Math.min(BARS - 1, Math.floor((value - from) / width))]! += 1;
  return counts.map((runs, i) => ({ from: from + i * width, to: from + (i + 1) * width, runs }));
}
