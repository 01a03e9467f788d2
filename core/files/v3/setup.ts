/*
 * The set-up of version 3, as it stood: an old file is held against it before it is brought up, so that what is wrong in it is named by its own path.
 */
import { z } from 'zod';
import { choice, idSchema, instantSchema, line, measure, note } from '../../gear/index.ts';
import { HITCHES } from '../../friction/index.ts';
import {
  connectorSchema,
  cordSchema,
  deviceSchema,
  harnessSchema,
  ropeSchema,
  slingSchema,
  personSchema,
} from './items.ts';

/** Where it happens. Heights are above the ground at the foot of the descent. */
export const situationSchema = z.strictObject({
  anchorHeightM: measure('lengthM', 1, 300, 'Anchor above the ground'),
  stanceHeightM: measure('lengthM', 0, 299, 'Next stance above the ground', '0 when you go to the ground.'),
  extraLineM: measure(
    'lengthM',
    0,
    100,
    'Extra rope on the way',
    'Where the line is not straight down, or the stance lies aside.',
  ),
  anchorRope: choice(
    { rings: 'Rings or links of metal', textile: 'A textile sling', unknown: 'Not known' },
    'The rope runs through',
  ),
  anchorPoints: choice(
    { several: 'Two points or more', one: 'One point', unknown: 'Not known' },
    'The anchor hangs on',
  ),
  edge: choice(
    {
      none: 'No edge',
      rounded: 'A rounded edge',
      padded: 'A sharp edge, padded',
      sharp: 'A sharp edge',
      unknown: 'Not known',
    },
    'The rope runs over',
  ),
  steepness: choice({ low: 'Low angle', steep: 'Steep', free: 'Hanging free' }, 'Ground'),
  weather: choice({ dry: 'Dry', wet: 'Wet', icy: 'Icy' }, 'Rope and device are'),
});

/** How it is rigged. What was not said is `unknown` and never turns into a pass. */
export const rigSchema = z.strictObject({
  ropeUse: choice({ folded: 'One rope, folded', joined: 'Two ropes, joined' }, 'Ropes'),
  middleMissM: measure(
    'lengthM',
    0,
    30,
    'Middle may be missed by',
    'Marked: 0.2 m; flaked from both ends: 0.5 m; guessed: several metres.',
  ),
  joiningKnot: choice(
    {
      'flat-overhand': 'Flat overhand, long tails',
      'double-fisherman': 'Double fisherman’s',
      other: 'Another knot',
      unknown: 'Not said',
    },
    'Joined by',
  ),
  ends: choice(
    { 'both-knotted': 'Both knotted', 'one-knotted': 'One knotted', open: 'Open', unknown: 'Not said' },
    'Rope ends',
  ),
  deviceStrands: choice({ both: 'Both', one: 'Only one', unknown: 'Not said' }, 'Strands through the device'),
  ropeOverEnd: choice(
    { broad: 'The broad end', narrow: 'The narrow end', unknown: 'Not said' },
    'Rope runs over',
    'Which end of the device connector.',
  ),
  deviceGate: choice(
    { locked: 'Locked', closed: 'Closed, not locked', open: 'Open', unknown: 'Not said' },
    'Gate of the device connector',
  ),
  deviceGateFaces: choice(
    { away: 'Away from rope and rock', rope: 'The brake strands', rock: 'The rock', unknown: 'Not said' },
    'That gate faces',
  ),
  extensionMethod: choice({ girth: 'Girth-hitched, whole length', basket: 'Doubled through the harness' }, 'Extension'),
  extensionKnots: measure('count', 0, 4, 'Overhand knots in the extension'),
  extensionMeasuredMm: measure(
    'lengthMm',
    50,
    1500,
    'Measured extension',
    'Harness to the bar the device hangs on, under load. It beats the estimate.',
  ).nullable(),
  hitchKind: choice(HITCHES, 'Hitch'),
  hitchWraps: measure('count', 1, 9, 'Wraps'),
  hitchStrands: choice({ both: 'Both', one: 'Only one', unknown: 'Not said' }, 'Strands in the hitch'),
  hitchEyes: choice({ both: 'Both ends', one: 'One end', unknown: 'Not said' }, 'Of the loop are clipped'),
  hitchAt: choice({ 'leg-loop': 'Leg loop, brake side', 'belay-loop': 'Belay loop' }, 'Hitch hangs on'),
  hitchGate: choice(
    { locked: 'Locked', closed: 'Closed, not locked', open: 'Open', unknown: 'Not said' },
    'Gate of the hitch connector',
  ),
  hitchGateFaces: choice(
    { away: 'Away from rope and rock', rope: 'The brake strands', rock: 'The rock', unknown: 'Not said' },
    'That gate faces',
  ),
});

/** Snapshots of the items used, so that an old record stays true when the locker changes. null: not chosen. */
export const setupGearSchema = z.strictObject({
  ropeA: ropeSchema.nullable(),
  ropeB: ropeSchema.nullable(),
  device: deviceSchema.nullable(),
  deviceConnector: connectorSchema.nullable(),
  extraConnector: connectorSchema.nullable(),
  extension: slingSchema.nullable(),
  hitchCord: cordSchema.nullable(),
  hitchConnector: connectorSchema.nullable(),
  harness: harnessSchema.nullable(),
});

export const setupPeopleSchema = z.strictObject({ climber: personSchema.nullable(), partner: personSchema.nullable() });

export const setup3Schema = z.strictObject({
  id: idSchema,
  name: line('Name', 80, 1),
  job: z.literal('rappel-double'),
  createdAt: instantSchema,
  updatedAt: instantSchema,
  situation: situationSchema,
  people: setupPeopleSchema,
  gear: setupGearSchema,
  rig: rigSchema,
  note: note(),
});

export type Setup3 = z.infer<typeof setup3Schema>;
