/**
 * What is wrong in a file, and exactly where. `path` reads like `workspace.items[3].lengthM`, '' for the whole file.
 */
export interface FileIssue {
  readonly path: string;
  readonly read: string;
  readonly message: string;
}

/** Longer than any path in a file of ours. */
const LONGEST_PATH = 120;

export function pathText(path: readonly PropertyKey[]): string {
  const text = path.reduce<string>(
    (so, key) => (typeof key === 'number' ? `${so}[${key}]` : so ? `${so}.${String(key)}` : String(key)),
    '',
  );
  return text.length > LONGEST_PATH ? `${text.slice(0, LONGEST_PATH - 3)}...` : text;
}
