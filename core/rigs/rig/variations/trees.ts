import { JOB_FACTS } from '../../../things/gear/index.ts';
import type { ElementId } from '../../../foundations/finding/index.ts';
import type { Attachment } from '../attachment-elements.ts';
import type { Setup } from '../model.ts';
import { templateOf } from '../templates/index.ts';
import { clip, device, onHarness, slingPiece } from '../templates/build.ts';
import { grown, has, ownDevice, strandsOn, type Variation } from './variation.ts';

/** What somebody in a tree goes up a line on that does not move; null in other jobs. */
const onLine = (setup: Setup): Attachment | null =>
  JOB_FACTS[setup.job].up === 'stationary-line' ? ownDevice(setup) : null;

const aid =
  (id: ElementId, make: (main: Attachment, person: ElementId) => Attachment) =>
  (setup: Setup): Setup | null => {
    const main = onLine(setup);
    if (!main || main.root.kind !== 'harness' || has(setup, id)) return null;
    return grown(setup, { attachments: [make(main, main.root.person)] });
  };

const MOST_LIMBS = 5;

/** What helps in a tree: to walk up a rope, where nobody hangs on any of it, and limbs to go out on. */
export const TREES: readonly Variation[] = [
  {
    id: 'chest-tether',
    label: 'a tether from the chest to the device',
    backsUp: false,
    needs: [
      'a strap that one hand sets, from the chest or around the neck',
      'take it off before descending if it can hold the device’s arm',
    ],
    defeats: ['too long: the device is not taken along'],
    reasons: ['takes the device along at every step'],
    against: ['it holds nobody'],
    add: aid('chest-tether', (main, person) => ({
      id: 'chest-tether',
      label: 'Chest tether',
      use: 'aid',
      job: null,
      root: onHarness(person, 'chest'),
      pieces: [{ ...slingPiece('chest-strap'), method: 'girth' }],
      end: clip('chest-tether-end', main.end.id),
    })),
  },
  {
    id: 'knee-ascender',
    label: 'a knee ascender',
    backsUp: false,
    needs: ['just below the knee with the leg straight', 'off before going down: it only goes up'],
    defeats: ['above the device it presses it open'],
    reasons: ['both legs walk'],
    against: ['one thing more to take off, and it is forgotten'],
    add: aid('knee-ascender', (main, person) => ({
      id: 'knee-ascender',
      label: 'Knee ascender',
      use: 'aid',
      job: null,
      root: onHarness(person, 'knee'),
      pieces: [{ ...slingPiece('knee-strap'), method: 'girth' }],
      end: device('knee-ascender-device', strandsOn(main), null),
    })),
  },
  {
    id: 'foot-ascender',
    label: 'a foot ascender',
    backsUp: false,
    needs: ['at the inside of the boot', 'off before going down: it only goes up'],
    defeats: ['above the device it presses it open'],
    reasons: ['one leg steps without a loop'],
    against: ['one thing more to take off'],
    add: aid('foot-ascender', (main, person) => ({
      id: 'foot-ascender',
      label: 'Foot ascender',
      use: 'aid',
      job: null,
      root: onHarness(person, 'foot'),
      pieces: [],
      end: device('foot-ascender-device', strandsOn(main), null),
    })),
  },
  {
    id: 'chest-ascender',
    label: 'a chest ascender',
    backsUp: false,
    needs: ['below the device, on a strap from the chest', 'off before going down: it only goes up'],
    defeats: ['above the device it presses it open'],
    reasons: ['keeps the body upright at the line'],
    against: ['one thing more to take off, in front of the face'],
    add: aid('chest-ascender', (main, person) => ({
      id: 'chest-ascender',
      label: 'Chest ascender',
      use: 'aid',
      job: null,
      root: onHarness(person, 'chest'),
      pieces: [{ ...slingPiece('chest-ascender-strap'), method: 'girth' }],
      end: device('chest-ascender-device', strandsOn(main), null),
    })),
  },
  {
    id: 'limb',
    label: 'another limb to go out on',
    backsUp: false,
    needs: ['how far out, how far below the tie-in, and how it rises'],
    defeats: [],
    reasons: ['each swing is calculated on its own'],
    against: [],
    add: (setup) => {
      const { tree } = setup.site;
      if (!tree || templateOf(setup).scene !== 'tree' || tree.limbs.length >= MOST_LIMBS) return null;
      const taken = new Set(tree.limbs.map((l) => l.id));
      const id = [2, 3, 4, 5].map((n) => `limb${n}`).find((name) => !taken.has(name))!;
      const limbs = [...tree.limbs, { id, outM: null, belowM: null, riseDeg: 0 }];
      return { ...setup, site: { ...setup.site, tree: { ...tree, limbs } } };
    },
  },
];
