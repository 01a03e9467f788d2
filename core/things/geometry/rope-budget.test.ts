import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { club } from '../../samples/index.ts';
import { ropeBudget, ropeBudgetFindings, type RopeBudgetInput } from './index.ts';

const exact = { ...club.longRope, measuredLengthM: 60 };
const base: RopeBudgetInput = {
  ropeA: exact,
  ropeB: null,
  middleMissM: 0,
  ends: 'open',
  descentM: 24,
  endsAt: 'ground',
};
const found = (change: Partial<RopeBudgetInput>) =>
  ropeBudgetFindings({ ...base, ...change }).map((f) => `${f.code} ${f.severity}`);

describe('ropeBudget', () => {
  it('gives at most 30 m of a 60 m rope', () => {
    const b = ropeBudget(base);
    expect([b.strandAM.best, b.strandBM.best, b.marginM.best]).toEqual([30, 30, 6]);
  });
  it('makes the ends unequal by twice the miss', () => {
    const b = ropeBudget({ ...base, middleMissM: 1.5 });
    expect(b.strandBM.best - b.strandAM.best).toBeCloseTo(3, 12);
    expect(b.unequalM.best).toBe(3);
  });
  it('takes the shorter of two joined ropes', () => {
    const b = ropeBudget({ ...base, ropeB: { ...exact, measuredLengthM: 50 } });
    expect(b.strandAM.best).toBeCloseTo(59.5, 9);
    expect(b.strandBM.best).toBeCloseTo(49.5, 9);
    expect(b.marginM.best).toBeCloseTo(25.5, 9);
    expect(b.unequalM.best).toBeCloseTo(10, 9);
  });
  it('knots and a missed middle never add rope', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 20, noNaN: true }),
        fc.double({ min: 0, max: 5, noNaN: true }),
        (miss, more) => {
          const at = (middleMissM: number, ends: RopeBudgetInput['ends']) =>
            ropeBudget({ ...base, middleMissM, ends }).marginM.low;
          expect(at(miss + more, 'open')).toBeLessThanOrEqual(at(miss, 'open'));
          expect(at(miss, 'both-knotted')).toBeLessThanOrEqual(at(miss, 'open'));
        },
      ),
    );
  });
});

describe('ropeBudgetFindings', () => {
  it.each<[string, Partial<RopeBudgetInput>, string[]]>([
    ['reaches, knotted', { ends: 'both-knotted' }, ['geometry.rope-reaches clear', 'geometry.ends-knotted clear']],
    ['reaches, ends open on the ground', {}, ['geometry.rope-reaches clear', 'geometry.ends-open mind']],
    ['ends open at a ledge', { endsAt: 'ledge' }, ['geometry.rope-reaches clear', 'geometry.ends-open stop']],
    [
      'barely',
      { descentM: 29.5, ends: 'unknown' },
      ['geometry.rope-barely-reaches mind', 'geometry.ends-unknown untested'],
    ],
    [
      'one knot, barely',
      { descentM: 29.4, ends: 'one-knotted' },
      ['geometry.rope-barely-reaches mind', 'geometry.ends-open stop'],
    ],
    ['too short', { descentM: 31 }, ['geometry.rope-too-short stop', 'geometry.ends-open stop']],
    [
      'label only, shrunk perhaps',
      { ropeA: { ...exact, measuredLengthM: null }, descentM: 28.5, ends: 'both-knotted' },
      ['geometry.rope-barely-reaches mind', 'geometry.ends-knotted clear'],
    ],
  ])('%s', (_, change, expected) => expect(found(change)).toEqual(expected));
});
