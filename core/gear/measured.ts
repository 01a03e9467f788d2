import { constant, threshold, type ConstantId } from '../sources/index.ts';
import {
  around,
  exactly,
  mapRising,
  scale,
  STANDARD_GRAVITY_M_PER_S2,
  times,
  type Interval,
  interval,
} from '../units/index.ts';
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

const MODULUS = {
  single: 'modulusSingleKn',
  half: 'modulusHalfKn',
  twin: 'modulusHalfKn',
  'low-stretch': 'modulusLowStretchKn',
  other: 'ropeModulusKn',
} as const satisfies Record<Rope['construction'], ConstantId>;

/** The standard fall that the impact force on the label was measured in: mass, kg, and fall factor. EN 892 and EN 1891, from memory. */
const STANDARD_FALL: Partial<Record<Rope['construction'], { readonly massKg: number; readonly factor: number }>> = {
  single: { massKg: 80, factor: 1.77 },
  half: { massKg: 55, factor: 1.77 },
  'low-stretch': { massKg: 100, factor: 0.3 },
};

/**
 * Modulus of one strand, kN: force over strain. From the impact force on the label where there is one, F = m g (1 + sqrt(1 + 2 k f / (m g)))
 * (Wexler 1950) solved for k; else by the kind of rope. Check: single, 9.0 kN: 24.1 kN; low-stretch, 6.0 kN: 41.
 */
export function ropeModulusKn({ construction, impactForceKn }: Pick<Rope, 'construction' | 'impactForceKn'>): Interval {
  const fall = STANDARD_FALL[construction];
  if (impactForceKn === null || !fall) return constant(MODULUS[construction]);
  const weightKn = (fall.massKg * STANDARD_GRAVITY_M_PER_S2) / 1000;
  return mapRising(
    around(impactForceKn, threshold('impactForceSpread') * impactForceKn),
    // Below twice the weight no spring could have caught it; such a label is read as the softest rope there is.
    (forceKn) => Math.max(1, (((forceKn / weightKn - 1) ** 2 - 1) * weightKn) / (2 * fall.factor)),
  );
}

/** Share of its length by which a rope stretches under one person who hangs still, 1; of a rope of unknown kind the whole range. */
export function staticStretch({ construction }: Pick<Rope, 'construction'>): Interval {
  const [low, dynamic] = [constant('stretchLow'), constant('stretchDynamic')];
  if (construction === 'low-stretch') return low;
  return construction === 'other' ? interval(low.low, dynamic.best, dynamic.high) : dynamic;
}

/** Mass per metre, kg/m: declared, or estimated from the cross-section. */
export function linearDensityKgPerM(rope: Rope): Interval {
  if (rope.linearDensityGPerM !== null) return exactly(rope.linearDensityGPerM / 1000);
  const { diameterMm } = diameterOf(rope);
  return scale(times(constant('ropeMassGPerMPerMm2'), times(diameterMm, diameterMm)), 1 / 1000);
}
