import type { Remote } from 'comlink';
import { useCallback } from 'react';
import type { Sequence } from '@core/answers/procedures';
import type { ExploredSequence, SequenceWorker } from './sequence-worker';
import { useWorkerJob } from './useWorkerJob';

const create = () => new Worker(new URL('./sequence-worker.ts', import.meta.url), { type: 'module' });

/** Explores an order of steps in a worker; asked again when steps or procedure change, not when a name does. */
export function useExplored({ procedure, steps }: Sequence) {
  const ask = useCallback(
    (api: Remote<SequenceWorker>, onRow: (done: number) => void): Promise<ExploredSequence> =>
      api.explore({ procedure, steps }, onRow),
    [procedure, steps],
  );
  return useWorkerJob({ create, ask });
}
