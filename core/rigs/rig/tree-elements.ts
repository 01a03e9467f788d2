import { z } from 'zod';
import { elementIdSchema } from '../../foundations/finding/index.ts';
import { measure } from '../../things/gear/index.ts';
import { observed } from './observed.ts';

/** A limb that somebody goes out on. */
export const limbSchema = z.strictObject({
  id: elementIdSchema,
  outM: measure(
    'lengthM',
    0,
    20,
    'Out along the limb',
    'Horizontal distance from the tie-in point. 0 = you stay at the trunk.',
  ).nullable(),
  belowM: measure(
    'lengthM',
    0.5,
    40,
    'Tie-in above the limb',
    'From the tie-in point down to where the limb leaves the stem.',
  ).nullable(),
  riseDeg: measure('angleDeg', -60, 60, 'The limb rises by', 'Outwards, from level. Below 0: it falls away.'),
});
export type Limb = z.infer<typeof limbSchema>;

/**
 * What is particular to a tree: how the tie-in point was tried, where one goes along a limb, and what else holds there.
 */
export const treeSchema = z.strictObject({
  tried: observed(
    {
      two: 'Two persons, bouncing on the line',
      one: 'One person',
      none: 'Nobody',
    },
    'two',
    'The tie-in point was tried from the ground by',
    'At least twice the load that it will get later; from one and a half times Zevrin says Caution, not Stop.',
  ),
  triedKg: measure(
    'massKg',
    20,
    400,
    'What bounced on it weighs',
    'All who hung on the line at once, with gear. Empty: what climber and partner weigh, where both are chosen.',
  ).nullable(),
  overLimb: observed(
    {
      none: 'Over no limb',
      little: 'Over a limb, bent by less than 90°',
      much: 'Over a limb, bent by 90° or more',
    },
    'none',
    'Below the tie-in the loaded line runs',
    'Friction on a limb hides slack that is stored beyond it.',
  ),
  redirectDeg: measure(
    'angleDeg',
    0,
    180,
    'A redirect bends the line by',
    'Where the loaded line is led through a sling or ring on its way down. 0: it runs free.',
  ).nullable(),
  deviceLies: observed(
    { free: 'Hangs free', over: 'Lies over a limb or stem' },
    'free',
    'Loaded, the device',
    'Where one works: a long device that bends over wood is pulled sideways.',
  ),
  /** Where one goes out; the first one is always there. */
  limbs: z.array(limbSchema).min(1).max(5),
  comingBack: observed(
    { taken: 'Taken in at every step', slack: 'Left slack' },
    'taken',
    'Coming back along the limb the line is',
  ),
  second: observed(
    { lanyard: 'A lanyard around stem or limb', none: 'None' },
    'lanyard',
    'Second attachment while working or changing',
  ),
  saw: observed({ no: 'Nothing is cut', yes: 'A saw is used up there' }, 'no', 'Cutting'),
  bridge: observed(
    { one: 'One', two: 'Two, each on points of its own' },
    'one',
    'Bridge of the harness',
    'The rope or webbing between the side points that the device hangs on.',
  ),
  eyes: observed(
    { separate: 'Each in an eye of its own', one: 'On one connector' },
    'separate',
    'End of the line and device hang',
    'On a rigging plate, or on points of their own.',
  ),
});

export type Tree = z.infer<typeof treeSchema>;
