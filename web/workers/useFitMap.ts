import { proxy, wrap } from 'comlink';
import { useEffect, useState } from 'react';
import type { FitCell } from '@core/fit';
import type { Device, Job, Rope } from '@core/gear';
import type { FitWorker } from './fit-worker';

export type FitMapState =
  | { readonly kind: 'running'; readonly done: number }
  | { readonly kind: 'stopped' }
  | { readonly kind: 'failed'; readonly message: string }
  | { readonly kind: 'done'; readonly cells: readonly FitCell[] };

/** Computes the fit map in a worker; a change of what is asked, leaving the page, or `stop` ends the old one. */
export function useFitMap(job: Job, ropes: readonly Rope[], devices: readonly Device[]) {
  const [run, setRun] = useState(0);
  const [state, setState] = useState<FitMapState>({ kind: 'running', done: 0 });
  const [stopped, setStopped] = useState(false);
  useEffect(() => {
    if (stopped) return;
    const worker = new Worker(new URL('./fit-worker.ts', import.meta.url), { type: 'module' });
    const api = wrap<FitWorker>(worker);
    let left = false;
    const report = (next: FitMapState) => {
      if (!left) setState(next);
    };
    report({ kind: 'running', done: 0 });
    api
      .fitMap(
        { job, ropes, devices },
        proxy((done: number) => report({ kind: 'running', done })),
      )
      .then(
        (cells) => report({ kind: 'done', cells }),
        (error: unknown) => report({ kind: 'failed', message: error instanceof Error ? error.message : String(error) }),
      );
    return () => {
      left = true;
      worker.terminate();
    };
  }, [job, ropes, devices, run, stopped]);
  return {
    state: stopped ? ({ kind: 'stopped' } as const) : state,
    stop: () => setStopped(true),
    again: () => {
      setStopped(false);
      setRun((n) => n + 1);
    },
  };
}
