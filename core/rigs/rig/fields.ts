import { z } from 'zod';
import type { ElementId } from '../../foundations/finding/index.ts';
import { setupSchema, type Setup } from './model.ts';

/**
 * One value in a set-up that may be left open, or is a choice or a number: what laws vary, and what a person can be
 * asked for.
 */
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
  /** The element it stands in, or whose piece of gear it belongs to. */
  readonly owner: ElementId;
  /** What it stands for is typical of its kind, not of this thing. */
  readonly typical: boolean;
  readonly schema: z.ZodType;
}

type Json = Record<string, unknown>;
const isObject = (x: unknown): x is Json => x !== null && typeof x === 'object' && !Array.isArray(x);

interface At {
  readonly path: readonly string[];
  readonly kind: readonly string[];
  readonly owner: ElementId;
  readonly open: null | undefined;
  readonly typical: boolean;
}

/**
 * Every field of a set-up, its gear and its people included, by walking its schema: a field that is added later is
 * there as well.
 */
export function fieldsOf(setup: Setup): Field[] {
  const found: Field[] = [];
  const walk = (schema: z.ZodType, value: unknown, at: At): void => {
    if (schema instanceof z.ZodNullable) {
      const inner = schema.unwrap() as z.ZodType;
      const holds = inner instanceof z.ZodObject || inner instanceof z.ZodArray;
      if (!holds) leaf(inner, value, { ...at, open: null });
      else if (value !== null) walk(inner, value, at);
      return;
    }
    if (schema instanceof z.ZodArray && Array.isArray(value)) {
      value.forEach((x, i) => walk(schema.element as z.ZodType, x, { ...at, path: [...at.path, String(i)] }));
      return;
    }
    if (schema instanceof z.ZodDiscriminatedUnion && isObject(value)) {
      const option = (schema.options as z.ZodObject<Readonly<Record<string, z.ZodType>>>[]).find(
        (o) => o.shape.kind?.safeParse(value.kind).success,
      );
      if (option) walk(option, value, { ...at, kind: [...at.kind, String(value.kind)] });
      return;
    }
    if (schema instanceof z.ZodObject && isObject(value)) {
      const shape: Readonly<Record<string, z.ZodType>> = schema.shape;
      const inItem = at.path.includes('item') || at.path.includes('harness');
      const owner = typeof value.id === 'string' && !inItem ? value.id : at.owner;
      const assumed: unknown = value.assumed;
      for (const [key, inner] of Object.entries(shape))
        walk(inner, value[key], {
          path: [...at.path, key],
          kind: [...at.kind, key],
          owner,
          open: undefined,
          typical: Array.isArray(assumed) && assumed.includes(key),
        });
      return;
    }
    leaf(schema, value, at);
  };
  const leaf = (schema: z.ZodType, now: unknown, { path, kind, owner, open, typical }: At) => {
    const base = { path: path.join('/'), kind: kind.join('/'), now, owner, typical, schema };
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
    walk(setupSchema.shape[key], setup[key], {
      path: [key],
      kind: [key],
      owner: 'site',
      open: undefined,
      typical: false,
    });
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

/** What stands at a path of a set-up: the piece of gear that a field belongs to, by the path without its last word. */
export const valueAtPath = (setup: Setup, path: string): unknown =>
  path.split('/').reduce<unknown>((at, key) => (at as Json | undefined)?.[key], setup);
