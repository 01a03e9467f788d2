import { readdirSync, readFileSync } from 'node:fs';
import ts from 'typescript';

/** A text that a person can meet, and where it stands. What is filled in is told as `…`. */
export interface Text {
  readonly file: string;
  /** From 1. */
  readonly line: number;
  readonly text: string;
}

/** Attributes and arguments whose texts nobody reads. */
const UNREAD = new Set(['className', 'd', 'transform', 'viewBox', 'points', 'type', 'to', 'href', 'path', 'id', 'key']);
const READ = /^[\p{L}“(–…{][\s\S]*\p{L}{2}[\s\S]*[\s][\s\S]*\p{L}/u;

function textAt(node: ts.Node): string | null {
  if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node) || ts.isJsxText(node)) return node.text;
  if (!ts.isTemplateExpression(node)) return null;
  return node.head.text + node.templateSpans.map((span) => `…${span.literal.text}`).join('');
}

const unread = ({ parent }: ts.Node): boolean =>
  ts.isImportDeclaration(parent) ||
  ts.isExportDeclaration(parent) ||
  ts.isLiteralTypeNode(parent) ||
  (ts.isJsxAttribute(parent) && UNREAD.has(parent.name.getText())) ||
  (ts.isTemplateSpan(parent) && parent.parent.parent && unread(parent.parent)) ||
  (ts.isJsxExpression(parent) && unread(parent));

/** Every text in one file that a person can meet. */
export function textsIn(file: string, source: string): Text[] {
  const tree = ts.createSourceFile(file, source, ts.ScriptTarget.Latest, true, ts.ScriptKind.TSX);
  const found: Text[] = [];
  const look = (node: ts.Node): void => {
    const text = textAt(node)?.replace(/\s+/g, ' ').trim();
    if (text && READ.test(text) && !unread(node))
      found.push({ file, line: tree.getLineAndCharacterOfPosition(node.getStart()).line + 1, text });
    ts.forEachChild(node, look);
  };
  look(tree);
  return found;
}

const filesIn = (folder: string): string[] =>
  readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .map((name) => `${folder}/${name}`)
    .filter((name) => /\.tsx?$/.test(name) && !/\.test(-help)?\./.test(name));

/** Every text in these folders that a person can meet; made-up gear of the samples is left out. */
export const textsOf = (folders: readonly string[]): Text[] =>
  folders
    .flatMap(filesIn)
    .filter((file) => !file.includes('/samples/'))
    .flatMap((file) => textsIn(file, readFileSync(file, 'utf8')));
