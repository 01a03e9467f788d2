import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sentence } from '../../foundations/finding/index.ts';
import { closure, held, minimalCutSets, standing, type HoldModel } from './index.ts';

const model = (
  basic: readonly string[],
  holds: readonly (readonly string[])[],
  consequences: readonly (readonly [readonly string[], string])[] = [],
): HoldModel => {
  const derived = [...new Set(consequences.map(([, then]) => then))].filter((id) => !basic.includes(id));
  return {
    faults: [...basic.map((id) => ({ id, basic: true })), ...derived.map((id) => ({ id, basic: false }))].map((f) => ({
      ...f,
      kind: 'anchor' as const,
      part: 'climber' as const,
      says: f.id,
    })),
    consequences: consequences.map(([when, then]) => ({ when, then, because: sentence('') })),
    holds: holds.map((needs, i) => ({ id: `s${i}`, label: `s${i}`, hand: false, needs })),
    noHolds: [],
    causes: [],
  };
};
const subsets = (ids: readonly string[], most: number): string[][] =>
  ids.reduce<string[][]>((all, id) => [...all, ...all.filter((s) => s.length < most).map((s) => [...s, id])], [[]]);

/** From the definition alone: every subset is tried, and those with a smaller one inside are dropped. */
function bruteForce(m: HoldModel, most: number): string[] {
  const basic = m.faults.filter((f) => f.basic).map((f) => f.id);
  const cuts = subsets(basic, most).filter((s) => !held(m, s));
  return cuts
    .filter((s) => !cuts.some((small) => small.length < s.length && small.every((id) => s.includes(id))))
    .map((s) => s.sort().join())
    .sort();
}
const text = (m: HoldModel, most?: number) =>
  minimalCutSets(m, most)
    .map((s) => s.join())
    .sort();

const ids = ['a', 'b', 'c', 'd', 'e', 'f', 'g'];
const anyModel = fc
  .record({
    holds: fc.array(fc.subarray([...ids, 'x', 'y'], { minLength: 1 }), { maxLength: 4 }),
    rules: fc.array(
      fc.tuple(fc.subarray([...ids, 'x', 'y'], { minLength: 1, maxLength: 3 }), fc.constantFrom('x', 'y', 'a', 'b')),
      { maxLength: 6 },
    ),
  })
  .map(({ holds, rules }) => {
    // x and y are there as faults even when no rule leads to them.
    const m = model(ids, holds, rules);
    const there = new Set(m.faults.map((f) => f.id));
    const more = ['x', 'y'].filter((id) => !there.has(id));
    return {
      ...m,
      faults: [
        ...m.faults,
        ...more.map((id) => ({ id, basic: false, kind: 'anchor' as const, part: 'climber' as const, says: id })),
      ],
    };
  });

describe('minimal cut sets', () => {
  // Worked example: the pressure tank of the Fault Tree Handbook, W. E. Vesely et al., NUREG-0492 (1981), chapter VIII.
  // Its reduced tree is T + K2 + S (S1 + K1 + R), from memory: tank, relay K2, pressure switch, reset switch, relay K1,
  // timer. As chains that must all be broken: (T + K2 + S) (T + K2 + S1 + K1 + R).
  it('of the pressure tank are those of the handbook', () => {
    const tank = model(
      ['T', 'K2', 'S', 'S1', 'K1', 'R'],
      [
        ['T', 'K2', 'S'],
        ['T', 'K2', 'S1', 'K1', 'R'],
      ],
    );
    expect(minimalCutSets(tank)).toEqual([['K2'], ['T'], ['K1', 'S'], ['R', 'S'], ['S', 'S1']]);
  });
  it('the same tank with its gates as consequences gives the same sets', () => {
    const tank = model(
      ['T', 'K2', 'S', 'S1', 'K1', 'R'],
      [['E1']],
      [
        [['T'], 'E1'],
        [['E2'], 'E1'],
        [['K2'], 'E2'],
        [['E3'], 'E2'],
        [['S', 'E4'], 'E3'],
        [['S1'], 'E4'],
        [['E5'], 'E4'],
        [['K1'], 'E5'],
        [['R'], 'E5'],
      ],
    );
    expect(minimalCutSets(tank)).toEqual([['K2'], ['T'], ['K1', 'S'], ['R', 'S'], ['S', 'S1']]);
  });
  it('are what trying all subsets finds, up to three at once, consequences and cycles included', () =>
    fc.assert(
      fc.property(anyModel, (m) => {
        expect(text(m)).toEqual(bruteForce(m, 3));
      }),
      { numRuns: 400 },
    ));
  it('without a hold nothing need happen', () => expect(minimalCutSets(model(['a'], []))).toEqual([[]]));
});

describe('laws', () => {
  const faults = fc.subarray(ids);
  it('one more fault never makes something hold', () =>
    fc.assert(
      fc.property(anyModel, faults, fc.constantFrom(...ids), (m, some, more) => {
        const after = new Set(standing(m, [...some, more]).map((s) => s.id));
        for (const id of after) expect(standing(m, some).map((s) => s.id)).toContain(id);
      }),
    ));
  it('one more hold never takes away what held', () =>
    fc.assert(
      fc.property(anyModel, faults, fc.subarray(ids, { minLength: 1 }), (m, some, needs) => {
        const more = { ...m, holds: [...m.holds, { id: 'new', label: 'new', hand: false, needs }] };
        if (held(m, some)) expect(held(more, some)).toBe(true);
      }),
    ));
  it('what follows from what follows is already there', () =>
    fc.assert(
      fc.property(anyModel, faults, (m, some) => {
        const once = closure(m, some);
        expect([...closure(m, once)].sort()).toEqual([...once].sort());
      }),
    ));
});
