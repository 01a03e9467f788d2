import type { WayTest } from '../things/connector/index.ts';
import type { ElementId } from '../foundations/finding/index.ts';
import { MUNTER, type Device, type Item, type Person } from '../things/gear/index.ts';
import { callsMatter, downMatters, slotsOf } from '../rigs/elements/index.ts';
import {
  blankSetup,
  placeOf,
  wellRigged,
  withAll,
  withFields,
  type Setup,
  type Site,
  type TemplateId,
} from '../rigs/rig/index.ts';
import {
  clubItems,
  groovedTube,
  ilse,
  keptOval,
  keptPear,
  lightHarness,
  longCord,
  longRope,
  longSling,
  oval,
  pear,
  secondKept,
  secondPear,
  secondThinRope,
  shortCord,
  sling,
  smallD,
  surveyHarness,
  thickRope,
  thinRope,
  tomas,
  wren,
} from './club.ts';

const device = (id: string): Device => {
  const found = clubItems.find((item) => item.id === id);
  if (found?.kind !== 'device') throw new Error(`no device ${id} in the club`);
  return found;
};

/** What the club tried on the ground. */
export const demoTests: readonly WayTest[] = [
  {
    id: 'test-1',
    connectorId: oval.id,
    deviceId: 'device-burr',
    way: { end: 'broad', from: 'right', gate: 'free' },
    result: 'worked',
    at: '2026-08-30T17:10:00.000Z',
    note: '',
  },
  {
    id: 'test-2',
    connectorId: pear.id,
    deviceId: 'device-bough',
    way: { end: 'broad', from: 'left', gate: 'free' },
    result: 'could-not-turn',
    at: '2026-08-30T17:25:00.000Z',
    note: 'Caught on the side plate when it lay flat.',
  },
];

interface Made {
  readonly id: string;
  readonly name: string;
  readonly at: string;
  readonly site: Partial<Site>;
  readonly items: Readonly<Record<ElementId, Item | Person>>;
  readonly fields?: Readonly<Record<ElementId, Readonly<Record<string, unknown>>>>;
  readonly note?: string;
}

const FROM_LEFT = { end: 'broad', from: 'left', gate: 'free' } as const;
const FROM_RIGHT = { end: 'broad', from: 'right', gate: 'free' } as const;

/** A template with everything chosen and rigged as it is meant to be, and then as the fields say. */
function made(template: TemplateId, { id, name, at, site, items, fields = {}, note = '' }: Made): Setup {
  const blank = wellRigged(blankSetup(template, { id, name, now: at }));
  const placed = Object.entries(items).map(([ref, item]) => {
    const [place, key] = placeOf(blank, ref);
    return [place, { [key]: item }] as const;
  });
  const rigged = withAll(blank, [
    ['site', { steepness: 'steep', edge: 'rounded', slant: 'plumb', ...site }],
    ['anchor', { through: 'rings', points: 'several', rings: 'all' }],
    ...placed,
    ...Object.entries(fields),
  ]);
  // Whether words matter follows from who is there.
  const spoken = callsMatter(blank) ? { by: 'voice', down: downMatters(blank) ? 'lower' : 'unknown' } : {};
  return { ...withFields(rigged, 'calls', { ...spoken, ...fields.calls }), note };
}

/** The places of a set-up that nobody has filled, for the tests. */
export const openPlaces = (setup: Setup): ElementId[] =>
  slotsOf(setup).flatMap((s) => (s.item === null && !s.optional ? [s.ref] : []));

/** A doubled-rope rappel from the low spans of the viaduct, against which nothing is found. */
export const rappelDouble = made('rappel-double', {
  id: 'setup-low-span',
  name: 'Low span, lichen plots 1 to 6',
  at: '2026-09-12T08:00:00.000Z',
  site: { anchorHeightM: 24 },
  items: {
    climber: ilse,
    partner: tomas,
    harness: surveyHarness,
    ropeA: longRope,
    device: groovedTube,
    deviceConnector: pear,
    extension: sling,
    hitch: shortCord,
    hitchConnector: smallD,
  },
  fields: { rope: { middleMissM: 0.2 } },
});

/**
 * The high span, planned in a hurry, with four things wrong: the rope is too short, it runs over a bare sharp edge, the
 * long cord lets the hitch reach the device, and the brake strands run over the gate of the device connector.
 */
export const rappelDoubleFaulty: Setup = {
  ...made('rappel-double', {
    id: 'setup-high-span',
    name: 'High span, lichen plots 7 to 9',
    at: '2026-09-19T07:30:00.000Z',
    site: { anchorHeightM: 31, edge: 'sharp' },
    items: {
      climber: ilse,
      partner: tomas,
      harness: surveyHarness,
      ropeA: longRope,
      device: groovedTube,
      deviceConnector: pear,
      extension: sling,
      hitch: longCord,
      hitchConnector: smallD,
    },
    fields: { rope: { middleMissM: 0.2 }, deviceConnector: { faces: 'rope' } },
    note: 'Find what is wrong before Saturday.',
  }),
};

export const FAULTY_CODES = [
  'rig.edge-sharp',
  'geometry.rope-too-short',
  'geometry.hitch-reaches-device',
  'connector.gate-towards-rope',
] as const;

/** One strand, blocked at the rings so that the rope comes down afterwards. */
const rappelSingle = made('rappel-single', {
  id: 'setup-pier-3',
  name: 'Pier 3, one strand, plots 10 and 11',
  at: '2026-09-13T08:00:00.000Z',
  site: { anchorHeightM: 24 },
  items: {
    climber: ilse,
    partner: tomas,
    harness: surveyHarness,
    ropeA: longRope,
    device: device('device-arch'),
    deviceConnector: pear,
    extension: sling,
    hitch: shortCord,
    hitchConnector: smallD,
  },
  fields: {
    fastening: { how: 'blocked', backup: 'clipped', strand: 'free' },
    hitch: { wraps: 5 },
  },
});

const rappelFixed = made('rappel-fixed', {
  id: 'setup-pier-5',
  name: 'Pier 5, fixed line, plots 13 to 20',
  at: '2026-09-13T12:00:00.000Z',
  site: { anchorHeightM: 28 },
  items: {
    climber: ilse,
    partner: tomas,
    harness: surveyHarness,
    ropeA: thickRope,
    device: device('device-stile'),
    deviceConnector: keptPear,
    extension: sling,
    hitch: shortCord,
    hitchConnector: smallD,
  },
  fields: {
    fastening: { how: 'tied' },
    hitch: { wraps: 5 },
    deviceConnector: { planned: FROM_LEFT },
  },
});

/** With a Munter hitch at the anchor, which is at its best with both strands side by side. */
const lower = made('lower', {
  id: 'setup-parapet',
  name: 'Parapet, Wren down to plot 12',
  at: '2026-09-14T08:00:00.000Z',
  site: { anchorHeightM: 22 },
  items: {
    climber: wren,
    belayer: tomas,
    harness: lightHarness,
    ropeA: longRope,
    device: MUNTER,
    deviceConnector: keptPear,
  },
  fields: { device: { brakeLed: 'below' } },
});

/**
 * The same place with a tube at the anchor and the brake strand straight down: it holds a third of what it holds on a
 * harness.
 */
const lowerFaulty = made('lower', {
  id: 'setup-parapet-tube',
  name: 'Parapet, Tomas down with the tube',
  at: '2026-09-14T09:00:00.000Z',
  site: { anchorHeightM: 22 },
  items: {
    climber: tomas,
    belayer: ilse,
    harness: surveyHarness,
    ropeA: longRope,
    device: device('device-arch'),
    deviceConnector: pear,
  },
  fields: { device: { brakeLed: 'below' } },
  note: 'Why does the hand not hold, and what brings the turn back?',
});

const wall = { edge: 'none', anchorHeightM: 14 } as const;
const lowerGround = made('lower-ground', {
  id: 'setup-wall-down',
  name: 'Training wall, down from the top',
  at: '2026-09-05T17:00:00.000Z',
  site: wall,
  items: {
    climber: wren,
    harness: lightHarness,
    belayer: ilse,
    'belayer-harness': surveyHarness,
    ropeA: longRope,
    device: device('device-arch'),
    deviceConnector: keptPear,
  },
});

/** A top rope on the training wall, with a cam device. */
export const topRopeCam = made('belay-top-rope', {
  id: 'choice-wall',
  name: 'Training wall, top rope',
  at: '2026-09-05T18:00:00.000Z',
  site: wall,
  items: {
    climber: ilse,
    harness: surveyHarness,
    belayer: tomas,
    'belayer-harness': lightHarness,
    ropeA: longRope,
    device: device('device-sill'),
    deviceConnector: keptPear,
  },
  fields: { deviceConnector: { planned: FROM_RIGHT } },
});

const belayLeader = made('belay-leader', {
  id: 'setup-wall-lead',
  name: 'Training wall, route 5 led',
  at: '2026-09-06T18:00:00.000Z',
  site: wall,
  items: {
    climber: ilse,
    harness: surveyHarness,
    belayer: tomas,
    'belayer-harness': lightHarness,
    ropeA: longRope,
    device: device('device-arch'),
    deviceConnector: keptPear,
  },
});

const belaySecond = made('belay-second', {
  id: 'setup-ledge',
  name: 'Arch ledge, Ilse follows',
  at: '2026-09-06T15:00:00.000Z',
  site: { anchorHeightM: 20 },
  items: {
    climber: ilse,
    harness: surveyHarness,
    belayer: tomas,
    ropeA: longRope,
    device: device('device-weir'),
    deviceConnector: keptPear,
  },
  fields: { device: { slackM: 0.3 } },
});

const belaySeconds = made('belay-seconds', {
  id: 'setup-ledge-two',
  name: 'Arch ledge, two follow',
  at: '2026-09-06T16:00:00.000Z',
  site: { anchorHeightM: 20 },
  items: {
    climber: ilse,
    harness: surveyHarness,
    second: wren,
    'second-harness': lightHarness,
    belayer: tomas,
    ropeA: thinRope,
    'rope2-rope': secondThinRope,
    device: device('device-weir'),
    deviceConnector: keptPear,
  },
  fields: { device: { slackM: 0.3 } },
});

const ascend = made('ascend', {
  id: 'setup-pier-5-up',
  name: 'Pier 5, back up the line',
  at: '2026-09-13T14:00:00.000Z',
  site: { anchorHeightM: 28 },
  items: {
    climber: tomas,
    partner: ilse,
    harness: surveyHarness,
    ropeA: thickRope,
    device: device('device-burr'),
    deviceConnector: oval,
    'above-tether': sling,
    'above-connector': secondKept,
    'above-hitch': shortCord,
  },
  fields: {
    fastening: { how: 'tied' },
    deviceConnector: { planned: FROM_RIGHT },
    'above-tether': { measuredMm: 260 },
  },
});

const selfBelay = made('self-belay-top-rope', {
  id: 'setup-wall-alone',
  name: 'Training wall, alone on a top rope',
  at: '2026-09-07T17:00:00.000Z',
  site: wall,
  items: {
    climber: tomas,
    harness: surveyHarness,
    ropeA: thickRope,
    device: device('device-cutwater'),
    deviceConnector: keptOval,
  },
  fields: { fastening: { how: 'tied' }, rope: { endWeightKg: 2 }, deviceConnector: { planned: FROM_LEFT } },
});

/** A beech, with a multi-ascender on a rope that is thin for it. */
export const beechMulti = made('tree-stationary', {
  id: 'choice-beech',
  name: 'Beech 4, stationary line',
  at: '2026-09-05T18:30:00.000Z',
  site: { anchorHeightM: 18, edge: 'none', steepness: 'free' },
  items: {
    climber: tomas,
    partner: ilse,
    harness: surveyHarness,
    ropeA: thickRope,
    device: device('device-bough'),
    deviceConnector: keptOval,
  },
  fields: {
    anchor: { through: 'wood', points: 'one' },
    fastening: { how: 'tied' },
    deviceConnector: { planned: FROM_LEFT },
    limb: { outM: 3, belowM: 6 },
    tree: { redirectDeg: 0 },
  },
});

const treeMoving = made('tree-moving', {
  id: 'setup-beech-7',
  name: 'Beech 7, moving line',
  at: '2026-09-08T09:00:00.000Z',
  site: { anchorHeightM: 15, edge: 'none', steepness: 'free' },
  items: {
    climber: tomas,
    partner: ilse,
    harness: surveyHarness,
    ropeA: thickRope,
    device: device('device-spindle'),
    deviceConnector: keptPear,
  },
  fields: {
    anchor: { through: 'saver', points: 'one' },
    deviceConnector: { planned: FROM_LEFT },
    limb: { outM: 0 },
    tree: { redirectDeg: 0 },
  },
});

/** Down from the beech on an eight, the climbing hitch kept above it. */
const treeRappel = made('tree-rappel', {
  id: 'setup-beech-down',
  name: 'Beech 4, down on the eight',
  at: '2026-09-09T15:00:00.000Z',
  site: { anchorHeightM: 18, edge: 'none', steepness: 'free' },
  items: {
    climber: tomas,
    partner: ilse,
    harness: surveyHarness,
    ropeA: thickRope,
    device: device('device-stile'),
    deviceConnector: keptPear,
    extension: sling,
    'above-hitch': shortCord,
    'above-tether': longSling,
    'above-connector': secondKept,
  },
  fields: {
    anchor: { through: 'saver', points: 'one' },
    fastening: { how: 'tied' },
    limb: { outM: 0 },
    tree: { redirectDeg: 0, bridge: 'two' },
    'above-hitch': { hitch: 'prusik', wraps: 4 },
    'above-tether': { measuredMm: 240 },
  },
});

const pickOff = made('pick-off', {
  id: 'setup-drill',
  name: 'Drill: pick off on pier 5',
  at: '2026-09-20T09:00:00.000Z',
  site: { anchorHeightM: 28 },
  items: {
    climber: tomas,
    harness: surveyHarness,
    casualty: ilse,
    ropeA: thickRope,
    device: device('device-gantry'),
    deviceConnector: secondKept,
    'casualty-harness': lightHarness,
    'link-sling': sling,
    'link-low': smallD,
    'link-connector': pear,
    'spare-sling': longSling,
    'spare-low': secondPear,
    'spare-connector': keptPear,
  },
  fields: {
    fastening: { how: 'tied' },
    // Doubled, so that the casualty stays within reach.
    'spare-sling': { method: 'basket' },
    deviceConnector: { planned: FROM_LEFT },
  },
});

/** Set-ups by the name used on the command line: one at least for each job. */
export const SETUPS = {
  'rappel-double': rappelDouble,
  'rappel-double-faulty': rappelDoubleFaulty,
  'rappel-single': rappelSingle,
  'rappel-fixed': rappelFixed,
  lower,
  'lower-faulty': lowerFaulty,
  'lower-ground': lowerGround,
  'belay-top-rope': topRopeCam,
  'belay-leader': belayLeader,
  'belay-second': belaySecond,
  'belay-seconds': belaySeconds,
  ascend,
  'self-belay-top-rope': selfBelay,
  'tree-stationary': beechMulti,
  'tree-moving': treeMoving,
  'tree-rappel': treeRappel,
  'pick-off': pickOff,
} as const satisfies Readonly<Record<string, Setup>>;
export type SampleName = keyof typeof SETUPS;
