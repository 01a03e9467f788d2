import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { brakeForceN, handForceN } from './index.ts';

const unmeasured = (massKg: number) => ({ massKg, handForceN: null });
const on = (diameterMm: number, weather: 'dry' | 'wet' | 'icy' = 'dry') => ({ diameterMm, weather });

// Constants to carry: default 150/230/330 N on a 10 mm rope; times (d / 10)^0.7; wet 0.8 to 1, icy 0.5 to 0.8; about
// 2.8 N per kg for small people, at most the default, unless measured.
describe('handForceN', () => {
  it('an adult who was not measured, 10 mm, dry', () =>
    expect(handForceN(unmeasured(83), on(10)).forceN).toEqual({ low: 150, best: 230, high: 330 }));
  it('a child of 30 kg: 84 N', () => {
    const { forceN, measured } = handForceN(unmeasured(30), on(10));
    expect(measured).toBe(false);
    expect(forceN.best).toBeCloseTo(84, 12);
    // The same share of the default at each end.
    expect(forceN.low).toBeCloseTo((84 * 150) / 230, 12);
    expect(forceN.high).toBeCloseTo((84 * 330) / 230, 12);
  });
  it('a child that was measured is believed, within its spread', () =>
    expect(handForceN({ massKg: 30, handForceN: 120 }, on(10))).toEqual({
      measured: true,
      forceN: { low: 108, best: 120, high: 132 },
    }));
  it.each([
    [8.5, 0.8925],
    [10, 1],
    [11, 1.069],
  ])('%s mm: %s of it', (d, share) => {
    const ten = handForceN(unmeasured(80), on(10)).forceN.best;
    expect(handForceN(unmeasured(80), on(d)).forceN.best / ten).toBeCloseTo(share, 3);
  });
  it('less on wet rope, much less on ice, at every end', () => {
    const [dry, wet, icy] = (['dry', 'wet', 'icy'] as const).map((w) => handForceN(unmeasured(80), on(10, w)).forceN);
    for (const end of ['low', 'best', 'high'] as const) {
      expect(wet![end]).toBeLessThanOrEqual(dry![end]);
      expect(icy![end]).toBeLessThanOrEqual(wet![end]);
    }
    expect(icy!.best / dry!.best).toBeCloseTo(0.65, 12);
  });
  it('never falls with the mass of the person or the diameter of the rope', () => {
    const num = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(num(25, 200), num(0, 50), num(6, 13), num(0, 3), (massKg, more, d, thicker) => {
        const base = handForceN(unmeasured(massKg), on(d)).forceN;
        for (const end of ['low', 'best', 'high'] as const) {
          expect(handForceN(unmeasured(massKg + more), on(d)).forceN[end]).toBeGreaterThanOrEqual(base[end]);
          expect(handForceN(unmeasured(massKg), on(d + thicker)).forceN[end]).toBeGreaterThanOrEqual(base[end]);
        }
      }),
    );
  });
});

// A tube at the anchor with load and hand both down turns the rope by half a turn only: 84 kg on mu 0.25 need 376 N,
// not 126.
describe('brakeForceN', () => {
  const none = { low: 0, best: 0, high: 0 };
  const at = (exponent: number) => ({ low: exponent, best: exponent, high: exponent });
  it.each([
    [0.25 * Math.PI, 376],
    [0.25 * Math.PI * (1 + Math.SQRT2), 124],
  ])('84 kg, exponent %s: %s N', (exponent, forceN) => {
    const need = brakeForceN({ massKg: 84, exponent: at(exponent), ropeKgPerM: none, hangingM: 0 });
    expect(Math.abs(need.best - forceN)).toBeLessThan(2);
  });
});
