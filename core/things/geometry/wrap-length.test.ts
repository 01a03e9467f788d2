import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { beltLengthMm, cordPerWrapMm, wrapPerimeterMm } from './index.ts';

type Point = readonly [number, number];

/**
 * Independent reference: the convex hull of finely sampled circles, by the monotone chain of any algorithms handbook.
 */
function hullPerimeter(circles: readonly (readonly [x: number, r: number])[], samples: number): number {
  const points: Point[] = circles.flatMap(([x, r]) =>
    Array.from({ length: samples }, (_, i): Point => {
      const t = (2 * Math.PI * i) / samples;
      return [x + r * Math.cos(t), r * Math.sin(t)];
    }),
  );
  points.sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const half = (list: readonly Point[]) => {
    const chain: Point[] = [];
    for (const p of list) {
      while (chain.length > 1) {
        const [o, q] = [chain.at(-2)!, chain.at(-1)!];
        if ((q[0] - o[0]) * (p[1] - o[1]) - (q[1] - o[1]) * (p[0] - o[0]) > 0) break;
        chain.pop();
      }
      chain.push(p);
    }
    return chain;
  };
  const length = (chain: readonly Point[]) =>
    chain.slice(1).reduce((sum, p, i) => sum + Math.hypot(p[0] - chain[i]![0], p[1] - chain[i]![1]), 0);
  return length(half(points)) + length(half([...points].reverse()));
}

describe('wrap length', () => {
  // Worked by hand, one decimal.
  it('meets the check values', () => {
    expect(cordPerWrapMm(wrapPerimeterMm(6, 10), 6)).toBeCloseTo(50.6, 1);
    expect(cordPerWrapMm(wrapPerimeterMm(6, 9.5, 9.5), 6)).toBeCloseTo(68.0, 1);
  });

  it('is pi (D + d) + 2 D around two equal strands', () => {
    expect(wrapPerimeterMm(6, 9.5, 9.5)).toBeCloseTo(Math.PI * 15.5 + 2 * 9.5, 10);
  });

  it('equals the hull of two sampled strands, also unlike ones', () => {
    const mm = fc.double({ min: 7, max: 13, noNaN: true });
    fc.assert(
      fc.property(mm, mm, fc.double({ min: 4, max: 8, noNaN: true }), (a, b, d) => {
        const sampled = hullPerimeter(
          [
            [0, (a + d) / 2],
            [(a + b) / 2, (b + d) / 2],
          ],
          720,
        );
        // Chords of half a degree are short by a share of (pi / 720)^2 / 6 = 3e-6, and the tangent points by about as
        // much.
        expect(Math.abs(wrapPerimeterMm(d, a, b) / sampled - 1)).toBeLessThan(2e-5);
      }),
      { numRuns: 40 },
    );
  });

  it('equals a finely sampled helix around one strand and around two', () => {
    const helix = (perimeter: (t: number) => Point, pitch: number) => {
      const n = 20_000;
      let sum = 0;
      for (let i = 0; i < n; i += 1) {
        const [p, q] = [perimeter(i / n), perimeter((i + 1) / n)];
        sum += Math.hypot(q[0] - p[0], q[1] - p[1], pitch / n);
      }
      return sum;
    };
    const circle = (t: number): Point => [8 * Math.cos(2 * Math.PI * t), 8 * Math.sin(2 * Math.PI * t)];
    expect(helix(circle, 6)).toBeCloseTo(cordPerWrapMm(wrapPerimeterMm(6, 10), 6), 4);
    const [r, run] = [7.75, 9.5];
    const total = 2 * Math.PI * r + 2 * run;
    const stadium = (t: number): Point => {
      let s = t * total;
      if (s < run) return [s, r];
      s -= run;
      if (s < Math.PI * r) return [run + r * Math.sin(s / r), r * Math.cos(s / r)];
      s -= Math.PI * r;
      if (s < run) return [run - s, -r];
      s -= run;
      return [-r * Math.sin(s / r), -r * Math.cos(s / r)];
    };
    // Segments that straddle a tangent point are short by less than their length squared over the radius: 2e-6 mm.
    expect(helix(stadium, 6)).toBeCloseTo(cordPerWrapMm(wrapPerimeterMm(6, 9.5, 9.5), 6), 4);
  });

  it('refuses a circle inside the other', () => expect(() => beltLengthMm(10, 2, 3)).toThrow(RangeError));
});
