import { fact, flag, is, lane, never, not, procedure, step, to, wrong } from '../build.ts';
import { facts, lock, tieInStep } from './lowering.ts';
import { belayerFact, belayerOn, callClimb, lanyardFact, lanyardLane, lanyardOff } from './common.ts';

const belayer = { who: 'belayer' } as const;
const direct = { belay: 'anchor' };
const onHarness = { belay: 'harness' };

/**
 * Belay a leader who goes on from a stance. Until a piece above the stance is clipped, a fall goes past the belayer,
 * twice as far as was climbed, and pulls from below; after that it pulls upward. Belaying from the harness or directly
 * from the anchor are two schools.
 */
export const leaderFromStance = procedure({
  id: 'leader-stance',
  title: 'Belay a leader from a stance',
  purpose: 'Off the ground, both at the anchor. The first piece is clipped before the leader leaves it.',
  lanes: [lanyardLane, lane('rope', 'Rope', [[is('tie', 'finished'), is('threaded', 'right'), is('hand', 'on')]])],
  variants: [
    {
      id: 'belay',
      label: 'The belay',
      options: { harness: 'on the belayer’s harness', anchor: 'directly on the anchor' },
    },
  ],
  variables: [
    lanyardFact,
    // Nobody is lowered here, and the rope ends at the belayer’s own knot.
    ...facts.filter(({ id }) => ['tie', 'threaded'].includes(id)),
    belayerFact,
    flag('upward', 'the anchor, or the belayer’s tether, is held against a pull upward'),
    fact('hand', ['off', 'on'], { on: 'the brake hand is around the brake strand' }),
    flag('piled', 'the rope lies in a pile that runs, the leader’s end on top'),
    flag('checked', 'each has looked at the other, both ways'),
    flag('called', 'both have called that the leader climbs'),
    fact('piece', ['none', 'early', 'back'], {
      early: 'the rope runs through a piece within reach above the stance',
      back: 'the rope runs through that piece from outside towards the wall',
      none: 'nothing above the stance is clipped',
    }),
    flag('leads', 'the leader is above the stance'),
    flag('there', 'the leader stands at the next anchor'),
    flag('told', 'the leader has called that the next anchor holds, and was answered'),
    flag('out', 'the rope is out of the device'),
    flag('worked'),
  ],
  start: {
    where: 'up',
    weight: 'lanyard',
    'lanyard.on': 'yes',
    'lanyard.locked': 'yes',
    'lanyard.tested': 'yes',
    'lanyard.at': 'anchor',
  },
  invariants: [
    never(
      'belayer',
      'fall',
      'The leader’s weight comes on a belayer who is not attached to the anchor.',
      is('weight', 'rope'),
      is('belayerOn', 'no'),
    ),
    never('unchecked', 'fall', 'Not all of it was looked at: knot, device and lock.', is('leads'), is('checked', 'no')),
    never('uncalled', 'fall', 'The leader climbs and the belayer does not know it.', is('leads'), is('called', 'no')),
    never(
      'past',
      'drop',
      'No piece above the belay is clipped: the leader falls past the belayer, twice as far as they climbed, and pulls from below.',
      is('leads'),
      is('piece', 'none'),
    ),
    never(
      'back-clipped',
      'drop',
      'The rope can unclip itself from the first piece; then the fall goes past the belayer.',
      is('leads'),
      is('piece', 'back'),
    ),
    never(
      'upward',
      'drop',
      'The fall pulls upward: the anchor is lifted, or the belayer is drawn to the first piece.',
      is('leads'),
      is('upward', 'no'),
    ),
    never(
      'tangle',
      'stranded',
      'The rope knots itself in front of the device while the leader climbs.',
      is('leads'),
      is('piled', 'no'),
    ),
    never(
      'out-early',
      'fall',
      'The rope is taken out of the device, and the leader did not say that the next anchor holds.',
      is('out'),
      is('told', 'no'),
    ),
  ],
  steps: [
    belayerOn,
    step(
      'upward-hold',
      'See that the anchor holds a pull upward as well.',
      'A bolt does; trad gear needs an upward-pull piece.',
      { ...belayer, only: direct, sets: [to('upward', 'yes')] },
    ),
    step(
      'tether-set',
      'Set your tether so that a pull upward cannot draw you to the first piece.',
      'By its length: the device stays an arm’s length below that piece.',
      { ...belayer, only: onHarness, sets: [to('upward', 'yes')] },
    ),
    step('pile', 'Run the rope through into a pile, the leader’s end on top.', 'It comes off freely.', {
      ...belayer,
      can: [is('leads', 'no')],
      sets: [to('piled', 'yes')],
    }),
    tieInStep('leader'),
    step(
      'device-thread',
      'Put the rope into the device.',
      'Load strand to the leader, brake strand to the hand, for the direction that a fall pulls in.',
      {
        ...belayer,
        can: [is('threaded', 'none'), is('out', 'no')],
        sets: [to('rope.on', 'yes'), to('threaded', 'right')],
        wrongs: [
          wrong('backwards', 'load and brake strand are swapped', to('rope.on', 'yes'), to('threaded', 'backwards')),
        ],
      },
    ),
    lock,
    step('hand-on', 'Close the brake hand around the brake strand.', 'It stays there until the leader is attached.', {
      ...belayer,
      can: [is('rope.on')],
      sets: [to('hand', 'on')],
    }),
    step(
      'clip-first',
      'Clip a piece above the stance while you still stand at the anchor.',
      'Within reach, an arm’s length above the device, and good: it turns the fall.',
      {
        who: 'leader',
        can: [not('tie', 'none'), is('piece', 'none'), is('leads', 'no')],
        sets: [to('piece', 'early')],
        wrongs: [wrong('back', 'the rope is clipped in from the wrong side', to('piece', 'back'))],
      },
    ),
    step(
      'device-weigh',
      'Lean back into the rope while the lanyard is still clipped; the belayer holds.',
      'The device locks or the hand holds it; nothing creeps.',
      { who: 'leader', can: [is('rope.on'), is('leads', 'no')], tests: 'rope' },
    ),
    step(
      'check',
      'Look at each other’s knot, device and attachment, and say what you see.',
      'Five pairs in the knot, a locked gate, the rope the right way round.',
      {
        who: 'both',
        can: [is('rope.on'), not('tie', 'none'), is('leads', 'no')],
        sets: [to('checked', 'yes', is('rope.locked'), is('belayerOn'))],
      },
    ),
    callClimb(is('leads', 'no')),
    lanyardOff('Unclip the lanyard; the rope is tight.', 'You hang or stand on belay; the brake hand is closed.', 1),
    step('climb', 'Climb on; the belayer pays out and takes in with you.', 'A slight bow of rope, no more.', {
      who: 'leader',
      can: [is('lanyard.on', 'no'), not('tie', 'none'), is('rope.on')],
      sets: [to('leads', 'yes'), to('weight', 'rope')],
    }),
    step('reach-anchor', 'Reach the next anchor.', 'Looked at before it is trusted.', {
      who: 'leader',
      can: [is('leads')],
      sets: [to('there', 'yes')],
    }),
    step('lanyard-clip', 'Clip your lanyard to its master point.', 'From the belay loop, over no edge.', {
      who: 'leader',
      can: [is('there'), is('lanyard.on', 'no')],
      sets: [to('lanyard.on', 'yes')],
    }),
    step('lanyard-lock', 'Lock the connector of the lanyard.', 'Gate shut and locked.', {
      who: 'leader',
      can: [is('lanyard.on'), is('there')],
      sets: [to('lanyard.locked', 'yes')],
    }),
    step('lanyard-weigh', 'Lean into the lanyard, still on belay.', 'Harness, lanyard and anchor carry you.', {
      who: 'leader',
      can: [is('lanyard.on'), is('there')],
      tests: 'lanyard',
    }),
    step(
      'call-off',
      'Call, with the name, that you may be taken off; hear the answer.',
      'Attached, locked and tested with your weight before the call.',
      { who: 'both', can: [is('there'), is('lanyard.locked'), is('lanyard.tested')], sets: [to('told', 'yes')] },
    ),
    step('rope-out', 'Only after that call take the rope out of the device.', 'Your own attachment stays on.', {
      ...belayer,
      can: [is('rope.on')],
      sets: [
        to('rope.on', 'no'),
        to('rope.locked', 'no'),
        to('threaded', 'none'),
        to('hand', 'off'),
        to('out', 'yes'),
        to('worked', 'yes'),
      ],
      mustHold: 1,
    }),
  ],
});
