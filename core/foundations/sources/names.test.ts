import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';
import { expect, it } from 'vitest';

const root = join(import.meta.dirname, '../../..');
const FOLDERS = ['core', 'web', 'server', 'cli'];

/** The names that a file exports by itself; what an index hands on is somebody else's. */
function exportedBy(path: string): string[] {
  const file = ts.createSourceFile(path, readFileSync(path, 'utf8'), ts.ScriptTarget.Latest);
  return file.statements.flatMap((statement) => {
    const exported =
      ts.canHaveModifiers(statement) &&
      ts.getModifiers(statement)?.some(({ kind }) => kind === ts.SyntaxKind.ExportKeyword);
    if (!exported) return [];
    if (ts.isVariableStatement(statement))
      return statement.declarationList.declarations.flatMap(({ name }) =>
        ts.isIdentifier(name)
          ? [name.text]
          : name.elements.flatMap((e) => (ts.isBindingElement(e) && ts.isIdentifier(e.name) ? [e.name.text] : [])),
      );
    const { name } = statement as ts.Statement & { readonly name?: ts.Identifier };
    return name ? [name.text] : [];
  });
}

it('an exported name stands once: one word, one meaning', () => {
  const places = new Map<string, Set<string>>();
  const files = FOLDERS.flatMap((folder) =>
    readdirSync(join(root, folder), { recursive: true, withFileTypes: true })
      .filter((e) => e.isFile() && /(?<!\.test|\.test-help)\.tsx?$/.test(e.name))
      .map((e) => join(e.parentPath, e.name)),
  );
  expect(files.length).toBeGreaterThan(400);
  for (const path of files)
    for (const name of exportedBy(path))
      places.set(name, (places.get(name) ?? new Set()).add(path.slice(root.length + 1)));
  expect(places.size).toBeGreaterThan(1000);
  expect([...places].filter(([, at]) => at.size > 1).map(([name, at]) => `${name}: ${[...at].join(', ')}`)).toEqual([]);
});
