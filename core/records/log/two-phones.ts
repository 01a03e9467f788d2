import equal from 'fast-deep-equal';
import { z } from 'zod';
import { assess } from '../../answers/assess/index.ts';
import { allItems, buildCheck, HALVES, isOpen, titlesLeftOut } from '../../answers/check/index.ts';
import { setupSchema } from '../../rigs/rig/index.ts';
import { idSchema } from '../../things/gear/index.ts';
import { openedAgain } from './check-answers.ts';
import { checkRecordSchema, type CheckRecord } from './check-record.ts';
import { beginCheck } from './check-run.ts';
import { checkEventSchema, type CheckEvent } from './events.ts';

/*
 * A check by two phones: each shows a code, the other one reads it. The first code carries the set-up, so that the
 * other phone can ask the same; every later one carries what this phone has heard, and the other adds it to its own.
 * Items are named, not carried: both phones make them from the set-up.
 */
const { shape } = checkRecordSchema;
export const halfSchema = z.strictObject({
  id: idSchema,
  /** Whose half is answered on the phone that shows the code. */
  half: z.enum(HALVES),
  depth: shape.depth,
  since: shape.since,
  startedAt: shape.startedAt,
  /** null: the other phone has it. */
  setup: setupSchema.nullable(),
  items: z.array(z.string()).min(1),
  events: z.array(checkEventSchema),
});
export type HalfCheck = z.infer<typeof halfSchema>;

/**
 * What one phone shows to the other.
 *
 * @param withSetup so that the other phone can begin: with what was found out before the check, and nothing more.
 */
export const halfOf = (record: CheckRecord, withSetup: boolean): HalfCheck => ({
  id: record.id,
  half: record.half ?? 'climber',
  depth: record.depth,
  since: record.since,
  startedAt: record.startedAt,
  setup: withSetup ? record.setup : null,
  items: record.items.map((i) => i.id),
  events: withSetup ? record.events.filter((e) => isOpen({ id: e.itemId })) : record.events,
});

/** A check with what came from the other phone, or why it cannot be taken. */
export type Joined =
  { readonly ok: true; readonly record: CheckRecord } | { readonly ok: false; readonly message: string };
const refused = (message: string): Joined => ({ ok: false, message });
const OTHER_VERSION =
  'The two phones do not ask the same: one has another version of Zevrin. Bring both up to date, or check face to face.';

function judged(record: CheckRecord): Joined {
  const parsed = checkRecordSchema.safeParse(record);
  if (parsed.success) return { ok: true, record };
  const [{ path, message }] = parsed.error.issues as [z.core.$ZodIssue];
  return refused(`What the code says does not fit together: ${path.join('.')}: ${message}.`);
}

/** The same check, to be answered by the other half, on a phone that has not heard of it. */
export function joined(code: HalfCheck): Joined {
  const { setup } = code;
  if (setup === null)
    return refused(
      'This phone does not know that check. Let it read the first code, the one that is shown at the start.',
    );
  const { findings, verdict } = assess(setup);
  const whole = buildCheck(setup, findings);
  const known = new Map(allItems(whole, setup).map((i) => [i.id, i]));
  const items = code.items.flatMap((id) => known.get(id) ?? []);
  if (items.length < code.items.length) return refused(OTHER_VERSION);
  const half = code.half === 'climber' ? 'partner' : 'climber';
  const { id, depth, since, startedAt, events } = code;
  const leftOut = depth === 'whole' ? [] : titlesLeftOut(whole, items);
  const begun = beginCheck({ id, mode: 'two-phones', half, setup, verdict, items, startedAt, depth, since, leftOut });
  return judged({ ...begun, events });
}

/** A running check with what the other phone heard. */
export function withOther(record: CheckRecord, code: HalfCheck): Joined {
  if (record.half === null) return refused('This check is not done by two phones.');
  if (code.half === record.half)
    return refused('This code comes from the half that is answered here. Let the other phone read it.');
  const same = code.items.length === record.items.length && record.items.every((i) => code.items.includes(i.id));
  if (!same || code.startedAt !== record.startedAt) return refused(OTHER_VERSION);
  // What has ended stays as it was.
  if (record.outcome !== 'running') return { ok: true, record };
  return judged({ ...record, events: merged(record, code.events) });
}

/** What somebody said in `events` and not in `others`; what opens again follows from it. */
const saidBy = (events: readonly CheckEvent[], others: readonly CheckEvent[]): CheckEvent[] =>
  events.filter((e) => e.type !== 'again' && !others.some((other) => equal(e, other)));
const hasRepair = (events: readonly CheckEvent[]): boolean => events.some((e) => e.type === 'fixed');
const asTime = (event: CheckEvent): number => Date.parse(event.at);

/**
 * What both have heard, in one order that is the same on both phones. Whoever answered without knowing of a repair on
 * the other phone answered before it: what was touched by it is looked at again. Where both repaired something
 * meanwhile, both look at all of it again.
 */
function merged(record: CheckRecord, theirs: CheckEvent[]): CheckEvent[] {
  const mine = record.events;
  const [mineOnly, theirsOnly] = [saidBy(mine, theirs), saidBy(theirs, mine)];
  if (theirsOnly.length === 0 && (mineOnly.length > 0 || mine.length >= theirs.length)) return mine;
  if (mineOnly.length === 0) return theirs;
  const shared = mine.filter((e) => theirs.some((other) => equal(e, other)));
  const [climber, partner] = record.half === 'climber' ? [mineOnly, theirsOnly] : [theirsOnly, mineOnly];
  const [first, second] = hasRepair(climber) && !hasRepair(partner) ? [partner, climber] : [climber, partner];
  const repairs = [first, second].filter(hasRepair).length;
  const order = [...first, ...second];
  if (repairs === 0) order.sort((a, b) => asTime(a) - asTime(b));
  const replayed = order.reduce(heard, { ...record, events: shared });
  return repairs < 2 ? replayed.events : bothAgain(replayed, order);
}

const itemOf = (record: CheckRecord, event: CheckEvent) => record.items.find((i) => i.id === event.itemId);

/** One more event, as it was on its phone; after a repair what belongs to it opens again. */
function heard(record: CheckRecord, event: CheckEvent): CheckRecord {
  const events = [...record.events, event];
  const item = itemOf(record, event);
  if (event.type !== 'fixed' || !item) return { ...record, events };
  return { ...record, events: [...events, ...openedAgain({ ...record, events }, item, event.at)] };
}

/** Both repaired something without knowing of the other: all that belongs to either opens again, for both. */
function bothAgain(record: CheckRecord, order: readonly CheckEvent[]): CheckEvent[] {
  const at = order.reduce((latest, e) => (asTime(e) > Date.parse(latest) ? e.at : latest), order[0]!.at);
  const touched = order.filter((e) => e.type === 'fixed').flatMap((e) => itemOf(record, e) ?? []);
  return touched.reduce((now, item) => {
    const again = [...openedAgain(now, item, at), { type: 'again', itemId: item.id, because: item.id, at } as const];
    return { ...now, events: [...now.events, ...again] };
  }, record).events;
}
