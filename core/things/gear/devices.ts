import { z } from 'zod';
import { assumedSchema } from './assumed.ts';
import { benchTestSchema } from './bench.ts';
import { SHAPES } from './connectors.ts';
import { DEVICE_FAMILIES } from './families.ts';
import { choice, line, measure, note, under, yesNo } from './fields.ts';
import { common } from './items-common.ts';
import { JOBS } from './jobs.ts';
import { ROPE_CONSTRUCTIONS, type RopeConstruction } from './soft-items.ts';
import { tuningEntrySchema } from './tuning.ts';

export const declarationSchema = z
  .strictObject({
    job: choice(JOBS, 'Job'),
    strands: choice({ one: 'One strand', two: 'Two strands' }, 'Strands'),
    constructions: z
      .array(z.enum(Object.keys(ROPE_CONSTRUCTIONS) as [RopeConstruction, ...RopeConstruction[]]))
      .min(1, 'Name at least one kind of rope.'),
    minDiameterMm: measure('diameterMm', 5, 16, 'From'),
    maxDiameterMm: measure('diameterMm', 5, 16, 'To'),
    bestMinDiameterMm: measure('diameterMm', 5, 16, 'Best from').nullable(),
    bestMaxDiameterMm: measure('diameterMm', 5, 16, 'Best to').nullable(),
  })
  .refine((d) => d.minDiameterMm <= d.maxDiameterMm, {
    path: ['maxDiameterMm'],
    message: 'The upper limit is below the lower one.',
  })
  .refine((d) => (d.bestMinDiameterMm ?? d.minDiameterMm) >= d.minDiameterMm, {
    path: ['bestMinDiameterMm'],
    message: 'The best range begins before the declared one.',
  })
  .refine(
    (d) =>
      (d.bestMaxDiameterMm ?? d.maxDiameterMm) <= d.maxDiameterMm &&
      (d.bestMaxDiameterMm ?? d.maxDiameterMm) >= (d.bestMinDiameterMm ?? d.minDiameterMm),
    { path: ['bestMaxDiameterMm'], message: 'The best range ends outside the declared one, or before it begins.' },
  );

const SEAT = 'Where the connector goes';
const DECLARED = 'What its maker says';

export const deviceSchema = z.strictObject({
  ...common,
  kind: z.literal('device'),
  assumed: assumedSchema('device'),
  family: choice(DEVICE_FAMILIES, 'Family'),
  wear: choice({ new: 'New', used: 'Used', worn: 'Worn smooth', unknown: 'Not known' }, 'Wear where the rope runs'),
  declarations: z.array(declarationSchema).max(20),
  /** Own tries with something above it; see bench.ts. */
  bench: z.array(benchTestSchema).max(100),
  /** Trials of a bollard on ropes; see tuning.ts. */
  tunings: z.array(tuningEntrySchema).max(300),
  eyeMm: under(
    SEAT,
    measure(
      'diameterMm',
      4,
      60,
      'Hole for the connector',
      'Its smallest inside width. Leave empty for a tube: it has no hole that the carabiner hangs in.',
    ).nullable(),
  ),
  plateMm: under(SEAT, measure('diameterMm', 0.5, 30, 'Thickness of one plate at the hole').nullable()),
  gapMm: under(SEAT, measure('diameterMm', 0, 60, 'Gap between the plates', '0 when there is one plate.').nullable()),
  gapOpens: under(
    SEAT,
    choice(
      {
        both: 'On both sides',
        free: 'Away from the brake strand',
        brake: 'Toward the brake strand',
        unknown: 'Not known',
      },
      'Gap or notch is open',
      'Where a sleeve could come in, seen from the person, brake strand down.',
    ),
  ),
  coverMm: under(
    SEAT,
    measure(
      'lengthMm',
      0,
      80,
      'Plates cover the connector by',
      'From the loaded edge of the hole to the edge of the plates.',
    ).nullable(),
  ),
  notchMm: under(
    SEAT,
    measure('diameterMm', 0, 40, 'Notch at the hole', 'Its width; 0 when there is none.').nullable(),
  ),
  mustTurn: under(SEAT, yesNo('Must turn freely on the connector')),
  entry: under(
    DECLARED,
    choice(
      { unknown: 'Not declared', either: 'Either side', left: 'The left', right: 'The right' },
      'Connector goes in from',
      'Seen from the person, brake strand down.',
    ),
  ),
  handed: under(
    DECLARED,
    choice({ unknown: 'Not declared', both: 'Either hand', right: 'Right hand', left: 'Left hand' }, 'Made for the'),
  ),
  personsRated: under(
    DECLARED,
    choice({ unknown: 'Not declared', one: 'One person', two: 'Two persons' }, 'Persons it is rated for'),
  ),
  attachTo: under(
    DECLARED,
    choice(
      { unknown: 'Not declared', harness: 'The harness only', anchor: 'The anchor only', both: 'Harness or anchor' },
      'May be attached to',
    ),
  ),
  connectorWanted: under(
    DECLARED,
    choice({ unknown: 'Not declared', any: 'Any that locks', ...SHAPES }, 'Connector it wants'),
  ),
  connectorForbidden: under(
    DECLARED,
    choice({ unknown: 'Not declared', none: 'None', ...SHAPES }, 'Connector it forbids'),
  ),
  looseParts: under(DECLARED, line('Parts that can be lost', 80, 0, 'Empty: none known.')),
  bollardSettings: under(
    DECLARED,
    measure('count', 2, 40, 'Settings of its bollard', 'Only where it can be tuned to a rope.').nullable(),
  ),
  massG: under(DECLARED, measure('massG', 5, 3000, 'Mass').nullable()),
  metal: under(
    DECLARED,
    choice(
      { unknown: 'Not known', aluminium: 'Aluminium', steel: 'Steel', mixed: 'Aluminium with steel' },
      'Metal where the rope runs',
    ),
  ),
  priceClass: under(
    DECLARED,
    choice({ unknown: 'Not entered', low: 'Low', middle: 'Middle', high: 'High' }, 'Price class, as you see it'),
  ),
  note: note(),
});
