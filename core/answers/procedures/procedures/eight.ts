import { fact, flag, is, lane, never, procedure, step, to, wrong } from '../build.ts';
import type { Step } from '../procedure.ts';
import { lanyardFact, lanyardLane, lanyardOff, lanyardOn } from './common.ts';

const THREADINGS = {
  below: 'Push a bight up through the large ring from below and lay it over the stem',
  above: 'Push a bight down through the large ring from above and bring it round behind the stem',
} as const;
const HANDS = { right: 'right', left: 'left' } as const;

const threading: Step[] = (Object.keys(THREADINGS) as (keyof typeof THREADINGS)[]).flatMap((school) =>
  (Object.keys(HANDS) as (keyof typeof HANDS)[]).map((hand) =>
    step(
      `thread-${school}-${hand}`,
      `${THREADINGS[school]}, so that the brake strand leaves on the ${hand}.`,
      `The eight stays clipped by its large ring meanwhile; the brake strand runs to the ${hand} hand.`,
      {
        only: { threading: school, hand },
        can: [is('where', 'up')],
        sets: [to('eight.threaded', hand)],
        wrongs: [
          wrong(
            'mirrored',
            'the brake strand comes out on the other side',
            to('eight.threaded', hand === 'right' ? 'left' : 'right'),
            to('side', 'wrong'),
          ),
        ],
      },
    ),
  ),
);

/** Two schools of tying off; the last steps are the same. */
const lockOff: Step[] = [
  step(
    'jam-once',
    'Feet on the wall: pull the brake strand up and jam it between the load strand and the big ring.',
    'It sits deep and bites; the hand stays on the strand.',
    {
      only: { lockOff: 'feet' },
      can: [is('hand', 'on'), is('going', 'no')],
      sets: [to('lock', 'once')],
    },
  ),
  step('jam-twice', 'Do it a second time, over the first.', 'Two turns, both deep.', {
    only: { lockOff: 'feet' },
    can: [is('lock', 'once')],
    sets: [to('lock', 'twice')],
    wrongs: [wrong('shallow', 'the turn lies on top and slips off', to('lock', 'none'))],
  }),
  step(
    'horn-once',
    'Hanging free: keep the brake hand low and wrap the brake strand over one ear.',
    'Nothing ran while it crossed; the hand stays on the strand.',
    {
      only: { lockOff: 'free' },
      can: [is('hand', 'on'), is('going', 'no')],
      sets: [to('lock', 'once')],
    },
  ),
  step('horn-twice', 'Cross it over the other horn as well.', 'Two crossings, one on each horn.', {
    only: { lockOff: 'free' },
    can: [is('lock', 'once')],
    sets: [to('lock', 'twice')],
    wrongs: [wrong('slipped', 'the strand slips off the horn', to('lock', 'none'))],
  }),
];

export const eight = procedure({
  id: 'eight',
  title: 'Eight on one strand: thread it, stop, tie off, go on',
  purpose: 'Training on a fixed line with a second rope for safety: both threadings, both hands, both ways to tie off.',
  lanes: [
    lanyardLane,
    lane('line', 'Safety line', [[is('line.belayed')]]),
    lane('eight', 'Eight', [
      [is('eight.threaded', 'right', 'left'), is('side', 'matches'), is('hand', 'on')],
      [is('eight.threaded', 'right', 'left'), is('lock', 'twice'), is('knot')],
    ]),
  ],
  variants: [
    {
      id: 'threading',
      label: 'Threading',
      options: { below: 'Bight up through the ring', above: 'Bight down through the ring' },
    },
    { id: 'hand', label: 'Brake hand', options: { right: 'Right', left: 'Left' } },
    { id: 'lockOff', label: 'Tie off', options: { feet: 'With feet on the wall', free: 'Hanging free, eared eight' } },
  ],
  start: { side: 'matches' },
  variables: [
    lanyardFact,
    flag('clear', 'hair, gloves, straps and shirt are out of reach of the eight'),
    flag('line.belayed', 'the belayer holds the safety line and has said so'),
    fact('eight.threaded', ['no', 'right', 'left'], {
      right: 'the brake strand leaves the eight on the right',
      left: 'the brake strand leaves the eight on the left',
      no: 'no rope is in the eight',
    }),
    fact('side', ['matches', 'wrong']),
    fact('hand', ['off', 'on'], { on: 'the brake hand is on the brake strand', off: 'the brake hand is off' }),
    fact('lock', ['none', 'once', 'twice'], { twice: 'the strand is locked twice', none: 'the strand is not locked' }),
    flag('bight', 'a bight comes through'),
    flag('knot', 'the safety knot is tied around the load strand', 'the safety knot is untied'),
    flag('called', 'you called that you are going, and were answered'),
    flag('going', 'you are moving', 'you have stopped'),
  ],
  invariants: [
    never(
      'hair',
      'stranded',
      'Hair or cloth is pulled into the eight: you hang there and cannot get it out.',
      is('going'),
      is('clear', 'no'),
    ),
  ],
  steps: [
    step(
      'tuck',
      'Tie hair back, tuck the shirt in, gloves tight, straps away.',
      'Nothing hangs where the eight will be.',
      {
        sets: [to('clear', 'yes')],
      },
    ),
    step('line-tie', 'Tie into the safety line.', 'Knot looked at by the partner, strand by strand.', {
      sets: [to('line.on', 'yes')],
    }),
    step('line-lock', 'Finish the knot of the safety line: pull every strand tight.', 'Tail a forearm long.', {
      can: [is('line.on')],
      sets: [to('line.locked', 'yes')],
    }),
    step('line-belay', 'Ask “On belay?”, wait for the answer.', 'The belayer answers; the line comes tight.', {
      who: 'belayer',
      can: [is('line.on')],
      sets: [to('line.belayed', 'yes')],
    }),
    step('line-weigh', 'Lean into the safety line.', 'The safety line carries you.', {
      can: [is('line.locked')],
      tests: 'line',
    }),
    ...lanyardOn(),
    step('edge', 'Step to the edge.', 'Lanyard and safety line are on.', { sets: [to('where', 'up')], mustHold: 2 }),
    ...threading,
    step(
      'eight-clip',
      'Turn the eight and clip its small ring to the belay loop.',
      'It was never unclipped from you.',
      {
        can: [is('eight.threaded', 'right', 'left'), is('clear')],
        sets: [to('eight.on', 'yes')],
      },
    ),
    step('eight-lock', 'Lock the connector of the eight.', 'Gate away from the rope.', {
      can: [is('eight.on')],
      sets: [to('eight.locked', 'yes')],
    }),
    step(
      'hand-on',
      'Take the brake strand in the brake hand, behind the hip.',
      'Thumb towards the eight; nothing in the way.',
      {
        can: [is('eight.on')],
        sets: [to('hand', 'on')],
      },
    ),
    step(
      'eight-weigh',
      'Sit on the eight with the lanyard still on.',
      'The eight holds; the hand can let it run and stop it.',
      { can: [is('eight.on')], tests: 'eight' },
    ),
    lanyardOff('Unclip the lanyard.', 'Hand on, safety line on, eight tried.', 2),
    step('call-going', 'Call that you are going down.', 'The belayer answers.', {
      can: [is('weight', 'eight')],
      sets: [to('called', 'yes')],
    }),
    step(
      'go',
      'Go down; more friction with the hand behind the hip, less with it out.',
      'Steady pace; if the device is too hot to touch you are going too fast.',
      {
        can: [is('lanyard.on', 'no'), is('weight', 'eight'), is('called')],
        sets: [to('going', 'yes')],
      },
    ),
    step('stop', 'Stop.', 'Both feet still, or hanging quietly.', { can: [is('going')], sets: [to('going', 'no')] }),
    ...lockOff,
    step(
      'bight',
      'Pull a bight of the brake strand through behind the load strand.',
      'A loop long enough to tie with.',
      {
        can: [is('lock', 'twice')],
        sets: [to('bight', 'yes')],
      },
    ),
    step('knot', 'Tie it around the load strand: half hitches, or an overhand.', 'The knot sits close to the eight.', {
      can: [is('bight')],
      sets: [to('knot', 'yes')],
    }),
    step('hands-off', 'Take the hand off slowly, over the safety line.', 'Nothing creeps.', {
      can: [is('hand', 'on')],
      sets: [to('hand', 'off')],
    }),
    step(
      'hand-back',
      'Brake hand back on the strand before anything is untied.',
      'The hand is on the strand below the knot.',
      {
        can: [is('hand', 'off')],
        sets: [to('hand', 'on')],
      },
    ),
    step(
      'unknot',
      'Untie the safety knot and pull the bight back.',
      'Right strand in the hand: it runs to the ground, not up.',
      {
        can: [is('knot')],
        sets: [to('knot', 'no'), to('bight', 'no')],
        wrongs: [
          wrong(
            'let-go',
            'the brake hand helps and is off the strand',
            to('knot', 'no'),
            to('bight', 'no'),
            to('hand', 'off'),
          ),
        ],
      },
    ),
    step('unlock-one', 'Take off one turn, then the brake hand back.', 'One turn left.', {
      can: [is('lock', 'twice'), is('knot', 'no')],
      sets: [to('lock', 'once')],
    }),
    step(
      'unlock-two',
      'Take off the other turn, then the brake hand back.',
      'Full wrap on the eight, hand behind the hip.',
      {
        can: [is('lock', 'once')],
        sets: [to('lock', 'none')],
      },
    ),
    step('go-on', 'Go on down.', 'Even pace.', {
      can: [is('hand', 'on'), is('lock', 'none'), is('lanyard.on', 'no'), is('called')],
      sets: [to('going', 'yes')],
    }),
    step('ground', 'Stand on the ground, take the eight off, then the safety line.', 'Belayer told.', {
      can: [is('going')],
      sets: [
        to('where', 'ground'),
        to('weight', 'feet'),
        to('eight.on', 'no'),
        to('hand', 'off'),
        to('line.on', 'no'),
        to('going', 'no'),
      ],
      mustHold: 0,
    }),
  ],
});
