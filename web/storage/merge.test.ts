import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { rappelDouble } from '@core/samples';
import { merge } from './merge';

const text = fc.string({ maxLength: 4 });
const plain = { noNullPrototype: true };
const thing = fc.record({ id: fc.constantFrom('a', 'b', 'c', 'd'), name: text, n: fc.nat({ max: 3 }) }, plain);
const doc = fc.record(
  {
    id: fc.constant('doc'),
    name: text,
    site: fc.record({ heightM: fc.nat({ max: 5 }), wet: fc.boolean() }, plain),
    things: fc.uniqueArray(thing, { selector: (t) => t.id }),
    answers: fc.array(fc.record({ at: text }, plain), { maxLength: 3 }),
  },
  plain,
);

describe('merging two changes of one thing', () => {
  it('takes the one that changed anything, and either where both did the same (laws of any three-way merge)', () => {
    fc.assert(
      fc.property(doc, doc, (base, other) => {
        expect(merge(base, other, base)).toEqual({ value: other, conflicts: [] });
        expect(merge(base, base, other)).toEqual({ value: other, conflicts: [] });
        expect(merge(base, other, other)).toEqual({ value: other, conflicts: [] });
      }),
    );
  });

  it('put onto its own result again changes nothing: a change that is seen twice counts once', () => {
    fc.assert(
      fc.property(doc, doc, doc, (base, ours, theirs) => {
        const { value } = merge(base, ours, theirs);
        // Lists that were only added to are the exception: there the same answer given twice is two answers.
        const same = { ...value, answers: ours.answers };
        const again = merge({ ...base, answers: ours.answers }, ours, same).value;
        expect(again.name).toEqual(value.name);
        expect(again.site).toEqual(value.site);
        expect(new Set(again.things)).toEqual(new Set(value.things));
      }),
    );
  });

  it('changes of different places are both kept, without a conflict', () => {
    fc.assert(
      fc.property(doc, text, fc.nat({ max: 5 }), (base, name, heightM) => {
        const ours = { ...base, name };
        const theirs = { ...base, site: { ...base.site, heightM } };
        const { value, conflicts } = merge(base, ours, theirs);
        expect(value).toEqual({ ...base, name, site: { ...base.site, heightM } });
        expect(conflicts).toEqual([]);
      }),
    );
  });

  it('nothing that either changed is gone without being named', () => {
    fc.assert(
      fc.property(doc, doc, doc, (base, ours, theirs) => {
        const { value, conflicts } = merge(base, ours, theirs);
        if (theirs.name !== base.name && value.name !== theirs.name) expect(conflicts).toContain('name');
        if (ours.name !== base.name) expect(value.name).toBe(ours.name);
        for (const t of theirs.things) {
          const was = base.things.find((b) => b.id === t.id);
          if (was && was.name === t.name && was.n === t.n) continue;
          const now = value.things.find((v) => v.id === t.id);
          expect(now).toBeDefined();
          if (now!.name !== t.name && was?.name !== t.name)
            expect(conflicts.some((c) => c.startsWith(`things.${t.id}`))).toBe(true);
        }
      }),
    );
  });

  it('the same place: ours stands, and the place is named', () => {
    const base = { id: 'x', site: { heightM: 20 }, updatedAt: '2026-01-01' };
    const ours = { ...base, site: { heightM: 25 }, updatedAt: '2026-01-02' };
    const theirs = { ...base, site: { heightM: 30 }, updatedAt: '2026-01-03' };
    expect(merge(base, ours, theirs)).toEqual({
      value: { id: 'x', site: { heightM: 25 }, updatedAt: '2026-01-03' },
      conflicts: ['site.heightM'],
    });
  });

  it('the answers of a check from two sides are all kept', () => {
    const at = (...answers: string[]) => ({ id: 'check', events: answers.map((answer) => ({ answer })) });
    expect(merge(at('a'), at('a', 'b', 'c'), at('a', 'd'))).toEqual({ value: at('a', 'd', 'b', 'c'), conflicts: [] });
  });

  it('taken out in one and changed in the other: it stays, and is named', () => {
    const at = (...things: { id: string; n: number }[]) => ({ id: 'x', things });
    const [a, b, b2] = [
      { id: 'a', n: 1 },
      { id: 'b', n: 1 },
      { id: 'b', n: 2 },
    ];
    expect(merge(at(a, b), at(a), at(a, b2))).toEqual({ value: at(a, b2), conflicts: ['things.b'] });
    expect(merge(at(a, b), at(a, b2), at(a))).toEqual({ value: at(a, b2), conflicts: ['things.b'] });
    expect(merge(at(a, b), at(a), at(a, b))).toEqual({ value: at(a), conflicts: [] });
  });

  it('another order of the steps and a new step: both', () => {
    const at = (ids: string) => ({ id: 'x', steps: [...ids].map((id) => ({ id })) });
    expect(merge(at('abc'), at('cab'), at('abxc')).value).toEqual(at('cabx'));
    expect(merge(at('abc'), at('abxc'), at('cab')).value).toEqual(at('cabx'));
    expect(merge(at('abc'), at('xabc'), at('abcy')).value).toEqual(at('xabcy'));
  });

  it('another rope in the place of one whose fields were changed: fields of two ropes are never mixed', () => {
    const at = (item: object) => ({ id: 'line', item });
    const blue = { id: 'blue', kind: 'rope', lengthM: 60 };
    const ours = at({ id: 'red', kind: 'rope', lengthM: 70 });
    const theirs = at({ ...blue, lengthM: 55 });
    expect(merge(at(blue), ours, theirs)).toEqual({ value: ours, conflicts: ['item'] });
  });

  it('two changes of a whole set-up, of different fields, are one set-up with both', () => {
    const ours = { ...rappelDouble, note: 'wet' };
    const theirs = { ...rappelDouble, persons: rappelDouble.persons.map((p) => ({ ...p, item: null })) };
    const { value, conflicts } = merge(rappelDouble, ours, theirs as typeof rappelDouble);
    expect(value).toEqual({ ...theirs, note: 'wet' });
    expect(conflicts).toEqual([]);
  });
});
