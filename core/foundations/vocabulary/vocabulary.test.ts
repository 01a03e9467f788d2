import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { inWords, VOCABULARIES, type Vocabulary } from './index.ts';

const ALL = Object.keys(VOCABULARIES) as Vocabulary[];

describe('inWords', () => {
  it.each([
    ['Rappel on two strands', 'Abseil on two strands'],
    ['Call down that you will rappel', 'Call down that you will abseil'],
    // British climbers say belay loop.
    ['two belay loops, one belay loop', 'two belay loops, one belay loop'],
    ['Say its colour; colored tape, gray fibre', 'Say its colour; coloured tape, grey fibre'],
    ['A carabiner', 'A karabiner'],
  ])('%s: %s', (text, abseil) => {
    expect(inWords(text, 'abseil')).toBe(abseil);
  });

  it('one text has one dialect at a time, whatever it was written in', () => {
    expect(inWords('Abseil, then rappel; a colour, a fiber', 'rappel')).toBe('Rappel, then rappel; a color, a fiber');
  });

  it('leaves words alone that only contain one: discolored, rappelling-like names, parameter', () => {
    const text = 'discoloured parameter, diameter, centred, Colourado';
    expect(inWords(text, 'rappel')).toBe(text);
  });

  it('is done once and for all: again, or there and back, it gives the same', () => {
    const word = fc.constantFrom('rappel', 'Abseiling', 'belay loop', 'metres', 'color', 'Karabiners', 'rope', '12 m');
    fc.assert(
      fc.property(
        fc.array(word).map((w) => w.join(' ')),
        fc.constantFrom(...ALL),
        fc.constantFrom(...ALL),
        (text, a, b) => {
          const once = inWords(text, a);
          expect(inWords(once, a)).toBe(once);
          expect(inWords(inWords(once, b), a)).toBe(once);
        },
      ),
    );
  });
});
