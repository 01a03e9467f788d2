import equal from 'fast-deep-equal';
import { factsSeen, withFacts, type CheckItem, type SeenFact } from '../../answers/check/index.ts';
import { slotsOf } from '../../rigs/elements/index.ts';
import type { Setup } from '../../rigs/rig/index.ts';
import type { CheckRecord } from './check-record.ts';
import { itemStatus } from './item-status.ts';

/** What a complete check saw that nobody had entered. */
export const seenIn = (record: CheckRecord): SeenFact[] =>
  record.outcome === 'complete'
    ? factsSeen(
        record.setup,
        record.items.filter((i) => itemStatus(record, i).answers.length > 0),
      )
    : [];
const known = new WeakMap<CheckRecord, Setup>();
/** The set-up of a check with what it saw entered; worked out once for each record. */
export function setupSeen(record: CheckRecord): Setup {
  const there = known.get(record) ?? withFacts(record.setup, seenIn(record));
  known.set(record, there);
  return there;
}

/** Kinds of what can change after a check, as they are said. */
type Changed = 'gear' | 'people' | 'place' | 'rig';

interface Since {
  readonly kinds: ReadonlySet<Changed>;
  /** What changed, in words: “Ridge 60, blue”, “the place”. */
  readonly what: readonly string[];
  /** Of the whole check as it is now, what has to be looked at again. */
  readonly again: readonly CheckItem[];
}

/** A rig by its elements, each without those that stand in it: what differs is found element by element. */
function elementsOf(setup: Setup): ReadonlyMap<string, string> {
  const found = new Map<string, string>();
  const walk = (value: unknown): unknown => {
    if (Array.isArray(value)) return value.map(walk);
    if (value === null || typeof value !== 'object') return value;
    const own = Object.fromEntries(
      // What an element is made of has ids of its own, which are not places in the rig.
      Object.entries(value).map(([key, x]) => [key, key === 'item' || key === 'harness' ? (x as unknown) : walk(x)]),
    );
    if (!('id' in own) || typeof own.id !== 'string') return own;
    found.set(own.id, JSON.stringify(own));
    return own.id;
  };
  walk([setup.persons, setup.lines, setup.anchors, setup.attachments]);
  for (const { id, harnessId, handId, legLoopId } of setup.persons)
    for (const at of [harnessId, handId, legLoopId]) found.set(at, found.get(id)!);
  found.set('ground', JSON.stringify([setup.site, setup.along]));
  found.set('edge', JSON.stringify(setup.site));
  return found;
}

/**
 * What changed between a check and the set-up as it is now, and what has to be looked at again because of it: items of
 * what changed, items that are new or ask for something else now. null: nothing changed.
 *
 * @param whole the items of a whole check of the set-up as it is now.
 */
export function sinceCheck(record: CheckRecord, setup: Setup, whole: readonly CheckItem[]): Since | null {
  const before = setupSeen(record);
  const [old, now] = [elementsOf(before), elementsOf(setup)];
  const differs = new Set([...new Set([...old.keys(), ...now.keys()])].filter((id) => old.get(id) !== now.get(id)));
  if (differs.size === 0 && equal(before.calls, setup.calls)) return null;
  const things = (of: Setup) => new Map(slotsOf(of).map((s) => [s.ref, s.item]));
  const [had, has] = [things(before), things(setup)];
  const changed = [...new Set([...had.keys(), ...has.keys()])].filter((ref) => !equal(had.get(ref), has.get(ref)));
  const named = changed.map((ref) => (has.get(ref) ?? had.get(ref))?.name ?? 'something');
  const people = setup.persons.some((p) => changed.includes(p.id)) || before.persons.length !== setup.persons.length;
  const gear = changed.some((ref) => !setup.persons.some((p) => p.id === ref));
  const place = !equal(before.site, setup.site);
  const rig = !place && changed.length === 0;
  const asked = new Map(record.items.map((i) => [i.id, i]));
  return {
    kinds: new Set([
      ...(gear ? (['gear'] as const) : []),
      ...(people ? (['people'] as const) : []),
      ...(place ? (['place'] as const) : []),
      ...(rig ? (['rig'] as const) : []),
    ]),
    what: [...new Set(named), ...(place ? ['the place'] : []), ...(rig ? ['how it is rigged'] : [])],
    again: whole.filter((i) => {
      const then = asked.get(i.id);
      return !then || then.question !== i.question || then.expected !== i.expected || differs.has(i.part);
    }),
  };
}

/** That it was checked, and what is not as it was then. */
export const agedWords = (check: CheckRecord, setup: Setup): string =>
  `Checked, but since then changed: ${sinceCheck(check, setup, [])?.what.join('; ') ?? 'something'}.`;
