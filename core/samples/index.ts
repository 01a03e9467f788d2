export * as club from './club.ts';
export { demoWorkspace } from './demo-workspace.ts';
export { SAMPLES } from './named.ts';
export { demoSequences, lowSpanFromMemory, wallAnchor } from './sequences.ts';
export {
  beechMulti,
  demoTests,
  FAULTY_CODES,
  openPlaces,
  rappelDouble,
  rappelDoubleFaulty,
  SETUPS,
  topRopeCam,
  type SampleName,
} from './setups.ts';
export { changed, filled, variedSetups } from './varied.ts';
