import { configureStore, createListenerMiddleware, isAnyOf } from '@reduxjs/toolkit';
import { inverse, type Change } from '../storage/changes';
import { createSaver, type Saver } from '../storage/saver';
import {
  changedElsewhere,
  edited,
  recorded,
  redone,
  replaced,
  saveStateChanged,
  undone,
  workspaceReducer,
  type WorkspaceState,
} from './workspace-slice';

export interface StoreOptions {
  readonly write: (changes: readonly Change[]) => Promise<void>;
  /** Tells the other tabs what was written. */
  readonly tell: (changes: readonly Change[]) => void;
}

/** What an action wrote, seen from the state before it. */
function changesOf(action: unknown, before: WorkspaceState): readonly Change[] {
  if (edited.match(action)) return action.payload.changes;
  if (recorded.match(action) || replaced.match(action)) return action.payload;
  if (undone.match(action)) return inverse(before.past.at(-1)?.changes ?? []);
  if (redone.match(action)) return before.future[0]?.changes ?? [];
  return [];
}

/** The store of one workspace. A listener writes every change through to the database, one transaction per change. */
export function createStore({ write, tell }: StoreOptions) {
  const listener = createListenerMiddleware<{ workspace: WorkspaceState }>();
  const store = configureStore({
    reducer: { workspace: workspaceReducer },
    // The documents are plain by their schemas; walking all of them after each key press would cost more than it finds.
    middleware: (defaults) =>
      defaults({ serializableCheck: false, immutableCheck: false }).prepend(listener.middleware),
  });
  const saver: Saver = createSaver({
    write,
    onState: (state) => store.dispatch(saveStateChanged(state)),
    onWritten: tell,
  });
  listener.startListening({
    matcher: isAnyOf(edited, recorded, replaced, undone, redone),
    effect: (action, api) => saver.save(changesOf(action, api.getOriginalState().workspace)),
  });
  return { store, saver, hear: (changes: readonly Change[]) => store.dispatch(changedElsewhere(changes)) };
}

export type AppStore = ReturnType<typeof createStore>['store'];
export type RootState = ReturnType<AppStore['getState']>;
