import { printInterval, printQuantity, type UnitSystem } from '../units/index.ts';
import type { Finding, FindingNumber } from './schema.ts';

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

/** Text of a user, a name above all, as it goes into a template: it stands there as it was typed, braces included. */
export const literal = (text: string): string => text.replaceAll('{', '{{');

/**
 * Fills `{key}` with the best value and `{key~}` with the value and its interval; `{{` is one brace. A key without a number stays as it is:
 * records written before names were quoted hold such texts. A test sees that no rule leaves one.
 */
export function fillTemplate(template: string, numbers: readonly FindingNumber[], system: UnitSystem): string {
  return template.replace(/\{\{|\{(\w+)(~?)\}/g, (found: string, key: string | undefined, withInterval: string) => {
    if (key === undefined) return '{';
    const number = numbers.find((n) => n.key === key);
    if (!number) return found;
    return withInterval
      ? printInterval(number.value, number.quantity, system)
      : printQuantity(number.value.best, number.quantity, system);
  });
}

/** A template with the numbers it names. */
export interface Sentence {
  readonly template: string;
  readonly numbers: readonly FindingNumber[];
}
export const sentence = (template: string, numbers: readonly FindingNumber[] = []): Sentence => ({ template, numbers });

export const renderSentence = ({ template, numbers }: Sentence, system: UnitSystem): string =>
  fillTemplate(template, numbers, system);

/** What a finding says, to stand inside another text: its numbers get names of their own, so that two of them do not meet. */
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
export function renderFinding(finding: Finding, system: UnitSystem): RenderedFinding {
  return {
    says: fillTemplate(finding.says, finding.numbers, system),
    because: fillTemplate(finding.because, finding.numbers, system),
    remedy: fillTemplate(finding.remedy, finding.numbers, system),
    numbers: finding.numbers.map(({ key, label, value, quantity }) => ({
      key,
      label,
      text: printInterval(value, quantity, system),
    })),
  };
}
