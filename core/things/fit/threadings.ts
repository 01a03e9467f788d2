import { traitsOf, type Device } from '../gear/index.ts';

export const THREADING_IDS = [
  'right',
  'backwards',
  'smooth-side',
  'connector-only',
  'bight-missed',
  'one-strand',
  'load-below',
  'flipped',
  'at-gate',
  'pin-open',
  'past-bollard',
  'hitch-on-top',
  'not-in-reliever',
] as const;
export type ThreadingId = (typeof THREADING_IDS)[number];

/** One way in which the rope can lie in a device: what it looks like, what follows, and the test that shows it. */
export interface Threading {
  readonly id: ThreadingId;
  readonly label: string;
  readonly happens: string;
  readonly test: string;
}

/**
 * How a device is used where that changes the way of the rope: braking by hand, or as a plate at the anchor that grips
 * by itself.
 */
export type ThreadingMode = 'brakes' | 'guides';

const PULL = 'Brake hand on, pull sharply at the load strand.';

const right = (happens: string, test = `${PULL} It holds.`): Threading => ({
  id: 'right',
  label: 'As it is meant to be',
  happens,
  test,
});
const connectorOnly: Threading = {
  id: 'connector-only',
  label: 'Around the connector only',
  happens: 'The device does nothing; only the rope over the carabiner brakes.',
  test: `${PULL} The rope runs, and the device does not move with it.`,
};
const oneStrand: Threading = {
  id: 'one-strand',
  label: 'Only one of two strands',
  happens: 'On two strands the one that is not in the device is pulled through the anchor, and you fall.',
  test: 'Count the strands above the device and below it: two and two. Then load it while something else still holds you.',
};
const bightMissed: Threading = {
  id: 'bight-missed',
  label: 'The connector misses the bight',
  happens: 'The bight pulls out of the device as soon as you weight it.',
  test: `Look for the rope around the connector. ${PULL} The bight comes out.`,
};

const TUBE: readonly Threading[] = [
  right('The rope turns around the connector and over the lip to the brake hand.'),
  bightMissed,
  connectorOnly,
  oneStrand,
];
const GROOVED: readonly Threading[] = [
  ...TUBE,
  {
    id: 'smooth-side',
    label: 'Brake strand over the smooth side',
    happens: 'The grooves lie unused on the side of the load, and the hand has to pull much harder.',
    test: 'Look where the brake strand leaves the device: it lies in the grooves.',
  },
];
const GUIDE: readonly Threading[] = [
  right(
    'The loaded strand lies above and presses on the brake strand.',
    'Let go with the brake hand, kept ready: pull hard on the second’s strand. Nothing moves. The same for each strand alone.',
  ),
  {
    id: 'load-below',
    label: 'Loaded strand below',
    happens: 'Nothing presses on the brake strand: the second is not held.',
    test: 'Hand off: pull at the second’s strand. The rope runs.',
  },
  bightMissed,
];
const CAM: readonly Threading[] = [
  right('The load turns the cam, and the cam presses the rope.'),
  {
    id: 'backwards',
    label: 'The other way round',
    happens: 'The load pulls on the brake side: the cam is not turned and the rope runs.',
    test: `${PULL} It does not lock.`,
  },
  connectorOnly,
];
const EIGHT: readonly Threading[] = [
  right('The bight goes through the large ring and around the neck.'),
  {
    id: 'flipped',
    label: 'Flipped over the large ring',
    happens: 'The rope has flipped over the big ring and locked: a girth hitch. You are stuck until you can unload it.',
    test: 'Keep the rope over the neck tight while you load it, and look at it before you lean out.',
  },
  connectorOnly,
  oneStrand,
];
const EARED: readonly Threading[] = EIGHT.filter((t) => t.id !== 'flipped');
const MUNTER: readonly Threading[] = [
  right(
    'The rope turns around itself on the broad end; both strands come out of the same side.',
    'Pull at one strand and then at the other: the hitch flips over and holds each time.',
  ),
  {
    id: 'connector-only',
    label: 'One turn around the connector only',
    happens: 'The rope does not cross itself: it brakes no more than a plain carabiner.',
    test: 'Pull at one strand and then at the other: nothing flips over, the rope runs.',
  },
  {
    id: 'at-gate',
    label: 'Brake strand at the gate',
    happens: 'Rope running over a screw gate can unscrew it.',
    test: 'Look where the brake strand lies: at the spine, on the side away from the gate.',
  },
];
const PLATE: readonly Threading[] = [
  right('The rope runs through both holes and around the body to the brake hand.'),
  {
    id: 'backwards',
    label: 'The other way round',
    happens: 'The load comes in on the side of the brake strand, and the turn around the body is missing.',
    test: `${PULL} It brakes less, and the plate turns over.`,
  },
  connectorOnly,
];

/**
 * A bollard device is threaded top first, so that it hangs by itself before the rest is closed; every pin is seen and
 * pushed.
 */
const BOLLARD: readonly Threading[] = [
  right(
    'The line runs in at the top beside the upper pin, across the arm and around the lower bollard. The places to look at: 1 the upper pin, 2 the bollard, 3 the lower pin.',
    'Push every pin with the thumb: none moves. Connector through the lower eye, gate moved twice. Then hang in it a hand’s width up: it sets like a hitch.',
  ),
  {
    id: 'pin-open',
    label: 'A pin is not home',
    happens: 'The side plate opens under load, and the line comes out sideways.',
    test: 'Push each pin and look at it from the other side: one stands out, or gives way.',
  },
  {
    id: 'past-bollard',
    label: 'Past the lower bollard',
    happens: 'The line is not bent: the device slides down it and holds next to nothing.',
    test: 'Hang in it a hand’s width up: it runs. Seen from the side the line is straight.',
  },
  {
    id: 'backwards',
    label: 'Upside down',
    happens: 'It grips when it is pushed up and runs when it is loaded.',
    test: 'Pull it down by the lower eye: it slides. The eye for the connector is above.',
  },
];
/** A friction hitch on a line that does not move, with something above it that takes part of the weight. */
const RELIEVER: readonly Threading[] = [
  right(
    'The line is bent in the reliever above, and the hitch below it carries the rest; a short tether keeps both together.',
    'Hang in it a hand’s width up: the reliever tilts, the hitch grips, and can be moved again with one hand.',
  ),
  {
    id: 'hitch-on-top',
    label: 'The hitch above the reliever',
    happens: 'The hitch carries everything, heats and binds; the reliever below it is not loaded.',
    test: 'Hang in it: the reliever hangs loose and does not tilt.',
  },
  {
    id: 'not-in-reliever',
    label: 'The line beside the reliever',
    happens: 'A hitch alone carries a whole person: it binds, and going down it glazes.',
    test: 'Follow the line with a finger from above: it does not pass through the reliever.',
  },
];

/**
 * The ways of a rope through a device of this family, the right one first; none where nobody belays or brakes with it.
 */
export function threadingsOf(family: Device['family'], mode: ThreadingMode = 'brakes'): readonly Threading[] {
  const { guideMode, brake, turningCam, tied, tuned } = traitsOf(family);
  if (mode === 'guides') return guideMode ? GUIDE : [];
  if (tied) return MUNTER;
  if (turningCam) return CAM;
  if (brake === 'grooved-tube') return GROOVED;
  if (brake === 'tube') return TUBE;
  if (brake === 'eight') return family === 'eared-eight' ? EARED : EIGHT;
  if (tuned) return BOLLARD;
  if (family === 'hitch-reliever') return RELIEVER;
  return brake === 'plate' ? PLATE : [];
}
