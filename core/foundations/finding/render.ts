import { printInterval, printQuantity, printRounded, type UnitSystem } from '../units/index.ts';
import { inWords, type Vocabulary } from '../vocabulary/index.ts';
import type { Finding, FindingNumber } from './schema.ts';

/** In which units and words somebody reads. */
export interface Reader {
  readonly system: UnitSystem;
  readonly words: Vocabulary;
}

export interface RenderedNumber {
  readonly key: string;
  readonly label: string;
  readonly text: string;
}

export interface RenderedFinding {
  readonly says: string;
  readonly because: string;
  readonly remedy: string;
  readonly numbers: readonly RenderedNumber[];
}

/**
 * For what goes into files, tables and the command line: metres, and the words of the texts as most of them are
 * written.
 */
export const METRIC: Reader = { system: 'metric', words: 'rappel' };

/** Unicode's own marks for a text that is set into another one and is not touched by it (UAX 9, isolates). */
const BEGIN = '\u2068';
const END = '\u2069';
const ISOLATES = /[\u2068\u2069]/g;
const SET_IN = /\u2068([^\u2069]*)\u2069/;

/**
 * Text of a user, a name above all, as it goes into a template: it stands there as it was typed, braces included, and
 * keeps its words whatever the reader's are.
 */
export const literal = (text: string): string => `${BEGIN}${text.replace(ISOLATES, '').replaceAll('{', '{{')}${END}`;

/**
 * Fills `{key}` with the best value and `{key~}` with the value and its interval; `{{` is one brace. A key without a
 * number stays as it is: records written before names were quoted hold such texts. A test sees that no rule leaves one.
 */
export function fillTemplate(template: string, numbers: readonly FindingNumber[], { system, words }: Reader): string {
  // Every second piece is a literal.
  const pieces = template.split(SET_IN).map((piece, i) => (i % 2 === 1 ? piece : inWords(piece, words)));
  return pieces
    .join('')
    .replace(/\{\{|\{(\w+)(~?)\}/g, (found: string, key: string | undefined, withInterval: string) => {
      if (key === undefined) return '{';
      const number = numbers.find((n) => n.key === key);
      if (!number) return found;
      return withInterval
        ? printRounded(number.value, number.quantity, system)
        : printQuantity(number.value.best, number.quantity, system);
    });
}

/** A template with the numbers it names. */
export interface Sentence {
  readonly template: string;
  readonly numbers: readonly FindingNumber[];
}
export const sentence = (template: string, numbers: readonly FindingNumber[] = []): Sentence => ({ template, numbers });

export const renderSentence = ({ template, numbers }: Sentence, reader: Reader): string =>
  fillTemplate(template, numbers, reader);

/**
 * What a finding says, to stand inside another text: its numbers get names of their own, so that two of them do not
 * meet.
 */
export function quoted({ says, numbers }: Pick<Finding, 'says' | 'numbers'>, prefix: string): Sentence {
  const own = (key: string) => `${prefix.replace(/\W/g, '_')}__${key}`;
  return {
    template: says.replace(/\{\{|\{(\w+)(~?)\}/g, (found: string, key: string | undefined, withInterval: string) =>
      key === undefined ? found : `{${own(key)}${withInterval}}`,
    ),
    numbers: numbers.filter((n) => says.includes(`{${n.key}`)).map((n) => ({ ...n, key: own(n.key) })),
  };
}

/** The sentences and numbers of a finding in the units of the reader. */
export function renderFinding(finding: Finding, reader: Reader): RenderedFinding {
  return {
    says: fillTemplate(finding.says, finding.numbers, reader),
    because: fillTemplate(finding.because, finding.numbers, reader),
    remedy: fillTemplate(finding.remedy, finding.numbers, reader),
    numbers: finding.numbers.map(({ key, label, value, quantity }) => ({
      key,
      label: inWords(label, reader.words),
      text: printInterval(value, quantity, reader.system),
    })),
  };
}
