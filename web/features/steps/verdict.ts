import { breachText, movesOf, PROCEDURES, replay, type Moment, type Sequence } from '@core/sequence';

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
