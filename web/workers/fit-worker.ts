import { expose } from 'comlink';
import { fitRow, type FitCell } from '@core/fit';
import type { Device, Job, Rope } from '@core/gear';
import { paced } from './paced';

export interface FitMapRequest {
  readonly job: Job;
  readonly ropes: readonly Rope[];
  readonly devices: readonly Device[];
}

const api = {
  /** The whole map, row by row; `onRow` hears how many rows are done. Ended from outside by terminating the worker. */
  fitMap({ job, ropes, devices }: FitMapRequest, onRow: (done: number) => unknown): FitCell[] {
    const tell = paced(onRow);
    const cells: FitCell[] = [];
    for (const [i, rope] of ropes.entries()) {
      cells.push(...fitRow(job, rope, devices));
      tell(i + 1);
    }
    return cells;
  },
};
export type FitWorker = typeof api;
expose(api);
