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
    const report = (next: JobState<R>) => {
      if (!left) setState(next);
    };
    const fail = (message: string) => report({ kind: 'failed', message });
    worker.onerror = (event) => fail(event.message || 'the worker did not start');
    report({ kind: 'running', done: 0 });
    ask(
      wrap<A>(worker),
      proxy((done: number) => report({ kind: 'running', done })),
    ).then(
      (result) => report({ kind: 'done', result }),
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
