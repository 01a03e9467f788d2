export { catchFindings, ofHundred } from './catch-findings.ts';
export { atwoodMPerS2, belayerLiftM, fixedForceN } from './closed-forms.ts';
export type { CatchMoment, Caught, Fall } from './fall.ts';
export { catchIn, scenarioOf, usualQuestion, type Missing } from './from-rig.ts';
export { fallQuestionSchema, isChoiceKey, pastBelay, questionIssues, type FallQuestion } from './question.ts';
export { catchRuns, FIGURES, RUNS, seeded, type Bar, type CatchRuns, type FigureId } from './runs.ts';
export {
  BEST,
  clearanceM,
  DEVICE_HEIGHT_M,
  fallOf,
  isFixed,
  leads,
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
