import type { CheckEvent } from './events.ts';

/** Nobody looks, touches and reads three answers in less, ms. */
const LEAST_MS = 2000;

/**
 * Answers that came within two seconds of what happened before: nobody can have looked. Two people answer side by side,
 * each at their own pace.
 */
export function quickAnswers({
  events,
  startedAt,
}: {
  readonly events: readonly CheckEvent[];
  readonly startedAt: string;
}): CheckEvent[] {
  const last = new Map<string, number>();
  let whenever = Date.parse(startedAt);
  return events.filter((event) => {
    const at = Date.parse(event.at);
    if (event.type === 'fixed' || event.type === 'again') {
      last.clear();
      whenever = at;
      return false;
    }
    const before = last.get(event.who) ?? whenever;
    last.set(event.who, at);
    // A clock that was set back says nothing.
    return event.type === 'saw' && at >= before && at - before < LEAST_MS;
  });
}
