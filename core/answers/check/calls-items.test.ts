import { describe, expect, it } from 'vitest';
import { contextOf } from '../../rigs/elements/index.ts';
import { changed, filled, SETUPS } from '../../samples/index.ts';
import { callsItems } from './calls-items.ts';

const leader = filled(SETUPS['belay-leader']);
const items = (fields: object, words: object = {}) =>
  callsItems(contextOf(changed(leader, { calls: { ...fields, words: { ...leader.calls.words, ...words } } })));
const called = (...args: Parameters<typeof items>) => items(...args).find((i) => i.id === 'calls');

describe('what two persons tell each other, tried on the ground', () => {
  it('by voice and by signs four calls are tried, in the own words where there are some', () => {
    expect(called({ by: 'voice' })!.touch).toContain('“Take”, “Slack”, “Lower”, “Off belay”');
    expect(called({ by: 'voice' }, { take: 'Tight' })!.touch).toMatch(/“.?Tight.?”, “Slack”/);
    expect(called({ by: 'signs' })!.title).toBe('Signs');
  });
  it('by tugs they are counted: five, or what the two agreed on', () => {
    expect(called({ by: 'tugs' })!.expected).toBe('5, long and clear');
    expect(called({ by: 'tugs' }, { 'off-belay': 'three and three' })!.expected).toContain('three and three');
  });
  it('where nothing is agreed the open finding asks', () => {
    expect(called({ by: 'none' })).toBeUndefined();
    expect(called({ by: 'unknown' })).toBeUndefined();
  });
  it.each([
    ['lower', 'Is lowered by the belayer'],
    ['rappel', 'Rappels'],
    ['stays', 'Stays up or walks off'],
  ] as const)('at the top: %s', (down, expected) => {
    const item = items({ down }).find((i) => i.id === 'coming-down')!;
    expect(item.expected).toBe(expected);
    expect(item.others).toHaveLength(2);
    expect(item.others).not.toContain(expected);
  });
  it('is not asked where nobody belays, and coming down not where nobody climbs up first', () => {
    expect(callsItems(contextOf(filled(SETUPS['rappel-double'])))).toEqual([]);
    expect(callsItems(contextOf(filled(SETUPS.lower))).map((i) => i.id)).toEqual(['calls']);
  });
});
