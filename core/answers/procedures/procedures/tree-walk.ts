import { fact, flag, is, lane, never, procedure, step, to, wrong } from '../build.ts';

/**
 * On a stationary line with a bollard device: walk up on foot and knee, change to a limb and back, and go down. What
 * only goes up comes off before one goes out or down. Common practice (`practice-tree-point`, `practice-limb`).
 */
export const treeWalk = procedure({
  id: 'tree-walk',
  title: 'Walk up a stationary line, out along a limb, up again, and down',
  purpose:
    'Foot and knee for the way up; both off for the limb; line taken in on the way back; fitted again to go on up, and off again for the way down.',
  lanes: [
    lane('device', 'Device', [[is('threaded', 'right'), is('tuned')]]),
    lane('lanyard', 'Lanyard', [[is('lanyard.round')]]),
  ],
  variants: [],
  variables: [
    fact('threaded', ['none', 'right', 'wrong'], { right: 'every pin of the device is in, seen and pushed' }),
    flag('tuned', 'the bollard is set for this rope as it is today'),
    flag('tried', 'two persons bounced on the line from the ground'),
    fact('ends', ['open', 'closed'], { closed: 'the end of the line is knotted', open: 'the end of the line is open' }),
    flag('foot', 'the foot ascender is on the line', 'the foot ascender is off'),
    flag('knee', 'the knee ascender is on the line', 'the knee ascender is off'),
    flag('chest', 'the small connector holds the device at the chest', 'the chest is free of the device'),
    fact('tether', ['short', 'limb'], {
      short: 'the device hangs below the chin, its tether short',
      limb: 'the tether is as long as one hand reaches',
    }),
    flag('lanyard.round', 'the lanyard runs round wood that carries you'),
    flag('out', 'you are out along the limb'),
    flag('slack', 'the line is slack behind you', 'the line is tight'),
    flag('worked'),
    flag('again', 'you walked on above the limb'),
    flag('going'),
    flag('down', 'you stand on the ground, off the line'),
  ],
  invariants: [
    never(
      'untried',
      'untested',
      'Nobody tried the tie-in point from the ground.',
      is('where', 'up'),
      is('tried', 'no'),
    ),
    never('end', 'fall', 'The end of the line runs through the device.', is('going'), is('ends', 'open')),
    never('one', 'untested', 'You work on one attachment.', is('worked'), is('out'), is('lanyard.on', 'no')),
    never(
      'slack',
      'drop',
      'You come back into slack: a slip at the stem is a fall into it.',
      is('slack'),
      is('out', 'no'),
      is('where', 'up'),
    ),
    never(
      'lanyard-open',
      'untested',
      'The lanyard that is to hold you is not locked.',
      is('out'),
      is('lanyard.on'),
      is('lanyard.locked', 'no'),
    ),
    never(
      'foot-out',
      'stranded',
      'Foot or knee ascender holds you to the line out on the limb.',
      is('out'),
      is('foot'),
    ),
    never(
      'knee-out',
      'stranded',
      'Foot or knee ascender holds you to the line out on the limb.',
      is('out'),
      is('knee'),
    ),
    never(
      'foot-down',
      'stranded',
      'An ascender that only goes up is still on: you hang in it.',
      is('going'),
      is('foot'),
    ),
    never(
      'knee-down',
      'stranded',
      'An ascender that only goes up is still on: you hang in it.',
      is('going'),
      is('knee'),
    ),
    never(
      'chest-down',
      'fall',
      'The small connector at the chest holds the arm of the device down: it does not grip.',
      is('going'),
      is('chest'),
    ),
    never(
      'tether-up',
      'stranded',
      'You walk up on the long tether: the device comes to stand out of reach.',
      is('again'),
      is('tether', 'limb'),
    ),
    never(
      'lanyard-up',
      'stranded',
      'You walk up with the lanyard round the wood below you.',
      is('again'),
      is('lanyard.on'),
      is('going', 'no'),
    ),
    never('lanyard-down', 'stranded', 'The lanyard is still round the wood.', is('going'), is('lanyard.on')),
  ],
  steps: [
    step('line-try', 'Two bounce on the line from the ground, and look at limb, stem and roots.', 'Nothing moves.', {
      can: [is('where', 'ground')],
      sets: [to('tried', 'yes')],
    }),
    step('end-knot', 'Knot the end of the line.', 'A stopper with a long tail.', {
      can: [is('where', 'ground')],
      sets: [to('ends', 'closed')],
    }),
    step(
      'device-thread',
      'Thread the device top first, so that it hangs by itself: upper pin, rope, pin; then the lower one.',
      'Every pin seen and pushed; the pulley dropped in.',
      {
        can: [is('where', 'ground'), is('threaded', 'none')],
        sets: [to('device.on', 'yes'), to('threaded', 'right')],
        wrongs: [wrong('pin', 'a pin is not home', to('device.on', 'yes'), to('threaded', 'wrong'))],
      },
    ),
    step('device-lock', 'Connector through its lower eye, locked.', 'Gate moved twice.', {
      can: [is('device.on')],
      sets: [to('device.locked', 'yes')],
    }),
    step(
      'tune',
      'Set the bollard to the setting that was found for this rope.',
      'Nothing was washed or changed since.',
      {
        can: [is('device.on')],
        sets: [to('tuned', 'yes')],
      },
    ),
    step('device-weigh', 'A hand’s width off the ground: hands off, down, stop.', 'It sets like a hitch, every time.', {
      can: [is('device.on'), is('where', 'ground', 'low')],
      sets: [to('where', 'low')],
      tests: 'device',
    }),
    step('foot-on', 'Foot ascender onto the line, below the device.', 'It runs when the foot is lifted.', {
      can: [is('device.on'), is('where', 'ground', 'low')],
      sets: [to('foot', 'yes')],
    }),
    step('knee-on', 'Knee ascender onto the line, just below the knee, leg straight.', 'It runs with the knee.', {
      can: [is('device.on'), is('where', 'ground', 'low')],
      sets: [to('knee', 'yes')],
    }),
    step('chest-on', 'Small connector from the chest to the device.', 'The device stands below the chin.', {
      can: [is('device.on'), is('where', 'ground', 'low')],
      sets: [to('chest', 'yes')],
    }),
    step('climb', 'Walk up; look at fork and line from near.', 'The device follows by itself.', {
      can: [is('where', 'low'), is('foot'), is('knee'), is('down', 'no')],
      sets: [to('where', 'up'), to('weight', 'device')],
    }),
    step('lanyard-on', 'At the limb: lanyard round stem or limb.', 'Round wood as thick as your thigh.', {
      can: [is('where', 'up'), is('lanyard.on', 'no')],
      sets: [to('lanyard.on', 'yes'), to('lanyard.round', 'yes')],
      wrongs: [wrong('twig', 'it lies round a branch that does not carry you', to('lanyard.on', 'yes'))],
    }),
    step('lanyard-lock', 'Lock its connector.', 'Gate shut and locked.', {
      can: [is('lanyard.on')],
      sets: [to('lanyard.locked', 'yes')],
    }),
    step('knee-off', 'Knee ascender off.', 'The leg is free.', {
      can: [is('knee'), is('where', 'up')],
      sets: [to('knee', 'no')],
    }),
    step('foot-off', 'Foot ascender off.', 'The foot is free.', {
      can: [is('foot'), is('where', 'up')],
      sets: [to('foot', 'no')],
    }),
    step('chest-off', 'Small connector at the chest off.', 'The arm of the device moves freely.', {
      can: [is('chest'), is('where', 'up')],
      sets: [to('chest', 'no')],
    }),
    step('tether-long', 'Let the tether out as far as one hand reaches.', 'The device is tended with one hand.', {
      can: [is('chest', 'no'), is('where', 'up')],
      sets: [to('tether', 'limb')],
    }),
    step(
      'walk-out',
      'Walk out. Keep your lanyard round the limb and move it with you.',
      'Your weight stays on the climbing rope.',
      {
        can: [is('where', 'up'), is('tether', 'limb'), is('out', 'no'), is('going', 'no')],
        sets: [to('out', 'yes')],
      },
    ),
    step('work', 'Lanyard tight round the limb, then work.', 'Two attachments before anything is cut.', {
      can: [is('out'), is('lanyard.on')],
      sets: [to('worked', 'yes')],
    }),
    step('walk-back', 'Walk back, the line taken in at every step.', 'It never hangs slack.', {
      can: [is('out')],
      sets: [to('out', 'no')],
      wrongs: [wrong('slack', 'the line is left slack behind you', to('out', 'no'), to('slack', 'yes'))],
    }),
    step('tether-short', 'Take the tether in again.', 'The device hangs below the chin.', {
      can: [is('tether', 'limb'), is('out', 'no')],
      sets: [to('tether', 'short')],
    }),
    step('lanyard-off', 'Weight on the device, then the lanyard off.', 'The device has set.', {
      can: [is('lanyard.on'), is('out', 'no'), is('where', 'up')],
      sets: [to('lanyard.on', 'no'), to('lanyard.locked', 'no'), to('lanyard.round', 'no')],
    }),
    step(
      'foot-again',
      'To walk on up: foot ascender onto the line again, below the device.',
      'It runs when the foot is lifted.',
      {
        can: [is('where', 'up'), is('out', 'no'), is('foot', 'no'), is('going', 'no'), is('weight', 'device')],
        sets: [to('foot', 'yes')],
      },
    ),
    step('knee-again', 'Knee ascender onto the line again, just below the knee.', 'It runs with the knee.', {
      can: [is('where', 'up'), is('out', 'no'), is('knee', 'no'), is('going', 'no'), is('weight', 'device')],
      sets: [to('knee', 'yes')],
    }),
    step('chest-again', 'Small connector from the chest to the device again.', 'The device stands below the chin.', {
      can: [is('where', 'up'), is('out', 'no'), is('tether', 'short'), is('chest', 'no'), is('going', 'no')],
      sets: [to('chest', 'yes')],
    }),
    step('climb-again', 'Walk on up.', 'The device follows by itself.', {
      can: [is('where', 'up'), is('foot'), is('knee'), is('out', 'no'), is('going', 'no')],
      sets: [to('again', 'yes')],
    }),
    step('knee-down', 'Before going down: knee ascender off.', 'The leg is free.', {
      can: [is('knee'), is('where', 'up')],
      sets: [to('knee', 'no')],
    }),
    step('foot-down', 'Foot ascender off.', 'The foot is free.', {
      can: [is('foot'), is('where', 'up')],
      sets: [to('foot', 'no')],
    }),
    step('chest-down', 'Small connector at the chest off.', 'The arm of the device moves freely.', {
      can: [is('chest'), is('where', 'up')],
      sets: [to('chest', 'no')],
    }),
    step('go', 'Device turned so that the hand lies on its arm: go down slowly.', 'End knot seen below.', {
      can: [is('where', 'up'), is('weight', 'device'), is('out', 'no')],
      sets: [to('going', 'yes')],
    }),
    step('ground', 'Stand, and take the line out of the device.', 'Look at the rope where it carried you.', {
      can: [is('going')],
      sets: [to('where', 'ground'), to('weight', 'feet'), to('going', 'no'), to('device.on', 'no'), to('down', 'yes')],
      mustHold: 0,
    }),
  ],
});
