import { handOffIn } from '../../things/fit/index.ts';
import { handForceN } from '../../things/friction/index.ts';
import { diameterOf, ropeLengthM } from '../../things/gear/index.ts';
import {
  belaysFromHarness,
  brakerOf,
  deviceOf,
  hangingBy,
  linesOf,
  loadOf,
  slipOf,
  ropesIn,
  type Attachment,
  type RigIndex,
} from '../rig/index.ts';
import { constant } from '../../foundations/sources/index.ts';
import type { FallLimits, FallQuestion } from './question.ts';
import type { Scenario } from './scenario.ts';

/** The attachment by which somebody on the ground holds a leader or somebody on a top rope; undefined in other rigs. */
export const catchIn = (index: RigIndex): Attachment | undefined =>
  index.setup.attachments.find((a) => {
    const kind = linesOf(index, a.end)[0]?.kind;
    return a.end.kind === 'device' && belaysFromHarness(index, a) && (kind === 'led' || kind === 'over');
  });

/** A moment to begin with: a leader some metres up with three pieces clipped, or somebody half way up a top rope. */
export function usualQuestion(index: RigIndex): FallQuestion {
  const { setup } = index;
  const belayer = setup.persons.find((p) => p.role === 'belayer');
  const kept = {
    from: 'ground',
    clipped: 'pieces',
    tetherM: 0.5,
    slackM: 0.5,
    besideM: belayer?.fromWallM ?? 1,
    ledgeM: 0,
    step: 'stands',
  } as const;
  const led = setup.lines.find((l) => l.kind === 'led');
  if (led) {
    const heights = led.runners.map((r) => r.heightM).sort((a, b) => a - b);
    const [first = 3, second = first + 2] = heights;
    const last = heights.at(-1) ?? 8;
    return {
      ...kept,
      climberM: last + 2,
      lastPieceM: last,
      firstPieceM: first,
      secondPieceM: second < last ? second : null,
    };
  }
  // Where no height is said, such as one is met in a hall.
  const top = setup.site.anchorHeightM || 12;
  return { ...kept, climberM: Math.max(2, top / 2), lastPieceM: top, firstPieceM: top, secondPieceM: null };
}

const piecesOf = ({ setup }: RigIndex): number[] =>
  setup.lines.flatMap((l) => (l.kind === 'led' ? l.runners.map((r) => r.heightM) : []));

/** What the rope and the wall of a rig can hold. */
export function limitsOf(index: RigIndex, a: Attachment): FallLimits {
  const ropes = ropesIn(index, a.end);
  const { anchorHeightM } = index.setup.site;
  return {
    led: linesOf(index, a.end)[0]?.kind === 'led',
    ropeM: ropes ? ropeLengthM(ropes.ropeA).high : null,
    topM: anchorHeightM > 0 ? anchorHeightM : null,
  };
}

/** What of a rig a fall needs and is not chosen yet, for the reader. */
export type Missing = 'the climber' | 'the belayer' | 'the device' | 'the rope';

/** The rig, asked about one fall: what is chosen and said of it, and what follows from it; or what is missing. */
export function scenarioOf(
  index: RigIndex,
  a: Attachment,
  question: FallQuestion,
): { readonly ok: true; readonly scenario: Scenario } | { readonly ok: false; readonly missing: readonly Missing[] } {
  const end = deviceOf(a);
  const climber = hangingBy(index, a)
    .flatMap((p) => p.item ?? [])
    .sort((x, y) => y.massKg - x.massKg)[0];
  const braker = end ? brakerOf(index, end) : undefined;
  const ropes = end ? ropesIn(index, end) : null;
  const load = loadOf(index, a);
  const missing = (
    [
      ['the climber', climber],
      ['the belayer', braker?.item],
      ['the device', end?.item],
      ['the rope', ropes],
    ] as const
  ).flatMap(([what, there]) => (there ? [] : [what]));
  if (!climber || !braker?.item || !end?.item || !ropes || !load) return { ok: false, missing };
  const runs = handOffIn(end.item, load.use) === 'runs';
  const held = constant(runs ? 'belaySlipKn' : 'assistedSlipKn');
  const { diameterMm } = diameterOf(ropes.ropeA);
  const { weather } = index.setup.site;
  const over = linesOf(index, a.end)[0]?.kind === 'over';
  return {
    ok: true,
    scenario: {
      question,
      climberKg: climber.massKg,
      belayerKg: braker.item.massKg,
      belayer: braker.stands === 'anchored' ? 'anchored' : 'free',
      deviceOn: 'harness',
      springs: load.springs,
      slipKn: (runs ? load.slipKn : null) ?? held,
      // Past the belay the load pulls down beside the hand, and the strands are hardly bent.
      slipPastKn: (runs ? slipOf(index, a, 0) : null) ?? held,
      handN: runs ? handForceN(braker.item, { diameterMm: diameterMm.best, weather }).forceN : null,
      ratio: constant(over ? 'runnerRatio' : 'runnersRatio'),
      led: !over,
      piecesM: piecesOf(index),
      reachM: climber.armReachMm / 1000,
    },
  };
}
