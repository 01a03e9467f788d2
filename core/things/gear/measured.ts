import { constant, threshold } from '../../foundations/sources/index.ts';
import { around, exactly, scale, times, type Interval } from '../../foundations/units/index.ts';
import type { Cord, Rope } from './items.ts';

/** Uncertainty of a caliper reading when the person gave none, mm. */
const CALIPER_UNCERTAINTY_MM = 0.1;

export interface DiameterReading {
  readonly diameterMm: Interval;
  /** Half-width of the interval, mm. */
  readonly uncertaintyMm: number;
  readonly measured: boolean;
}

/** Diameter to reckon with: the measured one where there is one, else the label with its larger uncertainty. */
export function diameterOf(
  item: Pick<Rope | Cord, 'nominalDiameterMm' | 'measuredDiameterMm'> & { measuringUncertaintyMm?: number | null },
): DiameterReading {
  const measured = item.measuredDiameterMm !== null;
  const uncertaintyMm = measured
    ? (item.measuringUncertaintyMm ?? CALIPER_UNCERTAINTY_MM)
    : threshold('labelDiameterUncertaintyMm');
  return {
    diameterMm: around(item.measuredDiameterMm ?? item.nominalDiameterMm, uncertaintyMm),
    uncertaintyMm,
    measured,
  };
}

/** Length of a rope, m: measured, or the label widened by what ropes shrink: a used one more than a new one. */
export function ropeLengthM(rope: Rope): Interval {
  if (rope.measuredLengthM !== null) return exactly(rope.measuredLengthM);
  return scale(constant(rope.sheath === 'new-treated' ? 'labelLengthFactor' : 'usedLengthFactor'), rope.lengthM);
}

/** Mass per metre, kg/m: declared, or estimated from the cross-section. */
export function linearDensityKgPerM(rope: Rope): Interval {
  if (rope.linearDensityGPerM !== null) return exactly(rope.linearDensityGPerM / 1000);
  const { diameterMm } = diameterOf(rope);
  return scale(times(constant('ropeMassGPerMPerMm2'), times(diameterMm, diameterMm)), 1 / 1000);
}
