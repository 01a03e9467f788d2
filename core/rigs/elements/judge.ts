import type { Finding, ElementId } from '../../foundations/finding/index.ts';
import type { Context } from './context.ts';

/** One thing that can be asked about an element or a touching pair: "device+rope:fit". */
export type Claim = string;

export const claimOf = (ref: ElementId, question: string): Claim => `${ref}:${question}`;
export const claimOfPair = (a: ElementId, b: ElementId, question = 'together'): Claim => `${a}+${b}:${question}`;

/**
 * Judges one kind of element, or of touching pair. A judge is pure: the same subject in the same context gives the same
 * findings. `claims` are the questions that it answers for that subject, whatever the answer; what no judge claims is
 * *Not tested*.
 */
export interface Judge {
  readonly id: string;
  /** Elements that it is asked about, by id. */
  readonly subjects: (ctx: Context) => readonly ElementId[];
  readonly claims: (subject: ElementId, ctx: Context) => readonly Claim[];
  readonly judge: (subject: ElementId, ctx: Context) => readonly Finding[];
  /** Parts whose choice the findings depend on, beside persons and site: what a plan must know to try others. */
  readonly reads: (subject: ElementId, ctx: Context) => readonly ElementId[];
}
