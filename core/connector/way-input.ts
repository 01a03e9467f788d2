import type { Connector, Device, Job } from '../gear/index.ts';

/** One connector in one device for one job and one person: what every way is judged by. */
export interface WayInput {
  readonly job: Job;
  /** The heavier person who can hang on it, with gear, kg. */
  readonly massKg: number;
  readonly connector: Connector;
  readonly device: Device;
}
