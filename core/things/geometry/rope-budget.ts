import { finding, tooLittle, type Finding, type FindingNumber } from '../../foundations/finding/index.ts';
import { ropeLengthM, type Rope } from '../gear/index.ts';
import { constant, threshold } from '../../foundations/sources/index.ts';
import { exactly, interval, minus, scale, type Interval } from '../../foundations/units/index.ts';

export type RopeEnds = 'both-knotted' | 'one-knotted' | 'open' | 'unknown';

export interface RopeBudgetInput {
  readonly ropeA: Rope;
  /** The second rope, joined at the anchor; null when one rope is folded. */
  readonly ropeB: Rope | null;
  /** How far the middle of a folded rope may lie from the anchor, m, >= 0. Not used for two ropes. */
  readonly middleMissM: number;
  readonly ends: RopeEnds;
  /** From the anchor along the rope to where one stands next, m, > 0. */
  readonly descentM: number;
  readonly endsAt: 'ground' | 'ledge';
}

export interface RopeBudget {
  /** Usable length of each strand below the anchor, after knots, m; the shorter first for a folded rope. */
  readonly strandAM: Interval;
  readonly strandBM: Interval;
  /** Of the shorter strand below the stance, m. Negative: it ends above. */
  readonly marginM: Interval;
  /** By how much the two ends differ, m. */
  readonly unequalM: Interval;
}

const atLeastZero = (i: Interval): Interval => interval(Math.max(0, i.low), Math.max(0, i.best), Math.max(0, i.high));

/**
 * Lengths of both strands. A folded rope gives half its length, less what the middle is missed by on one side and more
 * on the other; the ends then differ by twice the miss. Stretch under body weight is not counted on: an end that only
 * reaches while loaded springs up when one steps off.
 */
export function ropeBudget({ ropeA, ropeB, middleMissM, ends, descentM }: RopeBudgetInput): RopeBudget {
  const knot = ends === 'open' ? exactly(0) : constant('endKnotM');
  const usable = (lengthM: Interval): Interval => atLeastZero(minus(lengthM, knot));
  let strandAM: Interval;
  let strandBM: Interval;
  let unequalM: Interval;
  if (ropeB) {
    const joint = constant('joiningKnotM');
    strandAM = usable(minus(ropeLengthM(ropeA), joint));
    strandBM = usable(minus(ropeLengthM(ropeB), joint));
    const difference = minus(strandAM, strandBM);
    const far = Math.max(Math.abs(difference.low), Math.abs(difference.high));
    const near =
      difference.low <= 0 && difference.high >= 0 ? 0 : Math.min(Math.abs(difference.low), Math.abs(difference.high));
    unequalM = interval(near, Math.abs(difference.best), far);
  } else {
    const halfM = scale(ropeLengthM(ropeA), 0.5);
    strandAM = usable(minus(halfM, exactly(middleMissM)));
    strandBM = usable(minus(halfM, exactly(-middleMissM)));
    unequalM = exactly(2 * middleMissM);
  }
  const shorter = interval(
    Math.min(strandAM.low, strandBM.low),
    Math.min(strandAM.best, strandBM.best),
    Math.min(strandAM.high, strandBM.high),
  );
  return { strandAM, strandBM, unequalM, marginM: minus(shorter, exactly(descentM)) };
}

/** Do both ends reach, and are they closed? */
export function ropeBudgetFindings(input: RopeBudgetInput): Finding[] {
  const budget = ropeBudget(input);
  return [reaches(input, budget), ...middleMarked(input), endsClosed(input, budget)];
}

function reaches({ ropeB, endsAt, descentM }: RopeBudgetInput, budget: RopeBudget): Finding {
  const place = endsAt === 'ground' ? 'the ground' : 'the ledge';
  const { marginM } = budget;
  const asked = threshold('ropeEndMarginM');
  const numbers: FindingNumber[] = [
    { key: 'margin', label: 'Shorter end beyond the stance', quantity: 'lengthM', value: marginM },
    { key: 'a', label: ropeB ? 'Strand A' : 'Shorter strand', quantity: 'lengthM', value: budget.strandAM },
    { key: 'b', label: ropeB ? 'Strand B' : 'Longer strand', quantity: 'lengthM', value: budget.strandBM },
    { key: 'descent', label: 'Descent along the rope', quantity: 'lengthM', value: exactly(descentM) },
    { key: 'unequal', label: 'Ends differ by', quantity: 'lengthM', value: budget.unequalM },
  ];
  const base = {
    subject: ['ropeEnds', 'ground'] as const,
    because: `The descent takes {descent}; the ${ropeB ? 'strands give {a~} and {b~}' : 'shorter strand gives {a~}'} after knots. Stretch under your weight is not counted on.`,
    numbers,
  };
  const remedy =
    'Use a longer rope, join two, find the middle exactly, or plan a stance on the way. Measure the rope to narrow the estimate.';
  const severity = tooLittle(marginM, { stop: 0, mind: asked });
  if (severity === 'stop') {
    return finding({
      ...base,
      code: 'geometry.rope-too-short',
      severity: 'stop',
      remedy,
      says: `The shorter rope end does not reach ${place}.`,
    });
  }
  if (severity !== 'clear') {
    return finding({
      ...base,
      code: 'geometry.rope-barely-reaches',
      severity,
      remedy: severity === 'mind' ? remedy : 'Measure the rope, or see both ends reach before you trust them.',
      says: `The shorter rope end may not reach ${place}.`,
    });
  }
  return finding({
    ...base,
    code: 'geometry.rope-reaches',
    severity: 'clear',
    says: `Both rope ends reach ${place}, the shorter by {margin~}.`,
    remedy: 'See both ends on the ground before you go. If you cannot, the knots in the ends are what protects you.',
  });
}

/** A middle that is not marked is missed by something, whatever was entered. */
function middleMarked({ ropeA, ropeB, middleMissM }: RopeBudgetInput): Finding[] {
  const leastM = threshold('middleUnmarkedM');
  if (ropeB || ropeA.middle === 'marked' || ropeA.middle === 'bicolour' || middleMissM >= leastM) return [];
  const known = ropeA.middle === 'none';
  return [
    finding(
      {
        code: 'geometry.middle-unmarked',
        subject: ['ropeEnds'],
        because:
          'Flaked from both ends you can be {least} off, guessing several metres; the ends then differ by twice that.',
        remedy: 'Enter by how much it may be missed, mark the middle, or see both ends on the ground.',
        numbers: [
          { key: 'miss', label: 'Middle missed by, as entered', quantity: 'lengthM', value: exactly(middleMissM) },
          { key: 'least', label: 'Missed at least, when not marked', quantity: 'lengthM', value: exactly(leastM) },
        ],
      },
      known
        ? { severity: 'mind', says: 'The middle of this rope is not marked, and is taken as found to {miss}.' }
        : { severity: 'untested', says: 'It is not known whether the middle of this rope is marked.' },
    ),
  ];
}

function endsClosed({ ends, endsAt }: RopeBudgetInput, { marginM }: RopeBudget): Finding {
  const subject = ['ropeEnds'] as const;
  if (ends === 'both-knotted') {
    return finding({
      code: 'geometry.ends-knotted',
      severity: 'clear',
      subject,
      says: 'Both rope ends are knotted.',
      because: 'A stopper keeps the device from running off an end.',
      remedy: 'Untie them before you pull the rope down.',
    });
  }
  if (ends === 'unknown') {
    return finding({
      code: 'geometry.ends-unknown',
      severity: 'untested',
      subject,
      says: 'Not entered yet: whether the rope ends are knotted.',
      because: 'An open end that comes up short lets the device run off the rope.',
      remedy: 'Say it, and knot both ends before anyone goes down.',
    });
  }
  const surelyDown = endsAt === 'ground' && marginM.low >= threshold('ropeEndMarginM');
  return finding(
    {
      code: 'geometry.ends-open',
      subject,
      says: ends === 'open' ? 'Neither rope end is knotted.' : 'One rope end is not knotted.',
      remedy: 'Tie a stopper with a long tail into each end.',
    },
    surelyDown
      ? {
          severity: 'mind',
          because:
            'By the lengths entered both ends lie on the ground; a wrong length or a missed middle would not be noticed.',
        }
      : { severity: 'stop', because: 'It is not certain that the ends reach: the device can run off the rope.' },
  );
}
