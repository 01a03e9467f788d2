export { catchFindings, ofHundred } from './catch-findings.ts';
export { atwoodMPerS2, belayerLiftM, fixedForceN, hangsStillM } from './closed-forms.ts';
export type { CatchMoment, Caught, Fall } from './fall.ts';
export { heightsFindings, heightsOf, type Heights, type Spot } from './heights.ts';
export { catchIn, limitsOf, scenarioOf, usualQuestion, type Missing } from './fall-from-rig.ts';
export {
  fallQuestionSchema,
  groundFall,
  isChoiceKey,
  pastBelay,
  questionIssues,
  type FallLimits,
  type FallQuestion,
  type QuestionIssue,
} from './question.ts';
export { catchRuns, FIGURES, REMEDY_RUNS, RUNS, seeded, type Bar, type CatchRuns, type FigureId } from './runs.ts';
export {
  BEST,
  clearanceM,
  drawOf,
  DEVICE_HEIGHT_M,
  fallOf,
  isFixed,
  remedied,
  REMEDIES,
  TIE_IN_ABOVE_FEET_M,
  valueAt,
  wayLeftM,
  type Draw,
  type RemedyId,
  type Scenario,
} from './scenario.ts';
export { traceOf, type Frame, type Trace } from './trace.ts';
export { simulateCatch, wayToPieceM } from './simulate.ts';
