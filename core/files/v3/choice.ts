/* The choice of version 3, as it stood. */
import { z } from 'zod';
import { waySchema, wayTestSchema } from '../../connector/index.ts';
import { findingSchema } from '../../finding/index.ts';
import { HITCHES } from '../../friction/index.ts';
import { choice, idSchema, instantSchema, JOBS, line, measure, note } from '../../gear/index.ts';
import { connectorSchema, cordSchema, deviceSchema, ropeSchema, personSchema } from './items.ts';
import { situationSchema } from './setup.ts';

/** What a plan asks for: the job, where, and who. */
export const questionSchema = z.strictObject({
  job: choice(JOBS, 'Job'),
  heightM: measure('lengthM', 1, 300, 'Height', 'From the anchor to the ground or stance, along the rope.'),
  weather: situationSchema.shape.weather,
  /** The person on the rope; null: not chosen. */
  climber: personSchema.nullable(),
  /** Whose hand brakes, when it is somebody else. */
  belayer: personSchema.nullable(),
});

/**
 * A combination taken for a job, with snapshots of what it is made of and the findings of that day. For jobs whose whole rig is not assessed
 * yet; a doubled rappel becomes a set-up instead.
 */
export const choice3Schema = z.strictObject({
  id: idSchema,
  name: line('Name', 80, 1),
  createdAt: instantSchema,
  updatedAt: instantSchema,
  question: questionSchema,
  gear: z.strictObject({
    ropeA: ropeSchema.nullable(),
    ropeB: ropeSchema.nullable(),
    device: deviceSchema.nullable(),
    connector: connectorSchema.nullable(),
    hitchCord: cordSchema.nullable(),
  }),
  way: waySchema.nullable(),
  hitchKind: choice(HITCHES, 'Hitch'),
  hitchWraps: measure('count', 1, 9, 'Wraps'),
  /** The person's own tests of this pair, as they stood. */
  tests: z.array(wayTestSchema),
  /** What was found when it was taken. */
  findings: z.array(findingSchema),
  note: note(),
});
