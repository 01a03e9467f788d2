import { z } from 'zod';
import { HAND_FORCE_DEFAULT_N } from '../../foundations/sources/index.ts';
import { assumedSchema } from './assumed.ts';
import { choice, idSchema, line, measure, note } from './fields.ts';

const HAND = HAND_FORCE_DEFAULT_N;

/** A person with the measures that the geometry and the brake hand need. Lengths are taken in the hanging pose. */
export const personSchema = z.strictObject({
  id: idSchema,
  name: line('Name', 80, 1),
  massKg: measure('massKg', 15, 200, 'Mass with gear', 'Clothing, rucksack and hardware included.'),
  brakeHand: choice({ right: 'Right', left: 'Left' }, 'Hand that brakes'),
  handForceN: measure(
    'forceN',
    30,
    1000,
    'Measured hand force',
    `Grip a rope with one hand and pull on a luggage scale. Empty: ${HAND.best} N (${HAND.low} to ${HAND.high}) is assumed, an estimate.`,
  ).nullable(),
  armReachMm: measure(
    'lengthMm',
    200,
    1200,
    'Arm’s reach',
    'From the belay loop straight up to where your hand can still work.',
  ),
  legLoopDropMm: measure(
    'lengthMm',
    0,
    400,
    'Leg loop below belay loop',
    'Straight down to where the hitch is clipped.',
  ),
  legLoopSideMm: measure('lengthMm', 0, 300, 'Leg loop beside belay loop', 'Sideways to where the hitch is clipped.'),
  kneeRaiseMm: measure(
    'lengthMm',
    0,
    500,
    'Leg loop comes up with the knee',
    'How far, when the knee is raised as high as it goes.',
  ),
  tieInHeightMm: measure(
    'lengthMm',
    500,
    1500,
    'Tie-in above the soles',
    'Standing, harness on: from the ground to the belay loop. Asked for strokes and lengths on a rope.',
  ).nullable(),
  chinAboveTieInMm: measure(
    'lengthMm',
    200,
    800,
    'Chin above the tie-in',
    'Hanging in the harness: from the belay loop straight up to the chin. Asked for lengths in a tree.',
  ).nullable(),
  kneeAboveSolesMm: measure(
    'lengthMm',
    300,
    700,
    'Below the knee, above the soles',
    'Boots on, leg straight: from the sole to just below the knee. Asked for lengths in a tree.',
  ).nullable(),
  assumed: assumedSchema('person'),
  note: note(),
});
export type Person = z.infer<typeof personSchema>;
