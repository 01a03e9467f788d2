import type { PartId } from '../finding/index.ts';
import type { Declaration, Device, Job, Rope } from '../gear/index.ts';

/** One rope in one device for one job: what every rule of fit looks at. */
export interface RopeInDeviceInput {
  readonly job: Job;
  readonly strands: Declaration['strands'];
  readonly rope: Rope;
  /** Which strand of the set-up this rope is. */
  readonly part: PartId;
  readonly device: Device;
}
