import type { TrainingRecord } from '../../records/log/index.ts';
import { STANDARD_GRAVITY_M_PER_S2 } from '../../foundations/units/index.ts';
import { seeded } from '../../rigs/catch/index.ts';
import { holdingN, NO_HANDS, STROKE_M, type Hands, type PracticeSettings } from './settings.ts';

export type FallRecord = TrainingRecord['falls'][number];

/** What the climber does. */
export type Doing = 'climbing' | 'resting' | 'clipping' | 'falling' | 'hanging' | 'lowering' | 'down';

/** A fall as it runs. */
interface Falling {
  readonly atS: number;
  readonly freeM: number;
  readonly fallenM: number;
  readonly slidM: number;
  readonly palmJ: number;
  readonly speedMPerS: number;
  readonly reactionS: number | null;
  readonly wasHeld: boolean;
}

/** One practice as it stands. A value: each step makes a new one. */
export interface Practice {
  readonly settings: PracticeSettings;
  readonly tS: number;
  readonly doing: Doing;
  /** When what the climber does ends, s; and when the next fall comes: never in calm pace. */
  readonly untilS: number;
  readonly nextFallS: number;
  readonly draws: number;
  readonly heightM: number;
  /** Rope that is not taken in, m. Below 0 it would be tight: then the climber waits. */
  readonly slackM: number;
  /** Highest runner of a leader, m. */
  readonly runnerM: number;
  readonly hands: Hands;
  /** The brake hand slides along its strand while nothing else holds it. */
  readonly loose: boolean;
  readonly offBrakeS: number;
  readonly aboveLineS: number;
  readonly tightS: number;
  /** Longest that the cam was kept from turning, s, and how long it is now. */
  readonly thumbS: number;
  readonly longestThumbS: number;
  readonly mostSlackM: number;
  readonly strokes: { readonly taken: number; readonly paid: number; readonly slid: number };
  readonly falling: Falling | null;
  readonly falls: readonly FallRecord[];
}

const CLIMBS_M_PER_S = 0.3;
const LOWERS_M_PER_S = 1.3;
const RUNNER_EVERY_M = 2;
/** A leader pulls up this much to clip. */
const CLIP_M = 0.8;
const LEADERS_SLACK_M = 0.6;
const GROUND_M = 0.05;
/** Longer steps are cut, so that a page that was asleep does not jump. */
const LONGEST_STEP_S = 0.05;

/** The n-th draw of this practice, 0 to 1: the same for the same seed. */
const draw = ({ settings, draws }: Pick<Practice, 'settings' | 'draws'>): number =>
  seeded((settings.seed * 7919 + draws * 104_729 + 1) >>> 0)();

const between = (low: number, high: number, share: number): number => low + (high - low) * share;

export function startPractice(settings: PracticeSettings): Practice {
  const start: Practice = {
    settings,
    tS: 0,
    doing: 'resting',
    untilS: 2,
    nextFallS: Infinity,
    draws: 0,
    heightM: 1,
    slackM: settings.belay === 'leader' ? LEADERS_SLACK_M : 0.2,
    runnerM: 0,
    hands: NO_HANDS,
    loose: false,
    offBrakeS: 0,
    aboveLineS: 0,
    tightS: 0,
    thumbS: 0,
    longestThumbS: 0,
    mostSlackM: 0,
    strokes: { taken: 0, paid: 0, slid: 0 },
    falling: null,
    falls: [],
  };
  return withNextFall(start);
}

/** When the next fall comes, in a timed pace: nobody knows. */
const withNextFall = (p: Practice): Practice =>
  p.settings.pace === 'calm'
    ? { ...p, nextFallS: Infinity }
    : { ...p, nextFallS: p.tS + between(6, 22, draw(p)), draws: p.draws + 1 };

/** Somebody holds the brake strand: the brake hand, not sliding, or the other one under it. */
export const brakeHeld = ({ hands, loose }: Pick<Practice, 'hands' | 'loose'>): boolean =>
  (hands.brake !== null && !loose) || (hands.guide !== null && hands.guide < 0);

/** How far the climber would fall now before the rope is tight, m. */
export const freeFallM = ({ settings, slackM, heightM, runnerM }: Practice): number =>
  Math.max(0, slackM) + (settings.belay === 'leader' ? 2 * Math.max(0, heightM - runnerM) : 0);

/**
 * The practice a moment later, with the hands as they are by then. Long moments are cut into steps; a fall is exact
 * within a step.
 * @param forS > 0, s.
 */
export function practiceStep(practice: Practice, hands: Hands, forS: number): Practice {
  let p = practice;
  const steps = Math.max(1, Math.ceil(forS / LONGEST_STEP_S));
  const from = practice.hands;
  const part = (a: number | null, b: number | null, share: number) =>
    a === null || b === null ? b : a + (b - a) * share;
  for (let i = 1; i <= steps; i += 1)
    p = oneStep(
      p,
      { ...hands, brake: part(from.brake, hands.brake, i / steps), guide: part(from.guide, hands.guide, i / steps) },
      forS / steps,
    );
  return p;
}

function oneStep(p: Practice, hands: Hands, dtS: number): Practice {
  if (p.doing === 'down') return p;
  const moved = withHands(p, hands, dtS);
  const timed = { ...moved, tS: moved.tS + dtS };
  if (timed.falling) return fall(timed, dtS);
  if (timed.doing === 'lowering') return lower(timed, dtS);
  const climbed = climb(timed, dtS);
  const counted = { ...climbed, mostSlackM: Math.max(climbed.mostSlackM, climbed.slackM) };
  const mayFall = counted.heightM > 2 && counted.doing !== 'hanging';
  return counted.tS >= counted.nextFallS && mayFall ? letFall(counted) : counted;
}

/** What a movement of the hands does with the rope, and what it leaves unheld. */
function withHands(p: Practice, hands: Hands, dtS: number): Practice {
  const rise = p.hands.brake === null || hands.brake === null ? 0 : hands.brake - p.hands.brake;
  const pull = p.hands.guide === null || hands.guide === null ? 0 : hands.guide - p.hands.guide;
  const under = hands.guide !== null && hands.guide < 0;
  const onLive = hands.guide !== null && hands.guide >= 0 && p.hands.guide !== null && p.hands.guide >= 0;
  const strokes = { ...p.strokes };
  let { slackM } = p;
  let loose = false;
  if (rise > 0 && p.hands.brake! < 0) {
    if (under) strokes.slid += rise;
    else if (onLive && pull > 0) {
      // Brake hand to the device, guide hand away from it: rope is paid out.
      const paid = Math.min(rise, pull) * STROKE_M;
      slackM += paid;
      strokes.paid += paid;
    } else loose = true;
  } else if (rise > 0 && !p.falling) {
    // Brake hand up and away from the device: rope is pulled through, as much as there is.
    const taken = Math.min(rise * STROKE_M, Math.max(0, slackM));
    slackM -= taken;
    strokes.taken += taken;
  }
  if (p.settings.device === 'cam' && onLive && pull > 0 && rise <= 0 && hands.thumbOnCam) {
    const paid = pull * STROKE_M;
    slackM += paid;
    strokes.paid += paid;
  }
  const thumbS = hands.thumbOnCam ? p.thumbS + dtS : 0;
  const next = { ...p, hands, loose, slackM, strokes, thumbS, longestThumbS: Math.max(p.longestThumbS, thumbS) };
  const inCharge = p.heightM > GROUND_M;
  return {
    ...next,
    offBrakeS: p.offBrakeS + (inCharge && !brakeHeld(next) ? dtS : 0),
    aboveLineS: p.aboveLineS + (inCharge && hands.brake !== null && hands.brake > 0 ? dtS : 0),
  };
}

function climb(p: Practice, dtS: number): Practice {
  const { settings } = p;
  if (p.doing === 'hanging') {
    if (p.tS < p.untilS) return p;
    return withNextFall({ ...p, doing: 'resting', untilS: p.tS + 1.5 });
  }
  if (p.doing === 'clipping') {
    if (p.slackM < CLIP_M) return { ...p, tightS: p.tightS + dtS };
    return { ...p, doing: 'climbing', runnerM: p.heightM, untilS: p.tS + between(3, 6, draw(p)), draws: p.draws + 1 };
  }
  if (p.heightM >= settings.topM) return { ...p, doing: 'lowering', slackM: 0 };
  if (p.doing === 'resting') {
    if (p.tS < p.untilS) return p;
    return { ...p, doing: 'climbing', untilS: p.tS + between(3, 6, draw(p)), draws: p.draws + 1 };
  }
  if (p.tS >= p.untilS)
    return { ...p, doing: 'resting', untilS: p.tS + between(0.8, 2.5, draw(p)), draws: p.draws + 1 };
  if (settings.belay === 'leader' && p.heightM - p.runnerM >= RUNNER_EVERY_M) return { ...p, doing: 'clipping' };
  const wantsM = CLIMBS_M_PER_S * dtS;
  if (settings.belay === 'top-rope') return { ...p, heightM: p.heightM + wantsM, slackM: p.slackM + wantsM };
  // A leader climbs as far as there is rope.
  const goesM = Math.min(wantsM, Math.max(0, p.slackM));
  return {
    ...p,
    heightM: p.heightM + goesM,
    slackM: p.slackM - goesM,
    tightS: p.tightS + (goesM < wantsM ? dtS : 0),
  };
}

/** The climber comes off now. */
export function letFall(p: Practice): Practice {
  if (p.falling || p.doing === 'down') return p;
  const held = brakeHeld(p) && (p.hands.brake === null || p.hands.brake <= 0);
  return {
    ...p,
    doing: 'falling',
    nextFallS: Infinity,
    falling: {
      atS: p.tS,
      freeM: freeFallM(p),
      fallenM: 0,
      slidM: 0,
      palmJ: 0,
      speedMPerS: 0,
      reactionS: null,
      wasHeld: held,
    },
  };
}

function fall(p: Practice, dtS: number): Practice {
  const g = STANDARD_GRAVITY_M_PER_S2;
  const { massKg, handForceN, device } = p.settings;
  let { fallenM, slidM, palmJ, speedMPerS } = p.falling!;
  const { atS, freeM, wasHeld } = p.falling!;
  const braking = brakeHeld(p) && (p.hands.brake === null || p.hands.brake <= 0);
  const reactionS = wasHeld || !braking ? p.falling!.reactionS : (p.falling!.reactionS ?? p.tS - atS);
  let leftS = dtS;
  // Free as long as there is slack.
  if (fallenM < freeM) {
    const restM = freeM - fallenM;
    const tightAfterS = (-speedMPerS + Math.sqrt(speedMPerS ** 2 + 2 * g * restM)) / g;
    const freeS = Math.min(leftS, tightAfterS);
    fallenM = tightAfterS <= leftS ? freeM : fallenM + speedMPerS * freeS + (g * freeS ** 2) / 2;
    speedMPerS += g * freeS;
    leftS -= freeS;
  }
  let stopped = false;
  if (leftS > 0 && fallenM >= freeM) {
    const holdN = holdingN(p.settings, p.hands, p.loose);
    const brakingMPerS2 = holdN / massKg - g;
    const stopsAfterS = brakingMPerS2 > 0 ? speedMPerS / brakingMPerS2 : Infinity;
    const runS = Math.min(leftS, stopsAfterS);
    const ranM = speedMPerS * runS - (brakingMPerS2 * runS ** 2) / 2;
    fallenM += ranM;
    slidM += ranM;
    // What a cam holds does not run through the hand.
    const byHand = holdN > 0 && (device === 'tube' || p.hands.thumbOnCam);
    palmJ += byHand ? handForceN * ranM : 0;
    speedMPerS = Math.max(0, speedMPerS - brakingMPerS2 * runS);
    stopped = stopsAfterS <= leftS;
  }
  // The ground ends it within the step.
  fallenM = Math.min(fallenM, p.falling!.fallenM + p.heightM);
  const heightM = Math.max(0, p.heightM - (fallenM - p.falling!.fallenM));
  const ended = heightM <= GROUND_M ? 'ground' : stopped ? 'held' : null;
  const falling: Falling = { atS, freeM, fallenM, slidM, palmJ, speedMPerS, reactionS, wasHeld };
  if (ended === null) return { ...p, heightM, falling };
  return {
    ...p,
    heightM,
    slackM: 0,
    runnerM: Math.min(p.runnerM, heightM),
    falling: null,
    doing: ended === 'ground' ? 'down' : 'hanging',
    untilS: p.tS + 3,
    falls: [...p.falls, { atS, reactionS: wasHeld ? null : reactionS, fallenM, slidM, palmJ, ended }],
  };
}

/**
 * Down again: on a tube with both hands on the brake strand, on a cam with the hand on it and the lever. Nothing held
 * is a fall.
 */
function lower(p: Practice, dtS: number): Practice {
  if (!brakeHeld(p) && p.settings.device === 'tube') return letFall({ ...p, slackM: 0, runnerM: p.heightM });
  const { brake, guide } = p.hands;
  const open =
    p.settings.device === 'tube'
      ? brake !== null && guide !== null && guide < 0
        ? (brake + 1) / 2
        : 0
      : brake !== null && guide !== null
        ? (guide + 1) / 2
        : 0;
  const heightM = Math.max(0, p.heightM - LOWERS_M_PER_S * Math.min(1, Math.max(0, open)) * dtS);
  return heightM <= GROUND_M ? { ...p, heightM: 0, doing: 'down' } : { ...p, heightM };
}
