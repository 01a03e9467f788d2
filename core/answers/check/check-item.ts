import { z } from 'zod';
import { findingNumberSchema, elementIdSchema, type FindingCode } from '../../foundations/finding/index.ts';
import { SOURCE_IDS } from '../../foundations/sources/index.ts';
import { spread } from '../../foundations/units/index.ts';

/**
 * One thing to look at and touch before use. It is closed by saying what was seen: `expected` is what this set-up asks
 * for, `others` are what else could be there. Texts are templates over `numbers`, as in a finding; only `title` is
 * plain.
 */
export const checkItemSchema = z.strictObject({
  id: z.string(),
  part: elementIdSchema,
  kind: z.enum(['look', 'function-test', 'open-finding']),
  title: z.string(),
  look: z.string(),
  touch: z.string(),
  question: z.string(),
  expected: z.string(),
  others: z.array(z.string()).min(1),
  why: z.string(),
  numbers: z.array(findingNumberSchema),
  sources: z.array(z.enum(SOURCE_IDS)),
});
export type CheckItem = z.infer<typeof checkItemSchema>;

/**
 * All answers to an item in an order that depends on `seed` (the record and the side), so that nobody learns where the
 * expected one stands. The same seed gives the same order, also after a reload.
 */
export const answersInOrder = (item: CheckItem, seed: string): string[] =>
  [item.expected, ...item.others].sort((a, b) => spread(seed + item.id + a) - spread(seed + item.id + b));

/** Items made from findings: how their ids begin, and the title of a known risk. */
export const FINDING_ITEM = 'finding:';
export const MIND_TITLE = 'Caution';
/** Records of versions before 16 say it like this. */
const MIND_TITLE_BEFORE = 'Mind';
/** Nobody accepts for another that a hand is all that holds. */
const NEVER_ACCEPTED: readonly FindingCode[] = ['hold.hand-alone'];

/**
 * A known risk may be taken as it is, by name and with a reason; what is not known may not, nor that the hand is alone.
 */
export const mayBeAccepted = ({ id, kind, title }: Pick<CheckItem, 'id' | 'kind' | 'title'>): boolean =>
  kind === 'open-finding' &&
  [MIND_TITLE, MIND_TITLE_BEFORE].includes(title) &&
  !NEVER_ACCEPTED.some((code) => id.startsWith(`${FINDING_ITEM}${code}`));
