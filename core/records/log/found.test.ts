import { describe, expect, it } from 'vitest';
import { assess } from '../../answers/assess/index.ts';
import { buildCheck, isOpen, type CheckItem } from '../../answers/check/index.ts';
import { withFields, withItem, type Setup } from '../../rigs/rig/index.ts';
import { club, filled, SETUPS } from '../../samples/index.ts';
import {
  agreedToday,
  beginCheck,
  checksFound,
  endCheck,
  putRight,
  sawEvent,
  withEvent,
  type CheckEvent,
  type CheckRecord,
} from './index.ts';

const topRope = filled(SETUPS['belay-top-rope']);
const itemsOf = (setup: Setup) => buildCheck(setup, assess(setup).findings).filter((i) => !isOpen(i));
const items = itemsOf(topRope);
const item = (id: string): CheckItem => items.find((i) => i.id === id)!;
const DAY = '2026-05-01T';
const at = (s: number) => new Date(Date.parse(`${DAY}09:00:00.000Z`) + s * 1000).toISOString();
const begun = (more: Partial<CheckRecord> = {}, setup = topRope): CheckRecord => ({
  ...beginCheck({ id: 'a', mode: 'face-to-face', setup, verdict: 'clear', items: itemsOf(setup), startedAt: at(0) }),
  ...more,
});
/** All that is asked, each after so many seconds. */
function through(record: CheckRecord, everyS: number): CheckRecord {
  const answers = record.items.flatMap((i, n) =>
    (['climber', 'partner'] as const).map((who, half) =>
      sawEvent(i, who, i.expected, at(60 + (n + 1 + half / 2) * everyS)),
    ),
  );
  return endCheck(answers.reduce(withEvent, record), 'complete', at(900));
}
const heard = (record: CheckRecord, ...events: CheckEvent[]) => events.reduce(withEvent, record);
const wrong = (id: string, s: number, answer = item(id).others[0]!) => sawEvent(item(id), 'partner', answer, at(s));

describe('what checks found', () => {
  const gate = putRight(heard(begun(), wrong('device-connector', 20)), item('device-connector'), 'Locked', at(30));
  it('counts a fault by what was seen, with what was put right the last time, most often first', () => {
    const again = { ...through(gate, 10), id: 'b', startedAt: at(1) };
    const knot = through(
      putRight(heard(begun({ id: 'c' }), wrong('tie-in', 20)), item('tie-in'), 'Tied anew', at(30)),
      10,
    );
    const found = checksFound([through(gate, 10), knot, again, begun({ id: 'd' })], new Date(at(-60)));
    expect(found).toMatchObject({ checks: 3, complete: 3, withFault: 3, notLooked: 0 });
    expect(found.things.map((t) => [t.item.id, t.answer, t.times, t.putRight])).toEqual([
      ['device-connector', 'Gives way', 2, 'Locked'],
      ['tie-in', 'Four or fewer', 1, 'Tied anew'],
    ]);
  });
  it('leaves out what was before, and what still runs', () => {
    expect(checksFound([through(gate, 10)], new Date(at(60)))).toMatchObject({ checks: 0, things: [] });
    expect(checksFound([gate], new Date(at(-60)))).toMatchObject({ checks: 0, things: [] });
  });
  it('where half the answers came quicker than anybody can look, nothing could be found', () => {
    expect(checksFound([through(begun(), 0.2), through(begun({ id: 'b' }), 8)], new Date(at(-60))).notLooked).toBe(1);
  });
  it('a planted fault is told apart, found or missed', () => {
    const planted = { by: 'climber' as const, itemId: 'device-connector', at: at(5) };
    const fixed = { type: 'fixed' as const, who: null, itemId: 'device-connector', note: 'Locked', at: at(40) };
    const found = heard(begun({ planted }), wrong('device-connector', 20), fixed);
    const missed = heard(
      begun({ planted, id: 'b' }),
      sawEvent(item('device-connector'), 'partner', item('device-connector').expected, at(20)),
      { type: 'missed', itemId: 'device-connector', who: 'partner', at: at(20) },
      fixed,
    );
    const all = checksFound([through(found, 10), through(missed, 10)], new Date(at(-60)));
    expect(all).toMatchObject({ withFault: 0, things: [], planted: { found: 1, missed: 1 } });
  });
});

describe('what was agreed today', () => {
  const other: Setup = { ...topRope, id: 'other' };
  const now = new Date(at(3600));
  const ids = (checks: CheckRecord[], setup: Setup = other) =>
    agreedToday(setup, itemsOf(setup), checks, now).map((i) => i.id);
  it('by the same two, in a complete check of another set-up, is not asked again', () => {
    expect(ids([through(begun(), 10)])).toEqual(['calls', 'coming-down']);
  });
  it('is asked of other people, in other words, on another day, and where nothing was completed', () => {
    expect(ids([begun()])).toEqual([]);
    expect(ids([{ ...through(begun(), 10), startedAt: '2026-04-20T09:00:00.000Z' }])).toEqual([]);
    expect(ids([through(begun(), 10)], withItem(other, 'belayer', { ...club.ilse, id: 'somebody' }))).toEqual([]);
    expect(ids([through(begun(), 10)], { ...other, calls: { ...other.calls, down: 'rappel' } })).not.toContain(
      'coming-down',
    );
    expect(ids([through(begun(), 10)], topRope)).toEqual([]);
  });
  it('nothing but calls and coming down is taken over', () => {
    const same = withFields(other, 'anchor', {});
    expect(
      agreedToday(same, itemsOf(same), [through(begun(), 10)], now).every((i) =>
        ['calls', 'coming-down'].includes(i.id),
      ),
    ).toBe(true);
  });
});
