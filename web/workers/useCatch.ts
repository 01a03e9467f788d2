import type { Remote } from 'comlink';
import { useCallback } from 'react';
import type { Scenario } from '@core/rigs/catch';
import type { CatchAnswer, CatchWorker } from './catch-worker';
import { useWorkerJob } from './useWorkerJob';

const create = () => new Worker(new URL('./catch-worker.ts', import.meta.url), { type: 'module' });

/** Many falls of one scenario, in a worker. */
export function useCatch(scenario: Scenario) {
  const ask = useCallback(
    (api: Remote<CatchWorker>, onFall: (done: number) => void): Promise<CatchAnswer> => api.falls(scenario, onFall),
    [scenario],
  );
  return useWorkerJob({ create, ask });
}
