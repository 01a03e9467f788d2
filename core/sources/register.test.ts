import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { FINDING_CODES, type FindingCodeEntry } from '../finding/index.ts';
import { CONSTANTS, SOURCES, type Constant } from './index.ts';

const root = new URL('../../', import.meta.url);
const text = (path: string) => readFileSync(new URL(path, root), 'utf8');
const method = text('docs/method.md');
const codes: [string, FindingCodeEntry][] = Object.entries(FINDING_CODES);
const constants: [string, Constant][] = Object.entries(CONSTANTS);

describe('register', () => {
  it.each(constants)('constant %s has an ordered interval, a source and a line in method.md', (id, constant) => {
    expect(constant.value.low).toBeLessThanOrEqual(constant.value.best);
    expect(constant.value.best).toBeLessThanOrEqual(constant.value.high);
    expect(SOURCES).toHaveProperty(constant.source);
    const line = method.split('\n').find((l) => l.includes(`\`${id}\``));
    expect(line, `docs/method.md must list ${id}`).toBeDefined();
    expect(line).toContain(String(constant.value.best));
  });

  it.each(codes)('code %s is provoked in the test file it names', (code, entry) => {
    expect(text(entry.test)).toContain(code);
    for (const source of entry.sources) expect(SOURCES).toHaveProperty(source);
  });

  it('has no source that nothing points at', () => {
    const coreText = codes.flatMap(([, e]) => e.sources as readonly string[]);
    const used = new Set<string>([...coreText, ...Object.values(CONSTANTS).map((c) => c.source as string)]);
    const check = text('core/check/build-check.ts') + text('core/friction/brake-hand.ts');
    const listed = Object.keys(SOURCES).filter((id) => !used.has(id) && !check.includes(`'${id}'`));
    // Named in docs/method.md only: the value of g, the test of diameters, the 9 m of rope kept at an anchor.
    expect(listed.filter((id) => !method.includes(`\`${id}\``))).toEqual([]);
  });
});
