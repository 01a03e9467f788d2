import { describe, expect, it } from 'vitest';
import { assess } from '../../answers/assess/index.ts';
import { fallForceKn, oneSpring } from '../../things/gear/index.ts';
import { changed, club, rappelDouble } from '../../samples/index.ts';

/** What a sling of 22 kN is said to have left as it is tied. */
const left = (material: 'polyamide' | 'polyester' | 'uhmwpe' | 'unknown', knots: number) => {
  const setup = changed(rappelDouble, {
    extension: { item: { ...club.sling, material, strengthKn: 22 }, method: 'basket', knots },
  });
  const found = assess(setup).findings.find((f) => f.code === 'rig.extension-strength')!;
  const { low, best, high } = found.numbers.find((n) => n.key === 'left')!.value;
  return [low, best, high].map((kn) => Number(kn.toFixed(3)));
};

describe('strength left in a sling', () => {
  it('whole without a knot', () => expect(left('polyamide', 0)).toEqual([22, 22, 22]));
  it('at a knot 0.45, 0.55, 0.65 of polyamide and polyester, 0.30, 0.40, 0.50 of UHMWPE', () => {
    for (const material of ['polyamide', 'polyester'] as const) expect(left(material, 1)).toEqual([9.9, 12.1, 14.3]);
    expect(left('uhmwpe', 1)).toEqual([6.6, 8.8, 11]);
  });
  it('of a fibre that is not known all of that', () => expect(left('unknown', 1)).toEqual([6.6, 8.8, 14.3]));
  it('a fall of factor 0 is twice the weight: the load that a hanging sling is judged by', () =>
    expect(fallForceKn(oneSpring(24_000), 80, 0)).toBeCloseTo((2 * 80 * 9.80665) / 1000, 9));
});
