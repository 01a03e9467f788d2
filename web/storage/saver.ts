import type { Change } from './changes';

export type SaveState =
  { readonly kind: 'saved' } | { readonly kind: 'saving' } | { readonly kind: 'failed'; readonly message: string };

export interface SaverOptions {
  readonly write: (changes: readonly Change[]) => Promise<void>;
  readonly onState: (state: SaveState) => void;
  /** Called after the changes are on disk, for the other tabs. */
  readonly onWritten: (changes: readonly Change[]) => void;
}

/**
 * Writes changes one after the other. "Saved" is said only when nothing waits; a failed write keeps its place in the queue until `retry`,
 * so that order is kept and nothing is dropped.
 */
export function createSaver({ write, onState, onWritten }: SaverOptions) {
  const queue: (readonly Change[])[] = [];
  let running = false;

  async function run() {
    if (running) return;
    running = true;
    onState({ kind: 'saving' });
    try {
      while (queue.length > 0) {
        await write(queue[0]!);
        onWritten(queue.shift()!);
      }
      onState({ kind: 'saved' });
    } catch (error) {
      onState({ kind: 'failed', message: error instanceof Error ? error.message : String(error) });
    } finally {
      running = false;
    }
  }

  return {
    save(changes: readonly Change[]) {
      if (changes.length === 0) return;
      queue.push(changes);
      void run();
    },
    retry: () => void run(),
    pending: () => queue.length,
  };
}
export type Saver = ReturnType<typeof createSaver>;
