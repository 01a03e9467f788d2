import type { Collection } from '@core/files';
import { NotLoaded } from '../ui/not-loaded';

/*
 * What documents have to look like. The schemas are the largest part of what is stored, and nothing that is shown first needs them while nothing is
 * stored: they are loaded beside the first screen, and waited for wherever something that was stored is read or changed.
 */

type Shapes = typeof import('./shapes').workspaceSchema.shape;
let shapes: Shapes | null = null;
let asked: Promise<void> | null = null;

/** Ends once documents can be looked at. Fails with `NotLoaded` when that part of the program does not arrive, and asks for it again at the next call. */
export const shapesArrived = (): Promise<void> =>
  (asked ??= import('./shapes').then(
    ({ workspaceSchema }) => {
      shapes = workspaceSchema.shape;
    },
    (error: unknown) => {
      asked = null;
      throw new NotLoaded(error instanceof Error ? error.message : String(error), { cause: error });
    },
  ));

/** Whether a document is one of this version; before `shapesArrived` none is, which costs a merge and never a document. */
export const fits = (collection: Collection, doc: unknown): boolean =>
  shapes !== null && shapes[collection].element.safeParse(doc).success;
