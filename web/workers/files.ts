import { wrap, type Remote } from 'comlink';
import type { FilesWorker } from './files-worker';

/** A worker for one file; `end` stops it in whatever it does. A worker that does not start fails every question. */
export function hireForFiles(): {
  readonly api: Remote<FilesWorker>;
  readonly failed: Promise<never>;
  readonly end: () => void;
} {
  const worker = new Worker(new URL('./files-worker.ts', import.meta.url), { type: 'module' });
  const failed = new Promise<never>((_, reject) => {
    worker.addEventListener('error', (event) => reject(new Error(event.message || 'the worker did not start')));
  });
  failed.catch(() => undefined);
  return { api: wrap<FilesWorker>(worker), failed, end: () => worker.terminate() };
}
