import type { Setup } from '../../rigs/rig/index.ts';
import type { CheckItem } from './check-item.ts';
import { kindOf, type CheckItemKind } from './item.ts';

/**
 * What two persons look at in each other, in this order: harness, knot, device, and the closed system of rope, anchor
 * and free end; then what is tried with weight, what was agreed, and what the assessment left open. Common practice
 * (`practice-hook-up`).
 */
export const CHECK_PARTS = {
  harness: 'Harness',
  knot: 'Knot',
  device: 'Device',
  closed: 'Closed system',
  tried: 'Tried with weight',
  agreed: 'Agreed',
  open: 'Left open',
} as const;
export type CheckPartId = keyof typeof CHECK_PARTS;

/** The four that are looked at; what comes after them is tried or said. */
export const FOUR: readonly CheckPartId[] = ['harness', 'knot', 'device', 'closed'];

const OF_KIND = {
  helmet: 'harness',
  harness: 'harness',
  'harness-belt': 'harness',
  'brake-hand': 'harness',
  'loose-things': 'harness',
  'tree-tried': 'closed',
  'tree-runs': 'closed',
  'tree-lanyard': 'closed',
  'tree-rehearsed': 'tried',
  'tree-tether': 'device',
  calls: 'agreed',
  'coming-down': 'agreed',
  anchor: 'closed',
  'anchor-points': 'closed',
  'joining-knot': 'closed',
  'joining-tails': 'closed',
  'pull-side': 'closed',
  middle: 'closed',
  'this-place': 'closed',
  fastening: 'closed',
  'block-strand': 'closed',
  'rope-ends': 'closed',
  'end-weight': 'closed',
  'tie-in': 'knot',
  'tie-in-tail': 'knot',
  'tie-in-points': 'knot',
  'device-strands': 'device',
  'device-around': 'device',
  'device-pull': 'device',
  'brake-side': 'device',
  'load-strand': 'device',
  'strands-lie': 'device',
  'device-place': 'device',
  'device-connector': 'device',
  'connector-faces': 'device',
  'connector-end': 'device',
  'brake-led': 'device',
  'extra-connector': 'device',
  'extra-gate': 'device',
  extension: 'device',
  'hitch-wraps': 'device',
  'hitch-strands': 'device',
  'hitch-ends': 'device',
  'hitch-place': 'device',
  'hitch-connector': 'device',
  'knot-below': 'device',
  'tether-gate': 'device',
  'tether-to': 'device',
  'link-to': 'device',
  'link-gates': 'device',
  'link-tight': 'device',
  'weigh-device': 'tried',
  'lanyard-on': 'tried',
  'hold-person': 'tried',
  'hitch-bites': 'tried',
  'hitch-lets-go': 'tried',
  'edge-tied': 'harness',
  'hitch-clear': 'tried',
  'hitch-clear-knee': 'tried',
} as const satisfies Record<CheckItemKind, CheckPartId>;

export function checkPartOf(item: Pick<CheckItem, 'id'>): CheckPartId {
  const kind = kindOf(item);
  return kind ? OF_KIND[kind] : 'open';
}

/** One person belays another: each looks at the other’s half of the same four systems. */
export const partnersCheck = ({ persons }: Pick<Setup, 'persons'>): boolean =>
  persons.some((p) => p.role === 'belayer') && persons.length > 1;

const ORDER = Object.keys(CHECK_PARTS) as CheckPartId[];
/** The items system by system; within each they stay as they were. */
export const bySystem = (items: readonly CheckItem[]): CheckItem[] =>
  [...items].sort((a, b) => ORDER.indexOf(checkPartOf(a)) - ORDER.indexOf(checkPartOf(b)));

/**
 * What is looked at again when something of `item` was put right: its whole system, since whoever opens one part may
 * have touched the others, and what had been tried with weight already. Of harness and knot only those of the same
 * person. What was left open by the plan stands by itself.
 */
export function againAfter(
  item: CheckItem,
  { items, setup }: { readonly items: readonly CheckItem[]; readonly setup: Setup },
): CheckItem[] {
  const system = checkPartOf(item);
  if (system === 'open') return [];
  const own = system === 'harness' || system === 'knot';
  return items.filter((other) => {
    if (other.id === item.id) return false;
    const of = checkPartOf(other);
    // A try that failed sends both back to what was tried.
    if (system === 'tried') return of === 'tried' || of === 'device';
    if (of === 'tried') return system !== 'harness';
    return of === system && (!own || wearerOf(setup, other) === wearerOf(setup, item));
  });
}

/** Whose it is: what a person wears, or is tied in with. */
export const wearerOf = ({ persons, attachments }: Setup, { part }: Pick<CheckItem, 'part'>): string | undefined => {
  const tied = attachments.find((a) => a.end.id === part)?.root;
  return tied?.kind === 'harness'
    ? tied.person
    : persons.find((p) => [p.id, p.harnessId, p.handId, p.legLoopId].includes(part))?.id;
};
