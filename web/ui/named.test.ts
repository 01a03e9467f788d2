import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { named } from './named';

describe('a name with something behind it', () => {
  it('is at most 80 characters long, ends as it should, and begins with whole letters of the name', () => {
    const letter = fc.constantFrom('a', 'é', 'e\u0301', '🧗🏽‍♀️', '🇨🇭', '字', ' ');
    fc.assert(
      fc.property(
        fc.array(letter, { maxLength: 60 }),
        fc.constantFrom('', ' (copy)', ' (shared)', ' (read in)'),
        (list, behind) => {
          const name = list.join('');
          const got = named(name, behind);
          expect(got.length).toBeLessThanOrEqual(80);
          expect(got.endsWith(behind)).toBe(true);
          const kept = got.slice(0, got.length - behind.length);
          // As many whole letters as have room.
          let whole = '';
          for (const next of list) {
            if ((whole + next).length > 80 - behind.length) break;
            whole += next;
          }
          expect(name.length + behind.length <= 80 ? kept : kept.trimEnd()).toBe(
            name.length + behind.length <= 80 ? name : whole.trimEnd(),
          );
        },
      ),
    );
  });
  it('80 of a climber with a skin tone lose the last ones, not half of one', () => {
    const climber = '🧗🏽‍♀️';
    expect(named(climber.repeat(20), ' (shared)')).toBe(`${climber.repeat(Math.floor(71 / climber.length))} (shared)`);
  });
});
