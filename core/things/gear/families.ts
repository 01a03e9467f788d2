import type { Job } from './jobs.ts';

/** What can take a device's braking or holding away. */
export const DEFEATS = {
  'hand-around': 'a hand closed around it',
  'cam-pressed': 'a hard object or a hand on the cam',
  'brake-strand-up': 'brake strand pulled upwards',
  'strands-crossed': 'the load strand lying over the other',
  'pushed-from-above': 'pushed from above',
  'side-load': 'loaded sideways over an edge',
  'handle-pulled': 'the handle pulled in panic',
} as const;
export type Defeat = keyof typeof DEFEATS;

export type BrakeKind = 'tube' | 'grooved-tube' | 'eight' | 'munter' | 'plate';

/**
 * What makes families differ, as data: rules ask for traits and never for a family. `null` is "not declared". Source of
 * all of them: common practice (`practice-families`); the declaration of the model comes before them.
 */
export interface FamilyTraits {
  readonly label: string;
  /** Jobs it is made for, and those it is used for where its maker declares them. Any other job is not for it. */
  readonly made: readonly Job[];
  readonly declaredOnly: readonly Job[];
  /** Most strands it takes. */
  readonly strands: 'one' | 'two';
  /** What it does when the hand lets go. */
  readonly handOff: 'runs' | 'assists' | 'holds' | null;
  readonly defeats: readonly Defeat[];
  readonly releasable: 'yes' | 'hard' | 'no' | null;
  readonly pullThrough: 'easy' | 'little' | 'hard' | null;
  /** Goes down as it is, without re-rigging. */
  readonly goesDown: boolean;
  /** A guide mode that a thin rope can flip inside. */
  readonly guideMode: boolean;
  /** A moving cam that thin or slick rope turns too little. */
  readonly turningCam: boolean;
  readonly teeth: boolean;
  /** An adjustable bollard that is tuned to one rope. */
  readonly tuned: boolean;
  /** Grooves of unlike width for thin and for thick rope. */
  readonly grooves: boolean;
  /** How its braking is computed; null: it holds or assists by itself, and its braking is not computed. */
  readonly brake: BrakeKind | null;
  /** What of it hangs on the connector: the rope's own bight, plates with a hole, or the rope as a hitch. */
  readonly seat: 'bight' | 'plates' | 'hitch';
  /** No device at all, so that no maker declares anything. */
  readonly tied: boolean;
  /** Shape of connector without which it does not work; a model may declare its own. */
  readonly wants: 'hms' | null;
  /** Helps upward movement only: nobody hangs on it. */
  readonly aidOnly: boolean;
  readonly persons: 'one' | 'two' | null;
}

const BELAY: readonly Job[] = ['belay-top-rope', 'belay-leader', 'lower'];

const family = (
  label: string,
  made: readonly Job[],
  traits: Partial<Omit<FamilyTraits, 'label' | 'made'>>,
): FamilyTraits => ({
  label,
  made,
  declaredOnly: [],
  strands: 'one',
  handOff: null,
  defeats: [],
  releasable: null,
  pullThrough: null,
  goesDown: false,
  guideMode: false,
  turningCam: false,
  teeth: false,
  tuned: false,
  grooves: false,
  brake: null,
  seat: 'plates',
  tied: false,
  wants: null,
  aidOnly: false,
  persons: null,
  ...traits,
});

const tube = {
  strands: 'two',
  seat: 'bight',
  handOff: 'runs',
  defeats: ['brake-strand-up'],
  releasable: 'yes',
  goesDown: true,
} as const;
const cam = {
  handOff: 'assists',
  defeats: ['cam-pressed', 'hand-around', 'side-load', 'strands-crossed'],
  releasable: 'yes',
  pullThrough: 'little',
  goesDown: true,
  turningCam: true,
} as const;
const eight = {
  strands: 'two',
  brake: 'eight',
  handOff: 'runs',
  defeats: ['brake-strand-up'],
  releasable: 'yes',
  goesDown: true,
} as const;
const clamp = { handOff: 'holds', releasable: 'no', pullThrough: 'easy', persons: 'one' } as const;
const CAM_JOBS: readonly Job[] = [...BELAY, 'belay-second', 'rappel-single', 'rappel-fixed'];
const CAM_DECLARED: readonly Job[] = ['ascend', 'self-belay-top-rope', 'pick-off'];
const CLAMP_DEFEATS: readonly Defeat[] = ['cam-pressed', 'hand-around', 'pushed-from-above', 'side-load'];

export const FAMILIES = {
  'tube-grooved': family('Tube with brake grooves', [...BELAY, 'rappel-double'], {
    ...tube,
    brake: 'grooved-tube',
    declaredOnly: ['rappel-single'],
    pullThrough: 'easy',
  }),
  'tube-plain': family('Tube without grooves', [...BELAY, 'rappel-double'], {
    ...tube,
    brake: 'tube',
    declaredOnly: ['rappel-single'],
    pullThrough: 'easy',
  }),
  'guide-plate': family('Tube with guide mode', [...BELAY, 'rappel-double', 'belay-second', 'belay-seconds'], {
    ...tube,
    brake: 'grooved-tube',
    declaredOnly: ['rappel-single', 'ascend'],
    handOff: 'holds',
    defeats: ['brake-strand-up', 'strands-crossed', 'side-load'],
    releasable: 'hard',
    pullThrough: 'hard',
    guideMode: true,
  }),
  'assisted-cam': family('Assisted cam device', CAM_JOBS, {
    ...cam,
    declaredOnly: CAM_DECLARED,
    defeats: [...cam.defeats, 'handle-pulled'],
  }),
  'assisted-cam-panic': family('Assisted cam device, handle lets go in panic', CAM_JOBS, {
    ...cam,
    declaredOnly: CAM_DECLARED,
  }),
  'plain-eight': family('Plain eight', ['rappel-double', 'rappel-single', 'rappel-fixed'], {
    ...eight,
    declaredOnly: ['belay-top-rope', 'lower'],
    pullThrough: 'easy',
  }),
  'eared-eight': family('Eared eight', ['rappel-double', 'rappel-single', 'rappel-fixed'], {
    ...eight,
    declaredOnly: ['tree-stationary', 'pick-off', 'lower'],
    pullThrough: 'easy',
  }),
  munter: family('Munter hitch on a connector', ['belay-second', 'lower'], {
    declaredOnly: ['belay-top-rope', 'belay-leader', 'rappel-single', 'tree-stationary'],
    handOff: 'runs',
    defeats: ['strands-crossed'],
    releasable: 'yes',
    pullThrough: 'little',
    goesDown: true,
    brake: 'munter',
    seat: 'hitch',
    tied: true,
    wants: 'hms',
  }),
  'two-sided-plate': family('Two-sided plate for one rope', ['rappel-single', 'rappel-fixed', 'tree-stationary'], {
    declaredOnly: ['belay-top-rope', 'lower'],
    handOff: 'runs',
    defeats: ['brake-strand-up'],
    releasable: 'yes',
    goesDown: true,
    grooves: true,
    brake: 'plate',
  }),
  'clamp-toothed': family('Small toothed ascender', ['ascend'], {
    ...clamp,
    declaredOnly: ['self-belay-top-rope', 'tree-stationary'],
    defeats: CLAMP_DEFEATS,
    teeth: true,
  }),
  'clamp-toothed-handle': family('Handled toothed ascender', ['ascend'], {
    ...clamp,
    declaredOnly: ['tree-stationary'],
    defeats: CLAMP_DEFEATS,
    teeth: true,
  }),
  'clamp-smooth': family('Rope grab with a smooth cam', ['ascend'], {
    ...clamp,
    declaredOnly: ['self-belay-top-rope', 'tree-stationary'],
    defeats: CLAMP_DEFEATS,
  }),
  'clamp-squeeze': family('Rope grab squeezed by its connector', ['ascend'], {
    ...clamp,
    declaredOnly: ['self-belay-top-rope'],
    defeats: ['pushed-from-above', 'hand-around'],
  }),
  'capture-pulley': family('Progress-capture pulley with teeth', ['ascend'], {
    ...clamp,
    declaredOnly: ['belay-second', 'pick-off'],
    defeats: ['cam-pressed'],
    teeth: true,
    persons: null,
  }),
  'rope-grab': family('Two-plate rope grab for self-belay', ['self-belay-top-rope'], {
    ...clamp,
    declaredOnly: ['rappel-fixed'],
    defeats: ['hand-around', 'pushed-from-above'],
  }),
  'multi-ascender': family('Multi-ascender with adjustable bollard', ['tree-stationary', 'ascend'], {
    declaredOnly: ['rappel-fixed'],
    handOff: 'holds',
    defeats: ['hand-around', 'pushed-from-above'],
    releasable: 'yes',
    pullThrough: 'easy',
    goesDown: true,
    tuned: true,
    persons: 'one',
  }),
  'hitch-reliever': family('Friction hitch with a friction-reliever above', ['tree-stationary'], {
    declaredOnly: ['tree-moving', 'rappel-fixed'],
    handOff: 'holds',
    defeats: ['pushed-from-above', 'hand-around'],
    releasable: 'yes',
    goesDown: true,
    persons: 'one',
  }),
  'body-ascender': family('Foot, knee or chest ascender', ['ascend', 'tree-stationary'], {
    handOff: null,
    pullThrough: 'easy',
    aidOnly: true,
    persons: 'one',
  }),
} as const satisfies Record<string, FamilyTraits>;

export type Family = keyof typeof FAMILIES;
export const FAMILY_KEYS = Object.keys(FAMILIES) as [Family, ...Family[]];
/** Traits of a family, typed as traits: rules must not know which families there are. */
export const traitsOf = (key: Family): FamilyTraits => FAMILIES[key];
export const DEVICE_FAMILIES = Object.fromEntries(FAMILY_KEYS.map((key) => [key, FAMILIES[key].label])) as Readonly<
  Record<Family, string>
>;
/** True when such devices serve this job, if only where their maker says so. */
export const servesJob = (key: Family, job: Job): boolean => {
  const { made, declaredOnly } = traitsOf(key);
  return made.includes(job) || declaredOnly.includes(job);
};
