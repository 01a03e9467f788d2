import type { z } from 'zod';
import { sequenceIssues, type Sequence } from '../../answers/procedures/index.ts';
import { outOfBounds, LONGEST_TEXT } from './bounds.ts';
import { brief } from '../../things/gear/index.ts';
import type { Document } from './documents.ts';
import { FORMAT, VERSION } from './version.ts';
import { pathText, type FileIssue } from './issue.ts';
import { isObject } from './older/json.ts';
import { documentBroughtUp } from './older/steps.ts';
import { MOST_ISSUES, parseDocument } from './parse.ts';
import { refusedAt, type FileResult } from './result.ts';
import { keyTwice } from './twice.ts';

function readAt(root: unknown, path: readonly PropertyKey[]): string {
  let value: unknown = root;
  for (const key of path)
    value = value !== null && typeof value === 'object' ? (value as Record<PropertyKey, unknown>)[key] : undefined;
  return brief(value);
}

const issueOf = (issue: Pick<z.ZodError['issues'][number], 'path' | 'message'>, root: unknown): FileIssue => ({
  path: pathText(issue.path),
  read: readAt(root, issue.path),
  message: issue.message,
});

/** Every order of steps in a document, with where it stands. */
function ordersOf(document: Document): [PropertyKey[], Sequence][] {
  if (document.kind === 'sequence') return [[['sequence'], document.sequence]];
  if (document.kind !== 'workspace') return [];
  return document.workspace.sequences.map((sequence, i) => [['workspace', 'sequences', i], sequence]);
}

const BEFORE_TRAININGS = {
  kinds: ['workspace', 'setup', 'sequence'],
  collections: ['items', 'people', 'setups', 'checks', 'uses', 'wayTests', 'sequences'],
};
/** What each version could hold, and which collections: more than that was not written by it. */
const KNEW: Readonly<Record<number, { readonly kinds: readonly string[]; readonly collections: readonly string[] }>> = {
  1: { kinds: ['workspace', 'setup'], collections: ['items', 'people', 'setups', 'checks', 'uses'] },
  2: {
    kinds: ['workspace', 'setup', 'choice'],
    collections: ['items', 'people', 'setups', 'checks', 'uses', 'choices', 'wayTests'],
  },
  3: {
    kinds: ['workspace', 'setup', 'choice', 'sequence'],
    collections: ['items', 'people', 'setups', 'checks', 'uses', 'choices', 'wayTests', 'sequences'],
  },
  4: BEFORE_TRAININGS,
  5: BEFORE_TRAININGS,
  6: BEFORE_TRAININGS,
};

/** The last version in which a set-up was a list of fields. */
const LISTS = 3;
const isRig = (setup: unknown): boolean => isObject(setup) && 'attachments' in setup;

/**
 * A file that says an older version than it was written by: bringing it up would drop what that version did not know.
 */
function mislabelled(document: Readonly<Record<string, unknown>>, version: number): FileResult<never> | null {
  const knew = KNEW[version];
  if (!knew) return null;
  const { kind, workspace, setup } = document;
  const refused = (path: readonly PropertyKey[], what: string) =>
    refusedAt(
      pathText(path),
      readAt(document, path),
      `Version ${version} has no such ${what}: the version of the file is not what it says.`,
    );
  if (typeof kind === 'string' && !knew.kinds.includes(kind)) return refused(['kind'], 'file');
  if (version <= LISTS && isRig(setup)) return refused(['setup', 'attachments'], 'set-up');
  if (!isObject(workspace)) return null;
  const stray = Object.keys(workspace).find((key) => !knew.collections.includes(key));
  if (stray !== undefined) return refused(['workspace', stray], 'list');
  const rig = version <= LISTS && Array.isArray(workspace.setups) ? workspace.setups.findIndex(isRig) : -1;
  return rig < 0 ? null : refused(['workspace', 'setups', rig, 'attachments'], 'set-up');
}

/** What a parser says in its own words, as a person who picked the wrong file needs it. */
function notJson({ message }: Error, text: string): string {
  const position = /position (\d+)/.exec(message)?.[1];
  if (position === undefined) return 'This is not a Zevrin file, or it was cut off: what it says is not JSON.';
  const at = Number(position);
  const line = text.slice(0, at).split('\n').length;
  return at >= text.length
    ? 'This file was cut off: what it says is not JSON to the end.'
    : `This is not a Zevrin file: from line ${line}, character ${at + 1} of the file, what it says is not JSON.`;
}

/**
 * Reads a `*.zevrin.json` file whole or not at all. Older versions are migrated; a newer one is refused with the
 * version found and the one supported. Never throws.
 *
 * @param onEntry hears how many entries of a workspace are checked.
 */
export function readDocument(written: string, onEntry?: (done: number) => void): FileResult<Document> {
  // Some editors put a byte order mark before a text.
  const text = written.replace(/^\uFEFF/, '');
  if (text.length > LONGEST_TEXT)
    return refusedAt('', `${text.length} characters`, `A Zevrin file has at most ${LONGEST_TEXT} characters.`);
  let root: unknown;
  try {
    root = JSON.parse(text);
  } catch (error) {
    return refusedAt('', JSON.stringify(text.slice(0, 40)), notJson(error as Error, text));
  }
  if (root === null || typeof root !== 'object' || Array.isArray(root)) {
    return refusedAt('', readAt(root, []), 'A Zevrin file is one JSON object.');
  }
  // Before anything is looked at closely, or told of.
  const large = outOfBounds(root);
  if (large) return { ok: false, issues: [large], more: 0 };
  const twice = keyTwice(text);
  if (twice) return { ok: false, issues: [twice], more: 0 };
  const document = root as Record<string, unknown>;
  if (document.format !== FORMAT)
    return refusedAt('format', readAt(root, ['format']), `Not a Zevrin file: format must be "${FORMAT}".`);
  const { version } = document;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) {
    return refusedAt('version', readAt(root, ['version']), `The version must be a whole number from 1 to ${VERSION}.`);
  }
  if (version > VERSION) {
    return refusedAt(
      'version',
      String(version),
      `This file was written by a newer Zevrin (version ${version}); this one reads up to version ${VERSION}. The file was not changed.`,
    );
  }
  const stray = mislabelled(document, version);
  if (stray) return stray;
  const current = documentBroughtUp(document, version);
  const parsed = parseDocument(current, onEntry);
  if (!parsed.ok)
    return { ok: false, issues: parsed.issues.map((issue) => issueOf(issue, current)), more: parsed.more };
  const issues = ordersOf(parsed.document).flatMap(([path, sequence]) =>
    sequenceIssues(sequence).map((issue) => ({ ...issue, path: [...path, ...issue.path] })),
  );
  if (issues.length > 0) {
    return {
      ok: false,
      issues: issues.slice(0, MOST_ISSUES).map((issue) => issueOf(issue, current)),
      more: Math.max(0, issues.length - MOST_ISSUES),
    };
  }
  return { ok: true, value: parsed.document };
}
