import type { RopeSprings, TwoSprings } from '../../things/gear/index.ts';
import { constant, threshold } from '../../foundations/sources/index.ts';
import { interval, type Interval } from '../../foundations/units/index.ts';
import type { Caught, Fall } from './fall.ts';
import { groundFall, pastBelay, type FallQuestion } from './question.ts';
import { wayToPieceM } from './simulate.ts';

/** One fall as it is known: what is not known for sure is an interval. */
export interface Scenario {
  readonly question: FallQuestion;
  /** With gear, kg. */
  readonly climberKg: number;
  readonly belayerKg: number;
  readonly belayer: 'free' | 'anchored';
  /** On the belayer's harness, or directly on the anchor: then nobody is drawn anywhere. */
  readonly deviceOn: 'harness' | 'anchor';
  /** How the rope gives. */
  readonly springs: RopeSprings;
  /** Force at which rope runs through the device, kN; the load pulls away from the brake hand, up towards a piece. */
  readonly slipKn: Interval;
  /** The same where the load pulls down beside the brake strand, as in a fall past the belay, kN. */
  readonly slipPastKn: Interval;
  /** What the hand holds, N; null: no hand is needed to hold. Tells how much heat comes into the palm. */
  readonly handN: Interval | null;
  /** r of the line of runners. */
  readonly ratio: Interval;
  /** Led, or from a rope that runs over an anchor. */
  readonly led: boolean;
  /** Pieces of the whole route above the ground, m; empty where they are not said, and on a top rope. */
  readonly piecesM: readonly number[];
  /** How far above the harness the climber clips, m. */
  readonly reachM: number;
}

/** Height of the device of somebody who stands, m. */
export const DEVICE_HEIGHT_M = threshold('deviceHeightM');
/** Tie-in above the feet, m. */
export const TIE_IN_ABOVE_FEET_M = threshold('tieInAboveFeetM');
/** A piece that can be reached from the stance: an arm above the head, m. */
const EARLY_PIECE_M = threshold('earlyPieceM');
/** Less rope than this never stretches alone: knot, harness and body give as much, m. */
const LEAST_SIDE_M = 0.3;

/** What is drawn anew in every run, each apart: a share of its way from low over best to high. */
export interface Draw {
  readonly rope: number;
  readonly slip: number;
  readonly ratio: number;
  readonly damping: number;
  readonly step: number;
  readonly slack: number;
}

/** Everything drawn anew. */
export const drawOf = (random: () => number): Draw => ({
  rope: random(),
  slip: random(),
  ratio: random(),
  damping: random(),
  step: random(),
  slack: random(),
});

/** Best value of everything. */
export const BEST: Draw = { rope: 0.5, slip: 0.5, ratio: 0.5, damping: 0.5, step: 0.5, slack: 0.5 };

/**
 * Value of an interval at a share between 0 and 1 under a triangle: low at 0, high at 1, most often near the best
 * value. At the share 0.5 the best value itself, so that "best" means the same everywhere.
 */
export function valueAt({ low, best, high }: Interval, share: number): number {
  if (share === 0.5 || high === low) return best;
  const peak = (best - low) / (high - low);
  return share < peak
    ? low + Math.sqrt(share * (high - low) * (best - low))
    : high - Math.sqrt((1 - share) * (high - low) * (high - best));
}

/** A rope between the softest and the hardest one: both springs and the knee by the same share. */
const ropeAt = ({ soft, best, hard }: RopeSprings, share: number): TwoSprings => {
  const at = (key: keyof TwoSprings): number => {
    const [low, high] = [Math.min(soft[key], hard[key]), Math.max(soft[key], hard[key])];
    return valueAt({ low, best: Math.min(high, Math.max(low, best[key])), high }, share);
  };
  return { firstN: at('firstN'), secondN: at('secondN'), kneeN: at('kneeN') };
};

/** Nobody knows the slack in the rope to a hand's width: a third less, or half as much again. */
const slackOf = ({ slackM }: FallQuestion): Interval => interval(slackM * (2 / 3), slackM, slackM * 1.5);

/** Does nothing move the device: tied down, on the anchor, or pulled down onto the anchor by a fall past it? */
export const isFixed = ({ belayer, deviceOn, question }: Scenario): boolean =>
  belayer === 'anchored' || deviceOn === 'anchor' || question.clipped === 'none';

/** A fall that no rope holds: from where the feet are to what they meet. */
function fallToGround(scenario: Scenario, draw: Draw): Fall {
  const { climberM, ledgeM } = scenario.question;
  return {
    ...fallPast(scenario, draw),
    freeFallM: Math.max(0, climberM - TIE_IN_ABOVE_FEET_M - ledgeM),
    roomM: 0,
  };
}

/**
 * A fall that nothing but the belay holds: the whole rope out is between climber and device, and it runs over nothing.
 */
function fallPast({ question: q, climberKg, belayerKg, slipPastKn, springs, deviceOn }: Scenario, draw: Draw): Fall {
  const slackM = valueAt(slackOf(q), draw.slack);
  const aboveM = Math.max(0, q.climberM - DEVICE_HEIGHT_M);
  const freeFallM = 2 * aboveM + slackM;
  // A belayer on a tether goes down with the fall: so much less is left below.
  const downWithM = deviceOn === 'anchor' ? 0 : q.tetherM;
  return {
    climberKg,
    belayerKg,
    climberSideM: Math.max(LEAST_SIDE_M, aboveM + slackM),
    belayerSideM: 0,
    freeFallM,
    ratio: 1,
    rope: ropeAt(springs, draw.rope),
    dampingRatio: valueAt(constant('ropeDamping'), draw.damping),
    slipN: valueAt(slipPastKn, draw.slip) * 1000,
    belayer: 'fixed',
    tetherM: 0,
    stepUpMPerS: 0,
    besideM: 0,
    deviceM: DEVICE_HEIGHT_M,
    firstPieceM: DEVICE_HEIGHT_M,
    roomM: q.climberM - freeFallM - downWithM - TIE_IN_ABOVE_FEET_M - q.ledgeM,
  };
}

/** The fall of a scenario for one draw. */
export function fallOf(scenario: Scenario, draw: Draw): Fall {
  const { question: q, climberKg, belayerKg } = scenario;
  if (pastBelay(q)) return fallPast(scenario, draw);
  if (groundFall(q)) return fallToGround(scenario, draw);
  const slackM = valueAt(slackOf(q), draw.slack);
  const aboveM = q.climberM - q.lastPieceM;
  const sideM = Math.abs(aboveM);
  const geometry = { besideM: q.besideM, deviceM: DEVICE_HEIGHT_M, firstPieceM: q.firstPieceM };
  const toFirstM = Math.hypot(q.besideM, q.firstPieceM - DEVICE_HEIGHT_M);
  const freeFallM = (aboveM > 0 ? 2 * aboveM : 0) + slackM;
  return {
    climberKg,
    belayerKg,
    climberSideM: Math.max(LEAST_SIDE_M, sideM),
    belayerSideM: toFirstM + Math.max(0, q.lastPieceM - q.firstPieceM) + slackM,
    freeFallM,
    ratio: valueAt(scenario.ratio, draw.ratio),
    rope: ropeAt(scenario.springs, draw.rope),
    dampingRatio: valueAt(constant('ropeDamping'), draw.damping),
    slipN: valueAt(scenario.slipKn, draw.slip) * 1000,
    belayer: isFixed(scenario) ? 'fixed' : 'free',
    tetherM: q.from === 'stance' ? q.tetherM : Infinity,
    stepUpMPerS: q.step === 'steps-up' ? valueAt(constant('stepUpMPerS'), draw.step) : 0,
    ...geometry,
    roomM: q.climberM - freeFallM - TIE_IN_ABOVE_FEET_M - q.ledgeM,
  };
}

/** Feet above ground or ledge at the lowest point, m; 0 or less: they met it. */
export const clearanceM = ({ roomM }: Fall, { downM, reachedGround }: Caught): number =>
  reachedGround ? Math.min(0, roomM) : roomM - downM;

/** What a hand takes up as heat while the rope runs through it, J. */
export const palmJ = (scenario: Scenario, draw: Draw, { slipM }: Caught): number =>
  scenario.handN ? valueAt(scenario.handN, draw.slip) * slipM : 0;

/**
 * Ways to make a fall of this kind end better, as changes of the scenario; null: it is so already, or it cannot be done
 * here.
 */
export const REMEDIES = {
  'early-piece': {
    label: 'Clip a good piece before leaving the stance',
    apply: (s: Scenario) =>
      pastBelay(s.question) && s.question.climberM > DEVICE_HEIGHT_M
        ? withQuestion(s, {
            clipped: 'pieces',
            firstPieceM: Math.min(EARLY_PIECE_M, s.question.climberM),
            lastPieceM: Math.min(EARLY_PIECE_M, s.question.climberM),
            secondPieceM: null,
          })
        : null,
  },
  'second-piece': {
    label: 'Clip the second piece, then come back and unclip the first',
    apply: (s: Scenario) =>
      s.question.clipped === 'pieces' &&
      s.question.secondPieceM !== null &&
      s.question.secondPieceM > s.question.firstPieceM &&
      s.question.secondPieceM <= s.question.lastPieceM
        ? withQuestion(s, { firstPieceM: s.question.secondPieceM })
        : null,
  },
  'at-the-wall': {
    label: 'Stand half a metre from the wall',
    apply: (s: Scenario) =>
      s.question.clipped === 'pieces' && s.question.besideM > 0.5 ? withQuestion(s, { besideM: 0.5 }) : null,
  },
  'step-up': {
    label: 'Step up with the catch',
    apply: (s: Scenario) =>
      !isFixed(s) && s.question.step === 'stands' ? withQuestion(s, { step: 'steps-up' }) : null,
  },
  'less-slack': {
    label: 'Take in: only a hand’s width of slack',
    apply: (s: Scenario) =>
      !groundFall(s.question) && s.question.slackM > 0.2 ? withQuestion(s, { slackM: 0.2 }) : null,
  },
  ballast: {
    label: `A rucksack of ${threshold('ballastKg')} kg on the belayer`,
    apply: (s: Scenario) => (!isFixed(s) ? { ...s, belayerKg: s.belayerKg + threshold('ballastKg') } : null),
  },
  resistor: {
    label: 'A connector that adds friction in the first piece',
    apply: (s: Scenario) => {
      if (s.question.clipped === 'none') return null;
      const more = constant('resistorRatio');
      const { ratio } = s;
      return { ...s, ratio: interval(ratio.low * more.low, ratio.best * more.best, ratio.high * more.high) };
    },
  },
  anchored: {
    label: 'Tie the belayer low and in line',
    apply: (s: Scenario) => (!isFixed(s) ? { ...s, belayer: 'anchored' as const } : null),
  },
  direct: {
    label: 'Belay directly from an anchor that is beyond doubt',
    apply: (s: Scenario) =>
      s.deviceOn === 'harness' && s.belayer === 'free' && !groundFall(s.question)
        ? { ...s, deviceOn: 'anchor' as const }
        : null,
  },
} as const satisfies Record<string, { readonly label: string; readonly apply: (s: Scenario) => Scenario | null }>;
export type RemedyId = keyof typeof REMEDIES;

/** How the falls go with each remedy that changes something here. */
export const remedied = (scenario: Scenario): { readonly id: RemedyId; readonly changed: Scenario }[] =>
  (Object.keys(REMEDIES) as RemedyId[]).flatMap((id) => {
    const changed = REMEDIES[id].apply(scenario);
    return changed ? [{ id, changed }] : [];
  });

export const withQuestion = (s: Scenario, patch: Partial<FallQuestion>): Scenario => ({
  ...s,
  question: { ...s.question, ...patch },
});

/** How far the device can be moved before it meets the first piece, m. */
export const wayLeftM = ({ question }: Scenario): number =>
  wayToPieceM({ besideM: question.besideM, firstPieceM: question.firstPieceM, deviceM: DEVICE_HEIGHT_M });
