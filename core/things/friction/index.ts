export { brakeForceN, handForceN, type BrakeForceInput } from './brake-force.ts';
export {
  brakeFigures,
  brakeHand,
  brakeOf,
  type BrakeFigures,
  type BrakeHandInput,
  type BrakePoint,
} from './brake-hand.ts';
export { capstanRatio, effectiveAngleRad, type Contact } from './capstan.ts';
export { frictionShifts, sheathOfBoth, type Conditions, type FrictionShift, type Weather } from './conditions.ts';
export { deviceExponent, type DeviceExponentInput } from './device-exponent.ts';
export { hitchFindings, hitchOnRope, type HitchInput } from './hitch-findings.ts';
export { HITCH_FACTS, HITCHES, type HitchKind } from './hitch-kinds.ts';
export { bite, cordStrengthKn, hitchGripMargin, type HitchGripInput } from './hitch-grip.ts';
export { tubeExponent, type TubeInput } from './tube.ts';
