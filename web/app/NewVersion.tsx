import { useEffect, useState } from 'react';
import { useLocation } from 'react-router';
import { Workbox } from 'workbox-window';

/**
 * Keeps the app for use without a network, and says when a newer version waits. It is taken when the person wants it, or when every tab was closed: nothing
 * is loaded anew by itself, so that nothing half typed is lost.
 */
export function NewVersion() {
  const { pathname } = useLocation();
  const [waiting, setWaiting] = useState<Workbox | null>(null);
  useEffect(() => {
    if (!('serviceWorker' in navigator) || !import.meta.env.PROD) return;
    const worker = new Workbox('/sw.js');
    worker.addEventListener('waiting', () => setWaiting(worker));
    // Refused in a private window, or blocked by the person: the app works as before, with a network.
    void worker.register().catch(() => undefined);
  }, []);
  // Not while somebody checks or rigs: there it can wait.
  if (!waiting || /\/(check|run)(\/|$)/.test(pathname)) return null;
  const take = () => {
    waiting.addEventListener('controlling', () => location.reload());
    waiting.messageSkipWaiting();
  };
  return (
    <div role="status" className="no-print flex flex-wrap items-center gap-3 bg-sunk px-4 py-2">
      <p className="min-w-0 shrink grow basis-56">A newer version of Zevrin is ready. What you typed is kept.</p>
      <button type="button" className="btn" onClick={take}>
        Load it now
      </button>
      <button type="button" className="btn" onClick={() => setWaiting(null)}>
        Later
      </button>
    </div>
  );
}
