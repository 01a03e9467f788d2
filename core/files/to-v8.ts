/*
 * From version 7 to 8: the height of a person’s tie-in above the soles, how far from the wall a belayer stands, and what is hung on the end of a fixed
 * line. None of it was known before. Records of checks know items that are looked at again; older ones have none. Plain JSON in and out.
 */
type Json = Record<string, unknown>;
const isObject = (value: unknown): value is Json =>
  value !== null && typeof value === 'object' && !Array.isArray(value);

function added(value: Json): Json {
  if ('armReachMm' in value && 'kneeRaiseMm' in value) return { tieInHeightMm: null };
  if ('legLoopId' in value && 'harnessId' in value) return { fromWallM: null };
  if (value.kind === 'fixed' && 'fastening' in value) return { endWeightKg: null };
  return {};
}

/** Anything that holds rigs or people, brought up wherever they stand in it. */
export function from7To8(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(from7To8);
  if (!isObject(value)) return value;
  return { ...added(value), ...Object.fromEntries(Object.entries(value).map(([key, x]) => [key, from7To8(x)])) };
}
