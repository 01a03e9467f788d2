export { CAUSES } from './causes.ts';
export { closure, holds, standing } from './closure.ts';
export { minimalCutSets, MOST_AT_ONCE, singlePoints, type CutSet } from './cut-sets.ts';
export { holdFindings, singlePointsOf, type SinglePoint } from './hold-findings.ts';
export type { CommonCause, Consequence, Fault, HoldModel, NoStop, Stop } from './model.ts';
export { FAULTS, INSPECT, type FaultId } from './parts.ts';
export { rappelHolds } from './rappel.ts';
export { schools, SCHOOL_ROWS, standingIn, type SchoolOfHolding } from './schools.ts';
