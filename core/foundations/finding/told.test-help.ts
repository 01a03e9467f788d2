import { METRIC, renderFinding, type Finding } from './index.ts';

/**
 * Findings as one reads them, a line each and their numbers behind, to be held against a text that somebody has read
 * through: what is computed, what is said of it and about which parts.
 */
export const told = (findings: readonly Finding[]): string =>
  findings
    .map((f) => {
      const { says, because, remedy, numbers } = renderFinding(f, METRIC);
      const figures = numbers.map(({ label, text }) => `${label} ${text}`).join('; ');
      return [
        `${f.severity} ${f.code} (${f.subject.join(', ')})`,
        `  ${says}`,
        `  ${because}`,
        ...(remedy ? [`  ${remedy}`] : []),
        ...(figures ? [`  = ${figures}`] : []),
      ].join('\n');
    })
    .join('\n')
    .replace(/[\u202f\u00a0]/g, ' ');
