import type { SourceId } from '../sources/index.ts';
import { FINDING_CODES, type FindingCode } from './codes.ts';
import { SEVERITIES, type Finding, type ElementId, type Severity } from './schema.ts';

type FindingInput = Omit<Finding, 'sources' | 'numbers' | 'remedy'> &
  Partial<Pick<Finding, 'numbers' | 'remedy'>> & { readonly sources?: readonly SourceId[] };

/** One case of a finding: what is the matter, how bad it is and what to do, together. */
export type Case<K extends keyof FindingInput = 'severity' | 'says' | 'remedy'> = Pick<FindingInput, K>;

/**
 * Builds a finding; its sources are those of its code in the register plus any given here. Where one of several cases
 * is found, each case carries its severity, its sentences and its remedy together: `finding({ code, subject }, tooLight
 * ? { … } : { … })`.
 */
export function finding<A extends Partial<FindingInput>>(about: A, found: Omit<FindingInput, keyof A>): Finding;
export function finding(input: FindingInput): Finding;
export function finding(about: FindingInput, found?: Partial<FindingInput>): Finding {
  const input = found ? { ...about, ...found } : about;
  const registered: readonly SourceId[] = FINDING_CODES[input.code].sources;
  // Made by the ten thousand while planning: field by field, and the set is built only where it is needed.
  return {
    code: input.code,
    severity: input.severity,
    subject: input.subject,
    says: input.says,
    because: input.because,
    remedy: input.remedy ?? '',
    numbers: input.numbers ?? [],
    sources: input.sources ? [...new Set([...registered, ...input.sources])] : registered,
  };
}

/** The same findings about other elements: rules speak of `device` and `hitch`, a rig may have two of each. */
export const withSubjects = (findings: readonly Finding[], names: Readonly<Record<string, ElementId>>): Finding[] =>
  findings.map((f) =>
    f.subject.some((ref) => (names[ref] ?? ref) !== ref)
      ? { ...f, subject: f.subject.map((ref) => names[ref] ?? ref) }
      : f,
  );

/**
 * A key for each finding that stays the same while the set-up changes elsewhere: its code, all it is about, and which
 * one of several alike.
 */
export function findingKeys(findings: readonly Pick<Finding, 'code' | 'subject'>[]): string[] {
  const seen = new Map<string, number>();
  return findings.map(({ code, subject }) => {
    const key = `${code}:${subject.join('+')}`;
    const n = (seen.get(key) ?? 0) + 1;
    seen.set(key, n);
    return n === 1 ? key : `${key}#${n}`;
  });
}

const rank = (severity: Severity): number => SEVERITIES.indexOf(severity);

/** The worse of two severities. */
export const worse = (a: Severity, b: Severity): Severity => (rank(a) <= rank(b) ? a : b);

/** The worst severity among findings; *untested* when there are none, since then nothing was assessed. */
export const overall = (findings: readonly { readonly severity: Severity }[]): Severity =>
  findings.length === 0 ? 'untested' : findings.map((f) => f.severity).reduce(worse);

/**
 * Findings from worst to best; of equals what is left when something lets go comes first, the others keep their order.
 */
export const worstFirst = <T extends { readonly severity: Severity; readonly code?: string }>(
  findings: readonly T[],
): T[] =>
  [...findings].sort(
    (a, b) => rank(a.severity) - rank(b.severity) || Number(aboutHolding(b)) - Number(aboutHolding(a)),
  );
const aboutHolding = ({ code }: { readonly code?: string }): boolean =>
  code !== undefined && code in FINDING_CODES && FINDING_CODES[code as FindingCode].doubts === 'whole';
