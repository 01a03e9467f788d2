import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assess } from '../../answers/assess/index.ts';
import { askedOf, buildCheck, mayBeAccepted, type Half } from '../../answers/check/index.ts';
import { withFields, withItem } from '../../rigs/rig/index.ts';
import { changed, club, rappelDouble, SETUPS, variedSetups } from '../../samples/index.ts';
import {
  beginCheck,
  checkRecordSchema,
  endCheck,
  itemStatus,
  looksFor,
  nextItem,
  nextLook,
  putRight,
  quickAnswers,
  sawEvent,
  withEvent,
  type CheckRecord,
} from './index.ts';

const AT = '2026-05-01T10:00:00.000Z';
const items = buildCheck(rappelDouble, assess(rappelDouble).findings);
const start = (mode: CheckRecord['mode']): CheckRecord =>
  beginCheck({ id: 'c1', mode, setup: rappelDouble, verdict: 'clear', items, startedAt: AT });
const saw = (record: CheckRecord, index: number, who: Half, good = true) =>
  withEvent(record, sawEvent(items[index]!, who, good ? items[index]!.expected : items[index]!.others[0]!, AT));
const state = (record: CheckRecord, index = 0) => itemStatus(record, items[index]!);

describe('a check', () => {
  it('alone: one confirmation closes an item', () =>
    expect(state(saw(start('alone'), 0, 'climber')).state).toBe('done'));

  it('face to face: both must confirm on their own half', () => {
    const at = items.findIndex((i) => i.id === 'rope-ends');
    const one = saw(saw(start('face-to-face'), at, 'climber'), at, 'climber');
    expect(state(one, at)).toMatchObject({ state: 'open', confirmed: ['climber'] });
    expect(state(saw(one, at, 'partner'), at).state).toBe('done');
  });

  it('face to face: what somebody wears is looked at by the other', () => {
    const at = items.findIndex((i) => i.id === 'harness');
    const own = saw(start('face-to-face'), at, 'climber');
    expect(state(own, at).state).toBe('open');
    expect(state(saw(own, at, 'partner'), at).state).toBe('done');
    const theirs = items.findIndex((i) => i.id === 'helmet:partner');
    expect(state(saw(start('face-to-face'), theirs, 'climber'), theirs).state).toBe('done');
  });

  it('each goes from look to look at their own pace; what failed stands before both', () => {
    const first = (record: CheckRecord, half: Half) => nextLook(record, half)?.map((i) => i.id);
    let record = start('face-to-face');
    expect(first(record, 'climber')).toEqual(['helmet:partner']);
    expect(first(record, 'partner')).toEqual(['helmet', 'harness', 'harness-belt']);
    record = saw(record, 0, 'partner');
    expect(first(record, 'partner')).toEqual(['helmet', 'harness', 'harness-belt']);
    const ends = items.findIndex((i) => i.id === 'rope-ends');
    record = saw(record, ends, 'climber', false);
    expect([first(record, 'climber'), first(record, 'partner')]).toEqual([['rope-ends'], ['rope-ends']]);
    record = putRight(record, items[ends]!, 'knotted', AT);
    for (const half of ['climber', 'partner'] as const)
      for (const item of looksFor(record, half).flat()) record = saw(record, items.indexOf(item), half);
    expect([first(record, 'climber'), first(record, 'partner'), nextItem(record)]).toEqual([
      undefined,
      undefined,
      null,
    ]);
  });

  it('an unexpected answer fails the item for both, and only a repair opens it again', () => {
    let record = saw(saw(start('face-to-face'), 0, 'climber'), 0, 'partner', false);
    expect(state(record)).toMatchObject({
      state: 'failed',
      answers: [
        { who: 'climber', answer: items[0]!.expected },
        { who: 'partner', answer: items[0]!.others[0] },
      ],
      confirmed: [],
    });
    record = saw(saw(record, 0, 'climber'), 0, 'partner');
    expect(state(record).state).toBe('failed');
    record = withEvent(record, { type: 'fixed', who: null, itemId: items[0]!.id, note: 'buckle closed', at: AT });
    expect(state(record)).toMatchObject({ state: 'open', confirmed: [] });
    record = saw(saw(record, 0, 'climber'), 0, 'partner');
    expect(state(record).state).toBe('done');
    expect(record.events).toHaveLength(7);
  });

  it('putting something right opens again what belongs to the same system and was answered, and that stays in the record', () => {
    const at = (id: string) => items.findIndex((i) => i.id === id);
    let record = start('alone');
    for (const id of ['harness', 'device-strands', 'device-around']) record = saw(record, at(id), 'climber');
    record = saw(record, at('device-connector'), 'climber', false);
    record = putRight(record, items[at('device-connector')]!, 'locked', AT);
    expect(record.events.slice(-3)).toEqual([
      { type: 'fixed', who: null, itemId: 'device-connector', note: 'locked', at: AT },
      { type: 'again', who: null, itemId: 'device-strands', because: 'device-connector', at: AT },
      { type: 'again', who: null, itemId: 'device-around', because: 'device-connector', at: AT },
    ]);
    expect(state(record, at('device-strands'))).toMatchObject({ state: 'open', confirmed: [] });
    expect(state(record, at('harness')).state).toBe('done');
    // Nobody had looked there yet: nothing is said of it.
    expect(record.events.some((e) => e.itemId === 'connector-faces')).toBe(false);
    expect(checkRecordSchema.safeParse(record).success).toBe(true);
    const astray = { ...record, events: [{ type: 'again', who: null, itemId: 'harness', because: 'no-such', at: AT }] };
    expect(checkRecordSchema.safeParse(astray).error!.issues[0]!.path).toEqual(['events', 0, 'because']);
  });
  it('what failed beside it stays failed', () => {
    const at = (id: string) => items.findIndex((i) => i.id === id);
    let record = saw(start('alone'), at('device-strands'), 'climber', false);
    record = putRight(saw(record, at('device-connector'), 'climber', false), items[at('device-connector')]!, 'x', AT);
    expect(state(record, at('device-strands')).state).toBe('failed');
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

  it('a clock that is set back meanwhile makes no answer older than the one before it, and the record stays one that can be read', () => {
    const back = '2026-05-01T09:00:00.000Z';
    const first = withEvent(
      start('alone'),
      sawEvent(items[0]!, 'climber', items[0]!.others[0]!, '2026-05-01T10:05:00.000Z'),
    );
    const fixed = putRight(first, items[0]!, 'closed', back);
    expect(fixed.events.map((e) => e.at)).toEqual(
      first.events.map((e) => e.at).concat(fixed.events.slice(1).map(() => first.events[0]!.at)),
    );
    const ended = endCheck(fixed, 'abandoned', back);
    expect(ended.endedAt).toBe('2026-05-01T10:05:00.000Z');
    expect(checkRecordSchema.safeParse(ended).success).toBe(true);
  });

  it('never completes with a failed or unseen item, whatever happened in whatever order', () => {
    const event = fc.record({
      index: fc.nat({ max: items.length - 1 }),
      who: fc.constantFrom<Half>('climber', 'partner'),
      good: fc.boolean(),
    });
    fc.assert(
      fc.property(fc.array(event, { maxLength: 60 }), (events) => {
        const record = events.reduce((r, e) => saw(r, e.index, e.who, e.good), start('face-to-face'));
        const ended = endCheck(record, 'complete', AT);
        // Oracle from scratch: no repair happened, so an item is done when it never got a wrong answer and both gave
        // the right one.
        const done = items.every((_, i) => {
          const mine = events.filter((e) => e.index === i);
          return (
            mine.length > 0 &&
            mine.every((e) => e.good) &&
            askedOf(items[mine[0]!.index]!, rappelDouble).every((half) => mine.some((e) => e.who === half))
          );
        });
        expect(ended.outcome === 'complete').toBe(done);
      }),
    );
  });

  it('a record that contradicts itself is refused with its path', () => {
    const bad = { ...start('alone'), endedAt: AT };
    expect(checkRecordSchema.safeParse(bad).error!.issues[0]!.path).toEqual(['endedAt']);
    const stray = { ...start('alone'), events: [{ type: 'fixed', who: null, itemId: 'no-such', note: 'x', at: AT }] };
    expect(checkRecordSchema.safeParse(stray).error!.issues[0]!.path).toEqual(['events', 0, 'itemId']);
  });
});

describe('what the assessment left open', () => {
  const faulty = withFields(withItem(SETUPS.lower, 'device', club.groovedTube), 'device', {
    brakeLed: 'redirected',
    brakeSide: 'grooves',
  });
  const open = buildCheck(faulty, assess(faulty).findings).filter((i) => i.kind === 'open-finding');
  const icy = changed(rappelDouble, { site: { weather: 'icy' } });
  const minded = buildCheck(icy, assess(icy).findings).filter(
    (i) => i.kind === 'open-finding' && i.title === 'Caution',
  );

  it('is closed by something seen or tried, and never by having talked about it', () => {
    for (const { setup } of variedSetups())
      for (const i of buildCheck(setup, assess(setup).findings)) {
        expect([i.expected, ...i.others].join()).not.toMatch(/talked|as it says$|it will do/i);
        expect(new Set([i.expected, ...i.others]).size).toBe(1 + i.others.length);
      }
  });
  it('a hand that is alone is not accepted by anybody: something else must hold', () => {
    const alone = open.find((i) => i.id.startsWith('finding:hold.hand-alone'))!;
    expect(mayBeAccepted(alone)).toBe(false);
    expect(alone.expected).toMatch(/tested with weight, and it held/);
  });
  it('what is not known is not accepted either, and no look or test', () => {
    const wet = changed(SETUPS['tree-stationary'], { site: { weather: 'wet' } });
    for (const i of buildCheck(wet, assess(wet).findings))
      if (i.title !== 'Caution' || i.kind !== 'open-finding') expect(mayBeAccepted(i), i.id).toBe(false);
  });

  const record: CheckRecord = { ...start('face-to-face'), setup: icy, verdict: 'mind', items: minded };
  const accept = (r: CheckRecord, who: Half, reason = 'Ten metres, and belayed from above.') =>
    withEvent(r, { type: 'accepted', itemId: minded[0]!.id, who, reason, at: AT });
  it('a known risk is accepted by each by name, and stays in the record', () => {
    expect(minded.length).toBeGreaterThan(0);
    const one = accept(record, 'climber');
    expect(itemStatus(one, minded[0]!).state).toBe('open');
    const both = accept(one, 'partner');
    expect(itemStatus(both, minded[0]!).state).toBe('done');
    expect(both.events.map((e) => e.type)).toEqual(['accepted', 'accepted']);
    expect(checkRecordSchema.safeParse(both).success).toBe(true);
  });
  it('an answer that fails it takes what was accepted away', () => {
    const failed = withEvent(accept(record, 'climber'), sawEvent(minded[0]!, 'partner', minded[0]!.others[0]!, AT));
    expect(itemStatus(failed, minded[0]!)).toMatchObject({ state: 'failed', confirmed: [] });
  });
  it('a reason is needed, and a record in which something else was accepted is refused with its path', () => {
    expect(checkRecordSchema.safeParse(accept(record, 'climber', 'ok')).success).toBe(false);
    const wrong = withEvent(start('alone'), {
      type: 'accepted',
      itemId: items[0]!.id,
      who: 'climber',
      reason: 'It looks good to me.',
      at: AT,
    });
    const parsed = checkRecordSchema.safeParse(wrong);
    expect(parsed.error?.issues.map((i) => i.path.join('/'))).toEqual(['events/0/type']);
  });
});

describe('quickAnswers', () => {
  const at = (seconds: number) => new Date(Date.parse(AT) + seconds * 1000).toISOString();
  const answered = (...answers: readonly (readonly [who: Half, seconds: number])[]): CheckRecord => ({
    ...start('face-to-face'),
    events: answers.map(([who, seconds], i) => sawEvent(items[i]!, who, items[i]!.expected, at(seconds))),
  });
  it('are those within two seconds of the look before; what one look answers takes a tap each', () => {
    // Three answers of one look, then another thing.
    const after = (seconds: number) =>
      quickAnswers(answered(['partner', 5], ['partner', 5.8], ['partner', 6.6], ['partner', seconds]));
    expect(after(8.7)).toEqual([]);
    expect(after(8)).toHaveLength(1);
    expect(quickAnswers(answered(['partner', 5], ['partner', 5.3]))).toHaveLength(1);
  });
  it('the first one counts from the beginning', () => expect(quickAnswers(answered(['climber', 1]))).toHaveLength(1));
  it('two people answer side by side', () =>
    expect(quickAnswers(answered(['climber', 5], ['partner', 5.5], ['climber', 9], ['partner', 9.1]))).toEqual([]));
  it('a repair begins anew for both', () => {
    const fixed: CheckRecord = {
      ...start('face-to-face'),
      events: [
        { type: 'fixed', who: null, itemId: items[0]!.id, note: 'Turned round', at: at(30) },
        sawEvent(items[0]!, 'climber', items[0]!.expected, at(31)),
        sawEvent(items[0]!, 'partner', items[0]!.expected, at(33)),
      ],
    };
    expect(quickAnswers(fixed)).toHaveLength(1);
  });
});
