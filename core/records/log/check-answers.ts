import { againAfter, isOpen, type CheckItem, type Half } from '../../answers/check/index.ts';
import type { CheckRecord } from './check-record.ts';
import { nextItem, stillPlanted } from './check-run.ts';
import { agreesTurned, type CheckEvent } from './events.ts';
import { itemStatus } from './item-status.ts';
import { quickAnswers } from './pace.ts';

/** The event of an answer. */
export const sawEvent = (item: CheckItem, who: Half, answer: string, at: string): CheckEvent => ({
  type: 'saw',
  itemId: item.id,
  who,
  answer,
  asExpected: answer === item.expected,
  at,
});

/**
 * `at`, or when the record last heard something: a clock that is set back during a check makes no answer older than the
 * one before it.
 */
const notBefore = ({ events, startedAt }: CheckRecord, at: string): string =>
  // Those of two phones do not stand in the order of their clocks.
  [startedAt, ...events.map((e) => e.at)].reduce((a, b) => (Date.parse(b) > Date.parse(a) ? b : a), at);

/** Adds an event to a running check; a check that has ended stays as it is. */
export const withEvent = (record: CheckRecord, event: CheckEvent): CheckRecord =>
  record.outcome === 'running'
    ? { ...record, events: [...record.events, { ...event, at: notBefore(record, event.at) }] }
    : record;

/**
 * One of the two said what they see. What came sooner than anybody can look is asked for again, once; a planted fault
 * that was not seen fails.
 */
export function saw(record: CheckRecord, item: CheckItem, who: Half, answer: string, at: string): CheckRecord {
  const next = withEvent(record, sawEvent(item, who, answer, at));
  if (next === record || answer !== item.expected || isOpen(item)) return next;
  const about = { itemId: item.id, who, at };
  const hurriedBefore = record.events.some((e) => e.type === 'hurried' && e.itemId === item.id && e.who === who);
  if (!hurriedBefore && quickAnswers(next).includes(next.events.at(-1)!))
    return withEvent(next, { type: 'hurried', ...about });
  return stillPlanted(record)?.itemId === item.id ? withEvent(next, { type: 'missed', ...about }) : next;
}

/** What one of the two says they did not see, when an item comes back the other way round. */
export const sawNot = (record: CheckRecord, item: CheckItem, who: Half, not: string[], at: string): CheckRecord =>
  withEvent(record, { type: 'turned', itemId: item.id, who, not, agrees: agreesTurned(item, not), at });

/**
 * Something was put right: its item opens again, and with it what belongs to the same system and was already answered
 * by anybody. What failed beside it stays failed until it is put right itself.
 */
export const putRight = (record: CheckRecord, item: CheckItem, note: string, at: string): CheckRecord =>
  [
    { type: 'fixed', itemId: item.id, note, who: record.half, at } as const,
    ...openedAgain(record, item, at),
  ].reduce<CheckRecord>(withEvent, record);

/** That what belongs to `item` and was answered is looked at again. */
export const openedAgain = (record: CheckRecord, item: CheckItem, at: string): CheckEvent[] =>
  againAfter(item, record)
    .filter((other) => itemStatus(record, other).confirmed.length > 0)
    .map(({ id }) => ({ type: 'again', itemId: id, because: item.id, who: null, at }));

/** Ends a check: complete only when every item is done, otherwise the record is returned as it was. */
export function endCheck(record: CheckRecord, outcome: 'complete' | 'abandoned', at: string): CheckRecord {
  if (record.outcome !== 'running' || (outcome === 'complete' && nextItem(record) !== null)) return record;
  return { ...record, outcome, endedAt: notBefore(record, at) };
}
