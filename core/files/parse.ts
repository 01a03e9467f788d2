import type { z } from 'zod';
import { COLLECTIONS } from './collections.ts';
import { documentSchema, duplicateIds, shellSchema, workspaceSchema, type Document } from './documents.ts';
import { plainMessage } from './plain.ts';

type Issue = Pick<z.ZodError['issues'][number], 'path' | 'message'>;
type Parsed =
  { readonly ok: true; readonly document: Document } | { readonly ok: false; readonly issues: readonly Issue[] };

/** Enough to see what is wrong; a file with more is wrong everywhere. */
export const MOST_ISSUES = 200;

const plain = (error: z.ZodError): Issue[] =>
  error.issues.slice(0, MOST_ISSUES).map((issue) => ({ path: issue.path, message: plainMessage(issue) }));

/**
 * A document of the present version by its schema. A workspace is gone through entry by entry, and not further than until it is clear that it is refused.
 */
export function parseDocument(
  root: Readonly<Record<string, unknown>>,
  onEntry: (done: number) => void = () => undefined,
): Parsed {
  if (root.kind !== 'workspace') {
    const parsed = documentSchema.safeParse(root);
    return parsed.success ? { ok: true, document: parsed.data } : { ok: false, issues: plain(parsed.error) };
  }
  const shell = shellSchema.safeParse(root);
  if (!shell.success) return { ok: false, issues: plain(shell.error) };
  const issues: Issue[] = [];
  let done = 0;
  const lists = COLLECTIONS.map((collection) => {
    const schema: z.ZodType = workspaceSchema.shape[collection].element;
    const read: unknown[] = [];
    for (const [i, entry] of shell.data.workspace[collection].entries()) {
      if (issues.length >= MOST_ISSUES) break;
      onEntry((done += 1));
      const parsed = schema.safeParse(entry);
      if (parsed.success) read.push(parsed.data);
      else
        for (const { message, path } of plain(parsed.error))
          issues.push({ message, path: ['workspace', collection, i, ...path] });
    }
    return [collection, read] as const;
  });
  const workspace = Object.fromEntries(lists) as unknown as z.infer<typeof workspaceSchema>;
  if (issues.length === 0)
    issues.push(
      ...duplicateIds(workspace)
        .slice(0, MOST_ISSUES)
        .map((issue) => ({ ...issue, path: ['workspace', ...issue.path] })),
    );
  if (issues.length > 0) return { ok: false, issues: issues.slice(0, MOST_ISSUES) };
  return { ok: true, document: { ...shell.data, workspace } };
}
