import { fact, flag, is, lane, never, not, procedure, step, to, wrong } from '../build.ts';
import { callFacts, callGoing, lanyardFact, lanyardLane, lanyardOff, lanyardOn } from './common.ts';

/** What the rope may be held by and still carry. */
const HELD = ['tied', 'blocked'] as const;

export const singleRappel = procedure({
  id: 'single-rappel',
  title: 'Set up and descend one strand',
  purpose:
    'From flat ground above the edge: the rope tied to the anchor, or blocked at the rings (knot block) so that you can pull it down.',
  lanes: [
    lanyardLane,
    lane('device', 'Device', [[is('device.rope', 'main'), is('rope.held', ...HELD)]]),
    lane('hitch', 'Hitch', [[is('hitch.clear'), is('device.on'), is('device.rope', 'main'), is('rope.held', ...HELD)]]),
  ],
  variants: [
    {
      id: 'held',
      label: 'Rope',
      options: { blocked: 'Blocked at the rings, pulled down', tied: 'Tied to the anchor' },
    },
  ],
  variables: [
    lanyardFact,
    fact('rope.held', ['loose', 'tied', 'blocked', 'wrong-side'], {
      tied: 'the rope is tied to the anchor, the knot finished and drawn tight',
      blocked: 'the knot lies against the rings when the strand you go down is pulled',
    }),
    flag('rope.backup', 'a locked connector goes through the knot and around the strand you go down'),
    fact('ends', ['open', 'closed'], {
      closed: 'the end of the strand you go down is knotted',
      open: 'the end is free of knots',
    }),
    flag('rope.down', 'the strand hangs down to the ground'),
    fact('device.rope', ['none', 'main', 'other'], { main: 'the strand that is held runs through the device' }),
    flag('hitch.clear', 'loaded and with the knee up, the hitch stays clear of the device'),
    flag('going'),
    ...callFacts,
    flag('pulled'),
  ],
  invariants: [
    never('end', 'fall', 'The end without a knot runs through the device.', is('going'), is('ends', 'open')),
    never(
      'slip',
      'fall',
      'The knot is drawn through the rings and nothing stops it.',
      is('going'),
      is('rope.held', 'blocked'),
      is('rope.backup', 'no'),
    ),
    never(
      'jam',
      'stranded',
      'A knot in the end jams at the rings: the rope stays up.',
      is('pulled'),
      is('ends', 'closed'),
    ),
  ],
  steps: [
    ...lanyardOn(),
    step('edge', 'Step to the edge.', 'You stand where you can reach the anchor; nothing loose lies about.', {
      can: [is('where', 'ground'), is('down', 'no')],
      sets: [to('where', 'up'), to('weight', 'lanyard', is('lanyard.on'))],
    }),
    step(
      'rope-fasten',
      'Tie the rope to the anchor, dress the knot and pull it tight.',
      'Knot finished, long tail, on every point of the anchor.',
      {
        only: { held: 'tied' },
        can: [is('where', 'up'), is('rope.held', 'loose')],
        sets: [to('rope.held', 'tied')],
        wrongs: [wrong('unfinished', 'the knot is not finished')],
      },
    ),
    step(
      'rope-block',
      'Pass the rope through the rings, tie the knot on the strand that will be pulled, and draw it against the rings.',
      'Pull hard at the strand you go down: the knot comes up against the rings and stays.',
      {
        only: { held: 'blocked' },
        can: [is('where', 'up'), is('rope.held', 'loose')],
        sets: [to('rope.held', 'blocked')],
        wrongs: [wrong('wrong-side', 'the knot sits on the strand you go down', to('rope.held', 'wrong-side'))],
      },
    ),
    step(
      'rope-clip',
      'Clip a locking connector through the knot and around the strand you go down, and lock it.',
      'Connector locked; it holds the knot to the strand you go down.',
      {
        only: { held: 'blocked' },
        can: [not('rope.held', 'loose'), is('lanyard.on'), not('weight', 'device', 'hitch')],
        sets: [to('rope.backup', 'yes')],
      },
    ),
    step('end-knot', 'Knot the end of the strand you go down.', 'A stopper with a long tail, pulled tight.', {
      can: [is('rope.down', 'no')],
      sets: [to('ends', 'closed')],
    }),
    step('throw', 'Look, call “Rope!”, wait, and throw the rope.', 'Nobody below; the end lies on the ground.', {
      can: [is('where', 'up'), not('rope.held', 'loose')],
      sets: [to('rope.down', 'yes')],
    }),
    step(
      'device-thread',
      'Put the device on that strand, on the extension.',
      'The strand that is held, in the device as its maker shows; the connector catches rope and retaining loop.',
      {
        can: [is('rope.down'), is('device.on', 'no')],
        sets: [to('device.on', 'yes'), to('device.rope', 'main')],
        wrongs: [
          wrong('other', 'it is on the strand that will be pulled', to('device.on', 'yes'), to('device.rope', 'other')),
        ],
      },
    ),
    step('device-lock', 'Lock the device connector.', 'Gate shut and locked, away from rope and rock.', {
      can: [is('device.on')],
      sets: [to('device.locked', 'yes')],
    }),
    step(
      'hitch-tie',
      'Tie the hitch around the strand below the device, one wrap more than on two, and clip both its ends.',
      'Wraps lie side by side; loaded it stays clear of the device, also with the knee up.',
      {
        can: [is('rope.down'), is('hitch.on', 'no')],
        sets: [to('hitch.on', 'yes'), to('hitch.clear', 'yes')],
        wrongs: [wrong('too-long', 'its loop is long enough to reach the device', to('hitch.on', 'yes'))],
      },
    ),
    step('hitch-lock', 'Lock the hitch connector.', 'Gate shut and locked; both ends of the loop in it.', {
      can: [is('hitch.on')],
      sets: [to('hitch.locked', 'yes')],
    }),
    step(
      'device-weigh',
      'Sit on the device, brake hand on, while the lanyard is still there.',
      'The rope is tight above the device and did not move at the anchor; the lanyard hangs slack.',
      { can: [is('device.on')], tests: 'device' },
    ),
    step(
      'hitch-test',
      'With the lanyard still clipped and slack, let the hitch grip and take your brake hand off.',
      'The hitch holds without the hand, and lets go again when it is pushed.',
      { can: [is('hitch.on'), not('weight', 'feet')], tests: 'hitch', carries: 'device' },
    ),
    lanyardOff(
      'Unclip the lanyard and stow it.',
      'You hang on the device, hand on the strand; hitch and device were both tried.',
      2,
    ),
    callGoing(
      'Call that you are going, and hear the answer.',
      'Partner answers; hair, straps and gloves are clear of the device.',
    ),
    step(
      'go',
      'Rappel smoothly. Brake hand on the rope; the other hand pushes the hitch from above and never grips it.',
      'You see the end before you reach it.',
      {
        can: [is('lanyard.on', 'no'), is('weight', 'device'), is('called')],
        sets: [to('going', 'yes')],
      },
    ),
    step('ground', 'Stand on the ground and take device and hitch off.', 'You are clear of falling rock.', {
      can: [is('going')],
      sets: [
        to('where', 'ground'),
        to('weight', 'feet'),
        to('device.on', 'no'),
        to('hitch.on', 'no'),
        to('going', 'no'),
        to('down', 'yes'),
      ],
      mustHold: 0,
    }),
    step('call-off', 'Call that the rope is free.', 'Partner has heard it.', { can: [is('down')] }),
    step('end-untie', 'Take the knot out of the end.', 'The end is free of knots and twists.', {
      only: { held: 'blocked' },
      can: [is('down')],
      sets: [to('ends', 'open')],
    }),
    step('pull', 'Pull the other strand down, out of its fall; the knot comes with it.', 'It runs.', {
      only: { held: 'blocked' },
      can: [is('down')],
      sets: [to('pulled', 'yes')],
    }),
  ],
});
