import { expose } from 'comlink';
import {
  catchRuns,
  heightsOf,
  REMEDIES,
  RUNS,
  type CatchRuns,
  type Heights,
  type RemedyId,
  type Scenario,
} from '@core/rigs/catch';
import { paced } from './paced';

/** Remedies are compared with each other, not read to the last part of a hundred: fewer falls tell which one helps. */
export const REMEDY_RUNS = 2000;
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
  /** Ten thousand falls as they are, fewer with each remedy; `onFall` hears how many are done. Ended by terminating the worker. */
  falls(scenario: Scenario, onFall: (done: number) => void): CatchAnswer {
    const tell = paced(onFall);
    const asIs = catchRuns(scenario, RUNS, SEED, tell);
    let done = RUNS;
    const remedies = (Object.keys(REMEDIES) as RemedyId[]).flatMap((id) => {
      const changed = REMEDIES[id].apply(scenario);
      if (!changed) return [];
      const runs = catchRuns(changed, REMEDY_RUNS, SEED, (n) => tell(done + n));
      done += REMEDY_RUNS;
      return [{ id, runs }];
    });
    return { asIs, heights: heightsOf(scenario), remedies };
  },
};
export type CatchWorker = typeof api;
expose(api);
