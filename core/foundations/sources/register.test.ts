import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { methodText } from '../../../scripts/method-tables.ts';
import { architectureText } from '../../../scripts/rooms.ts';
import { FINDING_CODES, type FindingCodeEntry } from '../finding/index.ts';
import { CONSTANTS, SOURCES, type Constant } from './index.ts';

const root = new URL('../../../', import.meta.url);
const text = (path: string) => readFileSync(new URL(path, root), 'utf8');
const codes: [string, FindingCodeEntry][] = Object.entries(FINDING_CODES);
const constants: [string, Constant][] = Object.entries(CONSTANTS);
/** A text without its comments, so that naming something there proves nothing. */
const code = (source: string) => source.replace(/\/\*[\s\S]*?\*\/|(^|\s)\/\/.*$/gm, '$1');
const files = readdirSync(new URL('core/', root), { recursive: true, encoding: 'utf8' })
  .filter((path) => path.endsWith('.ts'))
  .map((path) => ({ path, source: code(text(`core/${path}`)) }));
const tests = files.filter(({ path }) => path.endsWith('.test.ts')).map(({ source }) => source);
/** What the core says outside its registers and tests. */
const core = files
  .filter(({ path }) => !path.endsWith('.test.ts') && !/^(foundations\/sources|samples)\//.test(path))
  .map(({ source }) => source)
  .join('\n');
// Prettier breaks what is generated in its own way; words and their order must agree.
const words = (markdown: string) => markdown.replaceAll(/[\s|-]+/g, ' ').trim();

describe('register', () => {
  it.each(constants)('constant %s has an ordered interval and a source', (_, { value, source }) => {
    expect(value.low).toBeLessThanOrEqual(value.best);
    expect(value.best).toBeLessThanOrEqual(value.high);
    expect(SOURCES).toHaveProperty(source);
  });

  it('docs/method.md says what the registers say now, every line of it', () => {
    const written = text('docs/method.md');
    expect(words(written)).toBe(words(methodText(written)));
  });

  it('docs/architecture.md has the map of rooms as the imports draw it', () => {
    const written = text('docs/architecture.md');
    expect(words(written)).toBe(words(architectureText(written)));
  });

  it.each(codes)('code %s is expected by a test, and its sources are there', (id, { sources }) => {
    // As a word in a string or a pattern of a test, not in a comment.
    const escaped = id.replaceAll('.', '\\\\?\\.');
    const expected = new RegExp(`['"\`/ ,]${escaped}['"\`/ ,)|]`);
    expect(tests.filter((test) => expected.test(test)).length).toBeGreaterThan(0);
    for (const source of sources) expect(SOURCES).toHaveProperty(source);
  });

  it.each(codes)('code %s is made somewhere in the core', (id) => {
    const made = core.split('\n').filter((line) => line.includes(id));
    // In its row, and where it is found.
    expect(made.length).toBeGreaterThanOrEqual(2);
  });

  it('has no source that nothing points at', () => {
    const used = new Set<string>([
      ...codes.flatMap(([, e]) => e.sources as readonly string[]),
      ...Object.values(CONSTANTS).map((c) => c.source as string),
    ]);
    const byHand = text('docs/method.md').split('## Constants')[0]!;
    const idle = Object.keys(SOURCES).filter(
      (id) => !used.has(id) && !core.includes(`'${id}'`) && !byHand.includes(`\`${id}\``),
    );
    expect(idle).toEqual([]);
  });
});
