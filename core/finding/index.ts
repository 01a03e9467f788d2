export { FINDING_CODES, type FindingCodeEntry } from './code-register.ts';
export type { FindingCode } from './codes.ts';
export {
  finding,
  findingNumberSchema,
  findingSchema,
  overall,
  PART_IDS,
  SEVERITIES,
  worse,
  worstFirst,
  type Finding,
  type FindingNumber,
  type PartId,
  type Severity,
} from './finding.ts';
export { fillTemplate, renderFinding, type RenderedFinding, type RenderedNumber } from './render.ts';
