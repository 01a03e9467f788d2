import equal from 'fast-deep-equal';
import { againAfter, isOpen, otherOf, type Half } from '../../answers/check/index.ts';
import { openedAgain } from './check-answers.ts';
import type { CheckRecord } from './check-record.ts';
import type { CheckEvent, Heard } from './events.ts';
import { itemStatus } from './item-status.ts';

/*
 * What two phones said of one check, in one order that follows from what was said alone, so that it is the same on
 * both. Clocks are not trusted: a half that answered without knowing of a repair on the other phone looks again,
 * so that nothing counts as seen that was put right after it was looked at.
 */

/** On whose phone it was said: what was found out before the check, on the one where it was begun. */
const authorOf = (event: Exclude<CheckEvent, { type: 'again' }>): Half =>
  isOpen({ id: event.itemId }) ? 'climber' : (event.who ?? 'climber');

type Said = Exclude<CheckEvent, { type: 'again' }>;
/** What was said on one phone, in its order; what opens again follows from it. */
export const chainOf = (events: readonly CheckEvent[], half: Half): Said[] =>
  events.filter((e): e is Said => e.type !== 'again' && authorOf(e) === half);

/** The longer of two chains of which one begins the other; null: they are not of one phone. */
function longer(a: readonly Said[], b: readonly Said[]): readonly Said[] | null {
  const [short, long] = a.length < b.length ? [a, b] : [b, a];
  return equal(long.slice(0, short.length), short) ? long : null;
}

/**
 * A check with what the other phone said, as this one knows it from now on. null: the two do not tell of the same
 * check.
 */
export function together(
  record: CheckRecord,
  theirs: { readonly events: readonly CheckEvent[]; readonly heard: readonly Heard[] },
): CheckRecord | null {
  const climber = longer(chainOf(record.events, 'climber'), chainOf(theirs.events, 'climber'));
  const partner = longer(chainOf(record.events, 'partner'), chainOf(theirs.events, 'partner'));
  if (!climber || !partner || record.half === null) return null;
  const chains = { climber, partner };
  const heard = [...record.heard, ...theirs.heard.filter((h) => !record.heard.some((own) => equal(own, h)))];
  const here = { who: record.half, own: chains[record.half].length, other: chains[otherOf(record.half)].length };
  const known = heard.some((h) => equal(h, here)) ? heard : [...heard, here];
  const events = inOneOrder(record, chains, known);
  // Each waits for what it had heard of: a code that says otherwise leaves something out.
  const all = events.filter((e) => e.type !== 'again').length === climber.length + partner.length;
  return all ? { ...record, heard: known, events } : null;
}

type Chains = Readonly<Record<Half, readonly Said[]>>;

function inOneOrder(record: CheckRecord, chains: Chains, heard: readonly Heard[]): CheckEvent[] {
  /** How much of the other’s chain a phone had read when it said its event number `at`. */
  const knew = (half: Half, at: number): number =>
    heard.reduce((most, h) => (h.who === half && h.own <= at ? Math.max(most, h.other) : most), 0);
  const done: Record<Half, number> = { climber: 0, partner: 0 };
  /** Repairs that the phone of one half did not know of when it went on. */
  let unheard: { readonly half: Half; readonly by: number; readonly itemId: string }[] = [];
  let now: CheckRecord = { ...record, events: [] };
  const add = (...events: CheckEvent[]) => {
    now = { ...now, events: [...now.events, ...events] };
  };
  const itemOf = (id: string) => record.items.find((i) => i.id === id);
  /** A half that hears of a repair looks again at what it had answered without knowing of it. */
  const hears = (half: Half, upTo: number) => {
    for (const { itemId, by } of unheard.filter((u) => u.half === half && u.by < upTo)) {
      const item = itemOf(itemId)!;
      const at = chains[otherOf(half)][by]!.at;
      const stale = [item, ...againAfter(item, record)].filter((i) => itemStatus(now, i).confirmed.includes(half));
      add(...stale.map(({ id }) => ({ type: 'again', itemId: id, because: itemId, who: half, at }) as const));
    }
    unheard = unheard.filter((u) => u.half !== half || u.by >= upTo);
  };
  for (let half = next(chains, done, knew); half; half = next(chains, done, knew)) {
    const at = done[half];
    const event = chains[half][at]!;
    hears(half, knew(half, at));
    add(event);
    done[half] += 1;
    const item = itemOf(event.itemId);
    if (event.type !== 'fixed' || !item) continue;
    add(...openedAgain(now, item, event.at));
    const other = otherOf(half);
    if (done[other] < chains[other].length && knew(other, done[other]) <= at)
      unheard.push({ half: other, by: at, itemId: item.id });
  }
  for (const half of ['climber', 'partner'] as const) hears(half, Infinity);
  return now.events;
}

/** Whose event comes next: one that knew of nothing that has not come yet; of two, by the clock. */
function next(
  chains: Chains,
  done: Readonly<Record<Half, number>>,
  knew: (half: Half, at: number) => number,
): Half | null {
  const ready = (['climber', 'partner'] as const).filter(
    (half) => done[half] < chains[half].length && knew(half, done[half]) <= done[otherOf(half)],
  );
  if (ready.length < 2) return ready[0] ?? null;
  const [a, b] = [chains.climber[done.climber]!, chains.partner[done.partner]!];
  return Date.parse(b.at) < Date.parse(a.at) ? 'partner' : 'climber';
}
