import type { Severity } from '@core/foundations/finding';

/** The word that stands beside the shape of each severity. */
export const SEVERITY_WORDS: Readonly<Record<Severity, string>> = {
  stop: 'Stop',
  mind: 'Caution',
  untested: 'Not tested',
  clear: 'No fault found',
};
