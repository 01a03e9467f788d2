export { assess, judged, type Assessment, type Figures } from './assess.ts';
export { JUDGES } from './judges.ts';
