import { lazyPart } from '../ui/part';
import type { DrawingProps } from './drawing-props';

/** The drawings, loaded after the verdict is on the screen; their place is kept free meanwhile. */
export const LazyDrawings = lazyPart<DrawingProps>('The drawing', () => import('./Drawings').then((m) => m.Drawings), {
  waiting: () => <p className="col-span-full min-h-[36rem] p-4 text-ink-2">Drawing …</p>,
});
