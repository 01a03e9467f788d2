import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { slotsOf } from '../../rigs/elements/index.ts';
import { notRigged, withItem } from '../../rigs/rig/index.ts';
import { demoWorkspace, lowSpanFromMemory, variedSetups } from '../../samples/index.ts';
import { readDocument, VERSION, workspaceSchema, writeSequence, writeSetup, writeWorkspace } from './index.ts';

const issuesOf = (text: string) => {
  const result = readDocument(text);
  return result.ok ? [] : result.issues;
};
/** The demo as a file, with one place overwritten; `undefined` removes it. */
function edited(path: readonly (string | number)[], value: unknown): string {
  const doc: unknown = JSON.parse(writeWorkspace(demoWorkspace()));
  const parent = path.slice(0, -1).reduce<unknown>((at, key) => (at as Record<string | number, unknown>)[key], doc);
  (parent as Record<string | number, unknown>)[path.at(-1)!] = value;
  return JSON.stringify(doc);
}
const items = ['workspace', 'items'] as const;
const written = (JSON.parse(writeWorkspace(demoWorkspace())) as { workspace: ReturnType<typeof demoWorkspace> })
  .workspace.items;
const ropeAt = written.findIndex((i) => i.kind === 'rope');
const deviceAt = written.findIndex((i) => i.kind === 'device' && i.declarations.length > 0);
describe('files', () => {
  it('the demo is valid and comes back identical', () => {
    const workspace = demoWorkspace();
    // The build carries it as text.
    expect(JSON.parse(JSON.stringify(workspace))).toStrictEqual(workspace);
    expect(workspaceSchema.safeParse(workspace).success).toBe(true);
    const text = writeWorkspace(workspace);
    const result = readDocument(text);
    const byId = <T extends { id: string }>(list: T[]) => list.sort((a, b) => (a.id < b.id ? -1 : 1));
    Object.values(workspace).forEach((list) => byId(list as { id: string }[]));
    expect(result).toEqual({ ok: true, value: { format: 'zevrin', version: VERSION, kind: 'workspace', workspace } });
    expect(result.ok && result.value.kind === 'workspace' && writeWorkspace(result.value.workspace)).toBe(text);
  });

  it('thousands of random rigs of every job are written and read without a change', () => {
    const one = fc.constantFrom(...variedSetups().map((v) => v.setup));
    fc.assert(
      fc.property(one, fc.infiniteStream(fc.boolean()), fc.string({ maxLength: 60 }), (setup, coin, note) => {
        // Places emptied at random, and facts left unsaid.
        const emptied = slotsOf(setup).reduce(
          (s, slot) => (coin.next().value ? withItem(s, slot.ref, null) : s),
          setup,
        );
        const next = { ...(coin.next().value ? notRigged(emptied) : emptied), note };
        const result = readDocument(writeSetup(next));
        expect(result.ok && result.value.kind === 'setup' && result.value.setup).toEqual(next);
      }),
      { numRuns: 1500 },
    );
  });

  it('an order of steps goes out and comes back; an unknown step is refused with its path', () => {
    const text = writeSequence(lowSpanFromMemory);
    const result = readDocument(text);
    expect(result.ok && result.value.kind === 'sequence' && result.value.sequence).toEqual(lowSpanFromMemory);
    expect(issuesOf(text.replace('"hitch-test"', '"hitch-guess"'))).toMatchObject([{ read: '"hitch-guess"' }]);
    expect(issuesOf(text.replace('"hitch-test"', '"hitch-guess"'))[0]!.path).toMatch(/^sequence\.steps\[\d+\]\.id$/);
  });

  it.each<[string, string, RegExp, RegExp]>([
    ['not JSON', '{"format"', /^$/, /not JSON/],
    ['a picture', '\u0089PNG\r\n', /^$/, /^This is not a Zevrin file.*not JSON/],
    ['a line in the middle', '{\n  "format": "zevrin",\n  oops\n}', /^$/, /from line 3, character 27 /],
    ['a list', '[]', /^$/, /one JSON object/],
    ['another format', '{"format":"other"}', /^format$/, /Not a Zevrin file/],
    ['no version', '{"format":"zevrin"}', /^version$/, /whole number/],
    [
      'a newer version',
      '{"format":"zevrin","version":99}',
      /^version$/,
      new RegExp(`newer Zevrin \\(version 99\\).*up to version ${VERSION}`),
    ],
    [
      'a diameter out of range',
      edited([...items, ropeAt, 'nominalDiameterMm'], 98),
      new RegExp(`^workspace\\.items\\[${ropeAt}\\]\\.nominalDiameterMm$`),
      /16/,
    ],
    [
      'a missing field',
      edited(['workspace', 'setups', 1, 'site', 'edge'], undefined),
      /^workspace\.setups\[1\]\.site\.edge$/,
      /./,
    ],
    ['an id twice', edited([...items, 1, 'id'], 'connector-d'), /^workspace\.items\[1\]\.id$/, /twice/],
    [
      'an upper limit below the lower',
      edited([...items, deviceAt, 'declarations', 0, 'maxDiameterMm'], 6),
      new RegExp(`^workspace\\.items\\[${deviceAt}\\]\\.declarations\\[0\\]\\.maxDiameterMm$`),
      /below/,
    ],
    ['a key that is not known', edited(['workspace', 'people', 0, 'wings'], 2), /^workspace\.people\[0\]$/, /wings/],
  ])('refuses %s with its path', (_, text, path, message) => {
    const [issue] = issuesOf(text);
    expect(issue!.path).toMatch(path);
    expect(issue!.message).toMatch(message);
    expect(issue!.read).not.toBe('');
  });

  it('says what was read', () => {
    expect(issuesOf(edited([...items, ropeAt, 'nominalDiameterMm'], 98))[0]!.read).toBe('98');
  });
});
