import { z } from 'zod';
import { choice, idSchema, instantSchema, measure, note, yesNo } from './fields.ts';

/** What can happen to a pair so that a setting found before says nothing any more. */
export const TUNING_EVENTS = {
  washed: 'The rope was washed',
  worn: 'The bollard has worn in, or was changed',
  moved: 'The setting was changed',
} as const;

const SHEATHS = ['smooth', 'new-treated', 'fuzzy', 'unknown'] as const;
const STIFFNESS = ['supple', 'usual', 'stiff', 'unknown'] as const;

/** The rope as it was during a trial: a setting holds for that state only. */
const ropeStateSchema = z.strictObject({
  diameterMm: measure('diameterMm', 2, 20, 'Thickness'),
  sheath: z.enum(SHEATHS),
  stiffness: z.enum(STIFFNESS),
});
export type RopeState = z.infer<typeof ropeStateSchema>;

/**
 * One trial of a bollard at one setting on one rope, close above the ground. Kept with the device. null and `unknown`:
 * that part of the trial was not done.
 */
export const tuningTrialSchema = z.strictObject({
  kind: z.literal('trial'),
  id: idSchema,
  ropeId: idSchema,
  rope: ropeStateSchema,
  setting: measure('count', 1, 40, 'Setting', '1 grips least.'),
  weather: choice({ dry: 'Dry', wet: 'Wet', icy: 'Icy' }, 'Rope was'),
  massKg: measure('massKg', 25, 250, 'Weight that hung in it'),
  creepMm: measure(
    'lengthMm',
    0,
    2000,
    'Creep in 60 s',
    'Hanging still, hands off: measured from a tape mark on the rope.',
  ).nullable(),
  bounceMm: measure('lengthMm', 0, 2000, 'Way in three bounces', 'Against the same tape.').nullable(),
  handForceN: measure('forceN', 0, 1000, 'Hand force going down', 'Going down about half a metre a second.').nullable(),
  dragN: measure('forceN', 0, 500, 'Pull that draws the rope through', 'Unloaded, while you go up.').nullable(),
  releases: yesNo('Let go and held again three times'),
  at: instantSchema,
  note: note(),
});
export type TuningTrial = z.infer<typeof tuningTrialSchema>;

export const tuningEntrySchema = z.discriminatedUnion('kind', [
  tuningTrialSchema,
  z.strictObject({
    kind: z.literal('event'),
    id: idSchema,
    /** The rope that it happened to; null: the device, so that no rope is tuned any more. */
    ropeId: idSchema.nullable(),
    what: choice(TUNING_EVENTS, 'What happened'),
    at: instantSchema,
    note: note(),
  }),
]);
export type TuningEntry = z.infer<typeof tuningEntrySchema>;
