import { z } from 'zod';
import { SOURCE_IDS, type SourceId } from '../sources/index.ts';
import { QUANTITIES, type Interval, type Quantity } from '../units/index.ts';
import { CODE_SOURCES, type FindingCode } from './codes.ts';

/** From worst to best. *Not tested* outranks *No fault found*: an unknown never turns into a pass. */
export const SEVERITIES = ['stop', 'mind', 'untested', 'clear'] as const;
export type Severity = (typeof SEVERITIES)[number];

/** Name of an element of a rig, unique in it: what a finding points at, what the drawing marks and the check walks. */
export const refSchema = z
  .string()
  .regex(/^[a-zA-Z][\w-]{0,31}$/, 'A letter, then letters, digits, - or _, 32 at most.');
export type Ref = z.infer<typeof refSchema>;

/** One number behind a finding; `value` is in the unit that `quantity` names. */
export interface FindingNumber {
  readonly key: string;
  readonly label: string;
  readonly quantity: Quantity;
  readonly value: Interval;
}

/**
 * One judgement about one thing. `says`, `because` and `remedy` are templates: `{key}` stands for the number with that key, so
 * that a person reads it in their own units (see `renderFinding`).
 */
export interface Finding {
  readonly code: FindingCode;
  readonly severity: Severity;
  readonly subject: readonly Ref[];
  readonly says: string;
  readonly because: string;
  readonly remedy: string;
  readonly numbers: readonly FindingNumber[];
  readonly sources: readonly SourceId[];
}

const intervalSchema = z.object({ low: z.number(), best: z.number(), high: z.number() });

export const findingNumberSchema = z.object({
  key: z.string(),
  label: z.string(),
  quantity: z.enum(Object.keys(QUANTITIES) as [Quantity, ...Quantity[]]),
  value: intervalSchema,
});

/** Shape of a finding in a file. Its code is any text: a code that was retired since must not make an old record unreadable. */
export const findingSchema = z.object({
  code: z.string().max(80),
  severity: z.enum(SEVERITIES),
  subject: z.array(refSchema),
  says: z.string(),
  because: z.string(),
  remedy: z.string(),
  numbers: z.array(findingNumberSchema),
  sources: z.array(z.enum(SOURCE_IDS)),
});

type FindingInput = Omit<Finding, 'sources' | 'numbers' | 'remedy'> &
  Partial<Pick<Finding, 'numbers' | 'remedy'>> & { readonly sources?: readonly SourceId[] };

/** Builds a finding; its sources are those of its code in the register plus any given here. */
export function finding(input: FindingInput): Finding {
  const registered: readonly SourceId[] = CODE_SOURCES[input.code];
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
export const about = (findings: readonly Finding[], names: Readonly<Record<string, Ref>>): Finding[] =>
  findings.map((f) =>
    f.subject.some((ref) => (names[ref] ?? ref) !== ref)
      ? { ...f, subject: f.subject.map((ref) => names[ref] ?? ref) }
      : f,
  );

/** A key for each finding that stays the same while the set-up changes elsewhere: its code, all it is about, and which one of several alike. */
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

/** Findings from worst to best; equals keep their order. */
export const worstFirst = <T extends { readonly severity: Severity }>(findings: readonly T[]): T[] =>
  [...findings].sort((a, b) => rank(a.severity) - rank(b.severity));
