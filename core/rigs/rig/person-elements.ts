import { z } from 'zod';
import { elementIdSchema } from '../../foundations/finding/index.ts';
import { choice, harnessSchema, line as text, measure, personSchema } from '../../things/gear/index.ts';
import { CALL_IDS, type CallId } from './call-ids.ts';
import { observed } from './observed.ts';

export const ROLES = {
  climber: 'Climber',
  second: 'Second',
  belayer: 'Belayer',
  casualty: 'Casualty',
  rescuer: 'Rescuer',
  partner: 'Partner',
} as const;
export type Role = keyof typeof ROLES;

/** What two persons have agreed to tell each other. An empty word: the usual one. */
export const callsSchema = z.strictObject({
  by: observed(
    {
      voice: 'Voice, and we hear each other',
      signs: 'Signs, and we see each other',
      tugs: 'Tugs on the rope',
      none: 'Nothing agreed',
    },
    'voice',
    'We tell each other by',
  ),
  down: observed(
    {
      lower: 'Is lowered by the belayer',
      rappel: 'Rappels',
      stays: 'Stays up or walks off',
    },
    'lower',
    'At the top the climber',
  ),
  words: z.strictObject(
    Object.fromEntries(CALL_IDS.map((id) => [id, text('Own word', 40)])) as Record<CallId, z.ZodString>,
  ),
});

/**
 * A person with what is worn; harness, brake hand and leg loop have names of their own, since findings point at them.
 */
export const rigPersonSchema = z.strictObject({
  id: elementIdSchema,
  role: z.enum(Object.keys(ROLES) as [Role, ...Role[]]),
  item: personSchema.nullable(),
  harness: harnessSchema.nullable(),
  harnessId: elementIdSchema,
  handId: elementIdSchema,
  legLoopId: elementIdSchema,
  helmet: observed({ worn: 'Worn and closed', none: 'None' }, 'worn', 'Helmet'),
  /** Of a belayer below: how far from the wall; null: not said. */
  fromWallM: measure(
    'lengthM',
    0,
    20,
    'Belayer from the wall',
    'From the wall to the device, measured along the ground.',
  ).nullable(),
  /** Of a belayer who stands where somebody can fall off. */
  atEdge: observed(
    { away: 'No edge near', tied: 'At an edge, attached to an anchor', loose: 'At an edge, not attached' },
    'away',
    'The belayer stands',
  ),
  /** Only where somebody belays from the harness: it decides whether a fall lifts them. */
  stands: choice({ free: 'Free, not tied to anything', anchored: 'Tied low and in line with the pull' }, 'Stands'),
});

export type Calls = z.infer<typeof callsSchema>;
export type RigPerson = z.infer<typeof rigPersonSchema>;
