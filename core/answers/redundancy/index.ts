export { closure, held, standing } from './closure.ts';
export { minimalCutSets, MOST_AT_ONCE, singlePoints, type CutSet } from './cut-sets.ts';
export { holdsFromRig } from './holds-from-rig.ts';
export { hanging } from './who.ts';
export { holdFindings, singlePointsOf, type SinglePoint } from './hold-findings.ts';
export { FAULT_KINDS, type FaultKind } from './kinds.ts';
export type { CommonCause, Consequence, Fault, Hold, HoldModel, NoHold } from './model.ts';
export { EVENTS, standingAfter, waysToBackUp, type BackingUp, type Event } from './backing-up.ts';
