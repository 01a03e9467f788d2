import { expose } from 'comlink';
import { fitRow, type FitCell } from '@core/things/fit';
import type { Device, Job, Rope } from '@core/things/gear';
import { paced } from './paced';

export interface FitMapRequest {
  readonly job: Job;
  readonly ropes: readonly Rope[];
  readonly devices: readonly Device[];
}

/** A cell without its findings: nine hundred of them take long to be handed over, and one is read at a time. */
export type FitMark = Omit<FitCell, 'findings'>;

const api = {
  /** The whole map, row by row; `onRow` hears how many rows are done. Ended from outside by terminating the worker. */
  fitMap({ job, ropes, devices }: FitMapRequest, onRow: (done: number) => unknown): FitMark[] {
    const tell = paced(onRow);
    const cells: FitMark[] = [];
    for (const [i, rope] of ropes.entries()) {
      for (const { ropeId, deviceId, severity, marginMm } of fitRow(job, rope, devices))
        cells.push({ ropeId, deviceId, severity, marginMm });
      tell(i + 1);
    }
    return cells;
  },
};
export type FitWorker = typeof api;
expose(api);
