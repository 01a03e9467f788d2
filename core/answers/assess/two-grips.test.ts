import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { KINDS, rigged, type Placed } from '../../rigs/pairs/grips.test-help.ts';
import { hanging, held, holdsFromRig } from '../redundancy/index.ts';
import { contextOf } from '../../rigs/elements/index.ts';
import type { Setup } from '../../rigs/rig/index.ts';
import { assess } from './index.ts';

const modelOf = (setup: Setup) => {
  const ctx = contextOf(setup);
  return holdsFromRig(ctx, hanging(ctx)[0]!, assess(setup).findings);
};

/** The same question asked anew, one grip after the other from above: written without the engine. */
function stillHeld(placed: readonly Placed[], slips: readonly number[], cut: readonly (1 | 2)[]): boolean {
  for (const rope of [1, 2] as const) {
    if (cut.includes(rope)) continue;
    let sliding = false;
    for (const [i, { kind }] of placed.entries()) {
      if (placed[i]!.rope !== rope) continue;
      if (slips.includes(i)) sliding = true;
      else if (!sliding || kind === 'toothed') return true;
    }
  }
  return false;
}

const each = KINDS.flatMap((kind) => ([1, 2] as const).map((rope) => ({ kind, rope, tetherMm: 300 })));
const upTo = (n: number): Placed[][] =>
  n === 0
    ? [[]]
    : upTo(n - 1).flatMap((list) => (list.length === n - 1 ? [list, ...each.map((e) => [...list, e])] : [list]));

describe('what still holds of grips in a row', () => {
  it('what holds is what going down each rope finds, for every order of up to three, with every two faults', () => {
    const orders = upTo(3).filter((p) => p.length > 0);
    expect(orders).toHaveLength(6 + 36 + 216);
    for (const placed of orders) compare(placed);
  });
  // The two ropes may change their names, so that the first one is on rope 1 in all of them.
  it.each(['toothed', 'grab', 'hitch'] as const)('and for every order of four that begins with a %s', (kind) => {
    const orders = upTo(4).filter((p) => p.length === 4 && p[0]!.kind === kind && p[0]!.rope === 1);
    expect(orders).toHaveLength(216);
    for (const placed of orders) compare(placed);
  });
  function compare(placed: readonly Placed[]) {
    const model = modelOf(rigged(placed));
    const name = placed.map((p) => `${p.kind}${p.rope}`).join(' ');
    expect(
      model.noHolds.map((n) => `${n.id} ${n.because.template}`),
      name,
    ).toEqual([]);
    const faults = [
      ...placed.map((_, i) => ({ id: `d${i}`, slips: [i], cut: [] as (1 | 2)[] })),
      ...([1, 2] as const).map((rope) => ({ id: rope === 1 ? 'rope' : 'rope4', slips: [] as number[], cut: [rope] })),
    ].filter((f) => model.faults.some((x) => x.id === f.id));
    for (const [i, a] of faults.entries())
      for (const b of faults.slice(i))
        expect(held(model, [a.id, b.id]), `${name}: ${a.id} and ${b.id}`).toBe(
          stillHeld(placed, [...a.slips, ...b.slips], [...a.cut, ...b.cut]),
        );
  }
  it('two ropes with a grab and a hitch on each, one of them toothed: no grip and no pair of grips that slips leaves nothing', () => {
    const good: Placed[] = [
      { kind: 'hitch', rope: 1, tetherMm: 300 },
      { kind: 'toothed', rope: 1, tetherMm: 200 },
      { kind: 'hitch', rope: 2, tetherMm: 300 },
      { kind: 'grab', rope: 2, tetherMm: 200 },
    ];
    const model = modelOf(rigged(good));
    const lost = (ids: readonly string[]) =>
      ids
        .flatMap((a, i) => ids.slice(i).map((b) => [a, b]))
        .filter((pair) => !held(model, pair))
        .map((pair) => pair.join(' + '));
    expect(lost(['d0', 'd1', 'd2', 'd3'])).toEqual([]);
    // With a rope gone as well, the hitch above the grab without teeth still takes it along.
    expect(lost(['d0', 'd1', 'd2', 'd3', 'rope', 'rope4'])).toEqual(['d2 + rope', 'rope + rope4']);
  });
  it('one more grip of its own never makes fewer sets hold; two alike change places without a difference', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom(...each), { minLength: 1, maxLength: 3 }),
        fc.constantFrom(...KINDS),
        (placed, kind) => {
          const onOne = placed.map((p) => ({ ...p, rope: 1 as const }));
          const model = modelOf(rigged(onOne));
          const more = modelOf(rigged([...onOne, { kind, rope: 2, tetherMm: 300 }]));
          const ids = [...onOne.map((_, i) => `d${i}`), 'rope'];
          for (const a of ids) for (const b of ids) if (held(model, [a, b])) expect(held(more, [a, b])).toBe(true);
          const twice = [onOne[0]!, ...onOne];
          const swapped = [twice[1]!, twice[0]!, ...twice.slice(2)];
          for (const id of ['d0', 'd1', 'rope'])
            expect(held(modelOf(rigged(twice)), [id])).toBe(held(modelOf(rigged(swapped)), [id]));
        },
      ),
      { numRuns: 15, seed: 5 },
    );
  });
});
