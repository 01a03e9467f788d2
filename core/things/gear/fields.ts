import { z } from 'zod';
import './plain.ts';
import { QUANTITIES, type Quantity } from '../../foundations/units/index.ts';

/**
 * What a form needs to know of a field beside its schema. Kept with the schema, so that there is one truth for both.
 */
export interface FieldMeta {
  readonly label: string;
  readonly hint?: string;
  readonly quantity?: Quantity;
  /** Label of each choice, in the order shown. */
  readonly options?: Readonly<Record<string, string>>;
  readonly multiline?: boolean;
  /** Heading under which a form folds fields that most people leave for later. */
  readonly group?: string;
}

const META = new WeakMap<z.ZodType, FieldMeta>();

function described<T extends z.ZodType>(schema: T, meta: FieldMeta): T {
  META.set(schema, meta);
  return schema;
}

/** The field description of a schema, looked for under `nullable` too; undefined when it has none. */
export function fieldMeta(schema: z.ZodType): FieldMeta | undefined {
  return META.get(schema) ?? (schema instanceof z.ZodNullable ? fieldMeta(schema.unwrap() as z.ZodType) : undefined);
}

/** The same field, folded under a heading of the form. */
export function under<T extends z.ZodType>(group: string, schema: T): T {
  const meta = fieldMeta(schema);
  if (!meta) throw new Error('only a described field can be grouped');
  return described(schema, { ...meta, group });
}

/** Bounds of a numeric field in the unit the core keeps; undefined when it is not numeric. */
export function fieldBounds(schema: z.ZodType): { readonly min: number; readonly max: number } | undefined {
  if (schema instanceof z.ZodNullable) return fieldBounds(schema.unwrap() as z.ZodType);
  if (!(schema instanceof z.ZodNumber)) return undefined;
  return { min: schema.minValue ?? -Infinity, max: schema.maxValue ?? Infinity };
}

/** A number in the unit that `quantity` names, both bounds inclusive. */
export function measure(quantity: Quantity, min: number, max: number, label: string, hint?: string) {
  if (!(quantity in QUANTITIES)) throw new Error(`unknown quantity ${quantity}`);
  // In one piece: each step of a chain makes the schema anew, and there are hundreds of measures before the first item
  // can be looked at.
  const bounds = [z.gte(min), z.lte(max)];
  const number = new z.ZodNumber({
    type: 'number',
    checks: quantity === 'count' ? [z.int(), ...bounds] : bounds,
    error: ({ input }) => (input === null || input === undefined ? 'A value is needed here.' : undefined),
  });
  return described(number, { label, quantity, ...(hint === undefined ? {} : { hint }) });
}

/** One of a few words; the keys are stored, the labels are shown. */
export function choice<const K extends string>(options: Readonly<Record<K, string>>, label: string, hint?: string) {
  const keys = Object.keys(options) as [K, ...K[]];
  return described(z.enum(keys), { label, options, ...(hint === undefined ? {} : { hint }) });
}

/** A line of text. */
export function line(label: string, max: number, min = 0, hint?: string) {
  return described(z.string().trim().min(min, 'Give it a name.').max(max), {
    label,
    ...(hint === undefined ? {} : { hint }),
  });
}

/** Several lines of text. */
export const note = (label = 'Note') => described(z.string().max(2000), { label, multiline: true });

export const yesNo = (label: string, hint?: string) =>
  choice({ yes: 'Yes', no: 'No', unknown: 'Not known' }, label, hint);
export const idSchema = z
  .string()
  .max(64)
  .regex(/^[\w-]+$/, 'Letters, digits, - and _: it stands in addresses.')
  .refine((id) => id !== 'new', '"new" is the address of what is not there yet.');
/** An instant, ISO 8601 in UTC. A clock that was never set says 1970; none says 2100. */
export const instantSchema = z.iso
  .datetime()
  .refine((at) => at >= '1970' && at < '2100', 'A day in the years 1970 to 2099 is needed here.');
