import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { holeNeededMm } from './index.ts';

/**
 * Smallest straight slot, found by walking over the ring sector: highest point of the outer arc over lowest point of
 * the inner arc.
 */
function sampled(insideWidthMm: number, stockMm: number, thicknessMm: number): number {
  const r = insideWidthMm / 2;
  const steps = 4000;
  let [top, bottom] = [-Infinity, Infinity];
  for (let i = 0; i <= steps; i += 1) {
    const x = -thicknessMm / 2 + (thicknessMm * i) / steps;
    top = Math.max(top, Math.sqrt((r + stockMm) ** 2 - x * x));
    bottom = Math.min(bottom, Math.sqrt(r * r - x * x));
  }
  return top - bottom;
}

describe('holeNeededMm', () => {
  it('meets the worked example: r 15, stock 10, plate 10', () =>
    expect(holeNeededMm(30, 10, 10)).toBeCloseTo(10.858, 3));
  it('a thin plate needs the stock, a plate wider than the end never passes', () => {
    expect(holeNeededMm(30, 10, 0)).toBe(10);
    expect(holeNeededMm(12, 10, 12.1)).toBe(Infinity);
  });
  it('agrees with a finely sampled ring, and grows with plate and stock, falls with width', () => {
    const mm = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(mm(12, 60), mm(6, 14), mm(0.5, 11), mm(0.1, 3), (width, stock, plate, more) => {
        // Both arcs reach their extremes at a sampled point, so only rounding is left.
        expect(Math.abs(holeNeededMm(width, stock, plate) - sampled(width, stock, plate))).toBeLessThan(1e-9);
        expect(holeNeededMm(width, stock, Math.min(width, plate + more))).toBeGreaterThanOrEqual(
          holeNeededMm(width, stock, plate),
        );
        expect(holeNeededMm(width, stock + more, plate)).toBeGreaterThan(holeNeededMm(width, stock, plate));
        expect(holeNeededMm(width + more, stock, plate)).toBeLessThanOrEqual(holeNeededMm(width, stock, plate));
      }),
    );
  });
});
