import { configureStore, createListenerMiddleware, isAnyOf } from '@reduxjs/toolkit';
import { inverse, type Change } from '../storage/changes';
import type { Database } from '../storage/database';
import type { Note } from '../storage/resolve';
import type { Journal } from '../storage/journal';
import { createSync, type TabMessage, type Sync } from '../storage/sync';
import { docOf } from './history';
import {
  changedElsewhere,
  edited,
  recorded,
  redone,
  saveStateChanged,
  stepUndone,
  undone,
  workspaceReducer,
  type WorkspaceState,
} from './workspace-slice';

export interface StoreOptions {
  readonly database: Pick<Database, 'write' | 'replace' | 'load' | 'revision'>;
  /** Tells the other tabs what was written. */
  readonly tell: (message: TabMessage) => void;
  /** Two tabs have changed the same; `here` when this one was later. */
  readonly onNotes?: (notes: readonly Note[], here: boolean) => void;
  readonly later?: (then: () => void) => void;
  readonly journal?: Journal;
}

/** What an action wrote: which documents it was about, as they were and as they are. */
function changesOf(action: unknown, before: WorkspaceState, after: WorkspaceState): readonly Change[] {
  if (before.data === after.data) return [];
  if (edited.match(action)) return action.payload.changes;
  if (recorded.match(action)) return action.payload;
  const step = stepUndone.match(action)
    ? before.past.find((s) => s.step === action.payload)
    : undone.match(action)
      ? before.past.at(-1)
      : before.future[0];
  const changes = step?.changes ?? [];
  return (redone.match(action) ? changes : inverse(changes)).map((c) => ({
    ...c,
    before: docOf(before.data, c),
    after: docOf(after.data, c),
  }));
}

/** The store of one workspace. A listener writes every change through to the database, one transaction per change. */
export function createStore({ database, tell, onNotes = () => undefined, later, journal }: StoreOptions) {
  const listener = createListenerMiddleware<{ workspace: WorkspaceState }>();
  const store = configureStore({
    reducer: { workspace: workspaceReducer },
    // The documents are plain by their schemas; walking all of them after each key press would cost more than it finds.
    middleware: (defaults) =>
      defaults({ serializableCheck: false, immutableCheck: false }).prepend(listener.middleware),
  });
  const data = () => store.getState().workspace.data;
  const sync: Sync = createSync({
    database,
    onState: (state) => store.dispatch(saveStateChanged(state)),
    all: data,
    onElsewhere: (changes) => store.dispatch(changedElsewhere(changes)),
    onNotes,
    tell,
    journal,
    ...(later ? { later } : {}),
  });
  listener.startListening({
    matcher: isAnyOf(edited, recorded, undone, stepUndone, redone),
    effect: (action, api) => sync.save(changesOf(action, api.getOriginalState().workspace, api.getState().workspace)),
  });
  return { store, sync };
}

export type AppStore = ReturnType<typeof createStore>['store'];
export type RootState = ReturnType<AppStore['getState']>;
