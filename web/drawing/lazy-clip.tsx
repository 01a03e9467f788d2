import { lazy, Suspense, type ComponentProps } from 'react';

const Loaded = lazy(() => import('./ClipDrawing').then((m) => ({ default: m.ClipDrawing })));

/** The drawing of a connector in a device, loaded after what is said about it. */
export function LazyClipDrawing(props: ComponentProps<typeof Loaded>) {
  return (
    <Suspense fallback={<p className="min-h-96 p-4 text-ink-2">Drawing …</p>}>
      <Loaded {...props} />
    </Suspense>
  );
}
