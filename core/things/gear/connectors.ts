import { z } from 'zod';
import { assumedSchema } from './assumed.ts';
import { choice, measure, note, under, yesNo } from './fields.ts';
import { common, condition } from './items-common.ts';

export const SHAPES = { hms: 'Pear (HMS)', d: 'D', 'offset-d': 'Offset D', oval: 'Oval' } as const;
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
