import { describe, expect, it } from 'vitest';
import { club } from '../../samples/index.ts';
import { diameterOf, linearDensityKgPerM, ropeLengthM, type Rope } from './index.ts';

const rope = (change: Partial<Rope>): Rope => ({
  ...club.longRope,
  measuredDiameterMm: null,
  measuredLengthM: null,
  linearDensityGPerM: null,
  ...change,
});

describe('ropeLengthM', () => {
  // Constants to carry: used rope, length over label 0.90 / 0.97 / 1.02; a new one is often a little long.
  it('of a used rope: 0.90, 0.97 and 1.02 of its label', () => {
    const { low, best, high } = ropeLengthM(rope({ lengthM: 60, sheath: 'smooth' }));
    expect(low).toBeCloseTo(54, 9);
    expect(best).toBeCloseTo(58.2, 9);
    expect(high).toBeCloseTo(61.2, 9);
  });
  it.each(['smooth', 'fuzzy', 'unknown'] as const)('a sheath that is %s is one that was used', (sheath) =>
    expect(ropeLengthM(rope({ lengthM: 100, sheath })).low).toBeCloseTo(90, 9),
  );
  it('of a new rope: 0.96, 1 and 1.02', () => {
    const { low, best, high } = ropeLengthM(rope({ lengthM: 60, sheath: 'new-treated' }));
    [57.6, 60, 61.2].forEach((m, i) => expect([low, best, high][i]).toBeCloseTo(m, 9));
  });
  it('that was measured is what was measured', () =>
    expect(ropeLengthM(rope({ lengthM: 60, measuredLengthM: 57.3 }))).toEqual({ low: 57.3, best: 57.3, high: 57.3 }));
});

describe('diameterOf', () => {
  it('a label is uncertain by 0.3 mm, a caliper by 0.1 mm or by what was said', () => {
    expect(diameterOf(rope({ nominalDiameterMm: 9.8 }))).toMatchObject({ measured: false, uncertaintyMm: 0.3 });
    expect(diameterOf(rope({ measuredDiameterMm: 9.9, measuringUncertaintyMm: null })).uncertaintyMm).toBe(0.1);
    expect(diameterOf(rope({ measuredDiameterMm: 9.9, measuringUncertaintyMm: 0.4 })).diameterMm.low).toBeCloseTo(
      9.5,
      9,
    );
  });
});

describe('linearDensityKgPerM', () => {
  // 0.65 d² g/m: a rope of 9.8 mm weighs about 62 g/m.
  it('is estimated from the cross-section', () =>
    expect(linearDensityKgPerM(rope({ nominalDiameterMm: 9.8 })).best).toBeCloseTo(0.0624, 4));
  it('is what was entered', () =>
    expect(linearDensityKgPerM(rope({ linearDensityGPerM: 64 }))).toEqual({ low: 0.064, best: 0.064, high: 0.064 }));
});

describe('mass per metre that is not declared', () => {
  it('0.60, 0.65 and 0.70 g/m for each square millimetre of diameter: 10 mm measured without error 60 to 70 g/m', () => {
    const { low, best, high } = linearDensityKgPerM(rope({ measuredDiameterMm: 10, measuringUncertaintyMm: 0 }));
    [0.06, 0.065, 0.07].forEach((kg, i) => expect([low, best, high][i]).toBeCloseTo(kg, 9));
  });
});
