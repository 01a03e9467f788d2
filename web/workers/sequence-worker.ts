import { expose } from 'comlink';
import {
  criticalOf,
  deviationText,
  explore,
  pausesOf,
  PROCEDURES,
  stepsOf,
  type BreachKind,
  type Critical,
  type Pause,
  type Sequence,
} from '@core/answers/procedures';
import { paced } from './paced';

export interface ExploredSequence {
  readonly deviations: number;
  readonly pairsTried: number;
  readonly critical: readonly Critical[];
  readonly pauses: readonly Pause[];
  /** Pairs that end worse than either by itself. */
  readonly pairs: readonly { readonly first: string; readonly second: string; readonly kind: BreachKind }[];
  /** Single deviations that show themselves before any harm. */
  readonly shows: number;
}

const api = {
  /** Every single deviation from an order, and every pair. Ended from outside by terminating the worker. */
  explore(sequence: Pick<Sequence, 'procedure' | 'steps'>, onRow: (done: number) => unknown): ExploredSequence {
    const procedure = PROCEDURES[sequence.procedure];
    const steps = stepsOf(sequence);
    const explored = explore(procedure, steps, paced(onRow));
    const critical = criticalOf(procedure, steps, explored);
    const text = (i: number) => deviationText(steps, explored.deviations[i]!);
    return {
      deviations: explored.deviations.length,
      pairsTried: explored.tried,
      critical,
      pauses: pausesOf(critical),
      pairs: explored.pairs.flatMap(({ first, second, outcome }) =>
        outcome.kind === 'breach' ? [{ first: text(first), second: text(second), kind: outcome.breach }] : [],
      ),
      shows: explored.singles.filter((o) => o.kind === 'shows').length,
    };
  },
};
export type SequenceWorker = typeof api;
expose(api);
