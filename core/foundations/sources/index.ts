export { constant, CONSTANTS, threshold, type Constant, type ConstantId } from './constants.ts';
export { SOURCE_IDS, type SourceId } from './ids.ts';
export { SOURCES, type Source, type SourceKind } from './register.ts';
export { HAND_FORCE_DEFAULT_N } from './hand-force.ts';
