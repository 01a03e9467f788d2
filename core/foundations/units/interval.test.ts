import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { interval, minus, plus, ratioIndependent, scale, times, timesIndependent, type Interval } from './index.ts';

const positive = fc
  .tuple(
    fc.double({ min: 0.01, max: 10, noNaN: true }),
    fc.double({ min: 0, max: 5, noNaN: true }),
    fc.double({ min: 0, max: 5, noNaN: true }),
  )
  .map(([low, a, b]): Interval => interval(low, low + a, low + a + b));
const pick = (i: Interval, t: number) => i.low + t * (i.high - i.low);
const inside = (i: Interval, x: number) => x >= i.low - 1e-9 && x <= i.high + 1e-9;

describe('interval', () => {
  it('refuses bounds out of order or not finite', () => {
    expect(() => interval(2, 1, 3)).toThrow(RangeError);
    expect(() => interval(0, 1, Infinity)).toThrow(RangeError);
    expect(() => interval(Number.NaN, 1, 2)).toThrow(RangeError);
  });

  it('contains every result of values taken from inside', () => {
    const t = fc.double({ min: 0, max: 1, noNaN: true });
    fc.assert(
      fc.property(positive, positive, t, t, (a, b, s, u) => {
        const [x, y] = [pick(a, s), pick(b, u)];
        expect(inside(plus(a, b), x + y)).toBe(true);
        expect(inside(minus(a, b), x - y)).toBe(true);
        expect(inside(times(a, b), x * y)).toBe(true);
        expect(inside(scale(a, -3), -3 * x)).toBe(true);
      }),
    );
  });

  // JCGM 100:2008 (GUM) 5.1: relative errors of a product combine as the root of the sum of squares: 3 % and 4 % give 5
  // %.
  it('combines independent relative errors as 3, 4, 5', () => {
    const product = timesIndependent(interval(0.97, 1, 1.03), interval(9.6, 10, 10.4));
    expect(product.best).toBeCloseTo(10, 12);
    expect(product.low).toBeCloseTo(9.5, 12);
    expect(product.high).toBeCloseTo(10.5, 12);
  });

  it('keeps the ratio of two intervals inside the worst case and turns over when they swap', () => {
    fc.assert(
      fc.property(positive, positive, (a, b) => {
        const r = ratioIndependent(a, b);
        expect(r.low).toBeGreaterThanOrEqual((a.low / b.high) * (1 - 1e-9));
        expect(r.high).toBeLessThanOrEqual((a.high / b.low) * (1 + 1e-9));
        const back = ratioIndependent(b, a);
        expect(back.best * r.best).toBeCloseTo(1, 9);
        expect(back.high * r.low).toBeCloseTo(1, 9);
      }),
    );
  });
});
