import { fact, flag, is, lane, never, not, procedure, step, to, wrong } from '../build.ts';
import { belayerFact } from './common.ts';

const belayer = { who: 'belayer' } as const;

/**
 * Lower a second who hangs in a plate at the anchor that grips by itself. Tilted, the plate holds next to nothing: the
 * brake strand is redirected and a hitch is on it before the plate is touched.
 */
export const lowerSecond = procedure({
  id: 'lower-second',
  title: 'Lower a second from a plate that grips',
  purpose: 'The second hangs in the plate and has to go down: to a ledge, to the ground, or past a hard move.',
  lanes: [
    lane('rope', 'Plate', [[is('tilted', 'no')], [is('tilted'), is('led', 'up'), is('hand', 'on')]]),
    lane('hitch', 'Hitch on the brake strand', [[is('wraps', 'enough')]]),
  ],
  variants: [],
  variables: [
    belayerFact,
    flag('agreed', 'both said that it is lowering, and by which word'),
    flag('reach', 'the rope reaches: by the marks on it, by its length or in sight'),
    fact('ends', ['open', 'closed'], { closed: 'the free end is knotted or tied in', open: 'the free end is open' }),
    fact('led', ['down', 'up'], {
      up: 'the brake strand goes up through a locked connector above the plate, then to the hand',
      down: 'the brake strand hangs down from the plate',
    }),
    fact('wraps', ['none', 'few', 'enough'], { enough: 'the wraps lie side by side, and the hitch grips when pulled' }),
    fact('release', ['none', 'ready'], {
      ready: 'a cord runs from the hole of the plate up through a connector and down to the belayer',
      none: 'no cord is in the hole of the plate',
    }),
    fact('hand', ['off', 'on'], { on: 'the brake hand is around the brake strand', off: 'the brake hand is off' }),
    flag('tilted', 'the plate is tilted and lets rope through', 'the plate grips hands-off'),
    flag('rehearsed', 'a hand’s width ran and was held again'),
    flag('going'),
    flag('lowered', 'the plate grips again after lowering'),
    flag('worked'),
    flag('down', 'the second stands and has said so'),
  ],
  start: {
    where: 'up',
    weight: 'rope',
    'rope.on': 'yes',
    'rope.locked': 'yes',
    'rope.tested': 'yes',
    belayerOn: 'yes',
  },
  mustHold: 1,
  invariants: [
    never(
      'hand-alone',
      'fall',
      'The plate is tilted and nothing but the hand is on the brake strand.',
      is('tilted'),
      is('hitch.on', 'no'),
    ),
    never(
      'beside',
      'fall',
      'The plate is tilted and the brake strand hangs beside the load: the hand holds next to nothing.',
      is('tilted'),
      is('led', 'down'),
    ),
    never('let-go', 'drop', 'The plate is tilted and no hand is on the brake strand.', is('tilted'), is('hand', 'off')),
    never('end', 'fall', 'The free end runs through the plate.', is('going'), is('ends', 'open')),
    never(
      'short',
      'stranded',
      'The rope does not reach, and nobody has looked: the second hangs above the place.',
      is('going'),
      is('reach', 'no'),
    ),
    never(
      'misunderstood',
      'fall',
      'The second does not know that it is lowering: unready, and perhaps not even hanging in the rope.',
      is('tilted'),
      is('agreed', 'no'),
    ),
    never(
      'unrehearsed',
      'untested',
      'It was not tried over a hand’s width whether rope and hand can be held.',
      is('going'),
      is('rehearsed', 'no'),
    ),
  ],
  steps: [
    step(
      'call-lower',
      'Agree that it is lowering, how far, and by which words to stop and to go on.',
      'Both have said it, with the name.',
      { who: 'both', sets: [to('agreed', 'yes')] },
    ),
    step('rope-reach', 'Look whether the rope reaches, and over what it will run.', 'By its marks, length or sight.', {
      ...belayer,
      sets: [to('reach', 'yes')],
    }),
    step('end-knot', 'Knot the free end, or see that you are tied into it.', 'A stopper with a long tail.', {
      ...belayer,
      sets: [to('ends', 'closed')],
    }),
    step(
      'brake-led',
      'Lead the brake strand up through a locked connector above the plate, then down to your hand.',
      'From the plate up, through the connector, down.',
      { ...belayer, can: [is('tilted', 'no')], sets: [to('led', 'up')] },
    ),
    step(
      'hitch-tie',
      'Tie a friction hitch around the brake strand and clip it to your belay loop.',
      'As many wraps as this rope and cord need; it cannot reach the redirect.',
      {
        ...belayer,
        can: [is('hitch.on', 'no')],
        sets: [to('hitch.on', 'yes'), to('wraps', 'enough')],
        wrongs: [wrong('few', 'it has too few wraps to grip', to('hitch.on', 'yes'), to('wraps', 'few'))],
      },
    ),
    step('hitch-lock', 'Lock the connector of the hitch.', 'Gate shut and locked.', {
      ...belayer,
      can: [is('hitch.on')],
      sets: [to('hitch.locked', 'yes')],
    }),
    step('hitch-test', 'Pull the brake strand hard through the hitch, against its grip.', 'It bites and holds.', {
      ...belayer,
      can: [is('hitch.on'), is('tilted', 'no')],
      tests: 'hitch',
      carries: 'rope',
    }),
    step(
      'release-rig',
      'Thread a thin sling through the hole of the plate and lead it up over a connector.',
      'Pulling it lifts the plate; your weight can come on it slowly, and off at once.',
      { ...belayer, can: [is('release', 'none')], sets: [to('release', 'ready')] },
    ),
    step('hand-on', 'Close the brake hand around the brake strand.', 'It stays there until the second stands.', {
      ...belayer,
      can: [is('led', 'up')],
      sets: [to('hand', 'on')],
    }),
    step(
      'tilt',
      'Put weight on the release sling slowly until the rope just moves, a hand’s width.',
      'It moves slowly and is held. It can release suddenly: keep your brake hand and the hitch on.',
      {
        ...belayer,
        can: [is('release', 'ready'), is('going', 'no')],
        sets: [to('tilted', 'yes')],
        mustHold: 2,
      },
    ),
    step('hold', 'Take the weight off the sling and see the plate grip again.', 'Nothing creeps with the hand eased.', {
      ...belayer,
      can: [is('tilted'), is('going', 'no')],
      sets: [to('tilted', 'no'), to('rehearsed', 'yes')],
    }),
    step('lower', 'Lower slowly, the hitch kept loose by the brake hand.', 'The second is in sight, or in hearing.', {
      ...belayer,
      can: [is('release', 'ready'), is('hand', 'on')],
      sets: [to('going', 'yes'), to('tilted', 'yes')],
      wrongs: [
        wrong(
          'let-go',
          'the hand leaves the rope to help at the sling',
          to('going', 'yes'),
          to('tilted', 'yes'),
          to('hand', 'off'),
        ),
      ],
    }),
    step('grip', 'Take the weight off the sling and let the plate grip.', 'Nothing creeps with the hand eased.', {
      ...belayer,
      can: [is('going')],
      sets: [to('tilted', 'no'), to('going', 'no'), to('lowered', 'yes')],
      mustHold: 1,
    }),
    step('stand', 'The second stands, or hangs where it was agreed, and says so.', 'Heard by name.', {
      who: 'second',
      can: [is('lowered'), is('tilted', 'no')],
      sets: [to('down', 'yes'), to('worked', 'yes')],
    }),
    step(
      'hitch-off',
      'Take off hitch, sling and redirect; the plate belays as before.',
      'The second’s strand lies above the brake strand.',
      {
        ...belayer,
        can: [is('down'), is('tilted', 'no'), not('hitch.on', 'no')],
        sets: [to('hitch.on', 'no'), to('hitch.locked', 'no'), to('release', 'none'), to('led', 'down')],
      },
    ),
  ],
});
