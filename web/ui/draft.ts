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

export function draftStore<T>(key: string, schema: z.ZodType<T>): DraftStore<T> {
  const name = `zevrin-draft/${key}`;
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

const scalar = z.union([z.string(), z.number(), z.boolean(), z.null()]);
/** Values as a form holds them while somebody types: not valid yet, but of the kind that its fields can show. */
export const rawFields = z.record(
  z.string(),
  z.union([scalar, z.array(z.union([scalar, z.record(z.string(), z.unknown())]))]),
);
