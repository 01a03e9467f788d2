import { contextOf } from '../../rigs/elements/index.ts';
import type { Setup } from '../../rigs/rig/index.ts';
import type { CheckItem } from './check-item.ts';
import { takeTurns } from './depth.ts';
import { kindOf, type CheckItemKind } from './item.ts';
import { askedOf, halvesOf, type Half } from './looks.ts';
import { wearerOf } from './systems.ts';

/**
 * What one of two can leave wrong on purpose, on themselves and on the ground, so that the other has it to find: seen
 * or felt at once, and put right in a moment.
 */
const PLANTS: Partial<Record<CheckItemKind, string>> = {
  helmet: 'Open the chin strap of your helmet.',
  'harness-belt': 'Loosen your waist belt until it slides over your hips.',
  'tie-in-tail': 'Pull the tail of your knot back until it is shorter than your fist.',
  'device-connector': 'Leave the gate of your belay connector unlocked.',
  'rope-ends': 'Take the knot out of the free end of the rope.',
};
/** What the one who plants does, in words; null: nobody plants there. */
export const plantWords = (item: Pick<CheckItem, 'id'>): string | null => PLANTS[kindOf(item)!] ?? null;

/**
 * Items in which one of the two can plant a fault on themselves that the other is asked for. Only where both stand on
 * the ground during the check, and take turns.
 */
export function plantable(items: readonly CheckItem[], setup: Setup, by: Half): CheckItem[] {
  if (!takeTurns(setup)) return [];
  const planter = halvesOf(setup)[by]?.id;
  const { index } = contextOf(setup);
  return items.filter((item) => {
    const root = index.ownerOf(item.part)?.root;
    const whose = wearerOf(setup, item) ?? (root?.kind === 'harness' ? root.person : undefined);
    return (
      plantWords(item) !== null &&
      (kindOf(item) === 'rope-ends' || whose === planter) &&
      askedOf(item, setup).some((half) => half !== by)
    );
  });
}
