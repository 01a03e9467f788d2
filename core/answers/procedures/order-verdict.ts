import { breachText } from './critical.ts';
import { movesOf, shippedOrder } from './order.ts';
import type { Procedure } from './procedure.ts';
import { PROCEDURES } from './procedures/index.ts';
import { replay, type Moment } from './replay.ts';
import type { Sequence } from './sequence.ts';

/** Walks an order; moment i + 1 is after step i. */
export const walk = (sequence: Pick<Sequence, 'procedure' | 'steps'>): Moment[] =>
  replay(PROCEDURES[sequence.procedure], movesOf(sequence));

export interface Trouble {
  /** Place of the step, from 0. */
  readonly at: number;
  readonly says: string;
}

/** Steps that break something, or cannot be done where they stand; a state that stays broken is named once. */
export function troubles(moments: readonly Moment[]): Trouble[] {
  const known = new Set<string>();
  return moments.slice(1).flatMap(({ breaches, stuck }, at) => {
    const says = [...breaches.map(breachText), ...(stuck ? [stuck] : [])].filter((text) => !known.has(text));
    says.forEach((text) => known.add(text));
    return says.map((text) => ({ at, says: text }));
  });
}

export interface OrderVerdict {
  readonly severity: 'stop' | 'untested' | 'clear';
  readonly troubles: readonly Trouble[];
  /** Shipped steps of these options that are not in the order. */
  readonly missing: number;
}

/**
 * What an order gets done: where it ends, whether one was ever off the ground and ever went down, the work that one
 * stopped for, the rope, and whether what was on the rope came off again.
 */
const gets = (moments: readonly Moment[]) => ({
  ends: moments.at(-1)!.state.where,
  up: moments.some((m) => m.state.where === 'up'),
  goes: moments.some((m) => m.state.going === 'yes'),
  worked: moments.some((m) => m.state.worked === 'yes'),
  pulled: moments.some((m) => m.state.pulled === 'yes'),
  off: moments.some((m) => m.state.off === 'yes'),
});

/**
 * Stop when a step breaks something; Not tested when the order does not get done what the procedure is for, so that
 * leaving steps out never turns into a pass; else nothing was found.
 */
export function orderVerdict(
  sequence: Pick<Sequence, 'procedure' | 'steps' | 'options'>,
  moments: readonly Moment[],
): OrderVerdict {
  const procedure: Procedure = PROCEDURES[sequence.procedure];
  const shipped = shippedOrder(procedure, sequence.options);
  const found = troubles(moments);
  const missing = shipped.filter((step) => !sequence.steps.some((l) => l.id === step.id)).length;
  const wanted = gets(
    replay(
      procedure,
      shipped.map((step) => ({ step, wrong: null })),
    ),
  );
  const own = gets(moments);
  const done = (Object.keys(wanted) as (keyof typeof wanted)[]).every((key) => own[key] === wanted[key]);
  return { severity: found.length > 0 ? 'stop' : done ? 'clear' : 'untested', troubles: found, missing };
}
