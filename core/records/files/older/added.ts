import { isObject, type Json } from './json.ts';

const unknown = (...keys: readonly string[]): Json => Object.fromEntries(keys.map((key) => [key, 'unknown']));
const none = (...keys: readonly string[]): Json => Object.fromEntries(keys.map((key) => [key, null]));

/** An item of gear is told from a piece of a rig of the same kind by what only gear says. */
const gear = (kind: string, said: string) => (v: Json) => v.kind === kind && said in v;
const rope = gear('rope', 'construction');
const cord = gear('cord', 'closure');
const sling = gear('sling', 'loopLengthMm');
const connector = gear('connector', 'insideLengthMm');
const device = gear('device', 'family');
const harness = gear('harness', 'legBuckleTakesLoad');
const weighed = (v: Json) => 'armReachMm' in v && 'kneeRaiseMm' in v;
const inRig = (v: Json) => 'harnessId' in v && 'legLoopId' in v;
const rigged = (v: Json) => v.kind === 'device' && 'brakeLed' in v;
const checked = (v: Json) => 'events' in v && 'verdict' in v && 'items' in v;
const any =
  (...kinds: readonly ((v: Json) => boolean)[]) =>
  (v: Json) =>
    kinds.some((is) => is(v));

const NO_WORDS = Object.fromEntries(
  ['on-belay', 'climbing', 'slack', 'take', 'lower', 'off-belay', 'rope-free', 'rock'].map((call) => [call, '']),
);
const TREE_UNSAID = {
  ...unknown('tried', 'overLimb', 'comingBack', 'second', 'saw'),
  ...none('limbOutM', 'limbBelowM'),
};
const inTree = ({ template }: Json) => template === 'tree-stationary' || template === 'tree-moving';

/**
 * What a version added to what things, and what an older file says of it: nothing. Stays as it is when the schemas move
 * on.
 */
export const ADDED: readonly {
  readonly since: number;
  readonly to: (value: Json) => boolean;
  readonly unsaid: Json;
}[] = [
  {
    since: 2,
    to: connector,
    unsaid: none(
      ...['narrowInsideWidthMm', 'broadStockMm', 'narrowStockMm', 'sleeveMm', 'sleeveFromBroadMm'],
      ...['sleeveFromNarrowMm', 'gateOpeningMm'],
    ),
  },
  {
    since: 2,
    to: device,
    unsaid: {
      ...none('eyeMm', 'plateMm', 'gapMm', 'coverMm', 'notchMm', 'massG'),
      ...unknown('mustTurn', 'entry', 'handed', 'personsRated', 'attachTo', 'connectorWanted', 'connectorForbidden'),
      ...unknown('metal', 'priceClass'),
      looseParts: '',
    },
  },
  {
    since: 2,
    to: (v) => 'constructions' in v && 'minDiameterMm' in v,
    unsaid: none('bestMinDiameterMm', 'bestMaxDiameterMm'),
  },
  { since: 5, to: any(rope, cord, sling, harness), unsaid: unknown('condition') },
  { since: 5, to: rope, unsaid: { ...unknown('stiffness'), ...none('impactForceKn') } },
  { since: 5, to: inRig, unsaid: { ...unknown('helmet'), stands: 'free' } },
  { since: 5, to: rigged, unsaid: unknown('threaded', 'brakeSide', 'tuned', 'upperHole') },
  { since: 5, to: (v) => 'how' in v && 'backup' in v && 'strand' in v, unsaid: unknown('tiedAt') },
  { since: 6, to: rigged, unsaid: { ...unknown('loadStrand', 'strandsLie', 'arriving'), ...none('gatheredM') } },
  { since: 7, to: connector, unsaid: unknown('condition') },
  { since: 7, to: device, unsaid: unknown('gapOpens') },
  { since: 7, to: rigged, unsaid: none('brakeAngleDeg', 'slackM') },
  { since: 7, to: (v) => 'steepness' in v && 'weather' in v && 'anchorHeightM' in v, unsaid: unknown('slant') },
  {
    since: 7,
    to: (v) => 'attachments' in v && 'site' in v,
    unsaid: { calls: { ...unknown('by', 'down'), words: NO_WORDS } },
  },
  { since: 8, to: weighed, unsaid: none('tieInHeightMm') },
  { since: 8, to: inRig, unsaid: none('fromWallM') },
  { since: 8, to: (v) => v.kind === 'fixed' && 'fastening' in v, unsaid: none('endWeightKg') },
  { since: 9, to: any(device, cord), unsaid: { bench: [] } },
  // What was entered before was entered as one's own.
  { since: 10, to: any(rope, cord, sling, connector, device, harness, weighed), unsaid: { assumed: [] } },
  { since: 11, to: device, unsaid: { tunings: [], ...none('bollardSettings') } },
  { since: 12, to: weighed, unsaid: none('chinAboveTieInMm', 'kneeAboveSolesMm') },
  { since: 12, to: (v) => v.kind === 'clip' && typeof v.to === 'string', unsaid: unknown('tight') },
  { since: 13, to: rope, unsaid: { ...none('staticStretchPercent'), stretchTest: 'standard' } },
  { since: 13, to: rigged, unsaid: { ...unknown('groove', 'cam'), brakeThrough: 'direct' } },
  { since: 13, to: (v) => 'through' in v && 'points' in v, unsaid: unknown('rings') },
  { since: 13, to: inRig, unsaid: unknown('atEdge') },
  { since: 14, to: checked, unsaid: { depth: 'whole', since: null, leftOut: [] } },
  // A next go may be of what changed in the set-up; older ones were of what somebody said.
  { since: 15, to: checked, unsaid: {} },
  { since: 16, to: checked, unsaid: { ...none('half', 'planted'), heard: [] } },
  { since: 16, to: (v) => (v.type === 'fixed' || v.type === 'again') && 'itemId' in v, unsaid: none('who') },
];

/** A rig says what is particular to a tree since version 11, wherever it stands. */
export const withTree = (value: Json): Json =>
  isObject(value.site) && 'template' in value
    ? { ...value, site: { tree: inTree(value) ? TREE_UNSAID : null, ...value.site } }
    : value;

/** Since version 12 there are several limbs: the one that was said is the first of them. */
export function withLimbs(value: Json): Json {
  if (!('limbOutM' in value && 'limbBelowM' in value)) return value;
  const { limbOutM, limbBelowM, ...tree } = value;
  return {
    ...none('triedKg', 'redirectDeg'),
    ...unknown('deviceLies', 'bridge', 'eyes'),
    limbs: [{ id: 'limb', outM: limbOutM, belowM: limbBelowM, riseDeg: 0 }],
    ...tree,
  };
}
