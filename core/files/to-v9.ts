/*
 * From version 8 to 9: tries of one's own near the ground are kept with the lower of two grips. Nothing was tried before. Plain JSON in and out.
 */
type Json = Record<string, unknown>;
const isObject = (value: unknown): value is Json =>
  value !== null && typeof value === 'object' && !Array.isArray(value);

const added = (value: Json): Json =>
  (value.kind === 'device' && 'family' in value) || (value.kind === 'cord' && 'closure' in value) ? { bench: [] } : {};

/** Anything that holds gear, brought up wherever it stands in it. */
export function from8To9(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(from8To9);
  if (!isObject(value)) return value;
  return { ...added(value), ...Object.fromEntries(Object.entries(value).map(([key, x]) => [key, from8To9(x)])) };
}
