import { z } from 'zod';
import { SOURCE_IDS, type SourceId } from '../sources/index.ts';
import { QUANTITIES, type Interval, type Quantity } from '../units/index.ts';
import { CODE_SOURCES, FINDING_CODE_KEYS, type FindingCode } from './codes.ts';

/** From worst to best. *Not tested* outranks *No fault found*: an unknown never turns into a pass. */
export const SEVERITIES = ['stop', 'mind', 'untested', 'clear'] as const;
export type Severity = (typeof SEVERITIES)[number];

/** The parts of a set-up that a finding can point at; the drawing marks them and the check walks them. */
export const PART_IDS = [
  'climber',
  'harness',
  'anchor',
  'edge',
  'rope',
  'ropeA',
  'ropeB',
  'ropeEnds',
  'joiningKnot',
  'device',
  'deviceConnector',
  'extraConnector',
  'extension',
  'hitch',
  'hitchConnector',
  'legLoop',
  'brakeHand',
  'ground',
] as const;
export type PartId = (typeof PART_IDS)[number];

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
  readonly subject: readonly PartId[];
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

/** Shape of a finding in a file (a check record keeps the findings of its time). */
export const findingSchema = z.object({
  code: z.enum(FINDING_CODE_KEYS),
  severity: z.enum(SEVERITIES),
  subject: z.array(z.enum(PART_IDS)),
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
  return {
    ...input,
    numbers: input.numbers ?? [],
    remedy: input.remedy ?? '',
    // Made by the ten thousand while planning: the set is built only where it is needed.
    sources: input.sources ? [...new Set([...registered, ...input.sources])] : registered,
  };
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
