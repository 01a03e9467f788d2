import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { JUDGES } from '../assess/index.ts';
import { contextOf } from '../../rigs/elements/index.ts';
import { TEMPLATE_IDS, TEMPLATES, wellRigged } from '../../rigs/rig/index.ts';
import { club } from '../../samples/index.ts';
import { countOf, factorsOf } from './factors.ts';
import { openSetup } from './index.ts';
import { variablesOf, withPicks } from './picks.ts';

const OWN = { id: 'asked', name: 'asked', now: '2026-01-01T00:00:00.000Z' };
const items = club.clubItems;

describe('what a search adds up', () => {
  it.each(TEMPLATE_IDS)('is what the judges find in the whole, whatever is chosen: %s', (template) => {
    const persons = TEMPLATES[template].parts().persons.map(({ id }) => id);
    fc.assert(
      fc.property(
        fc.constantFrom(club.ilse, { ...club.tomas, massKg: 120 }),
        fc.constantFrom('dry' as const, 'icy' as const),
        fc.infiniteStream(fc.nat()),
        (first, weather, numbers) => {
          const people = Object.fromEntries(persons.map((id, i) => [id, i === 0 ? first : club.wren]));
          const base = wellRigged(openSetup({ template, site: { anchorHeightM: 20, weather }, people }, OWN));
          const variables = variablesOf(base, items).filter((v) => v.values.length > 0);
          const factors = factorsOf(base, variables, items);
          // Several choices with the same factors: what they remember of one must not leak into the next.
          for (let i = 0; i < 10; i += 1) {
            const chosen = variables.map((v) => numbers.next().value! % v.values.length);
            const picks = variables.flatMap((v, k) => [...v.values[chosen[k]!]!]);
            const ctx = contextOf(withPicks(base, picks, items));
            const whole = JUDGES.filter((j) => j.id !== 'chosen').flatMap((judge) =>
              judge.subjects(ctx).flatMap((subject) => judge.judge(subject, ctx)),
            );
            // Each is asked as soon as its places are chosen, or later: what comes after its last place must not
            // matter.
            const sum = factors.reduce((found, { scope, cost }) => {
              const least = (scope.at(-1) ?? -1) + 1;
              return found + cost(chosen.slice(0, least + (numbers.next().value! % (chosen.length - least + 1))));
            }, 0);
            expect(sum).toBe(countOf(whole));
          }
        },
      ),
      { numRuns: 20 },
    );
  });
});
