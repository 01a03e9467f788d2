import { describe, expect, it } from 'vitest';
import { assess } from '../../answers/assess/index.ts';
import { buildCheck, changedOver, itemsOfNextGo, type CheckItem } from '../../answers/check/index.ts';
import type { Setup } from '../../rigs/rig/index.ts';
import { elementAt, notRigged, withFields, withItem } from '../../rigs/rig/index.ts';
import { changed, club, filled, SETUPS } from '../../samples/index.ts';
import {
  agedWords,
  beginCheck,
  checkRecordSchema,
  endCheck,
  goOn,
  isAbout,
  putRight,
  sawEvent,
  seenIn,
  setupAfter,
  setupSeen,
  sinceCheck,
  withEvent,
  type CheckRecord,
  type UseRecord,
} from './index.ts';

const topRope = filled(SETUPS['belay-top-rope']);
const at = (hour: number, minute = 0) => new Date(2026, 4, 1, hour, minute).toISOString();
const NOON = new Date(2026, 4, 1, 12);

interface Done {
  readonly setup?: Setup;
  readonly id?: string;
  readonly hour?: number;
  readonly failed?: string;
  readonly about?: Partial<CheckRecord>;
}
/** A check gone through alone, with one item that failed and was put right. */
function done({ setup = topRope, id = 'c1', hour = 10, failed, about = {} }: Done = {}): CheckRecord {
  const { findings, verdict } = assess(setup);
  const items = about.items ?? buildCheck(setup, findings);
  const began = beginCheck({ ...about, id, mode: 'alone', setup, verdict, items, startedAt: at(hour) });
  const answered = items.reduce((record, item) => {
    const said = sawEvent(item, 'climber', item.expected, at(hour, 1));
    if (item.id !== failed) return withEvent(record, said);
    const wrong = withEvent(record, sawEvent(item, 'climber', item.others[0]!, at(hour, 1)));
    return withEvent(putRight(wrong, item, 'Put right', at(hour, 2)), said);
  }, began);
  // What was looked at again after the repair.
  const again = items.reduce(
    (r, item) => withEvent(r, sawEvent(item, 'climber', item.expected, at(hour, 3))),
    answered,
  );
  return endCheck(again, 'complete', at(hour, 5));
}
const use = (outcome: UseRecord['outcome'], hour: number): UseRecord =>
  ({ id: 'u1', setupId: topRope.id, outcome, at: at(hour) }) as UseRecord;
const way = (checks: CheckRecord[], setup = topRope, uses: UseRecord[] = [], now = NOON) =>
  goOn(setup, { checks, uses }, now);
const because = (...args: Parameters<typeof way>) => {
  const said = way(...args);
  return said.how === 'whole' ? said.because : said.how;
};

describe('whether the next check goes on from the last one', () => {
  it('does after a whole one of today, and says what was looked at', () => {
    const record = done();
    expect(record.outcome).toBe('complete');
    const said = way([record]);
    expect(said).toMatchObject({ how: 'on', from: { id: 'c1' } });
    expect(said.how === 'on' && said.known.size).toBe(record.items.length);
    expect(said.failed.size).toBe(0);
  });
  it('does not without one, after one that was not finished, on another day', () => {
    expect(because([])).toBe('never');
    const open = { ...done(), outcome: 'abandoned' as const };
    expect(because([open])).toBe('never');
    expect(because([done({ setup: { ...topRope, id: 'another' } })])).toBe('never');
    expect(because([done()], topRope, [], new Date(2026, 4, 2, 0, 30))).toBe('day');
  });
  it('does not when gear, people, rig or place changed since; a name and a note change nothing', () => {
    const record = done();
    expect(because([record], { ...topRope, name: 'Another name', note: 'x', updatedAt: at(11) })).toBe('on');
    expect(because([record], withItem(topRope, 'climber', { ...club.ilse, massKg: 71 }))).toBe('changed');
    expect(because([record], changed(topRope, { site: { anchorHeightM: 19 } }))).toBe('changed');
    // A rope that was measured anew is another rope.
    const rope = topRope.lines[0]!;
    const measured = 'rope' in rope && rope.rope.item ? { ...rope.rope.item, measuredLengthM: 38.5 } : null;
    expect(because([record], withItem(topRope, 'ropeA', measured))).toBe('changed');
  });
  it('does when the two have changed over, and again when they have changed back', () => {
    const turned = changedOver(topRope)!;
    expect(because([done({ setup: turned })])).toBe('on');
    expect(isAbout(done({ setup: turned }), topRope)).toBe(true);
    expect(setupAfter(topRope, done({ setup: turned }), true)).toEqual(topRope);
    expect(setupAfter(topRope, done(), false)).toEqual(topRope);
  });
  it('does not after something odd, or a turning back, since then; what was before it counts no more', () => {
    expect(because([done()], topRope, [use('odd', 11)])).toBe('event');
    expect(because([done()], topRope, [use('turned-back', 11)])).toBe('event');
    expect(because([done()], topRope, [use('as-planned', 11)])).toBe('on');
    expect(because([done()], topRope, [use('odd', 9)])).toBe('on');
  });
  it('a glance that was declared is nothing to go on from', () => {
    const glance = done({ about: { depth: 'four-looks', leftOut: ['x'] } });
    expect(because([glance])).toBe('never');
  });
  it('a rescue is checked whole every time', () => {
    const pickOff = filled(SETUPS['pick-off']);
    expect(because([done({ setup: pickOff })], pickOff)).toBe('rescue');
  });

  it('remembers what failed in any check of the day, and in the last one of another day', () => {
    const first = done({ failed: 'rope-ends' });
    const { from } = way([first]) as Extract<ReturnType<typeof way>, { how: 'on' }>;
    const next = done({
      id: 'c2',
      hour: 11,
      about: {
        depth: 'next-go',
        since: { check: from.id, at: from.endedAt!, what: 'same' },
        items: first.items.slice(0, 4),
      },
    });
    const said = way([next, first]);
    expect(said).toMatchObject({ how: 'on', from: { id: 'c2' } });
    expect([...said.failed]).toEqual(['rope-ends']);
    // A next go without the whole one before it.
    expect(because([next])).toBe('never');
    expect(said.how === 'on' && said.known.size).toBe(first.items.length);
    expect([...way([first], topRope, [], new Date(2026, 4, 3)).failed]).toEqual(['rope-ends']);
  });
});

describe('the record of a shorter check', () => {
  const since = { check: 'c0', at: at(9), what: 'same' } as const;
  const least = done().items.filter((i) =>
    ['tie-in', 'device-strands', 'device-connector', 'rope-ends'].includes(i.id),
  );
  const paths = (record: CheckRecord) =>
    checkRecordSchema.safeParse(record).error?.issues.map((i) => i.path.join('/')) ?? [];
  it('is complete with knot, device, gate and closed system, and not without one of them', () => {
    const about = { depth: 'next-go', since, leftOut: ['Helmet'] } as const;
    expect(least).toHaveLength(4);
    expect(paths(done({ about: { ...about, leftOut: [...about.leftOut], items: least } }))).toEqual([]);
    for (const { id } of least) {
      const items = least.filter((i) => i.id !== id);
      expect(paths(done({ about: { ...about, leftOut: [], items } })), id).toEqual(['items']);
    }
  });
  it('says what it goes on from, and no other check does', () => {
    expect(paths(done({ about: { depth: 'next-go', items: least } }))).toContain('since');
    expect(paths(done({ about: { depth: 'whole', since } }))).toContain('since');
    // A record that calls itself whole has all that a whole one asks for.
    expect(paths(done({ about: { depth: 'whole', items: least } }))).toEqual(['items']);
  });
});

describe('a check ages', () => {
  const items = (setup: Setup) => buildCheck(setup, assess(setup).findings);
  const since = (after: Setup, record = done()) => sinceCheck(record, after, items(after));
  const rope = topRope.lines[0]!;
  const measured = 'rope' in rope && rope.rope.item ? { ...rope.rope.item, measuredDiameterMm: 9.37 } : null;
  const ids = (list: readonly CheckItem[]) => list.map((i) => i.id);

  it('not by a name, a note, by what it saw itself, or by changing over and back', () => {
    expect(since({ ...topRope, name: 'Another', note: 'x', updatedAt: at(11) })).toBeNull();
    const open = notRigged(topRope);
    const record = done({ setup: open });
    expect(seenIn(record).length).toBeGreaterThan(5);
    expect(isAbout(record, setupSeen(record))).toBe(true);
    expect(since(setupSeen(record), record)).toBeNull();
    expect(seenIn({ ...record, outcome: 'abandoned' })).toEqual([]);
    expect(because([record], setupSeen(record))).toBe('on');
    expect(because([record], changedOver(setupSeen(record))!)).toBe('on');
  });
  it('says what changed, and what of it has to be looked at again', () => {
    const gear = since(withItem(topRope, 'ropeA', measured))!;
    expect([...gear.kinds]).toEqual(['gear']);
    expect(gear.what).toEqual([measured!.name]);
    const people = since(withItem(topRope, 'climber', { ...club.ilse, massKg: 71 }))!;
    expect([...people.kinds]).toEqual(['people']);
    const place = since(changed(topRope, { site: { edge: 'rounded' } }))!;
    expect([...place.kinds]).toEqual(['place']);
    expect(place.what).toEqual(['the place']);
    const gate = since(withFields(topRope, 'deviceConnector', { gate: 'unknown' }))!;
    expect([...gate.kinds]).toEqual(['rig']);
    expect(ids(gate.again)).toEqual(expect.arrayContaining(['device-connector', 'connector-faces', 'connector-end']));
    expect(ids(gate.again)).not.toContain('helmet');
    expect(agedWords(done(), withItem(topRope, 'ropeA', measured))).toBe(
      `Checked, but since then changed: ${measured!.name}.`,
    );
  });
  it('every item of whatever was changed is looked at again, whichever field it is', () => {
    const record = done();
    const of = new Map(items(topRope).map((i) => [i.id, i]));
    for (const ref of ['deviceConnector', 'device', 'anchor', 'tieIn']) {
      const element = elementAt(topRope, ref);
      if (!element) continue;
      const field = Object.keys(element).find(
        (key) => typeof element[key] === 'string' && !['id', 'kind'].includes(key),
      );
      if (!field) continue;
      const again = new Set(ids(since(withFields(topRope, ref, { [field]: 'unknown' }), record)?.again ?? []));
      for (const item of of.values()) if (item.part === ref) expect(again, `${ref} ${field}`).toContain(item.id);
    }
  });
  it('what changed is checked alone today, and the next go goes on from that; not somebody new, not on another day', () => {
    const after = withItem(topRope, 'ropeA', measured);
    const record = done();
    const way1 = way([record], after);
    expect(way1).toMatchObject({ how: 'whole', because: 'changed', from: { id: 'c1' } });
    if (way1.how !== 'whole') return;
    const again = since(after, record)!.again;
    const only = itemsOfNextGo(items(after), after, 'changed', way1, again);
    expect(ids(only)).toEqual(expect.arrayContaining(['tie-in', 'device-strands', 'device-connector', 'rope-ends']));
    expect(only.length).toBeLessThan(items(after).length);
    const more = { depth: 'next-go', items: only, leftOut: [] } as const;
    const link = { check: 'c1', at: at(10, 5), what: 'changed' } as const;
    const second = done({
      setup: after,
      id: 'c2',
      hour: 11,
      about: { ...more, items: [...only], leftOut: [], since: link },
    });
    expect(checkRecordSchema.safeParse(second).success).toBe(true);
    expect(because([record, second], after)).toBe('on');
    // Without the whole one behind it, it is nothing to go on from.
    expect(because([second], after)).toBe('never');
    expect(way([record], after, [], new Date(2026, 4, 2, 9))).toMatchObject({ because: 'day', from: null });
  });
});
