import { nanoid } from '@reduxjs/toolkit';
import { openDatabase, type WorkspaceName } from '../storage/database';
import { shapesArrived } from '../storage/fits';
import { openJournal } from '../storage/journal';
import type { Note } from '../storage/resolve';
import type { TabMessage, OnResumed } from '../storage/sync';
import { createStore } from '../store/store';
import { whenIdle } from '../ui/idle';
import { open, type Open, type Session } from './open-sessions';
import { loaded } from '../store/workspace-slice';

/** Storage for the journal; none where the browser forbids it. */
function storageOrNone(): Storage | null {
  try {
    return window.localStorage;
  } catch {
    return null;
  }
}

/** @param onResumed how many of the changes that a page before this one left are on the disk by now. */
async function begin(name: WorkspaceName, onResumed: OnResumed): Promise<{ session: Session; close: () => void }> {
  const database = await openDatabase(name);
  const channel = new BroadcastChannel(`zevrin-${name}`);
  try {
    const listeners = new Set<(notes: readonly Note[], here: boolean) => void>();
    // Told before anybody listens: kept for the first who does.
    const untold: [readonly Note[], boolean][] = [];
    const journal = openJournal(name, database.born, nanoid(), storageOrNone());
    const { store, sync } = createStore({
      database,
      tell: (message) => channel.postMessage(message),
      onNotes: (notes, here) => {
        if (listeners.size === 0) untold.push([notes, here]);
        listeners.forEach((listen) => listen(notes, here));
      },
      journal,
    });
    // Heard from before loading on, so that nothing written in between is missed.
    const early: TabMessage[] = [];
    let hear = (message: TabMessage): void => void early.push(message);
    channel.onmessage = ({ data }: MessageEvent<TabMessage>) => hear(data);
    // The demo data is a part of its own in the build: whoever works with their own gear, or comes back, does not load
    // it.
    const seeded =
      name === 'demo' ? await database.seedOnce(() => import('./demo-data').then((m) => m.demoWorkspace())) : null;
    const { workspace, unreadable, revision, revisionOf } = seeded ?? (await database.load());
    const waiting = await journal.left();
    store.dispatch(loaded(workspace, [...unreadable, ...waiting.unreadable]));
    sync.start({ revision, revisionOf });
    // Loaded when the first screen stands. What other tabs write until then waits, so that it is put together with what
    // is done here.
    void new Promise<void>((idle) => whenIdle(() => idle()))
      .then(shapesArrived)
      .catch(() => undefined)
      .then(() => {
        hear = (message) => sync.hear(message);
        early.forEach(hear);
      });
    await sync.resume(waiting.left, onResumed);
    // A tab that slept may have missed messages.
    const awake = () => {
      if (document.visibilityState === 'visible') void sync.catchUp();
    };
    document.addEventListener('visibilitychange', awake);
    window.addEventListener('pageshow', awake);
    return {
      session: {
        name,
        store,
        sync,
        onNotes: (listen) => {
          listeners.add(listen);
          for (const told of untold.splice(0)) listen(...told);
          return () => void listeners.delete(listen);
        },
      },
      close: () => {
        document.removeEventListener('visibilitychange', awake);
        window.removeEventListener('pageshow', awake);
        channel.close();
        database.close();
      },
    };
  } catch (error) {
    channel.close();
    database.close();
    throw error;
  }
}

/**
 * The session of a workspace. One that still writes what was entered before is taken up again, with everything that
 * waits.
 */
export function enter(name: WorkspaceName, onResumed: OnResumed = () => undefined): Promise<Session> {
  const there = open.get(name);
  if (there) {
    there.users += 1;
    return there.session;
  }
  const begun = begin(name, onResumed);
  const entry: Open = { session: begun.then(({ session }) => session), users: 1, ready: null, close: () => undefined };
  open.set(name, entry);
  begun.then(
    ({ session, close }) => {
      entry.ready = session;
      entry.close = close;
      if (entry.users === 0) void end(name, entry);
    },
    () => open.delete(name),
  );
  return entry.session;
}

/** Leaves a workspace. It stays open until everything is on the disk, which may be never: see `unsaved`. */
export function leave(name: WorkspaceName) {
  const entry = open.get(name);
  if (!entry) return;
  entry.users -= 1;
  if (entry.users === 0 && entry.ready) void end(name, entry);
}

async function end(name: WorkspaceName, entry: Open) {
  await entry.ready!.sync.drained();
  if (entry.users > 0 || open.get(name) !== entry) return;
  open.delete(name);
  entry.close();
}

export type { Session } from './open-sessions';
export { unsaved, warnWhenUnsaved } from './open-sessions';
