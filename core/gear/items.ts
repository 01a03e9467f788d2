import { z } from 'zod';
import { choice, idSchema, line, measure, note, under, yesNo } from './fields.ts';
import { benchTestSchema } from './bench.ts';
import { DEVICE_FAMILIES } from './families.ts';
import { JOBS } from './jobs.ts';
import { assumedSchema } from './assumed.ts';
import { tuningEntrySchema } from './tuning.ts';

const common = {
  id: idSchema,
  name: line('Name', 80, 1, 'What you call it, so that you pick the right one.'),
  maker: line('Maker', 80),
};

export const ROPE_CONSTRUCTIONS = {
  single: 'Single rope',
  half: 'Half rope',
  twin: 'Twin rope',
  'low-stretch': 'Low-stretch rope',
  other: 'Other or not known',
} as const;
export type RopeConstruction = keyof typeof ROPE_CONSTRUCTIONS;

const measuredDiameter = (what: string) =>
  measure(
    'diameterMm',
    2,
    20,
    `Measured diameter of the ${what}`,
    'Your own caliper reading. It beats the label.',
  ).nullable();

/** What a look over the whole length told, by eye and by hand. */
const condition = (what: string) =>
  choice(
    {
      sound: 'Sound, looked over by eye and hand',
      worn: 'Worn, still in use',
      damaged: 'Damaged, or not to be trusted',
      unknown: 'Not looked over',
    },
    `Condition of the ${what}`,
    'Cuts, soft or stiff places, melted or bleached fibre, seams; and how long its maker lets it be used.',
  );

export const ropeSchema = z.strictObject({
  ...common,
  kind: z.literal('rope'),
  assumed: assumedSchema('rope'),
  construction: choice(ROPE_CONSTRUCTIONS, 'Kind of rope'),
  nominalDiameterMm: measure('diameterMm', 5, 16, 'Diameter on the label'),
  measuredDiameterMm: measuredDiameter('rope'),
  measuringUncertaintyMm: measure(
    'diameterMm',
    0.02,
    1,
    'Uncertainty of the measuring',
    'Leave empty for 0.1 mm.',
  ).nullable(),
  lengthM: measure('lengthM', 5, 400, 'Length on the label'),
  measuredLengthM: measure('lengthM', 5, 400, 'Measured length', 'Ropes shrink with use.').nullable(),
  linearDensityGPerM: measure(
    'linearDensityGPerM',
    20,
    160,
    'Mass per metre',
    'Leave empty for an estimate.',
  ).nullable(),
  sheath: choice(
    { smooth: 'Used, smooth', 'new-treated': 'New and treated', fuzzy: 'Worn, fuzzy', unknown: 'Not known' },
    'Sheath',
  ),
  middle: choice(
    { marked: 'Marked', bicolour: 'Changes colour', none: 'Not marked', unknown: 'Not known' },
    'Middle of the rope',
  ),
  condition: condition('rope'),
  stiffness: choice(
    { supple: 'Supple', usual: 'Usual', stiff: 'Stiff, it hardly bends into the device', unknown: 'Not known' },
    'Stiffness',
  ),
  impactForceKn: measure(
    'strengthKn',
    3,
    15,
    'Impact force on the label',
    'Of the standard fall. Empty: what its kind of rope usually has.',
  ).nullable(),
  note: note(),
});

export const cordSchema = z.strictObject({
  ...common,
  kind: z.literal('cord'),
  assumed: assumedSchema('cord'),
  material: choice(
    { polyamide: 'Polyamide', polyester: 'Polyester', aramid: 'Aramid', uhmwpe: 'UHMWPE', unknown: 'Not known' },
    'Fibre that touches the rope',
  ),
  nominalDiameterMm: measure('diameterMm', 3, 12, 'Diameter on the label'),
  measuredDiameterMm: measuredDiameter('cord'),
  closure: choice({ 'double-fisherman': 'Double fisherman’s bend', sewn: 'Sewn' }, 'Loop closed by'),
  cutLengthM: measure('lengthM', 0.5, 6, 'Cut length', 'Whole cord before the bend is tied.').nullable(),
  loopLengthMm: measure(
    'lengthMm',
    100,
    2500,
    'Measured loop, pulled flat',
    'End to end. It beats the estimate from the cut length.',
  ).nullable(),
  declaredStrengthKn: measure('strengthKn', 0.5, 60, 'Declared strength of one strand').nullable(),
  condition: condition('cord'),
  /** Own tries with something above it; see bench.ts. */
  bench: z.array(benchTestSchema).max(100),
  note: note(),
});

export const slingSchema = z.strictObject({
  ...common,
  kind: z.literal('sling'),
  assumed: assumedSchema('sling'),
  material: choice({ polyamide: 'Polyamide', polyester: 'Polyester', uhmwpe: 'UHMWPE', unknown: 'Not known' }, 'Fibre'),
  widthMm: measure('diameterMm', 5, 40, 'Width'),
  loopLengthMm: measure('lengthMm', 150, 2500, 'Length, pulled flat', 'End to end, as slings are sold.'),
  strengthKn: measure('strengthKn', 5, 60, 'Declared strength').nullable(),
  condition: condition('sling'),
  note: note(),
});

const SHAPES = { hms: 'Pear (HMS)', d: 'D', 'offset-d': 'Offset D', oval: 'Oval' } as const;
const CLIPPING = 'Measures for the ways to clip it';

export const connectorSchema = z.strictObject({
  ...common,
  kind: z.literal('connector'),
  assumed: assumedSchema('connector'),
  shape: choice(SHAPES, 'Shape'),
  lock: choice(
    {
      screw: 'Screw sleeve',
      'two-action': 'Self-locking, two actions',
      'three-action': 'Self-locking, three actions',
      magnetic: 'Self-locking, two levers held by magnets',
      twin: 'Two gates, one over the other',
      none: 'No lock',
      unknown: 'Not known',
    },
    'Gate',
  ),
  insideLengthMm: measure('lengthMm', 40, 200, 'Inside length', 'Bar to bar.'),
  broadInsideWidthMm: measure('diameterMm', 8, 90, 'Inside width at the broad end').nullable(),
  strengthMajorKn: measure('strengthKn', 1, 60, 'Strength along').nullable(),
  strengthMinorKn: measure('strengthKn', 1, 60, 'Strength across').nullable(),
  strengthOpenKn: measure('strengthKn', 1, 60, 'Strength, gate open').nullable(),
  condition: condition('connector'),
  keeper: yesNo('Held from turning', 'An anti-rotation bar, or a captive end, that stops it from settling across.'),
  narrowInsideWidthMm: under(
    CLIPPING,
    measure('diameterMm', 5, 90, 'Inside width at the narrow end', 'Of an oval both ends are alike.').nullable(),
  ),
  broadStockMm: under(
    CLIPPING,
    measure(
      'diameterMm',
      4,
      25,
      'Bar at the broad end',
      'Thickness of the metal where the device would hang.',
    ).nullable(),
  ),
  narrowStockMm: under(CLIPPING, measure('diameterMm', 4, 25, 'Bar at the narrow end').nullable()),
  sleeveMm: under(
    CLIPPING,
    measure('diameterMm', 6, 35, 'Outside of the sleeve', 'Across its thickest place.').nullable(),
  ),
  sleeveFromBroadMm: under(
    CLIPPING,
    measure(
      'lengthMm',
      0,
      150,
      'Sleeve from the broad end',
      'From the inside of that end along the gate to the locked sleeve.',
    ).nullable(),
  ),
  sleeveFromNarrowMm: under(CLIPPING, measure('lengthMm', 0, 150, 'Sleeve from the narrow end').nullable()),
  gateOpeningMm: under(CLIPPING, measure('diameterMm', 5, 60, 'Opening of the gate').nullable()),
  note: note(),
});

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
      'Its smallest inside width. Leave empty for a tube, which the rope bight holds.',
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

export const harnessSchema = z.strictObject({
  ...common,
  kind: z.literal('harness'),
  assumed: assumedSchema('harness'),
  attachment: choice(
    { 'belay-loop': 'Belay loop', 'two-points': 'Two tie-in points, no belay loop' },
    'Where the extension is attached',
  ),
  legBuckleTakesLoad: choice(
    {
      sewn: 'Sewn shut, no buckle',
      rated: 'Buckle made to take load',
      'not-rated': 'Buckle only holds the fit',
      unknown: 'Not known',
    },
    'Leg loops',
    'See the instructions of the harness.',
  ),
  condition: condition('harness'),
  note: note(),
});

export const itemSchema = z.discriminatedUnion('kind', [
  ropeSchema,
  cordSchema,
  slingSchema,
  connectorSchema,
  deviceSchema,
  harnessSchema,
]);

export type Rope = z.infer<typeof ropeSchema>;
export type Cord = z.infer<typeof cordSchema>;
export type Sling = z.infer<typeof slingSchema>;
export type Connector = z.infer<typeof connectorSchema>;
export type Declaration = z.infer<typeof declarationSchema>;
export type Device = z.infer<typeof deviceSchema>;
export type Harness = z.infer<typeof harnessSchema>;
export type Item = z.infer<typeof itemSchema>;
export type ItemKind = Item['kind'];
export type ItemOf<K extends ItemKind> = Extract<Item, { kind: K }>;

export const ITEM_SCHEMAS = {
  rope: ropeSchema,
  device: deviceSchema,
  connector: connectorSchema,
  sling: slingSchema,
  cord: cordSchema,
  harness: harnessSchema,
} as const;
