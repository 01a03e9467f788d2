import { lazyPart } from '../ui/part';

/** The drawing of a connector in a device, loaded after what is said about it. */
export const LazyClipDrawing = lazyPart('The drawing', () => import('./ClipDrawing').then((m) => m.ClipDrawing), {
  waiting: () => <p className="min-h-96 p-4 text-ink-2">Drawing …</p>,
});
