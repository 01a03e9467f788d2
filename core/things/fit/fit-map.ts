import { worstFirst, type Finding, type Severity } from '../../foundations/finding/index.ts';
import { diameterOf, usualUse, type Device, type Job, type Rope } from '../gear/index.ts';
import { ropeInDevice } from './rope-in-device.ts';

/** How one rope fits one device for one job, in short. */
export interface FitCell {
  readonly ropeId: string;
  readonly deviceId: string;
  readonly severity: Severity;
  /** Worst finding first; never empty. */
  readonly findings: readonly Finding[];
  /**
   * From the diameter to the nearer limit of the range it fits best, mm; negative outside. null without a declared
   * range for this kind of rope.
   */
  readonly marginMm: number | null;
}

/** The fit of one pair for a job. */
export function fitCell(job: Job, rope: Rope, device: Device): FitCell {
  const load = usualUse(job);
  const { strands } = load;
  const findings = worstFirst(ropeInDevice({ load, rope, part: 'ropeA', device }));
  const diameter = diameterOf(rope).diameterMm.best;
  const margins = device.declarations
    .filter((d) => d.job === job && d.strands === strands && d.constructions.includes(rope.construction))
    .map((d) => Math.min(diameter - d.minDiameterMm, d.maxDiameterMm - diameter));
  return {
    ropeId: rope.id,
    deviceId: device.id,
    severity: findings[0]!.severity,
    findings,
    marginMm: margins.length > 0 ? Math.max(...margins) : null,
  };
}

/** One row of the map: a rope in every device. */
export const fitRow = (job: Job, rope: Rope, devices: readonly Device[]): FitCell[] =>
  devices.map((device) => fitCell(job, rope, device));
