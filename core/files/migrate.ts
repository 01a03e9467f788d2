/** One step that brings a document from `from` to `from + 1`. It gets plain JSON and returns plain JSON. */
export interface Migration {
  readonly from: number;
  readonly name: string;
  readonly up: (document: Record<string, unknown>) => Record<string, unknown>;
}

/**
 * Checks when built that the steps lead from version 1 to `current` without a gap.
 * @throws Error naming the missing or doubled step (a programmer's mistake).
 */
export function migrator(current: number, steps: readonly Migration[]) {
  for (let version = 1; version < current; version += 1) {
    const found = steps.filter((step) => step.from === version);
    if (found.length !== 1)
      throw new Error(`migrations: ${found.length} steps from version ${version}, exactly one is needed`);
  }
  const stray = steps.find((step) => step.from < 1 || step.from >= current);
  if (stray) throw new Error(`migrations: step "${stray.name}" starts at ${stray.from}, outside 1 to ${current - 1}`);
  return (document: Record<string, unknown>, version: number): Record<string, unknown> =>
    [...steps]
      .sort((a, b) => a.from - b.from)
      .filter((step) => step.from >= version)
      .reduce((doc, step) => ({ ...step.up(doc), version: step.from + 1 }), document);
}
