import { overall, worstFirst, type Finding, type Severity } from '../../foundations/finding/index.ts';
import type { Connector, Device } from '../gear/index.ts';
import type { Interval } from '../../foundations/units/index.ts';
import { endMeasures, holeNeededMm, seatThicknessMm } from './clearance.ts';
import { jobLoadKn } from './job-load.ts';
import { strengthLeftKn } from './strength-left.ts';
import { waysOf, type Way } from './way.ts';
import type { WayInput } from './way-input.ts';
import { clippingFindings } from './way-clipping.ts';
import { loadFindings } from './way-load.ts';

export interface WayReport {
  readonly way: Way;
  readonly severity: Severity;
  /** Worst first; never empty. */
  readonly findings: readonly Finding[];
  /**
   * Hole less what the bent stock needs, mm; negative when it does not pass, null where not measured or where rope is
   * the seat.
   */
  readonly playMm: number | null;
  /** Strength left in kN: low is the worst that this way allows; null where not entered. */
  readonly strengthLeftKn: Interval | null;
  readonly loadKn: Interval;
}

/** Hole less what the bent stock of this end needs, mm; null where not measured. */
export function playMm(connector: Connector, device: Device, end: Way['end']): number | null {
  const { insideWidthMm, stockMm } = endMeasures(connector, end);
  const thicknessMm = seatThicknessMm(device);
  if (insideWidthMm === null || stockMm === null || thicknessMm === null || device.eyeMm === null) return null;
  return device.eyeMm - holeNeededMm(insideWidthMm, stockMm, thicknessMm);
}

/** Judges one way. */
export function judgeWay(input: WayInput, way: Way): WayReport {
  const { connector, device } = input;
  const loadKn = jobLoadKn(input.load, device);
  const clipping = clippingFindings(input, way, loadKn);
  const findings = worstFirst([...clipping, ...loadFindings(input, way, loadKn)]);
  return {
    way,
    severity: overall(findings),
    findings,
    playMm: playMm(connector, device, way.end),
    strengthLeftKn: strengthLeftKn(
      connector,
      device,
      way.end,
      clipping.some((f) => f.code === 'connector.sleeve-enters' || f.code === 'connector.rope-unscrews'),
    ),
    loadKn,
  };
}

const RANK: readonly Severity[] = ['clear', 'untested', 'mind', 'stop'];
const counts = (findings: readonly Finding[]) =>
  [...RANK]
    .reverse()
    .slice(0, 3)
    .map((s) => findings.filter((f) => f.severity === s).length);

/**
 * Better first: fewer findings of the worst kinds, then more strength left in the worst case, then the order of
 * `waysOf`.
 */
export function compareWays(a: WayReport, b: WayReport): number {
  // Worst kinds first: stop, mind, untested.
  const [x, y] = [counts(a.findings), counts(b.findings)];
  for (let i = 0; i < x.length; i += 1) if (x[i] !== y[i]) return x[i]! - y[i]!;
  return (b.strengthLeftKn?.low ?? -1) - (a.strengthLeftKn?.low ?? -1);
}

/** All ways to clip this connector into this device for this job, best first. */
export const judgeWays = (input: WayInput): WayReport[] =>
  waysOf(input.connector, input.device)
    .map((way) => judgeWay(input, way))
    .sort(compareWays);
