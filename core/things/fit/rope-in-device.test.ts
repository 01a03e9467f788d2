import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SEVERITIES } from '../../foundations/finding/index.ts';
import { usualUse, type Rope } from '../gear/index.ts';
import { club } from '../../samples/index.ts';
import { ropeInDevice, type RopeInDeviceInput } from './index.ts';

const fit = (rope: Partial<Rope>, device: RopeInDeviceInput['device'] = club.groovedTube) =>
  ropeInDevice({ load: usualUse('rappel-double'), rope: { ...club.longRope, ...rope }, part: 'ropeA', device });
const first = (rope: Partial<Rope>) => `${fit(rope)[0]!.code} ${fit(rope)[0]!.severity}`;
const label = (nominalDiameterMm: number) => ({ nominalDiameterMm, measuredDiameterMm: null });

describe('ropeInDevice', () => {
  // Culvert tube: single ropes 8.7 to 11 mm. Ranges are declared for labels: one inside is inside. A caliper reading
  // counts ± its own uncertainty.
  it.each<[string, Partial<Rope>, string]>([
    ['inside', { measuredDiameterMm: 9.9 }, 'fit.rope-in-range clear'],
    ['just inside, measured ± 0.1', { measuredDiameterMm: 8.8 }, 'fit.rope-in-range clear'],
    ['on the limit', { measuredDiameterMm: 8.7 }, 'fit.rope-near-limit untested'],
    ['within the uncertainty below', { measuredDiameterMm: 8.65 }, 'fit.rope-near-limit mind'],
    ['outside below', { measuredDiameterMm: 8.5 }, 'fit.rope-too-thin stop'],
    ['outside above', { measuredDiameterMm: 11.2 }, 'fit.rope-too-thick stop'],
    ['label near the limit, inside', label(8.9), 'fit.rope-in-range clear'],
    ['label just outside', label(8.6), 'fit.rope-near-limit untested'],
    ['label outside', label(8.2), 'fit.rope-too-thin stop'],
    [
      'measured 10.5 where the label says 11',
      { nominalDiameterMm: 11, measuredDiameterMm: 10.5 },
      'fit.rope-in-range clear',
    ],
    ['label 11 alone', label(11), 'fit.rope-in-range clear'],
    ['low-stretch is not accepted', { construction: 'low-stretch' }, 'fit.kind-not-accepted stop'],
    ['kind not known', { construction: 'other' }, 'fit.kind-not-accepted untested'],
  ])('%s', (_, rope, expected) => expect(first(rope)).toBe(expected));

  it('is not tested without a declaration for this job and strands', () => {
    const bare = { ...club.groovedTube, declarations: [] };
    expect(fit({}, bare)[0]).toMatchObject({ code: 'fit.range-not-declared', severity: 'untested' });
  });

  it('warns of a thin rope in a tube without grooves, and only there', () => {
    expect(fit({ measuredDiameterMm: 9 }, club.plainTube).map((f) => f.code)).toContain('fit.thin-rope-plain-tube');
    expect(fit({ measuredDiameterMm: 9 }).map((f) => f.code)).not.toContain('fit.thin-rope-plain-tube');
    expect(fit({ measuredDiameterMm: 10 }, club.plainTube).map((f) => f.code)).not.toContain(
      'fit.thin-rope-plain-tube',
    );
  });

  it('never gets better when the declared range shrinks', () => {
    const mm = fc.double({ min: 5, max: 16, noNaN: true });
    fc.assert(
      fc.property(mm, mm, mm, mm, mm, (d, a, b, e, f) => {
        const [lo, m1, m2, hi] = [a, b, e, f].sort((x, y) => x - y) as [number, number, number, number];
        const judged = (min: number, max: number) =>
          SEVERITIES.indexOf(
            fit(
              { measuredDiameterMm: d },
              {
                ...club.groovedTube,
                declarations: [
                  {
                    job: 'rappel-double',
                    strands: 'two',
                    constructions: ['single'],
                    minDiameterMm: min,
                    maxDiameterMm: max,
                    bestMinDiameterMm: null,
                    bestMaxDiameterMm: null,
                  },
                ],
              },
            )[0]!.severity,
          );
        expect(judged(m1, m2)).toBeLessThanOrEqual(judged(lo, hi));
      }),
    );
  });
});
