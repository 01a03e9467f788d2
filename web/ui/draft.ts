/** What was typed into a form and not saved yet, kept through a reload or a crash. One entry per form. */
export interface DraftStore {
  readonly read: () => Record<string, unknown> | null;
  readonly write: (values: Record<string, unknown>) => void;
  readonly clear: () => void;
}

export function draftStore(key: string): DraftStore {
  const name = `zevrin-draft/${key}`;
  return {
    read() {
      try {
        const value: unknown = JSON.parse(localStorage.getItem(name) ?? 'null');
        return value !== null && typeof value === 'object' && !Array.isArray(value)
          ? (value as Record<string, unknown>)
          : null;
      } catch {
        return null;
      }
    },
    write: (values) => localStorage.setItem(name, JSON.stringify(values)),
    clear: () => localStorage.removeItem(name),
  };
}
