import { fact, flag, is, lane, never, not, procedure, step, to, wrong } from '../build.ts';

/** The cam of one of the two clamps, and what it does to who hangs in it. */
const cam = (id: string, label: string) =>
  fact(`${id}.cam`, ['shut', 'open'], {
    shut: `the cam of the ${label} is shut`,
    open: `the cam of the ${label} is held open`,
  });

/**
 * A short way back down on two clamps: a hand's breadth at a time, one cam open at a time, and never the one that
 * carries. Common practice: 10 to 15 cm at a time, with 75 to 100 mm kept between the clamps, since each has to be
 * lifted a little before its cam opens.
 */
export const downOnClamps = procedure({
  id: 'down-on-clamps',
  title: 'Down-climbing the rope on two ascenders, a little at a time',
  purpose:
    'For a few metres. Further down, change to a descender: it goes on below the ascenders and carries before they come off.',
  lanes: [
    lane('upper', 'Upper ascender', [[is('upper.cam', 'shut')]]),
    lane('lower', 'Lower ascender', [[is('lower.cam', 'shut')]]),
  ],
  variants: [],
  variables: [
    cam('upper', 'upper ascender'),
    cam('lower', 'lower ascender'),
    fact('gap', ['kept', 'none'], {
      kept: 'a hand’s width of rope lies between the ascenders',
      none: 'the ascenders sit on each other',
    }),
    flag('foot', 'the foot stands in the loop of the upper ascender'),
    flag('below', 'the rope reaches the ground, and its end is knotted or weighted'),
    fact('upper.place', ['high', 'near'], {
      high: 'the upper ascender is as far up as its tether',
      near: 'the upper ascender is a hand’s width above the lower one',
    }),
    fact('lower.place', ['near', 'down'], { down: 'the lower ascender is 10 to 15 cm further down' }),
    flag('off', 'both ascenders are off the rope', 'an ascender is on the rope'),
  ],
  start: {
    where: 'up',
    weight: 'lower',
    'upper.on': 'yes',
    'upper.locked': 'yes',
    'upper.tested': 'yes',
    'lower.on': 'yes',
    'lower.locked': 'yes',
    'lower.tested': 'yes',
  },
  invariants: [
    never(
      'end',
      'fall',
      'The rope ends above the ground, and the ascenders run over its end.',
      is('lower.place', 'down'),
      is('below', 'no'),
    ),
    never(
      'both',
      'fall',
      'Both cams are open: nothing grips the rope.',
      not('where', 'ground'),
      is('upper.cam', 'open'),
      is('lower.cam', 'open'),
    ),
    never(
      'touch',
      'stranded',
      'The ascenders sit on each other: the lower one cannot be lifted to open its cam, and the upper one carries.',
      is('gap', 'none'),
      is('weight', 'upper'),
    ),
    never(
      'untested',
      'untested',
      'A cam was shut again and carries before it was tried.',
      is('where', 'low'),
      is('lower.tested', 'no'),
    ),
    never(
      'left',
      'stranded',
      'You walk off with an ascender still on the rope.',
      is('where', 'ground'),
      is('off'),
      is('upper.on'),
    ),
  ],
  steps: [
    step(
      'look',
      'Look down the rope, whether it reaches and its end is closed.',
      'Rope on the ground, or a knot that you see.',
      {
        sets: [to('below', 'yes')],
      },
    ),
    step(
      'upper-open',
      'Sit in the lower ascender. Push the upper one up a few millimetres to unload it, then hold its cam open. Never unclip it.',
      'Its tether hangs slack.',
      {
        can: [not('weight', 'upper'), is('upper.cam', 'shut')],
        sets: [to('upper.cam', 'open')],
        wrongs: [
          wrong('loaded', 'you open its cam while hanging on it', to('weight', 'upper'), to('upper.cam', 'open')),
          wrong('lower', 'the cam of the lower one is opened, in which you hang', to('lower.cam', 'open')),
        ],
      },
    ),
    step(
      'upper-down',
      'Slide it down to a hand’s width, 75 to 100 mm, above the lower one.',
      'Four fingers fit between the two.',
      {
        can: [is('upper.cam', 'open')],
        sets: [to('upper.place', 'near')],
        wrongs: [wrong('touch', 'it is slid down until it touches', to('upper.place', 'near'), to('gap', 'none'))],
      },
    ),
    step('upper-shut', 'Let its cam shut.', 'The cam lies on the rope; pull: it does not run down.', {
      can: [is('upper.cam', 'open')],
      sets: [to('upper.cam', 'shut')],
    }),
    step('foot', 'Step into the foot loop.', 'The loop hangs from the upper ascender.', {
      can: [is('upper.place', 'near')],
      sets: [to('foot', 'yes')],
    }),
    step(
      'stand',
      'Stand up: the upper ascender carries.',
      'It does not slip at all. The tether of the lower one hangs slack.',
      {
        can: [is('foot')],
        tests: 'upper',
        mustHold: 1,
      },
    ),
    step('lower-open', 'Lift the lower ascender a little and hold its cam open.', 'Nothing pulls at it.', {
      can: [is('weight', 'upper'), is('lower.cam', 'shut')],
      sets: [to('lower.cam', 'open')],
      wrongs: [wrong('upper', 'the cam of the upper one is opened, in which you stand', to('upper.cam', 'open'))],
    }),
    step('lower-down', 'Slide it down by 10 to 15 cm.', 'No further: you have to reach it, and to stand up again.', {
      can: [is('lower.cam', 'open')],
      sets: [to('lower.place', 'down')],
    }),
    step('lower-shut', 'Let its cam shut.', 'The cam lies on the rope; pull: it does not run down.', {
      can: [is('lower.cam', 'open')],
      sets: [to('lower.cam', 'shut'), to('lower.tested', 'no')],
    }),
    step(
      'sit',
      'Sit down slowly: the lower ascender carries.',
      'It does not slip at all. The gap is wider than a hand again.',
      {
        can: [is('lower.place', 'down')],
        tests: 'lower',
        mustHold: 1,
      },
    ),
    step(
      'again',
      'The same again until the feet reach the ground.',
      'After each time: both cams shut, a hand’s width between them.',
      {
        can: [is('lower.place', 'down'), is('weight', 'lower')],
        sets: [to('where', 'low')],
      },
    ),
    step('ground', 'Stand on the ground.', 'No weight on the rope.', {
      can: [is('where', 'low')],
      sets: [to('where', 'ground'), to('weight', 'feet')],
    }),
    step('upper-off', 'Take the upper ascender off the rope.', 'It hangs on the harness, not on the rope.', {
      can: [is('where', 'ground')],
      sets: [to('upper.on', 'no'), to('upper.locked', 'no'), to('upper.tested', 'no')],
    }),
    step(
      'lower-off',
      'Take the lower ascender off and walk away from the rope.',
      'Both hang on the harness; the rope is free for the next person.',
      {
        can: [is('where', 'ground')],
        sets: [to('lower.on', 'no'), to('lower.locked', 'no'), to('lower.tested', 'no'), to('off', 'yes')],
        mustHold: 0,
      },
    ),
  ],
});
