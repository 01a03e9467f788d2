import { unparse } from 'papaparse';
import { fitRow } from '@core/things/fit';
import { METRIC, renderFinding } from '@core/foundations/finding';
import { JOBS, type Device, type Job, type Rope } from '@core/things/gear';

/** The fit map as CSV (RFC 4180), one line per pair; numbers in mm whatever the units on the screen. */
export function fitCsv(job: Job, ropes: readonly Rope[], devices: readonly Device[]): string {
  const deviceName = new Map(devices.map((d) => [d.id, d.name]));
  const cells = ropes.flatMap((rope) => fitRow(job, rope, devices).map((cell) => ({ ...cell, rope: rope.name })));
  return unparse(
    cells.map(({ rope, deviceId, severity, marginMm, findings }) => ({
      job: JOBS[job],
      rope,
      device: deviceName.get(deviceId) ?? deviceId,
      verdict: severity,
      margin_mm: marginMm === null ? '' : Number(marginMm.toFixed(3)),
      codes: findings.map((f) => f.code).join(' '),
      says: renderFinding(findings[0]!, METRIC).says,
    })),
    // A name that begins like a formula would be run by a spreadsheet.
    { newline: '\r\n', escapeFormulae: true },
  );
}
