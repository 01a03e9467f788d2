import { useEffect } from 'react';

/** Keeps the screen on while hands are busy; browsers that cannot simply do not. */
export function useWakeLock() {
  useEffect(() => {
    let lock: WakeLockSentinel | undefined;
    let left = false;
    const take = async () => {
      if (document.visibilityState !== 'visible') return;
      try {
        lock = await navigator.wakeLock?.request('screen');
        if (left) void lock?.release();
      } catch {
        // Refused, for instance on a low battery: one goes on without.
      }
    };
    void take();
    const again = () => void take();
    document.addEventListener('visibilitychange', again);
    return () => {
      left = true;
      document.removeEventListener('visibilitychange', again);
      void lock?.release();
    };
  }, []);
}
