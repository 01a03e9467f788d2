import { expose } from 'comlink';
import { choose, CHOOSE_DEFAULTS, type Choice } from '@core/choose';
import type { Item } from '@core/gear';
import type { Setup } from '@core/rig';
import { paced } from './paced';

const api = {
  /** Ranked combinations; `onLook` hears how many set-ups were assessed. Ended from outside by terminating the worker. */
  choose: (setup: Setup, items: readonly Item[], onLook: (looks: number) => void): Choice =>
    choose(setup, items, CHOOSE_DEFAULTS, paced(onLook)),
};
export type ChooseWorker = typeof api;
expose(api);
