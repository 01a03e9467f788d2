/*
 * From version 5 to 6: how the strands lie in and below a device at the anchor, and how whoever arrives is clipped in. None of it was known
 * before. Plain JSON in and out; nothing of today's model is used.
 */
type Json = Record<string, unknown>;
const isObject = (value: unknown): value is Json =>
  value !== null && typeof value === 'object' && !Array.isArray(value);

const OF_DEVICES = { loadStrand: 'unknown', strandsLie: 'unknown', gatheredM: null, arriving: 'unknown' };

/** Anything that holds rigs, brought up wherever they stand in it. */
export function from5To6(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(from5To6);
  if (!isObject(value)) return value;
  const added = value.kind === 'device' && 'on' in value ? OF_DEVICES : {};
  return { ...added, ...Object.fromEntries(Object.entries(value).map(([key, x]) => [key, from5To6(x)])) };
}
