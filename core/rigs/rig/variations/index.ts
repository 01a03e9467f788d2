import type { Setup } from '../model.ts';
import { ALONE } from './self-belay-variations.ts';
import { ATTACHED } from './attached.ts';
import { BACKUPS } from './backups.ts';
import { RESCUE } from './rescue.ts';
import { TREES } from './trees.ts';
import type { Variation, VariationId } from './variation.ts';

export { removablesOf, without, type Removable } from './removing.ts';
export { ownDevice, VARIATION_IDS, type Variation, type VariationId } from './variation.ts';

export const VARIATIONS: readonly Variation[] = [...BACKUPS, ...ALONE, ...ATTACHED, ...RESCUE, ...TREES];

export const variation = (id: VariationId): Variation => VARIATIONS.find((v) => v.id === id)!;
/** What can be added to this rig. */
export const variationsFor = (setup: Setup): Variation[] => VARIATIONS.filter((v) => v.add(setup) !== null);
