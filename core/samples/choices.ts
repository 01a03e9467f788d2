import { assessChoice } from '../assess-choice.ts';
import type { WayTest } from '../connector/index.ts';
import type { Choice } from '../rig/index.ts';
import { clubItems, ilse, keptPear, longRope, oval, pear, thickRope, tomas } from './club.ts';

const device = (id: string) => {
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

const taken = (choice: Omit<Choice, 'findings'>): Choice => ({
  ...choice,
  findings: structuredClone(assessChoice(choice).findings) as Choice['findings'],
});
/** When the demo’s choices were made. */
export const CHOICE_DAY = '2026-09-05T18:00:00.000Z';
const base = {
  hitchKind: 'autoblock',
  hitchWraps: 4,
  createdAt: CHOICE_DAY,
  updatedAt: CHOICE_DAY,
  note: '',
} as const;

/** A top rope on the training wall, with a cam device. */
export const topRopeCam: Choice = taken({
  ...base,
  id: 'choice-wall',
  name: 'Training wall, top rope',
  question: { job: 'belay-top-rope', heightM: 14, weather: 'dry', climber: ilse, belayer: tomas },
  gear: { ropeA: longRope, ropeB: null, device: device('device-sill'), connector: keptPear, hitchCord: null },
  way: { end: 'broad', from: 'right', gate: 'free' },
  tests: [],
});

/** A beech, with a multi-ascender on a rope that is thin for it. */
export const beechMulti: Choice = taken({
  ...base,
  id: 'choice-beech',
  name: 'Beech 4, stationary line',
  question: { job: 'tree-stationary', heightM: 18, weather: 'dry', climber: tomas, belayer: null },
  gear: { ropeA: thickRope, ropeB: null, device: device('device-bough'), connector: oval, hitchCord: null },
  way: { end: 'broad', from: 'left', gate: 'free' },
  tests: [],
});

export const demoChoices: readonly Choice[] = [topRopeCam, beechMulti];
