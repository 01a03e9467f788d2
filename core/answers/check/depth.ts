import { descentOf, type Setup } from '../../rigs/rig/index.ts';
import { exactly } from '../../foundations/units/index.ts';
import type { CheckItem } from './check-item.ts';
import { item, kindOf, type CheckItemKind } from './item.ts';
import { askedOf, HALVES, isOpen, looksOf } from './looks.ts';
import { checkPartOf, FOUR, partnersCheck } from './systems.ts';

/** How much of a set-up is looked at before it is used. */
export const CHECK_DEPTHS = {
  whole: 'Whole check',
  'next-go': 'Next go',
  'four-looks': 'Four looks',
} as const;
export type CheckDepth = keyof typeof CHECK_DEPTHS;

/**
 * What happened since the last check of the same set-up, as somebody says it with one tap; or what the set-up says
 * itself: something of it changed.
 */
export const SINCE = {
  same: 'Same again',
  'changed-over': 'Changed over',
  'next-route': 'Next route or pitch',
  'next-route-changed': 'Next route, changed over',
  'took-off': 'Took it off in between',
  changed: 'Only what changed',
} as const;
export type Since = keyof typeof SINCE;

/** Knot, device, gate, closed system: what no check of any depth leaves out. Common practice (`practice-hook-up`). */
const LEAST: readonly CheckItemKind[] = ['tie-in', 'device-strands', 'device-connector', 'rope-ends'];
// What is threaded, clipped and tied at every go, and the try that tells whether the hitch was.
const EVERY_GO: readonly CheckItemKind[] = [
  ...LEAST,
  'device-around',
  'load-strand',
  'strands-lie',
  'link-gates',
  'link-tight',
  'hitch-bites',
];

// Tied in anew, and the device threaded anew.
const TURNS: readonly CheckItemKind[] = ['tie-in-points', 'device-pull', 'device-place', 'brake-side'];
// Another anchor, and a rope that may be too short for it.
const MOVED: readonly CheckItemKind[] = ['anchor', 'middle', 'joining-knot', 'fastening', 'block-strand', 'this-place'];
/** What was opened, beside that. */
const OPENED: Readonly<Record<Since, readonly CheckItemKind[]>> = {
  same: [],
  'changed-over': TURNS,
  'next-route': MOVED,
  'next-route-changed': [...TURNS, ...MOVED],
  'took-off': ['harness', 'harness-belt', 'device-place'],
  changed: [],
};
const openedBy = (since: Since): ReadonlySet<CheckItemKind> => new Set([...EVERY_GO, ...OPENED[since]]);
export const turnsRound = (since: Since): boolean => since === 'changed-over' || since === 'next-route-changed';

/** One belays another from the harness, so that the two can take turns. */
export const takeTurns = ({ persons, attachments }: Setup): boolean =>
  partnersCheck({ persons }) &&
  persons.length === 2 &&
  persons[0]!.role === 'climber' &&
  attachments.some(
    (a) => a.end.kind === 'device' && a.root.kind === 'harness' && a.root.person === a.end.hand && a.use !== 'aid',
  );

/**
 * What can have happened between two goes with this set-up. In a tree another line is another set-up; a rescue is
 * checked whole every time.
 */
export function sincesFor(setup: Setup): Since[] {
  if (setup.persons.some((p) => p.role === 'casualty')) return [];
  return (Object.keys(SINCE) as Since[]).filter(
    (since) =>
      since !== 'changed' &&
      (takeTurns(setup) || !turnsRound(since)) &&
      (setup.site.tree === null || !since.startsWith('next-route')),
  );
}

/** The same rig with the two persons in each other’s place; null where they do not take turns. */
export function changedOver(setup: Setup): Setup | null {
  if (!takeTurns(setup)) return null;
  const [a, b] = setup.persons as [Setup['persons'][number], Setup['persons'][number]];
  const worn = ({ item, harness, helmet }: typeof a) => ({ item, harness, helmet });
  return {
    ...setup,
    persons: [
      { ...a, ...worn(b) },
      { ...b, ...worn(a) },
    ],
  };
}

/** How high it is here, and over what the rope runs, against what the set-up was judged for. */
const thisPlace = (setup: Setup): CheckItem =>
  item({
    id: 'this-place',
    part: setup.lines[0]!.id,
    title: 'This place',
    look: 'The topo, or the middle mark of the rope while it is pulled up; and the way that the rope takes.',
    question: 'What is different here?',
    expected: `Not higher than {height}, ${setup.site.edge === 'none' ? 'no sharp edge' : 'no other edge'}`,
    others: ['Higher', 'A sharp edge', 'Nobody knows'],
    why: 'Rope and edges were judged for the place before. On a higher wall the rope can be too short.',
    numbers: [{ key: 'height', label: 'Height judged', quantity: 'lengthM', value: exactly(descentOf(setup.site)) }],
    sources: ['practice-ends-closed', 'practice-edge'],
  });

/** What earlier checks of the same set-up leave behind for the next one. */
export interface Earlier {
  /** Items that were looked at in the check that this one goes on from. */
  readonly known: ReadonlySet<string>;
  /** Items that failed in it, or in any other of the day. */
  readonly failed: ReadonlySet<string>;
}

/** All that can be asked of a set-up, at whatever depth. */
export const allItems = (whole: readonly CheckItem[], setup: Setup): CheckItem[] => [...whole, thisPlace(setup)];

/** Titles of what a shorter check does not look at. */
export const titlesLeftOut = (whole: readonly CheckItem[], items: readonly CheckItem[]): string[] =>
  whole.filter((i) => !items.some(({ id }) => id === i.id)).map((i) => (isOpen(i) ? 'Left open by the plan' : i.title));

/**
 * Of all items of a check those of the next go: what was opened since the last one, what is asked for the first time,
 * and all that failed before.
 *
 * @param again what changed since, in the set-up itself.
 */
export function itemsOfNextGo(
  whole: readonly CheckItem[],
  setup: Setup,
  since: Since,
  earlier: Earlier,
  again: readonly CheckItem[] = [],
): CheckItem[] {
  const opened = openedBy(since);
  const anew = new Set(again.map((i) => i.id));
  // By kind: changed over, what failed on one of them is looked for under the name of the other.
  const failed = new Set([...earlier.failed].map((id) => kindOf({ id }) ?? id));
  return (opened.has('this-place') ? allItems(whole, setup) : whole).filter(
    (i) => opened.has(kindOf(i)!) || anew.has(i.id) || !earlier.known.has(i.id) || failed.has(kindOf(i) ?? i.id),
  );
}

/** A next go is at most so much: longer, and nobody does it the fifteenth time. From memory. */
const NEXT_GO_MOST = { things: 8, words: 160, seconds: 75 } as const;

/**
 * The items of a next go with, at every second one, one look more, in turn: of harness, knot, device and closed system
 * what nothing opened. A buckle may have come open by itself, and over an evening all of it is seen again. Nothing
 * more where the go would grow too long.
 *
 * @param goes how many checks of it there were today.
 */
export function withOneInTurn(
  whole: readonly CheckItem[],
  items: readonly CheckItem[],
  setup: Setup,
  goes: number,
): { readonly items: CheckItem[]; readonly inTurn: boolean } {
  const asked = new Set(items.map((i) => i.id));
  const rest = looksOf(whole.filter((i) => !asked.has(i.id) && FOUR.includes(checkPartOf(i))));
  const order = new Map(allItems(whole, setup).map((i, at) => [i.id, at]));
  const turns = goes % 2 === 0 ? rest.map((_, i) => rest[(goes / 2 - 1 + i) % rest.length]!) : [];
  for (const look of turns) {
    const more = [...items, ...look].sort((a, b) => order.get(a.id)! - order.get(b.id)!);
    const cost = costOf(more, 'next-go', setup);
    if (Object.entries(NEXT_GO_MOST).every(([of, most]) => cost[of as keyof CheckCost] <= most))
      return { items: more, inTurn: true };
  }
  return { items: [...items], inTurn: false };
}

/** One of those that no check of any depth leaves out. */
export const isLeast = (i: Pick<CheckItem, 'id'>): boolean => LEAST.some((kind) => kind === kindOf(i));

/** A glance, for those who say that they did the whole one today: knot, device, gate, closed system. */
export const itemsOfFourLooks = (whole: readonly CheckItem[], failed: ReadonlySet<string>): CheckItem[] =>
  whole.filter((i) => isLeast(i) || kindOf(i) === 'hitch-wraps' || failed.has(i.id));

const wordsIn = (...texts: readonly string[]): number => texts.join(' ').split(/\s+/).filter(Boolean).length;
const READ_WORDS_PER_S = 200 / 60;
const TOUCH_S = 2;
const TAP_S = 1;

/** What is tried or agreed is told to do; where to look is folded away behind the picture of it. */
export const tellsWhatToDo = (item: CheckItem): boolean => ['tried', 'agreed'].includes(checkPartOf(item));

export interface CheckCost {
  /** Looks: what one look answers is one thing. */
  readonly things: number;
  readonly words: number;
  readonly seconds: number;
}

/** What one look takes: its title, questions and answers are read, things are touched, and each answer is a tap. */
export function costOfLook(look: readonly CheckItem[], depth: CheckDepth): CheckCost {
  const words = look.reduce(
    (sum, i) =>
      sum +
      wordsIn(i.question, i.expected, ...i.others) +
      (depth === 'whole' && tellsWhatToDo(i) ? wordsIn(i.touch) : 0),
    wordsIn(look[0]!.title),
  );
  const touched = depth === 'four-looks' ? 0 : look.filter((i) => i.touch !== '').length;
  return { things: 1, words, seconds: words / READ_WORDS_PER_S + touched * TOUCH_S + look.length * TAP_S };
}

/**
 * What a check takes whoever of the two has more to do; what the plan left open is answered before it and not counted.
 * 200 words a minute, 2 s for each thing that is touched, 1 s a tap: from memory.
 */
export function costOf(items: readonly CheckItem[], depth: CheckDepth, setup: Setup): CheckCost {
  const halves = setup.persons.length > 1 ? HALVES : (['climber'] as const);
  const costs = halves.map((half) =>
    looksOf(items.filter((i) => !isOpen(i) && (halves.length === 1 || askedOf(i, setup).includes(half))))
      .map((look) => costOfLook(look, depth))
      .reduce((a, b) => ({ things: a.things + b.things, words: a.words + b.words, seconds: a.seconds + b.seconds }), {
        things: 0,
        words: 0,
        seconds: 0,
      }),
  );
  return costs.reduce((a, b) => (b.seconds > a.seconds ? b : a));
}
