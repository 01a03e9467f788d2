import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { belayerLiftM } from './index.ts';

// Worked by hand: h 4.5 m, r 1.8, masses of climber and belayer; the closed form of two masses joined by a rope after
// the jerk.
describe('belayerLiftM', () => {
  it.each([
    [80, 80, 2.0],
    [80, 60, 5.5],
    [90, 60, 10],
  ])('%s kg on %s kg: %s m', (climberKg, belayerKg, liftM) => {
    // One decimal as printed; "about 10" to half a metre.
    expect(Math.abs(belayerLiftM(4.5, climberKg, belayerKg, 1.8) - liftM)).toBeLessThan(liftM === 10 ? 0.5 : 0.06);
  });
  it('110 kg on 48 kg: nothing stops it', () => expect(belayerLiftM(4.5, 110, 48, 1.8)).toBe(Infinity));
  it('without friction two equal masses never stop', () => expect(belayerLiftM(1, 70, 70, 1)).toBe(Infinity));

  const kg = fc.double({ min: 40, max: 130, noNaN: true });
  const ratio = fc.double({ min: 1, max: 3, noNaN: true });
  const fall = fc.double({ min: 0.1, max: 10, noNaN: true });
  it('keeps energy: what is left of the fall after the jerk is lifted, less friction', () => {
    fc.assert(
      fc.property(kg, kg, ratio, fall, (m1, m2, r, h) => {
        fc.pre(m1 < r * m2 * 0.95);
        const y = belayerLiftM(h, m1, m2, r);
        // After the jerk both move at u; the climber sinks by y and pulls with m1 g, the belayer with the friction
        // holds with r m2 g.
        const u2 = (2 * 9.80665 * h) / (1 + (r * m2) / m1) ** 2;
        expect(((m1 + r * m2) * u2) / 2).toBeCloseTo((r * m2 - m1) * 9.80665 * y, 6);
      }),
    );
  });
  it('a heavier climber, a lighter belayer, less friction or a longer fall never lift less', () => {
    fc.assert(
      fc.property(kg, kg, ratio, fall, fc.double({ min: 0.01, max: 2, noNaN: true }), (m1, m2, r, h, more) => {
        const lift = belayerLiftM(h, m1, m2, r);
        expect(belayerLiftM(h, m1 + more, m2, r)).toBeGreaterThanOrEqual(lift);
        expect(belayerLiftM(h, m1, m2 - more, r)).toBeGreaterThanOrEqual(lift);
        expect(belayerLiftM(h, m1, m2, r + more)).toBeLessThanOrEqual(lift);
        expect(belayerLiftM(h + more, m1, m2, r)).toBeGreaterThanOrEqual(lift);
      }),
    );
  });
});
