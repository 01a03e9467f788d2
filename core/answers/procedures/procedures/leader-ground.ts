import { fact, flag, is, lane, never, not, procedure, step, to, wrong } from '../build.ts';
import { callClimb } from './common.ts';
import {
  agree,
  neverAlone,
  endKnot,
  facts,
  ground,
  tiedAndThreaded,
  lock,
  lowerStep,
  openEnd,
  tieInStep,
  untie,
} from './lowering.ts';

const belayer = { who: 'belayer' } as const;

/**
 * Belay a leader from the ground and lower them. Until the first piece is clipped the rope holds nobody; from then on
 * the brake hand does. What a fall does on the way is asked with *If the leader falls*.
 */
export const leaderFromGround = procedure({
  id: 'leader-ground',
  title: 'Belay a leader from the ground and lower them',
  purpose: 'The rope follows the leader from piece to piece; the belayer stands below with the device on the harness.',
  lanes: [lane('rope', 'Rope', [[...tiedAndThreaded, is('hand', 'on')]])],
  variants: [],
  variables: [
    ...facts,
    fact('stance', ['far', 'close'], {
      close: 'the belayer stands close to the wall, out of the line of fall',
      far: 'the belayer stands away from the wall',
    }),
    fact('hand', ['off', 'on'], { on: 'the brake hand is around the brake strand' }),
    flag('checked', 'each has looked at the other, both ways'),
    flag('called', 'both have called that the leader climbs'),
    flag('spotted', 'the belayer stands below with both hands up', 'the belayer’s hands are at the rope'),
    fact('piece', ['none', 'clipped', 'back'], {
      clipped: 'the rope runs through the first piece from the wall outwards',
      back: 'the rope runs through the first piece from outside towards the wall',
      none: 'nothing is clipped',
    }),
    fact('top', ['none', 'through'], { through: 'the rope runs through the anchor, every gate locked or doubled' }),
    flag('topCalled', 'the call from the top was answered, and the rope went tight'),
  ],
  start: { slack: 'yes' },
  invariants: [
    openEnd,
    neverAlone,
    never(
      'uncalled',
      'fall',
      'The leader climbs and the belayer does not know it.',
      not('where', 'ground'),
      is('called', 'no'),
    ),
    never(
      'unchecked',
      'fall',
      'Not all of it was looked at: knot, device, lock and free end.',
      not('where', 'ground'),
      is('checked', 'no'),
    ),
    never(
      'unagreed',
      'fall',
      'Up, and it was not agreed that it is lowering: the belayer may take the rope out of the device.',
      is('where', 'up'),
      is('agreed', 'no'),
    ),
    never('nothing', 'fall', 'Nothing is clipped: the rope holds nobody.', is('where', 'up'), is('piece', 'none')),
    never(
      'unspotted',
      'fall',
      'Below the first piece nobody keeps the leader from falling on the back.',
      is('where', 'low'),
      is('piece', 'none'),
      is('spotted', 'no'),
    ),
    never(
      'back-clipped',
      'fall',
      'The rope can unclip itself from the first piece in a fall.',
      is('where', 'up'),
      is('piece', 'back'),
    ),
    never(
      'drawn',
      'drop',
      'Far from the wall the belayer is drawn to it, and the leader falls so much farther.',
      is('where', 'up'),
      is('stance', 'far'),
    ),
    never(
      'no-top',
      'fall',
      'The leader is being lowered off the last piece, not off the anchor.',
      is('going'),
      is('top', 'none'),
    ),
    never('shock', 'drop', 'Slack is left: the leader drops into it.', is('going'), is('slack')),
  ],
  steps: [
    tieInStep('leader'),
    endKnot,
    step(
      'device-thread',
      'Put the rope into the device on the belay loop.',
      'Load strand to the leader, brake strand to the hand, as the maker shows.',
      {
        ...belayer,
        can: [is('threaded', 'none')],
        sets: [to('rope.on', 'yes'), to('threaded', 'right')],
        wrongs: [
          wrong('backwards', 'load and brake strand are swapped', to('rope.on', 'yes'), to('threaded', 'backwards')),
        ],
      },
    ),
    lock,
    step('hand-on', 'Close the brake hand around the brake strand.', 'It stays there until the rope is free.', {
      ...belayer,
      can: [is('rope.on')],
      sets: [to('hand', 'on'), to('spotted', 'no')],
    }),
    step(
      'device-weigh',
      'Pull hard at the leader’s strand; the belayer holds.',
      'The device locks or the hand holds it; nothing creeps.',
      { who: 'leader', can: [is('rope.on'), is('where', 'ground')], tests: 'rope' },
    ),
    step(
      'check',
      'Look at each other’s harness, knot and device, and say what you see.',
      'Five pairs in the knot, a locked gate, the rope the right way round, its free end knotted.',
      {
        who: 'both',
        can: [is('rope.on'), not('tie', 'none'), is('where', 'ground')],
        // What was not ready yet was not looked at.
        sets: [to('checked', 'yes', is('rope.locked'), is('ends', 'closed'))],
      },
    ),
    agree,
    step('stance', 'Stand close to the wall, beside the line of fall.', 'Less than two metres from the wall.', {
      ...belayer,
      sets: [to('stance', 'close')],
    }),
    callClimb(is('where', 'ground')),
    step(
      'spot',
      'Before the first piece is clipped, spot the leader, with enough slack for the first moves.',
      'Your hands are up, near the leader’s hips.',
      {
        ...belayer,
        can: [is('where', 'ground', 'low'), is('stance', 'close')],
        sets: [to('spotted', 'yes'), to('hand', 'off')],
      },
    ),
    step('start', 'Climb to the first piece.', 'No higher than you could safely fall.', {
      who: 'leader',
      can: [is('where', 'ground'), is('rope.on'), is('down', 'no')],
      sets: [to('where', 'low')],
    }),
    step(
      'clip-first',
      'Clip the first piece.',
      'The rope comes out of it towards you, and the gate looks away from where you climb.',
      {
        who: 'leader',
        can: [is('where', 'low'), is('piece', 'none')],
        sets: [to('piece', 'clipped')],
        wrongs: [wrong('back', 'the rope is clipped in from the wrong side', to('piece', 'back'))],
      },
    ),
    step('hand-down', 'Hands to the rope: brake hand down and closed.', 'Little slack, and none on the ground.', {
      ...belayer,
      can: [is('rope.on'), is('where', 'low')],
      sets: [to('spotted', 'no'), to('hand', 'on')],
    }),
    step('climb', 'Climb on; the belayer pays out and takes in with you.', 'A slight bow of rope, no more.', {
      who: 'leader',
      can: [is('where', 'low'), not('tie', 'none')],
      sets: [to('where', 'up'), to('weight', 'rope')],
    }),
    step(
      'clip-top',
      'Put the rope through the anchor.',
      'Two points, each with a locked gate or two carabiners opposed.',
      { who: 'leader', can: [is('where', 'up')], sets: [to('top', 'through')] },
    ),
    step('call-top', 'Call “take”, hear the answer, and feel the rope go tight.', 'The rope pulls at the harness.', {
      who: 'both',
      can: [is('where', 'up'), is('top', 'through')],
      sets: [to('topCalled', 'yes'), to('slack', 'no')],
    }),
    lowerStep(is('topCalled')),
    ground,
    untie,
  ],
});
