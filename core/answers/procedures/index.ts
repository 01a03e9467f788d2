export { breachText, criticalOf, deviationText, pausesOf, type Critical, type Pause } from './critical.ts';
export { deviate, deviationsOf, explore, type Deviation, type Explored, type Outcome } from './explore.ts';
export { orderVerdict, troubles, walk, type OrderVerdict, type Trouble } from './order-verdict.ts';
export {
  firstOptions,
  movesOf,
  newSequence,
  sequenceIssues,
  shippedOrder,
  stepsOf,
  stepsToInsert,
  withOption,
} from './order.ts';
export {
  BREACHES,
  type BreachKind,
  type Lane,
  type Procedure,
  type State,
  type Step,
  type Variable,
} from './procedure.ts';
export { PROCEDURES } from './procedures/index.ts';
export { replay, type Breach, type Moment, type Move } from './replay.ts';
export { PROCEDURE_IDS, sequenceSchema, type Line, type ProcedureId, type Sequence } from './sequence.ts';
