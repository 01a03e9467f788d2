import { describe, expect, it } from 'vitest';
import {
  bite,
  deviceExponent,
  frictionShifts,
  handForceN,
  hitchGripMargin,
  tubeExponent,
  type Conditions,
} from './index.ts';

/*
 * The closed forms once more, worked out here with the numbers themselves and by hand, not with the register: both ends
 * of every interval, so that a number that slips in the register is seen.
 */

type Three = readonly [low: number, best: number, high: number];
/** Product of independent factors: relative errors as the root of the sum of squares (JCGM 100:2008, 5.1.6). */
const product = (...factors: Three[]): Three => {
  const best = factors.reduce((p, [, b]) => p * b, 1);
  const share = (end: 0 | 2) => Math.hypot(...factors.map((f) => (f[end] - f[1]) / f[1]));
  return [best * (1 - share(0)), best, best * (1 + share(2))];
};
const MU: Three = [0.2, 0.25, 0.35];
const dry: Conditions = { weather: 'dry', sheath: 'smooth', wear: 'new' };
/**
 * Half a turn on the connector and half a turn over grooves opened by 75, 90 or 120 degrees: pi / sin(half the
 * opening).
 */
const GROOVED: Three = [120, 90, 75].map(
  (deg) => Math.PI + Math.PI / Math.sin((deg * Math.PI) / 360),
) as unknown as Three;
const exponent = (more: Partial<Parameters<typeof tubeExponent>[0]> = {}) => {
  const { low, best, high } = tubeExponent({
    grooved: true,
    conditions: dry,
    diameterMm: 10,
    extraConnector: false,
    lipRad: Math.PI,
    ...more,
  });
  return [low, best, high];
};
const close = (is: readonly number[], should: Three) => should.forEach((x, i) => expect(is[i]).toBeCloseTo(x, 9));

describe('the exponent of a grooved tube', () => {
  it('dry and new: friction 0.20, 0.25, 0.35 on the connector and in the grooves', () =>
    close(exponent(), product(MU, GROOVED)));
  it.each<[string, Partial<Conditions>, Three]>([
    ['wet', { weather: 'wet' }, [0.8, 1, 1.15]],
    ['icy', { weather: 'icy' }, [0.5, 0.7, 1]],
    ['a new, treated sheath', { sheath: 'new-treated' }, [0.75, 0.85, 1]],
    ['a fuzzy sheath', { sheath: 'fuzzy' }, [1, 1.1, 1.25]],
    ['a device worn smooth', { wear: 'worn' }, [0.8, 0.92, 1]],
  ])('%s', (_, state, factor) => {
    const conditions = { ...dry, ...state };
    close(exponent({ conditions }), product(MU, factor, GROOVED));
    const [shift] = frictionShifts(conditions);
    expect(shift!.factor).toEqual({ low: factor[0], best: factor[1], high: factor[2] });
  });
  it('8.5 mm: 0.05, 0.08, 0.11 less for each mm under 10', () =>
    close(exponent({ diameterMm: 8.5 }), product(MU, GROOVED, [1 - 0.165, 1 - 0.12, 1 - 0.075])));
  it('11 mm: so much more', () => close(exponent({ diameterMm: 11 }), product(MU, GROOVED, [1.05, 1.08, 1.11])));
  it('a second connector adds 0.2, 0.5, 0.9 rad', () =>
    close(
      exponent({ extraConnector: true }),
      product(MU, GROOVED.map((rad, i) => rad + [0.2, 0.5, 0.9][i]!) as unknown as Three),
    ));
  it('without grooves the lip is a flat half turn', () =>
    close(exponent({ grooved: false }), product(MU, [2 * Math.PI, 2 * Math.PI, 2 * Math.PI])));
});

describe('the other devices that a hand brakes', () => {
  const of = (brake: 'eight' | 'munter' | 'plate', lipRad: number) => {
    const { low, best, high } = deviceExponent({
      brake,
      conditions: dry,
      diameterMm: 10,
      extraConnector: false,
      lipRad,
    });
    return [low, best, high];
  };
  it('an eight turns the rope by 4.7, 6.3, 7.9 rad, and by 0.8, 1.5, 2.2 less with the hand beside the load', () => {
    close(of('eight', Math.PI), product(MU, [4.7, 6.3, 7.9]));
    close(of('eight', 0), product(MU, [4.7 - 2.2, 6.3 - 1.5, 7.9 - 0.8]));
  });
  it('a Munter hitch holds 4.5, 6.5, 9 times the hand with the strands opposite, 6, 9.5, 14 times side by side', () => {
    close(of('munter', Math.PI), [4.5, 6.5, 9].map(Math.log) as unknown as Three);
    close(of('munter', 0), [6, 9.5, 14].map(Math.log) as unknown as Three);
  });
  it('a connector on the harness behind the device turns the rope by 0.8, 1.5, 2.5 rad more', () => {
    const behind = deviceExponent({
      brake: 'plate',
      conditions: dry,
      diameterMm: 10,
      extraConnector: false,
      behindConnector: true,
      lipRad: 0,
    });
    const more = product(MU, [0.8, 1.5, 2.5]);
    const plain = of('plate', 0);
    close([behind.low, behind.best, behind.high], plain.map((x, i) => x + more[i]!) as unknown as Three);
  });
  it('wet, slick and worn at once: their bad ends add up, they are no errors that cancel', () => {
    const all = { weather: 'wet', sheath: 'new-treated', wear: 'worn' } as const;
    close(exponent({ conditions: all }), product(MU, [0.8 * 0.75 * 0.8, 1 * 0.85 * 0.92, 1.15], GROOVED));
  });
  it('a two-sided plate by 5, 6.5, 8, and by 0.5, 1, 1.6 more with the hand below', () => {
    close(of('plate', 0), product(MU, [5, 6.5, 8]));
    close(of('plate', Math.PI), product(MU, [5.5, 7.5, 9.6]));
  });
});

describe('the hand', () => {
  const on = (weather: Conditions['weather'], diameterMm = 10, massKg = 90) => {
    const { low, best, high } = handForceN({ handForceN: null, massKg }, { diameterMm, weather }).forceN;
    return [low, best, high];
  };
  it('150, 230, 330 N on dry rope; times 0.8, 0.9, 1 on wet and 0.5, 0.65, 0.8 on icy rope', () => {
    close(on('dry'), [150, 230, 330]);
    close(on('wet'), [120, 207, 330]);
    close(on('icy'), [75, 149.5, 264]);
  });
  it('on 8 mm 0.8 to the power of 0.7; a child of 40 kg has 112 N', () => {
    close(on('dry', 8), [150, 230, 330].map((n) => n * 0.8 ** 0.7) as unknown as Three);
    expect(on('dry', 10, 40)[1]).toBeCloseTo(112, 9);
  });
  it('measured once it is known to a tenth', () => {
    const { low, high } = handForceN({ handForceN: 300, massKg: 90 }, { diameterMm: 10, weather: 'dry' }).forceN;
    expect([low, high]).toEqual([270, 330].map((n) => expect.closeTo(n, 9) as number));
  });
});

describe('the grip of a friction hitch', () => {
  const margin = (material: 'polyamide' | 'polyester' | 'aramid' | 'uhmwpe', wraps = 3) => {
    const { low, best, high } = hitchGripMargin({
      cordDiameterMm: 6,
      ropeDiameterMm: 10,
      wraps,
      material,
      weather: 'dry',
      sheath: 'smooth',
    });
    return [low, best, high];
  };
  /** Wraps over the wraps needed, ln R / (2 pi mu), cord on rope 0.17, 0.22, 0.30. */
  const should = (ratio: number, ...factor: Three[]) =>
    product([0.17, 0.22, 0.3], ...factor).map((mu) => (3 * 2 * Math.PI * mu) / Math.log(ratio)) as unknown as Three;
  it('polyamide, polyester 0.90 to 1, aramid 0.85 to 1, UHMWPE 0.4 to 0.7 of its friction', () => {
    close(margin('polyamide'), should(20));
    close(margin('polyester'), should(20, [0.9, 0.95, 1]));
    close(margin('aramid'), should(20, [0.85, 0.95, 1]));
    close(margin('uhmwpe'), should(20, [0.4, 0.55, 0.7]));
  });
  it('cord thicker than 0.8 of the rope loses bite', () => {
    expect(bite(8, 10)).toBe(1);
    expect(bite(9, 10)).toBeCloseTo(1 - 1.5 * 0.1, 9);
    expect(bite(9, 10)).toBeGreaterThan(bite(9.5, 10));
  });
});
