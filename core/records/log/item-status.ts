import { WHO, type CheckEvent, type Who } from './events.ts';

export type ItemState = 'open' | 'failed' | 'done';

export interface ItemStatus {
  readonly state: ItemState;
  /** Who has confirmed since the last repair. */
  readonly confirmed: readonly Who[];
  /** The answer that failed it, when it is failed. */
  readonly failedAnswer: string | null;
}

export type CheckMode = 'alone' | 'face-to-face';

/** Who has to confirm each item. */
export const confirmers = (mode: CheckMode): readonly Who[] => (mode === 'alone' ? ['climber'] : WHO);

/**
 * State of one item, replayed from the events: an unexpected answer fails it; what somebody accepts by name counts as
 * confirmed by them; only a repair opens it again, and then everybody confirms anew; so they do what is looked at again
 * because something beside it was put right. Answers given while it is failed do not count.
 */
export function itemStatus(
  record: { readonly mode: CheckMode; readonly events: readonly CheckEvent[] },
  item: { readonly id: string },
): ItemStatus {
  let failedAnswer: string | null = null;
  let confirmed: Who[] = [];
  for (const event of record.events) {
    if (event.itemId !== item.id) continue;
    if (event.type === 'fixed') {
      failedAnswer = null;
      confirmed = [];
    } else if (event.type === 'again') {
      confirmed = [];
    } else if (failedAnswer === null) {
      if (event.type === 'saw' && !event.asExpected) {
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
