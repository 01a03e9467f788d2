export { assess, assessing, assessPlain, judged, type Assessment, type Figures } from './assess.ts';
export { JUDGES } from './judges.ts';
export { atOnce, type Steps } from './steps.ts';
export { assumedInRig, labelOf, withAssumed, type AssumedInRig } from './typical.ts';
