/*
 * From version 6 to 7: the condition of connectors, on which side the gap of a device is open, whether the rope one goes up slants, slack and angle of
 * the brake strand at a device at the anchor, what two persons have agreed to call, and a list of practices of the hands. None of it was known
 * before. Plain JSON in and out; nothing of today's model is used.
 */
type Json = Record<string, unknown>;
const isObject = (value: unknown): value is Json =>
  value !== null && typeof value === 'object' && !Array.isArray(value);

const CALLS = ['on-belay', 'climbing', 'slack', 'take', 'lower', 'off-belay', 'rope-free', 'rock'];

function added(value: Json): Json {
  if (value.kind === 'connector' && 'shape' in value) return { condition: 'unknown' };
  if (value.kind === 'device' && 'family' in value) return { gapOpens: 'unknown' };
  if (value.kind === 'device' && 'on' in value) return { brakeAngleDeg: null, slackM: null };
  if ('steepness' in value && 'weather' in value && 'anchorHeightM' in value) return { slant: 'unknown' };
  if ('attachments' in value && 'site' in value)
    return { calls: { by: 'unknown', down: 'unknown', words: Object.fromEntries(CALLS.map((id) => [id, ''])) } };
  return {};
}

/** Anything that holds rigs or gear, brought up wherever they stand in it. */
export function from6To7(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(from6To7);
  if (!isObject(value)) return value;
  return { ...added(value), ...Object.fromEntries(Object.entries(value).map(([key, x]) => [key, from6To7(x)])) };
}

/** A whole file: a workspace gets its new list as well. */
export function document6To7(document: Json): Json {
  const up = from6To7(document) as Json;
  return isObject(up.workspace) ? { ...up, workspace: { ...up.workspace, trainings: [] } } : up;
}
