import { z } from 'zod';

/** What was typed into a form and not saved yet, kept through a reload or a crash. One entry per form. */
export interface DraftStore<T> {
  /** null when there is none, or when it has not the shape of one any more: that costs the draft, not the page. */
  readonly read: () => T | null;
  readonly write: (value: T) => void;
  readonly clear: () => void;
}

/** Storage that is refused or full keeps no draft; what is typed stays on the screen. */
function tried<T>(work: () => T): T | null {
  try {
    return work();
  } catch {
    return null;
  }
}

const PREFIX = 'zevrin-draft/';

/** Everything that was typed into a form of a workspace and not saved goes with what is wiped. */
export const clearDrafts = (workspace: string): void =>
  void tried(() => {
    for (const key of Object.keys(localStorage))
      if (key.startsWith(`${PREFIX}${workspace}/`)) localStorage.removeItem(key);
  });

/** @param key begins with the name of the workspace that the form is in. */
export function draftStore<T>(key: string, schema: z.ZodType<T>): DraftStore<T> {
  const name = `${PREFIX}${key}`;
  return {
    read: () =>
      tried(() => {
        const read = schema.safeParse(JSON.parse(localStorage.getItem(name) ?? 'null'));
        return read.success ? read.data : null;
      }),
    write: (value) => void tried(() => localStorage.setItem(name, JSON.stringify(value))),
    clear: () => void tried(() => localStorage.removeItem(name)),
  };
}

/**
 * Could this stand in a field of this kind while somebody types? What cannot is from another version, or torn: it would
 * take the form down with it.
 */
function couldBeTyped(schema: z.ZodType, value: unknown): boolean {
  if (schema instanceof z.ZodNullable || schema instanceof z.ZodOptional)
    return value === null || couldBeTyped(schema.unwrap() as z.ZodType, value);
  if (schema instanceof z.ZodArray)
    // Rows are typed into; a list of words is picked from.
    return schema.element instanceof z.ZodObject
      ? Array.isArray(value) && value.every((row) => couldBeTyped(schema.element as z.ZodType, row))
      : schema.safeParse(value).success;
  if (schema instanceof z.ZodObject) {
    if (typeof value !== 'object' || value === null || Array.isArray(value)) return false;
    const shape: Readonly<Record<string, z.ZodType>> = schema.shape;
    return Object.entries(shape).every(([key, inner]) => couldBeTyped(inner, (value as Record<string, unknown>)[key]));
  }
  if (schema instanceof z.ZodNumber || schema instanceof z.ZodString)
    return value === null || typeof value === 'string' || typeof value === 'number';
  return schema.safeParse(value).success;
}

/** Of what was found, the fields that this form has, as far as they could have been typed into it. */
export const typedFields = (
  { shape }: z.ZodObject,
  found: Readonly<Record<string, unknown>>,
): Record<string, unknown> =>
  Object.fromEntries(
    Object.entries(found).filter(
      ([key, value]) => Object.hasOwn(shape, key) && couldBeTyped(shape[key] as z.ZodType, value),
    ),
  );

const scalar = z.union([z.string(), z.number(), z.boolean(), z.null()]);
/** Values as a form holds them while somebody types: not valid yet, but of the kind that its fields can show. */
export const rawFields = z.record(
  z.string(),
  z.union([scalar, z.array(z.union([scalar, z.record(z.string(), z.unknown())]))]),
);
