import fc from 'fast-check';
import { expect, it } from 'vitest';
import { textsOf } from '../../../scripts/texts.ts';
import { GLOSSARY, GLOSSARY_GROUPS, inWords, termsIn, type GlossaryTerm, type TermId } from './index.ts';

const terms = Object.entries(GLOSSARY) as [TermId, GlossaryTerm][];

it('every term stands in one group', () => {
  expect(Object.values(GLOSSARY_GROUPS).flat().sort()).toEqual(Object.keys(GLOSSARY).sort());
});

it('each is told in sentences of at most twenty words, which do not only repeat the name', () => {
  for (const [id, { name, is }] of terms) {
    for (const sentence of is.split(/(?<=[.:;])\s/))
      expect(sentence.split(/\s+/).length, `${id}: ${sentence}`).toBeLessThanOrEqual(20);
    expect(is.toLowerCase().startsWith(name.toLowerCase()), id).toBe(false);
  }
});

it('a text falls into pieces that put together are the text, each term once, in both kinds of English', () => {
  const word = fc.constantFrom(
    ...terms.flatMap(([, t]) => [t.name, ...(t.forms ?? [])]),
    'and',
    'the rope,',
    'Carabiners.',
  );
  fc.assert(
    fc.property(
      fc.array(word).map((w) => w.join(' ')),
      fc.constantFrom('rappel' as const, 'abseil' as const),
      (written, words) => {
        const text = inWords(written, words);
        const pieces = termsIn(text);
        expect(pieces.map((p) => p.text).join('')).toBe(text);
        const found = pieces.flatMap((p) => p.term ?? []);
        expect(new Set(found).size).toBe(found.length);
      },
    ),
  );
});

it.each([
  ['Keep the brake hands on the brake strand.', ['brake-hand', 'brake-strand']],
  ['Use a pear-shaped (HMS) karabiner for a Munter hitch.', ['hms', 'munter']],
  ['Tuned on another rope; bridges, hand brakes', []],
  ['a rope-grab-like thing, and the half ropes', ['half-rope']],
] as const)('%s', (text, expected) => {
  expect(termsIn(text).flatMap((p) => p.term ?? [])).toEqual(expected);
});

it('what can be tapped is met: each term that is not too common to be tapped stands in some text', () => {
  const met = new Set(
    textsOf(['core', 'web'])
      .flatMap(({ file, text }) => (file.includes('/vocabulary/') ? [] : termsIn(text)))
      .flatMap((p) => p.term ?? []),
  );
  expect(terms.flatMap(([id, { common }]) => (common || met.has(id) ? [] : [id]))).toEqual([]);
});
