import { expose } from 'comlink';
import { plan, planNeeds, type PlanCombination, type PlanNeed } from '@core/choose';
import type { WayTest } from '@core/connector';
import type { Item } from '@core/gear';
import type { Question } from '@core/rig';
import { paced } from './paced';

/** More than anybody reads; the counts stay true. */
const MOST_SENT = 200;

export interface PlanAnswer {
  readonly combinations: readonly PlanCombination[];
  readonly rejected: readonly PlanCombination[];
  readonly found: number;
  readonly stopped: number;
  readonly needs: readonly PlanNeed[];
}

const api = {
  /** Ranked combinations and what is missing; `onRow` hears how many sets of ropes are done. Ended by terminating the worker. */
  plan(
    question: Question,
    items: readonly Item[],
    tests: readonly WayTest[],
    onRow: (done: number) => void,
  ): PlanAnswer {
    const result = plan(question, items, tests, paced(onRow));
    return {
      combinations: result.combinations.slice(0, MOST_SENT),
      rejected: result.rejected.slice(0, MOST_SENT),
      found: result.combinations.length,
      stopped: result.rejected.length,
      needs: planNeeds(question, items, result),
    };
  },
};
export type PlanWorker = typeof api;
expose(api);
