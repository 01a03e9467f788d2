import { lazy, Suspense, type ComponentType, type LazyExoticComponent, type ReactNode } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { Failed } from './Failed';
import { NotLoaded } from './not-loaded';

interface Choices<P> {
  /** Stands in its place while it is loaded. */
  readonly waiting?: (props: P) => ReactNode;
  /** What the part is about besides its props; when it changes, a part that failed is tried again. */
  readonly useAbout?: () => unknown;
}

/**
 * A part of the page that is loaded when it is needed and falls alone: when it cannot be loaded or throws, what is around it stays, and it says so.
 *
 * @param what names it for the reader, as "The drawing".
 */
export function part<P extends object>(
  what: string,
  load: () => Promise<ComponentType<P>>,
  { waiting = () => null, useAbout = () => null }: Choices<P> = {},
) {
  const loaded = () =>
    lazy(() =>
      load().then(
        (component) => ({ default: component }),
        (error: unknown) => {
          throw new NotLoaded(error instanceof Error ? error.message : String(error), { cause: error });
        },
      ),
    );
  // One for the whole page, so that it is loaded once; a new one when it did not arrive.
  let Loaded: LazyExoticComponent<ComponentType<P>> = loaded();
  // Looks up what is to be loaded when it is shown: after "try again" that is another one.
  function Shown(props: P) {
    return (
      <Suspense fallback={waiting(props)}>
        <Loaded {...props} />
      </Suspense>
    );
  }
  return function Part(props: P) {
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
  };
}
