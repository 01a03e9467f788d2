import { z } from 'zod';
import { choice, measure } from '../../things/gear/index.ts';
import { observed } from './observed.ts';
import { treeSchema } from './tree-elements.ts';

export const WEATHER = { dry: 'Dry', wet: 'Wet', icy: 'Icy' } as const;

/** Where it happens. Heights are above the ground. */
export const siteSchema = z.strictObject({
  anchorHeightM: measure('lengthM', 0, 300, 'Anchor above the ground', 'Leave it at 0 if you do not know yet.'),
  stanceHeightM: measure(
    'lengthM',
    0,
    299,
    'Landing above the ground',
    'Height of the next ledge. 0 when you go to the ground.',
  ),
  extraLineM: measure(
    'lengthM',
    0,
    100,
    'Extra rope on the way',
    'Extra rope if the line is not straight or the landing is to one side.',
  ),
  edge: observed(
    { none: 'No edge', rounded: 'A rounded edge', padded: 'A sharp edge, padded', sharp: 'A sharp edge' },
    'none',
    'The rope runs over',
    undefined,
    'Not known',
  ),
  slant: observed(
    { plumb: 'Straight down', slanting: 'Slanting more than 20°' },
    'plumb',
    'The rope you go up hangs',
    'A rope that slants pulls an ascender sideways, and can come out of it.',
  ),
  steepness: choice({ low: 'Low angle', steep: 'Steep', free: 'Hanging free' }, 'Ground'),
  weather: choice(WEATHER, 'Rope and device are'),
  /** null: not in a tree. */
  tree: treeSchema.nullable(),
});

export type Site = z.infer<typeof siteSchema>;
