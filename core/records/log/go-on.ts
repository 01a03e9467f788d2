import equal from 'fast-deep-equal';
import { changedOver, sincesFor } from '../../answers/check/index.ts';
import type { Setup } from '../../rigs/rig/index.ts';
import type { CheckRecord } from './check-record.ts';
import type { UseRecord } from './records.ts';
import { setupSeen } from './since-check.ts';

/** Why the whole check is asked for. */
export const WHOLE_BECAUSE = {
  never: 'Nobody has checked it yet.',
  rescue: 'A rescue is checked whole every time.',
  day: 'Its last check was on another day.',
  changed: 'It was changed since the last check.',
  event: 'Something was odd, or somebody turned back, since the last check.',
} as const;

export type GoOn =
  | {
      readonly how: 'on';
      /** The last check, which the next go goes on from. */
      readonly from: CheckRecord;
      /** What was looked at today in it and in those that it went on from. */
      readonly known: ReadonlySet<string>;
      readonly failed: ReadonlySet<string>;
    }
  | {
      readonly how: 'whole';
      readonly because: keyof typeof WHOLE_BECAUSE;
      /** Items that failed in the last check. */
      readonly failed: ReadonlySet<string>;
      /** Of a set-up that only changed since: the check of today that was of it before. */
      readonly from: CheckRecord | null;
      readonly known: ReadonlySet<string>;
    };

const failedIn = (checks: readonly CheckRecord[]): ReadonlySet<string> =>
  new Set(checks.flatMap((c) => c.events.flatMap((e) => (e.type === 'saw' && !e.asExpected ? [e.itemId] : []))));

/** What a check is about: not its name, its note, or when it was written down. */
const rigOf = (setup: Setup): Setup => ({ ...setup, name: '', note: '', createdAt: '', updatedAt: '' });
/** The same rig, whatever it is called. */
export const sameRig = (a: Setup, b: Setup | null): boolean => b !== null && equal(rigOf(a), rigOf(b));

/** A check is about this set-up as it is now, also with what it saw entered, or with the two in each other’s place. */
export function isAbout(record: CheckRecord, setup: Setup): boolean {
  const were = [record.setup, setupSeen(record)];
  return were.some((was) => sameRig(setup, was) || sameRig(setup, changedOver(was)));
}

const dayOf = (at: string | Date): string => new Date(at).toDateString();

/**
 * Whether the next check of a set-up may go on from the last one: today, the same gear and people (also the other way
 * round), and nothing odd in between. A glance that somebody declared is nothing to go on from.
 */
export function goOn(
  setup: Setup,
  { checks, uses }: { readonly checks: readonly CheckRecord[]; readonly uses: readonly UseRecord[] },
  now: Date,
): GoOn {
  const all = checks.filter((c) => c.setup.id === setup.id).sort((a, b) => (a.startedAt < b.startedAt ? -1 : 1));
  const complete = all.filter((c) => c.outcome === 'complete' && c.depth !== 'four-looks');
  const last = complete.at(-1);
  const today = all.filter((c) => dayOf(c.startedAt) === dayOf(now));
  const failed = failedIn([...(all.at(-1) ? [all.at(-1)!] : []), ...(last ? [last] : []), ...today]);
  const known = new Set(complete.filter((c) => today.includes(c)).flatMap((c) => c.items.map((i) => i.id)));
  const whole = (because: keyof typeof WHOLE_BECAUSE, from: CheckRecord | null = null) =>
    ({ how: 'whole', because, failed, from, known }) as const;
  if (!last) return whole('never');
  if (sincesFor(setup).length === 0) return whole('rescue');
  if (dayOf(last.startedAt) !== dayOf(now)) return whole('day');
  // A short one that came from elsewhere, without the whole one before it, is nothing to go on from.
  if (!reachesWhole(last, today)) return whole('never');
  const odd = (u: UseRecord) => u.setupId === setup.id && u.outcome !== 'as-planned' && u.at >= last.endedAt!;
  if (uses.some(odd)) return whole('event');
  if (!isAbout(last, setup)) return whole('changed', last);
  return { how: 'on', from: last, known, failed };
}

/** Goes on, check by check, from a whole one of the same day. */
function reachesWhole(record: CheckRecord, today: readonly CheckRecord[], steps = today.length): boolean {
  if (record.depth === 'whole') return record.outcome === 'complete';
  const before = today.find((c) => c.id === record.since?.check);
  return before !== undefined && steps > 0 && reachesWhole(before, today, steps - 1);
}

/** The set-up that is checked when this happened since: with the two in each other’s place where they changed over. */
export const setupAfter = (setup: Setup, from: CheckRecord, turned: boolean): Setup => {
  const before = { ...setupSeen(from), name: setup.name, note: setup.note };
  return turned ? (changedOver(before) ?? before) : before;
};
