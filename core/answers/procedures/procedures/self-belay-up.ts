import { fact, flag, is, lane, never, step, to, wrong } from '../build.ts';
import type { Invariant, Lane, Step, Variable } from '../procedure.ts';

/*
 * Going up alone on a top rope with two grabs: what every procedure has that begins with it.
 */

export const selfBelayLanes: readonly Lane[] = [
  lane('first', 'First grab', [[is('first.right'), is('rope', 'fixed')]]),
  lane('second', 'Second grab', [[is('second.right'), is('rope', 'fixed')]]),
];

export const selfBelayFacts: readonly Variable[] = [
  flag('first.right', 'the first grab holds when it is pulled down, and its catch is shut'),
  flag('second.right', 'the second grab holds when it is pulled down, and its catch is shut'),
  flag('hung', 'a weight hangs on the end of the rope, clear of the ground', 'nothing hangs on the rope'),
  flag('top', 'you are within reach of the anchor'),
  fact('ends', ['open', 'closed'], { closed: 'a stopper knot closes the end', open: 'the end is open' }),
  flag('tight', 'the rope above is tight', 'slack lies above you'),
];

export const selfBelayNever: readonly Invariant[] = [
  never('end', 'fall', 'The end is open: device or grab runs off it.', is('where', 'up'), is('ends', 'open')),
  never(
    'slack',
    'drop',
    'Slack lies above you: you drop into it, low down onto the ground.',
    is('where', 'up'),
    is('tight', 'no'),
  ),
  never(
    'unweighted',
    'drop',
    'No weight hangs on the rope: it does not feed itself through the rope grabs, and slack gathers above you.',
    is('where', 'up'),
    is('top', 'no'),
    is('hung', 'no'),
  ),
];

/** From the knotted end to the climb. */
export const selfBelayUp: readonly Step[] = [
  step('end-knot', 'Knot the end of the rope.', 'A stopper with a long tail.', {
    can: [is('where', 'ground', 'low')],
    sets: [to('ends', 'closed')],
  }),
  step(
    'weight-hang',
    'Hang a weight on the end, clear of the ground.',
    'One to three kilograms, so that the rope feeds itself.',
    {
      can: [is('where', 'ground')],
      sets: [to('hung', 'yes')],
    },
  ),
  step('first-on', 'Put the first grab on, and pull it down.', 'It holds downwards and slides upwards; catch shut.', {
    can: [is('first.on', 'no')],
    sets: [to('first.on', 'yes'), to('first.right', 'yes')],
    wrongs: [wrong('upside', 'it sits upside down on the rope', to('first.on', 'yes'))],
  }),
  step('first-lock', 'Lock its connector.', 'Gate shut and locked; it cannot turn across.', {
    can: [is('first.on')],
    sets: [to('first.locked', 'yes')],
  }),
  step(
    'second-on',
    'Put the second grab on: on a second rope, or where neither slides onto the other.',
    'It holds downwards and slides upwards.',
    {
      can: [is('second.on', 'no')],
      sets: [to('second.on', 'yes'), to('second.right', 'yes')],
      wrongs: [wrong('upside', 'it sits upside down on the rope', to('second.on', 'yes'))],
    },
  ),
  step('second-lock', 'Lock its connector.', 'Gate shut and locked.', {
    can: [is('second.on')],
    sets: [to('second.locked', 'yes')],
  }),
  step(
    'take-in',
    'Pull the rope through both until it is tight, sit into it, and pull again.',
    'It carries you with the feet down: the stretch is out.',
    {
      can: [is('first.on'), is('second.on')],
      sets: [to('tight', 'yes')],
    },
  ),
  step(
    'first-try',
    'Half a metre up, sit on the first device only and let go with both hands. Do the same with the second.',
    'It ran less than a hand’s width.',
    {
      can: [is('first.on'), is('where', 'ground', 'low')],
      sets: [to('where', 'low')],
      tests: 'first',
    },
  ),
  step('second-try', 'The same on the second grab alone.', 'It ran less than a hand’s width.', {
    can: [is('second.on'), is('where', 'ground', 'low')],
    sets: [to('where', 'low')],
    tests: 'second',
  }),
  step('climb', 'Climb; look down now and then: the rope runs through both.', 'No slack above either grab.', {
    can: [is('where', 'low'), is('down', 'no')],
    sets: [to('where', 'up'), to('weight', 'first')],
    wrongs: [
      wrong(
        'slack',
        'slack gathers and is not pulled through',
        to('where', 'up'),
        to('weight', 'first'),
        to('tight', 'no'),
      ),
    ],
    mustHold: 2,
  }),
];
