import { usualLoad, type Connector, type Device, type Job } from '../gear/index.ts';
import { judgeTestedWays } from './own-tests.ts';
import { testsOf, type WayTest } from './way-test.ts';
import { seatKind } from './way.ts';
import type { WayReport } from './ways.ts';

/** One cell of the connector map: a connector in a device, all its ways for a job, best first. */
export interface WayCell {
  readonly connectorId: string;
  readonly deviceId: string;
  readonly ways: readonly WayReport[];
}

/** One row of the connector map: a connector in every device. */
export const wayRow = (
  job: Job,
  massKg: number,
  connector: Connector,
  devices: readonly Device[],
  tests: readonly WayTest[],
): WayCell[] =>
  devices.map((device) => ({
    connectorId: connector.id,
    deviceId: device.id,
    ways: judgeTestedWays({ load: usualLoad(job, massKg), connector, device }, tests),
  }));

export interface NextTest {
  readonly connectorId: string;
  readonly deviceId: string;
  readonly way: WayReport['way'];
  readonly severity: WayReport['severity'];
  /** Load that the job can bring over the strength left in the worst case; Infinity when that strength is not known. */
  readonly risk: number;
}

/** As many as one tries in an evening. */
const NEXT_TESTS = 8;

/**
 * What to try next on the ground, riskiest first: ways that nobody has tried, where trying can tell something. Not
 * proposed are ways that do not pass, and those that are a *stop* already. Unknown geometry comes before doubtful
 * geometry, doubtful before good, and among equals the higher load over strength left.
 */
export function nextTests(
  cells: readonly WayCell[],
  devices: readonly Device[],
  tests: readonly WayTest[],
): NextTest[] {
  const byId = new Map(devices.map((d) => [d.id, d]));
  const order = ['untested', 'mind', 'clear'];
  return cells
    .filter(({ deviceId }) => seatKind(byId.get(deviceId)!) === 'plates')
    .flatMap(({ connectorId, deviceId, ways }) =>
      ways
        .filter((w) => w.severity !== 'stop' && testsOf(tests, connectorId, deviceId, w.way).length === 0)
        .map(({ way, severity, strengthLeftKn, loadKn }): NextTest => ({
          connectorId,
          deviceId,
          way,
          severity,
          risk: strengthLeftKn === null || strengthLeftKn.low === 0 ? Infinity : loadKn.high / strengthLeftKn.low,
        })),
    )
    .sort(
      (a, b) =>
        order.indexOf(a.severity) - order.indexOf(b.severity) ||
        (a.risk === b.risk ? 0 : b.risk - a.risk) ||
        (`${a.connectorId}/${a.deviceId}` < `${b.connectorId}/${b.deviceId}` ? -1 : 1),
    )
    .slice(0, NEXT_TESTS);
}
