import { useEffect, useState, type ReactNode } from 'react';
import { useLocation } from 'react-router';
import { Workbox } from 'workbox-window';

/**
 * Keeps the app for use without a network, and says when a newer version waits. It is taken when the person wants it,
 * or when every tab was closed: nothing is loaded anew by itself, so that nothing half typed is lost.
 */
export function NewVersion() {
  const { pathname } = useLocation();
  const [waiting, setWaiting] = useState<Workbox | null>(null);
  const [kept, setKept] = useState(true);
  useEffect(() => {
    if (!import.meta.env.PROD) return;
    // One that was kept before goes on being.
    const refused = () =>
      setKept(Boolean((navigator as { serviceWorker?: ServiceWorkerContainer }).serviceWorker?.controller));
    const register = async () => {
      // Not there without a secure connection.
      if (!('serviceWorker' in navigator)) return refused();
      const worker = new Workbox(`${import.meta.env.BASE_URL}sw.js`);
      worker.addEventListener('waiting', () => setWaiting(worker));
      await worker.register();
    };
    // In a private window, blocked by the person, or from a computer that this one does not trust: the app works, with
    // a network.
    register().catch(refused);
  }, []);
  // Not while somebody checks or rigs: there it can wait.
  if (/\/(check|run)(\/|$)/.test(pathname)) return null;
  if (!kept)
    return (
      <News onLater={() => setKept(true)}>
        This page is not kept for use without a network:{' '}
        {window.isSecureContext ? 'the browser refused' : 'the connection is not secure'}. Everything else works.
      </News>
    );
  if (!waiting) return null;
  const take = () => {
    waiting.addEventListener('controlling', () => location.reload());
    waiting.messageSkipWaiting();
  };
  return (
    <News onLater={() => setWaiting(null)} doIt={{ says: 'Load it now', run: take }}>
      A newer version of Zevrin is ready. What you typed is kept.
    </News>
  );
}

interface NewsProps {
  readonly children: ReactNode;
  readonly doIt?: { readonly says: string; readonly run: () => void };
  readonly onLater: () => void;
}

const News = ({ children, doIt, onLater }: NewsProps) => (
  <div role="status" className="no-print flex flex-wrap items-center gap-3 bg-sunk px-4 py-2">
    <p className="min-w-0 shrink grow basis-56">{children}</p>
    {doIt && (
      <button type="button" className="btn" onClick={doIt.run}>
        {doIt.says}
      </button>
    )}
    <button type="button" className="btn" onClick={onLater}>
      {doIt ? 'Later' : 'All right'}
    </button>
  </div>
);
