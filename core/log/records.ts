import { z } from 'zod';
import { checkItemSchema } from '../check/index.ts';
import { SEVERITIES } from '../finding/index.ts';
import { choice, idSchema, instantSchema, line, measure, note } from '../gear/index.ts';
import { setupSchema } from '../rig/index.ts';

export const WHO = ['climber', 'partner'] as const;
export type Who = (typeof WHO)[number];

/** What happened during a check, in order. Nothing is taken back: a failed item stays in the record with its repair. */
export const checkEventSchema = z.discriminatedUnion('type', [
  z.strictObject({
    type: z.literal('saw'),
    itemId: z.string(),
    who: z.enum(WHO),
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
]);
export type CheckEvent = z.infer<typeof checkEventSchema>;

export const checkRecordSchema = z
  .strictObject({
    id: idSchema,
    mode: choice({ alone: 'Alone', 'face-to-face': 'Face to face' }, 'Check'),
    /** The set-up as it stood when the check began. */
    setup: setupSchema,
    verdict: z.enum(SEVERITIES),
    items: z.array(checkItemSchema).min(1),
    events: z.array(checkEventSchema),
    startedAt: instantSchema,
    endedAt: instantSchema.nullable(),
    outcome: z.enum(['running', 'complete', 'abandoned']),
    note: note(),
  })
  .superRefine((record, ctx) => {
    if ((record.outcome === 'running') !== (record.endedAt === null)) {
      ctx.addIssue({ code: 'custom', path: ['endedAt'], message: 'a running check has no end, an ended one has' });
    }
    const ids = new Set(record.items.map((item) => item.id));
    record.events.forEach((event, i) => {
      if (!ids.has(event.itemId))
        ctx.addIssue({
          code: 'custom',
          path: ['events', i, 'itemId'],
          message: `no item "${event.itemId}" in this check`,
        });
    });
  });
export type CheckRecord = z.infer<typeof checkRecordSchema>;

export const usageSchema = z.strictObject({
  id: idSchema,
  at: instantSchema,
  setupId: idSchema.nullable(),
  setupName: line('Set-up', 80),
  people: z.array(line('Person', 80, 1)).max(10),
  outcome: choice(
    { 'as-planned': 'As planned', odd: 'Something was odd', 'turned-back': 'Turned back' },
    'How it went',
  ),
  descents: measure('count', 1, 99, 'Descents'),
  note: note(),
});
export type UseRecord = z.infer<typeof usageSchema>;
