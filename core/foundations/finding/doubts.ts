import { FINDING_CODES, type FindingCode } from './codes.ts';
import type { Finding, ElementId } from './schema.ts';

/** Where the element in doubt is not the first that the finding names: an edge is no part, the rope over it is. */
const PLACE: Partial<Record<FindingCode, number>> = {
  'rig.edge-sharp': 1,
  'rig.edge-unknown': 1,
  'fit.strands-unlike': 2,
  'friction.not-modelled': 1,
};

/** The element that a finding puts in doubt; undefined when it puts none in doubt. */
export function doubtedBy({
  code,
  severity,
  subject,
}: Pick<Finding, 'code' | 'severity' | 'subject'>): ElementId | undefined {
  const doubt = FINDING_CODES[code].doubts;
  if (severity === 'clear' || doubt === 'none' || doubt === 'whole') return undefined;
  if (doubt === 'broken' && severity !== 'stop') return undefined;
  return subject[PLACE[code] ?? 0];
}
