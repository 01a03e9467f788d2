import type { z } from 'zod';
import { diameterOf, fieldMeta, ITEM_SCHEMAS, personSchema, type Item, type Person } from '@core/things/gear';
import { printQuantity, type UnitSystem } from '@core/foundations/units';
import { isLockerKind, KINDS, LOCKER_KINDS, type LockerKind } from './kind-names';

export { isLockerKind, KINDS, LOCKER_KINDS, type LockerKind };

export const schemaOf = (kind: LockerKind): z.ZodObject => (kind === 'person' ? personSchema : ITEM_SCHEMAS[kind]);

const option = (schema: z.ZodType, key: string) => fieldMeta(schema)?.options?.[key] ?? key;

/** What tells an item from its neighbours, for the list. */
export function factsOf(thing: Item | Person, system: UnitSystem): string[] {
  const say = (value: number, quantity: Parameters<typeof printQuantity>[1]) => printQuantity(value, quantity, system);
  if (!('kind' in thing)) {
    return [
      say(thing.massKg, 'massKg'),
      `brakes with the ${thing.brakeHand} hand`,
      thing.handForceN === null ? 'hand force not measured' : `holds ${say(thing.handForceN, 'forceN')}`,
    ];
  }
  switch (thing.kind) {
    case 'rope': {
      const { measured } = diameterOf(thing);
      return [
        option(ITEM_SCHEMAS.rope.shape.construction, thing.construction),
        measured
          ? `${say(thing.measuredDiameterMm!, 'diameterMm')} measured (label ${say(thing.nominalDiameterMm, 'diameterMm')})`
          : `${say(thing.nominalDiameterMm, 'diameterMm')} label`,
        say(thing.measuredLengthM ?? thing.lengthM, 'lengthM'),
        option(ITEM_SCHEMAS.rope.shape.sheath, thing.sheath).toLowerCase(),
      ];
    }
    case 'device': {
      // A range that holds for several jobs is said once.
      const ranges = [
        ...new Set(
          thing.declarations.map(
            (d) => `${say(d.minDiameterMm, 'diameterMm')} to ${say(d.maxDiameterMm, 'diameterMm')}`,
          ),
        ),
      ];
      return [
        option(ITEM_SCHEMAS.device.shape.family, thing.family),
        ranges.length > 0 ? ranges.join(', ') : 'no range entered',
      ];
    }
    case 'connector':
      return [
        option(ITEM_SCHEMAS.connector.shape.shape, thing.shape),
        option(ITEM_SCHEMAS.connector.shape.lock, thing.lock).toLowerCase(),
        `${say(thing.insideLengthMm, 'lengthMm')} inside`,
      ];
    case 'sling':
      return [option(ITEM_SCHEMAS.sling.shape.material, thing.material), say(thing.loopLengthMm, 'lengthMm')];
    case 'cord':
      return [
        option(ITEM_SCHEMAS.cord.shape.material, thing.material),
        say(thing.measuredDiameterMm ?? thing.nominalDiameterMm, 'diameterMm'),
        thing.loopLengthMm !== null
          ? `loop ${say(thing.loopLengthMm, 'lengthMm')}`
          : thing.cutLengthM !== null
            ? `cut ${say(thing.cutLengthM, 'lengthM')}`
            : 'length not entered',
      ];
    case 'harness':
      return [
        option(ITEM_SCHEMAS.harness.shape.attachment, thing.attachment),
        `leg loops: ${option(ITEM_SCHEMAS.harness.shape.legBuckleTakesLoad, thing.legBuckleTakesLoad).toLowerCase()}`,
      ];
  }
}
