/*
 * From version 12 to 13: the static stretch on a rope's label, the groove of a two-sided plate, rings of which only some are threaded, a second connector that the brake
 * strand runs through, the hand around a cam, and whether a belayer at an edge is attached. Plain JSON in and out.
 */
type Json = Record<string, unknown>;
const isObject = (value: unknown): value is Json =>
  value !== null && typeof value === 'object' && !Array.isArray(value);

/** What each kind of thing gets, by what it is known by. */
const ADDED: readonly [(value: Json) => boolean, Json][] = [
  [
    (v) => v.kind === 'rope' && 'impactForceKn' in v && 'construction' in v,
    { staticStretchPercent: null, stretchTest: 'standard' },
  ],
  [
    (v) => v.kind === 'device' && 'brakeLed' in v && 'threaded' in v,
    { brakeThrough: 'direct', groove: 'unknown', cam: 'unknown' },
  ],
  [(v) => 'through' in v && 'points' in v, { rings: 'unknown' }],
  [(v) => 'harnessId' in v && 'legLoopId' in v, { atEdge: 'unknown' }],
];

/** Anything that holds gear or rigs, brought up wherever it stands in it. */
export function from12To13(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(from12To13);
  if (!isObject(value)) return value;
  const next: Json = Object.fromEntries(Object.entries(value).map(([key, x]) => [key, from12To13(x)]));
  return ADDED.reduce((thing, [is, added]) => (is(thing) ? { ...added, ...thing } : thing), next);
}
