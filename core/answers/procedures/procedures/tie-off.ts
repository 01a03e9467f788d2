import { fact, flag, is, lane, never, procedure, step, to, wrong } from '../build.ts';

const belayer = { who: 'belayer' } as const;

/**
 * Both hands free while a climber hangs on the rope, and back again: a slip knot that the load keeps shut, and a second
 * knot that backs it up.
 */
export const tieOff = procedure({
  id: 'tie-off',
  title: 'Tie a climber off, work, and go on',
  purpose: 'A climber hangs on a device that the brake hand holds; both hands are needed for something else.',
  lanes: [lane('rope', 'Device', [[is('hand', 'on')], [is('slip')]])],
  start: {
    where: 'up',
    weight: 'rope',
    'rope.on': 'yes',
    'rope.locked': 'yes',
    'rope.tested': 'yes',
    hand: 'on',
  },
  mustHold: 1,
  variants: [],
  variables: [
    fact('hand', ['off', 'on'], { on: 'the brake hand is around the brake strand', off: 'the brake hand is off' }),
    flag('called', 'the climber hangs, and knows that the belayer ties off'),
    flag('slip', 'a slip knot of the brake strand sits tight against the device', 'the slip knot is off'),
    flag('backed', 'the bight of it is backed up and clipped', 'the bight is neither knotted nor clipped'),
    flag('eased', 'with the hand eased, it crept less than 2 cm in 10 s'),
    flag('working'),
    flag('worked', 'the work is done'),
    flag('told', 'the climber knows that it goes on'),
    flag('going'),
  ],
  invariants: [
    never(
      'unbacked',
      'fall',
      'The slip knot alone: a bight that catches on something pulls it open.',
      is('hand', 'off'),
      is('backed', 'no'),
      is('slip'),
    ),
    never(
      'untried',
      'untested',
      'The hand left the rope and it was not tried whether the knot holds.',
      is('hand', 'off'),
      is('eased', 'no'),
    ),
    never(
      'surprise',
      'drop',
      'The climber does not know of it and climbs on: slack gathers above a device that is tied off.',
      is('hand', 'off'),
      is('called', 'no'),
    ),
    never('untold', 'drop', 'It runs again and the climber does not know it.', is('going'), is('told', 'no')),
    never('jam', 'stranded', 'The knot runs against the device: the climber is stuck.', is('going'), is('slip')),
  ],
  steps: [
    step('call-hang', 'Say that you tie off; the climber hangs still.', 'The climber hangs and has answered.', {
      who: 'both',
      sets: [to('called', 'yes')],
    }),
    step(
      'slip-knot',
      'Keep the brake hand closed. Push a bight of brake rope through the carabiner and tie it off on the load strand with a slip knot (mule knot).',
      'It is pushed up tight against the device, with a bight of an arm’s length left.',
      { ...belayer, can: [is('hand', 'on'), is('slip', 'no')], sets: [to('slip', 'yes')] },
    ),
    step(
      'back-up',
      'Tie an overhand knot around the loaded strand with the bight, and clip the bight.',
      'Knot against knot; the bight is in a locked connector.',
      { ...belayer, can: [is('slip')], sets: [to('backed', 'yes')] },
    ),
    step('ease', 'Ease the brake hand without leaving the rope; count to ten.', 'It creeps less than 2 cm.', {
      ...belayer,
      can: [is('slip'), is('hand', 'on')],
      sets: [to('eased', 'yes')],
    }),
    step('hand-off', 'Take the hand off.', 'Nothing moves.', {
      ...belayer,
      can: [is('hand', 'on')],
      sets: [to('hand', 'off')],
    }),
    step('work', 'Do what you stopped for; look at the knots now and then.', 'The rope stays loaded.', {
      ...belayer,
      can: [is('hand', 'off')],
      sets: [to('working', 'yes'), to('worked', 'yes')],
    }),
    step(
      'hand-back',
      'Close the brake hand around the brake strand, below the knots.',
      'Closed, before a knot is touched.',
      {
        ...belayer,
        can: [is('hand', 'off')],
        sets: [to('hand', 'on'), to('working', 'no')],
      },
    ),
    step('back-up-off', 'Unclip the bight and untie the overhand knot.', 'The slip knot still sits tight.', {
      ...belayer,
      can: [is('backed')],
      sets: [to('backed', 'no')],
    }),
    step(
      'slip-off',
      'Pull the slip knot undone; hold the small drop with your closed brake hand.',
      'Hand low, ready for a few centimetres of rope.',
      {
        ...belayer,
        can: [is('slip'), is('backed', 'no')],
        sets: [to('slip', 'no')],
        wrongs: [
          wrong(
            'let-go',
            'the brake hand helps with the knot and leaves the rope',
            to('slip', 'no'),
            to('hand', 'off'),
          ),
        ],
      },
    ),
    step('call-go', 'Say that you go on, lowering or climbing, and hear the answer.', 'Answered by name.', {
      who: 'both',
      can: [is('worked')],
      sets: [to('told', 'yes')],
    }),
    step('go', 'Go on: lower, or take in as before.', 'Both hands on the brake side.', {
      ...belayer,
      can: [is('worked')],
      sets: [to('going', 'yes')],
    }),
  ],
});
