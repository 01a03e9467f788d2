import { lazy, Suspense, useState, type ComponentType, type LazyExoticComponent, type ReactNode } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { Failed } from './Failed';
import { whenIdle } from './idle';
import { NotLoaded } from './not-loaded';

interface Choices<P> {
  /** Stands in its place while it is loaded. */
  readonly waiting?: (props: P) => ReactNode;
  /** What the part is about besides its props; when it changes, a part that failed is tried again. */
  readonly useAbout?: () => unknown;
  /**
   * Not what one came for: asked for when what stands around it is on the screen, since asking alone takes a slow phone
   * a tenth of a second.
   */
  readonly aside?: boolean;
}

/**
 * A part of the page that is loaded when it is needed and falls alone: when it cannot be loaded or throws, what is
 * around it stays, and it says so.
 *
 * @param what names it for the reader, as "The drawing".
 */
export function lazyPart<P extends object>(
  what: string,
  load: () => Promise<ComponentType<P>>,
  { waiting = () => null, useAbout = () => null, aside = false }: Choices<P> = {},
) {
  let arrived: ComponentType<P> | null = null;
  let asked: Promise<ComponentType<P>> | null = null;
  const get = () =>
    (asked ??= load().then(
      (component) => (arrived = component),
      (error: unknown) => {
        asked = null;
        throw new NotLoaded(error instanceof Error ? error.message : String(error), { cause: error });
      },
    ));
  const loaded = () =>
    lazy(async () => {
      if (aside && !asked) await new Promise<void>((idle) => whenIdle(() => idle()));
      return { default: await get() };
    });
  // One for the whole page, so that it is loaded once; a new one when it did not arrive.
  let Loaded: LazyExoticComponent<ComponentType<P>> = loaded();
  // Looks up what is to be loaded when it is shown: after "try again" that is another one.
  function Shown(props: P) {
    // What has arrived is shown at once: a place-holder, be it there for a moment, has React hold the next one back for
    // 300 ms. As it stood when this was first shown: to change over would begin it anew.
    const [Arrived] = useState(() => arrived);
    if (Arrived) return <Arrived {...props} />;
    return (
      <Suspense fallback={waiting(props)}>
        <Loaded {...props} />
      </Suspense>
    );
  }
  function Part(props: P) {
    const about = useAbout();
    return (
      <ErrorBoundary
        resetKeys={[about, ...(Object.values(props) as unknown[])]}
        onReset={() => (Loaded = loaded())}
        fallbackRender={({ error, resetErrorBoundary }) => (
          <Failed what={what} error={error} onAgain={resetErrorBoundary} />
        )}
      >
        <Shown {...props} />
      </ErrorBoundary>
    );
  }
  /** Begins to load it before it is shown. */
  Part.preload = () => void get().catch(() => undefined);
  return Part;
}
