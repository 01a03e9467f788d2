import { z } from 'zod';
import { choice, idSchema, line, measure, note, yesNo } from './fields.ts';
import { DEVICE_FAMILIES } from './families.ts';
import { JOBS } from './jobs.ts';

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

export const ropeSchema = z.strictObject({
  ...common,
  kind: z.literal('rope'),
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
  note: note(),
});

export const cordSchema = z.strictObject({
  ...common,
  kind: z.literal('cord'),
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
  note: note(),
});

export const slingSchema = z.strictObject({
  ...common,
  kind: z.literal('sling'),
  material: choice({ polyamide: 'Polyamide', polyester: 'Polyester', uhmwpe: 'UHMWPE', unknown: 'Not known' }, 'Fibre'),
  widthMm: measure('diameterMm', 5, 40, 'Width'),
  loopLengthMm: measure('lengthMm', 150, 2500, 'Length, pulled flat', 'End to end, as slings are sold.'),
  strengthKn: measure('strengthKn', 5, 60, 'Declared strength').nullable(),
  note: note(),
});

export const connectorSchema = z.strictObject({
  ...common,
  kind: z.literal('connector'),
  shape: choice({ hms: 'Pear (HMS)', d: 'D', 'offset-d': 'Offset D', oval: 'Oval' }, 'Shape'),
  lock: choice(
    {
      screw: 'Screw sleeve',
      'two-action': 'Self-locking, two actions',
      'three-action': 'Self-locking, three actions',
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
  keeper: yesNo('Held from turning', 'A bar or keeper that stops it from settling across.'),
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
  })
  .refine((d) => d.minDiameterMm <= d.maxDiameterMm, {
    path: ['maxDiameterMm'],
    message: 'The upper limit is below the lower one.',
  });

export const deviceSchema = z.strictObject({
  ...common,
  kind: z.literal('device'),
  family: choice(DEVICE_FAMILIES, 'Family'),
  wear: choice({ new: 'New', used: 'Used', worn: 'Worn smooth', unknown: 'Not known' }, 'Wear where the rope runs'),
  declarations: z.array(declarationSchema).max(20),
  note: note(),
});

export const harnessSchema = z.strictObject({
  ...common,
  kind: z.literal('harness'),
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
