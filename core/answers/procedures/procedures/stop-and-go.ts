import { fact, flag, is, lane, never, not, procedure, step, to, wrong } from '../build.ts';

export const stopAndGo = procedure({
  id: 'stop-and-go',
  title: 'Stop half-way, free both hands, go on',
  purpose: 'Also: how to free a hitch that has jammed.',
  lanes: [
    lane('device', 'Device', [[is('hand', 'on')], [is('knot')]]),
    lane('hitch', 'Hitch', [[is('hitch.bites')]]),
    lane('upper', 'Upper hitch', [[]]),
  ],
  start: {
    where: 'up',
    weight: 'device',
    hand: 'on',
    'device.on': 'yes',
    'device.locked': 'yes',
    'device.tested': 'yes',
    'hitch.on': 'yes',
    'hitch.locked': 'yes',
    'hitch.tested': 'yes',
  },
  mustHold: 1,
  variants: [
    {
      id: 'hitch',
      label: 'The hitch',
      options: { free: 'lets go again when pushed', stuck: 'was loaded hard and will not let go' },
    },
  ],
  variables: [
    fact('hand', ['off', 'on'], { on: 'the brake hand is on the strands', off: 'the brake hand is off' }),
    flag('hitch.bites', 'the hitch is let go and bites', 'the hitch is held loose'),
    flag('knot', 'a big knot is tied in the brake strands below the hitch', 'the knot below is untied'),
    flag('hitch.loose', 'the stuck hitch was pushed loose and dressed again'),
    flag('lifted', 'the upper hitch carried you'),
    flag('foot', 'the foot stands in the loop'),
    flag('worked', 'the work is done'),
    flag('going'),
  ],
  invariants: [
    never('jam', 'stranded', 'The knot below runs into the hitch: you are stuck on the rope.', is('going'), is('knot')),
    never(
      'upper-unlocked',
      'untested',
      'The upper hitch carries you by a connector that is not locked.',
      is('weight', 'upper'),
      is('upper.locked', 'no'),
    ),
    never(
      'still-stuck',
      'stranded',
      'The hitch is still stuck: you sit back into what you wanted to get out of.',
      is('going'),
      is('lifted'),
      is('hitch.loose', 'no'),
    ),
    never('stuck', 'stranded', 'The upper hitch is left on: it bites and you hang on it.', is('going'), is('upper.on')),
  ],
  steps: [
    step('stop', 'Stop and let the hitch bind.', 'The hitch carries the brake strands.', {
      sets: [to('hitch.bites', 'yes')],
    }),
    step(
      'knot',
      'Tie a big knot in both brake strands, a forearm below the hitch.',
      'Overhand on a bight, in both strands.',
      {
        can: [is('hand', 'on'), is('hitch.bites'), is('going', 'no')],
        sets: [to('knot', 'yes')],
      },
    ),
    step(
      'hand-off',
      'Ease the brake hand, keep it beside the rope until hitch and knot have held, then let go.',
      'Nothing creeps.',
      {
        can: [is('hand', 'on')],
        sets: [to('hand', 'off')],
        mustHold: 2,
      },
    ),
    step('work', 'Do what both hands are needed for.', 'Hitch and knot stay in sight.', {
      can: [is('hand', 'off')],
      sets: [to('worked', 'yes')],
    }),
    step(
      'upper-tie',
      'Tie a second hitch above the device, with a foot loop, and clip it to the belay loop.',
      'On both strands; within reach when it is loaded.',
      {
        only: { hitch: 'stuck' },
        can: [is('knot'), is('going', 'no')],
        sets: [to('upper.on', 'yes')],
      },
    ),
    step('upper-lock', 'Lock the connector of the upper hitch.', 'Gate shut and locked.', {
      only: { hitch: 'stuck' },
      can: [is('upper.on')],
      sets: [to('upper.locked', 'yes')],
    }),
    step(
      'upper-weigh',
      'Stand in the foot loop, slide the upper hitch up, and sit back onto it.',
      'The upper hitch carries you; the device is slack.',
      {
        only: { hitch: 'stuck' },
        can: [is('upper.on'), is('knot')],
        tests: 'upper',
        sets: [to('foot', 'yes'), to('lifted', 'yes')],
      },
    ),
    step('loosen', 'Push the stuck hitch loose and dress it again.', 'The hitch slides, and bites when let go.', {
      only: { hitch: 'stuck' },
      can: [is('weight', 'upper'), is('knot')],
      sets: [to('hitch.bites', 'yes'), to('hitch.loose', 'yes')],
      wrongs: [wrong('off', 'it is taken off and left off', to('hitch.on', 'no'), to('hitch.bites', 'no'))],
    }),
    step(
      'sit-back',
      'Brake hand on, stand up in the foot loop, and sit back onto the device.',
      'The device carries you again; the upper hitch is slack.',
      {
        only: { hitch: 'stuck' },
        can: [is('foot'), is('weight', 'upper')],
        sets: [to('hand', 'on'), to('weight', 'device')],
      },
    ),
    step('upper-off', 'Take the upper hitch and the foot loop off.', 'Nothing is left above the device.', {
      only: { hitch: 'stuck' },
      can: [is('upper.on'), not('weight', 'upper')],
      sets: [to('upper.on', 'no'), to('upper.tested', 'no'), to('upper.locked', 'no'), to('foot', 'no')],
    }),
    step('hand-back', 'Brake hand back on the strands, above the knot.', 'Hand closed before anything is untied.', {
      only: { hitch: 'free' },
      can: [is('hand', 'off')],
      sets: [to('hand', 'on')],
    }),
    step('unknot', 'Untie the knot below.', 'Both strands run free to the ground.', {
      can: [is('knot'), is('hand', 'on'), is('upper.on', 'no')],
      sets: [to('knot', 'no')],
      wrongs: [wrong('both-hands', 'both hands untie it', to('knot', 'no'), to('hand', 'off'))],
    }),
    step('go', 'Push the hitch and go on down.', 'The hitch lets go, and bites when you stop pushing.', {
      can: [is('hand', 'on')],
      sets: [to('going', 'yes'), to('hitch.bites', 'no')],
      mustHold: 1,
    }),
  ],
});
