import {
  catchFindings,
  catchIn,
  catchRuns,
  fallQuestionSchema,
  heightsFindings,
  heightsOf,
  isChoiceKey,
  limitsOf,
  questionIssues,
  REMEDIES,
  RUNS,
  scenarioOf,
  usualQuestion,
  type FallQuestion,
  type RemedyId,
} from '../core/rigs/catch/index.ts';
import { METRIC, renderFinding } from '../core/foundations/finding/index.ts';
import { indexOf, type Setup } from '../core/rigs/rig/index.ts';

/** Options of `zevrin catch`: the moment that is asked about, and how often it is run. */
export const CATCH_OPTIONS = [...Object.keys(fallQuestionSchema.shape), 'runs', 'seed'] as const;
const MOST_RUNS = 1_000_000;

type Report = { readonly ok: true; readonly report: object } | { readonly ok: false; readonly says: readonly string[] };

/** A whole number within bounds; null when it is not one. */
const whole = (text: string, least: number, most: number): number | null => {
  const value = Number(text);
  return text.trim() !== '' && Number.isInteger(value) && value >= least && value <= most ? value : null;
};

/**
 * The falls of one set-up as figures: forces in N, lengths in m, shares of all runs; low and high leave a twentieth out
 * on either side.
 */
export function catchReport(setup: Setup, given: Readonly<Record<string, string>>): Report {
  const index = indexOf(setup);
  const a = catchIn(index);
  if (!a) return { ok: false, says: ['In this set-up nobody on the ground holds somebody who climbs above.'] };
  const { runs: runsText = String(RUNS), seed: seedText = '1', ...moment } = given;
  const runs = whole(runsText, 1, MOST_RUNS);
  const seed = whole(seedText, 0, 2 ** 32 - 1);
  const says: string[] = [];
  if (runs === null) says.push(`runs: a whole number from 1 to ${MOST_RUNS}. Read: ${runsText}`);
  if (seed === null) says.push(`seed: a whole number from 0 to ${2 ** 32 - 1}. Read: ${seedText}`);
  const question = readMoment(usualQuestion(index), moment, says);
  if (question)
    says.push(...questionIssues(question, limitsOf(index, a)).map(({ key, says: why }) => `${key}: ${why}`));
  if (says.length > 0 || runs === null || seed === null || !question) return { ok: false, says };
  const found = scenarioOf(index, a, question);
  if (!found.ok) return { ok: false, says: [`Not chosen yet: ${found.missing.join(', ')}.`] };
  const { scenario } = found;
  const result = catchRuns(scenario, runs, seed);
  const heights = heightsOf(scenario);
  const remedies = Object.entries(REMEDIES).flatMap(([id, { label, apply }]) => {
    const changed = apply(scenario);
    if (!changed) return [];
    const { spread, share } = catchRuns(changed, runs, seed);
    return [{ id: id as RemedyId, label, spread, share }];
  });
  return {
    ok: true,
    report: {
      question,
      runs,
      seed,
      scenario,
      best: result.best,
      spread: result.spread,
      palmJ: result.palmJ,
      share: result.share,
      heights,
      findings: [...catchFindings(scenario, result), ...heightsFindings(scenario, heights)].map((f) => ({
        code: f.code,
        severity: f.severity,
        ...renderFinding(f, METRIC),
      })),
      remedies,
    },
  };
}

/** The usual moment of a set-up with what was given for it; null when a value is wrong, which is then said. */
function readMoment(usual: FallQuestion, given: Readonly<Record<string, string>>, says: string[]): FallQuestion | null {
  const values = Object.fromEntries(
    Object.entries(given).map(([key, text]) => [
      key,
      isChoiceKey(key) ? text : text.trim() === '' ? NaN : Number(text),
    ]),
  );
  const parsed = fallQuestionSchema.safeParse({ ...usual, ...values });
  if (parsed.success) return parsed.data;
  for (const { path, message } of parsed.error.issues)
    says.push(`${path.join('.')}: ${message}. Read: ${given[String(path[0])] ?? ''}`);
  return null;
}
