import { z } from 'zod';
import { assumedSchema } from './assumed.ts';
import { benchTestSchema } from './bench.ts';
import { choice, measure, note } from './fields.ts';
import { common, condition, measuredDiameter } from './items-common.ts';

export const ROPE_CONSTRUCTIONS = {
  single: 'Single rope',
  half: 'Half rope',
  twin: 'Twin rope',
  'low-stretch': 'Low-stretch rope',
  other: 'Other or not known',
} as const;
export type RopeConstruction = keyof typeof ROPE_CONSTRUCTIONS;

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
  staticStretchPercent: measure(
    'percent',
    1,
    20,
    'Static stretch on the label',
    'Also called static elongation. Empty: what its kind of rope usually has.',
  ).nullable(),
  stretchTest: choice(
    {
      standard: 'With 80 kg (EN 892), or between 50 and 150 kg (EN 1891)',
      ansi: 'With 2.4 kN or 540 lbf (ANSI)',
    },
    'Static stretch was tested',
  ),
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
  cutLengthM: measure('lengthM', 0.5, 6, 'Cut length', 'Length of cord before tying the knot.').nullable(),
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
      'not-rated': 'Buckle only adjusts the fit (not load-rated)',
      unknown: 'Not known',
    },
    'Leg loops',
    'See the instructions of the harness.',
  ),
  condition: condition('harness'),
  note: note(),
});
