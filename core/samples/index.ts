export * as club from './club.ts';
export { bestChoice, SAMPLES } from './named.ts';
export { beechMulti, demoChoices, demoTests, topRopeCam } from './choices.ts';
export { demoWorkspace } from './demo-workspace.ts';
export { demoSequences, lowSpanFromMemory, wallAnchor } from './sequences.ts';
export { FAULTY_CODES, rappelDouble, rappelDoubleFaulty } from './setups.ts';
