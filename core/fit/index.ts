export { ropeInDevice, type RopeInDeviceInput } from './rope-in-device.ts';
export { strandsAlike } from './strands-alike.ts';
