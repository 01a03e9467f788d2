import { COLLECTIONS, VERSION, type Collection } from '@core/records/files';
import type { Change, Doc } from './changes';
import { fitsShape, shapesArrived } from './fits';
import type { WorkspaceName } from './names';

/** Which change of which tab: the database remembers the last one of each, so that none goes onto it twice. */
export interface Mark {
  readonly tab: string;
  readonly n: number;
}
/** A change that was on its way to the database when its page went. */
export interface Left {
  readonly mark: Mark;
  readonly changes: readonly Change[];
}

/**
 * Changes on their way to the database. Writing to a database takes a few turns of the page, and a page that is closed,
 * reloaded or killed in between takes the change with it: until it is on the disk it is kept here too, where one call
 * is enough.
 */
export interface Journal {
  /** Keeps a change; null when there is no room for it. */
  readonly keep: (changes: readonly Change[]) => Mark | null;
  /** The change is in the database. */
  readonly done: (mark: Mark) => void;
  /** What pages before this one, or other tabs at this moment, have not written yet: in the order of each. */
  readonly left: () => Promise<{ readonly left: readonly Left[]; readonly unreadable: readonly unknown[] }>;
  /** Drops what `left` could not read: everything else was replaced. */
  readonly forget: () => void;
}

const PREFIX = 'zevrin-waiting';
/** Wide enough for the keys of a tab to stand in their order. */
const DIGITS = 9;

type BringUp = (doc: unknown, collection: string) => unknown;
const asItIs: BringUp = (doc) => doc;

/**
 * Brings documents up from an older version; null for a newer one. Loaded only where something was kept by another
 * version.
 */
async function broughtUpFrom(version: number): Promise<BringUp | null> {
  if (version >= VERSION) return version === VERSION ? asItIs : null;
  const { entryBroughtUp } = await import('./upgrade');
  return (doc, collection) => entryBroughtUp(doc, collection, version);
}

/** A change as it was kept, or null when this version cannot read it. */
function changeFrom(kept: unknown, bringUp: BringUp): Change | null {
  const change = kept as Partial<Record<keyof Change, unknown>> | null;
  if (typeof change?.id !== 'string' || !COLLECTIONS.includes(change.collection as Collection)) return null;
  const collection = change.collection as Collection;
  const [before, after] = [change.before, change.after].map((doc) => (doc ? bringUp(doc, collection) : doc));
  if (![before, after].every((doc) => doc === null || fitsShape(collection, doc))) return null;
  return { collection, id: change.id, before: before as Doc | null, after: after as Doc | null };
}

interface Kept {
  readonly version: number;
  readonly born: unknown;
  readonly changes: readonly unknown[];
}

/** Reads what stands under a key; null when it is none of ours, torn or empty. */
function keptIn(storage: Storage, key: string): Kept | null {
  try {
    const kept = JSON.parse(storage.getItem(key) ?? 'null') as Partial<Kept> | null;
    return Array.isArray(kept?.changes) && typeof kept.version === 'number' ? (kept as Kept) : null;
  } catch {
    return null;
  }
}

/**
 * @param born which database it is about: what waits for one that was deleted since is dropped.
 * @param storage null where the browser allows none: then nothing is kept, and the page asks before it goes.
 */
export function openJournal(
  workspace: WorkspaceName,
  born: unknown,
  tab: string,
  storage: Storage | null = window.localStorage,
): Journal {
  const under = `${PREFIX}/${workspace}/`;
  const keyOf = ({ tab: of, n }: Mark) => `${under}${of}/${String(n).padStart(DIGITS, '0')}`;
  let count = 0;
  let notRead: readonly string[] = [];
  return {
    keep(changes) {
      const mark = { tab, n: count + 1 };
      try {
        if (!storage) return null;
        storage.setItem(keyOf(mark), JSON.stringify({ version: VERSION, born, changes }));
      } catch {
        return null;
      }
      count += 1;
      return mark;
    },
    done: (mark) => storage?.removeItem(keyOf(mark)),
    async left() {
      const left: Left[] = [];
      const unreadable: unknown[] = [];
      const keys = Object.keys(storage ?? {})
        .filter((key) => key.startsWith(under))
        .sort();
      if (keys.length > 0) await shapesArrived();
      for (const key of keys) {
        const kept = keptIn(storage!, key);
        const [of, n] = key.slice(under.length).split('/');
        if (!kept || kept.born !== born || of === undefined || !/^\d+$/.test(n ?? '')) {
          storage!.removeItem(key);
          continue;
        }
        const bringUp = await broughtUpFrom(kept.version);
        const changes = bringUp ? kept.changes.map((change) => changeFrom(change, bringUp)) : [null];
        if (changes.every((change) => change !== null)) {
          left.push({ mark: { tab: of, n: Number(n) }, changes });
          continue;
        }
        // Not thrown away: it is shown with what else does not fit this version.
        notRead = [...notRead, key];
        unreadable.push(...kept.changes.map((change) => (change as Partial<Change> | null)?.after ?? change));
      }
      return { left, unreadable };
    },
    forget() {
      for (const key of notRead) storage?.removeItem(key);
      notRead = [];
    },
  };
}
