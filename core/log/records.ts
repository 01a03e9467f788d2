import { z } from 'zod';
import { checkItemSchema, mayBeAccepted } from '../check/index.ts';
import { SEVERITIES } from '../finding/index.ts';
import { choice, idSchema, instantSchema, line, measure, note } from '../gear/index.ts';
import { setupSchema } from '../rig/index.ts';
import { checkEventSchema } from './events.ts';
import { itemStatus } from './item-status.ts';

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
    const wrong = (path: PropertyKey[], message: string) => ctx.addIssue({ code: 'custom', path, message });
    const items = new Map(record.items.map((item) => [item.id, item]));
    record.items.forEach(({ id }, i) => {
      if (record.items.findIndex((item) => item.id === id) < i)
        wrong(['items', i, 'id'], `the item "${id}" stands twice`);
    });
    record.events.forEach((event, i) => {
      const item = items.get(event.itemId);
      if (!item) return wrong(['events', i, 'itemId'], `no item "${event.itemId}" in this check`);
      if (event.type === 'again' && !items.has(event.because))
        wrong(['events', i, 'because'], `no item "${event.because}" in this check`);
      if (event.type === 'accepted' && !mayBeAccepted(item))
        wrong(['events', i, 'type'], 'this item is not one that somebody can accept');
      if (event.type !== 'saw') return;
      if (event.answer !== item.expected && !item.others.includes(event.answer))
        wrong(['events', i, 'answer'], 'not one of the answers of its item');
      else if (event.asExpected !== (event.answer === item.expected))
        wrong(['events', i, 'asExpected'], `the answer is ${event.asExpected ? 'not ' : ''}the expected one`);
    });
    // A record that says "complete" is what somebody trusts: it must be so by its own answers.
    if (record.outcome === 'complete')
      record.items.forEach((item, i) => {
        const { state } = itemStatus(record, item);
        if (state !== 'done')
          wrong(
            ['items', i],
            `the check is said to be complete, and this item is ${state === 'open' ? 'not closed' : 'failed'}`,
          );
      });
  });
export type CheckRecord = z.infer<typeof checkRecordSchema>;

/** One practice of the hands: what was held, how long, and how much of it off the brake strand. */
export const trainingSchema = z.strictObject({
  id: idSchema,
  at: instantSchema,
  person: z.strictObject({ id: idSchema, name: line('Person', 80, 1) }).nullable(),
  belay: choice({ 'top-rope': 'Top rope', leader: 'Leader' }, 'Belay'),
  device: choice({ tube: 'Tube', cam: 'Assisted cam' }, 'Device'),
  hand: choice({ right: 'Right', left: 'Left' }, 'Brake hand'),
  pace: choice({ calm: 'Calm, without a clock', timed: 'With falls at any time' }, 'Pace'),
  seed: z.number().int().min(0),
  lastedS: z.number().min(0).max(3600),
  offBrakeS: z.number().min(0).max(3600),
  aboveLineS: z.number().min(0).max(3600),
  mostSlackM: z.number().min(0).max(100),
  falls: z
    .array(
      z.strictObject({
        atS: z.number().min(0).max(3600),
        /** From the fall until the hand braked; null: it did not, or braked already. */
        reactionS: z.number().min(0).max(60).nullable(),
        fallenM: z.number().min(0).max(200),
        slidM: z.number().min(0).max(200),
        palmJ: z.number().min(0),
        ended: z.enum(['held', 'ground']),
      }),
    )
    .max(200),
});
export type TrainingRecord = z.infer<typeof trainingSchema>;

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
