import { diameterOf, type Cord, type Rope } from '../gear/index.ts';
import { HITCH_FACTS, type HitchKind } from '../friction/index.ts';
import { constant } from '../../foundations/sources/index.ts';
import { around, interval, minus, plus, scale, times, type Interval } from '../../foundations/units/index.ts';
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
  readonly kind: HitchKind;
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

/**
 * The cord loop pulled flat, end to end, mm: measured, or (cut length - bend - tails) / 2; null when neither is known.
 */
export function loopLengthMm(cord: Cord): Interval | null {
  if (cord.loopLengthMm !== null) return around(cord.loopLengthMm, LOOP_MEASURED_MM);
  if (cord.cutLengthM === null) return null;
  const cutMm = cord.cutLengthM * 1000;
  if (cord.closure === 'sewn') return scale(interval(cutMm - 40, cutMm - 20, cutMm), 0.5);
  const diameters = plus(constant('doubleFishermanBodyPerDiameter'), scale(constant('tailLengthPerDiameter'), 2));
  const usedMm = scale(diameters, diameterOf(cord).diameterMm.best);
  return scale(minus(interval(cutMm, cutMm, cutMm), usedMm), 0.5);
}

interface Laid {
  /** From wrap to wrap, in diameters of the cord: doubled cord lies side by side. */
  readonly pitchDiameters: number;
  /** Upper edge of the wraps above the connector: of the cord that the wraps leave, and the height of the coil. */
  readonly topMm: (of: { readonly restMm: number; readonly coilMm: number; readonly cordMm: number }) => number;
}
/**
 * With loop L, n wraps of length c each and coil height H = 2 n d. More wraps never lengthen the reach, since c > 2 d.
 */
const LAID: Readonly<Record<(typeof HITCH_FACTS)[HitchKind]['legs'], Laid>> = {
  // Both ends come down to the connector, from the lower and the upper edge: 2 x + H = L - n c for the leg x, and the
  // upper edge is at x + H.
  'both-edges': { pitchDiameters: 2, topMm: ({ restMm, coilMm }) => (restMm + coilMm) / 2 },
  // The bridge lies over half the coil on each side, the legs leave in the middle: upper edge at L - n c.
  middle: { pitchDiameters: 1, topMm: ({ restMm }) => restMm },
  // The legs come from the eye at the upper edge: upper edge at L - n c - H - eye.
  'upper-eye': {
    pitchDiameters: 2,
    topMm: ({ restMm, coilMm, cordMm }) => restMm - coilMm - KLEMHEIST_EYE_DIAMETERS * cordMm,
  },
};

/** Where the loaded hitch ends, above the harness. */
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
  const { pitchDiameters, topMm: topOf } = LAID[HITCH_FACTS[kind].legs];
  const perWrapMm = cordPerWrapMm(perimeterMm, pitchDiameters * cordMm);
  const coilMm = 2 * wraps * cordMm;
  const stretch = constant('loadedHitchStretch');
  const top = (loop: number) => topOf({ restMm: loop - wraps * perWrapMm, coilMm, cordMm });
  const topMm = interval(top(loopMm.low), top(loopMm.best), top(loopMm.high));
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
