import { expose } from 'comlink';
import { rankUnknowns, type OpenFact } from '@core/answers/planning';
import type { Setup } from '@core/rigs/rig';
import { paced } from './paced';

const api = {
  /**
   * What is open of a set-up, with most hanging on it first; `onFact` hears how many facts are tried. Ended by
   * terminating the worker.
   */
  sharpen(setup: Setup, onFact: (done: number) => void): readonly OpenFact[] {
    return rankUnknowns(setup, paced(onFact));
  },
};
export type RankUnknownsWorker = typeof api;
expose(api);
