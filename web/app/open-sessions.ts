import type { WorkspaceName } from '../storage/names';
import type { Note } from '../storage/resolve';
import type { Sync } from '../storage/sync';
import type { AppStore } from '../store/store';

/** A workspace that is open in this tab: its store, and what keeps it and the disk the same. */
export interface Session {
  readonly name: WorkspaceName;
  readonly store: AppStore;
  readonly sync: Sync;
  /** Hears of changes that met changes of another tab. */
  readonly onNotes: (listen: (notes: readonly Note[], here: boolean) => void) => () => void;
}

export interface Open {
  readonly session: Promise<Session>;
  /** How many parts of the page use it. */
  users: number;
  /** Set once it is open. */
  ready: Session | null;
  close: () => void;
}

/** What is open in this tab. Apart from what opens it, so that the first page asks it without loading that. */
export const open = new Map<WorkspaceName, Open>();

/** Workspaces in this tab with something that is not on the disk. */
export const unsaved = (): Session[] =>
  [...open.values()].flatMap(({ ready }) => (ready && ready.sync.pending() > 0 ? [ready] : []));

/**
 * Asks before the page is left while something would be lost with it; what is merely on its way is kept by the journal.
 */
export function warnWhenUnsaved() {
  window.addEventListener('beforeunload', (event) => {
    if (unsaved().some(({ sync }) => sync.atRisk())) event.preventDefault();
  });
}
