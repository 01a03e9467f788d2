import { describe, expect, it } from 'vitest';
import { exactly } from '../units/index.ts';
import { METRIC, fillTemplate, literal, quoted, renderSentence, sentence, type FindingNumber } from './index.ts';

/** In metres and newtons, with plain spaces: number and unit are printed with a narrow one between. */
const filled = (template: string, numbers: readonly FindingNumber[]) =>
  fillTemplate(template, numbers, METRIC).replace(/\u202f|\u00a0/g, ' ');

describe('literal', () => {
  const load = { key: 'load', label: 'Load', quantity: 'forceN', value: exactly(800) } as const;

  it('brings back any text', () => {
    for (const text of ['{load}', '{{load}}', '{', '}', '{{{', 'a{load~}b', '']) {
      expect(fillTemplate(literal(text), [load], METRIC)).toBe(text);
      expect(filled(`${literal(text)}{load}`, [load])).toBe(`${text}800 N`);
    }
  });

  it('leaves a key without a number as it is: records of before were written without quoting', () => {
    expect(filled('Usnea {old} is thin: {load}.', [load])).toBe('Usnea {old} is thin: 800 N.');
  });
});

describe('quoted', () => {
  it('takes the numbers along under names of their own, and leaves braces of a name alone', () => {
    const load = (best: number) => [
      { key: 'load', label: 'Load', quantity: 'forceN', value: exactly(best) } as const,
      { key: 'other', label: 'Other', quantity: 'forceN', value: exactly(1) } as const,
    ];
    const a = quoted({ says: `${literal('x {load}')} carries {load~}.`, numbers: load(800) }, 'a-1');
    const b = quoted({ says: 'y carries {load}.', numbers: load(900) }, 'b');
    const both = filled(`${a.template} ${b.template}`, [...a.numbers, ...b.numbers]);
    expect(both).toBe('x {load} carries 800 N. y carries 900 N.');
    expect(a.numbers).toHaveLength(1);
  });
});

describe('a sentence', () => {
  it('is filled in the units of the reader', () => {
    const load = { key: 'load', label: 'Load', quantity: 'forceN', value: exactly(4448.22) } as const;
    // 1 lbf = 4.44822 N by definition (NIST SP 811, table B.8).
    expect(renderSentence(sentence('It carries {load}.', [load]), { system: 'imperial', words: 'rappel' })).toMatch(
      /^It carries 1,?000.lbf\.$/,
    );
    expect(renderSentence(sentence('Nothing to fill.'), { system: 'imperial', words: 'rappel' })).toBe(
      'Nothing to fill.',
    );
  });
});
