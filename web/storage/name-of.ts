const nameIn = (value: unknown, key: string): unknown =>
  value !== null && typeof value === 'object' ? (value as Record<string, unknown>)[key] : undefined;

/** What a person calls a document, whatever it looks like inside; empty when nothing in it is a name. */
export function nameOf(doc: unknown): string {
  const name = [nameIn(doc, 'name'), nameIn(nameIn(doc, 'setup'), 'name'), nameIn(doc, 'setupName')];
  return name.find((n): n is string => typeof n === 'string') ?? '';
}
