import { z } from 'zod';
import { HALVES } from '../../answers/check/index.ts';
import { instantSchema } from '../../things/gear/index.ts';

/** What happened during a check, in order. Nothing is taken back: a failed item stays in the record with its repair. */
export const checkEventSchema = z.discriminatedUnion('type', [
  z.strictObject({
    type: z.literal('saw'),
    itemId: z.string(),
    who: z.enum(HALVES),
    answer: z.string(),
    asExpected: z.boolean(),
    at: instantSchema,
  }),
  z.strictObject({
    type: z.literal('fixed'),
    itemId: z.string(),
    note: z.string().trim().min(1).max(500),
    at: instantSchema,
  }),
  // Looked at again, since something of the same system was put right.
  z.strictObject({ type: z.literal('again'), itemId: z.string(), because: z.string(), at: instantSchema }),
  // A risk that is taken as it is, by name and with a reason.
  z.strictObject({
    type: z.literal('accepted'),
    itemId: z.string(),
    who: z.enum(HALVES),
    reason: z.string().trim().min(5).max(300),
    at: instantSchema,
  }),
]);
export type CheckEvent = z.infer<typeof checkEventSchema>;
