import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assess } from '../assess/index.ts';
import { buildCheck } from '../check/index.ts';
import { rappelDouble } from '../samples/index.ts';
import {
  checkRecordSchema,
  endCheck,
  itemStatus,
  nextItem,
  sawEvent,
  withEvent,
  type CheckRecord,
  type Who,
} from './index.ts';

const AT = '2026-05-01T10:00:00.000Z';
const items = buildCheck(rappelDouble, assess(rappelDouble).findings);
const start = (mode: CheckRecord['mode']): CheckRecord => ({
  id: 'c1',
  mode,
  setup: rappelDouble,
  verdict: 'clear',
  items,
  events: [],
  startedAt: AT,
  endedAt: null,
  outcome: 'running',
  note: '',
});
const saw = (record: CheckRecord, index: number, who: Who, good = true) =>
  withEvent(record, sawEvent(items[index]!, who, good ? items[index]!.expected : items[index]!.others[0]!, AT));
const state = (record: CheckRecord, index = 0) => itemStatus(record, items[index]!);

describe('a check', () => {
  it('alone: one confirmation closes an item', () =>
    expect(state(saw(start('alone'), 0, 'climber')).state).toBe('done'));

  it('face to face: both must confirm on their own half', () => {
    const one = saw(saw(start('face-to-face'), 0, 'climber'), 0, 'climber');
    expect(state(one)).toMatchObject({ state: 'open', confirmed: ['climber'] });
    expect(state(saw(one, 0, 'partner')).state).toBe('done');
  });

  it('an unexpected answer fails the item for both, and only a repair opens it again', () => {
    let record = saw(saw(start('face-to-face'), 0, 'climber'), 0, 'partner', false);
    expect(state(record)).toMatchObject({ state: 'failed', failedAnswer: items[0]!.others[0], confirmed: [] });
    record = saw(saw(record, 0, 'climber'), 0, 'partner');
    expect(state(record).state).toBe('failed');
    record = withEvent(record, { type: 'fixed', itemId: items[0]!.id, note: 'buckle closed', at: AT });
    expect(state(record)).toMatchObject({ state: 'open', confirmed: [] });
    record = saw(saw(record, 0, 'climber'), 0, 'partner');
    expect(state(record).state).toBe('done');
    expect(record.events).toHaveLength(7);
  });

  it('is complete only when every item is done, and then takes no more events', () => {
    let record = start('alone');
    expect(endCheck(record, 'complete', AT)).toBe(record);
    items.forEach((_, i) => (record = saw(record, i, 'climber')));
    expect(nextItem(record)).toBeNull();
    const ended = endCheck(record, 'complete', AT);
    expect(ended).toMatchObject({ outcome: 'complete', endedAt: AT });
    expect(saw(ended, 0, 'climber', false)).toBe(ended);
    expect(checkRecordSchema.safeParse(ended).success).toBe(true);
  });

  it('never completes with a failed or unseen item, whatever happened in whatever order', () => {
    const event = fc.record({
      index: fc.nat({ max: items.length - 1 }),
      who: fc.constantFrom<Who>('climber', 'partner'),
      good: fc.boolean(),
    });
    fc.assert(
      fc.property(fc.array(event, { maxLength: 60 }), (events) => {
        const record = events.reduce((r, e) => saw(r, e.index, e.who, e.good), start('face-to-face'));
        const ended = endCheck(record, 'complete', AT);
        // Oracle from scratch: no repair happened, so an item is done when it never got a wrong answer and both gave the right one.
        const done = items.every((_, i) => {
          const mine = events.filter((e) => e.index === i);
          return mine.every((e) => e.good) && new Set(mine.map((e) => e.who)).size === 2;
        });
        expect(ended.outcome === 'complete').toBe(done);
      }),
    );
  });

  it('a record that contradicts itself is refused with its path', () => {
    const bad = { ...start('alone'), endedAt: AT };
    expect(checkRecordSchema.safeParse(bad).error!.issues[0]!.path).toEqual(['endedAt']);
    const stray = { ...start('alone'), events: [{ type: 'fixed', itemId: 'no-such', note: 'x', at: AT }] };
    expect(checkRecordSchema.safeParse(stray).error!.issues[0]!.path).toEqual(['events', 0, 'itemId']);
  });
});
