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
export { devicesToPlan, plan, ropeSets, type Combination as PlanCombination, type PlanResult } from './plan.ts';
export { planNeeds, type PlanNeed } from './plan-needs.ts';
export { takeChoice, takeSetup, type TakeInput } from './take.ts';
