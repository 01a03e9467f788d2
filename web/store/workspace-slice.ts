import { createSlice, nanoid, type PayloadAction } from '@reduxjs/toolkit';
import { emptyWorkspace, type Workspace } from '@core/records/files';
import { applyChanges, inverse, type Change } from '../storage/changes';
import type { SaveState } from '../storage/sync';
import { onto, stillOpen, type Edit } from './history';

export type { Edit } from './history';

export interface WorkspaceState {
  readonly data: Workspace;
  readonly past: readonly Edit[];
  readonly future: readonly Edit[];
  readonly save: SaveState;
  /** What is stored and does not fit this version, as it lies on the disk; gone when everything is replaced. */
  readonly unreadable: readonly unknown[];
}

const HISTORY_LIMIT = 200;
const initialState: WorkspaceState = {
  data: emptyWorkspace(),
  past: [],
  future: [],
  save: { kind: 'saved' },
  unreadable: [],
};

/** One step for "before the first, after the last" of each document. */
function merged(a: Edit, b: Edit): Edit {
  const changes = new Map(a.changes.map((c) => [`${c.collection}/${c.id}`, c]));
  for (const c of b.changes) {
    const key = `${c.collection}/${c.id}`;
    changes.set(key, { ...c, before: changes.has(key) ? changes.get(key)!.before : c.before });
  }
  return { ...b, changes: [...changes.values()] };
}

/** One step taken back or gone again: on what is there now, or not at all. */
function go(state: WorkspaceState, changes: readonly Change[]): WorkspaceState | null {
  const now = onto(state.data, changes);
  return now && { ...state, data: applyChanges(state.data, now) };
}

/*
 * The reducers replace whole branches, since documents are plain immutable values; Immer is only asked to pass them
 * through.
 */
const slice = createSlice({
  name: 'workspace',
  initialState,
  reducers: {
    loaded: {
      prepare: (data: Workspace, unreadable: readonly unknown[] = []) => ({ payload: { data, unreadable } }),
      reducer: (_state, { payload }: PayloadAction<Pick<WorkspaceState, 'data' | 'unreadable'>>) => ({
        ...initialState,
        ...payload,
      }),
    },
    /** A change that can be undone. */
    edited: {
      prepare: (edit: Edit) => ({ payload: { ...edit, step: nanoid() } }),
      reducer(state, { payload }: PayloadAction<Edit>) {
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
    },
    /** A record: it is not undone, and it leaves the history of everything else alone. */
    recorded: (state, { payload }: PayloadAction<readonly Change[]>) => ({
      ...state,
      data: applyChanges(state.data, payload),
    }),
    undone(state) {
      const step = state.past.at(-1);
      if (!step) return state;
      const past = state.past.slice(0, -1);
      const next = go(state, inverse(step.changes));
      return next ? { ...next, past, future: [step, ...state.future] } : { ...state, past };
    },
    /** One step among others, wherever it stands; nothing when it is gone or something of it was changed since. */
    stepUndone(state, { payload }: PayloadAction<string>) {
      const step = state.past.find((s) => s.step === payload);
      const next = step && go(state, inverse(step.changes));
      return next ? { ...next, past: state.past.filter((s) => s !== step), future: [] } : state;
    },
    redone(state) {
      const [step, ...future] = state.future;
      if (!step) return state;
      const next = go(state, step.changes);
      return next ? { ...next, past: [...state.past, { ...step, mergeKey: null }], future } : { ...state, future };
    },
    /** Another tab has written. Steps that would bring old values back over it can no longer be undone here. */
    changedElsewhere(state, { payload }: PayloadAction<readonly Change[]>) {
      const data = applyChanges(state.data, payload);
      const past = stillOpen(data, [...state.past].reverse(), 'undo').reverse();
      return { ...state, data, past, future: stillOpen(data, state.future, 'redo') };
    },
    /** Everything is replaced (import, wipe): there is nothing to go back to step by step. */
    replaced: (state, { payload }: PayloadAction<Workspace>) => ({
      ...state,
      data: payload,
      past: [],
      future: [],
      unreadable: [],
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

export const {
  loaded,
  edited,
  recorded,
  undone,
  stepUndone,
  redone,
  changedElsewhere,
  replaced,
  saveStateChanged,
  fieldLeft,
} = slice.actions;
export const workspaceReducer = slice.reducer;
