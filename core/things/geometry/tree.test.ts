import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { exactly } from '../../foundations/units/index.ts';
import { forkRatio, swingOf } from './index.ts';

describe('what a fork carries', () => {
  // Worked by hand from the capstan law of Euler and Eytelwein over half a turn.
  it.each([
    [0, 2],
    [0.1, 1.73],
    [0.3, 1.39],
  ])('friction %s: %s times the weight', (mu, ratio) => expect(forkRatio(exactly(mu)).best).toBeCloseTo(ratio, 2));
  it('law: more friction never loads it more, between one and two weights', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 2, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (mu, more) => {
          const [a, b] = [forkRatio(exactly(mu)).best, forkRatio(exactly(mu + more)).best];
          expect(b).toBeLessThanOrEqual(a);
          expect(b).toBeGreaterThan(1);
          expect(a).toBeLessThanOrEqual(2);
        },
      ),
    );
  });
  it('the ends of friction are the other ends of the load', () => {
    const { low, high } = forkRatio({ low: 0.1, best: 0.3, high: 0.5 });
    expect(low).toBe(forkRatio(exactly(0.5)).best);
    expect(high).toBe(forkRatio(exactly(0.1)).best);
  });
});

describe('a swing off a limb', () => {
  // Worked by hand: Pythagoras, arc tangent, and free fall over the drop.
  it.each([
    [3, 6, 27, 0.71, 3.73],
    [4, 4, 45, 1.66, 5.7],
    [5, 3, 59, 2.83, 7.45],
  ])('%s m out, %s m below the tie-in', (out, below, deg, drop, speed) => {
    const s = swingOf(out, below);
    expect(s.angleDeg).toBeCloseTo(deg, -0.5);
    expect(s.dropM).toBeCloseTo(drop, 2);
    expect(s.speedMPerS).toBeCloseTo(speed, 1);
  });
  it('laws: farther out drops more; higher above, less; energy is kept', () => {
    const m = fc.double({ min: 0.1, max: 20, noNaN: true });
    fc.assert(
      fc.property(m, m, m, (out, below, more) => {
        const s = swingOf(out, below);
        expect(swingOf(out + more, below).dropM).toBeGreaterThanOrEqual(s.dropM);
        expect(swingOf(out, below + more).dropM).toBeLessThanOrEqual(s.dropM + 1e-12);
        expect(s.speedMPerS ** 2 / 2).toBeCloseTo(9.80665 * s.dropM, 9);
        // The two legs and the line are a right-angled triangle.
        expect(s.lineM ** 2).toBeCloseTo(out ** 2 + below ** 2, 6);
      }),
    );
  });
});
