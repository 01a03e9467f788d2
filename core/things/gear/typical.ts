import { constant } from '../../foundations/sources/index.ts';
import type { TypicalKind } from './assumed.ts';
import { typicalValues } from './typical-values.ts';
import {
  UNDECLARED_DEVICE,
  UNMEASURED_CONNECTOR,
  UNMEASURED_PERSON,
  UNREAD_CORD,
  UNREAD_HARNESS,
  UNREAD_ROPE,
  UNREAD_SLING,
} from './blank.ts';
import { DEVICE_FAMILIES, type Family } from './families.ts';
import type { Connector, Cord, Device, Harness, Item, Rope, Sling } from './items.ts';
import type { Person } from './person.ts';

/** One value that is only typical: its field, and what it could as well be. */
export interface Assumed {
  readonly field: string;
  /** Both ends of a range, or other words; all of them far from each other. */
  readonly others: readonly (string | number)[];
}

/** The values of a thing that are typical of its kind and not its own. */
export const assumedIn = (thing: Item | Person): readonly Assumed[] =>
  thing.assumed.flatMap((field) => {
    const kind: TypicalKind = 'kind' in thing ? thing.kind : 'person';
    const now = (thing as unknown as Readonly<Record<string, unknown>>)[field];
    return [{ field, others: (typicalValues(kind, field) ?? []).filter((value) => value !== now) }];
  });

/** The thing with these values as its own, and no longer as what is typical. */
export const asOwn = <T extends { readonly assumed: readonly string[] }>(thing: T, fields: readonly string[]): T => ({
  ...thing,
  assumed: thing.assumed.filter((f) => !fields.includes(f)),
});

/*
 * One thing of each family and kind to start from. Names are plain words; measures are typical, from memory; what a
 * maker declares is left open, so that nothing that hangs on it becomes clear.
 */
const as = (id: string, name: string) => ({ id, name, maker: '', note: '' });

/** @param diameterMm as on the label. */
export const typicalRope = (
  id: string,
  diameterMm: number,
  construction: Rope['construction'],
  name: string,
): Rope => ({
  ...UNREAD_ROPE,
  ...as(id, name),
  assumed: ['lengthM'],
  construction,
  nominalDiameterMm: diameterMm,
  lengthM: constant('typicalRopeLengthM').best,
});

export const typicalDevice = (id: string, family: Family): Device => ({
  ...as(id, DEVICE_FAMILIES[family]),
  ...UNDECLARED_DEVICE,
  kind: 'device',
  family,
  wear: 'unknown',
  declarations: [],
});

export const typicalConnector = (
  id: string,
  name: string,
  { shape, lock }: Pick<Connector, 'shape' | 'lock'>,
): Connector => ({
  ...as(id, name),
  ...UNMEASURED_CONNECTOR,
  kind: 'connector',
  assumed: ['insideLengthMm'],
  shape,
  lock,
  insideLengthMm: constant('typicalConnectorLengthMm').best,
  broadInsideWidthMm: null,
  strengthMajorKn: null,
  strengthMinorKn: null,
  strengthOpenKn: null,
  condition: 'unknown',
  keeper: 'unknown',
});

export const typicalSling = (id: string, loopLengthMm: number): Sling => ({
  ...UNREAD_SLING,
  ...as(id, `Sling of ${loopLengthMm / 10} cm`),
  assumed: ['widthMm'],
  widthMm: constant('typicalSlingWidthMm').best,
  loopLengthMm,
});

export const typicalCord = (id: string, diameterMm: number): Cord => ({
  ...UNREAD_CORD,
  ...as(id, `Cord of ${diameterMm} mm, tied to a loop`),
  assumed: ['cutLengthM'],
  nominalDiameterMm: diameterMm,
  cutLengthM: constant('typicalCordCutM').best,
});

export const typicalHarness = (id: string): Harness => ({
  ...UNREAD_HARNESS,
  ...as(id, 'Harness with a belay loop'),
  attachment: 'belay-loop',
});

/** Somebody of whom only the mass and the hand are said. */
export const typicalPerson = (
  id: string,
  name: string,
  { massKg, brakeHand }: Pick<Person, 'massKg' | 'brakeHand'>,
): Person => ({
  ...UNMEASURED_PERSON,
  id,
  name,
  massKg,
  brakeHand,
  armReachMm: constant('typicalArmReachMm').best,
  legLoopDropMm: constant('typicalLegLoopDropMm').best,
  legLoopSideMm: constant('typicalLegLoopSideMm').best,
  kneeRaiseMm: constant('typicalKneeRaiseMm').best,
  assumed: ['armReachMm', 'legLoopDropMm', 'legLoopSideMm', 'kneeRaiseMm'],
});

/** One of each family and kind, for a locker to start from; the ids are fresh ones from `newId`. */
export function typicalItems(newId: () => string): readonly Item[] {
  return [
    typicalRope(newId(), 9.8, 'single', 'Single rope of 9.8 mm'),
    typicalRope(newId(), 8.6, 'half', 'Half rope of 8.6 mm'),
    typicalRope(newId(), 11, 'low-stretch', 'Low-stretch rope of 11 mm'),
    // A knot that is tied needs no place in a locker.
    ...(Object.keys(DEVICE_FAMILIES) as Family[])
      .filter((family) => family !== 'munter')
      .map((family) => typicalDevice(newId(), family)),
    typicalConnector(newId(), 'Pear connector with a screw sleeve', { shape: 'hms', lock: 'screw' }),
    typicalConnector(newId(), 'Pear connector that locks itself', { shape: 'hms', lock: 'three-action' }),
    typicalConnector(newId(), 'D connector with a screw sleeve', { shape: 'offset-d', lock: 'screw' }),
    typicalConnector(newId(), 'Oval connector with a screw sleeve', { shape: 'oval', lock: 'screw' }),
    typicalSling(newId(), 600),
    typicalSling(newId(), 1200),
    typicalCord(newId(), 5),
    typicalCord(newId(), 6),
    typicalCord(newId(), 7),
    typicalHarness(newId()),
  ];
}

/** The measures of a thing that most of its verdicts hang on, to ask for first when it becomes one's own. */
export const ASK_FIRST = {
  rope: ['measuredDiameterMm', 'measuredLengthM', 'sheath'],
  device: ['declarations', 'wear', 'eyeMm'],
  connector: ['insideLengthMm', 'strengthMajorKn', 'lock'],
  sling: ['loopLengthMm', 'strengthKn', 'material'],
  cord: ['loopLengthMm', 'measuredDiameterMm', 'material'],
  harness: ['attachment', 'legBuckleTakesLoad', 'condition'],
  person: ['massKg', 'armReachMm', 'legLoopDropMm'],
} as const satisfies Record<TypicalKind, readonly string[]>;
