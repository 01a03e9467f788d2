import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { constant } from '../../foundations/sources/index.ts';
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
  it('is mu times the turn of rope: friction 0.25 over 6.3 rad on an eight, 1.5 less with the hand beside the load', () => {
    const mu = constant('muRopeOnMetal').best;
    expect(at('eight', Math.PI).best).toBeCloseTo(mu * 6.3, 12);
    expect(at('eight', 0).best).toBeCloseTo(mu * (6.3 - 1.5), 12);
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
  it('an eight is not stronger than a grooved tube, at any end of its interval', () => {
    const [eight, tube] = [at('eight', Math.PI), at('grooved-tube', Math.PI)];
    for (const end of ['low', 'best', 'high'] as const) expect(eight[end]).toBeLessThanOrEqual(tube[end]);
  });
  // Worked by hand: grooved tube, mu 0.25, groove 90 deg, angle of the brake strand 0 / 45 / 90 / 135 / 180 deg.
  it.each([
    [0, 2.19],
    [45, 2.9],
    [90, 3.82],
    [135, 5.05],
    [180, 6.66],
  ])('grooved tube with the brake strand at %s deg: ratio %s', (deg, ratio) =>
    expect(Math.exp(at('grooved-tube', (deg * Math.PI) / 180).best)).toBeCloseTo(ratio, 1),
  );
  it('what is not known spans every state it could be in', () => {
    const of = (conditions: object) =>
      deviceExponent({ ...base, brake: 'eight', lipRad: 2, conditions: { ...base.conditions, ...conditions } });
    for (const open of [{ sheath: 'unknown' }, { sheath: 'mixed' }]) {
      const span = of(open);
      for (const sheath of ['smooth', 'new-treated', 'fuzzy']) {
        expect(span.low).toBeLessThanOrEqual(of({ sheath }).low);
        expect(span.high).toBeGreaterThanOrEqual(of({ sheath }).high);
      }
    }
    const worn = of({ wear: 'unknown' });
    for (const wear of ['new', 'used', 'worn']) expect(worn.low).toBeLessThanOrEqual(of({ wear }).low);
  });
  it('a thinner rope brakes less in each', () => {
    for (const brake of ['eight', 'munter', 'plate'] as const)
      expect(deviceExponent({ ...base, brake, lipRad: 1, diameterMm: 8 }).best).toBeLessThan(at(brake, 1).best);
  });
});
