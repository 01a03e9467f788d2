export type { Cost } from './factors.ts';
export { captureAt, captureChoices, type CaptureChoice } from './captures.ts';
export { needs, type Need } from './needs.ts';
export { devicesToPlan, itemOf, withPicks, type Pick } from './picks.ts';
export { search, SEARCH_DEFAULTS, type Combination, type SearchOptions, type SearchResult } from './search.ts';
export { combined, openSetup, take, type PlanQuestion } from './take.ts';
export { constructionsFor, familiesFor, MASSES_ASKED, quickSchema, quickSetup, type QuickQuestion } from './quick.ts';
export { rankUnknowns, type OpenFact } from './rank-unknowns.ts';
export { thirdHand, type ThirdHandForces, type ThirdHandGrip } from './third-hand.ts';
