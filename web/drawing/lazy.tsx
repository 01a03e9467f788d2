import { lazy, Suspense } from 'react';
import type { DrawingProps } from './drawing-props';

const Loaded = lazy(() => import('./Drawings').then((m) => ({ default: m.Drawings })));

/** The drawings, loaded after the verdict is on the screen; their place is kept free meanwhile. */
export function LazyDrawings(props: DrawingProps) {
  return (
    <Suspense fallback={<p className="col-span-full min-h-[36rem] p-4 text-ink-2">Drawing …</p>}>
      <Loaded {...props} />
    </Suspense>
  );
}
