import type { Connector, Cord, Device, Harness, Item, Person, Rope, Sling } from '../gear/index.ts';

/*
 * Gear and people of an invented field club that surveys lichen on a limestone viaduct and in tall beeches. Makers, models, people
 * and places are made up; the numbers are such as one meets, and are data of the demo only.
 */

export const longRope: Rope = {
  id: 'rope-usnea',
  kind: 'rope',
  name: 'Usnea 60, blue',
  maker: 'Tarnhollow Ropewalk',
  construction: 'single',
  nominalDiameterMm: 9.8,
  measuredDiameterMm: 9.9,
  measuringUncertaintyMm: 0.1,
  lengthM: 60,
  measuredLengthM: 59.4,
  linearDensityGPerM: 62,
  sheath: 'smooth',
  middle: 'marked',
  note: 'Middle mark renewed in spring.',
};
export const thinRope: Rope = {
  id: 'rope-cladonia',
  kind: 'rope',
  name: 'Cladonia 50, sand',
  maker: 'Tarnhollow Ropewalk',
  construction: 'half',
  nominalDiameterMm: 8.5,
  measuredDiameterMm: null,
  measuringUncertaintyMm: null,
  lengthM: 50,
  measuredLengthM: null,
  linearDensityGPerM: null,
  sheath: 'new-treated',
  middle: 'none',
  note: '',
};
export const thickRope: Rope = {
  id: 'rope-parmelia',
  kind: 'rope',
  name: 'Parmelia 45, white',
  maker: 'Tarnhollow Ropewalk',
  construction: 'low-stretch',
  nominalDiameterMm: 11,
  measuredDiameterMm: 10.5,
  measuringUncertaintyMm: 0.1,
  lengthM: 45,
  measuredLengthM: null,
  linearDensityGPerM: 77,
  sheath: 'fuzzy',
  middle: 'unknown',
  note: 'Label says 11.',
};
export const shortCord: Cord = {
  id: 'cord-short',
  kind: 'cord',
  name: 'Hitch cord, green',
  maker: 'Tarnhollow Ropewalk',
  material: 'polyamide',
  nominalDiameterMm: 6,
  measuredDiameterMm: 6,
  closure: 'double-fisherman',
  cutLengthM: 1.5,
  loopLengthMm: 600,
  declaredStrengthKn: null,
  note: '',
};
export const longCord: Cord = {
  id: 'cord-long',
  kind: 'cord',
  name: 'Hitch cord, red',
  maker: 'Tarnhollow Ropewalk',
  material: 'polyamide',
  nominalDiameterMm: 6,
  measuredDiameterMm: null,
  closure: 'double-fisherman',
  cutLengthM: 2.2,
  loopLengthMm: null,
  declaredStrengthKn: null,
  note: '',
};
export const sling: Sling = {
  id: 'sling-60',
  kind: 'sling',
  name: 'Sling 60, grey',
  maker: 'Sedgewright Webbing',
  material: 'polyamide',
  widthMm: 16,
  loopLengthMm: 600,
  strengthKn: 22,
  note: '',
};
export const longSling: Sling = {
  id: 'sling-120',
  kind: 'sling',
  name: 'Sling 120, grey',
  maker: 'Sedgewright Webbing',
  material: 'uhmwpe',
  widthMm: 11,
  loopLengthMm: 1200,
  strengthKn: 22,
  note: '',
};
export const pear: Connector = {
  id: 'connector-pear',
  kind: 'connector',
  name: 'Pear screw, orange',
  maker: 'Hobbin Forge',
  shape: 'hms',
  lock: 'screw',
  insideLengthMm: 92,
  broadInsideWidthMm: 47,
  strengthMajorKn: 20,
  strengthMinorKn: 7,
  strengthOpenKn: 6,
  keeper: 'no',
  note: '',
};
export const smallD: Connector = {
  id: 'connector-d',
  kind: 'connector',
  name: 'Small D, silver',
  maker: 'Hobbin Forge',
  shape: 'd',
  lock: 'three-action',
  insideLengthMm: 78,
  broadInsideWidthMm: 26,
  strengthMajorKn: 20,
  strengthMinorKn: 7,
  strengthOpenKn: 7,
  keeper: 'no',
  note: '',
};
export const secondPear: Connector = {
  id: 'connector-pear-2',
  kind: 'connector',
  name: 'Pear screw, violet',
  maker: 'Hobbin Forge',
  shape: 'hms',
  lock: 'screw',
  insideLengthMm: 92,
  broadInsideWidthMm: 47,
  strengthMajorKn: 20,
  strengthMinorKn: 7,
  strengthOpenKn: 6,
  keeper: 'no',
  note: '',
};
export const groovedTube: Device = {
  id: 'device-culvert',
  kind: 'device',
  name: 'Culvert tube',
  maker: 'Hobbin Forge',
  family: 'tube-grooved',
  wear: 'used',
  declarations: [
    { job: 'rappel-double', strands: 'two', constructions: ['single'], minDiameterMm: 8.7, maxDiameterMm: 11 },
    { job: 'rappel-double', strands: 'two', constructions: ['half', 'twin'], minDiameterMm: 7.8, maxDiameterMm: 9.2 },
  ],
  note: '',
};
export const plainTube: Device = {
  id: 'device-sluice',
  kind: 'device',
  name: 'Sluice tube',
  maker: 'Hobbin Forge',
  family: 'tube-plain',
  wear: 'worn',
  declarations: [
    {
      job: 'rappel-double',
      strands: 'two',
      constructions: ['single', 'low-stretch'],
      minDiameterMm: 9,
      maxDiameterMm: 11,
    },
  ],
  note: 'Oldest tube of the club.',
};
type Declared = Device['declarations'][number];
const declared = (
  job: Declared['job'],
  strands: Declared['strands'],
  minDiameterMm: number,
  maxDiameterMm: number,
  constructions: Declared['constructions'] = ['single'],
): Declared => ({ job, strands, constructions, minDiameterMm, maxDiameterMm });
const hardware = { kind: 'device', maker: 'Hobbin Forge', wear: 'used', note: '' } as const;
/** Devices of other families, for the map of fits. */
export const otherDevices: readonly Device[] = [
  {
    ...hardware,
    id: 'device-weir',
    name: 'Weir guide plate',
    family: 'guide-plate',
    declarations: [
      declared('belay-second', 'one', 8.7, 11),
      declared('belay-seconds', 'two', 7.5, 9.2, ['half', 'twin']),
      declared('belay-leader', 'one', 8.7, 11),
      declared('belay-top-rope', 'one', 8.7, 11),
      declared('rappel-double', 'two', 7.5, 11, ['single', 'half', 'twin']),
    ],
  },
  {
    ...hardware,
    id: 'device-sill',
    name: 'Sill cam',
    family: 'assisted-cam',
    declarations: [
      declared('belay-top-rope', 'one', 8.9, 11),
      declared('belay-leader', 'one', 8.9, 11),
      declared('lower', 'one', 8.9, 11),
      declared('rappel-single', 'one', 8.9, 11, ['single', 'low-stretch']),
      declared('belay-second', 'one', 8.9, 11),
    ],
  },
  {
    ...hardware,
    id: 'device-stile',
    name: 'Stile eight, eared',
    family: 'eared-eight',
    declarations: [
      declared('rappel-double', 'two', 8, 12, ['single', 'half', 'low-stretch']),
      declared('rappel-single', 'one', 9, 13, ['single', 'low-stretch']),
      declared('rappel-fixed', 'one', 9, 13, ['single', 'low-stretch']),
    ],
  },
  {
    ...hardware,
    id: 'device-lintel',
    name: 'Lintel plate',
    family: 'two-sided-plate',
    wear: 'new',
    declarations: [
      declared('rappel-single', 'one', 7.5, 11.5, ['single', 'low-stretch', 'half']),
      declared('tree-stationary', 'one', 9.5, 11.5, ['low-stretch']),
    ],
  },
  {
    ...hardware,
    id: 'device-bough',
    name: 'Bough multi-ascender',
    family: 'multi-ascender',
    declarations: [
      declared('tree-stationary', 'one', 10, 13, ['low-stretch']),
      declared('ascend', 'one', 10, 13, ['low-stretch']),
    ],
  },
  {
    ...hardware,
    id: 'device-burr',
    name: 'Burr clamp',
    family: 'clamp-toothed',
    declarations: [
      declared('ascend', 'one', 8, 12, ['single', 'low-stretch']),
      declared('self-belay-top-rope', 'one', 8, 11),
    ],
  },
];
export const surveyHarness: Harness = {
  id: 'harness-survey',
  kind: 'harness',
  name: 'Survey harness',
  maker: 'Sedgewright Webbing',
  attachment: 'belay-loop',
  legBuckleTakesLoad: 'rated',
  note: '',
};
export const lightHarness: Harness = {
  id: 'harness-light',
  kind: 'harness',
  name: 'Light harness',
  maker: 'Sedgewright Webbing',
  attachment: 'belay-loop',
  legBuckleTakesLoad: 'not-rated',
  note: '',
};

export const clubItems: readonly Item[] = [
  longRope,
  thinRope,
  thickRope,
  groovedTube,
  plainTube,
  ...otherDevices,
  pear,
  secondPear,
  smallD,
  sling,
  longSling,
  shortCord,
  longCord,
  surveyHarness,
  lightHarness,
];

export const ilse: Person = {
  id: 'person-ilse',
  name: 'Ilse Marrowby',
  massKg: 68,
  brakeHand: 'right',
  handForceN: 260,
  armReachMm: 640,
  legLoopDropMm: 170,
  legLoopSideMm: 130,
  kneeRaiseMm: 180,
  note: 'Hand force pulled against the club’s scale.',
};
export const tomas: Person = {
  id: 'person-tomas',
  name: 'Tomas Reedling',
  massKg: 84,
  brakeHand: 'left',
  handForceN: null,
  armReachMm: 690,
  legLoopDropMm: 180,
  legLoopSideMm: 140,
  kneeRaiseMm: 190,
  note: '',
};
export const clubPeople: readonly Person[] = [ilse, tomas];
