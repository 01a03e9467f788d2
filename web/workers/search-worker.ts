import { expose } from 'comlink';
import { needs, search, SEARCH_DEFAULTS, type Combination, type Need } from '@core/answers/planning';
import type { WayTest } from '@core/things/connector';
import type { Item } from '@core/things/gear';
import type { Setup } from '@core/rigs/rig';
import { paced } from './paced';

/** More than anybody reads; the counts stay true. */
const MOST_SENT = 200;
const SEARCH = { ...SEARCH_DEFAULTS, mostRejected: MOST_SENT };

export interface SearchAnswer {
  readonly combinations: readonly Combination[];
  readonly rejected: readonly Combination[];
  readonly found: number;
  readonly stopped: number;
  readonly outcome: 'complete' | 'cut';
  readonly needs: readonly Need[];
}

const api = {
  /**
   * Ranked combinations for what is open, and what is missing; `onRow` hears how many sets of ropes are done. Ended by
   * terminating the worker.
   */
  search(open: Setup, items: readonly Item[], tests: readonly WayTest[], onRow: (done: number) => void): SearchAnswer {
    const result = search(open, items, tests, SEARCH, paced(onRow));
    return {
      combinations: result.combinations.slice(0, MOST_SENT),
      rejected: result.rejected,
      found: result.combinations.length,
      stopped: result.stopped,
      outcome: result.outcome,
      needs: needs(open, items, result),
    };
  },
};
export type SearchWorker = typeof api;
expose(api);
