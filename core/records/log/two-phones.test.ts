import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assess } from '../../answers/assess/index.ts';
import { againAfter, buildCheck, checkPartOf, isOpen, itemsOfNextGo, type Half } from '../../answers/check/index.ts';
import { filled, SETUPS } from '../../samples/index.ts';
import {
  beginCheck,
  checkRecordSchema,
  halfOf,
  itemStatus,
  joined,
  nextItem,
  nextLook,
  putRight,
  saw,
  waitsFor,
  withOther,
  type CheckRecord,
} from './index.ts';

const setup = filled(SETUPS['belay-top-rope']);
const { findings, verdict } = assess(setup);
const items = buildCheck(setup, findings).filter((i) => !isOpen(i));
const START = Date.parse('2026-05-01T09:00:00.000Z');
const at = (s: number) => new Date(START + s * 1000).toISOString();
const begun = (): CheckRecord =>
  beginCheck({ id: 'two', mode: 'two-phones', half: 'climber', setup, verdict, items, startedAt: at(0) });

const taken = (result: ReturnType<typeof joined>): CheckRecord => {
  if (!result.ok) throw new Error(result.message);
  return result.record;
};
const reads = (record: CheckRecord, other: CheckRecord) => taken(withOther(record, halfOf(other, false)));

/** A phone goes through its half, an answer each five seconds. */
function answered(record: CheckRecord, fromS: number): CheckRecord {
  const half = record.half!;
  let now = record;
  for (let s = fromS, look = nextLook(now, half); look; s += 5, look = nextLook(now, half)) {
    const item = look.find((i) => waitsFor(now, i, half))!;
    now = saw(now, item, half, item.expected, at(s));
  }
  return now;
}
const says = (record: CheckRecord, id: string, expected: boolean, s: number) => {
  const item = record.items.find((i) => i.id === id)!;
  return saw(record, item, record.half!, expected ? item.expected : item.others[0]!, at(s));
};
const mends = (record: CheckRecord, id: string, s: number) =>
  putRight(
    record,
    record.items.find((i) => i.id === id)!,
    'put right',
    at(s),
  );

describe('a check by two phones', () => {
  it('the second phone asks the same from the first code, and both are complete when each has read the other', () => {
    const first = begun();
    const second = taken(joined(halfOf(first, true)));
    expect(second).toMatchObject({ id: 'two', half: 'partner', mode: 'two-phones', items: first.items, verdict });
    const mine = answered(first, 5);
    // A clock that is ten minutes behind makes no answer older than the check.
    const theirs = answered(second, -600);
    expect([nextItem(mine), nextItem(theirs)]).not.toContain(null);
    const both = reads(mine, theirs);
    expect(nextItem(both)).toBeNull();
    const there = reads(theirs, both);
    expect(there.events).toEqual(both.events);
    expect(checkRecordSchema.safeParse(both).success).toBe(true);
  });
  it('what one saw wrong stops the other as soon as it is read', () => {
    const first = begun();
    const second = says(taken(joined(halfOf(first, true))), 'tie-in', false, 40);
    const told = reads(answered(first, 5), second);
    expect(nextLook(told, 'climber')!.map((i) => i.id)).toEqual(['tie-in']);
    expect(
      itemStatus(
        told,
        items.find((i) => i.id === 'tie-in')!,
      ).state,
    ).toBe('failed');
  });
  it('who answered without knowing of a repair on the other phone looks again at what it touched, whatever the clocks say', () => {
    const first = begun();
    const second = taken(joined(halfOf(first, true)));
    for (const shiftS of [-3000, 0, 3000]) {
      const mended = answered(mends(says(second, 'tie-in', false, 40), 'tie-in', 60), 70);
      const both = reads(answered(first, 5 + shiftS), mended);
      const touched = againAfter(
        items.find((i) => i.id === 'tie-in')!,
        both,
      ).map((i) => i.id);
      const open = items.filter((i) => waitsFor(both, i, 'climber')).map((i) => i.id);
      // Of what is tried, only what had been tried.
      expect(open, String(shiftS)).toEqual(expect.arrayContaining(['tie-in', ...touched]));
      const done = answered(both, 9000);
      expect(nextItem(reads(mended, done))).toBeNull();
    }
  });
  it('its own code, another check, another version and what does not fit together are refused in words', () => {
    const first = begun();
    const code = halfOf(answered(first, 5), false);
    expect(withOther(first, code)).toMatchObject({
      ok: false,
      message: expect.stringMatching(/answered here/) as string,
    });
    expect(joined(code)).toMatchObject({ ok: false, message: expect.stringMatching(/first code/) as string });
    const theirs = { ...code, half: 'partner' as const };
    for (const other of [
      { ...theirs, items: theirs.items.slice(1) },
      { ...theirs, startedAt: at(1) },
    ])
      expect(withOther(first, other)).toMatchObject({
        ok: false,
        message: expect.stringMatching(/do not ask/) as string,
      });
    const strange = {
      type: 'saw',
      itemId: 'tie-in',
      who: 'partner',
      answer: 'Seven',
      asExpected: true,
      at: at(9),
    } as const;
    expect(withOther(first, { ...theirs, events: [strange] })).toMatchObject({
      ok: false,
      message: expect.stringMatching(/not one of the answers/) as string,
    });
    expect(joined({ ...halfOf(first, true), items: ['of-tomorrow'] })).toMatchObject({ ok: false });
    expect(withOther({ ...first, mode: 'face-to-face', half: null }, theirs)).toMatchObject({ ok: false });
  });
  it('a next go comes over as one, with what it leaves out', () => {
    const known = new Set(items.map((i) => i.id));
    const next = itemsOfNextGo(items, setup, 'next-route', { known, failed: new Set() });
    const since = { check: 'before', at: at(-900), what: 'next-route' } as const;
    const go = { ...begun(), depth: 'next-go' as const, since, items: next };
    const there = taken(joined(halfOf(go, true)));
    expect(there.items).toEqual(next);
    expect(there.leftOut.length).toBeGreaterThan(5);
  });
  it('what has ended is not changed by a code that comes late', () => {
    const first = { ...answered(begun(), 5), outcome: 'abandoned' as const, endedAt: at(900) };
    const second = answered(taken(joined(halfOf(begun(), true))), 5);
    expect(reads(first, second)).toBe(first);
  });

  /** What the two do, in the order in which it happens; each acts on what their own phone knows. */
  type Act = { readonly who: Half; readonly what: 'right' | 'wrong' | 'mend' | 'read' };
  const acts = fc.array(
    fc.record({
      who: fc.constantFrom<Half>('climber', 'partner'),
      what: fc.constantFrom<Act['what']>('right', 'right', 'right', 'wrong', 'mend', 'mend', 'read'),
    }),
    { maxLength: 60 },
  );
  // Knot and device: both are asked for all of it, so that one’s repair matters to the other.
  const few = items.filter((i) => ['knot', 'device'].includes(checkPartOf(i)));
  function acted(list: readonly Act[]) {
    const climber = { ...begun(), items: few };
    const phones: Record<Half, CheckRecord> = { climber, partner: taken(joined(halfOf(climber, true))) };
    list.forEach(({ who, what }, i) => {
      const own = phones[who];
      const other = phones[who === 'climber' ? 'partner' : 'climber'];
      const look = nextLook(own, who);
      const failed = look !== null && itemStatus(own, look[0]!).state === 'failed';
      if (what === 'read') phones[who] = reads(own, other);
      else if (failed) phones[who] = what === 'mend' ? mends(own, look[0]!.id, 10 * i) : own;
      else {
        const item = look?.find((x) => waitsFor(own, x, who));
        if (item) phones[who] = says(own, item.id, what !== 'wrong', 10 * i);
      }
    });
    return phones;
  }
  it('whatever happens, both phones come to the same when each has read the other, and it can be kept', () => {
    fc.assert(
      fc.property(acts, (list) => {
        const { climber, partner } = acted(list);
        const here = reads(climber, partner);
        const there = reads(partner, here);
        expect(there.events).toEqual(here.events);
        expect(reads(here, there).events).toEqual(here.events);
        expect(checkRecordSchema.safeParse(here).error?.issues ?? []).toEqual([]);
        // Read at the same moment, each from the state before.
        expect(reads(partner, climber).events).toEqual(here.events);
      }),
      { numRuns: 300 },
    );
  });
  it('nothing counts as seen that was put right on the other phone after it was looked at', () => {
    fc.assert(
      fc.property(acts, (list) => {
        const { climber, partner } = acted(list);
        const both = reads(climber, partner);
        for (const [own, other] of [
          [climber, partner],
          [partner, climber],
        ] as const) {
          const unheard = other.events.filter(
            (e) => e.type === 'fixed' && !own.events.some((x) => x.type === 'fixed' && x.at === e.at),
          );
          for (const { itemId } of unheard) {
            const item = items.find((i) => i.id === itemId)!;
            for (const touched of [item, ...againAfter(item, both)])
              if (itemStatus(own, touched).confirmed.includes(own.half!))
                expect(itemStatus(both, touched).confirmed, touched.id).not.toContain(own.half);
          }
        }
      }),
      { numRuns: 300 },
    );
  });
});
