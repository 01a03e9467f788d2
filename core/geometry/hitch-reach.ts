import { diameterOf, type Cord, type Rope } from '../gear/index.ts';
import { constant } from '../sources/index.ts';
import { around, interval, minus, plus, scale, times, type Interval } from '../units/index.ts';
import { cordPerWrapMm, wrapPerimeterMm } from './wrap-length.ts';

/** Tape-measure uncertainty of a loop that was measured, mm. */
const LOOP_MEASURED_MM = 10;
/** A klemheist passes through its own eye, which takes about this many cord diameters. */
const KLEMHEIST_EYE_DIAMETERS = 3;

export interface HitchReachInput {
  readonly cord: Cord;
  readonly ropeA: Rope;
  readonly ropeB: Rope | null;
  /** Strands that it is tied around; two when left out. */
  readonly strands?: 'one' | 'two';
  readonly kind: 'autoblock' | 'prusik' | 'klemheist';
  readonly wraps: number;
  /** From the harness to the bar that the cord hangs on, mm: inside length of the connector. */
  readonly connectorInsideLengthMm: number;
}

export interface HitchReach {
  /** From the harness to the upper edge of the loaded wraps, mm. What must stay below the device. */
  readonly reachMm: Interval;
  /** Height of the wraps along the rope, mm. */
  readonly coilMm: number;
  /** Cord between the connector and the lower edge of the wraps, mm; negative when the cord is too short. */
  readonly legMm: Interval;
  readonly loopMm: Interval;
  readonly perWrapMm: number;
}

/** The cord loop pulled flat, end to end, mm: measured, or (cut length - bend - tails) / 2; null when neither is known. */
export function loopLengthMm(cord: Cord): Interval | null {
  if (cord.loopLengthMm !== null) return around(cord.loopLengthMm, LOOP_MEASURED_MM);
  if (cord.cutLengthM === null) return null;
  const cutMm = cord.cutLengthM * 1000;
  if (cord.closure === 'sewn') return scale(interval(cutMm - 40, cutMm - 20, cutMm), 0.5);
  const diameters = plus(constant('doubleFishermanBodyPerDiameter'), scale(constant('tailLengthPerDiameter'), 2));
  const usedMm = scale(diameters, diameterOf(cord).diameterMm.best);
  return scale(minus(interval(cutMm, cutMm, cutMm), usedMm), 0.5);
}

/**
 * Where the loaded hitch ends, above the harness. Derivation, with loop L, n wraps of length c each and coil height H = 2 n d:
 * - autoblock: both ends come down to the connector, from the lower and the upper edge, so 2 x + H = L - n c for the leg x,
 *   and the upper edge is at x + H = (L - n c + H) / 2;
 * - Prusik: the bridge lies over half the coil on each side, the legs leave in the middle: upper edge at L - n c;
 * - klemheist: the legs come from the eye at the upper edge: upper edge at L - n c - H - eye.
 * Doubled cord is laid with pitch 2 d, the Prusik with pitch d. More wraps never lengthen the reach, since c > 2 d.
 */
export function hitchReach(input: HitchReachInput): HitchReach | null {
  const { cord, ropeA, ropeB, kind, wraps } = input;
  const loopMm = loopLengthMm(cord);
  if (loopMm === null) return null;
  const cordMm = diameterOf(cord).diameterMm.best;
  const perimeterMm = wrapPerimeterMm(
    cordMm,
    diameterOf(ropeA).diameterMm.best,
    input.strands === 'one' ? undefined : diameterOf(ropeB ?? ropeA).diameterMm.best,
  );
  const perWrapMm = cordPerWrapMm(perimeterMm, kind === 'prusik' ? cordMm : 2 * cordMm);
  const coilMm = 2 * wraps * cordMm;
  const stretch = constant('loadedHitchStretch');
  const topOf = (loop: number): number => {
    const rest = loop - wraps * perWrapMm;
    if (kind === 'autoblock') return (rest + coilMm) / 2;
    return kind === 'prusik' ? rest : rest - coilMm - KLEMHEIST_EYE_DIAMETERS * cordMm;
  };
  const topMm = interval(topOf(loopMm.low), topOf(loopMm.best), topOf(loopMm.high));
  const positive = interval(Math.max(0, topMm.low), Math.max(0, topMm.best), Math.max(0, topMm.high));
  const connector = input.connectorInsideLengthMm;
  return {
    reachMm: plus(times(positive, stretch), interval(connector, connector, connector)),
    coilMm,
    legMm: minus(topMm, interval(coilMm, coilMm, coilMm)),
    loopMm,
    perWrapMm,
  };
}
