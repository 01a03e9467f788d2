/** An object of a file, of whatever version. */
export type Json = Record<string, unknown>;
export const isObject = (value: unknown): value is Json =>
  value !== null && typeof value === 'object' && !Array.isArray(value);

/** Every object in it becomes another one, the innermost first. */
export function everywhere(value: unknown, change: (object: Json) => Json): unknown {
  if (Array.isArray(value)) return value.map((entry) => everywhere(entry, change));
  if (!isObject(value)) return value;
  return change(Object.fromEntries(Object.entries(value).map(([key, x]) => [key, everywhere(x, change)])));
}
