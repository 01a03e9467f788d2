export { assess, assessPlain, judged, type Assessment, type Figures } from './assess.ts';
export { JUDGES } from './judges.ts';
export { assumedInRig, labelOf, withAssumed, type AssumedInRig } from './typical.ts';
