export { GRIP_IDS, gripsOf, type Grip, type GripId } from './grips.ts';
export { THREADING_IDS, threadingsOf, type Threading, type ThreadingId, type ThreadingMode } from './threadings.ts';
export { fitCell, fitRow, type FitCell } from './fit-map.ts';
export { ropeInDevice } from './rope-in-device.ts';
export type { RopeInDeviceInput } from './rope-in-device-input.ts';
export { schoolsFor, type School, type SchoolSide } from './schools.ts';
export { strandsAlike } from './strands-alike.ts';
export { handOffIn, inGuideMode, modesOf } from './mode.ts';
export { threadingSteps, type ThreadingStep } from './threading-steps.ts';
