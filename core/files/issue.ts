/** What is wrong in a file, and exactly where. `path` reads like `workspace.items[3].lengthM`, '' for the whole file. */
export interface FileIssue {
  readonly path: string;
  readonly read: string;
  readonly message: string;
}

export const pathText = (path: readonly PropertyKey[]): string =>
  path.reduce<string>(
    (text, key) => (typeof key === 'number' ? `${text}[${key}]` : text ? `${text}.${String(key)}` : String(key)),
    '',
  );
