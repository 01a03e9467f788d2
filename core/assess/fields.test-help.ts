import { z } from 'zod';
import type { Ref } from '../finding/index.ts';
import { setupSchema, type Setup } from '../rig/index.ts';

/** One value in a set-up that may be left open, or is a choice or a number: what the laws vary. */
export interface Field {
  /** Where it stands: "attachments/0/pieces/1/item/lock". */
  readonly path: string;
  /** Its place in the schema, without the indices: "attachments/pieces/connector/item/lock". */
  readonly kind: string;
  readonly now: unknown;
  /** What it is when nothing is said: `null` or `unknown`; undefined where it always has a value. */
  readonly open: null | 'unknown' | undefined;
  /** Other values that it can have, far apart. */
  readonly others: readonly unknown[];
  readonly owner: Ref;
}

type Json = Record<string, unknown>;
const isObject = (x: unknown): x is Json => x !== null && typeof x === 'object' && !Array.isArray(x);

/** Every field of a set-up, its gear and its people included, by walking its schema: a field that is added later is varied as well. */
export function fieldsOf(setup: Setup): Field[] {
  const found: Field[] = [];
  const walk = (schema: z.ZodType, at: unknown, path: readonly string[], kind: readonly string[], owner: Ref): void => {
    if (schema instanceof z.ZodNullable) {
      const inner = schema.unwrap() as z.ZodType;
      if (inner instanceof z.ZodObject || inner instanceof z.ZodArray) {
        if (at !== null) walk(inner, at, path, kind, owner);
        return;
      }
      leaf(inner, at, path, kind, owner, null);
      return;
    }
    if (schema instanceof z.ZodArray && Array.isArray(at)) {
      at.forEach((x, i) => walk(schema.element as z.ZodType, x, [...path, String(i)], kind, owner));
      return;
    }
    if (schema instanceof z.ZodDiscriminatedUnion && isObject(at)) {
      const option = (schema.options as z.ZodObject<Readonly<Record<string, z.ZodType>>>[]).find(
        (o) => o.shape.kind?.safeParse(at.kind).success,
      );
      if (option) walk(option, at, path, [...kind, String(at.kind)], owner);
      return;
    }
    if (schema instanceof z.ZodObject && isObject(at)) {
      const shape: Readonly<Record<string, z.ZodType>> = schema.shape;
      const own = typeof at.id === 'string' && !path.includes('item') && !path.includes('harness') ? at.id : owner;
      for (const [key, inner] of Object.entries(shape)) walk(inner, at[key], [...path, key], [...kind, key], own);
      return;
    }
    leaf(schema, at, path, kind, owner, undefined);
  };
  const leaf = (
    schema: z.ZodType,
    now: unknown,
    path: readonly string[],
    kind: readonly string[],
    owner: Ref,
    open: null | undefined,
  ) => {
    const base = { path: path.join('/'), kind: kind.join('/'), now, owner };
    if (schema instanceof z.ZodEnum) {
      const options = schema.options as string[];
      const unknown = options.includes('unknown') ? ('unknown' as const) : open;
      found.push({ ...base, open: unknown, others: options.filter((o) => o !== 'unknown' && o !== now) });
    } else if (schema instanceof z.ZodNumber) {
      const { minValue: min, maxValue: max } = schema;
      if (min === null || max === null) return;
      const whole = schema.format === 'safeint';
      const between = [0.05, 0.15, 0.3, 0.5, 0.7].map((s) => min + s * (max - min));
      found.push({ ...base, open, others: [min, ...(whole ? between.map(Math.round) : between), max] });
    }
  };
  for (const key of ['site', 'persons', 'anchors', 'lines', 'attachments'] as const)
    walk(setupSchema.shape[key], setup[key], [key], [key], 'site');
  return found;
}

/** The set-up with one field changed. */
export function withField(setup: Setup, path: string, value: unknown): Setup {
  const set = (at: unknown, keys: readonly string[]): unknown => {
    const [key, ...rest] = keys;
    if (key === undefined) return value;
    if (Array.isArray(at)) return at.map((x: unknown, i) => (String(i) === key ? set(x, rest) : x));
    return { ...(at as Json), [key]: set((at as Json)[key], rest) };
  };
  return set(setup, path.split('/')) as Setup;
}
