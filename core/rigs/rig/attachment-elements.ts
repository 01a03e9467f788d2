import { z } from 'zod';
import { waySchema } from '../../things/connector/index.ts';
import { elementIdSchema } from '../../foundations/finding/index.ts';
import { HITCHES } from '../../things/friction/index.ts';
import {
  choice,
  connectorSchema,
  cordSchema,
  deviceSchema,
  JOBS,
  line as text,
  measure,
  slingSchema,
} from '../../things/gear/index.ts';
import { observed } from './observed.ts';

/*
 * What a rig is made of. Every element has an id that is unique in its rig; whatever holds a piece of gear keeps a
 * snapshot of it in `item`, so that an old record stays true. null: not chosen.
 */

const onSchema = z.strictObject({ line: elementIdSchema, strand: z.string() });

export const slingPieceSchema = z.strictObject({
  id: elementIdSchema,
  kind: z.literal('sling'),
  item: slingSchema.nullable(),
  method: choice({ girth: 'Girth-hitched, whole length', basket: 'Doubled through the harness' }, 'Extension'),
  knots: measure('count', 0, 4, 'Overhand knots in the extension'),
  measuredMm: measure(
    'lengthMm',
    50,
    1500,
    'Measured extension',
    'Under load, as it is rigged: from the harness to the bar the device hangs on, of a foot loop from the sole to its connector. It beats the estimate.',
  ).nullable(),
});

export const connectorPieceSchema = z.strictObject({
  id: elementIdSchema,
  kind: z.literal('connector'),
  item: connectorSchema.nullable(),
  /** The way of clipping that was planned; null: none. */
  planned: waySchema.nullable(),
  loadedEnd: observed(
    { broad: 'The broad end', narrow: 'The narrow end' },
    'broad',
    'In the device, or at the rope, lies',
    'Which end of the connector.',
  ),
  gate: observed({ locked: 'Locked', closed: 'Closed, not locked', open: 'Open' }, 'locked', 'Gate'),
  faces: observed(
    { away: 'Away from rope and rock', rope: 'The brake strand', rock: 'The rock' },
    'away',
    'The gate faces',
  ),
  /** Clipped beside this one, as a second connector. */
  beside: elementIdSchema.nullable(),
  opposed: observed(
    { reversed: 'Opposed and reversed', opposed: 'Opposed, hinges alike', same: 'On the same side' },
    'reversed',
    'Its gate, to the first one',
    'Only for a second connector.',
  ),
});
const pieceSchema = z.discriminatedUnion('kind', [slingPieceSchema, connectorPieceSchema]);

export const deviceEndSchema = z.strictObject({
  id: elementIdSchema,
  kind: z.literal('device'),
  item: deviceSchema.nullable(),
  on: z.array(onSchema).min(1).max(2),
  strands: observed({ both: 'Both', one: 'Only one' }, 'both', 'Strands through the device'),
  /** Whose hand brakes; null: nobody's, it holds by itself. */
  hand: elementIdSchema.nullable(),
  brakeLed: observed(
    { below: 'Straight down, beside the load', redirected: 'Up through a connector above, then down' },
    'redirected',
    'Brake strand of the device at the anchor',
    'Led up through a carabiner above it, a grooved tube holds about three times as much. A smooth tube holds about twice as much, a figure-8 half as much again.',
  ),
  threaded: observed(
    {
      shown: 'As its maker shows',
      backwards: 'The other way round',
      'connector-only': 'Around the connector only, not through the device',
    },
    'shown',
    'The rope runs through the device',
  ),
  brakeSide: observed(
    { grooves: 'Over the brake grooves', smooth: 'Over the smooth side' },
    'grooves',
    'The brake strand runs',
  ),
  groove: observed(
    { wide: 'The wide one', narrow: 'The narrow one' },
    'wide',
    'Of its two grooves the rope lies in',
    'Of a plate with a groove for thick and one for thin rope.',
  ),
  /** The hand and everything hard stay off what has to move. */
  cam: observed(
    {
      free: 'Free: hand on the brake strand, nothing against the cam',
      held: 'Held: a hand around it, or a thumb on it',
    },
    'free',
    'The cam is',
    'A cam that is held does not lock.',
  ),
  brakeThrough: choice(
    { direct: 'Straight to the hand', connector: 'Through a second connector on the harness' },
    'The brake strand runs, behind the device',
    'A connector on the leg loop or belay loop bends it once more: the hand holds more.',
  ),
  tuned: observed(
    { 'this-rope': 'On this rope, as it is now', 'other-rope': 'On another rope', no: 'Not tuned' },
    'this-rope',
    'The bollard was tuned',
  ),
  upperHole: observed(
    { clipped: 'A connector through it, around the rope', open: 'Nothing' },
    'clipped',
    'In its upper hole is',
  ),
  /** Of a device at the anchor: what was measured beats where the strand is led. */
  brakeAngleDeg: measure(
    'angleDeg',
    0,
    180,
    'Between the loaded and the brake strand',
    'Angle between load strand and brake strand: 0° side by side, 180° opposite. Leave empty to use the choice above.',
  ).nullable(),
  /** Of a device at the anchor: what is not taken in. */
  slackM: measure(
    'lengthM',
    0,
    10,
    'Slack above the second, at most',
    'Slack that builds up while you look away, clip or eat.',
  ).nullable(),
  /** A plate at the anchor that grips by itself: the loaded strand presses on the brake strand. */
  loadStrand: observed(
    { above: 'Above the brake strand', below: 'Below the brake strand' },
    'above',
    'In the plate the second’s strand lies',
  ),
  strandsLie: observed(
    { parallel: 'Side by side, in parallel', crossed: 'Crossed, one below the other' },
    'parallel',
    'The two ropes leave the device',
  ),
  gatheredM: measure(
    'lengthM',
    0,
    20,
    'A connector gathers both ropes, below the device',
    'Where both run through one connector. Empty: none does.',
  ).nullable(),
  arriving: observed(
    {
      'in-the-air': 'A clove hitch formed in the hand, clipped in one move',
      lanyard: 'Their own lanyard, clipped first',
      'on-connector': 'A clove hitch wrapped onto the carabiner turn by turn',
    },
    'in-the-air',
    'Who arrives is clipped to the anchor by',
  ),
});

export const hitchEndSchema = z.strictObject({
  id: elementIdSchema,
  kind: z.literal('hitch'),
  item: cordSchema.nullable(),
  hitch: choice(HITCHES, 'Hitch'),
  wraps: measure('count', 1, 9, 'Wraps'),
  strands: observed({ both: 'Both', one: 'Only one' }, 'both', 'Strands in the hitch'),
  eyes: observed({ both: 'Both ends', one: 'One end' }, 'both', 'Of the loop are clipped'),
  on: z.array(onSchema).min(1).max(2),
});

export const KNOTS = {
  'figure-eight': 'Figure eight, traced back',
  bowline: 'Bowline, locked',
  overhand: 'Overhand on a bight',
  other: 'Another knot',
} as const;
export const knotEndSchema = z.strictObject({
  id: elementIdSchema,
  kind: z.literal('knot'),
  knot: observed(KNOTS, 'figure-eight', 'Knot'),
  on: z.array(onSchema).min(1).max(1),
});
/** Clipped to another part, to an anchor, or to somebody’s harness. */
export const clipEndSchema = z.strictObject({
  id: elementIdSchema,
  kind: z.literal('clip'),
  to: elementIdSchema,
  tight: observed(
    { tight: 'Tight', slack: 'Slack' },
    'tight',
    'The link runs',
    'Tight: the casualty could drop less than 5 cm.',
  ),
});
/** Somebody’s hand on the rope below: it pulls when the other one’s hand lets go. */
const handEndSchema = z.strictObject({
  id: elementIdSchema,
  kind: z.literal('hand'),
  by: elementIdSchema,
  on: z.array(onSchema).min(1).max(1),
});
const endKindSchema = z.discriminatedUnion('kind', [
  deviceEndSchema,
  hitchEndSchema,
  knotEndSchema,
  clipEndSchema,
  handEndSchema,
]);

export const POINTS = {
  'belay-loop': 'Belay loop',
  'tie-in': 'Tie-in points',
  'leg-loop': 'Leg loop, brake side',
  chest: 'Chest',
  bridge: 'Bridge',
  side: 'Side ring',
  foot: 'Foot',
  knee: 'Knee',
} as const;
const rootSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('harness'), person: elementIdSchema, point: choice(POINTS, 'Hangs on') }),
  z.strictObject({ kind: z.literal('anchor'), anchor: elementIdSchema }),
  z.strictObject({ kind: z.literal('part'), part: elementIdSchema }),
]);

/**
 * What hangs a person, or a device at an anchor, on a line: a section of the form, a chain in the drawing, a way of
 * being held.
 */
export const attachmentSchema = z.strictObject({
  id: elementIdSchema,
  label: text('Name', 60, 1),
  use: z.enum(['carries', 'backup', 'tether', 'aid']),
  /** What its device is used for when that is not the job of the set-up. */
  job: choice(JOBS, 'Used for').nullable(),
  root: rootSchema,
  pieces: z.array(pieceSchema).max(6),
  end: endKindSchema,
});

export type Piece = z.infer<typeof pieceSchema>;
export type SlingPiece = z.infer<typeof slingPieceSchema>;
export type ConnectorPiece = z.infer<typeof connectorPieceSchema>;
export type EndPart = z.infer<typeof endKindSchema>;
export type DeviceEnd = z.infer<typeof deviceEndSchema>;
export type HitchEnd = z.infer<typeof hitchEndSchema>;
export type KnotEnd = z.infer<typeof knotEndSchema>;
export type ClipEnd = z.infer<typeof clipEndSchema>;
export type Root = z.infer<typeof rootSchema>;
export type Attachment = z.infer<typeof attachmentSchema>;
