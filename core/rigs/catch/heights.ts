import { finding, type Finding, type Case, type FindingNumber } from '../../foundations/finding/index.ts';
import { threshold } from '../../foundations/sources/index.ts';
import { exactly } from '../../foundations/units/index.ts';
import { fromGround, groundFall, pastBelay } from './question.ts';
import { seeded } from './runs.ts';
import { drawOf, fallOf, TIE_IN_ABOVE_FEET_M, withQuestion, type Scenario } from './scenario.ts';
import { simulateCatch } from './simulate.ts';

/** One place of the climber that is looked at, and how often a fall from there ends on ground or ledge. */
export interface Spot {
  /** Tie-in, m. */
  readonly climberM: number;
  /** The piece that is being clipped, with the slack pulled up for it, m; null: none is. */
  readonly clippingM: number | null;
  /** At least one piece is clipped, or the rope runs over an anchor. */
  readonly clipped: boolean;
  /** Share of the falls that meet ground or ledge, 0 to 1. */
  readonly share: number;
}

export interface Heights {
  /** From the bottom up. */
  readonly spots: readonly Spot[];
  /** Heights of the tie-in from which the ground is met, m, each from and to. */
  readonly bands: readonly (readonly [number, number])[];
}

/** Enough to see one fall in a hundred at each of some thirty places. */
const RUNS_EACH = 300;
const PLACES = 24;
/** Between two pieces it is looked at every so far, m, at most. */
const EVERY_M = 0.75;

/**
 * The whole wall instead of one moment: on a top rope every height, on a led route every clip, with the slack that is
 * pulled up for it (twice the reach above the harness), and the way between. Until a first piece is clipped a fall from
 * the ground ends on the ground. The same draws at every place: places are compared, not chances.
 */
export function heightsOf(scenario: Scenario, runs = RUNS_EACH, seed = 1): Heights {
  const spots = placesOf(scenario)
    .map((place): Spot => ({
      climberM: place.scenario.question.climberM,
      clippingM: place.clippingM,
      clipped: place.scenario.question.clipped === 'pieces',
      share: groundFall(place.scenario.question) ? 1 : groundShare(place.scenario, runs, seed),
    }))
    .sort((a, b) => a.climberM - b.climberM);
  return { spots, bands: bandsOf(spots) };
}

function groundShare(scenario: Scenario, runs: number, seed: number): number {
  const random = seeded(seed);
  let ground = 0;
  for (let i = 0; i < runs; i += 1) ground += simulateCatch(fallOf(scenario, drawOf(random))).reachedGround ? 1 : 0;
  return ground / runs;
}

interface Place {
  readonly scenario: Scenario;
  readonly clippingM: number | null;
}

function placesOf(scenario: Scenario): Place[] {
  const { question: q } = scenario;
  if (pastBelay(q)) return [];
  const floorM = q.ledgeM + TIE_IN_ABOVE_FEET_M;
  const at = (
    climberM: number,
    more: Parameters<typeof withQuestion>[1] = {},
    clippingM: number | null = null,
  ): Place => ({
    scenario: withQuestion(scenario, { ...more, climberM }),
    clippingM,
  });
  /** Places from one height to another, both ends included. */
  const between = (from: number, to: number, most: number): number[] => {
    const n = Math.max(1, Math.min(most, Math.ceil((to - from) / EVERY_M)));
    return to < from ? [] : Array.from({ length: n + 1 }, (_, i) => from + ((to - from) * i) / n);
  };
  if (!scenario.led) return between(floorM, q.lastPieceM - TOP_ROPE_END_M, PLACES).map((m) => at(m));

  const pieces = piecesOf(scenario);
  const clipAt = (pieceM: number) => Math.max(floorM, pieceM - scenario.reachM);
  const below = fromGround(q) ? between(floorM, clipAt(pieces[0]!), 4).map((m) => at(m, { clipped: 'none' })) : [];
  const onTheWay = pieces.flatMap((lastPieceM, i) => {
    const next = pieces[i + 1];
    const clipped = { clipped: 'pieces', lastPieceM, firstPieceM: pieces[0]! } as const;
    const to = next === undefined ? Math.max(lastPieceM, q.climberM) : clipAt(next);
    const way = between(Math.max(floorM, lastPieceM), to, 4).map((m) => at(m, clipped));
    return next === undefined
      ? way
      : [...way, at(to, { ...clipped, slackM: q.slackM + 2 * Math.max(0, next - to) }, next)];
  });
  return [...below, ...onTheWay];
}
/** Nobody climbs higher than this below the anchor of a top rope, m. */
const TOP_ROPE_END_M = 0.5;

/**
 * Heights of the pieces as they are asked about, m: those of the route from the first one on, with the ones that were
 * entered for this moment.
 */
function piecesOf({ question: q, piecesM }: Scenario): number[] {
  const asked = [q.firstPieceM, q.secondPieceM ?? q.lastPieceM, q.lastPieceM];
  return [...new Set([...asked, ...piecesM.filter((m) => m > q.firstPieceM)])].sort((a, b) => a - b);
}

const bad = ({ share }: Spot): boolean => share > threshold('shareStop');

/** Neighbours that end badly, put together; half way to the next one that does not. */
function bandsOf(spots: readonly Spot[]): [number, number][] {
  const bands: [number, number][] = [];
  spots.forEach((spot, i) => {
    if (!bad(spot)) return;
    const [before, after] = [spots[i - 1], spots[i + 1]];
    const from = before ? (before.climberM + spot.climberM) / 2 : spot.climberM;
    const to = after ? (spot.climberM + after.climberM) / 2 : spot.climberM;
    const last = bands.at(-1);
    if (last && from <= last[1] + 1e-9) last[1] = Math.max(last[1], to);
    else bands.push([from, to]);
  });
  return bands;
}

type HeightsCase = Case<'severity' | 'says' | 'because' | 'remedy'>;

/** Nothing reaches the ground from higher than a step. */
const noneReaches = (led: boolean): HeightsCase => ({
  severity: 'clear',
  says: led
    ? 'Once the first piece is clipped, no fall on the way up reached the ground on this estimate.'
    : 'Higher than a step above the ground, no fall reached it on this estimate.',
  because: 'Every place on the wall was looked at, with the slack you pull up to clip.',
});

/** From which place the ground is reached, highest of all. */
function reachedFrom({ clipped, clippingM }: Spot, led: boolean): HeightsCase {
  if (!clipped)
    return {
      severity: 'mind',
      says: 'Until the first piece is clipped, a fall can reach the ground.',
      because: 'Nothing holds you yet. Your feet are up to {feet} above the ground when you clip.',
      remedy: 'Spot the climber, or clip the first piece from the ground with a stick.',
    };
  if (!led)
    return {
      severity: 'mind',
      says: 'A fall can reach the ground or a ledge while the feet are up to {feet} above it.',
      because: 'Low on the wall there is the most rope out, and it stretches most.',
      remedy: 'Take in tight for the first metres, and sit into the rope before you start.',
    };
  const remedy =
    'Climb on until the piece is at your waist, then clip: that needs no slack. The belayer stands close to the wall with little slack.';
  return clippingM !== null
    ? {
        severity: 'stop',
        says: 'A fall while you clip the piece at {piece} can reach the ground or a ledge.',
        because:
          'You pull up {pulled~} of rope for it. Your feet are {feet} above the ground, and you fall past the last piece and through that slack.',
        remedy,
      }
    : {
        severity: 'stop',
        says: 'A fall from {height} can reach the ground or a ledge.',
        because: 'You fall past the last piece, and the rope stretches. Your feet are {feet} above the ground.',
        remedy,
      };
}

function numbersOf({ climberM, clippingM }: Spot, feetM: number): FindingNumber[] {
  const length = (key: string, label: string, m: number): FindingNumber => ({
    key,
    label,
    quantity: 'lengthM',
    value: exactly(m),
  });
  return [
    length('height', 'Tie-in, highest of them', climberM),
    length('feet', 'Feet above ground or ledge there', Math.ceil(feetM * 10) / 10),
    ...(clippingM === null
      ? []
      : [
          length('piece', 'Piece that is clipped', clippingM),
          length('pulled', 'Slack pulled up for it', 2 * (clippingM - climberM)),
        ]),
  ];
}

/** What the whole wall says; nothing for a fall past the belay, which is a stop by itself. */
export function heightsFindings({ question: q, led }: Scenario, { spots }: Heights): Finding[] {
  if (spots.length === 0) return [];
  const highest = spots.filter(bad).at(-1);
  const feetM = highest ? highest.climberM - TIE_IN_ABOVE_FEET_M - q.ledgeM : 0;
  const high = highest && feetM > threshold('groundBandMindM') ? highest : null;
  const numbers = highest ? numbersOf(highest, feetM) : [];
  return [
    finding({ code: 'catch.heights', subject: ['climber'], numbers }, high ? reachedFrom(high, led) : noneReaches(led)),
  ];
}
