import { assess } from '../assess.ts';
import type { Finding } from '../finding/index.ts';
import type { Item, ItemOf } from '../gear/index.ts';
import type { Rig, Setup, SetupGear } from '../rig/index.ts';
import { createFrontier } from './frontier.ts';

/** How bad a set-up is: numbers of findings, worst kind first. Compared in this order. */
export type Cost = readonly [stops: number, minds: number, untested: number];

export interface Combination {
  /** The set-up with every part chosen and rigged as it should be. */
  readonly setup: Setup;
  readonly cost: Cost;
}

export interface Rejection {
  readonly item: Item;
  readonly reason: Finding;
}

export interface Choice {
  /** Best first; one for each pair of rope and device, none with a Stop. */
  readonly combinations: readonly Combination[];
  /** Ropes and devices that no offered combination uses, with the finding that speaks against them. */
  readonly rejected: readonly Rejection[];
  /** `complete`: nothing better was left out. `cut`: the search was ended at `maxLooks`. */
  readonly outcome: 'complete' | 'cut';
  /** Set-ups that were assessed. */
  readonly looks: number;
}

export interface ChooseOptions {
  /** Most combinations to return. */
  readonly limit: number;
  /** Most set-ups to assess before the search is cut. */
  readonly maxLooks: number;
}
export const CHOOSE_DEFAULTS: ChooseOptions = { limit: 8, maxLooks: 12_000 };

/** As it is meant to be rigged: what a choice can be judged by before anybody has rigged it. */
const WELL_RIGGED: Partial<Rig> = {
  ends: 'both-knotted',
  deviceStrands: 'both',
  ropeOverEnd: 'broad',
  deviceGate: 'locked',
  deviceGateFaces: 'away',
  hitchStrands: 'both',
  hitchEyes: 'both',
  hitchGate: 'locked',
  hitchGateFaces: 'away',
};
/** What was not rigged yet is not known: a chosen combination becomes a set-up with these facts open. */
export const NOT_RIGGED: Partial<Rig> = {
  ends: 'unknown',
  deviceStrands: 'unknown',
  ropeOverEnd: 'unknown',
  deviceGate: 'unknown',
  deviceGateFaces: 'unknown',
  hitchStrands: 'unknown',
  hitchEyes: 'unknown',
  hitchGate: 'unknown',
  hitchGateFaces: 'unknown',
};

type Step = (setup: Setup, items: readonly Item[]) => Setup[];

const ofKind = <K extends Item['kind']>(items: readonly Item[], kind: K) =>
  items.filter((i): i is ItemOf<K> => i.kind === kind);
const withGear = (setup: Setup, gear: Partial<SetupGear>, rig: Partial<Rig> = {}): Setup => ({
  ...setup,
  gear: { ...setup.gear, ...gear },
  rig: { ...setup.rig, ...rig },
});

const EXTENSIONS: readonly Partial<Rig>[] = [
  { extensionMethod: 'basket', extensionKnots: 0 },
  { extensionMethod: 'basket', extensionKnots: 1 },
  { extensionMethod: 'girth', extensionKnots: 0 },
  { extensionMethod: 'girth', extensionKnots: 1 },
];
const WRAPS = [4, 3, 5];

/*
 * Of parts that are judged alike the first one is taken: the broadest connector for two strands, the shortest sling and loop, which leave
 * the least hanging about, and a small connector for the hitch.
 */
const ascending = <T>(list: readonly T[], size: (item: T) => number): T[] =>
  [...list].sort((a, b) => size(a) - size(b));
const deviceConnectors = (items: readonly Item[]) =>
  ascending(ofKind(items, 'connector'), (c) => -(c.broadInsideWidthMm ?? 0));
const hitchConnectors = (items: readonly Item[]) => ascending(ofKind(items, 'connector'), (c) => c.insideLengthMm);
const slings = (items: readonly Item[]) => ascending(ofKind(items, 'sling'), (s) => s.loopLengthMm);
const cords = (items: readonly Item[]) =>
  ascending(ofKind(items, 'cord'), (c) => c.loopLengthMm ?? (c.cutLengthM ?? 9) * 500);

/** The parts in the order in which they are chosen. A part that the set-up has already stays as it is. */
const STEPS: readonly Step[] = [
  (s, items) => (s.gear.ropeA ? [s] : ofKind(items, 'rope').map((ropeA) => withGear(s, { ropeA }))),
  (s, items) => (s.gear.device ? [s] : ofKind(items, 'device').map((device) => withGear(s, { device }))),
  (s, items) =>
    s.gear.deviceConnector
      ? [s]
      : deviceConnectors(items)
          .filter((c) => c.id !== s.gear.hitchConnector?.id && c.id !== s.gear.extraConnector?.id)
          .map((deviceConnector) => withGear(s, { deviceConnector })),
  (s, items) =>
    s.gear.extension
      ? [s]
      : slings(items).flatMap((extension) =>
          EXTENSIONS.map((rig) => withGear(s, { extension }, { ...rig, extensionMeasuredMm: null })),
        ),
  (s, items) =>
    s.gear.hitchCord
      ? [s]
      : cords(items).flatMap((hitchCord) => WRAPS.map((hitchWraps) => withGear(s, { hitchCord }, { hitchWraps }))),
  (s, items) =>
    s.gear.hitchConnector
      ? [s]
      : hitchConnectors(items)
          .filter((c) => c.id !== s.gear.deviceConnector?.id && c.id !== s.gear.extraConnector?.id)
          .map((hitchConnector) => withGear(s, { hitchConnector })),
  (s, items) => (s.gear.harness ? [s] : ofKind(items, 'harness').map((harness) => withGear(s, { harness }))),
];

/** Findings that count: a part that is not chosen yet is no fault of those that are. */
export function costOf(setup: Setup): Cost {
  const { findings } = assess(setup);
  const count = (severity: Finding['severity']) =>
    findings.filter((f) => f.severity === severity && f.code !== 'rig.part-missing').length;
  return [count('stop'), count('mind'), count('untested')];
}

const pairOf = ({ gear }: Setup) => `${gear.ropeA?.id ?? ''}/${gear.device?.id ?? ''}`;

/**
 * Complete combinations from a locker for a set-up in which some parts are open, best first. Best-first search: adding a part only adds
 * findings, so the cost of an incomplete set-up never exceeds that of any completion, and the first completion met for a pair of rope and
 * device is its best one. For one folded rope; a set-up with two joined ropes keeps the second one it has.
 * @param onLook hears how many set-ups were assessed, now and then.
 */
export function choose(
  base: Setup,
  items: readonly Item[],
  options: ChooseOptions = CHOOSE_DEFAULTS,
  onLook?: (looks: number) => void,
): Choice {
  const frontier = createFrontier<Setup, Cost>();
  let looks = 0;
  const look = (setup: Setup, depth: number) => {
    looks += 1;
    if (looks % 200 === 0) onLook?.(looks);
    const cost = costOf(setup);
    if (cost[0] === 0) frontier.push({ value: setup, cost, depth });
  };
  look(withGear(base, {}, WELL_RIGGED), 0);

  const combinations: Combination[] = [];
  const donePairs = new Set<string>();
  let outcome: Choice['outcome'] = 'complete';
  for (let node = frontier.pop(); node && combinations.length < options.limit; node = frontier.pop()) {
    if (node.depth >= 2 && donePairs.has(pairOf(node.value))) continue;
    if (node.depth === STEPS.length) {
      donePairs.add(pairOf(node.value));
      combinations.push({ setup: node.value, cost: node.cost });
      continue;
    }
    if (looks >= options.maxLooks) {
      outcome = 'cut';
      break;
    }
    for (const next of STEPS[node.depth]!(node.value, items)) look(next, node.depth + 1);
  }
  return { combinations, rejected: rejections(base, items, combinations), outcome, looks };
}

/** Why a rope or a device stands in none of the combinations: its worst finding in its best pairing. Nothing is said of mere runners-up. */
function rejections(base: Setup, items: readonly Item[], combinations: readonly Combination[]): Rejection[] {
  const used = new Set(combinations.flatMap(({ setup }) => [setup.gear.ropeA?.id, setup.gear.device?.id]));
  const ropes = base.gear.ropeA ? [base.gear.ropeA] : ofKind(items, 'rope');
  const devices = base.gear.device ? [base.gear.device] : ofKind(items, 'device');
  const rigged = withGear(base, {}, WELL_RIGGED);
  const stopOf = (setup: Setup) => assess(setup).findings.find((f) => f.severity === 'stop');
  const against = (item: Item, pairings: readonly Setup[]): Rejection[] => {
    if (used.has(item.id) || pairings.length === 0) return [];
    const stops = pairings.map(stopOf);
    const reason = stops[0];
    return reason && stops.every((s) => s !== undefined) ? [{ item, reason }] : [];
  };
  return [
    ...ropes.flatMap((ropeA) =>
      against(
        ropeA,
        devices.map((device) => withGear(rigged, { ropeA, device })),
      ),
    ),
    ...devices.flatMap((device) =>
      against(
        device,
        ropes.map((ropeA) => withGear(rigged, { ropeA, device })),
      ),
    ),
  ];
}
