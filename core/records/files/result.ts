import type { FileIssue } from './issue.ts';

/** What was read, or everything that is wrong with it: the first hundred, and how many more. */
export type FileResult<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly issues: readonly FileIssue[]; readonly more: number };

/** What is wrong. */
export type Refused = Extract<FileResult<never>, { ok: false }>;

export const refusedAt = (path: string, read: string, message: string): Refused => ({
  ok: false,
  issues: [{ path, read, message }],
  more: 0,
});

/** It is the file as a whole that is wrong. */
export const refusedWhole = (read: string, message: string): Refused => refusedAt('', read, message);
