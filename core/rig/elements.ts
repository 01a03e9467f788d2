import { z } from 'zod';
import { waySchema } from '../connector/index.ts';
import { refSchema } from '../finding/index.ts';
import { HITCHES } from '../friction/index.ts';
import {
  choice,
  connectorSchema,
  cordSchema,
  deviceSchema,
  harnessSchema,
  JOBS,
  line as text,
  measure,
  personSchema,
  ropeSchema,
  slingSchema,
} from '../gear/index.ts';
import { CALL_IDS, type CallId } from './call-ids.ts';
import { said } from './said.ts';

/*
 * What a rig is made of. Every element has an id that is unique in its rig; whatever holds a piece of gear keeps a snapshot of it in `item`,
 * so that an old record stays true. null: not chosen.
 */

export const WEATHER = { dry: 'Dry', wet: 'Wet', icy: 'Icy' } as const;

/** A limb that somebody goes out on. */
export const limbSchema = z.strictObject({
  id: refSchema,
  outM: measure(
    'lengthM',
    0,
    20,
    'Out along the limb',
    'How far aside from below the tie-in. 0: nobody goes out.',
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

/** What is particular to a tree: how the tie-in point was tried, where one goes along a limb, and what else holds there. */
export const treeSchema = z.strictObject({
  tried: said(
    {
      two: 'Two persons, bouncing on the line',
      one: 'One person',
      none: 'Nobody',
    },
    'two',
    'The tie-in point was tried from the ground by',
    'Twice the load that it gets later, at least.',
  ),
  triedKg: measure(
    'massKg',
    20,
    400,
    'What bounced on it weighs',
    'All who hung on the line at once, with gear. Empty: what climber and partner weigh, where both are chosen.',
  ).nullable(),
  overLimb: said(
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
  deviceLies: said(
    { free: 'Hangs free', over: 'Lies over a limb or stem' },
    'free',
    'Loaded, the device',
    'Where one works: a long device that bends over wood is pulled sideways.',
  ),
  /** Where one goes out; the first one is always there. */
  limbs: z.array(limbSchema).min(1).max(5),
  comingBack: said(
    { taken: 'Taken in at every step', slack: 'Left slack' },
    'taken',
    'Coming back along the limb the line is',
  ),
  second: said(
    { lanyard: 'A lanyard around stem or limb', none: 'None' },
    'lanyard',
    'Second attachment while working or changing',
  ),
  saw: said({ no: 'Nothing is cut', yes: 'A saw is used up there' }, 'no', 'Cutting'),
  bridge: said(
    { one: 'One', two: 'Two, each on points of its own' },
    'one',
    'Bridge of the harness',
    'The rope or webbing between the side points that the device hangs on.',
  ),
  eyes: said(
    { separate: 'Each in an eye of its own', one: 'On one connector' },
    'separate',
    'End of the line and device hang',
    'On a rigging plate, or on points of their own.',
  ),
});

/** Where it happens. Heights are above the ground. */
export const siteSchema = z.strictObject({
  anchorHeightM: measure('lengthM', 0, 300, 'Anchor above the ground', '0: not said.'),
  stanceHeightM: measure('lengthM', 0, 299, 'Next stance above the ground', '0 when you go to the ground.'),
  extraLineM: measure(
    'lengthM',
    0,
    100,
    'Extra rope on the way',
    'Where the line is not straight down, or the stance lies aside.',
  ),
  edge: said(
    { none: 'No edge', rounded: 'A rounded edge', padded: 'A sharp edge, padded', sharp: 'A sharp edge' },
    'none',
    'The rope runs over',
    undefined,
    'Not known',
  ),
  slant: said(
    { plumb: 'Straight down', slanting: 'Aslant, by more than 20°' },
    'plumb',
    'The rope one goes up hangs',
    'A rope that slants pulls a clamp sideways, and can come out of it.',
  ),
  steepness: choice({ low: 'Low angle', steep: 'Steep', free: 'Hanging free' }, 'Ground'),
  weather: choice(WEATHER, 'Rope and device are'),
  /** null: not in a tree. */
  tree: treeSchema.nullable(),
});

export const ROLES = {
  climber: 'Climber',
  second: 'Second',
  belayer: 'Belayer',
  casualty: 'Casualty',
  rescuer: 'Rescuer',
  partner: 'Partner',
} as const;
export type Role = keyof typeof ROLES;

export { CALL_IDS, type CallId };

/** What two persons have agreed to tell each other. An empty word: the usual one. */
export const callsSchema = z.strictObject({
  by: said(
    {
      voice: 'Voice, and we hear each other',
      signs: 'Signs, and we see each other',
      tugs: 'Tugs on the rope',
      none: 'Nothing agreed',
    },
    'voice',
    'We tell each other by',
  ),
  down: said(
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

/** A person with what is worn; harness, brake hand and leg loop have names of their own, since findings point at them. */
export const rigPersonSchema = z.strictObject({
  id: refSchema,
  role: z.enum(Object.keys(ROLES) as [Role, ...Role[]]),
  item: personSchema.nullable(),
  harness: harnessSchema.nullable(),
  harnessId: refSchema,
  handId: refSchema,
  legLoopId: refSchema,
  helmet: said({ worn: 'Worn and closed', none: 'None' }, 'worn', 'Helmet'),
  /** Only where somebody belays from the harness: it decides whether a fall lifts them. */
  /** Of a belayer below: how far from the wall; null: not said. */
  fromWallM: measure(
    'lengthM',
    0,
    20,
    'Belayer from the wall',
    'From the wall to the device, measured along the ground.',
  ).nullable(),
  stands: choice({ free: 'Free, not tied to anything', anchored: 'Tied low and in line with the pull' }, 'Stands'),
});

export const anchorSchema = z.strictObject({
  id: refSchema,
  through: said(
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
  points: said(
    { several: 'Two points or more', one: 'One point' },
    'several',
    'The anchor hangs on',
    undefined,
    'Not known',
  ),
});

const ropeSlot = z.strictObject({ id: refSchema, item: ropeSchema.nullable() });
/** The free end of one strand. */
const endSchema = z.strictObject({
  id: refSchema,
  state: said({ knotted: 'Knotted', tied: 'Tied in to somebody', open: 'Open' }, 'knotted', 'Free end of the rope'),
});

export const doubledSchema = z.strictObject({
  id: refSchema,
  kind: z.literal('doubled'),
  anchor: refSchema,
  use: choice({ folded: 'One rope, folded', joined: 'Two ropes, joined' }, 'Ropes'),
  ropeA: ropeSlot,
  ropeB: ropeSlot,
  joint: z.strictObject({
    id: refSchema,
    knot: said(
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
    id: refSchema,
    state: said(
      { 'both-knotted': 'Both knotted', 'one-knotted': 'One knotted', open: 'Open' },
      'both-knotted',
      'Rope ends',
    ),
  }),
});

export const fixedSchema = z.strictObject({
  id: refSchema,
  kind: z.literal('fixed'),
  anchor: refSchema,
  rope: ropeSlot,
  fastening: z.strictObject({
    id: refSchema,
    how: said(
      { tied: 'Tied to the anchor', blocked: 'Through the rings, blocked by a knot' },
      'tied',
      'The rope is held by',
    ),
    backup: said(
      { clipped: 'Yes, with a locking connector', no: 'No' },
      'clipped',
      'Knot clipped to the other strand',
      'A connector through the knot and around the strand you go down: it stops what slips through the rings.',
    ),
    strand: said(
      { free: 'The one without the knot', knot: 'The one with the knot' },
      'free',
      'Strand you go down',
      'Seen from the rings: the knot must be drawn against them by your weight.',
    ),
    tiedAt: said({ top: 'Up in the tree', base: 'At the base of the tree' }, 'top', 'The line is tied'),
  }),
  end: endSchema,
  endWeightKg: measure(
    'massKg',
    0,
    20,
    'Weight hung on the end of the rope',
    'Clear of the ground, so that the rope runs through the device by itself. Empty: none.',
  ).nullable(),
});

const oneRope = { id: refSchema, anchor: refSchema, rope: ropeSlot, end: endSchema };
export const overSchema = z.strictObject({ ...oneRope, kind: z.literal('over') });
export const straightSchema = z.strictObject({ ...oneRope, kind: z.literal('straight') });
export const ledSchema = z.strictObject({
  ...oneRope,
  kind: z.literal('led'),
  runners: z
    .array(
      z.strictObject({
        id: refSchema,
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

const onSchema = z.strictObject({ line: refSchema, strand: z.string() });

export const slingPieceSchema = z.strictObject({
  id: refSchema,
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
  id: refSchema,
  kind: z.literal('connector'),
  item: connectorSchema.nullable(),
  /** The way of clipping that was planned; null: none. */
  planned: waySchema.nullable(),
  loadedEnd: said(
    { broad: 'The broad end', narrow: 'The narrow end' },
    'broad',
    'In the device, or at the rope, lies',
    'Which end of the connector.',
  ),
  gate: said({ locked: 'Locked', closed: 'Closed, not locked', open: 'Open' }, 'locked', 'Gate'),
  faces: said(
    { away: 'Away from rope and rock', rope: 'The brake strand', rock: 'The rock' },
    'away',
    'The gate faces',
  ),
  /** Clipped beside this one, as a second connector. */
  beside: refSchema.nullable(),
  opposed: said(
    { reversed: 'Opposed and reversed', opposed: 'Opposed, hinges alike', same: 'On the same side' },
    'reversed',
    'Its gate, to the first one',
    'Only for a second connector.',
  ),
});
export const pieceSchema = z.discriminatedUnion('kind', [slingPieceSchema, connectorPieceSchema]);

export const deviceEndSchema = z.strictObject({
  id: refSchema,
  kind: z.literal('device'),
  item: deviceSchema.nullable(),
  on: z.array(onSchema).min(1).max(2),
  strands: said({ both: 'Both', one: 'Only one' }, 'both', 'Strands through the device'),
  /** Whose hand brakes; null: nobody's, it holds by itself. */
  hand: refSchema.nullable(),
  brakeLed: said(
    { below: 'Straight down, beside the load', redirected: 'Up through a connector above, then down' },
    'redirected',
    'Brake strand of the device at the anchor',
    'Beside the load a device holds a third of what it holds on a harness; led up and over it holds as much.',
  ),
  threaded: said(
    {
      shown: 'As its maker shows',
      backwards: 'The other way round',
      'connector-only': 'Around the connector only, not through the device',
    },
    'shown',
    'The rope runs through the device',
  ),
  brakeSide: said(
    { grooves: 'Over the brake grooves', smooth: 'Over the smooth side' },
    'grooves',
    'The brake strand runs',
  ),
  tuned: said(
    { 'this-rope': 'On this rope, as it is now', 'other-rope': 'On another rope', no: 'Not tuned' },
    'this-rope',
    'The bollard was tuned',
  ),
  upperHole: said(
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
    'How far the brake strand is bent back: 0 beside the load, 180 opposite to it. Empty: as it is led.',
  ).nullable(),
  /** Of a device at the anchor: what is not taken in. */
  slackM: measure(
    'lengthM',
    0,
    10,
    'Slack above who follows, at most',
    'What is not taken in while you look away, clip or eat.',
  ).nullable(),
  /** A plate at the anchor that grips by itself: the loaded strand presses on the brake strand. */
  loadStrand: said(
    { above: 'Above the brake strand', below: 'Below the brake strand' },
    'above',
    'In the plate the strand to the second lies',
  ),
  strandsLie: said(
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
  arriving: said(
    {
      'in-the-air': 'A clove hitch tied in the air and clipped at once',
      lanyard: 'An own lanyard, clipped first',
      'on-connector': 'A clove hitch laid turn by turn on the connector',
    },
    'in-the-air',
    'Who arrives is clipped to the anchor by',
  ),
});

export const hitchEndSchema = z.strictObject({
  id: refSchema,
  kind: z.literal('hitch'),
  item: cordSchema.nullable(),
  hitch: choice(HITCHES, 'Hitch'),
  wraps: measure('count', 1, 9, 'Wraps'),
  strands: said({ both: 'Both', one: 'Only one' }, 'both', 'Strands in the hitch'),
  eyes: said({ both: 'Both ends', one: 'One end' }, 'both', 'Of the loop are clipped'),
  on: z.array(onSchema).min(1).max(2),
});

export const KNOTS = {
  'figure-eight': 'Figure eight, traced back',
  bowline: 'Bowline, locked',
  overhand: 'Overhand on a bight',
  other: 'Another knot',
} as const;
export const knotEndSchema = z.strictObject({
  id: refSchema,
  kind: z.literal('knot'),
  knot: said(KNOTS, 'figure-eight', 'Knot'),
  on: z.array(onSchema).min(1).max(1),
});
/** Clipped to another part, to an anchor, or to somebody’s harness. */
export const clipEndSchema = z.strictObject({
  id: refSchema,
  kind: z.literal('clip'),
  to: refSchema,
  tight: said(
    { tight: 'Tight', slack: 'Slack' },
    'tight',
    'The link runs',
    'Tight: whoever hangs on it could drop less than 5 cm.',
  ),
});
/** Somebody’s hand on the rope below: it pulls when the other one’s hand lets go. */
export const handEndSchema = z.strictObject({
  id: refSchema,
  kind: z.literal('hand'),
  by: refSchema,
  on: z.array(onSchema).min(1).max(1),
});
export const endKindSchema = z.discriminatedUnion('kind', [
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
export const rootSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('harness'), person: refSchema, point: choice(POINTS, 'Hangs on') }),
  z.strictObject({ kind: z.literal('anchor'), anchor: refSchema }),
  z.strictObject({ kind: z.literal('part'), part: refSchema }),
]);

/** What hangs a person, or a device at an anchor, on a line: a section of the form, a chain in the drawing, a way of being held. */
export const attachmentSchema = z.strictObject({
  id: refSchema,
  label: text('Name', 60, 1),
  use: z.enum(['carries', 'backup', 'tether', 'aid']),
  /** What its device is used for when that is not the job of the set-up. */
  job: choice(JOBS, 'Used for').nullable(),
  root: rootSchema,
  pieces: z.array(pieceSchema).max(6),
  end: endKindSchema,
});

export type Calls = z.infer<typeof callsSchema>;
export type Site = z.infer<typeof siteSchema>;
export type Tree = z.infer<typeof treeSchema>;
export type RigPerson = z.infer<typeof rigPersonSchema>;
export type RigAnchor = z.infer<typeof anchorSchema>;
export type RigLine = z.infer<typeof lineSchema>;
export type LineOf<K extends RigLine['kind']> = Extract<RigLine, { kind: K }>;
export type RopeSlot = z.infer<typeof ropeSlot>;
export type Piece = z.infer<typeof pieceSchema>;
export type SlingPiece = z.infer<typeof slingPieceSchema>;
export type ConnectorPiece = z.infer<typeof connectorPieceSchema>;
export type EndPart = z.infer<typeof endKindSchema>;
export type DeviceEnd = z.infer<typeof deviceEndSchema>;
export type HitchEnd = z.infer<typeof hitchEndSchema>;
export type KnotEnd = z.infer<typeof knotEndSchema>;
export type ClipEnd = z.infer<typeof clipEndSchema>;
export type HandEnd = z.infer<typeof handEndSchema>;
export type Root = z.infer<typeof rootSchema>;
export type Attachment = z.infer<typeof attachmentSchema>;
