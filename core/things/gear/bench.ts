import { z } from 'zod';
import { choice, idSchema, instantSchema, measure, note } from './fields.ts';

/** What was seen when the upper of two grips on one rope was made to slip on purpose. */
export const BENCH_RESULTS = {
  held: 'The lower one held at once',
  slid: 'It slid, then held',
  'pushed-open': 'It was pushed along and did not hold',
  jammed: 'It held, but could not be freed under load',
} as const;
export type BenchResult = keyof typeof BENCH_RESULTS;

/**
 * One try near the ground with one's own gear: what stands above is made to slip onto this item. Kept with the lower of
 * the two, about this one pair, on this rope and connector; it may worsen a verdict, and makes nothing clear that was
 * not tried.
 */
export const benchTestSchema = z.strictObject({
  id: idSchema,
  /** Device or cord that stood above. */
  upperId: idSchema,
  ropeId: idSchema,
  /** Connector of the lower one; null: it hung by something else. */
  connectorId: idSchema.nullable(),
  result: choice(BENCH_RESULTS, 'What the lower one did'),
  travelMm: measure(
    'lengthMm',
    0,
    3000,
    'Way until it held',
    'From where it stood to where it stands now, along the rope.',
  ).nullable(),
  loadKg: measure('massKg', 1, 250, 'Weight that hung in it').nullable(),
  weather: choice({ dry: 'Dry', wet: 'Wet', icy: 'Icy' }, 'Rope was'),
  at: instantSchema,
  note: note(),
});
export type BenchTest = z.infer<typeof benchTestSchema>;
export type BenchPair = Pick<BenchTest, 'upperId' | 'ropeId' | 'connectorId'>;

/** Tries of this pair on this rope and connector, newest last. */
export const benchTestsOf = (tests: readonly BenchTest[], pair: BenchPair): BenchTest[] =>
  tests
    .filter((t) => t.upperId === pair.upperId && t.ropeId === pair.ropeId && t.connectorId === pair.connectorId)
    .sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0));
