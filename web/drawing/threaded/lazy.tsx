import { part } from '../../ui/part';

/** Not needed before somebody wants to see how the rope runs. */
export const Threadings = part('The drawing of the rope in the device', () =>
  import('./Threadings').then((m) => m.Threadings),
);
