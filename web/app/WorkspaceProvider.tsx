import { createContext, use, useEffect, useState, type ReactNode } from 'react';
import { Provider } from 'react-redux';
import { emptyWorkspace } from '@core/files';
import { difference, type Change } from '../storage/changes';
import { openDatabase, type WorkspaceName } from '../storage/database';
import type { Saver } from '../storage/saver';
import { createStore, type AppStore } from '../store/store';
import { loaded } from '../store/workspace-slice';

interface Opened {
  readonly store: AppStore;
  readonly saver: Saver;
  readonly unreadable: number;
}
type Opening =
  | { readonly kind: 'opening' }
  | { readonly kind: 'failed'; readonly message: string }
  | ({ readonly kind: 'open' } & Opened);

interface Place {
  readonly name: WorkspaceName;
  readonly saver: Saver;
  readonly unreadable: number;
}
const Context = createContext<Place | null>(null);

export function usePlace(): Place {
  const place = use(Context);
  if (!place) throw new Error('usePlace outside WorkspaceProvider');
  return place;
}

async function open(name: WorkspaceName, channel: BroadcastChannel): Promise<Opened & { close: () => void }> {
  const database = await openDatabase(name);
  if (name === 'demo') {
    // The demo data is a part of its own in the build: whoever works with their own gear does not load it.
    const { demoWorkspace } = await import('@core/samples');
    await database.seedOnce(difference(emptyWorkspace(), demoWorkspace()));
  }
  const { store, saver, hear } = createStore({
    write: database.write,
    tell: (changes) => channel.postMessage(changes),
  });
  // Heard from before loading on, so that nothing written in between is missed.
  const early: (readonly Change[])[] = [];
  let ready = false;
  channel.onmessage = ({ data }: MessageEvent<readonly Change[]>) => {
    if (ready) hear(data);
    else early.push(data);
  };
  const { workspace, unreadable } = await database.load();
  store.dispatch(loaded(workspace));
  early.forEach(hear);
  ready = true;
  return { store, saver, unreadable, close: database.close };
}

/** Opens the database of one workspace and hands its store to what is inside. */
export function WorkspaceProvider({ name, children }: { name: WorkspaceName; children: ReactNode }) {
  const [state, setState] = useState<Opening>({ kind: 'opening' });
  useEffect(() => {
    const channel = new BroadcastChannel(`zevrin-${name}`);
    let current: Awaited<ReturnType<typeof open>> | undefined;
    let left = false;
    const warn = (event: BeforeUnloadEvent) => {
      if (current && current.saver.pending() > 0) event.preventDefault();
    };
    window.addEventListener('beforeunload', warn);
    open(name, channel).then(
      (opened) => {
        current = opened;
        if (left) opened.close();
        else setState({ kind: 'open', store: opened.store, saver: opened.saver, unreadable: opened.unreadable });
      },
      (error: unknown) => setState({ kind: 'failed', message: error instanceof Error ? error.message : String(error) }),
    );
    void navigator.storage?.persist?.();
    return () => {
      left = true;
      window.removeEventListener('beforeunload', warn);
      channel.close();
      // What still waits is written before the database closes.
      if (current && current.saver.pending() === 0) current.close();
    };
  }, [name]);

  if (state.kind === 'opening') return <p className="p-6 text-ink-2">Opening the workspace …</p>;
  if (state.kind === 'failed') {
    return (
      <main className="mx-auto max-w-xl p-6">
        <h1>The workspace cannot be opened</h1>
        <p className="mt-3">The browser refused its database: {state.message}</p>
        <p className="mt-3">Private windows and full disks do this. Nothing that was stored has been changed.</p>
      </main>
    );
  }
  return (
    <Provider store={state.store}>
      <Context value={{ name, saver: state.saver, unreadable: state.unreadable }}>{children}</Context>
    </Provider>
  );
}
