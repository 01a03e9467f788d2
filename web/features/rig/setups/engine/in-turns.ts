import { shapesArrived } from '../../../../storage/fits';
import { inTurns } from '../../../../ui/in-turns';

/**
 * Loads the engine, from below to above. In one go it would keep a finger waiting for a fifth of a second on a slow
 * phone.
 */
export const engineInTurns = (): Promise<void> =>
  inTurns(
    // It reads documents by their schemas, which are made in turns of their own.
    shapesArrived,
    () => import('./values'),
    () => import('./rules'),
    () => import('./parts'),
    () => import('./between'),
  );
