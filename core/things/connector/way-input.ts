import type { Connector, Device, LoadCase } from '../gear/index.ts';

/** One connector in one device under one load: what every way is judged by. */
export interface WayInput {
  readonly load: LoadCase;
  readonly connector: Connector;
  readonly device: Device;
}
