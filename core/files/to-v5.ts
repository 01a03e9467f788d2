/*
 * From version 4 to 5: the condition of what is made of fibre, how stiff a rope is and how hard it catches, helmets, how a device is threaded
 * and tuned, where a line in a tree is tied. None of it was known before. Plain JSON in and out; nothing of today's model is used.
 */
type Json = Record<string, unknown>;
const isObject = (value: unknown): value is Json =>
  value !== null && typeof value === 'object' && !Array.isArray(value);

const CONDITION = { condition: 'unknown' };
/** By the kind of an item; a piece of a rig has such a kind as well, but no maker. */
const OF_ITEMS: Readonly<Record<string, Json>> = {
  rope: { ...CONDITION, stiffness: 'unknown', impactForceKn: null },
  cord: CONDITION,
  sling: CONDITION,
  harness: CONDITION,
};
const OF_PERSONS = { helmet: 'unknown', stands: 'free' };
const OF_DEVICES = { threaded: 'unknown', brakeSide: 'unknown', tuned: 'unknown', upperHole: 'unknown' };
const OF_FASTENINGS = { tiedAt: 'unknown' };

function added(value: Json): Json {
  if ('maker' in value && typeof value.kind === 'string') return OF_ITEMS[value.kind] ?? {};
  if ('handId' in value && 'role' in value) return OF_PERSONS;
  if (value.kind === 'device' && 'on' in value) return OF_DEVICES;
  return 'how' in value && 'backup' in value && 'strand' in value ? OF_FASTENINGS : {};
}

/** Anything that holds items or rigs, brought up wherever they stand in it. */
export function from4To5(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(from4To5);
  if (!isObject(value)) return value;
  return { ...added(value), ...Object.fromEntries(Object.entries(value).map(([key, x]) => [key, from4To5(x)])) };
}
