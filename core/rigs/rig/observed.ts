import type { z } from 'zod';
import { choice } from '../../things/gear/index.ts';

/** The value that speaks for a fact, by its schema. */
const GOOD = new WeakMap<z.ZodType, string>();

/**
 * Something that has to be said about a rig, because it can only be seen at the rope: it starts as `unknown`, which
 * never turns into a pass. `good` is how it is meant to be: what a plan is judged by before anybody has rigged it.
 */
export function observed<const K extends string>(
  options: Readonly<Record<K, string>>,
  good: NoInfer<K>,
  label: string,
  hint?: string,
  unknown = 'Not said',
) {
  const schema = choice({ ...options, unknown }, label, hint);
  GOOD.set(schema, good);
  return schema;
}

/** How this fact is meant to be; undefined where it is a choice and not something to be seen. */
export const goodOf = (schema: z.ZodType): string | undefined => GOOD.get(schema);
