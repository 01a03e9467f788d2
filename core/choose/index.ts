export {
  choose,
  CHOOSE_DEFAULTS,
  costOf,
  NOT_RIGGED,
  type Choice,
  type ChooseOptions,
  type Combination,
  type Cost,
  type Rejection,
} from './choose.ts';
export { needs, type Need } from './needs.ts';
