import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assess } from '../../answers/assess/index.ts';
import { againAfter, buildCheck, checkPartOf, isOpen, itemsOfNextGo, type Half } from '../../answers/check/index.ts';
import { filled, SETUPS } from '../../samples/index.ts';
import {
  beginCheck,
  checkRecordSchema,
  halfOf,
  hasHeard,
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
    const second = taken(joined(halfOf(first, true), assess));
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
  it('may be begun on the phone of the second half, with what was found out there before it', () => {
    const all = buildCheck(setup, findings);
    const open = all.filter(isOpen);
    expect(open.length).toBeGreaterThan(0);
    const first = open.reduce(
      (now, item, i) => saw(now, item, 'climber', item.expected, at(i)),
      beginCheck({ id: 'two', mode: 'two-phones', half: 'partner', setup, verdict, items: all, startedAt: at(0) }),
    );
    expect(hasHeard(first)).toBe(false);
    const second = taken(joined(halfOf(first, true), assess));
    expect(second.half).toBe('climber');
    expect(hasHeard(second)).toBe(true);
    expect(open.every((i) => itemStatus(second, i).state === 'done')).toBe(true);
    const both = reads(answered(first, 20), answered(second, 25));
    expect(nextItem(both)).toBeNull();
  });
  it('what one saw wrong stops the other as soon as it is read', () => {
    const first = begun();
    const second = says(taken(joined(halfOf(first, true), assess)), 'tie-in', false, 40);
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
    const second = taken(joined(halfOf(first, true), assess));
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
      // Whoever mended it looked after that, and is not asked again.
      expect(items.filter((i) => waitsFor(both, i, 'partner')).map((i) => i.id)).toEqual([]);
      const done = answered(both, 9000);
      expect(nextItem(reads(mended, done))).toBeNull();
    }
  });
  it('where both put the same thing right without knowing it, both look at it once more, and then it is done', () => {
    const first = begun();
    const second = taken(joined(halfOf(first, true), assess));
    const mended = (record: CheckRecord, s: number) =>
      answered(mends(says(record, 'tie-in', false, s), 'tie-in', s + 20), s + 30);
    const [mine, theirs] = [mended(first, 40), mended(second, 45)];
    const here = reads(mine, theirs);
    const there = reads(theirs, here);
    for (const half of ['climber', 'partner'] as const)
      expect(
        itemStatus(
          here,
          items.find((i) => i.id === 'tie-in')!,
        ).confirmed,
        half,
      ).not.toContain(half);
    const again = reads(answered(there, 9000), answered(here, 9000));
    expect(nextItem(again)).toBeNull();
  });
  it('its own code, another check, another version and what does not fit together are refused in words', () => {
    const first = begun();
    const code = halfOf(answered(first, 5), false);
    expect(withOther(first, code)).toMatchObject({
      ok: false,
      message: expect.stringMatching(/answered here/) as string,
    });
    expect(joined(code, assess)).toMatchObject({ ok: false, message: expect.stringMatching(/first code/) as string });
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
    expect(joined({ ...halfOf(first, true), items: ['of-tomorrow'] }, assess)).toMatchObject({ ok: false });
    expect(withOther({ ...first, mode: 'face-to-face', half: null }, theirs)).toMatchObject({ ok: false });
  });
  it('a next go comes over as one, with what it leaves out', () => {
    const known = new Set(items.map((i) => i.id));
    const next = itemsOfNextGo(items, setup, 'next-route', { known, failed: new Set() });
    const since = { check: 'before', at: at(-900), what: 'next-route' } as const;
    const go = { ...begun(), depth: 'next-go' as const, since, items: next };
    const there = taken(joined(halfOf(go, true), assess));
    expect(there.items).toEqual(next);
    expect(there.leftOut.length).toBeGreaterThan(5);
  });
  it('what has ended is not changed by a code that comes late', () => {
    const first = { ...answered(begun(), 5), outcome: 'abandoned' as const, endedAt: at(900) };
    const second = answered(taken(joined(halfOf(begun(), true), assess)), 5);
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
    const phones: Record<Half, CheckRecord> = { climber, partner: taken(joined(halfOf(climber, true), assess)) };
    // By itself, beside the events: which repairs each knew of when they last answered an item.
    const repairs: { readonly nr: number; readonly itemId: string }[] = [];
    const known: Record<Half, ReadonlySet<number>> = { climber: new Set(), partner: new Set() };
    const knewThen = new Map<string, ReadonlySet<number>>();
    list.forEach(({ who, what }, nr) => {
      const own = phones[who];
      const otherHalf = who === 'climber' ? 'partner' : 'climber';
      const look = nextLook(own, who);
      const failed = look !== null && itemStatus(own, look[0]!).state === 'failed';
      const item = failed ? look[0]! : look?.find((x) => waitsFor(own, x, who));
      if (what === 'read') {
        phones[who] = reads(own, phones[otherHalf]);
        known[who] = new Set([...known[who], ...known[otherHalf]]);
      } else if (failed && what === 'mend') {
        phones[who] = mends(own, item!.id, 10 * nr);
        repairs.push({ nr, itemId: item!.id });
        known[who] = new Set([...known[who], nr]);
      } else if (!failed && item) {
        phones[who] = says(own, item.id, what !== 'wrong', 10 * nr);
        knewThen.set(`${who} ${item.id}`, known[who]);
      }
    });
    return { ...phones, repairs, knewThen };
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
  it('nothing counts as seen by somebody who did not know, when they looked, of all that was put right there', () => {
    fc.assert(
      fc.property(acts, (list) => {
        const { climber, partner, repairs, knewThen } = acted(list);
        const both = reads(climber, partner);
        for (const item of few)
          for (const half of itemStatus(both, item).confirmed) {
            const touching = repairs.filter(({ itemId }) => {
              const mended = few.find((i) => i.id === itemId)!;
              return [mended, ...againAfter(mended, both)].some(({ id }) => id === item.id);
            });
            const then = knewThen.get(`${half} ${item.id}`)!;
            expect(
              touching.filter(({ nr }) => !then.has(nr)),
              `${half} ${item.id}`,
            ).toEqual([]);
          }
      }),
      { numRuns: 600 },
    );
  });
  it('and where nothing was put right, nothing is asked for twice', () => {
    const only = acts.map((list) => list.filter(({ what }) => what === 'right' || what === 'read'));
    fc.assert(
      fc.property(only, (list) => {
        const { climber, partner } = acted(list);
        const both = reads(climber, partner);
        for (const own of [climber, partner])
          for (const item of few)
            if (itemStatus(own, item).confirmed.includes(own.half!))
              expect(itemStatus(both, item).confirmed).toContain(own.half);
      }),
      { numRuns: 200 },
    );
  });
});
