export { strengthAgainst, tooLittle, tooMuch } from './by-interval.ts';
export { FINDING_CODES, type FindingCode, type FindingCodeEntry } from './codes.ts';
export { doubtedBy } from './doubts.ts';
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
