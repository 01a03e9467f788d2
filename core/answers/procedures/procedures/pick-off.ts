import { fact, flag, is, lane, never, procedure, step, to, wrong } from '../build.ts';

/**
 * Bring somebody down who hangs motionless in a device of their own: linked to the rescuer first, lifted off by a third
 * hand, and down together on the rescuer's device. Common practice: never fewer than two things hold the casualty, and
 * nothing of theirs is opened before the link carries.
 */
export const pickOff = procedure({
  id: 'pick-off',
  title: 'Pick off a person who hangs motionless',
  purpose:
    'For people who were trained in it and have tried it. Otherwise: call for help, go to the casualty only where you cannot come to hang as well, keep the airway free, lift the legs. Hanging motionless can become life-threatening within minutes; get them down as fast as you safely can.',
  lanes: [
    lane('device', 'Your device', [
      [is('tied'), is('threaded', 'right')],
      [is('hand', 'on'), is('threaded', 'right')],
    ]),
  ],
  variants: [],
  variables: [
    flag('help', 'help is called, with the place and what happened'),
    fact('threaded', ['right'], { right: 'the rope lies in your device as its maker shows' }),
    flag('tied', 'your device is locked off with a knot', 'your device is not locked off'),
    fact('hand', ['on', 'off'], { on: 'the brake hand is around the brake strand', off: 'the brake hand is off' }),
    fact('ascenders', ['on', 'off'], {
      on: 'an ascender of yours is on the rope',
      off: 'your ascenders are off the rope and away',
    }),
    fact('link', ['none', 'loop', 'slack', 'tight'], {
      tight: 'the short link runs tight from your device’s connector to the casualty’s belay loop',
      slack: 'the short link hangs slack',
      loop: 'the link is on a gear loop of the casualty',
    }),
    flag('link.locked', 'both connectors of the link are locked'),
    flag('spare', 'a second link runs from the casualty to you'),
    flag('spare.locked', 'both connectors of the second link are locked'),
    flag('friction', 'friction for two is in your device, as you tried it', 'your device brakes for one'),
    fact('third', ['none', 'on', 'hauled'], {
      on: 'the mini haul is rigged above the casualty’s device',
      hauled: 'the mini haul carries the casualty',
    }),
    fact('stuck', ['carries', 'free', 'off'], {
      carries: 'the casualty hangs in a device of their own',
      free: 'the casualty’s device carries nothing',
      off: 'the casualty’s device is off the rope',
    }),
    fact('lanyards', ['on', 'off'], {
      off: 'no lanyard, ascender or loop of the casualty is on the rope',
      on: 'something else of the casualty is on the rope',
    }),
    flag('end', 'the end of your rope is knotted, or on the ground'),
    flag('going'),
    flag('down', 'both are on the ground'),
  ],
  start: {
    where: 'up',
    weight: 'device',
    'device.on': 'yes',
    'device.locked': 'yes',
    'device.tested': 'yes',
  },
  mustHold: 1,
  invariants: [
    never(
      'help',
      'untested',
      'Nobody was called before the casualty was touched.',
      is('help', 'no'),
      is('stuck', 'free', 'off'),
    ),
    never(
      'link-first',
      'untested',
      'You are linked to the casualty, and nobody was called.',
      is('link', 'loop', 'slack', 'tight'),
      is('help', 'no'),
    ),
    never(
      'link-slack',
      'drop',
      'The casualty hangs in the mini haul over a slack link: when it slips, they drop onto it.',
      is('stuck', 'free'),
      is('link', 'slack'),
    ),
    never(
      'let-go',
      'fall',
      'Neither knot nor hand holds your device.',
      is('where', 'up'),
      is('tied', 'no'),
      is('hand', 'off'),
    ),
    never(
      'unlinked',
      'fall',
      'The casualty’s device is eased or opened before your link can carry.',
      is('stuck', 'free', 'off'),
      is('link', 'none', 'loop'),
    ),
    never(
      'link-unlocked',
      'untested',
      'The link that is to carry the casualty is not locked.',
      is('stuck', 'free', 'off'),
      is('link.locked', 'no'),
    ),
    never(
      'one',
      'untested',
      'The casualty hangs on one thing only.',
      is('stuck', 'off'),
      is('spare', 'no'),
      is('third', 'none', 'on'),
    ),
    never(
      'spare-unlocked',
      'untested',
      'The second link is not locked.',
      is('stuck', 'off'),
      is('spare'),
      is('spare.locked', 'no'),
    ),
    never(
      'drop',
      'drop',
      'The link is slack: the casualty drops onto it.',
      is('stuck', 'off'),
      is('third', 'none', 'on'),
      is('link', 'slack'),
    ),
    never(
      'grabs',
      'stranded',
      'The casualty’s device is still on the rope: it grabs, and both of you hang.',
      is('going'),
      is('stuck', 'carries', 'free'),
    ),
    never(
      'lanyard-left',
      'stranded',
      'Something of the casualty still holds at the rope: both of you hang.',
      is('going'),
      is('lanyards', 'on'),
    ),
    never('third-left', 'stranded', 'The mini haul is still on the rope.', is('going'), is('third', 'on', 'hauled')),
    never('ascender-left', 'stranded', 'Your ascender is still on the rope.', is('going'), is('ascenders', 'on')),
    never(
      'too-little',
      'fall',
      'Two persons run through a device that brakes for one.',
      is('going'),
      is('friction', 'no'),
    ),
    never('end', 'fall', 'Your rope ends above the ground, and nobody has looked.', is('going'), is('end', 'no')),
  ],
  steps: [
    step('help', 'Call for help: where, what, how many. Speak to the casualty.', 'Somebody has answered.', {
      sets: [to('help', 'yes')],
    }),
    step('end-look', 'See that your rope reaches the ground, or that its end is knotted.', 'In sight, or known.', {
      sets: [to('end', 'yes')],
    }),
    step('tie-off', 'Lock your device off with a knot, beside the casualty.', 'It holds without the hand.', {
      can: [is('tied', 'no'), is('going', 'no')],
      sets: [to('tied', 'yes'), to('hand', 'off')],
    }),
    step('ascenders-off', 'Take your ascenders off the rope and put them away.', 'You sit in your device alone.', {
      can: [is('tied')],
      sets: [to('ascenders', 'off')],
    }),
    step(
      'link-on',
      'Short link from your device’s connector to the casualty’s belay loop.',
      'Textile or chain, no longer than a forearm.',
      {
        can: [is('link', 'none'), is('tied')],
        sets: [to('link', 'slack')],
        wrongs: [wrong('loop', 'it is clipped to a gear loop', to('link', 'loop'))],
      },
    ),
    step('link-lock', 'Lock both connectors of the link.', 'Gates shut and locked.', {
      can: [is('link', 'slack', 'tight', 'loop')],
      sets: [to('link.locked', 'yes')],
    }),
    step('link-tight', 'Draw the link tight.', 'The casualty could drop less than 5 cm.', {
      can: [is('link', 'slack')],
      sets: [to('link', 'tight')],
    }),
    step('spare-on', 'A second link, to you or to the casualty’s own second attachment point.', 'A sling of its own.', {
      can: [is('spare', 'no'), is('tied')],
      sets: [to('spare', 'yes')],
    }),
    step('spare-lock', 'Lock its connectors.', 'Gates shut and locked.', {
      can: [is('spare')],
      sets: [to('spare.locked', 'yes')],
    }),
    step(
      'friction-add',
      'Add friction for two: the next groove, a connector more, a turn more, as you tried it.',
      'Your device is still locked off.',
      {
        can: [is('tied')],
        sets: [to('friction', 'yes')],
      },
    ),
    step(
      'third-on',
      'Mini haul (3:1) above the casualty’s device: a grab or hitch on the rope, a pulley, and down to the casualty.',
      'The grab bites when it is pulled.',
      {
        can: [is('third', 'none'), is('stuck', 'carries'), is('tied')],
        sets: [to('third', 'on')],
      },
    ),
    step('haul', 'Haul until the casualty’s device carries nothing.', 'A hand’s width; the rope above it is slack.', {
      can: [is('third', 'on'), is('stuck', 'carries'), is('tied')],
      sets: [to('third', 'hauled'), to('stuck', 'free')],
    }),
    step(
      'stuck-off',
      'When it carries nothing and your link is tight, take the casualty’s device off the rope.',
      'The rope runs past it.',
      {
        can: [is('stuck', 'free'), is('tied')],
        sets: [to('stuck', 'off')],
      },
    ),
    step(
      'lanyards-off',
      'Find everything else of the casualty’s that is on the rope, and take it off.',
      'Lanyards, ascender, foot loop: looked at one by one.',
      {
        can: [is('stuck', 'free', 'off'), is('tied')],
        sets: [to('lanyards', 'off')],
      },
    ),
    step('third-ease', 'Ease the mini haul until the link carries.', 'The casualty hangs in your device.', {
      can: [is('third', 'hauled'), is('stuck', 'off'), is('tied')],
      sets: [to('third', 'on')],
    }),
    step('third-off', 'Take the mini haul off the rope.', 'Nothing of it is left above you.', {
      can: [is('third', 'on'), is('tied')],
      sets: [to('third', 'none')],
    }),
    step('hand-on', 'Close the brake hand around the brake strand.', 'Before the knot is opened.', {
      can: [is('hand', 'off')],
      sets: [to('hand', 'on')],
    }),
    step('untie', 'Undo the knot of your device, brake hand closed.', 'The hand holds both of you.', {
      can: [is('tied'), is('hand', 'on')],
      sets: [to('tied', 'no')],
    }),
    step('go', 'Go down slowly, the casualty’s head up, a leg around them if they swing.', 'Nothing catches above.', {
      can: [is('tied', 'no'), is('hand', 'on'), is('third', 'none'), is('link', 'tight', 'slack', 'loop')],
      sets: [to('going', 'yes')],
    }),
    step(
      'ground',
      'On the ground lay the casualty flat, check airway and breathing, start normal first aid, and tell the rescuers how long they hung.',
      'One of you stays with them.',
      {
        can: [is('going')],
        sets: [
          to('where', 'ground'),
          to('weight', 'feet'),
          to('going', 'no'),
          to('down', 'yes'),
          to('device.on', 'no'),
        ],
        mustHold: 0,
      },
    ),
  ],
});
