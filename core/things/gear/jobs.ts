import { interval, type Interval } from '../../foundations/units/index.ts';
import type { RopeConstruction } from './soft-items.ts';

/**
 * Where a device may be: fixed to an anchor, on the harness of somebody who holds another, or on that of who hangs on
 * the rope.
 */
export type DevicePlace = 'anchor' | 'belayer' | 'own';
/** Nothing is listed, and why that is right. */
interface None {
  readonly none: string;
}
type Listed<T> = readonly [T, ...T[]] | None;
/** A kind of rope that does not suit, and how bad that is. */
type Unsuited = readonly [RopeConstruction, 'stop' | 'mind'];
/**
 * A question that the parts do not ask: its key, and in words what nobody judges yet. A judge that answers it claims
 * it.
 */
type Asked = readonly [key: string, words: string];

/**
 * All that depends on the job and on nothing else. A row is complete: what a new job needs and nobody judges stands in
 * `asks`, so that it is *Not tested* and not silent.
 */
interface JobRow {
  readonly label: string;
  /** Strands of rope in the device. */
  readonly strands: 'one' | 'two';
  /** Two people on one device. */
  readonly persons: 'one' | 'two';
  /** A person can fall onto the device, not only hang on it. */
  readonly fall: boolean;
  /**
   * Fall factor to reckon with, by a free fall or by slack that has crept in: 2 is a leader who falls past the belay,
   * 0.3 much slack above a second; null where the rope stays tight.
   */
  readonly fallFactor: Interval | null;
  /** Somebody's hand and eye stay on it all the time. */
  readonly tended: boolean;
  /** Rope needed over the height of the site, knots apart. */
  readonly ropePerHeight: 1 | 2;
  /** The rope runs through the device while it carries a person downwards. */
  readonly goesDown: boolean;
  /** How the person goes up by it, so that it must hold at every stop; null where it does not. */
  readonly up: 'ascends' | 'self-belays' | 'stationary-line' | 'moving-line' | null;
  /** The free rope hangs below the device and helps the hand. */
  readonly ropeBelow: boolean;
  /** A hitch backs up a device that lets the rope run. */
  readonly backup: boolean;
  /** Where somebody holds who climbs; null where nobody climbs on another's hand. */
  readonly belayedFrom: 'below' | 'above' | null;
  /** Somebody who cannot help hangs on it too. */
  readonly casualty: boolean;
  /** Where its device may be, the usual place first. */
  readonly deviceAt: readonly [DevicePlace, ...DevicePlace[]];
  /** A plate may be used in guide mode. */
  readonly guideMode: boolean;
  /** Half and twin ropes are used as a pair, both strands to one person. */
  readonly pairOfRopes: boolean;
  /** The kind of rope that it is mostly done on. */
  readonly usualRope: 'single' | 'low-stretch';
  /** Kinds of rope that do not suit it, whatever the device takes (`en-892`, `practice-rope-kinds`). */
  readonly unsuited: Listed<Unsuited>;
  readonly asks: Listed<Asked>;
}
export interface JobFacts extends JobRow {
  /** The person goes up by it. */
  readonly climbs: boolean;
}

/**
 * Slack that is taken in late above a second: 2.9 kN at 0.1 and 4.2 at 0.3 for 80 kg on a rope of 24.1 kN. More is a
 * fault by itself.
 */
const SLACK_ABOVE = interval(0, 0.1, 0.3);
/** Slack on the way back along a limb. */
const SLACK_IN_TREE = interval(0, 0.1, 0.3);

/** One strand carries a person who hangs, walks or falls a little, under somebody's eye or close to the rope. */
const HANGS: Listed<Unsuited> = [
  ['half', 'mind'],
  ['twin', 'stop'],
];
/** Low-stretch rope is the usual rope there; how hard it catches is told by the fall itself. */
const NO_PAIRED: Listed<Unsuited> = [
  ['half', 'stop'],
  ['twin', 'stop'],
];
/** A second may follow on one half rope. */
const FOLLOWS: Listed<Unsuited> = [
  ['twin', 'stop'],
  ['low-stretch', 'mind'],
];

const FALL: Asked = ['fall', 'how hard a fall is, and what may be hit on the way'];
const SLACK: Asked = ['slack', 'slack, and the stretch of the rope'];
/** The second attachment itself is judged where it is. */
const LENGTHS: Asked = ['second', 'the lengths of tether and foot loop'];
const BOTH: Asked = ['both', 'how both persons are attached, and what holds each of them'];
/** What every work in a tree asks, a rappel from one too. */
export const TREE_ASKS: readonly [Asked, ...Asked[]] = [
  ['second', 'a second attachment'],
  ['fork', 'what the tie-in point carries'],
  ['swing', 'where the line runs, and the swing along a limb'],
];
const PARTS_ONLY: None = { none: 'all that it needs is asked of its parts: line, ends, device, hitch, hand' };

const ABSEILS = {
  persons: 'one',
  fall: false,
  fallFactor: null,
  tended: true,
  goesDown: true,
  up: null,
  ropeBelow: true,
  backup: true,
  belayedFrom: null,
  casualty: false,
  deviceAt: ['own'],
  guideMode: false,
  pairOfRopes: false,
  usualRope: 'single',
  asks: PARTS_ONLY,
} as const satisfies Partial<JobRow>;
const ON_OWN_GRIP = {
  strands: 'one',
  persons: 'one',
  tended: false,
  goesDown: false,
  backup: false,
  belayedFrom: null,
  casualty: false,
  deviceAt: ['own'],
  pairOfRopes: false,
} as const satisfies Partial<JobRow>;
const HELD_BY_ANOTHER = {
  fall: false,
  tended: true,
  goesDown: false,
  up: null,
  ropeBelow: false,
  backup: false,
  casualty: false,
  pairOfRopes: false,
  usualRope: 'single',
} as const satisfies Partial<JobRow>;
const FROM_ABOVE = {
  ...HELD_BY_ANOTHER,
  fallFactor: SLACK_ABOVE,
  ropePerHeight: 1,
  belayedFrom: 'above',
  deviceAt: ['anchor'],
  guideMode: true,
  unsuited: FOLLOWS,
} as const satisfies Partial<JobRow>;
const IN_TREE = {
  ...ON_OWN_GRIP,
  fall: false,
  fallFactor: SLACK_IN_TREE,
  guideMode: false,
  usualRope: 'low-stretch',
  unsuited: NO_PAIRED,
  asks: TREE_ASKS,
} as const satisfies Partial<JobRow>;

const ROWS = {
  'belay-top-rope': {
    ...HELD_BY_ANOTHER,
    label: 'Belay on a top rope',
    strands: 'one',
    persons: 'one',
    fallFactor: interval(0, 0.1, 0.3),
    ropePerHeight: 2,
    belayedFrom: 'below',
    deviceAt: ['belayer', 'anchor'],
    guideMode: false,
    unsuited: HANGS,
    asks: [SLACK],
  },
  'belay-leader': {
    ...HELD_BY_ANOTHER,
    label: 'Belay a leader',
    strands: 'one',
    persons: 'one',
    fall: true,
    fallFactor: interval(0.3, 0.6, 2),
    ropePerHeight: 2,
    belayedFrom: 'below',
    deviceAt: ['belayer'],
    guideMode: false,
    pairOfRopes: true,
    unsuited: [
      ['half', 'stop'],
      ['twin', 'stop'],
      ['low-stretch', 'stop'],
    ],
    asks: [FALL, ['lift', 'how high the belayer is lifted']],
  },
  'belay-second': {
    ...FROM_ABOVE,
    label: 'Belay a second from above',
    strands: 'one',
    persons: 'one',
    asks: [
      ['slack', 'slack in the rope'],
      ['arriving', 'how the arriving second is attached'],
    ],
  },
  'belay-seconds': {
    ...FROM_ABOVE,
    label: 'Belay two seconds from above',
    strands: 'two',
    persons: 'two',
    asks: [
      ['slack', 'slack'],
      ['crossed', 'crossed strands'],
      ['arriving', 'how the arriving seconds are attached'],
      BOTH,
    ],
  },
  lower: {
    ...HELD_BY_ANOTHER,
    label: 'Lower a person',
    strands: 'one',
    persons: 'one',
    fallFactor: null,
    ropePerHeight: 1,
    goesDown: true,
    belayedFrom: null,
    deviceAt: ['anchor', 'belayer'],
    guideMode: false,
    unsuited: HANGS,
    asks: PARTS_ONLY,
  },
  'rappel-single': {
    ...ABSEILS,
    label: 'Rappel on one strand',
    strands: 'one',
    ropePerHeight: 1,
    unsuited: HANGS,
  },
  'rappel-double': {
    ...ABSEILS,
    label: 'Rappel on two strands',
    strands: 'two',
    ropePerHeight: 2,
    unsuited: { none: 'two strands of any kind carry one person who goes down' },
  },
  'rappel-fixed': {
    ...ABSEILS,
    label: 'Rappel on a fixed line',
    strands: 'one',
    ropePerHeight: 1,
    usualRope: 'low-stretch',
    unsuited: HANGS,
  },
  ascend: {
    ...ON_OWN_GRIP,
    label: 'Ascend a rope',
    fall: false,
    fallFactor: null,
    ropePerHeight: 1,
    up: 'ascends',
    ropeBelow: false,
    guideMode: true,
    usualRope: 'low-stretch',
    unsuited: HANGS,
    asks: [LENGTHS],
  },
  'self-belay-top-rope': {
    ...ON_OWN_GRIP,
    label: 'Self-belay on a top rope',
    fall: true,
    fallFactor: interval(0.1, 0.3, 1),
    ropePerHeight: 1,
    up: 'self-belays',
    ropeBelow: false,
    guideMode: false,
    usualRope: 'single',
    unsuited: NO_PAIRED,
    asks: [FALL, LENGTHS],
  },
  'tree-stationary': {
    ...IN_TREE,
    label: 'Climb a stationary line in a tree',
    ropePerHeight: 1,
    up: 'stationary-line',
    ropeBelow: true,
  },
  'tree-moving': {
    ...IN_TREE,
    label: 'Climb a moving, doubled line in a tree',
    ropePerHeight: 2,
    up: 'moving-line',
    ropeBelow: false,
  },
  'pick-off': {
    ...HELD_BY_ANOTHER,
    label: 'Pick off a casualty',
    strands: 'one',
    persons: 'two',
    fallFactor: null,
    ropePerHeight: 1,
    goesDown: true,
    belayedFrom: null,
    casualty: true,
    deviceAt: ['own'],
    guideMode: false,
    usualRope: 'low-stretch',
    unsuited: NO_PAIRED,
    asks: [BOTH, ['haul', 'how the casualty is lifted off']],
  },
} as const satisfies Record<string, JobRow>;

export type Job = keyof typeof ROWS;
export const JOB_KEYS = Object.keys(ROWS) as [Job, ...Job[]];
const ofEach = <T>(value: (row: JobRow) => T) =>
  Object.fromEntries(JOB_KEYS.map((key) => [key, value(ROWS[key])])) as Readonly<Record<Job, T>>;
/** Every job for which fit can be asked. */
export const JOB_FACTS: Readonly<Record<Job, JobFacts>> = ofEach((row) => ({ ...row, climbs: row.up !== null }));
export const JOBS = ofEach(({ label }) => label);

/** What is listed; empty where nothing is. */
export const listed = <T>(list: Listed<T>): readonly T[] => ('none' in list ? [] : list);
