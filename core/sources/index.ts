export { constant, CONSTANTS, threshold, type Constant, type ConstantId } from './constants.ts';
export { SOURCE_IDS, SOURCES, type Source, type SourceId, type SourceKind } from './register.ts';
