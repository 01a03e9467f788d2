import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { emptyWorkspace, type Workspace } from '@core/files';
import { applyChanges, inverse, type Change } from '../storage/changes';
import type { SaveState } from '../storage/saver';

export interface Edit {
  readonly label: string;
  readonly changes: readonly Change[];
  /** Steps with the same key that follow each other are one step to undo (typing in one field). */
  readonly mergeKey: string | null;
}

export interface WorkspaceState {
  readonly data: Workspace;
  readonly past: readonly Edit[];
  readonly future: readonly Edit[];
  readonly save: SaveState;
}

const HISTORY_LIMIT = 200;
const initialState: WorkspaceState = { data: emptyWorkspace(), past: [], future: [], save: { kind: 'saved' } };

/** One step for "before the first, after the last" of each document. */
function merged(a: Edit, b: Edit): Edit {
  const changes = new Map(a.changes.map((c) => [`${c.collection}/${c.id}`, c]));
  for (const c of b.changes) {
    const key = `${c.collection}/${c.id}`;
    changes.set(key, { ...c, before: changes.has(key) ? changes.get(key)!.before : c.before });
  }
  return { ...b, changes: [...changes.values()] };
}

const touches = (step: Edit, changes: readonly Change[]) =>
  step.changes.some((a) => changes.some((b) => a.collection === b.collection && a.id === b.id));

/*
 * The reducers replace whole branches, since documents are plain immutable values; Immer is only asked to pass them through.
 */
const slice = createSlice({
  name: 'workspace',
  initialState,
  reducers: {
    loaded: (_state, { payload }: PayloadAction<Workspace>) => ({ ...initialState, data: payload }),
    /** A change that can be undone. */
    edited(state, { payload }: PayloadAction<Edit>) {
      const last = state.past.at(-1);
      const joins = last && payload.mergeKey !== null && last.mergeKey === payload.mergeKey;
      const past = joins ? [...state.past.slice(0, -1), merged(last, payload)] : [...state.past, payload];
      return {
        ...state,
        data: applyChanges(state.data, payload.changes),
        past: past.slice(-HISTORY_LIMIT),
        future: [],
      };
    },
    /** A record: it is not undone, and it leaves the history of everything else alone. */
    recorded: (state, { payload }: PayloadAction<readonly Change[]>) => ({
      ...state,
      data: applyChanges(state.data, payload),
    }),
    undone(state) {
      const step = state.past.at(-1);
      if (!step) return state;
      return {
        ...state,
        data: applyChanges(state.data, inverse(step.changes)),
        past: state.past.slice(0, -1),
        future: [step, ...state.future],
      };
    },
    redone(state) {
      const [step, ...future] = state.future;
      if (!step) return state;
      return {
        ...state,
        data: applyChanges(state.data, step.changes),
        past: [...state.past, { ...step, mergeKey: null }],
        future,
      };
    },
    /** Another tab has written. Steps that touch the same documents can no longer be undone here: they would bring old values back. */
    changedElsewhere: (state, { payload }: PayloadAction<readonly Change[]>) => ({
      ...state,
      data: applyChanges(state.data, payload),
      past: state.past.filter((step) => !touches(step, payload)),
      future: state.future.filter((step) => !touches(step, payload)),
    }),
    /** Everything is replaced (import, wipe): there is nothing to go back to step by step. */
    replaced: (state, { payload }: PayloadAction<readonly Change[]>) => ({
      ...state,
      data: applyChanges(state.data, payload),
      past: [],
      future: [],
    }),
    saveStateChanged: (state, { payload }: PayloadAction<SaveState>) => ({ ...state, save: payload }),
    /** The field was left: what is typed next is a step of its own. */
    fieldLeft(state) {
      const last = state.past.at(-1);
      if (!last || last.mergeKey === null) return state;
      return { ...state, past: [...state.past.slice(0, -1), { ...last, mergeKey: null }] };
    },
  },
});

export const { loaded, edited, recorded, undone, redone, changedElsewhere, replaced, saveStateChanged, fieldLeft } =
  slice.actions;
export const workspaceReducer = slice.reducer;
