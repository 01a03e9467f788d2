import { expose } from 'comlink';
import {
  catchRuns,
  heightsOf,
  remedied,
  REMEDY_RUNS,
  RUNS,
  type CatchRuns,
  type Heights,
  type RemedyId,
  type Scenario,
} from '@core/rigs/catch';
import { paced } from './paced';

const SEED = 1;

export interface RemedyAnswer {
  readonly id: RemedyId;
  readonly runs: CatchRuns;
}
export interface CatchAnswer {
  readonly asIs: CatchRuns;
  /** The same on the whole wall, at each height and each clip. */
  readonly heights: Heights;
  readonly remedies: readonly RemedyAnswer[];
}

const api = {
  /**
   * Ten thousand falls as they are, fewer with each remedy; `onFall` hears how many are done. Ended by terminating the
   * worker.
   */
  falls(scenario: Scenario, onFall: (done: number) => void): CatchAnswer {
    const tell = paced(onFall);
    const asIs = catchRuns(scenario, RUNS, SEED, tell);
    const remedies = remedied(scenario).map(({ id, changed }, i) => ({
      id,
      runs: catchRuns(changed, REMEDY_RUNS, SEED, (n) => tell(RUNS + i * REMEDY_RUNS + n)),
    }));
    return { asIs, heights: heightsOf(scenario), remedies };
  },
};
export type CatchWorker = typeof api;
expose(api);
