import type { HoldModel } from './model.ts';

export type CutSet = readonly string[];

/** Largest number of faults at once that is looked at, unless asked otherwise. */
export const MOST_AT_ONCE = 3;

/** Leaves out every set that contains another one. Sets are sorted lists without repetition. */
function minimal(sets: readonly CutSet[]): CutSet[] {
  const kept: CutSet[] = [];
  for (const set of [...sets].sort((a, b) => a.length - b.length)) {
    if (!kept.some((small) => small.every((id) => set.includes(id)))) kept.push(set);
  }
  return kept;
}

const union = (a: CutSet, b: CutSet): CutSet => [...new Set([...a, ...b])].sort();

/** Every way to take one from each of the lists together, minimal and no larger than `most`. */
function product(lists: readonly (readonly CutSet[])[], most: number): CutSet[] {
  return lists.reduce<CutSet[]>(
    (sets, list) =>
      minimal(sets.flatMap((set) => list.map((more) => union(set, more))).filter((s) => s.length <= most)),
    [[]],
  );
}

/**
 * For each fault the minimal sets of basic faults that bring it about, by walking the consequences until nothing new
 * appears.
 */
function explanations({ faults, consequences }: HoldModel, most: number): ReadonlyMap<string, readonly CutSet[]> {
  const found = new Map<string, CutSet[]>(faults.map(({ id, basic }) => [id, basic ? [[id]] : []]));
  for (let grew = true; grew;) {
    grew = false;
    for (const { when, then } of consequences) {
      const before = found.get(then) ?? [];
      const after = minimal([
        ...before,
        ...product(
          when.map((id) => found.get(id) ?? []),
          most,
        ),
      ]);
      const same = after.length === before.length && after.every((set) => before.some((b) => b.join() === set.join()));
      if (same) continue;
      found.set(then, after);
      grew = true;
    }
  }
  return found;
}

/**
 * The minimal sets of basic faults, up to `most` at once, after which nothing holds; smallest first, then by name.
 * Top-down substitution with absorption (MOCUS, Fussell and Vesely 1972): nothing holds when every hold has lost
 * something it needs. A model without any hold has the one empty set: nothing need happen.
 */
export function minimalCutSets(model: HoldModel, most = MOST_AT_ONCE): CutSet[] {
  const explained = explanations(model, most);
  const broken = model.holds.map(({ needs }) => minimal(needs.flatMap((id) => explained.get(id) ?? [])));
  return product(broken, most).sort((a, b) => a.length - b.length || (a.join() < b.join() ? -1 : 1));
}

/** Faults that take every hold away by themselves. */
export const singlePoints = (model: HoldModel): string[] => minimalCutSets(model, 1).flat();
