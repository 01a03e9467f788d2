import type { JobState } from '../workers/useWorkerJob';

interface WorkProgressProps {
  readonly state: JobState<unknown>;
  readonly says: (done: number) => string;
  /** What `done` runs up to; undefined when it is not known. */
  readonly of?: number;
  readonly onStop: () => void;
  readonly onAgain: () => void;
}

/** How far a computation is, with a way to stop it; or why there is no result. */
export function WorkProgress({ state, says, of, onStop, onAgain }: WorkProgressProps) {
  if (state.kind === 'done') return null;
  if (state.kind === 'running') {
    return (
      <p className="mt-6 flex flex-wrap items-center gap-3" role="status">
        <progress max={of} value={of === undefined ? undefined : state.done} aria-label="Progress" /> {says(state.done)}
        <button type="button" className="btn" onClick={onStop}>
          Stop
        </button>
      </p>
    );
  }
  return (
    <p className="mt-6 flex flex-wrap items-center gap-3" role="alert">
      {state.kind === 'failed' ? `It could not be computed: ${state.message}` : 'Stopped.'}
      <button type="button" className="btn" onClick={onAgain}>
        Compute again
      </button>
    </p>
  );
}
