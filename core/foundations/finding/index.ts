export { strengthAgainst, tooLittle, tooMuch } from './by-interval.ts';
export { FINDING_CODES, type FindingCodeEntry } from './code-register.ts';
export type { FindingCode } from './codes.ts';
export { DOUBTS, doubtedBy, type Doubt } from './doubts.ts';
export { withSubjects, finding, findingKeys, overall, worse, worstFirst, type Case } from './finding.ts';
export {
  fillTemplate,
  literal,
  METRIC,
  quoted,
  renderFinding,
  renderSentence,
  sentence,
  type Reader,
  type RenderedFinding,
  type RenderedNumber,
  type Sentence,
} from './render.ts';
export {
  findingNumberSchema,
  findingSchema,
  elementIdSchema,
  SEVERITIES,
  type Finding,
  type FindingNumber,
  type ElementId,
  type Severity,
} from './schema.ts';
