import { askedOf, isOpen, type CheckItem, type Half } from '../../answers/check/index.ts';
import type { Setup } from '../../rigs/rig/index.ts';
import type { CHECK_MODES, CheckEvent } from './events.ts';

export type ItemState = 'open' | 'failed' | 'done';

export interface ItemStatus {
  readonly state: ItemState;
  /** Who has confirmed since the last repair. */
  readonly confirmed: readonly Half[];
  /** What each said since the last repair, in their order; what failed it among it. */
  readonly answers: readonly { readonly who: Half; readonly answer: string }[];
}

type Asked = Pick<CheckItem, 'id' | 'part'>;
export interface Answered {
  readonly mode: keyof typeof CHECK_MODES;
  readonly setup: Setup;
  readonly events: readonly CheckEvent[];
}

/** Who has to confirm an item. */
export const confirmers = ({ mode, setup }: Pick<Answered, 'mode' | 'setup'>, item: Asked): readonly Half[] =>
  mode === 'alone' ? ['climber'] : askedOf(item, setup);

/**
 * State of one item, replayed from the events: an unexpected answer fails it; what somebody accepts by name counts as
 * confirmed by them; only a repair opens it again, and then everybody confirms anew; so they do what is looked at again
 * because something beside it was put right. An answer that was hurried, or that does not agree with what its half says
 * the other way round, is asked for again. Answers given while it is failed do not count.
 */
export function itemStatus(record: Answered, item: Asked): ItemStatus {
  const told = record.events.filter((e) => e.itemId === item.id).reduce(after, NOTHING_SAID);
  const { failed, seen, confirmed, answers } = told;
  // What the plan left open is found out by one; to go on with it as it is, each agrees.
  const done = (isOpen(item) && seen) || confirmers(record, item).every((half) => confirmed.includes(half));
  return { state: failed ? 'failed' : done ? 'done' : 'open', confirmed, answers };
}

interface Told extends Pick<ItemStatus, 'confirmed' | 'answers'> {
  readonly failed: boolean;
  /** Somebody saw what was expected, and did not only accept what is there. */
  readonly seen: boolean;
}
const NOTHING_SAID: Told = { failed: false, seen: false, confirmed: [], answers: [] };

/** What has been said of an item after one more event about it. */
function after(told: Told, event: CheckEvent): Told {
  if (event.type === 'fixed') return NOTHING_SAID;
  if (told.failed) return told;
  const { who } = event;
  if (who === null) return NOTHING_SAID;
  if (event.type === 'missed') return { failed: true, seen: false, confirmed: [], answers: told.answers };
  if (event.type === 'hurried' || event.type === 'turned' || event.type === 'again')
    return event.type === 'turned' && event.agrees
      ? told
      : {
          ...told,
          confirmed: told.confirmed.filter((half) => half !== who),
          answers: told.answers.filter((a) => a.who !== who),
        };
  if (event.type === 'accepted') return { ...told, confirmed: withHalf(told.confirmed, who) };
  const answers = [...told.answers, { who, answer: event.answer }];
  if (!event.asExpected) return { failed: true, seen: false, confirmed: [], answers };
  return { ...told, seen: true, confirmed: withHalf(told.confirmed, who), answers };
}

const withHalf = (confirmed: readonly Half[], who: Half): readonly Half[] =>
  confirmed.includes(who) ? confirmed : [...confirmed, who];
