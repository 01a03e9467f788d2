import fc from 'fast-check';
import { expect, it } from 'vitest';
import { club } from '../../samples/index.ts';
import { blankSetup, editorOf, TEMPLATE_IDS, thingsOf, withAll, type RigEdit, type Setup } from './index.ts';

/** One change of one thing of a set-up: an item put in, or a fact. */
const changeOf = (setup: Setup) =>
  fc
    .tuple(fc.constantFrom(...thingsOf(setup).map(({ id }) => id)), fc.constantFrom(null, ...club.clubItems), fc.nat(5))
    .map(([ref, item, wraps]): RigEdit => [ref, { item, wraps }]);
const setups = fc
  .constantFrom(...TEMPLATE_IDS)
  .map((template) => blankSetup(template, { id: 'asked', name: 'asked', now: '2026-01-01T00:00:00.000Z' }));

it('changes one after the other are the same in whichever way the places are looked up, and leave what they came from', () => {
  fc.assert(
    fc.property(
      setups.chain((setup) => fc.tuple(fc.constant(setup), fc.array(changeOf(setup), { maxLength: 6 }))),
      ([setup, changes]) => {
        const before = JSON.stringify(setup);
        const edit = editorOf(setup);
        let step = setup;
        for (const change of changes) step = edit(step, [change]);
        expect(step).toEqual(withAll(setup, changes));
        expect(JSON.stringify(setup)).toBe(before);
        // What is not changed is shared.
        expect(edit(step, [['nowhere', { wraps: 1 }]])).toBe(step);
      },
    ),
  );
});
