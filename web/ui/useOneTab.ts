import { useEffect, useState } from 'react';

/** Older browsers have no locks, and none has them without a secure connection: there a second tab is not found out. */
export const tabsAreToldApart = (): boolean => 'locks' in navigator;

/** `here`: this tab has it. `elsewhere`: another one does. `asking`: not known yet. */
export type Holder = 'here' | 'elsewhere' | 'asking';

/**
 * Keeps what a name stands for in one tab at a time: the first one has it, and when it is closed, for whatever reason,
 * the next one gets it. `takeOver` takes it away from another tab.
 */
export function useOneTab(name: string): { readonly holder: Holder; readonly takeOver: () => void } {
  const [state, setState] = useState<{ readonly name: string; readonly holder: Holder }>({
    name,
    // The storage keeps the answers of both all the same.
    holder: tabsAreToldApart() ? 'asking' : 'here',
  });
  const [taken, setTaken] = useState(0);
  useEffect(() => {
    if (!tabsAreToldApart()) return;
    const left = new AbortController();
    const say = (holder: Holder) => {
      if (!left.signal.aborted) setState({ name, holder });
    };
    /** Held until this part of the page is left. */
    const hold = (lock: Lock | null) => {
      if (lock === null) return Promise.resolve(false);
      say('here');
      return new Promise<boolean>((done) => {
        if (left.signal.aborted) done(true);
        else left.signal.addEventListener('abort', () => done(true), { once: true });
      });
    };
    async function ask(options: LockOptions) {
      try {
        if ((await navigator.locks.request(name, options, hold)) || left.signal.aborted) return;
      } catch {
        // Taken over by another tab, or left while waiting.
        if (left.signal.aborted) return;
      }
      say('elsewhere');
      // In line for when the other tab is closed.
      await ask({ signal: left.signal });
    }
    void ask(taken > 0 ? { steal: true } : { ifAvailable: true });
    return () => left.abort();
  }, [name, taken]);
  return { holder: state.name === name ? state.holder : 'asking', takeOver: () => setTaken((n) => n + 1) };
}
