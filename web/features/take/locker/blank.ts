import { z } from 'zod';
import { fieldMeta, typicalPerson } from '@core/things/gear';
import { schemaOf, type LockerKind } from './kinds';

/**
 * Lengths of a person of middle size, marked as that, so that a new person is near the truth before anybody measures.
 */
function personStart() {
  const { armReachMm, legLoopDropMm, legLoopSideMm, kneeRaiseMm, assumed } = typicalPerson('start', '', {
    massKg: 75,
    brakeHand: 'right',
  });
  return { armReachMm, legLoopDropMm, legLoopSideMm, kneeRaiseMm, assumed };
}

function blankValue(schema: z.ZodType): unknown {
  const options = fieldMeta(schema)?.options;
  if (options) return 'unknown' in options ? 'unknown' : Object.keys(options)[0];
  if (schema instanceof z.ZodLiteral) return schema.value;
  if (schema instanceof z.ZodArray) return [];
  return schema instanceof z.ZodString ? '' : null;
}

/** A form with nothing entered: what is not known is unknown, numbers are empty. */
export function blankOf(kind: LockerKind, id: string): Record<string, unknown> {
  const values = Object.fromEntries(
    Object.entries(schemaOf(kind).shape).map(([key, schema]) => [key, blankValue(schema as z.ZodType)]),
  );
  return { ...values, ...(kind === 'person' ? personStart() : {}), id };
}
