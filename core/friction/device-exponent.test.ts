import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { constant } from '../sources/index.ts';
import { deviceExponent, tubeExponent } from './index.ts';

const base = {
  conditions: { weather: 'dry', sheath: 'smooth', wear: 'new' },
  diameterMm: 10,
  extraConnector: false,
} as const;
const at = (brake: Parameters<typeof deviceExponent>[0]['brake'], lipRad: number) =>
  deviceExponent({ ...base, brake, lipRad });

describe('deviceExponent', () => {
  it('of a tube is that of the tube', () => {
    expect(at('tube', 1)).toEqual(tubeExponent({ ...base, grooved: false, lipRad: 1 }));
    expect(at('grooved-tube', 1)).toEqual(tubeExponent({ ...base, grooved: true, lipRad: 1 }));
  });
  it('is mu times the turn of rope: friction 0.25 over 6.3 + 1.5 rad on an eight', () => {
    const mu = constant('muRopeOnMetal').best;
    expect(at('eight', Math.PI).best).toBeCloseTo(mu * (6.3 + 1.5), 12);
    expect(at('plate', 0).best).toBeCloseTo(mu * 6.5, 12);
  });
  it('a Munter hitch brakes most with both strands parallel, all others with the hand below', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 3, noNaN: true }),
        fc.double({ min: 0.01, max: 0.14, noNaN: true }),
        (lip, more) => {
          expect(at('munter', lip).best).toBeGreaterThan(at('munter', lip + more).best);
          for (const brake of ['eight', 'plate', 'tube', 'grooved-tube'] as const)
            expect(at(brake, lip + more).best).toBeGreaterThan(at(brake, lip).best);
        },
      ),
    );
  });
  it('a thinner rope brakes less in each', () => {
    for (const brake of ['eight', 'munter', 'plate'] as const)
      expect(deviceExponent({ ...base, brake, lipRad: 1, diameterMm: 8 }).best).toBeLessThan(at(brake, 1).best);
  });
});
