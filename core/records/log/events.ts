import { z } from 'zod';
import { HALVES, type CheckItem } from '../../answers/check/index.ts';
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
    /** By two phones: on whose it was written down. */
    who: z.enum(HALVES).nullable(),
    at: instantSchema,
  }),
  // Looked at again, since something of the same system was put right; by one of the two, where only the answer of
  // that one was given without knowing of it.
  z.strictObject({
    type: z.literal('again'),
    itemId: z.string(),
    because: z.string(),
    who: z.enum(HALVES).nullable(),
    at: instantSchema,
  }),
  // A risk that is taken as it is, by name and with a reason.
  z.strictObject({
    type: z.literal('accepted'),
    itemId: z.string(),
    who: z.enum(HALVES),
    reason: z.string().trim().min(5).max(300),
    at: instantSchema,
  }),
  // The answer before came sooner than anybody can look: it is asked for again, once.
  z.strictObject({ type: z.literal('hurried'), itemId: z.string(), who: z.enum(HALVES), at: instantSchema }),
  // Asked the other way round: what was not seen. It agrees when that is all but what was expected.
  z.strictObject({
    type: z.literal('turned'),
    itemId: z.string(),
    who: z.enum(HALVES),
    not: z.array(z.string()),
    agrees: z.boolean(),
    at: instantSchema,
  }),
  // The fault that was planted was answered as if it were not there.
  z.strictObject({ type: z.literal('missed'), itemId: z.string(), who: z.enum(HALVES), at: instantSchema }),
]);
export type CheckEvent = z.infer<typeof checkEventSchema>;

/** What was not seen, asked the other way round: all but what was expected, and nothing else. */
export const agreesTurned = ({ others }: Pick<CheckItem, 'others'>, not: readonly string[]): boolean =>
  not.length === others.length && others.every((other) => not.includes(other));

/** Who answers, and on how many phones. */
export const CHECK_MODES = { alone: 'Alone', 'face-to-face': 'Face to face', 'two-phones': 'By two phones' } as const;

/** How many events of the other phone the phone of one half had read when it had so many of its own. */
export const heardSchema = z.strictObject({
  who: z.enum(HALVES),
  own: z.number().int().min(0),
  other: z.number().int().min(0),
});
export type Heard = z.infer<typeof heardSchema>;
