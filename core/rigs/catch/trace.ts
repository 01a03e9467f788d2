import { STANDARD_GRAVITY_M_PER_S2 } from '../../foundations/units/index.ts';
import { BEST, fallOf, type Scenario } from './scenario.ts';
import { simulateCatch } from './simulate.ts';

/** Where both are, and what pulls, at one time of a fall; for drawings and charts. */
export interface Frame {
  /** Since the climber let go, s. */
  readonly timeS: number;
  /** Tie-in of the climber above the ground, m. */
  readonly climberM: number;
  /** Device above where it was, and towards the wall, m. */
  readonly liftM: number;
  readonly towardsWallM: number;
  readonly climberN: number;
  readonly belayerN: number;
  /** Rope through the hand so far, m. */
  readonly slipM: number;
}

export interface Trace {
  readonly frames: readonly Frame[];
  /** When the rope comes tight, s. */
  readonly tightS: number;
}

const FREE_FRAMES = 12;
/** Enough for a chart that is a hand wide; peaks are kept apart. */
const MOST_FRAMES = 240;

/** The fall with the best value of everything, from letting go to where both have turned. */
export function traceOf(scenario: Scenario): Trace {
  const fall = fallOf(scenario, BEST);
  const from = scenario.question.climberM;
  const floorM = from - fall.freeFallM - fall.roomM;
  const still = { liftM: 0, towardsWallM: 0, climberN: 0, belayerN: 0, slipM: 0 };
  // Into the ground nobody falls: then the rope never comes tight.
  const freeM = Math.max(0, Math.min(fall.freeFallM, from - floorM));
  const tightS = Math.sqrt((2 * freeM) / STANDARD_GRAVITY_M_PER_S2);
  const frames: Frame[] = [];
  for (let i = 0; i < FREE_FRAMES; i += 1) {
    const timeS = (tightS * i) / FREE_FRAMES;
    frames.push({ ...still, timeS, climberM: from - (STANDARD_GRAVITY_M_PER_S2 * timeS ** 2) / 2 });
  }
  if (freeM < fall.freeFallM) {
    frames.push({ ...still, timeS: tightS, climberM: floorM });
    return { frames, tightS };
  }
  const caught: Frame[] = [];
  const { reachedGround } = simulateCatch(fall, (m) =>
    caught.push({
      timeS: tightS + m.timeS,
      climberM: from - fall.freeFallM - m.downM,
      liftM: m.liftM,
      towardsWallM: m.towardsWallM,
      climberN: m.climberN,
      belayerN: m.belayerN,
      slipM: m.slipM,
    }),
  );
  const every = Math.ceil(caught.length / MOST_FRAMES);
  const peak = caught.reduce((most, f, i) => (f.climberN > caught[most]!.climberN ? i : most), 0);
  frames.push(...caught.filter((_, i) => i % every === 0 || i === peak || i === caught.length - 1));
  if (reachedGround) frames.push({ ...frames.at(-1)!, climberM: floorM });
  return { frames, tightS };
}
