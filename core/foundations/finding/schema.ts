import { z } from 'zod';
import { SOURCE_IDS, type SourceId } from '../sources/index.ts';
import { QUANTITIES, type Interval, type Quantity } from '../units/index.ts';
import type { FindingCode } from './codes.ts';

/** From worst to best. *Not tested* outranks *No fault found*: an unknown never turns into a pass. */
export const SEVERITIES = ['stop', 'mind', 'untested', 'clear'] as const;
export type Severity = (typeof SEVERITIES)[number];

/** Name of an element of a rig, unique in it: what a finding points at, what the drawing marks and the check walks. */
export const elementIdSchema = z
  .string()
  .regex(/^[a-zA-Z][\w-]{0,31}$/, 'A letter, then letters, digits, - or _, 32 at most.');
export type ElementId = z.infer<typeof elementIdSchema>;

/** One number behind a finding; `value` is in the unit that `quantity` names. */
export interface FindingNumber {
  readonly key: string;
  readonly label: string;
  readonly quantity: Quantity;
  readonly value: Interval;
}

/**
 * One judgement about one thing. `says`, `because` and `remedy` are templates: `{key}` stands for the number with that
 * key, so that a person reads it in their own units (see `renderFinding`).
 */
export interface Finding {
  readonly code: FindingCode;
  readonly severity: Severity;
  readonly subject: readonly ElementId[];
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

/**
 * Shape of a finding in a file. Its code is any text: a code that was retired since must not make an old record
 * unreadable.
 */
export const findingSchema = z.object({
  code: z.string().max(80),
  severity: z.enum(SEVERITIES),
  subject: z.array(elementIdSchema),
  says: z.string(),
  because: z.string(),
  remedy: z.string(),
  numbers: z.array(findingNumberSchema),
  sources: z.array(z.enum(SOURCE_IDS)),
});
