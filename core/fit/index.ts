export { fitCell, fitRow, type FitCell } from './fit-map.ts';
export { ropeInDevice } from './rope-in-device.ts';
export type { RopeInDeviceInput } from './rope-in-device-input.ts';
export { strandsAlike } from './strands-alike.ts';
