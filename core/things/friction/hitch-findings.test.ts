import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { club } from '../../samples/index.ts';
import { bite, cordStrengthKn, hitchFindings, hitchGripMargin, type HitchInput } from './index.ts';

const base: HitchInput = {
  cord: club.shortCord,
  ropeA: club.longRope,
  ropeB: null,
  climber: club.ilse,
  harness: club.surveyHarness,
  weather: 'dry',
  kind: 'autoblock',
  wraps: 4,
  strands: 'both',
  eyes: 'both',
  attachedTo: 'leg-loop',
};
const found = (change: Partial<HitchInput>) =>
  hitchFindings({ ...base, ...change }).map((f) => `${f.code} ${f.severity}`);

// EN 564, F = 0.2 d^2 kN (from memory): 5 mm 5.0, 6 mm 7.2, 7 mm 9.8, 8 mm 12.8.
it.each([
  [5, 5.0],
  [6, 7.2],
  [7, 9.8],
  [8, 12.8],
])('EN 564: %s mm cord holds %s kN', (d, kn) => expect(cordStrengthKn(d)).toBeCloseTo(kn, 10));

describe('hitchGripMargin', () => {
  const margin = (change: Partial<Parameters<typeof hitchGripMargin>[0]>) =>
    hitchGripMargin({
      cordDiameterMm: 6,
      ropeDiameterMm: 9.8,
      wraps: 3,
      material: 'polyamide',
      weather: 'dry',
      sheath: 'smooth',
      ...change,
    });

  // Common practice: three wraps of 6 mm on a common single rope hold, two do not do so reliably.
  it('agrees with practice on three wraps and two', () => {
    expect(margin({}).low).toBeGreaterThan(1);
    expect(margin({ wraps: 2 }).low).toBeLessThan(1);
  });

  it('is the closed form 2 pi mu n / ln R', () =>
    expect(margin({}).best).toBeCloseTo((2 * Math.PI * 0.22 * 3) / Math.log(20), 12));

  it('rises with wraps, falls with thicker cord, ice and slippery fibre', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 8 }), (n) => {
        expect(margin({ wraps: n + 1 }).low).toBeGreaterThan(margin({ wraps: n }).low);
      }),
    );
    expect(margin({ cordDiameterMm: 9 }).best).toBeLessThan(margin({}).best);
    expect(margin({ weather: 'icy' }).best).toBeLessThan(margin({}).best);
    expect(margin({ material: 'uhmwpe' }).best).toBeLessThan(margin({ material: 'aramid' }).best);
    // Not known spans polyamide to UHMWPE: its low end lies far below polyamide, its best value is not lowered by mere
    // ignorance.
    expect(margin({ material: 'unknown' }).low).toBeLessThan(0.6 * margin({}).low);
    expect(margin({ material: 'unknown' }).best).toBe(margin({}).best);
  });

  it('bites fully in the good range and never below a tenth', () => {
    expect(bite(6, 10)).toBe(1);
    expect(bite(10, 10)).toBeCloseTo(0.7, 12);
    expect(bite(12, 6)).toBe(0.1);
  });
});

describe('hitchFindings', () => {
  it('finds nothing against the hitch of the demo', () => {
    expect(found({})).toEqual(['hitch.grips clear', 'hitch.strength clear']);
  });
  it.each<[string, Partial<HitchInput>, string]>([
    ['one wrap', { wraps: 1 }, 'hitch.slips stop'],
    ['few wraps', { wraps: 2 }, 'hitch.few-wraps mind'],
    ['two wraps on an icy rope', { wraps: 3, weather: 'icy' }, 'hitch.grip-doubtful mind'],
    [
      'three wraps on a new treated rope',
      { wraps: 3, ropeA: { ...club.longRope, sheath: 'new-treated' } },
      'hitch.grip-doubtful untested',
    ],
    ['thick cord', { cord: { ...club.shortCord, measuredDiameterMm: 8.5 } }, 'hitch.cord-thick mind'],
    ['cord as thick as the rope', { cord: { ...club.shortCord, measuredDiameterMm: 10 } }, 'hitch.cord-thick stop'],
    ['thin cord', { cord: { ...club.shortCord, measuredDiameterMm: 5 } }, 'hitch.cord-thin mind'],
    ['UHMWPE', { cord: { ...club.shortCord, material: 'uhmwpe' } }, 'hitch.low-melting stop'],
    ['unknown fibre', { cord: { ...club.shortCord, material: 'unknown' } }, 'hitch.material-unknown untested'],
    ['unknown strength', { cord: { ...club.shortCord, declaredStrengthKn: null } }, 'hitch.strength-unknown untested'],
    [
      'unknown strength and fibre',
      { cord: { ...club.shortCord, material: 'unknown', declaredStrengthKn: null } },
      'hitch.strength-unknown untested',
    ],
    ['weak cord', { cord: { ...club.shortCord, declaredStrengthKn: 1.2 } }, 'hitch.strength stop'],
    ['one strand', { strands: 'one' }, 'hitch.strands stop'],
    ['strands not said', { strands: 'unknown' }, 'hitch.strands untested'],
    ['one eye', { eyes: 'one' }, 'hitch.eyes stop'],
    ['eyes not said', { eyes: 'unknown' }, 'hitch.eyes untested'],
    ['a Prusik', { kind: 'prusik' }, 'hitch.hard-to-release mind'],
    ['six wraps', { wraps: 6 }, 'hitch.hard-to-release mind'],
    ['buckle that only fits', { harness: club.lightHarness }, 'hitch.leg-loop-buckle stop'],
    [
      'buckle not known',
      { harness: { ...club.lightHarness, legBuckleTakesLoad: 'unknown' } },
      'hitch.leg-loop-unknown untested',
    ],
  ])('%s', (_, change, expected) => expect(found(change)).toContain(expected));

  it('does not ask about leg-loop buckles when the hitch hangs on the belay loop', () => {
    expect(found({ harness: club.lightHarness, attachedTo: 'belay-loop' }).join()).not.toContain('leg-loop');
  });
});
