import { fact, flag, is, lane, never, not, procedure, step, to, wrong } from '../build.ts';
import { doubledDevice, hitchBelow, lanyardFact, lanyardLane, lanyardOff, lanyardOn } from './common.ts';

export const cleanAnchor = procedure({
  id: 'clean-anchor',
  title: 'Clean a top anchor and rappel',
  purpose: 'You arrive at the anchor of a single pitch, belayed from below, and leave nothing behind but two rings.',
  lanes: [
    lane('belay', 'Belay from below', [[is('rope.tied'), is('rope.through', 'anchor')]], false),
    lanyardLane,
    doubledDevice.lane('rings', 'one-ring'),
    hitchBelow.lane('rings', 'one-ring'),
  ],
  start: {
    where: 'up',
    weight: 'feet',
    'belay.on': 'yes',
    'belay.tested': 'yes',
    'rope.tied': 'yes',
    'rope.through': 'anchor',
  },
  variants: [
    {
      id: 'end',
      label: 'Second end',
      options: { partner: 'Knotted by the partner on the ground', own: 'Knotted by you before it is thrown' },
    },
  ],
  variables: [
    lanyardFact,
    flag('rope.tied', 'you are tied to the rope', 'you are untied'),
    flag('rope.clipped', 'a bight of the rope is tied and clipped to your harness', 'the bight is off the harness'),
    fact('rope.through', ['nothing', 'anchor', 'one-ring', 'rings'], { rings: 'the rope runs through both rings' }),
    flag('rope.middle', 'the middle mark lies at the rings'),
    flag('rope.down', 'both strands hang down'),
    flag('end.first', 'the end that went through the rings is knotted'),
    flag('end.second', 'the other end is knotted too'),
    flag('stripped', 'nothing of yours is left on the anchor'),
    flag('going'),
    doubledDevice.fact,
    ...hitchBelow.facts,
  ],
  invariants: [
    never(
      'rope-lost',
      'stranded',
      'The rope is neither tied nor clipped to you: dropped, it is gone.',
      is('where', 'up'),
      is('rope.tied', 'no'),
      is('rope.clipped', 'no'),
      not('rope.through', 'rings', 'one-ring'),
    ),
    never(
      'rope-slides',
      'stranded',
      'The rope is through the rings, without a knot in its end, and nothing holds it: it runs down.',
      is('where', 'up'),
      is('rope.through', 'rings', 'one-ring'),
      is('rope.tied', 'no'),
      is('rope.clipped', 'no'),
      is('end.first', 'no'),
    ),
    never(
      'one-ring',
      'untested',
      'Everything hangs on one ring.',
      is('where', 'up'),
      is('lanyard.on', 'no'),
      is('rope.through', 'one-ring'),
    ),
    never('end-first', 'fall', 'The end without a knot runs through the device.', is('going'), is('end.first', 'no')),
    never('end-second', 'fall', 'The end without a knot runs through the device.', is('going'), is('end.second', 'no')),
    never(
      'short',
      'fall',
      'One strand is short: its end comes first and pulls through.',
      is('going'),
      is('rope.middle', 'no'),
    ),
    never('left', 'dropped', 'Your gear stays behind on the anchor.', is('going'), is('stripped', 'no')),
  ],
  steps: [
    ...lanyardOn(),
    step(
      'off-belay',
      'Call that you are off belay, and hear the answer.',
      'Your partner has answered by name; only then does the belay end.',
      {
        sets: [to('belay.on', 'no')],
      },
    ),
    step(
      'rope-clip',
      'Pull up about 9 m of rope, tie a bight and clip it to the harness.',
      'The knot is clipped and locked; it carries nothing.',
      {
        can: [is('belay.on', 'no')],
        sets: [to('rope.clipped', 'yes')],
      },
    ),
    step('untie', 'Untie from the rope.', 'The bight is still clipped.', {
      can: [is('rope.tied')],
      sets: [to('rope.tied', 'no'), to('belay.on', 'no')],
    }),
    step('thread', 'Pass the end through both rings.', 'The end comes out of the second ring.', {
      can: [is('rope.tied', 'no')],
      sets: [to('rope.through', 'rings')],
      wrongs: [wrong('one-ring', 'it goes through one ring only', to('rope.through', 'one-ring'))],
    }),
    step('end-knot', 'Knot that end.', 'A knot with a long tail, pulled tight.', {
      can: [is('rope.tied', 'no')],
      sets: [to('end.first', 'yes')],
    }),
    step('unclip-bight', 'Unclip the bight and untie it.', 'The rope hangs in the rings, and its end is knotted.', {
      can: [is('rope.clipped')],
      sets: [to('rope.clipped', 'no')],
    }),
    step('middle', 'Pull the rope through to its middle mark.', 'The mark lies at the rings.', {
      can: [is('rope.clipped', 'no'), not('rope.through', 'anchor')],
      sets: [to('rope.middle', 'yes')],
      wrongs: [wrong('past', 'you stop short of the mark or pull past it')],
    }),
    step('second-knot', 'Knot the other end before it goes down.', 'Both ends are knotted.', {
      only: { end: 'own' },
      can: [is('rope.down', 'no')],
      sets: [to('end.second', 'yes')],
    }),
    step('throw', 'Look, call “Rope!”, wait, and throw.', 'Nobody below; both strands run free to the ground.', {
      can: [is('rope.clipped', 'no'), not('rope.through', 'anchor')],
      sets: [to('rope.down', 'yes')],
    }),
    step(
      'partner-knot',
      'Have the partner knot the other end and say so.',
      'You heard it: both ends are knotted and lie on the ground.',
      {
        who: 'partner',
        only: { end: 'partner' },
        can: [is('rope.down')],
        sets: [to('end.second', 'yes')],
      },
    ),
    ...doubledDevice.steps('the extension of the lanyard'),
    ...hitchBelow.steps(),
    lanyardOff(
      'Unclip the lanyard from the anchor.',
      'You hang on the device, hand on the strands; hitch and device were both tried.',
      2,
    ),
    step('strip', 'Strip the anchor and rack it.', 'Only the rings and the rope are left; everything hangs on you.', {
      can: [is('lanyard.on', 'no')],
      sets: [to('stripped', 'yes')],
    }),
    step('call-going', 'Call that you are coming down.', 'Partner answers and steps out of the fall of stones.', {}),
    step('go', 'Go down, pushing the hitch along.', 'You see both ends before you reach them.', {
      can: [is('lanyard.on', 'no'), is('device.on')],
      sets: [to('going', 'yes')],
    }),
    step(
      'ground',
      'Stand on the ground, take the device off and call that the rope is free.',
      'You are out of the fall line; partner answers.',
      {
        can: [is('going')],
        sets: [
          to('where', 'ground'),
          to('weight', 'feet'),
          to('device.on', 'no'),
          to('hitch.on', 'no'),
          to('going', 'no'),
        ],
        stops: 0,
      },
    ),
  ],
});
