import { z } from 'zod';
import {
  checkItemSchema,
  CHECK_DEPTHS,
  HALVES,
  isLeast,
  mayBeAccepted,
  neverLeftOut,
  SINCE,
  type CheckItem,
  type Since,
} from '../../answers/check/index.ts';
import { SEVERITIES } from '../../foundations/finding/index.ts';
import { choice, idSchema, instantSchema, note } from '../../things/gear/index.ts';
import { setupSchema } from '../../rigs/rig/index.ts';
import { agreesTurned, checkEventSchema, CHECK_MODES, heardSchema, type CheckEvent } from './events.ts';
import { itemStatus } from './item-status.ts';

/** Where an event does not fit its item; null: it does. */
function misfit(item: CheckItem, event: CheckEvent): { readonly at: string; readonly message: string } | null {
  if (event.type === 'accepted' && !mayBeAccepted(item))
    return { at: 'type', message: 'this item is not one that somebody can accept' };
  if (event.type === 'turned' && event.agrees !== agreesTurned(item, event.not))
    return { at: 'agrees', message: `what was not seen does ${event.agrees ? 'not ' : ''}agree with the answer` };
  if (event.type !== 'saw') return null;
  if (event.answer !== item.expected && !item.others.includes(event.answer))
    return { at: 'answer', message: 'not one of the answers of its item' };
  return event.asExpected === (event.answer === item.expected)
    ? null
    : { at: 'asExpected', message: `the answer is ${event.asExpected ? 'not ' : ''}the expected one` };
}

export const checkRecordSchema = z
  .strictObject({
    id: idSchema,
    mode: choice(CHECK_MODES, 'Check'),
    /** By two phones: the half that was answered on this one. */
    half: z.enum(HALVES).nullable(),
    /** By two phones: how much of the other one a phone had read, and when. */
    heard: z.array(heardSchema),
    /** A fault that one of the two planted by agreement, and when it was done; it has to be found by the other. */
    planted: z.strictObject({ by: z.enum(HALVES), itemId: z.string(), at: instantSchema.nullable() }).nullable(),
    depth: choice(CHECK_DEPTHS, 'How much is looked at'),
    /** Of a next go: the check that it goes on from, when that ended, and what happened since. */
    since: z
      .strictObject({ check: idSchema, at: instantSchema, what: z.enum(Object.keys(SINCE) as [Since, ...Since[]]) })
      .nullable(),
    /** Titles of what a whole check would have looked at besides. */
    leftOut: z.array(z.string()),
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
    if ((record.depth === 'next-go') !== (record.since !== null))
      wrong(['since'], 'a next go says what it goes on from, and no other check does');
    if ((record.mode === 'two-phones') !== (record.half !== null))
      wrong(['half'], 'a check by two phones says whose half was answered here, and no other check does');
    const beganAt = Date.parse(record.startedAt);
    const endedAt = record.endedAt === null ? Infinity : Date.parse(record.endedAt);
    if (endedAt < beganAt) wrong(['endedAt'], 'the check ended before it began');
    const items = new Map(record.items.map((item) => [item.id, item]));
    record.items.forEach(({ id }, i) => {
      if (record.items.findIndex((item) => item.id === id) < i)
        wrong(['items', i, 'id'], `the item "${id}" stands twice`);
    });
    if (record.planted && !items.has(record.planted.itemId))
      wrong(['planted', 'itemId'], `no item "${record.planted.itemId}" in this check`);
    const failed = new Set<string>();
    record.events.forEach((event, i) => {
      const at = Date.parse(event.at);
      if (at < beganAt || at > endedAt)
        wrong(['events', i, 'at'], at < beganAt ? 'before the check began' : 'after the check had ended');
      const item = items.get(event.itemId);
      if (!item) return wrong(['events', i, 'itemId'], `no item "${event.itemId}" in this check`);
      if (event.type === 'again' && !items.has(event.because))
        wrong(['events', i, 'because'], `no item "${event.because}" in this check`);
      // By two phones both may have put the same thing right before either knew of the other.
      if (event.type === 'fixed' && !failed.delete(item.id) && record.mode !== 'two-phones')
        wrong(['events', i], 'put right, and nothing had failed here');
      if ((event.type === 'saw' && !event.asExpected) || event.type === 'missed') failed.add(item.id);
      if (event.type === 'missed' && record.planted?.itemId !== item.id)
        wrong(['events', i], 'nothing was planted here');
      const told = misfit(item, event);
      if (told) wrong(['events', i, told.at], told.message);
    });
    // A record that says "complete" is what somebody trusts: it must be so by its own answers.
    if (record.outcome !== 'complete') return;
    const [first, ...more] = neverLeftOut(record.setup)
      .filter((item) => record.depth === 'whole' || isLeast(item))
      .filter(({ id }) => !items.has(id));
    if (first)
      wrong(
        ['items'],
        `the check is said to be complete, and of what its set-up asks for there was not looked at “${first.title}”${more.length > 0 ? ` and ${more.length} more` : ''}`,
      );
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
