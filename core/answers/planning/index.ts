export type { Cost } from './factors.ts';
export { captureAt, captureChoices, type CaptureChoice } from './captures.ts';
export { needs, type Need } from './needs.ts';
export { devicesToPlan, itemOf, withPicks, type Pick } from './picks.ts';
export { search, SEARCH_DEFAULTS, type Combination, type SearchOptions, type SearchResult } from './search.ts';
export { combined, openSetup, take, type Question } from './take.ts';
export { constructionsFor, familiesFor, MASSES_ASKED, quickSchema, quickSetup, type QuickQuestion } from './quick.ts';
export { sharpen, type OpenFact } from './sharpen.ts';
export { thirdHand, type ThirdHand, type ThirdHandGrip } from './third-hand.ts';
