import { fact, flag, is, lane, never, not, procedure, step, to, wrong } from '../build.ts';

/**
 * Up a fixed rope on two clamps with tethers of their own, half-way back down a little on them, and change to a
 * descender. Never fewer than two that count until the descender carries.
 */
export const upOnClamps = procedure({
  id: 'up-on-clamps',
  title: 'Up a rope on two ascenders, and change to going down',
  purpose:
    'Two ascenders, each on a tether of its own, a foot loop at the upper one; the descender goes on below them.',
  lanes: [
    lane('upper', 'Upper ascender', [[is('upper.hole'), is('upper.tether', 'reach')]]),
    lane('lower', 'Lower ascender', [[is('lower.hole')]]),
    lane('device', 'Descender', [
      [is('tied-off'), is('threaded', 'right')],
      [is('hand', 'on'), is('threaded', 'right')],
    ]),
  ],
  variants: [],
  variables: [
    flag('upper.hole', 'a connector closes the upper hole of the upper ascender around the rope'),
    flag('lower.hole', 'a connector closes the upper hole of the lower ascender around the rope'),
    fact('upper.tether', ['none', 'reach', 'far'], {
      reach: 'the upper tether is short enough: the arm reaches the loaded ascender',
      far: 'the upper tether is longer than the arm',
    }),
    flag('foot', 'the foot stands in the loop'),
    flag('fixed', 'the rope is fixed above, and its fixing was looked at'),
    fact('ends', ['open', 'closed'], { closed: 'the free end is knotted', open: 'the free end is open' }),
    fact('threaded', ['none', 'right', 'wrong'], { right: 'the rope lies in the descender as its maker shows' }),
    flag('tied-off', 'the descender is locked off with a knot', 'the descender is not locked off'),
    flag(
      'slack',
      'slack lies between the ascenders and the descender',
      'the rope is tight from the ascenders to the descender',
    ),
    fact('hand', ['off', 'on'], { on: 'the brake hand is around the brake strand' }),
    flag('turned', 'you came as high as you wanted'),
    flag('going'),
  ],
  start: { slack: 'yes' },
  invariants: [
    never('unfixed', 'fall', 'Nobody looked at what fixes the rope above.', is('where', 'up'), is('fixed', 'no')),
    never('end', 'fall', 'The free end runs through the descender.', is('going'), is('ends', 'open')),
    never(
      'out-of-reach',
      'stranded',
      'Loaded, the upper ascender hangs out of reach: you cannot open it.',
      is('where', 'up'),
      is('upper.tether', 'far'),
    ),
    never(
      'one',
      'untested',
      'An ascender comes off and only one thing on the rope is left.',
      is('where', 'up'),
      is('lower.on', 'no'),
      is('device.on', 'no'),
    ),
    never(
      'unweighed',
      'untested',
      'The upper ascender is off, and the descender was never loaded.',
      is('where', 'up'),
      is('upper.on', 'no'),
      is('device.tested', 'no'),
    ),
    never(
      'drop',
      'drop',
      'Slack is left above the descender: you drop onto it when the upper ascender opens.',
      is('weight', 'device'),
      is('slack'),
    ),
    never(
      'tight',
      'stranded',
      'You hang in the upper tether with no foot in the loop: the ascender cannot be opened under load.',
      is('going'),
      is('upper.on'),
    ),
  ],
  steps: [
    step(
      'fixed',
      'Look at what fixes the rope above, or ask the person who fixed it.',
      'A knot in a locked connector.',
      {
        sets: [to('fixed', 'yes')],
      },
    ),
    step('end-knot', 'Knot the free end.', 'A stopper with a long tail.', {
      can: [is('where', 'ground', 'low')],
      sets: [to('ends', 'closed')],
    }),
    step(
      'upper-on',
      'Put the upper ascender on the rope, its tether on the belay loop.',
      'Cam shut; the arm reaches it when it is loaded.',
      {
        can: [is('upper.on', 'no')],
        sets: [to('upper.on', 'yes'), to('upper.tether', 'reach')],
        wrongs: [wrong('far', 'its tether is longer than the arm', to('upper.on', 'yes'), to('upper.tether', 'far'))],
      },
    ),
    step(
      'upper-hole',
      'Close its upper hole with a connector around the rope.',
      'It cannot come off a rope that slants.',
      {
        can: [is('upper.on')],
        sets: [to('upper.hole', 'yes')],
      },
    ),
    step('upper-lock', 'Lock the connectors of the upper tether.', 'Gates shut and locked.', {
      can: [is('upper.on')],
      sets: [to('upper.locked', 'yes')],
    }),
    step(
      'lower-on',
      'Put the lower ascender on below it, on a tether of its own.',
      'Cam shut; a hand’s width between the two.',
      {
        can: [is('lower.on', 'no'), is('upper.on')],
        sets: [to('lower.on', 'yes')],
      },
    ),
    step('lower-hole', 'Close its upper hole in the same way.', 'A connector around the rope.', {
      can: [is('lower.on')],
      sets: [to('lower.hole', 'yes')],
    }),
    step('lower-lock', 'Lock the connectors of the lower tether.', 'Gates shut and locked.', {
      can: [is('lower.on')],
      sets: [to('lower.locked', 'yes')],
    }),
    step(
      'bounce-upper',
      'Hang in the upper ascender alone and bounce three times, close above the ground.',
      'It does not slip at all.',
      {
        can: [is('upper.on'), is('where', 'ground', 'low')],
        sets: [to('where', 'low')],
        tests: 'upper',
      },
    ),
    step('bounce-lower', 'The same on the lower ascender alone.', 'It does not slip at all.', {
      can: [is('lower.on'), is('where', 'ground', 'low')],
      sets: [to('where', 'low')],
      tests: 'lower',
    }),
    step('foot', 'Step into the foot loop of the upper ascender.', 'Standing, the two ascenders do not touch.', {
      can: [is('upper.on')],
      sets: [to('foot', 'yes')],
    }),
    step(
      'climb',
      'Stand up, push the lower ascender along; sit, push the upper one.',
      'Both cams shut after every stroke.',
      {
        can: [is('foot'), is('where', 'low')],
        sets: [to('where', 'up'), to('weight', 'lower')],
        mustHold: 2,
      },
    ),
    step('turn', 'Stop where you change, weight on the lower ascender.', 'Within reach: descender and a hand free.', {
      can: [is('where', 'up')],
      sets: [to('turned', 'yes')],
    }),
    step(
      'device-thread',
      'Put the descender on below the ascenders, on the belay loop or its extension.',
      'The rope lies in it as its maker shows.',
      {
        can: [is('turned'), is('threaded', 'none')],
        sets: [to('device.on', 'yes'), to('threaded', 'right')],
        wrongs: [
          wrong('wrong', 'the rope lies in it the wrong way round', to('device.on', 'yes'), to('threaded', 'wrong')),
        ],
      },
    ),
    step('device-lock', 'Lock its connector.', 'Gate shut and locked.', {
      can: [is('device.on')],
      sets: [to('device.locked', 'yes')],
    }),
    step('take-in', 'Pull all slack out between the ascenders and the descender.', 'Tight, as high as it goes.', {
      can: [is('device.on')],
      sets: [to('slack', 'no')],
    }),
    step('tie-off', 'Lock the descender off with a knot.', 'It holds without a hand.', {
      can: [is('device.on')],
      sets: [to('tied-off', 'yes')],
    }),
    step(
      'lower-off',
      'Stand in the foot loop. Take the lower ascender off. Sit down onto the locked-off descender, the upper ascender still on the rope.',
      'The descender carries you; the upper tether hangs slack.',
      {
        can: [is('lower.on'), is('foot'), is('tied-off')],
        sets: [to('lower.on', 'no'), to('lower.locked', 'no'), to('lower.tested', 'no')],
        tests: 'device',
      },
    ),
    step('hand-on', 'Close the brake hand around the brake strand.', 'Closed, before the knot is opened.', {
      can: [is('device.on')],
      sets: [to('hand', 'on')],
    }),
    step('upper-off', 'Last of all take the upper ascender off.', 'Its tether was slack; nothing drops.', {
      can: [is('upper.on'), not('weight', 'upper')],
      sets: [to('upper.on', 'no'), to('upper.locked', 'no'), to('upper.tested', 'no')],
      mustHold: 1,
    }),
    step('untie', 'Undo the knot of the descender, brake hand closed.', 'The hand holds.', {
      can: [is('tied-off'), is('hand', 'on')],
      sets: [to('tied-off', 'no')],
    }),
    step('go', 'Both ascenders are off the rope. Go down slowly, brake hand on.', 'The end is knotted.', {
      can: [is('weight', 'device'), is('where', 'up'), is('tied-off', 'no')],
      sets: [to('going', 'yes')],
    }),
    step('ground', 'Stand on the ground and take the rope out.', 'Weight off the rope.', {
      can: [is('going')],
      sets: [to('where', 'ground'), to('weight', 'feet'), to('going', 'no'), to('device.on', 'no')],
      mustHold: 0,
    }),
  ],
});
