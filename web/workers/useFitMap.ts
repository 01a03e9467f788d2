import type { Remote } from 'comlink';
import { useCallback } from 'react';
import type { Device, Job, Rope } from '@core/things/gear';
import type { FitWorker } from './fit-worker';
import { useWorkerJob } from './useWorkerJob';

const create = () => new Worker(new URL('./fit-worker.ts', import.meta.url), { type: 'module' });

/** The fit map of a job, computed in a worker; progress counts ropes. */
export function useFitMap(job: Job, ropes: readonly Rope[], devices: readonly Device[]) {
  const ask = useCallback(
    (api: Remote<FitWorker>, onRow: (done: number) => void) => api.fitMap({ job, ropes, devices }, onRow),
    [job, ropes, devices],
  );
  return useWorkerJob({ create, ask });
}
