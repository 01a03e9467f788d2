import { describe, expect, it } from 'vitest';
import { demoWorkspace, SETUPS } from '@core/samples';
import { notRigged, withItem, type Setup } from '@core/rig';
import { notSaid, notTaken, STAGE_IDS, wayThrough } from './way-through';

const none = { checks: [], uses: [], sequences: [] };
const setup: Setup = { ...SETUPS['rappel-double'], updatedAt: '2026-10-01T08:00:00.000Z' };
const record = (endedAt: string, outcome: 'complete' | 'abandoned' = 'complete') => ({
  ...demoWorkspace().checks[0]!,
  setup,
  outcome,
  endedAt,
});
const use = (at: string) => ({ ...demoWorkspace().uses[0]!, setupId: setup.id, at });

describe('the way through', () => {
  it('an empty place comes first, then what nobody has said, then the check', () => {
    const empty = withItem(setup, 'device', null);
    expect(notTaken(empty)).toBe(1);
    expect(wayThrough(empty, none)).toMatchObject({ next: 'take', says: '1 place is empty.' });
    const open = notRigged(setup);
    expect(notSaid(open)).toBeGreaterThan(1);
    expect(wayThrough(open, none).next).toBe('rig');
    expect(wayThrough(open, none).says).toMatch(/^\d+ facts about the rig are not said/);
    expect(notSaid(setup)).toBe(0);
    expect(wayThrough(setup, none)).toMatchObject({ next: 'check', says: 'Nobody has checked it yet.' });
  });
  it('a check counts until the set-up is changed; one that was left does not count', () => {
    expect(wayThrough(setup, { ...none, checks: [record('2026-10-02T08:00:00.000Z')] }).next).toBe('use');
    expect(wayThrough(setup, { ...none, checks: [record('2026-09-30T08:00:00.000Z')] })).toMatchObject({
      next: 'check',
      says: 'It was changed since the last check.',
    });
    expect(wayThrough(setup, { ...none, checks: [record('2026-10-02T08:00:00.000Z', 'abandoned')] }).next).toBe(
      'check',
    );
    const other = { ...record('2026-10-02T08:00:00.000Z'), setup: { ...setup, id: 'another' } };
    expect(wayThrough(setup, { ...none, checks: [other] }).next).toBe('check');
  });
  it('steps that are under way are named; a use after the check ends it', () => {
    const checks = [record('2026-10-02T08:00:00.000Z')];
    const sequence = { ...demoWorkspace().sequences[0]!, name: `Steps: ${setup.name}`.slice(0, 80), at: 2 };
    expect(wayThrough(setup, { ...none, checks, sequences: [sequence] }).says).toBe('The steps are under way.');
    expect(wayThrough(setup, { ...none, checks, uses: [use('2026-10-01T09:00:00.000Z')] }).next).toBe('use');
    const all = wayThrough(setup, { ...none, checks, uses: [use('2026-10-02T12:00:00.000Z')] });
    expect(all.next).toBeNull();
    expect([...all.done]).toEqual(STAGE_IDS);
  });
});
