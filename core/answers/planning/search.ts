import type { WayTest } from '../../things/connector/index.ts';
import { traitsOf, type Connector, type Device, type Item } from '../../things/gear/index.ts';
import { wellRigged, type Setup } from '../../rigs/rig/index.ts';
import { costFrom, factorsOf, STOP, type Cost, type Factor } from './factors.ts';
import { itemOf, makesSense, strengthAt, variablesOf, type Pick, type OpenPlace } from './picks.ts';

/** One complete answer: what to put where, and how bad it then is. */
export interface Combination {
  readonly picks: readonly Pick[];
  readonly cost: Cost;
}

export interface SearchResult {
  /** Best first, none with a *stop*; one for each set of ropes and device. */
  readonly combinations: readonly Combination[];
  /** The least bad of the others, completed with the least bad parts there are; at most `mostRejected`. */
  readonly rejected: readonly Combination[];
  /** How many others there are. */
  readonly stopped: number;
  /** Sets of ropes times devices. */
  readonly pairs: number;
  /** `complete`: nothing better was left out. `cut`: for some pairs the search was ended after its looks. */
  readonly outcome: 'complete' | 'cut';
}

export interface SearchOptions {
  /** Most combinations to look at for one set of ropes and device. */
  readonly maxLooks: number;
  /**
   * Looks that all sets of ropes and devices share: with many of them each gets fewer, but never under `LEAST_LOOKS`.
   */
  readonly allLooks: number;
  /**
   * Sets of ropes and device with a *stop* that are worked out to the end: the least bad ones. The rest are counted.
   */
  readonly mostRejected: number;
}
export const SEARCH_DEFAULTS: SearchOptions = { maxLooks: 600, allLooks: 80_000, mostRejected: 200 };
/**
 * With 30 ropes and devices as good as 600 looks in every job; with 40 something better was missed (`npm run bench`).
 */
const LEAST_LOOKS = 75;
/** How many times as many looks are spent on a pair while every combination found for it has a *stop*. */
const PATIENCE = 8;

/**
 * Complete combinations for whatever is open in a set-up, best first: every set of ropes with every device, each with
 * its best other parts. Branch and bound over the open places; a judge counts as soon as everything it reads is chosen,
 * and no part takes a finding away again, so that what is dropped could not have been better. Judged as if it were
 * rigged as it is meant to be.
 * @param onRow hears how many sets of ropes are done.
 */
export function search(
  open: Setup,
  items: readonly Item[],
  tests: readonly WayTest[],
  options: SearchOptions = SEARCH_DEFAULTS,
  onRow?: (done: number) => void,
): SearchResult {
  const base: Setup = { ...wellRigged(open), tests: [...tests] };
  const all = variablesOf(base, items);
  if (all.some((v) => v.values.length === 0 && (v.kind === 'rope' || v.kind === 'device'))) return NOTHING;
  // What the locker has nothing for stays open; the needs name it.
  const variables = all.filter((v) => v.values.length > 0);
  const factors = factorsOf(base, variables, items);
  const fixed = factors.filter((f) => f.scope.length === 0).reduce((sum, f) => sum + f.cost([]), 0);
  const tree = createTree(base, variables, factors, items);
  const isKey = (v: OpenPlace) => v.kind === 'rope' || v.kind === 'device';
  const keys = variables.filter(isKey).length;
  const sets = variables.filter(isKey).reduce((product, v) => product * v.values.length, 1);
  const maxLooks = Math.min(options.maxLooks, Math.max(LEAST_LOOKS, Math.floor(options.allLooks / sets)));
  const found: Ranked[] = [];
  /**
   * With a *stop* from their ropes and device alone: looked at last, and only as far as one of them may be among the
   * least bad.
   */
  const put: Start[] = [];
  let outcome: SearchResult['outcome'] = 'complete';
  let pairs = 0;
  const complete = ({ chosen, sum, i }: Start) => {
    const best = tree.complete(chosen, sum, maxLooks);
    if (best.cut) outcome = 'cut';
    const device = tree.device(best.chosen);
    found.push({ ...best, i, made: device && traitsOf(device.family).made.includes(open.job) ? 0 : 1 });
  };
  const walk = (depth: number, chosen: number[], sum: number) => {
    if (depth === keys) {
      const start = { chosen, sum, i: pairs++ };
      if (sum >= STOP) put.push(start);
      else complete(start);
      return;
    }
    variables[depth]!.values.forEach((_, i) => {
      const next = [...chosen, i];
      walk(depth + 1, next, sum >= STOP ? sum : sum + tree.costAt(depth, next, STOP - sum));
      if (depth === 0) onRow?.(i + 1);
    });
  };
  walk(0, [], fixed);
  put.sort((a, b) => a.sum - b.sum);
  const stops = found.flatMap((f) => (f.sum >= STOP ? rank(f.sum) : [])).sort((a, b) => a - b);
  for (const start of put) {
    // What is added only makes it worse: once there are enough no worse than this beginning, the rest cannot come
    // before them.
    if (stops.length >= options.mostRejected && rank(start.sum) > stops[options.mostRejected - 1]!) break;
    complete({ ...start, sum: fixed + tree.costOf(start.chosen) });
    const at = rank(found.at(-1)!.sum);
    stops.splice(lowerBound(stops, at), 0, at);
  }
  // Of equally good ones those whose family is made for the job come before those that also serve it.
  const ranked = found
    .sort((a, b) => rank(a.sum) - rank(b.sum) || a.made - b.made || a.sum - b.sum || a.i - b.i)
    .map(({ chosen, sum }) => ({
      picks: chosen.flatMap((value, v) => [...variables[v]!.values[value]!]),
      cost: costFrom(sum),
    }));
  const combinations = ranked.filter((c) => c.cost[0] === 0);
  return {
    combinations,
    rejected: ranked.filter((c) => c.cost[0] > 0).slice(0, options.mostRejected),
    stopped: pairs - combinations.length,
    pairs,
    outcome,
  };
}

/**
 * Ropes and device, with what speaks against them whatever the other parts are; `i`: their place in the order of the
 * locker.
 */
interface Start {
  readonly chosen: readonly number[];
  readonly sum: number;
  readonly i: number;
}
interface Ranked extends Start {
  readonly made: number;
}

/** Below every finding only the strength of a way differs. */
const rank = (sum: number) => Math.floor(sum / 1e3);

function lowerBound(sorted: readonly number[], value: number): number {
  const at = sorted.findIndex((x) => x >= value);
  return at < 0 ? sorted.length : at;
}

const NOTHING: SearchResult = { combinations: [], rejected: [], stopped: 0, pairs: 0, outcome: 'complete' };

interface Leaf {
  readonly chosen: readonly number[];
  readonly sum: number;
  readonly cut: boolean;
}

/** The open places as levels of a tree: what each value adds there, and the best way down from a beginning. */
function createTree(base: Setup, variables: readonly OpenPlace[], factors: readonly Factor[], items: readonly Item[]) {
  const last = variables.length;
  const endingAt = variables.map((_, v) => factors.filter((f) => f.scope.at(-1) === v));
  // Cheap: of this value and at most one other place, remembered in a small table. The rest is only asked of what may
  // still be the best.
  const cheap = endingAt.map((list) => list.filter((f) => f.scope.length <= 2));
  const dear = endingAt.map((list) => list.filter((f) => f.scope.length > 2));
  const deviceAt = variables.findIndex((v) => v.kind === 'device');
  const device = (chosen: readonly number[]): Device | null => {
    if (deviceAt >= 0) return itemOf(items, variables[deviceAt]!.values[chosen[deviceAt]!]![0]!.itemId) as Device;
    const own = base.attachments.find((a) => a.id === 'main')?.end;
    return own?.kind === 'device' ? own.item : null;
  };
  const sumOf = (list: readonly Factor[], chosen: readonly number[]) => {
    let sum = 0;
    for (const f of list) sum += f.cost(chosen);
    return sum;
  };
  /** Prefers, among values judged alike, the way that leaves more strength: below every finding. */
  const tie = (v: number, value: number, chosen: readonly number[]): number => {
    const pick = variables[v]!.values[value]![0]!;
    const at = pick.way ? device(chosen) : null;
    if (!pick.way || !at) return 0;
    const connector = itemOf(items, pick.itemId) as Connector;
    return Math.max(0, 500 - Math.round(strengthAt(connector, at, pick.way) * 10));
  };
  const sensible = (v: number, value: number, chosen: readonly number[]): boolean => {
    const pick = variables[v]!.values[value]![0]!;
    const at = pick.way ? device(chosen) : null;
    return !at || makesSense(pick, itemOf(items, pick.itemId) as Connector, at);
  };
  const orders = new Map<string, readonly { value: number; add: number }[]>();
  /** What the order of each level depends on. */
  const readsAt = variables.map((variable, v) => {
    const reads = cheap[v]!.flatMap((f) => f.scope);
    if (variable.values[0]![0]!.way && deviceAt >= 0) reads.push(deviceAt);
    return [...new Set(reads)].filter((r) => r < v);
  });
  /** The values of a level, cheapest first; the same for all beginnings that agree in what the cheap factors read. */
  const order = (v: number, chosen: readonly number[]) => {
    const key = `${v}/${readsAt[v]!.map((r) => chosen[r]).join()}`;
    const there = orders.get(key);
    if (there) return there;
    const made = variables[v]!.values.map((_, value) => ({ value, at: [...chosen.slice(0, v), value] }))
      .filter(({ value, at }) => sensible(v, value, at))
      .map(({ value, at }) => ({ value, add: sumOf(cheap[v]!, at) + tie(v, value, at) }))
      .sort((a, b) => a.add - b.add || a.value - b.value);
    orders.set(key, made);
    return made;
  };
  return {
    device,
    /** What a value adds; no further than `enough`, since a beginning with a *stop* may never be looked at again. */
    costAt(v: number, chosen: readonly number[], enough: number): number {
      let sum = 0;
      for (const f of endingAt[v]!) {
        sum += f.cost(chosen);
        if (sum >= enough) return sum;
      }
      return sum;
    },
    /** The whole of a beginning. */
    costOf: (chosen: readonly number[]) => chosen.reduce((sum, _, v) => sum + sumOf(endingAt[v]!, chosen), 0),
    /** The best completion of a beginning; with a *stop* in it already, the first one there is. */
    complete(start: readonly number[], sum: number, maxLooks: number): Leaf {
      let best: { chosen: readonly number[]; sum: number } | null = null;
      let looks = 0;
      let cut = false;
      const chosen = [...start];
      const down = (v: number, acc: number) => {
        if (v === last) {
          if (best === null || acc < best.sum) best = { chosen: [...chosen], sum: acc };
          return;
        }
        for (const { value, add } of order(v, chosen)) {
          // Ties of strength do not open another branch: a whole finding has to be won.
          if (best !== null && acc + add >= Math.min(best.sum, Math.floor(best.sum / 1e3) * 1e3 + 1)) return;
          if (best !== null && best.sum >= STOP && sum >= STOP) return;
          // Nothing without a Stop yet: it is worth looking further than for a mere improvement.
          if (best !== null && looks >= maxLooks * (best.sum - sum >= STOP ? PATIENCE : 1)) {
            cut = true;
            return;
          }
          looks += 1;
          chosen[v] = value;
          const more = sumOf(dear[v]!, chosen);
          if (best === null || acc + add + more < best.sum) down(v + 1, acc + add + more);
          chosen.length = v;
        }
      };
      down(start.length, sum);
      const leaf = best as { chosen: readonly number[]; sum: number } | null;
      return leaf ? { ...leaf, cut } : { chosen: start, sum: sum + STOP, cut };
    },
  };
}
