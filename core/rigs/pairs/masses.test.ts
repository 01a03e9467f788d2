import { describe, expect, it } from 'vitest';
import { assess } from '../../answers/assess/index.ts';
import { withItem, type Setup } from '../rig/index.ts';
import { changed, club, filled, SETUPS } from '../../samples/index.ts';

const with2 = (name: 'belay-leader' | 'belay-top-rope', climberKg: number, belayerKg: number): Setup =>
  withItem(withItem(filled(SETUPS[name]), 'climber', { ...club.ilse, massKg: climberKg }), 'belayer', {
    ...club.tomas,
    massKg: belayerKg,
  });
const left = (setup: Setup) =>
  assess(setup)
    .findings.find((f) => f.code === 'belay.masses')!
    .numbers.find((n) => n.key === 'left')!.value;

describe('what is left of a belayer’s mass', () => {
  // From memory, with its interval: a line of runners 1.5 / 1.8 / 2.5, one connector at the anchor 1.5 / 1.6 / 1.7.
  it('with a line of runners, for a leader as heavy: 1.5, 1.8, 2.5', () => {
    const { low, best, high } = left(with2('belay-leader', 80, 80));
    expect([low, best, high]).toEqual([1.5, 1.8, 2.5]);
  });
  it('with half a turn over the anchor of a top rope: 1.5 to 1.7', () => {
    const { low, best, high } = left(with2('belay-top-rope', 80, 80));
    expect([low, best, high]).toEqual([1.5, 1.6, 1.7]);
  });
  // Common practice: from 1.2 times the belayer's mass one is moved, and a leader below 0.8 times it is caught hard.
  it.each([
    ['belay-leader', 79, 'mind'],
    ['belay-leader', 81, 'clear'],
    ['belay-leader', 119, 'clear'],
    ['belay-leader', 121, 'mind'],
    ['belay-top-rope', 79, 'clear'],
    ['belay-top-rope', 121, 'mind'],
  ] as const)('%s, %s kg on a belayer of 100 kg: %s', (name, kg, severity) =>
    expect(assess(with2(name, kg, 100)).findings.find((f) => f.code === 'belay.masses')!.severity).toBe(severity),
  );
  it('half of it for a climber of twice the mass', () =>
    expect(left(with2('belay-leader', 120, 60)).best).toBeCloseTo(0.9, 12));
});

describe('a belayer from the wall', () => {
  const severity = (fromWallM: number | null) =>
    assess(changed(with2('belay-leader', 70, 70), { belayer: { fromWallM } })).findings.find(
      (f) => f.code === 'belay.stance',
    )!.severity;
  it('two metres are close, more is minded, nothing said is not tested', () => {
    expect([0, 1.9, 2.1, null].map(severity)).toEqual(['clear', 'clear', 'mind', 'untested']);
  });
});

describe('persons that gear is made for', () => {
  const minds = (massKg: number) =>
    assess(withItem(filled(SETUPS['rappel-double']), 'climber', { ...club.ilse, massKg })).findings.some(
      (f) => f.code === 'rig.person-mass' && f.severity !== 'clear',
    );
  it('from 45 to 120 kg', () => {
    expect([44, 46, 119, 121].map(minds)).toEqual([true, false, false, true]);
  });
});
