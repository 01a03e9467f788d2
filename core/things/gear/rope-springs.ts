import { constant, threshold, type ConstantId } from '../../foundations/sources/index.ts';
import { around, interval, STANDARD_GRAVITY_M_PER_S2, type Interval } from '../../foundations/units/index.ts';
import type { Rope } from './items.ts';
import { secondSpringN, sideBySide, stretchUnder, type DropTest, type TwoSprings } from './two-springs.ts';

/** What is known of how a rope gives: the softest and the hardest it can be, and what it is most likely. */
export interface RopeSprings {
  readonly soft: TwoSprings;
  readonly best: TwoSprings;
  readonly hard: TwoSprings;
}

type Kind = Exclude<Rope['construction'], 'other'>;

/** How each kind is tested: static load, drop, and strands in both tests together. EN 892 and EN 1891, from memory. */
const TESTS: Readonly<
  Record<Kind, { staticKg: number; drop: DropTest; strands: 1 | 2; stretch: ConstantId; impact: ConstantId }>
> = {
  single: {
    staticKg: 80,
    drop: { massKg: 80, factor: 1.77 },
    strands: 1,
    stretch: 'stretchSingle',
    impact: 'impactSingleKn',
  },
  half: {
    staticKg: 80,
    drop: { massKg: 55, factor: 1.77 },
    strands: 1,
    stretch: 'stretchHalf',
    impact: 'impactHalfKn',
  },
  twin: {
    staticKg: 80,
    drop: { massKg: 80, factor: 1.77 },
    strands: 2,
    stretch: 'stretchTwin',
    impact: 'impactTwinKn',
  },
  'low-stretch': {
    staticKg: 100,
    drop: { massKg: 100, factor: 0.3 },
    strands: 1,
    stretch: 'stretchLow',
    impact: 'impactLowKn',
  },
};
/** Load of a stretch that is declared by ANSI Z133, N. */
const ANSI_N = 2400;

/** What of a rope decides how it gives. */
export type GivingRope = Pick<Rope, 'construction' | 'impactForceKn' | 'staticStretchPercent' | 'stretchTest'>;

/**
 * A strand of this rope from the static stretch and the impact force on its label; what is not on it is typical of its
 * kind. A label is that of a new rope: both may differ by a tenth. Of a rope of no known kind: anything from the
 * softest half rope to the hardest low-stretch one, and the label is not used, since the test is not known.
 */
export function springsOf(rope: GivingRope): RopeSprings {
  const { construction } = rope;
  if (construction === 'other') return ANY;
  const { staticKg, drop, strands, stretch, impact } = TESTS[construction];
  const kneeN = rope.stretchTest === 'ansi' ? ANSI_N : staticKg * STANDARD_GRAVITY_M_PER_S2;
  const stretchOf = labelled(rope.staticStretchPercent, 0.01) ?? constant(stretch);
  const impactN = labelled(rope.impactForceKn, 1000) ?? thousandTimes(constant(impact));
  const made = (strain: number, forceN: number): TwoSprings => {
    const first = { firstN: kneeN / strain, kneeN };
    return sideBySide({ ...first, secondN: secondSpringN(first, drop, forceN) }, 1 / strands);
  };
  return {
    soft: made(stretchOf.high, impactN.low),
    best: made(stretchOf.best, impactN.best),
    hard: made(stretchOf.low, impactN.high),
  };
}

const labelled = (value: number | null, unit: number): Interval | null =>
  value === null ? null : around(value * unit, value * unit * threshold('labelSpread'));
const thousandTimes = ({ low, best, high }: Interval): Interval => interval(low * 1000, best * 1000, high * 1000);

const unlabelled = (construction: Rope['construction']): RopeSprings =>
  springsOf({ construction, impactForceKn: null, staticStretchPercent: null, stretchTest: 'standard' });
/** A rope that is not chosen, or of which the kind is not known. */
const ANY: RopeSprings = {
  soft: unlabelled('half').soft,
  best: unlabelled('single').best,
  hard: unlabelled('low-stretch').hard,
};
export const anyRope = (): RopeSprings => ANY;

/** Of two ropes that share a device: twin ropes catch together, of others the one that gives less decides. */
export function springsOfBoth(ropeA: Rope, ropeB: Rope | null): RopeSprings {
  const [a, b] = [springsOf(ropeA), springsOf(ropeB ?? ropeA)];
  const harder = b.hard.secondN > a.hard.secondN ? b : a;
  return ropeB && ropeA.construction === 'twin' && ropeB.construction === 'twin' ? springsOfStrands(harder, 2) : harder;
}

/** So many strands of a rope that share the load. */
export const springsOfStrands = ({ soft, best, hard }: RopeSprings, strands: number): RopeSprings => ({
  soft: sideBySide(soft, strands),
  best: sideBySide(best, strands),
  hard: sideBySide(hard, strands),
});

/** What follows from the softest, the likeliest and the hardest rope, whichever of them gives least and most. */
export const overSprings = ({ soft, best, hard }: RopeSprings, f: (rope: TwoSprings) => number): Interval => {
  const all = [soft, best, hard].map(f) as [number, number, number];
  return interval(Math.min(...all), all[1], Math.max(...all));
};

/** Share of its length by which a rope is longer with this mass hanging still on it, 1. */
export const staticStretch = (rope: GivingRope, massKg: number): Interval =>
  overSprings(springsOf(rope), (springs) => stretchUnder(springs, massKg));
