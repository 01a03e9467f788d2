import { againAfter, halvesOf, isOpen, looksOf, type CheckItem, type Half } from '../../answers/check/index.ts';
import type { CheckEvent } from './events.ts';
import { confirmers, itemStatus, type Answered } from './item-status.ts';
import type { CheckRecord } from './check-record.ts';

type Begun = Pick<CheckRecord, 'id' | 'mode' | 'setup' | 'verdict' | 'items' | 'startedAt'> &
  Partial<Pick<CheckRecord, 'depth' | 'since' | 'leftOut'>>;

/** A check that begins: the whole one, unless it is said how much is looked at. */
export const beginCheck = (begun: Begun): CheckRecord => ({
  depth: 'whole',
  since: null,
  leftOut: [],
  ...begun,
  events: [],
  endedAt: null,
  outcome: 'running',
  note: '',
});

type Running = Answered & Pick<CheckRecord, 'items'>;
/** The first item that is not done, or null when all are. */
export const nextItem = (record: Running): CheckItem | null =>
  record.items.find((item) => itemStatus(record, item).state !== 'done') ?? null;

/** What the plan left open and nobody has answered yet: that comes before the check. */
export const openBefore = (record: Running): CheckItem[] =>
  record.items.filter((item) => isOpen(item) && itemStatus(record, item).state !== 'done');

/** What one of the two is asked for, look by look. */
export const looksFor = (record: Omit<Running, 'events'>, half: Half): CheckItem[][] =>
  looksOf(record.items.filter((item) => !isOpen(item) && confirmers(record, item).includes(half)));

/**
 * The look that one of the two stands before: where something failed, that, for both; else the first in which they
 * have something to answer. null: there is nothing left for them.
 */
export function nextLook(record: Running, half: Half): CheckItem[] | null {
  const failed = record.items.find((item) => itemStatus(record, item).state === 'failed');
  if (failed) return [failed];
  const waits = (item: CheckItem) => !itemStatus(record, item).confirmed.includes(half);
  return looksFor(record, half).find((look) => look.some(waits)) ?? null;
}

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
const notBefore = ({ events, startedAt }: CheckRecord, at: string): string => {
  const last = events.at(-1)?.at ?? startedAt;
  return Date.parse(at) < Date.parse(last) ? last : at;
};

/** Adds an event to a running check; a check that has ended stays as it is. */
export const withEvent = (record: CheckRecord, event: CheckEvent): CheckRecord =>
  record.outcome === 'running'
    ? { ...record, events: [...record.events, { ...event, at: notBefore(record, event.at) }] }
    : record;

/**
 * Something was put right: its item opens again, and with it what belongs to the same system and was already answered
 * by anybody. What failed beside it stays failed until it is put right itself.
 */
export function putRight(record: CheckRecord, item: CheckItem, note: string, at: string): CheckRecord {
  const touched = againAfter(item, record).filter((other) => itemStatus(record, other).confirmed.length > 0);
  return [
    { type: 'fixed', itemId: item.id, note, at } as const,
    ...touched.map((other) => ({ type: 'again', itemId: other.id, because: item.id, at }) as const),
  ].reduce<CheckRecord>(withEvent, record);
}

/** Ends a check: complete only when every item is done, otherwise the record is returned as it was. */
export function endCheck(record: CheckRecord, outcome: 'complete' | 'abandoned', at: string): CheckRecord {
  if (record.outcome !== 'running' || (outcome === 'complete' && nextItem(record) !== null)) return record;
  return { ...record, outcome, endedAt: notBefore(record, at) };
}

/** Names of the two who check each other. null: nobody is chosen. */
export const checkers = (setup: Pick<CheckRecord['setup'], 'persons'>): Readonly<Record<Half, string | null>> => {
  const { climber, partner } = halvesOf(setup);
  return { climber: climber?.item?.name ?? null, partner: partner?.item?.name ?? null };
};
