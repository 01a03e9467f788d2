import type { Setup } from '../rig/index.ts';
import { rappelDouble, rappelDoubleFaulty } from './setups.ts';

export * as club from './club.ts';
export { demoWorkspace } from './demo-workspace.ts';
export { FAULTY_CODES, rappelDouble, rappelDoubleFaulty } from './setups.ts';

/** Set-ups to start from, by the name used on the command line. */
export const SAMPLES: Readonly<Record<string, Setup>> = {
  'rappel-double': rappelDouble,
  'rappel-double-faulty': rappelDoubleFaulty,
};
