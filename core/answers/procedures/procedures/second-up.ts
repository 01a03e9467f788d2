import { fact, flag, is, lane, never, not, procedure, step, to, wrong } from '../build.ts';
import { belayerFact, belayerOn, callClimb, climbTight, clipLock } from './common.ts';
import { tieInStep } from './lowering.ts';

/** Steps of who belays at the anchor. */
const belayer = { who: 'belayer' } as const;

/**
 * Belay a second up with a plate at the anchor that grips by itself, and attach them there. The second is the one who
 * can fall; two seconds on two ropes go through the same steps, each by itself.
 */
export const secondUp = procedure({
  id: 'second-up',
  title: 'Belay a second up and attach them',
  purpose: 'A plate at the anchor that grips hands-off; the second is clipped in before the rope leaves the plate.',
  lanes: [
    lane('rope', 'Rope in the plate', [[is('tie', 'finished'), is('plate', 'load-above'), is('overridden', 'no')]]),
    lane('clip', 'Clove hitch', [[is('tie', 'finished')]]),
  ],
  variants: [],
  variables: [
    fact('tie', ['none', 'unfinished', 'finished'], {
      finished: 'the knot is finished, through both tie-in points, five pairs and a tail',
      none: 'nobody is tied in',
    }),
    fact('plate', ['none', 'load-above', 'load-below'], {
      'load-above': 'the second’s strand lies above the brake strand',
      none: 'no rope is in the plate',
    }),
    belayerFact,
    flag('overridden', 'the brake strand is led up and loaded', 'the brake strand hangs down'),
    flag('slack', 'slack lies between plate and second', 'the rope is tight from the plate to the second'),
    flag('called', 'both have called that the second climbs'),
    flag('arrived', 'the second stands at the anchor'),
    flag('told', 'both said that the second hangs on the hitch, and the rope may leave the plate'),
    flag('out', 'the rope is out of the plate'),
  ],
  start: { slack: 'yes' },
  invariants: [
    never(
      'uncalled',
      'fall',
      'The second climbs and the belayer does not know it.',
      is('where', 'up'),
      is('called', 'no'),
      is('arrived', 'no'),
    ),
    never('belayer', 'fall', 'The belayer is not attached to the anchor.', is('where', 'up'), is('belayerOn', 'no')),
    never('shock', 'drop', 'Slack is left: the second drops into it.', is('where', 'up'), is('slack')),
    never(
      'untold',
      'fall',
      'The rope is taken out and it was not said: the second may still trust it.',
      is('out'),
      is('told', 'no'),
    ),
  ],
  steps: [
    belayerOn,
    step(
      'plate-thread',
      'Hang the plate at the anchor by its own eye and put the rope in.',
      'The second’s strand lies above the brake strand.',
      {
        ...belayer,
        can: [is('plate', 'none')],
        sets: [to('rope.on', 'yes'), to('plate', 'load-above')],
        wrongs: [
          wrong(
            'load-below',
            'the second’s strand lies below the brake strand',
            to('rope.on', 'yes'),
            to('plate', 'load-below'),
          ),
        ],
      },
    ),
    step('plate-lock', 'Lock both connectors of the plate.', 'Gates shut and locked, away from rope and rock.', {
      ...belayer,
      can: [not('plate', 'none')],
      sets: [to('rope.locked', 'yes')],
    }),
    tieInStep('second', is('where', 'ground')),
    step('take-in', 'Take in until the rope is tight.', 'The rope pulls at the second, not at a ledge or a crack.', {
      ...belayer,
      can: [not('plate', 'none'), not('tie', 'none')],
      sets: [to('slack', 'no')],
    }),
    step(
      'plate-weigh',
      'Second: lean back on the rope, still on the ground. Belayer: open your brake hand around the rope; the plate must hold.',
      'The plate holds hands-off; nothing creeps.',
      { who: 'second', can: [is('rope.on'), is('tie', 'unfinished', 'finished'), is('slack', 'no')], tests: 'rope' },
    ),
    callClimb(is('slack', 'no')),
    climbTight('second', 'Climb; the belayer takes in at once.'),
    step('arrive', 'Come up to the anchor and stand; the rope stays tight.', 'Within reach of the anchor.', {
      who: 'second',
      can: [is('where', 'up')],
      sets: [to('arrived', 'yes')],
    }),
    step(
      'clip-hitch',
      'Tie a clove hitch in the second’s rope in the air, and clip it to the anchor at once.',
      'The strand that leaves the plate hangs down all the time.',
      {
        ...belayer,
        can: [is('arrived'), is('clip.on', 'no')],
        sets: [to('clip.on', 'yes')],
        wrongs: [
          wrong(
            'on-connector',
            'it is wrapped onto the carabiner turn by turn, and the brake strand is led up and loaded',
            to('overridden', 'yes'),
          ),
        ],
      },
    ),
    clipLock,
    step(
      'clip-weigh',
      'Lean into the hitch with your whole weight.',
      'It drew tight and holds; the rope to the plate is slack.',
      {
        who: 'second',
        can: [is('clip.on')],
        tests: 'clip',
      },
    ),
    step(
      'call-off',
      'Say that you hang on the hitch and may be taken off the plate; hear it said back.',
      'Both have said it.',
      {
        who: 'both',
        can: [is('arrived'), is('clip.on')],
        sets: [to('told', 'yes')],
      },
    ),
    step('rope-out', 'Take the rope out of the plate.', 'The second hangs on the hitch.', {
      ...belayer,
      can: [is('rope.on'), is('arrived')],
      sets: [
        to('rope.on', 'no'),
        to('rope.locked', 'no'),
        to('plate', 'none'),
        to('out', 'yes'),
        to('weight', 'clip', is('clip.on')),
      ],
      mustHold: 1,
    }),
  ],
});
