import { printInterval, printQuantity, type UnitSystem } from '../units/index.ts';
import type { Finding, FindingNumber } from './finding.ts';

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

/** Fills `{key}` with the best value and `{key~}` with the value and its interval. An unknown key is a programmer's mistake. */
export function fillTemplate(template: string, numbers: readonly FindingNumber[], system: UnitSystem): string {
  return template.replace(/\{(\w+)(~?)\}/g, (_, key: string, withInterval: string) => {
    const number = numbers.find((n) => n.key === key);
    if (!number) throw new Error(`finding text names {${key}}, which is not among its numbers`);
    return withInterval
      ? printInterval(number.value, number.quantity, system)
      : printQuantity(number.value.best, number.quantity, system);
  });
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
