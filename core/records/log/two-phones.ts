import { z } from 'zod';
import type { Finding, Severity } from '../../foundations/finding/index.ts';
import { allItems, buildCheck, HALVES, isOpen, otherOf, titlesLeftOut } from '../../answers/check/index.ts';
import { setupSchema, type Setup } from '../../rigs/rig/index.ts';
import { idSchema } from '../../things/gear/index.ts';
import { chainOf, together } from './both-halves.ts';
import { checkRecordSchema, type CheckRecord } from './check-record.ts';
import { beginCheck } from './check-run.ts';
import { checkEventSchema, heardSchema } from './events.ts';

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
  heard: z.array(heardSchema),
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
  heard: withSetup ? [] : record.heard,
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

type Assess = (setup: Setup) => { readonly findings: readonly Finding[]; readonly verdict: Severity };

/**
 * The same check, to be answered by the other half, on a phone that has not heard of it.
 *
 * @param assess is given, so that what only reads records does not load all that judges.
 */
export function joined(code: HalfCheck, assess: Assess): Joined {
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
  const half = otherOf(code.half);
  const { id, depth, since, startedAt, events } = code;
  const leftOut = titlesLeftOut(whole, items);
  const begun = beginCheck({ id, mode: 'two-phones', half, setup, verdict, items, startedAt, depth, since, leftOut });
  const heard = [{ who: half, own: chainOf(events, half).length, other: chainOf(events, code.half).length }];
  return judged({ ...begun, events, heard });
}

/** Whether this phone has heard of the other one: where it has not, the other one may not know of the check. */
export const hasHeard = ({ half, heard }: Pick<CheckRecord, 'half' | 'heard'>): boolean =>
  heard.some((h) => h.who === half);

/** A running check with what the other phone heard. */
export function withOther(record: CheckRecord, code: HalfCheck): Joined {
  if (record.half === null) return refused('This check is not done by two phones.');
  if (code.half === record.half)
    return refused('This code comes from the half that is answered here. Let the other phone read it.');
  const same = code.items.length === record.items.length && record.items.every((i) => code.items.includes(i.id));
  if (!same || code.startedAt !== record.startedAt) return refused(OTHER_VERSION);
  // What has ended stays as it was.
  if (record.outcome !== 'running') return { ok: true, record };
  const both = together(record, code);
  return both ? judged(both) : refused('The two phones tell the same check differently. Begin it anew on one of them.');
}
