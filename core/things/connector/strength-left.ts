import type { Connector, Device } from '../gear/index.ts';
import { threshold } from '../../foundations/sources/index.ts';
import { interval, type Interval } from '../../foundations/units/index.ts';
import { endMeasures, seatThicknessMm } from './clearance.ts';
import { seatKind, type Way } from './way.ts';

/** Share of the load that a part of this width holds off the spine of this end, 0 to 1; 0 where not measured. */
export function offSpineShare(connector: Connector, device: Device, end: Way['end']): number {
  const { insideWidthMm } = endMeasures(connector, end);
  const thicknessMm = seatKind(device) === 'plates' ? seatThicknessMm(device) : null;
  if (insideWidthMm === null || thicknessMm === null) return 0;
  const barMm = threshold('testBarRadiusMm');
  if (insideWidthMm <= barMm) return 0;
  // The middle of the part lies half its width from the spine; the bars of the test lie their radius from it.
  return Math.min(1, Math.max(0, (thicknessMm / 2 - barMm) / (insideWidthMm - barMm)));
}

/** Strength along with this share of the load held off the spine, kN; never below gate-open, whatever rounding does. */
export const alongKn = (majorKn: number, openKn: number | null, share: number): number =>
  openKn === null || openKn >= majorKn ? majorKn : Math.max(openKn, majorKn - share * (majorKn - openKn));

/**
 * Strength left, kN. Along the spine: between gate-open and full strength by the share held off the spine. Worst: what
 * is left when it settles across, or when the gate is gone. null when the strength along is not entered.
 * @param gateDoubtful something can open the gate or load it like a lever.
 */
export function strengthLeftKn(
  connector: Connector,
  device: Device,
  end: Way['end'],
  gateDoubtful: boolean,
): Interval | null {
  const { strengthMajorKn: major, strengthMinorKn: minor, strengthOpenKn: open, keeper } = connector;
  if (major === null) return null;
  const along = alongKn(major, open, offSpineShare(connector, device, end));
  const worst = Math.min(along, keeper === 'yes' ? along : (minor ?? along), gateDoubtful ? (open ?? 0) : along);
  return interval(worst, along, major);
}
