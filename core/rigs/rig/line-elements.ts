import { z } from 'zod';
import { elementIdSchema } from '../../foundations/finding/index.ts';
import { choice, connectorSchema, measure, ropeSchema } from '../../things/gear/index.ts';
import { observed } from './observed.ts';

export const anchorSchema = z.strictObject({
  id: elementIdSchema,
  through: observed(
    {
      rings: 'Rings or links of metal',
      connector: 'A locked connector',
      saver: 'A friction saver',
      wood: 'Bare wood',
      textile: 'A textile sling',
    },
    'rings',
    'The rope runs through',
    undefined,
    'Not known',
  ),
  points: observed(
    { several: 'Two points or more', one: 'One point' },
    'several',
    'The anchor hangs on',
    undefined,
    'Not known',
  ),
  rings: observed(
    { all: 'All of them', one: 'Only one of them' },
    'all',
    'Of the rings the rope runs through',
    undefined,
    'Not known',
  ),
});

const ropeSlot = z.strictObject({ id: elementIdSchema, item: ropeSchema.nullable() });
/** The free end of one strand. */
const endSchema = z.strictObject({
  id: elementIdSchema,
  state: observed({ knotted: 'Knotted', tied: 'Tied in to a person', open: 'Open' }, 'knotted', 'Free end of the rope'),
});

export const doubledSchema = z.strictObject({
  id: elementIdSchema,
  kind: z.literal('doubled'),
  anchor: elementIdSchema,
  use: choice({ folded: 'One rope, folded', joined: 'Two ropes, joined' }, 'Ropes'),
  ropeA: ropeSlot,
  ropeB: ropeSlot,
  joint: z.strictObject({
    id: elementIdSchema,
    knot: observed(
      {
        'flat-overhand': 'Flat overhand, long tails',
        'double-fisherman': 'Double fisherman’s',
        other: 'Another knot',
      },
      'flat-overhand',
      'Joined by',
    ),
  }),
  middleMissM: measure(
    'lengthM',
    0,
    30,
    'Middle may be missed by',
    'Marked: 0.2 m; flaked from both ends: 0.5 m; guessed: several metres.',
  ),
  ends: z.strictObject({
    id: elementIdSchema,
    state: observed(
      { 'both-knotted': 'Both knotted', 'one-knotted': 'One knotted', open: 'Open' },
      'both-knotted',
      'Rope ends',
    ),
  }),
});

export const fixedSchema = z.strictObject({
  id: elementIdSchema,
  kind: z.literal('fixed'),
  anchor: elementIdSchema,
  rope: ropeSlot,
  fastening: z.strictObject({
    id: elementIdSchema,
    how: observed(
      { tied: 'Tied to the anchor', blocked: 'Through the rings, blocked by a knot' },
      'tied',
      'The rope is held by',
    ),
    backup: observed(
      { clipped: 'Yes, with a locking connector', no: 'No' },
      'clipped',
      'Knot clipped to the other strand',
      'A connector through the knot and around the strand you go down: it stops what slips through the rings.',
    ),
    strand: observed(
      { free: 'The one without the knot', knot: 'The one with the knot' },
      'free',
      'Strand you go down',
      'Seen from the rings: the knot must be drawn against them by your weight.',
    ),
    tiedAt: observed({ top: 'Up in the tree', base: 'At the base of the tree' }, 'top', 'The line is tied'),
  }),
  end: endSchema,
  endWeightKg: measure(
    'massKg',
    0,
    20,
    'Weight hung on the end of the rope',
    'Clear of the ground, so that the rope feeds itself through the device. Empty: none.',
  ).nullable(),
});

const oneRope = { id: elementIdSchema, anchor: elementIdSchema, rope: ropeSlot, end: endSchema };
const overSchema = z.strictObject({ ...oneRope, kind: z.literal('over') });
const straightSchema = z.strictObject({ ...oneRope, kind: z.literal('straight') });
const ledSchema = z.strictObject({
  ...oneRope,
  kind: z.literal('led'),
  runners: z
    .array(
      z.strictObject({
        id: elementIdSchema,
        heightM: measure('lengthM', 0, 300, 'Height'),
        offsetM: measure('lengthM', -30, 30, 'Aside'),
        turnRad: z.number().min(0).max(6.3),
        item: connectorSchema.nullable(),
      }),
    )
    .max(30),
});
export const lineSchema = z.discriminatedUnion('kind', [
  doubledSchema,
  fixedSchema,
  overSchema,
  straightSchema,
  ledSchema,
]);

/** Strands of each kind of line. */
export const STRANDS = {
  doubled: ['both', 'a', 'b'],
  fixed: ['main'],
  over: ['a', 'b'],
  straight: ['load', 'brake'],
  led: ['climber', 'belayer'],
} as const satisfies Record<z.infer<typeof lineSchema>['kind'], readonly string[]>;

export type RigAnchor = z.infer<typeof anchorSchema>;
export type RigLine = z.infer<typeof lineSchema>;
export type LineOf<K extends RigLine['kind']> = Extract<RigLine, { kind: K }>;
