import { traitsOf, type Device } from '../gear/index.ts';

type StepView =
  | 'bollard-upper'
  | 'bollard-around'
  | 'bollard-lower'
  | 'bollard-eye'
  | 'bollard-try'
  | 'reliever-in'
  | 'reliever-hitch'
  | 'reliever-tether'
  | 'reliever-eye'
  | 'reliever-try';

/** One step of putting a device on the rope, with what must be seen before the next one. */
export interface ThreadingStep {
  readonly view: StepView;
  readonly does: string;
  readonly see: string;
}

/**
 * Top first, so that the device hangs by itself while both hands close the rest. Common practice; how its maker shows
 * it comes first.
 */
const BOLLARD: readonly ThreadingStep[] = [
  {
    view: 'bollard-upper',
    does: 'Device upright. Pull the upper pin out, lay the line in beside the arm, push the pin home.',
    see: 'The pin is flush on both sides, its head away from your palm. The device hangs on the rope on its own.',
  },
  {
    view: 'bollard-around',
    does: 'Side plate open: lay the line behind the arm and around the lower bollard.',
    see: 'The line is bent twice, and lies flat on the bollard.',
  },
  {
    view: 'bollard-lower',
    does: 'Shut the side plate, push the lower pin home, turn the pulley until it drops in.',
    see: 'The pin stands out on neither side, the plate lifts nowhere, the pulley turns no more.',
  },
  {
    view: 'bollard-eye',
    does: 'Connector through the lower eye, and lock it.',
    see: 'Gate moved twice: shut and locked. It goes through the eye, not beside it.',
  },
  {
    view: 'bollard-try',
    does: 'Push every pin once more. Hang in it a hand’s width up: hands off, down, stop.',
    see: 'No pin moves. It sets like a hitch, every time.',
  },
];

/** What takes part of the weight comes first; the hitch is tied below it. */
const RELIEVER: readonly ThreadingStep[] = [
  {
    view: 'reliever-in',
    does: 'Lay the line into the reliever and close it.',
    see: 'The line is bent between its two bars; pin or gate is shut.',
  },
  {
    view: 'reliever-hitch',
    does: 'Tie the hitch below it, and dress it.',
    see: 'Wraps side by side, none crossed; both legs alike long.',
  },
  {
    view: 'reliever-tether',
    does: 'Short tether between reliever and hitch.',
    see: 'No longer than a hand: the two cannot come apart.',
  },
  {
    view: 'reliever-eye',
    does: 'Both legs of the hitch into the connector, and lock it.',
    see: 'Gate moved twice: shut and locked. Both eyes are in it.',
  },
  {
    view: 'reliever-try',
    does: 'Hang in it a hand’s width up: hands off, down, stop.',
    see: 'The reliever tilts, the hitch grips, and one hand moves it again.',
  },
];

/** How a device with several parts is put on the rope, step by step; none where it is one movement. */
export function threadingSteps(family: Device['family']): readonly ThreadingStep[] {
  if (traitsOf(family).tuned) return BOLLARD;
  return family === 'hitch-reliever' ? RELIEVER : [];
}
