import { expose } from 'comlink';
import { nextTests, testsOf, wayRow, type NextTest, type Way, type WayTest } from '@core/things/connector';
import type { Severity } from '@core/foundations/finding';
import type { Connector, Device, Job } from '@core/things/gear';
import { paced } from './paced';

export interface WaysRequest {
  readonly job: Job;
  readonly massKg: number;
  readonly connectors: readonly Connector[];
  readonly devices: readonly Device[];
  readonly tests: readonly WayTest[];
}

/** A cell of the connector map in short: its best way, and how many ways are how good. */
export interface WaysCell {
  readonly connectorId: string;
  readonly deviceId: string;
  readonly severity: Severity;
  readonly playMm: number | null;
  /** Ways without a *stop*, of all. */
  readonly usable: number;
  readonly ways: number;
  readonly tried: number;
}

/** One way of one pair in short, for the file. */
export interface WayLine {
  readonly connectorId: string;
  readonly deviceId: string;
  readonly way: Way;
  readonly severity: Severity;
  readonly playMm: number | null;
  readonly strengthLeftKn: number | null;
}

const api = {
  /** The whole map, connector by connector, and what to try next. Ended from outside by terminating the worker. */
  map({ job, massKg, connectors, devices, tests }: WaysRequest, onRow: (done: number) => unknown) {
    const tell = paced(onRow);
    const cells: WaysCell[] = [];
    const rows = [];
    const lines: WayLine[] = [];
    for (const [i, connector] of connectors.entries()) {
      const row = wayRow(job, massKg, connector, devices, tests);
      rows.push(...row);
      for (const { connectorId, deviceId, ways } of row) {
        for (const { way, severity, playMm, strengthLeftKn } of ways)
          lines.push({ connectorId, deviceId, way, severity, playMm, strengthLeftKn: strengthLeftKn?.low ?? null });
        cells.push({
          connectorId,
          deviceId,
          severity: ways[0]!.severity,
          playMm: ways[0]!.playMm,
          usable: ways.filter((w) => w.severity !== 'stop').length,
          ways: ways.length,
          tried: ways.filter((w) => testsOf(tests, connectorId, deviceId, w.way).length > 0).length,
        });
      }
      tell(i + 1);
    }
    return { cells, lines, next: nextTests(rows, devices, tests) satisfies NextTest[] };
  },
};
export type WaysWorker = typeof api;
expose(api);
