import type { Severity } from '../../foundations/finding/index.ts';
import { diameterOf, type Declaration, type Rope } from '../gear/index.ts';
import type { RopeInDeviceInput } from './rope-in-device-input.ts';

/**
 * A rope against a declared range. Ranges are declared for the diameter on the label, so a label inside is inside; a
 * measured one counts with its uncertainty: *mind* where its best value is outside, *not tested* where only an end of
 * it is.
 */
export function inRange(rope: Rope, { minDiameterMm: min, maxDiameterMm: max }: Declaration): Severity {
  const { diameterMm, measured } = diameterOf(rope);
  if (diameterMm.high < min || diameterMm.low > max) return 'stop';
  const outside = diameterMm.best < min || diameterMm.best > max;
  if (!measured) return outside ? 'untested' : 'clear';
  if (outside) return 'mind';
  return diameterMm.low < min || diameterMm.high > max ? 'untested' : 'clear';
}

/** Declarations for this use that accept this kind of rope. */
export const accepting = ({ device, rope, load }: RopeInDeviceInput): readonly Declaration[] =>
  device.declarations.filter(
    (d) => d.job === load.use && d.strands === load.strands && d.constructions.includes(rope.construction),
  );

/**
 * The maker has declared this device for this rope: what is usual of the family says nothing more about its diameter.
 */
export const isDeclared = (input: RopeInDeviceInput): boolean =>
  accepting(input).some((d) => inRange(input.rope, d) === 'clear');
