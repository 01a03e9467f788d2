import type { ThreadingId } from '@core/things/fit';

/** What a device is drawn as. */
export type Shape = 'tube' | 'guide' | 'cam' | 'eight' | 'munter' | 'plate' | 'bollard' | 'reliever';

/**
 * A way of the rope on a sheet of 200 by 240, load up and brake hand down to the right: what lies behind the metal and
 * what before it.
 */
export interface RopeWay {
  readonly behind: readonly string[];
  readonly front: readonly string[];
  /** A strand that is not in the device. */
  readonly beside?: string;
  readonly load: readonly [x: number, y: number];
  readonly brake: readonly [x: number, y: number];
  /** Where to look: what is wrong, or what makes it right. */
  readonly look: readonly [x: number, y: number];
}

const HAND: readonly [number, number] = [158, 222];

/** Section from the side: connector in the middle below, the tube above it, the load going up. */
const TUBE: Partial<Record<ThreadingId, RopeWay>> = {
  right: {
    behind: [],
    front: ['M89 10V150A11 11 0 0 0 111 150V104C111 88 134 86 138 104L158 222'],
    load: [89, 10],
    brake: HAND,
    look: [136, 96],
  },
  'smooth-side': {
    behind: [],
    front: ['M89 10V150A11 11 0 0 0 111 150V104C111 88 134 86 138 104L158 222'],
    load: [89, 10],
    brake: HAND,
    look: [136, 96],
  },
  'connector-only': {
    behind: [],
    front: ['M100 10C96 60 89 110 89 150A11 11 0 0 0 111 150C114 138 140 190 158 222'],
    load: [100, 10],
    brake: HAND,
    look: [100, 162],
  },
  'bight-missed': {
    behind: [],
    front: ['M89 10V112A11 11 0 0 0 111 112V104C111 88 134 86 138 104L158 222'],
    load: [89, 10],
    brake: HAND,
    look: [100, 126],
  },
  'one-strand': {
    behind: [],
    front: ['M89 10V150A11 11 0 0 0 111 150V104C111 88 134 86 138 104L158 222'],
    beside: 'M60 10C56 90 54 160 60 232',
    load: [89, 10],
    brake: HAND,
    look: [55, 130],
  },
};

/** Section from the side: the plate hangs on its own eye, the connector lies across it, both strands come out below. */
const GUIDE: Partial<Record<ThreadingId, RopeWay>> = {
  right: {
    behind: ['M60 129H118C134 129 146 140 148 160L158 222'],
    front: ['M82 232C88 170 128 150 126 122C124 106 112 107 100 107H60A11 11 0 0 0 60 129'],
    load: [76, 232],
    brake: HAND,
    look: [120, 112],
  },
  'load-below': {
    behind: ['M82 232C88 170 110 129 100 129H60'],
    front: ['M158 222C156 170 140 107 118 107H60A11 11 0 0 0 60 129'],
    load: [76, 232],
    brake: HAND,
    look: [110, 129],
  },
  'bight-missed': {
    behind: ['M82 129H118C134 129 146 140 148 160L158 222'],
    front: ['M82 232C88 170 128 150 126 122C124 106 112 107 100 107H82A11 11 0 0 0 82 129'],
    load: [76, 232],
    brake: HAND,
    look: [72, 118],
  },
};

/** From the side with the near plate off: the rope runs around the cam. */
const CAM: Partial<Record<ThreadingId, RopeWay>> = {
  right: {
    behind: [],
    front: ['M84 10V96C74 112 74 132 88 144C104 156 128 148 134 130C138 118 142 124 146 140L158 222'],
    load: [84, 10],
    brake: HAND,
    look: [90, 142],
  },
  backwards: {
    behind: [],
    front: ['M134 10V92C142 116 136 142 114 148C92 152 76 138 78 116C80 100 62 110 62 140C62 180 110 190 158 222'],
    load: [134, 10],
    brake: HAND,
    look: [70, 118],
  },
  'connector-only': {
    behind: [],
    front: ['M100 10C70 70 52 120 88 186A12 12 0 0 0 112 186C120 176 140 200 158 222'],
    load: [100, 10],
    brake: HAND,
    look: [100, 198],
  },
};

/** From the front: large ring above, small ring on the connector below. */
const EIGHT: Partial<Record<ThreadingId, RopeWay>> = {
  right: {
    behind: ['M92 84C88 106 78 120 74 132', 'M126 132C122 120 112 106 108 84'],
    front: [
      'M92 10V84',
      'M74 132C70 148 84 152 100 152C116 152 130 148 126 132',
      'M108 84C116 60 150 60 154 110L158 222',
    ],
    load: [92, 10],
    brake: HAND,
    look: [100, 152],
  },
  flipped: {
    behind: ['M92 84C82 104 64 96 60 74', 'M140 74C136 96 118 104 108 84'],
    front: ['M92 10V84', 'M60 74C58 40 142 40 140 74', 'M108 84C120 100 150 100 154 130L158 222'],
    load: [92, 10],
    brake: HAND,
    look: [100, 48],
  },
  'connector-only': {
    behind: [],
    front: ['M70 10C52 90 64 170 88 200A12 12 0 0 0 112 200C124 190 140 204 158 222'],
    load: [70, 10],
    brake: HAND,
    look: [100, 212],
  },
  'one-strand': {
    behind: ['M92 84C88 106 78 120 74 132', 'M126 132C122 120 112 106 108 84'],
    front: [
      'M92 10V84',
      'M74 132C70 148 84 152 100 152C116 152 130 148 126 132',
      'M108 84C116 60 150 60 154 110L158 222',
    ],
    beside: 'M40 10C36 90 34 160 40 232',
    load: [92, 10],
    brake: HAND,
    look: [36, 130],
  },
};

/**
 * From the front: the connector hangs at the anchor, broad end down, the hitch on its bar, load and brake strand both
 * going down.
 */
const MUNTER: Partial<Record<ThreadingId, RopeWay>> = {
  right: {
    behind: ['M88 132C94 124 106 126 111 136V154', 'M70 160H128'],
    front: ['M88 232V132', 'M111 154C111 172 98 180 84 179C66 178 60 161 72 160', 'M126 160C140 162 150 190 158 222'],
    load: [88, 232],
    brake: HAND,
    look: [88, 168],
  },
  'connector-only': {
    behind: ['M88 132C94 124 106 126 111 136V154'],
    front: ['M88 232V132', 'M111 154C116 180 140 196 158 222'],
    load: [88, 232],
    brake: HAND,
    look: [100, 140],
  },
  'at-gate': {
    behind: ['M88 132C94 124 106 126 111 136V154', 'M70 160H120'],
    front: [
      'M88 232V132',
      'M111 154C111 172 98 180 84 179C66 178 60 161 72 160',
      'M118 160C130 158 128 128 138 118C150 108 164 150 158 222',
    ],
    load: [88, 232],
    brake: HAND,
    look: [134, 118],
  },
};

/** From the front: two holes, and the turn around the body. */
const PLATE: Partial<Record<ThreadingId, RopeWay>> = {
  right: {
    behind: ['M100 86C84 96 70 104 70 118C70 130 92 130 100 132'],
    front: ['M92 10C92 50 100 60 100 86', 'M100 132C122 136 138 120 132 104C128 92 146 100 150 130L158 222'],
    load: [92, 10],
    brake: HAND,
    look: [132, 108],
  },
  backwards: {
    behind: ['M100 132C120 124 128 104 100 86'],
    front: ['M92 10C72 60 74 132 100 132', 'M100 86C130 84 146 110 150 140L158 222'],
    load: [92, 10],
    brake: HAND,
    look: [128, 92],
  },
  'connector-only': {
    behind: [],
    front: ['M70 10C52 90 64 150 88 186A12 12 0 0 0 112 186C124 176 140 200 158 222'],
    load: [70, 10],
    brake: HAND,
    look: [100, 198],
  },
};

/** From the side with the near plate off: upper pin, arm, lower bollard; the person hangs in the eye below. */
const BOLLARD: Partial<Record<ThreadingId, RopeWay>> = {
  right: {
    behind: [],
    front: ['M92 10V62C92 84 118 92 120 112C122 136 84 132 82 152C81 168 92 176 100 190L158 222'],
    load: [92, 10],
    brake: HAND,
    look: [102, 120],
  },
  'pin-open': {
    behind: [],
    front: ['M92 10V62C92 84 118 92 120 112C122 136 84 132 82 152C81 168 92 176 100 190L158 222'],
    load: [92, 10],
    brake: HAND,
    look: [118, 72],
  },
  'past-bollard': {
    behind: [],
    front: ['M92 10V62C92 84 96 120 96 150C96 176 120 200 158 222'],
    load: [92, 10],
    brake: HAND,
    look: [98, 140],
  },
  backwards: {
    behind: [],
    front: ['M104 10C104 40 84 52 82 72C80 96 122 92 120 116C118 136 92 150 92 180C92 200 120 212 158 222'],
    load: [104, 10],
    brake: HAND,
    look: [100, 46],
  },
};

/** From the front: the reliever above, the hitch below it, a short tether between the two. */
const RELIEVER: Partial<Record<ThreadingId, RopeWay>> = {
  right: {
    behind: [],
    front: ['M88 10V48C88 66 112 70 112 88V196L158 222'],
    load: [88, 10],
    brake: HAND,
    look: [100, 68],
  },
  'hitch-on-top': {
    behind: [],
    front: ['M112 10V120C112 138 88 142 88 160C88 190 120 206 158 222'],
    load: [112, 10],
    brake: HAND,
    look: [112, 72],
  },
  'not-in-reliever': {
    behind: [],
    front: ['M112 10V196L158 222'],
    load: [112, 10],
    brake: HAND,
    look: [84, 68],
  },
};

const WAYS: Readonly<Record<Shape, Partial<Record<ThreadingId, RopeWay>>>> = {
  tube: TUBE,
  guide: GUIDE,
  cam: CAM,
  eight: EIGHT,
  munter: MUNTER,
  plate: PLATE,
  bollard: BOLLARD,
  reliever: RELIEVER,
};

/** The way of the rope; undefined where this shape cannot be threaded so. */
export const ropeWay = (shape: Shape, id: ThreadingId): RopeWay | undefined => WAYS[shape][id];
