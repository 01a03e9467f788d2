import type { CheckItem } from '../check/index.ts';
import { WHO, type CheckEvent, type CheckRecord, type Who } from './records.ts';

export type ItemState = 'open' | 'failed' | 'done';

export interface ItemStatus {
  readonly state: ItemState;
  /** Who has confirmed since the last repair. */
  readonly confirmed: readonly Who[];
  /** The answer that failed it, when it is failed. */
  readonly failedAnswer: string | null;
}

/** Who has to confirm each item. */
export const confirmers = (mode: CheckRecord['mode']): readonly Who[] => (mode === 'alone' ? ['climber'] : WHO);

/**
 * State of one item, replayed from the events: an unexpected answer fails it; only a repair opens it again, and then everybody
 * confirms anew. Answers given while it is failed do not count.
 */
export function itemStatus(record: Pick<CheckRecord, 'mode' | 'events'>, item: Pick<CheckItem, 'id'>): ItemStatus {
  let failedAnswer: string | null = null;
  let confirmed: Who[] = [];
  for (const event of record.events) {
    if (event.itemId !== item.id) continue;
    if (event.type === 'fixed') {
      failedAnswer = null;
      confirmed = [];
    } else if (failedAnswer === null) {
      if (!event.asExpected) {
        failedAnswer = event.answer;
        confirmed = [];
      } else if (!confirmed.includes(event.who)) {
        confirmed.push(event.who);
      }
    }
  }
  const done = failedAnswer === null && confirmers(record.mode).every((who) => confirmed.includes(who));
  return { state: failedAnswer !== null ? 'failed' : done ? 'done' : 'open', confirmed, failedAnswer };
}

/** The item to stand before: the first that is not done, or null when all are. */
export const nextItem = (record: Pick<CheckRecord, 'mode' | 'events' | 'items'>): CheckItem | null =>
  record.items.find((item) => itemStatus(record, item).state !== 'done') ?? null;

/** The event of an answer. */
export const sawEvent = (item: CheckItem, who: Who, answer: string, at: string): CheckEvent => ({
  type: 'saw',
  itemId: item.id,
  who,
  answer,
  asExpected: answer === item.expected,
  at,
});

/** Adds an event to a running check; a check that has ended stays as it is. */
export const withEvent = (record: CheckRecord, event: CheckEvent): CheckRecord =>
  record.outcome === 'running' ? { ...record, events: [...record.events, event] } : record;

/** Ends a check: complete only when every item is done, otherwise the record is returned as it was. */
export function endCheck(record: CheckRecord, outcome: 'complete' | 'abandoned', at: string): CheckRecord {
  if (record.outcome !== 'running' || (outcome === 'complete' && nextItem(record) !== null)) return record;
  return { ...record, outcome, endedAt: at };
}

/** Names of the two who check each other: who hangs first, and who belays, follows or comes along. null: nobody is chosen. */
export const checkers = ({ persons }: CheckRecord['setup']): { climber: string | null; partner: string | null } => {
  const [first, ...others] = persons;
  const other = others.find((p) => p.role === 'belayer') ?? others[0];
  return { climber: first?.item?.name ?? null, partner: other?.item?.name ?? null };
};
