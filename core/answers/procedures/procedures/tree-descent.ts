import { fact, flag, is, lane, never, not, procedure, step, to, wrong } from '../build.ts';

export const treeDescent = procedure({
  id: 'tree-descent',
  title: 'From the climbing hitch to a device, in a tree',
  purpose: 'On one stationary line: the device goes on below the hitch, takes over, and the hitch stays above it.',
  lanes: [
    lane('hitch', 'Climbing hitch', [[is('hitch.held', 'free'), is('bridge', 'on')]]),
    lane('second', 'Second attachment', [[is('second.round')]]),
    lane('device', 'Device', [[is('device.way', 'right'), is('friction', 'chosen'), is('hand', 'on')]]),
  ],
  start: { where: 'ground', weight: 'feet', 'hitch.on': 'no' },
  variants: [
    {
      id: 'second',
      label: 'Second attachment',
      options: {
        stem: 'A lanyard round the stem, on its own bridge or side Ds',
        fork: 'A second line over another fork',
      },
    },
  ],
  variables: [
    flag('rehearsed', 'the change was rehearsed half a metre above the ground'),
    fact('bridge', ['on', 'off'], {
      on: 'the climbing hitch hangs on the bridge',
      off: 'the bridge is off the climbing hitch',
    }),
    fact('hitch.held', ['free', 'held'], { free: 'no hand holds the hitch', held: 'a hand holds the hitch' }),
    flag('second.round', 'the second attachment runs round wood that carries you'),
    flag('tethered', 'the device hangs on its tether'),
    flag('inHand'),
    fact('friction', ['open', 'chosen'], { chosen: 'groove and friction fit this rope and you' }),
    fact('device.way', ['off', 'right', 'wrong'], {
      right: 'the rope runs through the device as it should, brake strand down',
    }),
    fact('slack', ['much', 'none'], { none: 'no slack is left between hitch and device' }),
    fact('hand', ['off', 'on'], {
      on: 'the brake hand is on the strand below the device',
      off: 'the brake hand is off',
    }),
    flag('going'),
  ],
  invariants: [
    never(
      'drop-device',
      'dropped',
      'A device without a tether slips out of the glove and is gone.',
      is('where', 'up'),
      is('inHand'),
      is('tethered', 'no'),
    ),
    never(
      'shock',
      'drop',
      'The hitch lets go with slack below it: you drop onto the device.',
      is('weight', 'device'),
      is('slack', 'much'),
      is('where', 'up'),
    ),
    never(
      'unrehearsed',
      'untested',
      'The change was never tried low.',
      is('where', 'up'),
      is('weight', 'device'),
      is('rehearsed', 'no'),
    ),
  ],
  steps: [
    step(
      'hitch-on',
      'On the ground: hitch on the line, bridge on the hitch.',
      'Hitch dressed; bridge looked at all along.',
      { sets: [to('hitch.on', 'yes')] },
    ),
    step('hitch-lock', 'Lock the connector of the climbing hitch.', 'Gate shut, locked, moved twice.', {
      can: [is('hitch.on')],
      sets: [to('hitch.locked', 'yes')],
    }),
    step('hitch-weigh', 'Sit in the climbing hitch.', 'The climbing hitch bites at once.', {
      can: [is('hitch.on')],
      tests: 'hitch',
    }),
    step(
      'rehearse',
      'Rehearse the whole change half a metre above the ground, down to standing.',
      'Groove and friction carry you, the hand stops you, the hitch bites again.',
      {
        can: [is('where', 'ground'), is('hitch.tested')],
        sets: [to('rehearsed', 'yes')],
      },
    ),
    step('climb', 'Climb to the place of work.', 'Fork and line looked at from near.', {
      can: [is('hitch.tested'), is('hitch.locked'), is('where', 'ground'), is('device.on', 'no'), is('going', 'no')],
      sets: [to('where', 'up'), to('weight', 'hitch')],
    }),
    step('second-stem', 'Lanyard round the stem.', 'Round wood as thick as your thigh, on its own attachment.', {
      only: { second: 'stem' },
      can: [is('where', 'up')],
      sets: [to('second.on', 'yes'), to('second.round', 'yes')],
      wrongs: [wrong('twig', 'it lies round a branch that does not carry you', to('second.on', 'yes'))],
    }),
    step('second-fork', 'Second line over another fork, onto its own bridge.', 'Another fork, another bridge.', {
      only: { second: 'fork' },
      can: [is('where', 'up')],
      sets: [to('second.on', 'yes'), to('second.round', 'yes')],
      wrongs: [wrong('same', 'it lies over wood that does not carry you', to('second.on', 'yes'))],
    }),
    step('second-lock', 'Lock the connector of the second attachment.', 'Gate shut and locked.', {
      can: [is('second.on')],
      sets: [to('second.locked', 'yes')],
    }),
    step('second-weigh', 'Lean into the second attachment.', 'The second attachment carries you.', {
      can: [is('second.on')],
      tests: 'second',
    }),
    step('tether', 'Tether the device before it leaves the harness.', 'Pull at the tether.', {
      sets: [to('tethered', 'yes')],
    }),
    step('take', 'Take the device in the hand.', 'It hangs on its tether.', { sets: [to('inHand', 'yes')] }),
    step('choose', 'Choose the groove and the way of friction for this rope.', 'The one that was tried low.', {
      sets: [to('friction', 'chosen')],
    }),
    step(
      'device-on',
      'Put the device on the line below the hitch and clip it.',
      'Brake strand leaves downwards; nothing crosses.',
      {
        mustHold: 2,
        can: [is('inHand')],
        sets: [to('device.on', 'yes'), to('device.way', 'right'), to('inHand', 'no')],
        wrongs: [
          wrong(
            'upside',
            'it is on upside down',
            to('device.on', 'yes'),
            to('device.way', 'wrong'),
            to('inHand', 'no'),
          ),
          wrong(
            'bridge-off',
            'the hitch is taken off the bridge to make room for it',
            to('device.on', 'yes'),
            to('device.way', 'right'),
            to('inHand', 'no'),
            to('bridge', 'off'),
          ),
        ],
      },
    ),
    step('device-lock', 'Lock the device connector.', 'Gate shut, locked, away from the rope.', {
      can: [is('device.on')],
      sets: [to('device.locked', 'yes')],
    }),
    step(
      'slack',
      'Pull every bit of slack through the device up to the hitch.',
      'The line is straight from hitch to device.',
      {
        can: [is('device.on')],
        sets: [to('slack', 'none')],
      },
    ),
    step('hand-on', 'Brake hand on the strand below the device.', 'Held behind the hip.', {
      can: [is('device.on')],
      sets: [to('hand', 'on')],
    }),
    step(
      'break',
      'Ease the hitch open with your other hand until the device takes your weight.',
      'You sank a hand’s width and hang on the device.',
      {
        can: [is('device.on')],
        sets: [to('hitch.held', 'held')],
        tests: 'device',
      },
    ),
    step('rebind', 'Let the hitch go: it must bind again.', 'The hitch bites within a hand’s width.', {
      can: [is('hitch.on')],
      sets: [to('hitch.held', 'free')],
    }),
    step('second-off', 'Take the second attachment off.', 'Hand on, hitch tried again, device tried.', {
      can: [is('second.on')],
      sets: [
        to('second.on', 'no'),
        to('second.tested', 'no'),
        to('second.locked', 'no'),
        to('weight', 'device', is('weight', 'second')),
      ],
      mustHold: 2,
    }),
    step('go', 'Go down, keeping the hitch moving with the other hand.', 'The hitch runs, pushed and not gripped.', {
      can: [is('device.on'), is('second.on', 'no')],
      sets: [to('going', 'yes')],
      wrongs: [
        wrong('gripped', 'the hand closes around the hitch and stays', to('going', 'yes'), to('hitch.held', 'held')),
      ],
    }),
    step('stop', 'To stop, let the hitch bind.', 'The hitch bites; the brake hand stays on.', {
      can: [is('going')],
      sets: [to('hitch.held', 'free')],
    }),
    step('ground', 'Stand on the ground; device off, hitch off.', 'Nothing hangs in the line.', {
      can: [is('going'), not('where', 'ground')],
      sets: [
        to('where', 'ground'),
        to('weight', 'feet'),
        to('device.on', 'no'),
        to('hand', 'off'),
        to('hitch.on', 'no'),
        to('going', 'no'),
      ],
      mustHold: 0,
    }),
  ],
});
