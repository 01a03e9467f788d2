import equal from 'fast-deep-equal';

/**
 * What came of two changes of the same thing, and where both changed the same place to different values (as
 * `site.heightM`).
 */
export interface Merged<T> {
  readonly value: T;
  readonly conflicts: readonly string[];
}

type Fields = Readonly<Record<string, unknown>>;
type WithId = Fields & { readonly id: string };

const isFields = (value: unknown): value is Fields =>
  value !== null && typeof value === 'object' && !Array.isArray(value);
/** Two versions of one thing. A rope that stands where another one stood is not: their fields are never mixed. */
const sameThing = (a: Fields, b: Fields) => a.id === b.id && a.kind === b.kind;
const isListById = (value: unknown): value is readonly WithId[] =>
  Array.isArray(value) &&
  value.every((v) => isFields(v) && typeof v.id === 'string') &&
  new Set((value as WithId[]).map((v) => v.id)).size === value.length;
const startsWith = (list: readonly unknown[], head: readonly unknown[]) =>
  list.length >= head.length && head.every((v, i) => equal(v, list[i]));

/**
 * Three-way merge: what `ours` changed since `base`, put onto `theirs`. Fields of a thing are merged one by one, lists
 * of things by their ids, and what both only added to (the answers of a check) is kept from both. Where both changed
 * the same place, ours stands and the place is named. What one took out and the other changed stays.
 */
export function merge<T>(base: T, ours: T, theirs: T, path = ''): Merged<T> {
  if (equal(ours, base) || equal(ours, theirs)) return { value: theirs, conflicts: [] };
  if (equal(theirs, base)) return { value: ours, conflicts: [] };
  // When it was changed last is no fact about it: the later one stands.
  if (/(^|\.)updatedAt$/.test(path)) return { value: String(ours) > String(theirs) ? ours : theirs, conflicts: [] };
  if (isFields(base) && isFields(ours) && isFields(theirs) && sameThing(base, ours) && sameThing(base, theirs))
    return mergeFields(base, ours, theirs, path) as Merged<T>;
  if (isListById(base) && isListById(ours) && isListById(theirs))
    return mergeLists(base, ours, theirs, path) as unknown as Merged<T>;
  if (Array.isArray(base) && Array.isArray(ours) && Array.isArray(theirs))
    if (startsWith(ours, base) && startsWith(theirs, base))
      return { value: [...(theirs as unknown[]), ...(ours as unknown[]).slice(base.length)] as T, conflicts: [] };
  return either(ours, theirs, path);
}

const under = (path: string, key: string) => (path === '' ? key : `${path}.${key}`);

function mergeFields(base: Fields, ours: Fields, theirs: Fields, path: string): Merged<Fields> {
  const conflicts: string[] = [];
  const value: Record<string, unknown> = {};
  for (const key of new Set([...Object.keys(theirs), ...Object.keys(ours)])) {
    const merged = merge(base[key], ours[key], theirs[key], under(path, key));
    conflicts.push(...merged.conflicts);
    if (merged.value !== undefined) value[key] = merged.value;
  }
  return { value, conflicts };
}

function mergeLists(
  base: readonly WithId[],
  ours: readonly WithId[],
  theirs: readonly WithId[],
  path: string,
): Merged<readonly WithId[]> {
  const [b, o, t] = [base, ours, theirs].map((list) => new Map(list.map((v) => [v.id, v])));
  const conflicts: string[] = [];
  const kept = new Map<string, WithId>();
  for (const id of new Set([...b!.keys(), ...o!.keys(), ...t!.keys()])) {
    const [was, mine, other] = [b!.get(id), o!.get(id), t!.get(id)];
    if (mine && other) {
      // One that both brought in is the same place changed twice.
      const merged = was ? merge(was, mine, other, under(path, id)) : either(mine, other, under(path, id));
      conflicts.push(...merged.conflicts);
      kept.set(id, merged.value);
      continue;
    }
    const left = mine ?? other;
    if (!left || (was && equal(left, was))) continue;
    // New in one, or taken out in one and changed in the other.
    if (was) conflicts.push(under(path, id));
    kept.set(id, left);
  }
  const moved = !equal(order(ours, b!), order(base, o!));
  const [first, second] = moved ? [ours, theirs] : [theirs, ours];
  return { value: inOrder(first, second, kept), conflicts };
}

const either = <T>(ours: T, theirs: T, path: string): Merged<T> => ({
  value: ours,
  conflicts: equal(ours, theirs) ? [] : [path],
});
const order = (list: readonly WithId[], among: ReadonlyMap<string, WithId>) =>
  list.map((v) => v.id).filter((id) => among.has(id));

/** Everything kept, in the order of the first list; what only the second has stands behind what it followed there. */
function inOrder(first: readonly WithId[], second: readonly WithId[], kept: ReadonlyMap<string, WithId>): WithId[] {
  const ids = first.map((v) => v.id);
  second.forEach(({ id }, i) => {
    if (ids.includes(id)) return;
    const before = i === 0 ? -1 : ids.indexOf(second[i - 1]!.id);
    ids.splice(before + 1, 0, id);
  });
  return ids.flatMap((id) => kept.get(id) ?? []);
}
