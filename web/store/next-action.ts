import type { Workspace } from '@core/records/files';
import type { ItemKind } from '@core/things/gear';

export type NextAction =
  | { readonly kind: 'add-item'; readonly item: ItemKind; readonly why: string }
  | { readonly kind: 'add-person'; readonly why: string }
  | { readonly kind: 'add-setup'; readonly why: string }
  | null;

const ORDER: readonly (readonly [ItemKind, string])[] = [
  ['rope', 'Everything else is judged against the rope.'],
  ['device', 'What brakes, holds or climbs, with the ranges its maker declares.'],
  ['connector', 'What the device hangs on: its ends and its gate decide how it may be loaded.'],
  ['harness', 'Which of its points take load decides where things may hang.'],
];

/** The one thing to do next in a workspace that lacks something, or null when a set-up is there. */
export function nextAction({ items, people, setups }: Workspace): NextAction {
  if (setups.length > 0) return null;
  for (const [item, why] of ORDER) {
    if (!items.some((i) => i.kind === item)) return { kind: 'add-item', item, why };
  }
  if (people.length === 0) return { kind: 'add-person', why: 'Mass, reach and brake hand decide forces and lengths.' };
  return { kind: 'add-setup', why: 'There is gear and somebody to use it.' };
}
