import type { Setup } from '../../rigs/rig/index.ts';
import { FINDING_ITEM, type CheckItem } from './check-item.ts';
import { kindOf, type CheckItemKind } from './item.ts';

/** The two who check each other: who hangs first, and who belays, follows or comes along. */
export const HALVES = ['climber', 'partner'] as const;
export type Half = (typeof HALVES)[number];
export const otherOf = (half: Half): Half => (half === 'climber' ? 'partner' : 'climber');

/**
 * What one look answers, in the order in which it is asked: these stand together on the page when they are about the
 * same thing (their title) and follow each other. What stands in no row is looked at by itself.
 */
const ONE_LOOK: readonly (readonly CheckItemKind[])[] = [
  ['helmet', 'harness', 'harness-belt'],
  ['brake-hand', 'loose-things'],
  ['tie-in', 'tie-in-tail'],
  ['device-strands', 'device-around', 'device-pull'],
  ['brake-side', 'device-place'],
  ['load-strand', 'strands-lie'],
  ['device-connector', 'connector-faces', 'connector-end'],
  ['extra-connector', 'extra-gate'],
  ['anchor', 'anchor-points', 'tree-tried'],
  ['joining-knot', 'joining-tails'],
  ['hitch-wraps', 'hitch-strands'],
  ['hitch-connector', 'hitch-ends', 'hitch-place'],
  ['tether-gate', 'tether-to'],
  ['weigh-device', 'lanyard-on'],
  ['hitch-bites', 'hitch-lets-go'],
];
const rowOf = (item: CheckItem): number => ONE_LOOK.findIndex((row) => row.some((kind) => kind === kindOf(item)));

/** The items, look by look; their order stays. */
export function looksOf(items: readonly CheckItem[]): CheckItem[][] {
  const looks: CheckItem[][] = [];
  for (const item of items) {
    const last = looks.at(-1);
    const together =
      last !== undefined &&
      rowOf(item) >= 0 &&
      rowOf(item) === rowOf(last[0]!) &&
      item.title === last[0]!.title &&
      !last.some((other) => kindOf(other) === kindOf(item));
    if (together) last.push(item);
    else looks.push([item]);
  }
  return looks;
}

/** Nobody sees these on themselves: each is looked at on the other. */
const ON_THE_OTHER: readonly (CheckItemKind | undefined)[] = [...ONE_LOOK[0]!, ...ONE_LOOK[1]!];

/** Who of the two is `climber`, who `partner`. */
export const halvesOf = ({
  persons,
}: Pick<Setup, 'persons'>): Readonly<Record<Half, Setup['persons'][number] | null>> => {
  const [first, ...others] = persons;
  return { climber: first ?? null, partner: others.find((p) => p.role === 'belayer') ?? others[0] ?? null };
};

/** What the plan left open is not looked at by two: one of them says before the check what was found out. */
export const isOpen = (item: Pick<CheckItem, 'id'>): boolean => item.id.startsWith(FINDING_ITEM);

/** Which of the two has to answer: both, or of what somebody wears the other one; the first also looks at a third. */
export function askedOf(item: Pick<CheckItem, 'id' | 'part'>, { persons }: Pick<Setup, 'persons'>): readonly Half[] {
  if (!ON_THE_OTHER.includes(kindOf(item))) return HALVES;
  const { climber } = halvesOf({ persons });
  const worn = persons.find((p) => [p.id, p.harnessId, p.handId].includes(item.part));
  return worn === climber ? ['partner'] : ['climber'];
}
