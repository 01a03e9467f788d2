import { fact, flag, is, lane, never, not, procedure, step, to, wrong } from '../build.ts';
import { belayerFact, belayerOn, climbTight, clipLock } from './common.ts';
import { tieInStep } from './lowering.ts';

const belayer = { who: 'belayer' } as const;

/**
 * Two seconds on two ropes in one plate at the anchor. What holds one does not hold the other: the attachments told are
 * those of the first to arrive, the other's are facts of their own with their own ways to fall.
 */
export const twoSeconds = procedure({
  id: 'two-seconds',
  title: 'Belay two seconds up and attach each',
  purpose: 'Two ropes in one plate that grips hands-off: each is tried, told and attached on its own.',
  lanes: [
    lane('rope', 'Rope of the first', [
      [is('tie', 'finished'), is('plate', 'above'), is('overridden', 'no'), is('emptied', 'no')],
    ]),
    lane('clip', 'Clove hitch of the first', [[is('tie', 'finished')]]),
  ],
  variants: [],
  variables: [
    fact('tie', ['none', 'unfinished', 'finished'], {
      finished: 'the first has a finished knot, through both tie-in points',
      none: 'the first is not tied in',
    }),
    fact('otherTie', ['none', 'unfinished', 'finished'], {
      finished: 'the other has a finished knot, through both tie-in points',
      none: 'the other is not tied in',
    }),
    fact('plate', ['none', 'above', 'below'], {
      above: 'the first’s strand lies above its brake strand',
      none: 'no rope is in the plate',
    }),
    fact('otherPlate', ['none', 'above', 'below'], {
      above: 'the other’s strand lies above its brake strand',
      none: 'no rope is in the plate',
    }),
    belayerFact,
    flag('crossed', 'the two ropes cross below the plate', 'the two ropes run beside each other'),
    flag('overridden', 'a brake strand is led up and loaded', 'both brake strands hang down'),
    flag('slack', 'slack lies between plate and first', 'the rope to the first is tight'),
    flag('otherSlack', 'slack lies between plate and other', 'the rope to the other is tight'),
    flag('otherTested', 'the other’s strand held the weight alone'),
    flag('called', 'the first has called and was answered'),
    flag('otherCalled', 'the other has called and was answered'),
    fact('other', ['ground', 'up', 'waits', 'there'], {
      waits: 'the other stands and waits, and has said so',
      there: 'the other stands at the anchor',
    }),
    flag('arrived', 'the first stands at the anchor'),
    fact('otherClip', ['off', 'on', 'locked', 'weighed'], {
      on: 'the other’s clove hitch is on the anchor',
      locked: 'the connector of the other’s hitch is locked',
      weighed: 'the other’s hitch carries the weight',
    }),
    flag('told', 'the first has said that the hitch carries'),
    flag('otherTold', 'the other has said that the hitch carries'),
    flag('worked'),
    flag('emptied', 'the plate is open and empty', 'both ropes are in the plate'),
  ],
  start: { slack: 'yes', otherSlack: 'yes' },
  invariants: [
    never('belayer', 'fall', 'The belayer is not attached to the anchor.', is('where', 'up'), is('belayerOn', 'no')),
    never(
      'uncalled',
      'fall',
      'The first climbs and the belayer does not know it.',
      is('where', 'up'),
      is('called', 'no'),
    ),
    never(
      'other-uncalled',
      'fall',
      'The other climbs and the belayer does not know it.',
      not('other', 'ground'),
      is('otherCalled', 'no'),
    ),
    never(
      'other-untied',
      'fall',
      'The other climbs on a knot that is not finished.',
      not('other', 'ground'),
      not('otherTie', 'finished'),
    ),
    never(
      'other-below',
      'fall',
      'The other’s strand lies below its brake strand: the plate does not hold it.',
      not('other', 'ground'),
      not('otherPlate', 'above'),
      is('emptied', 'no'),
    ),
    never(
      'other-untested',
      'untested',
      'The other climbs on a strand that was not tried alone: that one strand holds says nothing of the other.',
      not('other', 'ground'),
      is('otherTested', 'no'),
    ),
    never(
      'unlocked',
      'untested',
      'The other climbs on a plate that is not locked.',
      is('other', 'up', 'waits'),
      is('rope.locked', 'no'),
      is('emptied', 'no'),
    ),
    never(
      'crossed',
      'fall',
      'The ropes cross: one lies under the other in the plate, and the climber on it may not be held.',
      not('other', 'ground'),
      is('crossed'),
    ),
    never('shock', 'drop', 'Slack is left: the first drops into it.', is('where', 'up'), is('slack')),
    never('other-shock', 'drop', 'Slack is left: the other drops into it.', not('other', 'ground'), is('otherSlack')),
    never(
      'other-overridden',
      'fall',
      'A brake strand is led up and loaded: the plate opens for the other as well.',
      is('overridden'),
      is('other', 'up', 'waits'),
    ),
    never(
      'other-emptied',
      'fall',
      'The plate is opened while the other still hangs on it.',
      is('emptied'),
      not('otherClip', 'weighed'),
    ),
    never(
      'untold',
      'fall',
      'The ropes are taken out and one of the two was not heard: they may still trust the plate.',
      is('emptied'),
      is('told', 'no'),
    ),
    never(
      'other-untold',
      'fall',
      'The ropes are taken out and the other was not heard: they may still trust the plate.',
      is('emptied'),
      is('otherTold', 'no'),
    ),
  ],
  steps: [
    belayerOn,
    step(
      'plate-thread',
      'Hang the plate at the anchor by its own eye and put each rope into its own slot.',
      'Both strands to the seconds lie above their brake strands, side by side.',
      {
        ...belayer,
        can: [is('plate', 'none'), is('emptied', 'no')],
        sets: [to('rope.on', 'yes'), to('plate', 'above'), to('otherPlate', 'above')],
        wrongs: [
          wrong(
            'other-below',
            'one of the two strands to the seconds lies below its brake strand',
            to('rope.on', 'yes'),
            to('plate', 'above'),
            to('otherPlate', 'below'),
          ),
          wrong(
            'load-below',
            'both strands to the seconds lie below the brake strands',
            to('rope.on', 'yes'),
            to('plate', 'below'),
            to('otherPlate', 'below'),
          ),
        ],
      },
    ),
    step('plate-lock', 'Lock both connectors of the plate.', 'Gates shut and locked, both ropes in the connector.', {
      ...belayer,
      can: [not('plate', 'none')],
      sets: [to('rope.locked', 'yes')],
    }),
    tieInStep('first', is('where', 'ground')),
    step(
      'tie-in-other',
      'The other ties in to the other rope in the same way.',
      'Five pairs of strands, a tail longer than a fist; each on a rope of their own.',
      {
        who: 'other',
        can: [is('otherTie', 'none'), is('other', 'ground')],
        sets: [to('otherTie', 'finished')],
        wrongs: [wrong('unfinished', 'the knot is not traced to the end', to('otherTie', 'unfinished'))],
      },
    ),
    step('take-in', 'Take in both ropes until each is tight.', 'Each rope pulls at its own second.', {
      ...belayer,
      can: [not('plate', 'none'), not('tie', 'none'), not('otherTie', 'none')],
      sets: [to('slack', 'no'), to('otherSlack', 'no')],
    }),
    step(
      'plate-weigh',
      'The first leans back into the rope, still on the ground, the belayer’s hand off for that.',
      'This strand holds alone; nothing creeps.',
      { who: 'first', can: [is('rope.on'), not('tie', 'none'), is('slack', 'no')], tests: 'rope' },
    ),
    step(
      'plate-weigh-other',
      'Now the other leans back, while the first keeps their own rope loaded.',
      'This rope holds too, both with the first rope loaded and with it slack.',
      {
        who: 'other',
        can: [is('otherPlate', 'above'), is('otherTie', 'finished'), is('otherSlack', 'no'), is('tie', 'finished')],
        sets: [to('otherTested', 'yes')],
      },
    ),
    step('call-climb', 'The first calls, with the name, and hears the answer.', 'The answer came from the belayer.', {
      who: 'first',
      can: [is('rope.on'), is('slack', 'no')],
      sets: [to('called', 'yes')],
    }),
    climbTight('first', 'The first climbs; the belayer takes in at once.'),
    step(
      'call-other',
      'The other waits for a body length of distance, calls, and hears the answer.',
      'The answer names this rope by its colour.',
      { who: 'other', can: [is('otherSlack', 'no'), is('where', 'up')], sets: [to('otherCalled', 'yes')] },
    ),
    step(
      'climb-other',
      'The other climbs behind, staying on their own side of the first rope.',
      'The ropes run beside each other down from the plate.',
      {
        who: 'other',
        can: [is('other', 'ground'), is('where', 'up'), is('otherPlate', 'above', 'below')],
        sets: [to('other', 'up')],
        wrongs: [
          wrong('crosses', 'the two have changed sides and the ropes cross', to('other', 'up'), to('crossed', 'yes')),
        ],
      },
    ),
    step(
      'arrive',
      'The first comes up to the anchor and stands; the rope stays tight.',
      'Within reach of the anchor.',
      {
        who: 'first',
        can: [is('where', 'up')],
        sets: [to('arrived', 'yes')],
      },
    ),
    step(
      'wait-other',
      'Ask the other to stop at a good place, take in, and say that your hands will be busy.',
      'The other stands and has answered; that rope is tight.',
      { who: 'both', can: [is('other', 'up')], sets: [to('other', 'waits'), to('otherSlack', 'no')] },
    ),
    step(
      'clip-hitch',
      'Tie a clove hitch in the first’s rope in the air, and clip it to the anchor at once.',
      'Both strands that leave the plate hang down all the time.',
      {
        ...belayer,
        can: [is('arrived'), is('clip.on', 'no')],
        // Both hands are at the hitch: who goes on climbing has slack above.
        sets: [to('clip.on', 'yes'), to('otherSlack', 'yes', is('other', 'up'))],
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
    step('clip-weigh', 'The first leans into the hitch with the whole weight.', 'It drew tight and holds.', {
      who: 'first',
      can: [is('clip.on')],
      tests: 'clip',
    }),
    step('call-off', 'The first says that the hitch carries; hear it said back.', 'Both have said it.', {
      who: 'first',
      can: [is('arrived'), is('clip.locked'), is('clip.tested')],
      sets: [to('told', 'yes')],
    }),
    step('go-on-other', 'Call the other on; take in at once.', 'The hands are back at the brake strands.', {
      who: 'both',
      can: [is('other', 'waits')],
      sets: [to('other', 'there')],
    }),
    step(
      'clip-hitch-other',
      'Attach the other in the same way: a hitch tied in the air, clipped at once.',
      'The plate still holds both ropes.',
      {
        ...belayer,
        can: [is('other', 'there'), is('otherClip', 'off')],
        sets: [to('otherClip', 'on')],
      },
    ),
    step('clip-lock-other', 'Lock the connector of that hitch.', 'Gate shut and locked.', {
      ...belayer,
      can: [is('otherClip', 'on')],
      sets: [to('otherClip', 'locked')],
    }),
    step('clip-weigh-other', 'The other leans into the hitch with the whole weight.', 'It drew tight and holds.', {
      who: 'other',
      can: [is('otherClip', 'locked')],
      sets: [to('otherClip', 'weighed')],
    }),
    step('call-off-other', 'The other says that the hitch carries; hear it said back.', 'Both have said it.', {
      who: 'other',
      can: [is('otherClip', 'weighed')],
      sets: [to('otherTold', 'yes')],
    }),
    step(
      'rope-out',
      'Only now open the plate and take both ropes out.',
      'Each of the two hangs on a hitch of their own.',
      {
        ...belayer,
        can: [is('rope.on'), is('arrived')],
        sets: [
          to('rope.on', 'no'),
          to('rope.locked', 'no'),
          to('plate', 'none'),
          to('otherPlate', 'none'),
          to('emptied', 'yes'),
          to('weight', 'clip', is('clip.on')),
          to('worked', 'yes'),
        ],
        mustHold: 1,
      },
    ),
  ],
});
