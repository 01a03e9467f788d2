import type { z } from 'zod';
import { COLLECTIONS } from './collections.ts';
import { documentSchema, duplicateIds, shellSchema, workspaceSchema, type Document } from './documents.ts';

type Issue = Pick<z.ZodError['issues'][number], 'path' | 'message'>;
type Parsed =
  | { readonly ok: true; readonly document: Document }
  | { readonly ok: false; readonly issues: readonly Issue[]; readonly more: number };

/** Enough to see what is wrong; a file with more is wrong everywhere. */
export const MOST_ISSUES = 100;

const refused = ({ issues }: Pick<z.ZodError, 'issues'>): Parsed => ({
  ok: false,
  issues: issues.slice(0, MOST_ISSUES),
  more: Math.max(0, issues.length - MOST_ISSUES),
});

/**
 * A document of the present version by its schema. A workspace is gone through entry by entry.
 */
export function parseDocument(
  root: Readonly<Record<string, unknown>>,
  onEntry: (done: number) => void = () => undefined,
): Parsed {
  if (root.kind !== 'workspace') {
    const parsed = documentSchema.safeParse(root);
    return parsed.success ? { ok: true, document: parsed.data } : refused(parsed.error);
  }
  const shell = shellSchema.safeParse(root);
  if (!shell.success) return refused(shell.error);
  const issues: Issue[] = [];
  let wrong = 0;
  let done = 0;
  const lists = COLLECTIONS.map((collection) => {
    const schema: z.ZodType = workspaceSchema.shape[collection].element;
    const read: unknown[] = [];
    for (const [i, entry] of shell.data.workspace[collection].entries()) {
      onEntry((done += 1));
      const parsed = schema.safeParse(entry);
      if (parsed.success) {
        if (wrong === 0) read.push(parsed.data);
        continue;
      }
      wrong += parsed.error.issues.length;
      if (issues.length < MOST_ISSUES)
        for (const { message, path } of parsed.error.issues.slice(0, MOST_ISSUES))
          issues.push({ message, path: ['workspace', collection, i, ...path] });
    }
    return [collection, read] as const;
  });
  const workspace = Object.fromEntries(lists) as unknown as z.infer<typeof workspaceSchema>;
  if (wrong === 0) {
    const twice = duplicateIds(workspace);
    wrong = twice.length;
    issues.push(...twice.slice(0, MOST_ISSUES).map((issue) => ({ ...issue, path: ['workspace', ...issue.path] })));
  }
  if (wrong > 0) return { ok: false, issues: issues.slice(0, MOST_ISSUES), more: Math.max(0, wrong - MOST_ISSUES) };
  return { ok: true, document: { ...shell.data, workspace } };
}
