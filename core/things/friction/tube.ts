import { constant } from '../../foundations/sources/index.ts';
import { exactly, interval, timesIndependent, type Interval } from '../../foundations/units/index.ts';
import { effectiveAngleRad } from './capstan.ts';
import { overPossible, shiftOf, type Conditions } from './conditions.ts';

export interface TubeInput {
  /** Brake grooves in the lip. */
  readonly grooved: boolean;
  readonly conditions: Conditions;
  /** Diameter of one strand, mm, 5 to 16; the thinner one of two. */
  readonly diameterMm: number;
  /** Second connector clipped beside the first. */
  readonly extraConnector: boolean;
  /**
   * How far the brake strand is bent over the lip of the tube, rad, 0 to pi: 0 with the hand above the device (brake
   * strand beside the loaded strand), pi with the hand straight below.
   */
  readonly lipRad: number;
}

/** Diameter at which the coefficients of friction are stated, mm. */
const REFERENCE_DIAMETER_MM = 10;

/**
 * Braking exponent of a thinner or thicker rope, relative to 10 mm. Never falls with the diameter; kept between 0.5 and
 * 1.25.
 */
export function thinness(diameterMm: number): Interval {
  const slope = constant('thinRopeSlopePerMm');
  const away = diameterMm - REFERENCE_DIAMETER_MM;
  const at = (slopePerMm: number) => Math.min(1.25, Math.max(0.5, 1 + slopePerMm * away));
  return away < 0
    ? interval(at(slope.high), at(slope.best), at(slope.low))
    : interval(at(slope.low), at(slope.best), at(slope.high));
}

/**
 * Exponent of the capstan chain of a tube: half a turn on the connector plus the bend over the lip, which grooves
 * deepen. Errors of friction, geometry and diameter are independent and combine accordingly.
 * @returns ln(T_load / T_brake), a pure number > 0.
 */
export const tubeExponent = (input: TubeInput): Interval =>
  overPossible(input.conditions, (conditions) => knownExponent({ ...input, conditions }));

function knownExponent(input: TubeInput): Interval {
  const groove = constant('grooveAngleDeg');
  const extra = input.extraConnector ? constant('extraConnectorRad') : exactly(0);
  const angle = (grooveDeg: number, extraRad: number) =>
    Math.PI + extraRad + effectiveAngleRad(input.lipRad, input.grooved ? (grooveDeg * Math.PI) / 180 : Math.PI);
  const angleRad = interval(
    angle(groove.high, extra.low),
    angle(groove.best, extra.best),
    angle(groove.low, extra.high),
  );
  return timesIndependent(constant('muRopeOnMetal'), shiftOf(input.conditions), angleRad, thinness(input.diameterMm));
}
