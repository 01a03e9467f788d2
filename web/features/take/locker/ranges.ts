import type { Job } from '@core/things/gear';

/** One row as it is typed: what is not read yet is no number. */
export interface DeclarationDraft {
  readonly job: Job;
  readonly strands: string;
  readonly constructions: readonly string[];
  readonly minDiameterMm: number | null | undefined;
  readonly maxDiameterMm: number | null | undefined;
  readonly bestMinDiameterMm: number | null;
  readonly bestMaxDiameterMm: number | null;
}

/** What makes two rows one range: everything but the job and its strands. */
const keyOf = ({
  constructions,
  minDiameterMm,
  maxDiameterMm,
  bestMinDiameterMm,
  bestMaxDiameterMm,
}: DeclarationDraft) =>
  JSON.stringify([[...constructions].sort(), minDiameterMm, maxDiameterMm, bestMinDiameterMm, bestMaxDiameterMm]);

/** For each row the number of its range: rows that say the same for different jobs are one. */
export function rangesOf(rows: readonly DeclarationDraft[]): number[] {
  const known = new Map<string, number>();
  return rows.map((row) => {
    const key = keyOf(row);
    const range = known.get(key) ?? known.size;
    known.set(key, range);
    return range;
  });
}
