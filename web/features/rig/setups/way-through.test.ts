import { describe, expect, it } from 'vitest';
import { beginCheck } from '@core/records/log';
import { demoWorkspace, SETUPS } from '@core/samples';
import { notRigged, withItem, type Setup } from '@core/rigs/rig';
import { countUnobserved, notTaken, STAGE_IDS, wayThrough } from './way-through';

/** Without a Stop, unless one is named. */
const way = (of: Setup, data: Parameters<typeof wayThrough>[1], stops = 0) => wayThrough(of, data, stops);
const none = { checks: [], uses: [], sequences: [] };
const setup: Setup = { ...SETUPS['rappel-double'], updatedAt: '2026-10-01T08:00:00.000Z' };
const record = (endedAt: string, outcome: 'complete' | 'abandoned' = 'complete') => ({
  ...beginCheck({ id: 'c1', mode: 'alone', setup, verdict: 'clear', items: [], startedAt: '2026-10-01T09:00:00.000Z' }),
  setup,
  outcome,
  endedAt,
});
const use = (at: string) => ({ ...demoWorkspace().uses[0]!, setupId: setup.id, at });

describe('the way through', () => {
  it('an empty place comes first, then what nobody has said, then the check', () => {
    const empty = withItem(setup, 'device', null);
    expect(notTaken(empty)).toBe(1);
    expect(way(empty, none)).toMatchObject({ next: 'take', says: '1 place is empty.' });
    const open = notRigged(setup);
    expect(countUnobserved(open)).toBeGreaterThan(1);
    expect(way(open, none).next).toBe('rig');
    expect(way(open, none).says).toMatch(/^\d+ facts about the rig are not said/);
    expect(countUnobserved(setup)).toBe(0);
    expect(way(setup, none)).toMatchObject({ next: 'check', says: 'Nobody has checked it yet.' });
  });
  it('a Stop is put right before anything is checked', () => {
    const stopped = way(setup, none, 3);
    expect(stopped).toMatchObject({ next: 'rig', says: '3 things are to be put right first.' });
    expect(stopped.done.has('rig')).toBe(false);
    // A check of before does not make it good.
    expect(way(setup, { ...none, checks: [record('2026-10-02T08:00:00.000Z')] }, 1).next).toBe('rig');
  });
  it('a check counts until the set-up is changed; one that was left does not count', () => {
    expect(way(setup, { ...none, checks: [record('2026-10-02T08:00:00.000Z')] }).next).toBe('use');
    const before = { ...setup, site: { ...setup.site, weather: 'wet' as const } };
    expect(way(setup, { ...none, checks: [{ ...record('2026-10-02T08:00:00.000Z'), setup: before }] })).toMatchObject({
      next: 'check',
      says: 'Checked, but since then changed: the place.',
    });
    expect(way(setup, { ...none, checks: [record('2026-10-02T08:00:00.000Z', 'abandoned')] }).next).toBe('check');
    // A name and a note change nothing that was looked at.
    const renamed = { ...setup, name: 'Another name', note: 'x', updatedAt: '2026-10-03T08:00:00.000Z' };
    expect(way(renamed, { ...none, checks: [record('2026-10-02T08:00:00.000Z')] }).next).toBe('use');
    const other = { ...record('2026-10-02T08:00:00.000Z'), setup: { ...setup, id: 'another' } };
    expect(way(setup, { ...none, checks: [other] }).next).toBe('check');
  });
  it('steps that are under way are named; a use after the check ends it', () => {
    const checks = [record('2026-10-02T08:00:00.000Z')];
    const sequence = { ...demoWorkspace().sequences[0]!, name: `Steps: ${setup.name}`.slice(0, 80), at: 2 };
    expect(way(setup, { ...none, checks, sequences: [sequence] }).says).toBe('The steps are under way.');
    expect(way(setup, { ...none, checks, uses: [use('2026-10-01T09:00:00.000Z')] }).next).toBe('use');
    const all = way(setup, { ...none, checks, uses: [use('2026-10-02T12:00:00.000Z')] });
    expect(all.next).toBeNull();
    expect([...all.done]).toEqual(STAGE_IDS);
  });
});
