import type { ElementId } from '../../foundations/finding/index.ts';
import type { Device, Rope, UseCase } from '../gear/index.ts';

/** One rope in one device for one use: what every rule of fit looks at. */
export interface RopeInDeviceInput {
  readonly load: UseCase;
  readonly rope: Rope;
  /** Which strand of the set-up this rope is. */
  readonly part: ElementId;
  readonly device: Device;
}
