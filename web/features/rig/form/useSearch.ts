import type { Remote } from 'comlink';
import { useCallback } from 'react';
import type { WayTest } from '@core/things/connector';
import type { Item } from '@core/things/gear';
import type { Setup } from '@core/rigs/rig';
import type { SearchAnswer, SearchWorker } from '../../../workers/search-worker';
import { useWorkerJob } from '../../../workers/useWorkerJob';

const create = () => new Worker(new URL('../../../workers/search-worker.ts', import.meta.url), { type: 'module' });

/**
 * Asks the worker what the locker has for the open places of a set-up. None of the three may change unless the question
 * does.
 */
export function useSearch(open: Setup, items: readonly Item[], tests: readonly WayTest[]) {
  const ask = useCallback(
    (api: Remote<SearchWorker>, onRow: (done: number) => void): Promise<SearchAnswer> =>
      api.search(open, items, tests, onRow),
    [open, items, tests],
  );
  return useWorkerJob({ create, ask });
}
