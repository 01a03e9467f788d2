import type { Collection } from '@core/records/files';
import { inTurns } from '../ui/in-turns';
import { NotLoaded } from '../ui/not-loaded';
import type { workspaceSchema } from './shapes';

/*
 * What documents have to look like. The schemas are the largest part of what is stored, and nothing that is shown first
 * needs them while nothing is stored: they are loaded beside the first screen, and waited for wherever something that
 * was stored is read or changed.
 */

let shapes: typeof workspaceSchema.shape | null = null;
let asked: Promise<void> | null = null;

async function arrive() {
  try {
    // All at once would keep a finger waiting for a tenth of a second on a slow phone.
    await inTurns(
      () => import('./shapes-library'),
      () => import('./shapes-of-ropes'),
      () => import('./shapes-of-gear'),
      () => import('./shapes-of-rigs'),
    );
    shapes = (await import('./shapes')).workspaceSchema.shape;
  } catch (error) {
    asked = null;
    throw new NotLoaded(error instanceof Error ? error.message : String(error), { cause: error });
  }
}

/**
 * Ends once documents can be looked at. Fails with `NotLoaded` when that part of the program does not arrive, and asks
 * for it again at the next call.
 */
export const shapesArrived = (): Promise<void> => (asked ??= arrive());

/**
 * Whether a document is one of this version; before `shapesArrived` none is, which costs a merge and never a document.
 */
export const fitsShape = (collection: Collection, doc: unknown): boolean =>
  shapes !== null && shapes[collection].element.safeParse(doc).success;
