import { proxy, wrap, type Remote } from 'comlink';
import { useEffect, useState } from 'react';

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

/** Runs one question in a worker of its own. Another question, leaving the page, or `stop` ends the old one. */
export function useWorkerJob<A, R>({ create, ask }: WorkerJob<A, R>) {
  const [run, setRun] = useState(0);
  const [state, setState] = useState<JobState<R>>({ kind: 'running', done: 0 });
  const [stopped, setStopped] = useState(false);
  useEffect(() => {
    if (stopped) return;
    const worker = create();
    let left = false;
    // Progress comes through a port of its own and may arrive after the answer: it must not take the answer's place.
    let settled = false;
    const progress = (done: number) => {
      if (!left && !settled) setState({ kind: 'running', done });
    };
    const settle = (next: JobState<R>) => {
      settled = true;
      if (!left) setState(next);
    };
    const fail = (message: string) => settle({ kind: 'failed', message });
    worker.onerror = (event) => fail(event.message || 'the worker did not start');
    progress(0);
    ask(wrap<A>(worker), proxy(progress)).then(
      (result) => settle({ kind: 'done', result }),
      (error: unknown) => fail(error instanceof Error ? error.message : String(error)),
    );
    return () => {
      left = true;
      worker.terminate();
    };
  }, [create, ask, run, stopped]);
  return {
    state: stopped ? ({ kind: 'stopped' } as const) : state,
    stop: () => setStopped(true),
    again: () => {
      setStopped(false);
      setRun((n) => n + 1);
    },
  };
}
