import type { Workspace } from '@core/files';
import type { ItemKind } from '@core/gear';

export type NextAction =
  | { readonly kind: 'add-item'; readonly item: ItemKind; readonly why: string }
  | { readonly kind: 'add-person'; readonly why: string }
  | { readonly kind: 'add-setup'; readonly why: string }
  | null;

const ORDER: readonly (readonly [ItemKind, number, string])[] = [
  ['rope', 1, 'Everything else is judged against the rope.'],
  ['device', 1, 'A tube with the ranges its maker declares.'],
  ['connector', 2, 'One holds the device, one the hitch.'],
  ['sling', 1, 'It raises the device, so that the hitch keeps clear.'],
  ['cord', 1, 'The hitch below the device is tied with it.'],
  ['harness', 1, 'Whether its leg loops take load decides where the hitch may hang.'],
];

/** The one thing to do next in a workspace that lacks something, or null when a set-up is there. */
export function nextAction({ items, people, setups }: Workspace): NextAction {
  if (setups.length > 0) return null;
  for (const [item, count, why] of ORDER) {
    if (items.filter((i) => i.kind === item).length < count) return { kind: 'add-item', item, why };
  }
  if (people.length === 0) return { kind: 'add-person', why: 'Mass, reach and brake hand decide forces and lengths.' };
  return { kind: 'add-setup', why: 'All parts of a doubled-rope rappel are in the locker.' };
}
