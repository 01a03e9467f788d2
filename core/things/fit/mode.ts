import { JOB_FACTS, traitsOf, type Device, type Job } from '../gear/index.ts';

/** True when the device is used in guide mode for this job: it then holds by itself, and no hand brakes. */
export const inGuideMode = (device: Device, job: Job): boolean =>
  traitsOf(device.family).guideMode && JOB_FACTS[job].guideMode;

/** What happens in this job when the hand lets go; a guide plate used as a tube lets the rope run. */
export function handOffIn(device: Device, job: Job): ReturnType<typeof traitsOf>['handOff'] {
  const traits = traitsOf(device.family);
  return traits.guideMode && !inGuideMode(device, job) ? 'runs' : traits.handOff;
}

/**
 * Which mode, groove or threading this device is used in for this job, in a few words each; empty when there is only
 * one.
 */
export function modesOf(device: Device, job: Job): string[] {
  const traits = traitsOf(device.family);
  const modes: string[] = [];
  if (traits.guideMode) modes.push(inGuideMode(device, job) ? 'guide mode, hung by its own eye' : 'as a tube');
  if (traits.grooves)
    modes.push('the groove its instructions give for this rope', 'through the slot and around the body');
  if (traits.brake === 'eight')
    modes.push('rope up through the ring from below, or down from above: both are accepted');
  if (traits.brake === 'grooved-tube' && !inGuideMode(device, job)) modes.push('brake strand over the grooves');
  if (traits.tuned) modes.push('bollard tuned to this rope');
  if (device.handed === 'right' || device.handed === 'left') modes.push(`made for the ${device.handed} hand`);
  return modes;
}
