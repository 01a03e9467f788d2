/** Kinds of faults, by what lets go. */
export type FaultKind =
  | 'anchor'
  | 'rope'
  | 'joint'
  | 'fastening'
  | 'knot'
  | 'device'
  | 'device-pushed'
  | 'connector'
  | 'backup-connector'
  | 'backup-sling'
  | 'sling'
  | 'harness'
  | 'leg-loop'
  | 'bridge'
  | 'hand'
  | 'past-end'
  | 'end-knot'
  | 'off-the-end'
  | 'hitch'
  | 'hitch-held'
  | 'hitch-released';

interface KindFacts {
  /** How it comes about, as examples (common practice). */
  readonly causes: readonly string[];
  /**
   * What to look at where practice accepts that everything hangs on one of its kind (`practice-single-points`); ''
   * where it never does.
   */
  readonly inspect: string;
  /** As a heading. */
  readonly plain: string;
}

export const FAULT_KINDS = {
  anchor: {
    causes: ['a point pulls out', 'sling or cord breaks', 'a ring is worn through'],
    inspect: 'every point, and the metal the rope runs through',
    plain: 'Anchor',
  },
  rope: {
    causes: ['a sharp edge', 'rockfall', 'a worn or burnt place'],
    inspect: 'every metre through the hand; where it lies over the edge',
    plain: 'Rope',
  },
  joint: {
    causes: ['tails too short', 'knot not dressed'],
    inspect: 'shape of the knot, long tails, all four strands pulled tight',
    plain: 'Joining knot',
  },
  fastening: {
    causes: ['knot not finished', 'drawn through the rings', 'untied by mistake'],
    inspect: 'shape of the knot, its tail, and where it lies at the anchor',
    plain: 'Knot at the anchor',
  },
  knot: {
    causes: ['knot not finished', 'tied to the wrong loop'],
    inspect: 'both tie-in points, the shape of the knot, its tail',
    plain: 'Tie-in',
  },
  device: {
    causes: ['threaded wrongly', 'a cracked or worn body'],
    inspect: 'rims and holes for cracks and wear; the rope as it is meant to lie in it',
    plain: 'Device',
  },
  'device-pushed': { causes: [], inspect: '', plain: 'Device' },
  connector: {
    causes: ['gate not locked', 'rope or rock opens the gate', 'loaded across the gate'],
    inspect: 'gate locked and away from rope and rock; no play, no crack',
    plain: 'Device connector',
  },
  'backup-connector': {
    causes: ['gate not locked', 'an end of the loop unclipped'],
    inspect: '',
    plain: 'Connector of the backup',
  },
  'backup-sling': { causes: ['worn or cut', 'tied wrongly'], inspect: '', plain: 'Sling of the backup' },
  sling: {
    causes: ['stitching worn', 'cut or burnt', 'a strand not clipped'],
    inspect: 'stitching, cuts, glazed places; every strand clipped',
    plain: 'Extension',
  },
  harness: {
    causes: ['a buckle not closed', 'clipped to a gear loop', 'worn webbing'],
    inspect: 'stitching, tie-in points and belay loop; every buckle closed',
    plain: 'Harness',
  },
  'leg-loop': {
    causes: ['its buckle slips', 'clipped to a strap that carries nothing'],
    inspect: '',
    plain: 'Leg loop',
  },
  bridge: {
    causes: ['worn by the device that runs along it', 'an end knot or stopper that was not seen', 'cut by the saw'],
    inspect: 'the bridge along its whole length, bent over the finger, and both its ends',
    plain: 'Bridge',
  },
  hand: {
    causes: ['a stone hits', 'cold or tired hand', 'looking away', 'fainting'],
    inspect: '',
    plain: 'Brake hand',
  },
  'past-end': {
    causes: ['length misjudged', 'end not seen', 'strands of unlike length'],
    inspect: '',
    plain: 'Rope end',
  },
  'end-knot': {
    causes: ['tied and untied again', 'knot too small', 'shaken loose'],
    inspect: '',
    plain: 'Knot in the end',
  },
  'off-the-end': { causes: [], inspect: '', plain: 'Rope end' },
  hitch: { causes: ['wet or icy rope', 'cord worn or melted', 'wraps loose'], inspect: '', plain: 'Hitch' },
  'hitch-held': {
    causes: ['grabbed in fright', 'the tending hand does not let go'],
    inspect: '',
    plain: 'Hitch',
  },
  'hitch-released': { causes: [], inspect: '', plain: 'Hitch' },
} as const satisfies Record<FaultKind, KindFacts>;
