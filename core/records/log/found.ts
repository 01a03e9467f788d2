import { checkPartOf, kindOf, type CheckItem } from '../../answers/check/index.ts';
import type { CheckRecord } from './check-record.ts';
import { quickAnswers } from './pace.ts';

/** One thing that checks found wrong. */
export interface FoundThing {
  /** Its item as it was asked last, and what was seen. */
  readonly item: CheckItem;
  readonly answer: string;
  readonly times: number;
  readonly lastAt: string;
  /** What was put right the last time; null: nobody said. */
  readonly putRight: string | null;
}

/** What the checks of a time found, and in how many nothing could be found. */
export interface ChecksFound {
  readonly checks: number;
  readonly complete: number;
  /** In how many something was wrong that nobody had planted. */
  readonly withFault: number;
  /** Most often first. */
  readonly things: readonly FoundThing[];
  /** At least half of the answers came sooner than anybody can look, so that nothing could be found. */
  readonly notLooked: number;
  readonly planted: { readonly found: number; readonly missed: number };
}

/** At least half of what was answered was answered too soon to have looked. */
function nobodyLooked(check: CheckRecord): boolean {
  const answers = check.events.filter((e) => e.type === 'saw').length;
  const hurried = check.events.filter((e) => e.type === 'hurried').length;
  return answers > 0 && (quickAnswers(check).length + hurried) * 2 >= answers;
}

const notPlanted = ({ planted }: CheckRecord, itemId: string): boolean => planted?.itemId !== itemId;

/** What a check found wrong, with what was put right; without what was planted. */
const faultsOf = (check: CheckRecord) =>
  check.events.flatMap((event, i) => {
    const item = check.items.find((x) => x.id === event.itemId);
    if (event.type !== 'saw' || event.asExpected || !item || checkPartOf(item) === 'open') return [];
    if (!notPlanted(check, item.id)) return [];
    const fixed = check.events.slice(i).find((e) => e.type === 'fixed' && e.itemId === item.id);
    return [{ item, answer: event.answer, at: event.at, putRight: fixed?.type === 'fixed' ? fixed.note : null }];
  });

/**
 * What checks found from a moment on.
 *
 * @param checks in any order; those that still run do not count.
 */
export function checksFound(checks: readonly CheckRecord[], from: Date): ChecksFound {
  const ended = checks
    .filter((c) => c.outcome !== 'running' && new Date(c.startedAt) >= from)
    .sort((a, b) => (a.startedAt < b.startedAt ? -1 : 1));
  const things = new Map<string, FoundThing>();
  for (const { item, answer, at, putRight } of ended.flatMap(faultsOf)) {
    const key = `${kindOf(item)}/${answer}`;
    const before = things.get(key);
    things.set(key, {
      item,
      answer,
      times: (before?.times ?? 0) + 1,
      lastAt: at,
      putRight: putRight ?? before?.putRight ?? null,
    });
  }
  const planted = ended.filter((c) => c.planted?.at);
  const missed = planted.filter((c) => c.events.some((e) => e.type === 'missed')).length;
  const found = planted.filter((c) =>
    c.events.some((e) => e.type === 'saw' && !e.asExpected && e.itemId === c.planted!.itemId),
  );
  return {
    checks: ended.length,
    complete: ended.filter((c) => c.outcome === 'complete').length,
    withFault: ended.filter((c) => faultsOf(c).length > 0).length,
    things: [...things.values()].sort((a, b) => b.times - a.times || (a.lastAt < b.lastAt ? 1 : -1)),
    notLooked: ended.filter(nobodyLooked).length,
    planted: {
      missed,
      found: found.filter((c) => !c.events.some((e) => e.type === 'missed')).length,
    },
  };
}
