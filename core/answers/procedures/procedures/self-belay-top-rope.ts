import { fact, flag, is, lane, never, procedure, step, to, wrong } from '../build.ts';
import { selfBelayFacts, selfBelayLanes, selfBelayNever, selfBelayUp } from './self-belay-up.ts';
import { lanyardFact, lanyardLane, lanyardOff, lanyardOn } from './common.ts';

/**
 * Alone on a top rope with two grabs: tried near the ground, at the top your own sling before anything comes off, a
 * stopper knot until the device carries, and down with a hitch kept on.
 */
export const selfBelayTopRope = procedure({
  id: 'alone-top-rope',
  title: 'Top-rope self-belay, up and back down',
  purpose: 'Two grabs on the way up; at the top the change to a rappel, a hitch below the device on the way down.',
  lanes: [
    ...selfBelayLanes,
    lanyardLane,
    lane('device', 'Device', [[is('threaded', 'right'), is('rope', 'fixed')]]),
    lane('hitch', 'Hitch', [[is('hitch.tied'), is('rope', 'fixed')]]),
  ],
  variants: [],
  variables: [
    lanyardFact,
    fact('rope', ['hung', 'fixed'], {
      fixed: 'the strand you climb on is fixed at the anchor, looked at from above',
      hung: 'the rope only runs through the anchor',
    }),
    ...selfBelayFacts,
    flag('knot', 'a stopper knot is tied close below you', 'no stopper knot is tied below you'),
    fact('threaded', ['none', 'right', 'wrong'], { right: 'the rope lies in the device as its maker shows' }),
    flag('hitch.tied', 'the hitch is tied below the device and clear of it'),
    flag('going'),
    flag('down', 'you stand on the ground'),
  ],
  invariants: [
    ...selfBelayNever,
    never(
      'weight-left',
      'stranded',
      'The weight still hangs on the rope: it holds the brake strand tight, and you cannot go down.',
      is('going'),
      is('hung'),
    ),
    never(
      'knot-left',
      'stranded',
      'The stopper knot runs into the device: you are stuck on the rope.',
      is('going'),
      is('knot'),
    ),
    never(
      'grabs-left',
      'stranded',
      'A grab is still on the rope: it bites, and you hang on it.',
      is('going'),
      is('first.on'),
    ),
    never(
      'grab-left',
      'stranded',
      'The other grab is still on the rope: it bites, and you hang on it.',
      is('going'),
      is('second.on'),
    ),
    ...(['first', 'second'] as const).map((grab) =>
      never(
        `no-knot-${grab}`,
        'untested',
        'A grab is off, and no stopper knot is below: what slips now runs to the end of the rope.',
        is('where', 'up'),
        is(`${grab}.on`, 'no'),
        is('device.tested', 'no'),
        is('knot', 'no'),
      ),
    ),
    never('no-hitch', 'untested', 'Going down with the hand alone.', is('going'), is('hitch.on', 'no')),
  ],
  steps: [
    step(
      'rope-fix',
      'Fix the strand you climb on at the anchor, and look at it from above.',
      'Two solid anchor points, a knot in a locked carabiner, no edge anywhere you might swing.',
      {
        can: [is('where', 'ground')],
        sets: [to('rope', 'fixed')],
      },
    ),
    ...selfBelayUp,
    step('top', 'Stop within reach of the anchor, a body length below it.', 'The rope above is still tight.', {
      can: [is('where', 'up')],
      sets: [to('top', 'yes')],
    }),
    ...lanyardOn(is('top')),
    step('weight-off', 'Shake the weight off the end, or pull it up.', 'The rope below is loose.', {
      can: [is('top')],
      sets: [to('hung', 'no')],
    }),
    step('knot', 'Tie a stopper knot in the rope close below the grabs.', 'It cannot enter a grab or the device.', {
      can: [is('hung', 'no'), is('top')],
      sets: [to('knot', 'yes')],
    }),
    step('second-off', 'Take the second grab off.', 'Sling and first grab hold you.', {
      can: [is('second.on')],
      sets: [to('second.on', 'no'), to('second.locked', 'no'), to('second.tested', 'no')],
    }),
    step(
      'device-thread',
      'Put the device on its extension onto the rope, below the first grab.',
      'As its maker shows; connector locked next.',
      {
        can: [is('threaded', 'none'), is('top'), is('second.on', 'no')],
        sets: [to('device.on', 'yes'), to('threaded', 'right')],
        wrongs: [wrong('wrong', 'the rope lies in it the wrong way', to('device.on', 'yes'), to('threaded', 'wrong'))],
      },
    ),
    step('device-lock', 'Lock its connector.', 'Gate shut and locked.', {
      can: [is('device.on')],
      sets: [to('device.locked', 'yes')],
    }),
    step(
      'hitch-tie',
      'Tie the hitch below the device and clip it to the leg loop.',
      'Loaded it stays clear of the device.',
      {
        can: [is('device.on'), is('hitch.on', 'no')],
        sets: [to('hitch.on', 'yes'), to('hitch.tied', 'yes')],
      },
    ),
    step('hitch-lock', 'Lock its connector.', 'Gate shut and locked.', {
      can: [is('hitch.on')],
      sets: [to('hitch.locked', 'yes')],
    }),
    step('first-off', 'Take the first grab off.', 'The sling holds you; the device has no slack above it.', {
      can: [is('first.on')],
      sets: [
        to('first.on', 'no'),
        to('first.locked', 'no'),
        to('first.tested', 'no'),
        to('weight', 'lanyard', is('weight', 'first'), is('lanyard.on')),
      ],
      mustHold: 1,
    }),
    step('device-weigh', 'Sit on the device, brake hand on, the sling still clipped.', 'The sling hangs slack.', {
      can: [is('device.on'), is('first.on', 'no')],
      tests: 'device',
    }),
    step(
      'hitch-test',
      'With the sling still clipped, let the hitch grip and take your brake hand off.',
      'It holds without the hand.',
      {
        can: [is('hitch.on'), is('weight', 'device')],
        tests: 'hitch',
        carries: 'device',
      },
    ),
    lanyardOff('Unclip the sling.', 'You hang on the device; hand on, hitch kept loose.', 2),
    step('unknot', 'Undo the stopper knot last.', 'The end of the rope is knotted.', {
      can: [is('knot'), is('weight', 'device'), is('lanyard.on', 'no')],
      sets: [to('knot', 'no')],
    }),
    step('go', 'Go down slowly, the hitch kept loose by the brake hand.', 'The rope below runs free.', {
      can: [is('weight', 'device'), is('where', 'up'), is('lanyard.on', 'no')],
      sets: [to('going', 'yes')],
    }),
    step(
      'ground',
      'Stand on the ground and take everything off the rope.',
      'Look at each device before the next time.',
      {
        can: [is('going')],
        sets: [
          to('where', 'ground'),
          to('weight', 'feet'),
          to('going', 'no'),
          to('down', 'yes'),
          to('device.on', 'no'),
          to('hitch.on', 'no'),
        ],
        mustHold: 0,
      },
    ),
  ],
});
