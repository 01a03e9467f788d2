import { startTransition, useEffect, useState, type ReactNode } from 'react';
import { Provider } from 'react-redux';
import type { WorkspaceName } from '../storage/names';
import { NotLoaded } from '../ui/not-loaded';
import { lazyPart } from '../ui/part';
import { Reload } from '../ui/Reload';
import { Place } from './place';
import { enter, leave, type Session } from './session';

type Opening =
  /** `resumed`: how many changes that waited are on the disk by now, and of how many. */
  | { readonly kind: 'opening'; readonly resumed: readonly [done: number, of: number] | null }
  | { readonly kind: 'failed'; readonly error: unknown }
  | { readonly kind: 'open'; readonly session: Session };

// Not needed for the first screen.
const TwoTabs = lazyPart('The message about another tab', () => import('./TwoTabs').then((m) => m.TwoTabs), {
  aside: true,
});

/** Opens one workspace and hands its store to what is inside. */
export function WorkspaceProvider({ name, children }: { name: WorkspaceName; children: ReactNode }) {
  const [state, setState] = useState<Opening>({ kind: 'opening', resumed: null });
  useEffect(() => {
    let left = false;
    enter(name, (...resumed) => {
      if (!left) setState({ kind: 'opening', resumed });
    }).then(
      (session) => {
        // The whole page comes with it: in slices, so that a finger on a slow phone is heard meanwhile.
        if (!left) startTransition(() => setState({ kind: 'open', session }));
      },
      (error: unknown) => {
        if (!left) setState({ kind: 'failed', error });
      },
    );
    void navigator.storage?.persist?.();
    return () => {
      left = true;
      leave(name);
    };
  }, [name]);

  if (state.kind === 'opening')
    return (
      <p className="p-6 text-ink-2">
        Opening the workspace …
        {state.resumed && ` Storing what was left last time: ${state.resumed[0]} of ${state.resumed[1]} changes.`}
      </p>
    );
  if (state.kind === 'failed') {
    // A part of the program, not the database: what stands around it says so, and tries again.
    if (state.error instanceof NotLoaded) throw state.error;
    return (
      <main className="mx-auto max-w-xl p-6">
        <h1>The workspace cannot be opened</h1>
        <p className="mt-3">
          The browser refused its database: {state.error instanceof Error ? state.error.message : String(state.error)}
        </p>
        <p className="mt-3">
          Private windows and full disks do this, and so does another tab with a newer version. Nothing that was stored
          has been changed.
        </p>
        <div className="mt-4">
          <Reload />
        </div>
      </main>
    );
  }
  return (
    <Provider store={state.session.store}>
      <Place value={state.session}>
        <TwoTabs />
        {children}
      </Place>
    </Provider>
  );
}
