import { fact, flag, is, lane, never, not, procedure, step, to, wrong } from '../build.ts';
import { lanyardFact, lanyardLane, lanyardOff, lanyardOn } from './common.ts';

export const hitchFirst = procedure({
  id: 'hitch-first',
  title: 'Heavy rope over a cliff: the hitch first',
  purpose:
    'A French Prusik takes the weight of the rope that hangs over the edge, so that the device goes on without a fight.',
  lanes: [
    lanyardLane,
    lane('hitch', 'Hitch', [[is('hitch.bites'), is('device.on'), is('device.rope')]]),
    lane('device', 'Device', [[is('device.rope')]]),
  ],
  variants: [{ id: 'strands', label: 'Rope', options: { one: 'One fixed strand', two: 'Two strands' } }],
  variables: [
    lanyardFact,
    flag('hitch.bites', 'the hitch bites on the rope', 'the hitch is off the rope'),
    flag('slack', 'slack rope lies between anchor and hitch'),
    flag('device.rope', 'the rope runs through the device, brake strand down to the hitch'),
    fact('ends', ['open', 'closed'], { closed: 'the rope’s lower end is knotted' }),
    flag('going'),
  ],
  invariants: [
    never('shock', 'drop', 'Slack is left above the device: you drop into it.', is('weight', 'device'), is('slack')),
    never('end', 'fall', 'The end without a knot runs through the device.', is('going'), is('ends', 'open')),
  ],
  steps: [
    step('end-knot', 'Knot the lower end, or both, before the rope goes over the edge.', 'A knot in every end.', {
      can: [is('where', 'ground')],
      sets: [to('ends', 'closed')],
    }),
    ...lanyardOn(),
    step('edge', 'Go to the edge on the lanyard.', 'Edge looked at; rope lies over something round.', {
      sets: [to('where', 'up'), to('weight', 'lanyard', is('lanyard.on'))],
    }),
    step('hitch-one', 'French Prusik round the strand, clipped to the leg loop.', 'Four wraps or more, side by side.', {
      only: { strands: 'one' },
      can: [is('where', 'up')],
      sets: [to('hitch.on', 'yes'), to('hitch.bites', 'yes')],
      wrongs: [wrong('few', 'too few wraps: it slides', to('hitch.on', 'yes'))],
    }),
    step(
      'hitch-two',
      'French Prusik round both strands, clipped to the leg loop.',
      'Four wraps or more, side by side, both strands in it.',
      {
        only: { strands: 'two' },
        can: [is('where', 'up')],
        sets: [to('hitch.on', 'yes'), to('hitch.bites', 'yes')],
        wrongs: [wrong('one', 'only one strand is in it: the other slides', to('hitch.on', 'yes'))],
      },
    ),
    step('hitch-lock', 'Lock the hitch connector.', 'Gate shut and locked; both ends of the loop in it.', {
      can: [is('hitch.on')],
      sets: [to('hitch.locked', 'yes')],
    }),
    step(
      'pull-up',
      'Pull rope up through the hitch and let it carry the rope’s weight.',
      'The rope above the hitch hangs loose.',
      {
        can: [is('hitch.bites')],
        sets: [to('slack', 'yes')],
      },
    ),
    step(
      'device-on',
      'Put the device on the loose rope, on an extension.',
      'Rope in the slots, connector through rope and retaining loop, brake strand down to the hitch.',
      {
        can: [is('slack')],
        sets: [to('device.on', 'yes'), to('device.rope', 'yes')],
        wrongs: [wrong('missed', 'the connector misses the rope', to('device.on', 'yes'))],
      },
    ),
    step('device-lock', 'Lock the device connector.', 'Gate shut and locked.', {
      can: [is('device.on')],
      sets: [to('device.locked', 'yes')],
    }),
    step('take-in', 'Take all slack in through the device.', 'Tight from anchor to device.', {
      can: [is('device.on')],
      sets: [to('slack', 'no')],
    }),
    step(
      'device-weigh',
      'Sit on the device, hand on, lanyard still there.',
      'The device carries you; the lanyard is slack.',
      { can: [is('device.on')], tests: 'device' },
    ),
    step(
      'hitch-test',
      'Let the hitch bind and take the hand off.',
      'The hitch holds, clear of the device, and lets go again when pushed.',
      {
        can: [is('hitch.on'), not('weight', 'feet')],
        tests: 'hitch',
        carries: 'device',
      },
    ),
    lanyardOff('Unclip the lanyard.', 'Hand on, both tried.', 2),
    step('go', 'Call and go.', 'You see the end before you reach it.', {
      can: [is('lanyard.on', 'no'), is('device.on')],
      sets: [to('going', 'yes')],
    }),
    step('ground', 'Stand, take device and hitch off, call.', 'You are clear of rockfall (and of the tide).', {
      can: [is('going')],
      sets: [to('where', 'ground'), to('weight', 'feet'), to('device.on', 'no'), to('hitch.on', 'no')],
      mustHold: 0,
    }),
  ],
});
