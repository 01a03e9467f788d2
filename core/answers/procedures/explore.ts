import type { BreachKind, Condition, Procedure, Step } from './procedure.ts';
import type { Move } from './replay.ts';

/**
 * One deviation from an order: a step left out, two neighbours swapped, or a step done in a known wrong way. `at`
 * counts from 0.
 */
export type Deviation =
  | { readonly kind: 'skip'; readonly at: number }
  | { readonly kind: 'swap'; readonly at: number }
  | { readonly kind: 'wrong'; readonly at: number; readonly wrong: number };

/** How it ends: with a breach, by showing itself, or without harm. `at` is the place in the order as it was changed. */
export type Outcome =
  | { readonly kind: 'breach'; readonly at: number; readonly breach: BreachKind }
  | { readonly kind: 'shows'; readonly at: number }
  | { readonly kind: 'harmless' };

export interface Explored {
  readonly deviations: readonly Deviation[];
  /** In the order of `deviations`. */
  readonly singles: readonly Outcome[];
  /** Pairs that end worse than either of the two does by itself; indexes into `deviations`. */
  readonly pairs: readonly { readonly first: number; readonly second: number; readonly outcome: Outcome }[];
  /** How many pairs were tried. */
  readonly tried: number;
}

/** Every single deviation from an order. Steps of one's own change nothing and are left alone. */
export function deviationsOf(steps: readonly (Step | null)[]): Deviation[] {
  return steps.flatMap((step, at): Deviation[] => [
    ...(step ? [{ kind: 'skip', at } as const] : []),
    ...(step && steps[at + 1] ? [{ kind: 'swap', at } as const] : []),
    ...(step?.wrongs.map((_, i) => ({ kind: 'wrong', at, wrong: i }) as const) ?? []),
  ]);
}

/** The order with deviations that touch different steps. */
export function deviate(steps: readonly (Step | null)[], deviations: readonly Deviation[]): Move[] {
  const moves: (Move | null)[] = steps.map((step) => ({ step, wrong: null }));
  for (const d of deviations) {
    if (d.kind === 'skip') moves[d.at] = null;
    else if (d.kind === 'swap') [moves[d.at], moves[d.at + 1]] = [moves[d.at + 1]!, moves[d.at]!];
    else moves[d.at] = { step: steps[d.at]!, wrong: steps[d.at]!.wrongs[d.wrong]! };
  }
  return moves.filter((m) => m !== null);
}

const last = (d: Deviation) => (d.kind === 'swap' ? d.at + 1 : d.at);

/** A condition as the place of its fact and the set of values that meet it, one bit each. */
type Test = readonly [place: number, mask: number];
interface FastSets {
  readonly effects: readonly (readonly [place: number, value: number, when: readonly Test[]])[];
}
interface FastStep {
  readonly can: readonly Test[];
  readonly right: FastSets;
  readonly wrongs: readonly FastSets[];
  readonly tests: number;
  /** Place of what carries after the test among the attachments. */
  readonly carries: number;
  readonly mustHold: number;
}
interface FastLane {
  readonly on: number;
  readonly locked: number;
  readonly tested: number;
  readonly holds: readonly (readonly Test[])[];
}

const BREACH_ORDER: readonly BreachKind[] = ['fall', 'unattached', 'untested', 'drop', 'stranded', 'dropped'];

/** Place of `up` among the values of `where`. */
const UP = 2;

/**
 * The procedure with facts as small numbers, so that thousands of deviations are walked in milliseconds. Says the same
 * as `replay`.
 */
class FastWorld {
  readonly start: Uint8Array;
  private readonly places: ReadonlyMap<string, number>;
  private readonly procedure: Procedure;
  private readonly lanes: readonly FastLane[];
  private readonly invariants: readonly (readonly [kind: number, when: readonly Test[]])[];
  private readonly where: number;
  private readonly weight: number;
  private readonly scratch: Uint8Array;

  constructor(procedure: Procedure) {
    this.procedure = procedure;
    const { variables, lanes, invariants } = procedure;
    this.places = new Map(variables.map(({ id }, i) => [id, i]));
    this.start = Uint8Array.from(variables, ({ values, start }) => values.indexOf(start));
    this.scratch = new Uint8Array(variables.length);
    this.lanes = lanes.map(({ id, holds }) => ({
      on: this.place(`${id}.on`),
      locked: this.places.get(`${id}.locked`) ?? -1,
      tested: this.place(`${id}.tested`),
      holds: holds.map((list) => this.tests(list)),
    }));
    this.invariants = invariants.map(({ kind, when }) => [BREACH_ORDER.indexOf(kind), this.tests(when)]);
    this.where = this.place('where');
    this.weight = this.place('weight');
  }

  private place(id: string): number {
    const at = this.places.get(id);
    if (at === undefined) throw new Error(`no fact ${id}`);
    return at;
  }
  private tests(list: readonly Condition[]): Test[] {
    return list.map(({ v, is, not }) => {
      const at = this.place(v);
      const { values } = this.procedure.variables[at]!;
      const bits = (words: readonly string[]) => words.reduce((mask, w) => mask | (1 << values.indexOf(w)), 0);
      const all = (1 << values.length) - 1;
      return [at, (is ? bits(is) : all) & (not ? all & ~bits(not) : all)];
    });
  }
  private sets(effects: Step['sets']): FastSets {
    return {
      effects: effects.map(({ v, to, when }) => {
        const at = this.place(v);
        return [at, this.procedure.variables[at]!.values.indexOf(to), this.tests(when)];
      }),
    };
  }
  step(step: Step): FastStep {
    return {
      can: this.tests(step.can),
      right: this.sets(step.sets),
      wrongs: step.wrongs.map((w) => this.sets(w.sets)),
      tests: step.tests === null ? -1 : this.procedure.lanes.findIndex((l) => l.id === step.tests),
      carries: this.procedure.lanes.findIndex((l) => l.id === (step.carries ?? step.tests)),
      mustHold: step.mustHold ?? -1,
    };
  }

  private met(state: Uint8Array, list: readonly Test[]): boolean {
    for (const [at, mask] of list) if ((mask & (1 << state[at]!)) === 0) return false;
    return true;
  }
  private holds(state: Uint8Array, { on, holds }: FastLane): boolean {
    if (state[on] !== 1) return false;
    for (const list of holds) if (this.met(state, list)) return true;
    return false;
  }
  private counts(state: Uint8Array, lane: FastLane): boolean {
    return this.holds(state, lane) && (lane.locked < 0 || state[lane.locked] === 1) && state[lane.tested] === 1;
  }

  /** Changes `state` in place. @returns false when the step could not be done or showed a fault. */
  move(state: Uint8Array, step: FastStep, wrong: number): boolean {
    if (!this.met(state, step.can)) return false;
    const before = this.scratch;
    before.set(state);
    for (const [at, value, when] of (wrong < 0 ? step.right : step.wrongs[wrong]!).effects)
      if (this.met(before, when)) state[at] = value;
    if (step.tests < 0 || wrong >= 0) return true;
    const lane = this.lanes[step.tests]!;
    if (this.holds(state, lane)) state[lane.tested] = 1;
    else if (state[this.where] !== UP || this.lanes.some((other) => other !== lane && this.counts(state, other))) {
      state.set(before);
      return false;
    }
    state[this.weight] = step.carries + 1;
    return true;
  }

  /** Worst breach in a state as its place in BREACH_ORDER; -1 when there is none. */
  breach(state: Uint8Array, promised: number): number {
    let worst = 99;
    if (state[this.where] === UP) {
      let holding = 0;
      let counting = 0;
      let carries = state[this.weight] === 0;
      for (let i = 0; i < this.lanes.length; i += 1) {
        const lane = this.lanes[i]!;
        if (!this.holds(state, lane)) continue;
        holding += 1;
        if (state[this.weight] === i + 1) carries = true;
        if (this.counts(state, lane)) counting += 1;
      }
      if (!carries) worst = holding > 0 ? 3 : 0;
      else if (holding === 0) worst = 1;
      else if (counting < promised) worst = 2;
    }
    for (const [kind, when] of this.invariants) if (kind < worst && this.met(state, when)) worst = kind;
    return worst === 99 ? -1 : worst;
  }
}

/** Place among the breaches, worst first; what is no breach comes last. */
const badness = (outcome: Outcome): number =>
  outcome.kind === 'breach' ? BREACH_ORDER.indexOf(outcome.breach) : BREACH_ORDER.length;

/**
 * Every single deviation from an order, and every pair of deviations that touch different steps. The world is walked
 * from the start; the part before the first deviation is walked once. Tests compare it with `replay` move by move.
 * @param onRow hears how many first deviations are done.
 */
export function explore(
  procedure: Procedure,
  steps: readonly (Step | null)[],
  onRow?: (done: number) => void,
): Explored {
  const world = new FastWorld(procedure);
  const fast = steps.map((step) => (step ? world.step(step) : null));
  const deviations = deviationsOf(steps);

  // The world before each step of the order itself, with what is promised there. An order that is itself in breach has
  // an end.
  const before: Uint8Array[] = [world.start.slice()];
  const promised: number[] = [procedure.mustHold];
  const state = world.start.slice();
  let sound = world.breach(state, procedure.mustHold) < 0 ? steps.length : -1;
  for (let i = 0; i < steps.length; i += 1) {
    const step = fast[i]!;
    let promise = promised[i]!;
    if (step && !world.move(state, step, -1)) {
      sound = Math.min(sound, i);
    } else if (step && step.mustHold >= 0) promise = step.mustHold;
    if (world.breach(state, promise) >= 0) sound = Math.min(sound, i);
    before.push(state.slice());
    promised.push(promise);
  }

  const at = new Uint8Array(world.start.length);
  /**
   * Walks the order with one or two deviations, from the earlier of them on. Places are counted in the changed order.
   */
  const walk = (first: Deviation, second: Deviation | null): Outcome => {
    const from = Math.min(first.at, sound < 0 ? 0 : sound);
    at.set(before[from]!);
    let promise = promised[from]!;
    let place = from;
    const one = (i: number, wrong: number): Outcome | null => {
      const step = fast[i];
      if (step) {
        if (!world.move(at, step, wrong)) return { kind: 'shows', at: place };
        if (step.mustHold >= 0) promise = step.mustHold;
        const breach = world.breach(at, promise);
        if (breach >= 0) return { kind: 'breach', at: place, breach: BREACH_ORDER[breach]! };
      }
      place += 1;
      return null;
    };
    for (let i = from; i < fast.length; i += 1) {
      const d = i === first.at ? first : second && i === second.at ? second : null;
      if (d?.kind === 'skip') continue;
      const outcome = d?.kind === 'swap' ? (one(i + 1, -1) ?? one(i, -1)) : one(i, d?.kind === 'wrong' ? d.wrong : -1);
      if (outcome) return outcome;
      if (d?.kind === 'swap') i += 1;
    }
    return { kind: 'harmless' };
  };

  const singles = deviations.map((d) => walk(d, null));
  const pairs: { first: number; second: number; outcome: Outcome }[] = [];
  let tried = 0;
  for (let a = 0; a < deviations.length; a += 1) {
    const first = deviations[a]!;
    for (let b = a + 1; b < deviations.length; b += 1) {
      const second = deviations[b]!;
      if (second.at <= last(first)) continue;
      tried += 1;
      const outcome = walk(first, second);
      if (badness(outcome) < Math.min(badness(singles[a]!), badness(singles[b]!)))
        pairs.push({ first: a, second: b, outcome });
    }
    onRow?.(a + 1);
  }
  return { deviations, singles, pairs, tried };
}
