import { useEffect, useRef, useState } from 'react';
import { z } from 'zod';
import { draftStore } from '../../../ui/draft';

const hangingSchema = z.strictObject({ sinceMs: z.number(), seenMs: z.number() });

/**
 * How long somebody hangs, in seconds; null while nobody does. It goes on through a reload and in every tab, and never
 * jumps back: where the clock of the system is set back, the start goes back with it; where that is set forward, the
 * longer time stands.
 */
export function useHanging(draftKey: string) {
  const [store] = useState(() => draftStore(draftKey, hangingSchema));
  const [hangingS, setHangingS] = useState<number | null>(null);
  /** Of this page: it runs on whatever happens to the clock of the system, but not while the device sleeps. */
  const counted = useRef<{ readonly s: number; readonly atMs: number } | null>(null);
  const [look] = useState(() => (keep: boolean) => {
    const kept = store.read();
    if (!kept) {
      counted.current = null;
      return setHangingS(null);
    }
    const nowMs = Date.now();
    const runMs = performance.now();
    // Set back while no page looked.
    const unseenMs = Math.max(0, kept.seenMs - nowMs);
    const byClockS = (nowMs - kept.sinceMs + unseenMs) / 1000;
    const byPageS = counted.current ? counted.current.s + (runMs - counted.current.atMs) / 1000 : 0;
    const s = Math.max(0, byClockS, byPageS);
    counted.current = { s, atMs: runMs };
    // Not when another tab wrote: the two would answer each other without an end.
    if (keep) store.write({ sinceMs: nowMs - s * 1000, seenMs: nowMs });
    setHangingS(s);
  });
  useEffect(() => {
    const ours = () => look(true);
    const elsewhere = () => look(false);
    ours();
    const timer = setInterval(ours, 500);
    window.addEventListener('storage', elsewhere);
    return () => {
      clearInterval(timer);
      window.removeEventListener('storage', elsewhere);
    };
  }, [look]);
  return {
    hangingS,
    begin: (minutesAgo: number) => {
      const nowMs = Date.now();
      counted.current = null;
      store.write({ sinceMs: nowMs - minutesAgo * 60_000, seenMs: nowMs });
      look(true);
    },
    end: () => {
      store.clear();
      look(true);
    },
  };
}
