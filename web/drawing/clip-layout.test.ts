import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { holeNeededMm, seatKind, seatThicknessMm, waysOf } from '@core/things/connector';
import { club } from '@core/samples';
import { clipLayout, type ClipLayout } from './clip-layout';
import type { Vec } from './vector';

const connectors = club.clubItems.filter((i) => i.kind === 'connector');
const devices = club.clubItems.filter((i) => i.kind === 'device');

describe('clipLayout', () => {
  it('the other hand mirrors the drawing and nothing else', () => {
    const mirror = (p: Vec) => ({ x: -p.x || 0, y: p.y });
    const mirrored = (l: ClipLayout): ClipLayout => ({
      ...l,
      side: -l.side as 1 | -1,
      gateSide: -l.gateSide as 1 | -1,
      loadedCentre: mirror(l.loadedCentre),
      farCentre: mirror(l.farCentre),
      sleeve: l.sleeve && { ...l.sleeve, from: mirror(l.sleeve.from), to: mirror(l.sleeve.to) },
      plates: [...l.plates].reverse().map(({ x0, x1 }) => ({ x0: -x1, x1: -x0 })),
      brakeStrand: mirror(l.brakeStrand),
    });
    fc.assert(
      fc.property(fc.constantFrom(...connectors), fc.constantFrom(...devices), fc.nat({ max: 7 }), (c, d, n) => {
        const ways = waysOf(c, d);
        const way = ways[n % ways.length]!;
        expect(clipLayout(c, d, way, 'left')).toEqual(mirrored(clipLayout(c, d, way, 'right')));
      }),
    );
  });

  it('draws the hole bearing where the engine reckons it: play is hole less stock less the bend', () => {
    for (const c of connectors)
      for (const d of devices.filter((x) => seatKind(x) === 'plates' && x.eyeMm !== null))
        for (const way of waysOf(c, d)) {
          const l = clipLayout(c, d, way, 'right');
          if (l.playMm === null || !Number.isFinite(l.playMm)) continue;
          const thick = seatThicknessMm(d)!;
          // The stock takes from the lowest outer point (-stock) to the inner arc at the edge of the plates (bearingY).
          expect(d.eyeMm! - (l.bearingY + l.stockMm)).toBeCloseTo(l.playMm, 9);
          expect(l.bearingY + l.stockMm).toBeCloseTo(
            holeNeededMm(2 * l.loadedRadiusMm - l.stockMm, l.stockMm, thick),
            9,
          );
        }
  });

  it('says what was not measured and drawn by guess', () => {
    const way = { end: 'broad', from: 'left', gate: 'free' } as const;
    const burr = devices.find((d) => d.id === 'device-burr')!;
    expect(clipLayout(club.secondPear, burr, way, 'right').guessed).toEqual(['stock', 'sleeve']);
    expect(clipLayout(club.oval, burr, way, 'right').guessed).toEqual([]);
  });
});
