import equal from 'fast-deep-equal';
import { COLLECTIONS, type Collection, type Workspace } from '@core/records/files';
import type { Change, Doc } from './changes';
import { DatabaseGone, type Database, type Entry, type Loaded, type WriteOutcome } from './database';
import type { Journal, Left, Mark } from './journal';
import { resolve, type Note } from './resolve';
import { NoRoom, saysNoRoom } from './room';

export type SaveState =
  /**
   * `afterFull`: a write was cut off by a full device; one engine was seen to wipe what it wrote after that, at its
   * next start.
   */
  | { readonly kind: 'saved'; readonly afterFull?: boolean }
  | { readonly kind: 'saving' }
  /** `gone`: trying again cannot help, the page has to be loaded again. */
  | { readonly kind: 'failed'; readonly message: string; readonly gone: boolean };

/** What tabs tell each other after a write. `all`: too much to send; look it up. */
export interface TabMessage {
  readonly revision: number;
  readonly entries: readonly Entry[] | 'all';
  readonly notes: readonly Note[];
}

export interface SyncOptions {
  readonly database: Pick<Database, 'write' | 'replace' | 'load' | 'revision'>;
  readonly onState: (state: SaveState) => void;
  /** Everything that the screen shows. */
  readonly all: () => Workspace;
  /** The screen has to follow what other tabs wrote. */
  readonly onElsewhere: (changes: readonly Change[]) => void;
  /** Two changes met; `here` when this tab wrote the later one. */
  readonly onNotes: (notes: readonly Note[], here: boolean) => void;
  readonly tell: (message: TabMessage) => void;
  /** Keeps what is not on the disk yet over the end of the page. */
  readonly journal?: Journal | undefined;
  /** Calls back after a while; the clock of the page. */
  readonly later?: (then: () => void) => void;
}

/** How many of the changes that pages before this one left are on the disk by now. */
export type OnResumed = (done: number, of: number) => void;

/** Replaces everything that is stored: here or, for what is large, in a worker. */
type Replacing = Pick<Database, 'replace'>;
type Job =
  /** `mark`: where the journal keeps it; null when it does not. */
  | {
      readonly kind: 'change';
      readonly changes: readonly Change[];
      readonly mark: Mark | null;
      readonly written?: () => void;
    }
  | {
      readonly kind: 'replace';
      readonly write: (database: Replacing) => Promise<WriteOutcome>;
      readonly done: (error: Error | null) => void;
    };

type OnDisk = Entry & { readonly revision: number };

const keyOf = (collection: Collection, id: string) => `${collection}/${id}`;
/** Looks up documents of a workspace; for more than a few by a map, which is made once for each collection. */
function shownIn(workspace: Workspace, asked: number): (collection: Collection, id: string) => Doc | null {
  const maps = new Map<Collection, ReadonlyMap<string, Doc>>();
  return (collection, id) => {
    const list: readonly Doc[] = workspace[collection];
    if (asked < 20) return list.find((doc) => doc.id === id) ?? null;
    if (!maps.has(collection)) maps.set(collection, new Map(list.map((doc) => [doc.id, doc])));
    return maps.get(collection)!.get(id) ?? null;
  };
}

/** A message that is missing after this long is looked up. */
const MISSING_AFTER_MS = 1000;
/** A disk that was full is not asked again before, unless somebody says so. */
const FULL_FOR_MS = 20_000;
/** Above this a write is not sent from tab to tab, but looked up. */
const MOST_ENTRIES = 200;

/**
 * Keeps the screen and the disk the same while several tabs write. Changes are written one after the other; "saved" is
 * said only when nothing waits, and a failed write keeps its place until `retry`. What is shown is always: what is on
 * the disk, as far as this tab has heard, with what waits here put onto it by the rule that the database uses. So every
 * tab ends with what is on the disk.
 */
export function createSync(options: SyncOptions) {
  const { database, onState, onElsewhere } = options;
  const later = options.later ?? ((then) => void setTimeout(then, MISSING_AFTER_MS));
  const queue: Job[] = [];
  const waiting = new Set<() => void>();
  /** What is on the disk of documents that were written since they were loaded, and by which write. */
  const disk = new Map<string, { readonly revision: number; readonly doc: Doc | null }>();
  /** What each change that waits is shown to come to. */
  const expected = new WeakMap<Change, Doc | null>();
  let loadedRevisionOf: Loaded['revisionOf'] = () => 0;
  /** Every write up to this one has been seen here, and some after it. */
  let upTo = 0;
  const ahead = new Set<number>();
  let looking: Promise<void> | null = null;
  let running = false;
  let failing = false;
  let wasFull = false;
  /** On a full disk not every key asks again: one engine breaks down when it is asked too often. */
  let fullUntil = -Infinity;
  const savedNow = (): SaveState => (wasFull ? { kind: 'saved', afterFull: true } : { kind: 'saved' });

  function seen(revision: number) {
    if (revision > upTo) ahead.add(revision);
    while (ahead.delete(upTo + 1)) upTo += 1;
    if (ahead.size > 0) later(() => void (ahead.size > 0 && lookUp()));
  }

  /**
   * Remembers what is on the disk, each by the write it comes from. False where something newer was heard of already.
   */
  function note(entries: readonly OnDisk[]): boolean {
    let newest = true;
    for (const { collection, id, doc, revision } of entries) {
      const key = keyOf(collection, id);
      if ((disk.get(key)?.revision ?? loadedRevisionOf(collection, id)) <= revision) disk.set(key, { revision, doc });
      else newest = false;
    }
    return newest;
  }

  /** Shows what is on the disk with what waits here on top. */
  function take(entries: readonly OnDisk[]) {
    note(entries);
    const waiting = queue.flatMap((job) => (job.kind === 'change' ? job.changes : []));
    const now = options.all();
    const shown = shownIn(now, entries.length);
    const changes: Change[] = [];
    for (const { collection, id } of entries) {
      const known = disk.get(keyOf(collection, id));
      if (!known) continue;
      let doc = known.doc;
      for (const change of waiting) if (change.id === id && change.collection === collection) doc = put(change, doc);
      const before = shown(collection, id);
      if (!equal(before, doc)) changes.push({ collection, id, before, after: doc });
    }
    if (changes.length > 0) onElsewhere(changes);
  }

  /**
   * What comes of a change that waits, on top of what will be there before it. It is remembered: as long as it comes
   * so, nothing has to be shown anew.
   */
  function put(change: Change, onto: Doc | null): Doc | null {
    const { doc } = resolve(change, onto);
    expected.set(change, doc);
    return doc;
  }

  /** Reads the disk again: after missed messages, or when everything was replaced in another tab. */
  function lookUp(): Promise<void> {
    looking ??= (async () => {
      try {
        const { workspace, revision, revisionOf } = await database.load();
        const now = options.all();
        take(
          COLLECTIONS.flatMap((collection) => {
            const there = new Set<string>(workspace[collection].map((doc) => doc.id));
            const gone = now[collection].filter(({ id }) => !there.has(id));
            return [
              ...workspace[collection].map((doc) => ({
                collection,
                id: doc.id,
                doc,
                revision: revisionOf(collection, doc.id),
              })),
              ...gone.map(({ id }) => ({ collection, id, doc: null, revision })),
            ];
          }),
        );
        for (const r of ahead) if (r <= revision) ahead.delete(r);
        upTo = Math.max(upTo, revision);
        seen(upTo);
      } catch {
        // What cannot be read now is read at the next write or the next look at this tab.
      } finally {
        looking = null;
      }
    })();
    return looking;
  }

  function tell(message: TabMessage) {
    try {
      options.tell(message);
    } catch {
      // The channel is closed or the message too large: the other tabs miss a number and look it up.
    }
  }

  function written(job: Job, { revision, entries, notes }: WriteOutcome) {
    queue.shift();
    if (job.kind === 'replace') {
      tell({ revision, entries: 'all', notes });
      disk.clear();
      loadedRevisionOf = () => revision;
      seen(revision);
      options.journal?.forget();
      job.done(null);
      return;
    }
    if (job.mark) options.journal?.done(job.mark);
    job.written?.();
    tell({ revision, entries: entries.length > MOST_ENTRIES ? 'all' : entries, notes });
    seen(revision);
    const onDisk = entries.map((entry) => ({ ...entry, revision }));
    const asExpected = entries.every(({ doc }, i) => {
      const change = job.changes[i]!;
      return equal(doc, expected.has(change) ? expected.get(change) : change.after);
    });
    // What waits was put onto just this: to do it again for each of hundreds would take its square.
    if (!note(onDisk) || !asExpected) take(onDisk);
    if (notes.length > 0) options.onNotes(notes, true);
  }

  async function run() {
    if (running) return;
    running = true;
    failing = false;
    onState({ kind: 'saving' });
    try {
      while (queue.length > 0) {
        const job = queue[0]!;
        written(job, job.kind === 'change' ? await database.write(job.changes, job.mark) : await job.write(database));
      }
      onState(savedNow());
      for (const done of waiting) done();
      waiting.clear();
    } catch (error) {
      if (error instanceof NoRoom) fullUntil = performance.now() + FULL_FOR_MS;
      const cutOff = !(error instanceof NoRoom) && saysNoRoom(error);
      wasFull ||= cutOff;
      const failed = cutOff ? new NoRoom({ cause: error }) : error instanceof Error ? error : new Error(String(error));
      const [job] = queue;
      // A file that could not be stored is not read in: it does not wait for a better moment behind the reader's back.
      if (job?.kind === 'replace') {
        queue.shift();
        job.done(failed);
      }
      if (queue.length === 0) onState(savedNow());
      else {
        failing = true;
        onState({ kind: 'failed', message: failed.message, gone: failed instanceof DatabaseGone });
      }
    } finally {
      running = false;
    }
  }

  return {
    /** What was loaded, before anything is saved or heard. */
    start({ revision, revisionOf }: Pick<Loaded, 'revision' | 'revisionOf'>) {
      upTo = revision;
      loadedRevisionOf = revisionOf;
      for (const r of ahead) if (r <= upTo) ahead.delete(r);
      seen(upTo);
    },
    save(changes: readonly Change[]) {
      if (changes.length === 0) return;
      queue.push({ kind: 'change', changes, mark: options.journal?.keep(changes) ?? null });
      if (!failing || performance.now() > fullUntil) void run();
    },
    /**
     * Takes over what pages before this one could not write: shown at once, and written before anything else. Ends when
     * that was tried.
     */
    async resume(left: readonly Left[], onResumed: OnResumed = () => undefined) {
      let resumed = 0;
      const shown = shownIn(options.all(), left.length);
      const docs = new Map<string, Change>();
      for (const { changes, mark } of left) {
        queue.push({ kind: 'change', changes, mark, written: () => onResumed((resumed += 1), left.length) });
        for (const change of changes) {
          const { collection, id } = change;
          const key = keyOf(collection, id);
          const { before, after } = docs.get(key) ?? { before: shown(collection, id), after: shown(collection, id) };
          docs.set(key, { collection, id, before, after: put(change, after) });
        }
      }
      const changed = [...docs.values()].filter(({ before, after }) => !equal(before, after));
      if (changed.length > 0) onElsewhere(changed);
      if (left.length > 0) await run();
    },
    /**
     * Replaces everything; ends with what is on the disk then, and fails when it is not there. The screen is changed by
     * the caller, after that.
     */
    async replace(write: (database: Replacing) => Promise<WriteOutcome>): Promise<Workspace> {
      await new Promise<void>((resolved, rejected) => {
        queue.push({ kind: 'replace', write, done: (error) => (error ? rejected(error) : resolved()) });
        void run();
      });
      const { workspace, revision, revisionOf } = await database.load('checked');
      loadedRevisionOf = revisionOf;
      seen(revision);
      return workspace;
    },
    hear({ revision, entries, notes }: TabMessage) {
      if (entries === 'all') {
        if (revision <= upTo) return;
        ahead.add(revision);
        void lookUp();
        return;
      }
      // Late, and looked up meanwhile: what it brings may have been taken out again, of which a look at the disk shows
      // nothing.
      if (revision > upTo) {
        seen(revision);
        take(entries.map((entry) => ({ ...entry, revision })));
      }
      if (notes.length > 0) options.onNotes(notes, false);
    },
    /** Looks whether writes of other tabs were missed, for instance while this tab was asleep. */
    async catchUp() {
      try {
        if ((await database.revision()) > upTo) await lookUp();
      } catch {
        // The next write says what is wrong with the database.
      }
    },
    retry: () => void run(),
    pending: () => queue.length,
    /** Something would be lost with the page, or cannot be written: worth asking before it goes. */
    atRisk: () => failing || queue.some((job) => job.kind === 'replace' || job.mark === null),
    /** Ends when nothing waits any more. */
    drained: (): Promise<void> =>
      queue.length === 0 ? Promise.resolve() : new Promise((done) => waiting.add(() => done())),
  };
}
export type Sync = ReturnType<typeof createSync>;
