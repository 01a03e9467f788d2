import { traitsOf, type Device } from '../gear/index.ts';

export const GRIP_IDS = [
  'right',
  'above-line',
  'beside-load',
  'too-near',
  'swapped',
  'around-cam',
  'thumb-stays',
  'lever-only',
] as const;
export type GripId = (typeof GRIP_IDS)[number];

/**
 * One way in which hands hold a device and its rope: what follows, and how it is noticed. Common practice,
 * `practice-brake-hand`.
 */
export interface Grip {
  readonly id: GripId;
  readonly label: string;
  readonly happens: string;
  readonly notice: string;
  /**
   * Of a braking that is computed: the brake strand away from the loaded one in this grip, 180 straight opposite, 0
   * beside it. Absent: the grip is not one of angle.
   */
  readonly brakeAngleDeg?: 0 | 180;
}

const right: Grip = {
  id: 'right',
  label: 'Below the device line',
  happens: 'The whole hand is closed around the brake strand, well below the device.',
  notice: 'Thumb around the strand, a forearm between hand and device, and the strand bent over the device.',
  brakeAngleDeg: 180,
};
const aboveLine: Grip = {
  id: 'above-line',
  label: 'Above the device line',
  happens: 'The brake strand runs beside the load strand: the rope bends half as much and much of the braking is lost.',
  notice: 'The brake strand makes no bend at the lip.',
  brakeAngleDeg: 0,
};
const tooNear: Grip = {
  id: 'too-near',
  label: 'Close to the device',
  happens: 'When rope runs, skin is drawn into the device, and the hand lets go.',
  notice: 'Less than about 15 cm between hand and device.',
};
const swapped: Grip = {
  id: 'swapped',
  label: 'Hands change over',
  happens: 'For a moment no hand is on the brake strand. A fall in that moment is not held.',
  notice: 'The brake hand opens before the other one is closed below it.',
};
const camRight: Grip = {
  ...right,
  label: 'Brake strand in the hand',
  notice: 'Three fingers and the palm on the brake strand, whatever thumb and forefinger do.',
};
const AROUND: Grip = {
  id: 'around-cam',
  label: 'Hand closed around the device',
  happens: 'A hand that is startled grips harder, keeps the cam from turning, and the rope runs.',
  notice: 'Fingers over the cam, or a jacket, a strap or the rock against it.',
};
const THUMB: Grip = {
  id: 'thumb-stays',
  label: 'Thumb left on the cam',
  happens: 'While it is pressed the device does not hold, and the loaded strand is the only one that is gripped.',
  notice: 'The thumb stays for more than the moment in which rope is pulled out.',
};
const LEVER: Grip = {
  id: 'lever-only',
  label: 'Lever without the brake strand',
  happens:
    'The lever opens the device and no hand is braking. A frightened person pulls harder; only some levers then stop the rope.',
  notice: 'Lowering with the lever in one hand and nothing in the other.',
};
const munterRight: Grip = {
  ...right,
  label: 'Brake strand beside the loaded one',
  happens: 'With both strands parallel a Munter hitch turns the rope the most.',
  notice: 'The hand holds the brake strand on the side of the load, closed around it.',
  brakeAngleDeg: 0,
};
const munterApart: Grip = {
  id: 'beside-load',
  label: 'Brake strand led away',
  happens: 'Away from the loaded strand the hitch turns the rope less, the other way round than a tube does.',
  notice: 'Both strands leave the hitch in opposite directions.',
  brakeAngleDeg: 180,
};

/** The right grip first, then the wrong ones that belong to this family; empty where no hand brakes. */
export function gripsOf(family: Device['family']): readonly Grip[] {
  const { brake, turningCam, goesDown } = traitsOf(family);
  if (turningCam && goesDown && brake === null) return [camRight, AROUND, THUMB, LEVER];
  if (brake === 'munter') return [munterRight, munterApart, tooNear, swapped];
  return brake === null ? [] : [right, aboveLine, tooNear, swapped];
}
