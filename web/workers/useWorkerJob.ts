import { proxy, wrap, type Remote } from 'comlink';
import { startTransition, useEffect, useRef, useState } from 'react';

export type JobState<R> =
  | { readonly kind: 'running'; readonly done: number }
  | { readonly kind: 'stopped' }
  | { readonly kind: 'failed'; readonly message: string }
  | { readonly kind: 'done'; readonly result: R };

interface WorkerJob<A, R> {
  /** Makes the worker; must not change between renders. */
  readonly create: () => Worker;
  /** Asks it; must not change between renders unless the question does. */
  readonly ask: (api: Remote<A>, onProgress: (done: number) => void) => Promise<R>;
}

const START = { kind: 'running', done: 0 } as const;

/** A worker with its one wrapper: a second one would, once collected, release the worker for both. */
interface Hired<A> {
  readonly worker: Worker;
  readonly api: Remote<A>;
}
const hire = <A>(worker: Worker): Hired<A> => ({ worker, api: wrap<A>(worker) });

/**
 * Runs one question in a worker. Another question, leaving the page, or `stop` ends a worker that is still at work; one
 * that has answered is asked again, since starting one costs more than most answers.
 */
export function useWorkerJob<A, R>({ create, ask }: WorkerJob<A, R>) {
  const [run, setRun] = useState(0);
  // An answer belongs to its question: under another one it must not be shown, not even for a moment.
  const [told, setTold] = useState<{ readonly to: unknown; readonly state: JobState<R> } | null>(null);
  const [stopped, setStopped] = useState(false);
  const idle = useRef<Hired<A> | null>(null);
  useEffect(() => {
    if (stopped) return;
    const hired = idle.current ?? hire<A>(create());
    idle.current = null;
    let left = false;
    // Progress comes through a port of its own and may arrive after the answer: it must not take the answer's place.
    let outcome: 'none' | 'done' | 'failed' = 'none';
    const progress = (done: number) => {
      if (!left && outcome === 'none') setTold({ to: ask, state: { kind: 'running', done } });
    };
    const settle = (next: JobState<R>, as: 'done' | 'failed') => {
      outcome = as;
      // Drawn in slices: a map has hundreds of cells, and nobody's key should wait for them.
      if (!left) startTransition(() => setTold({ to: ask, state: next }));
    };
    const fail = (message: string) => settle({ kind: 'failed', message }, 'failed');
    const onError = (event: ErrorEvent) => fail(event.message || 'the worker did not start');
    hired.worker.addEventListener('error', onError);
    progress(0);
    ask(hired.api, proxy(progress)).then(
      (result) => settle({ kind: 'done', result }, 'done'),
      (error: unknown) => fail(error instanceof Error ? error.message : String(error)),
    );
    return () => {
      left = true;
      hired.worker.removeEventListener('error', onError);
      if (outcome === 'done') idle.current = hired;
      else hired.worker.terminate();
    };
  }, [create, ask, run, stopped]);
  // After the effect above, so that on leaving the page it finds the worker that was put aside.
  useEffect(
    () => () => {
      idle.current?.worker.terminate();
      idle.current = null;
    },
    [create],
  );
  return {
    state: stopped ? ({ kind: 'stopped' } as const) : told?.to === ask ? told.state : START,
    stop: () => setStopped(true),
    again: () => {
      setStopped(false);
      setRun((n) => n + 1);
    },
  };
}
