import { pathText, type FileIssue } from './issue.ts';

/** Deeper than any document goes (a check holds a set-up that holds items with lists: 12). */
const DEEPEST = 40;
/** Longer than any list inside an entry. */
const LONGEST_LIST = 5000;
/** More entries of one kind than somebody enters in a life. */
const MOST_ENTRIES = 100_000;
/** More than any object of a file has: those of the widest one are some forty. */
const MOST_KEYS = 1000;
/** Characters; the largest workspace that was measured (9,000 uses, 1,000 checks) has 27 million. */
export const LONGEST_TEXT = 100_000_000;

interface Place {
  readonly value: object;
  readonly in: Place | null;
  readonly key: string | number;
  readonly depth: number;
}

function pathOf(place: Place): string {
  const keys: (string | number)[] = [];
  for (let at = place; at.in; at = at.in) keys.push(at.key);
  return pathText(keys.reverse());
}

/**
 * What is too large or too deep to be looked at closely, before anything is. Walks without calling itself, so that no
 * file can bring it down by its depth.
 */
export function outOfBounds(root: object): FileIssue | null {
  const stack: Place[] = [{ value: root, in: null, key: '', depth: 0 }];
  for (let place = stack.pop(); place; place = stack.pop()) {
    const { value, depth } = place;
    if (depth > DEEPEST)
      return {
        path: pathOf(place),
        read: `more than ${DEEPEST} levels`,
        message: `A Zevrin file has at most ${DEEPEST} levels, one inside the other.`,
      };
    if (Array.isArray(value)) {
      const most = depth === 2 && place.in?.key === 'workspace' ? MOST_ENTRIES : LONGEST_LIST;
      if (value.length > most)
        return {
          path: pathOf(place),
          read: `${value.length} entries`,
          message: `A list here has at most ${most} entries.`,
        };
      for (let i = 0; i < value.length; i += 1) {
        const entry: unknown = value[i];
        if (entry !== null && typeof entry === 'object')
          stack.push({ value: entry, in: place, key: i, depth: depth + 1 });
      }
    } else {
      const entries = Object.entries(value) as [string, unknown][];
      if (entries.length > MOST_KEYS)
        return {
          path: pathOf(place),
          read: `${entries.length} keys`,
          message: `An object here has at most ${MOST_KEYS} keys.`,
        };
      for (const [key, entry] of entries)
        if (entry !== null && typeof entry === 'object') stack.push({ value: entry, in: place, key, depth: depth + 1 });
    }
  }
  return null;
}
