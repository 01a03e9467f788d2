import { looksOf, type CheckItem } from '../../answers/check/index.ts';
import type { CheckEvent } from './events.ts';

/** Nobody finds a thing, looks and touches in less, ms; further answers of one look take a tap each. From memory. */
const LOOK_MS = 2000;
const TAP_MS = 500;

interface Paced {
  readonly items: readonly CheckItem[];
  readonly events: readonly CheckEvent[];
  readonly startedAt: string;
}

/**
 * Answers that came so soon after what happened before that nobody can have looked. Two people answer side by side,
 * each at their own pace; what one look answers comes tap by tap. What was asked for again because of it is not among
 * them.
 */
export function quickAnswers({ items, events, startedAt }: Paced): CheckEvent[] {
  const lookOf = new Map(looksOf(items).flatMap((look) => look.map((i) => [i.id, look[0]!.id] as const)));
  const last = new Map<string, { readonly at: number; readonly look: string | undefined }>();
  let whenever = Date.parse(startedAt);
  return events.filter((event, i) => {
    const at = Date.parse(event.at);
    if (event.type === 'fixed' || event.type === 'again') {
      last.clear();
      whenever = at;
      return false;
    }
    const before = last.get(event.who) ?? { at: whenever, look: undefined };
    const look = lookOf.get(event.itemId);
    last.set(event.who, { at, look: event.type === 'hurried' ? undefined : look });
    // It was asked for again.
    const follows = events[i + 1];
    if (follows?.type === 'hurried' && follows.who === event.who && follows.itemId === event.itemId) return false;
    const least = look === before.look ? TAP_MS : LOOK_MS;
    // A clock that was set back, or is behind that of another phone, says nothing: what was said then stands at the
    // very moment of what was said before it.
    return event.type === 'saw' && at > before.at && at - before.at < least;
  });
}
