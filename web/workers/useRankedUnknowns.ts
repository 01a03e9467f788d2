import type { Remote } from 'comlink';
import { useCallback } from 'react';
import type { OpenFact } from '@core/answers/planning';
import type { Setup } from '@core/rigs/rig';
import type { RankUnknownsWorker } from './rank-unknowns-worker';
import { useWorkerJob } from './useWorkerJob';

const create = () => new Worker(new URL('./rank-unknowns-worker.ts', import.meta.url), { type: 'module' });

/** What would sharpen the verdict of a set-up most, in a worker. */
export function useRankedUnknowns(setup: Setup) {
  const ask = useCallback(
    (api: Remote<RankUnknownsWorker>, onFact: (done: number) => void): Promise<readonly OpenFact[]> =>
      api.sharpen(setup, onFact),
    [setup],
  );
  return useWorkerJob({ create, ask });
}
