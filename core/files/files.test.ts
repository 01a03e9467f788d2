import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { itemSchema, JOB_KEYS, UNDECLARED_DEVICE, UNMEASURED_CONNECTOR } from '../gear/index.ts';
import { bestChoice, demoSequences, demoWorkspace, lowSpanFromMemory, rappelDouble } from '../samples/index.ts';
import {
  entryFrom1To2,
  migrator,
  readDocument,
  VERSION,
  workspaceSchema,
  writeChoice,
  writeSequence,
  writeSetup,
  writeWorkspace,
} from './index.ts';

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

describe('files', () => {
  it('the demo is valid and comes back identical', () => {
    const workspace = demoWorkspace();
    expect(workspaceSchema.safeParse(workspace).success).toBe(true);
    const text = writeWorkspace(workspace);
    const result = readDocument(text);
    const byId = <T extends { id: string }>(list: T[]) => list.sort((a, b) => (a.id < b.id ? -1 : 1));
    Object.values(workspace).forEach((list) => byId(list as { id: string }[]));
    expect(result).toEqual({ ok: true, value: { format: 'zevrin', version: VERSION, kind: 'workspace', workspace } });
    expect(result.ok && result.value.kind === 'workspace' && writeWorkspace(result.value.workspace)).toBe(text);
  });

  it('every fixture is still read, whole', () => {
    const read = (version: number) => readFileSync(new URL(`fixtures/v${version}.json`, import.meta.url), 'utf8');
    const setupOf = (text: string) => {
      const result = readDocument(text);
      return result.ok && result.value.kind === 'setup' ? result.value.setup : result;
    };
    // Version 1 knew no measures of the way a connector is clipped, and nothing more of a device than its ranges.
    const bare = (c: typeof rappelDouble.gear.deviceConnector) => c && { ...c, ...UNMEASURED_CONNECTOR };
    const { gear } = rappelDouble;
    expect(setupOf(read(1))).toEqual({
      ...rappelDouble,
      gear: { ...gear, deviceConnector: bare(gear.deviceConnector), hitchConnector: bare(gear.hitchConnector) },
    });
    expect(setupOf(read(2))).toEqual(rappelDouble);
    expect(setupOf(read(3))).toEqual(rappelDouble);
    expect(writeSetup(rappelDouble)).toBe(read(VERSION));
  });

  it('a whole workspace of version 1 is brought up, its records and the snapshots in them included', () => {
    const now = JSON.parse(writeWorkspace(demoWorkspace())) as { workspace: Record<string, unknown> };
    const added = new Set([
      ...Object.keys(UNMEASURED_CONNECTOR),
      ...Object.keys(UNDECLARED_DEVICE),
      'bestMinDiameterMm',
      'bestMaxDiameterMm',
    ]);
    const old = JSON.parse(
      JSON.stringify(now, (key, value: unknown) => (added.has(key) ? undefined : value)),
    ) as typeof now;
    delete old.workspace.choices;
    delete old.workspace.wayTests;
    delete old.workspace.sequences;
    const result = readDocument(JSON.stringify({ ...old, version: 1 }));
    expect(result.ok && result.value.kind === 'workspace' && result.value.workspace).toMatchObject({
      choices: [],
      wayTests: [],
      sequences: [],
    });
    expect(issuesOf(JSON.stringify({ ...old, version: 2 }))[0]!.path).toMatch(/^workspace\.items\[\d+\]/);
    const items = old.workspace.items as unknown[];
    expect(items.map((item) => itemSchema.safeParse(entryFrom1To2('items', item)).success)).not.toContain(false);
    expect(entryFrom1To2('people', { a: 1 })).toEqual({ a: 1 });
    expect(entryFrom1To2('items', 'not an item')).toBe('not an item');
  });

  it('a workspace of version 2 gets an empty list of orders, and nothing else changes', () => {
    const { workspace } = JSON.parse(writeWorkspace(demoWorkspace())) as { workspace: Record<string, unknown> };
    const { sequences, ...before } = workspace;
    expect(sequences).toHaveLength(demoSequences.length);
    const result = readDocument(JSON.stringify({ format: 'zevrin', version: 2, kind: 'workspace', workspace: before }));
    expect(result.ok && result.value.kind === 'workspace' && result.value.workspace).toEqual({
      ...before,
      sequences: [],
    });
  });

  it('an order of steps goes out and comes back; an unknown step is refused with its path', () => {
    const text = writeSequence(lowSpanFromMemory);
    const result = readDocument(text);
    expect(result.ok && result.value.kind === 'sequence' && result.value.sequence).toEqual(lowSpanFromMemory);
    expect(issuesOf(text.replace('"hitch-test"', '"hitch-guess"'))).toMatchObject([{ read: '"hitch-guess"' }]);
    expect(issuesOf(text.replace('"hitch-test"', '"hitch-guess"'))[0]!.path).toMatch(/^sequence\.steps\[\d+\]\.id$/);
  });

  it('a choice for every job goes out and comes back', () => {
    for (const job of JOB_KEYS) {
      const text = writeChoice(bestChoice(job));
      const result = readDocument(text);
      expect(result.ok && result.value.kind === 'choice' && writeChoice(result.value.choice), job).toBe(text);
    }
  });

  it.each<[string, string, RegExp, RegExp]>([
    ['not JSON', '{"format"', /^$/, /not JSON/],
    ['a list', '[]', /^$/, /one JSON object/],
    ['another format', '{"format":"other"}', /^format$/, /Not a Zevrin file/],
    ['no version', '{"format":"zevrin"}', /^version$/, /whole number/],
    [
      'a newer version',
      '{"format":"zevrin","version":99}',
      /^version$/,
      /newer Zevrin \(version 99\).*up to version 3/,
    ],
    [
      'a diameter out of range',
      edited([...items, 5, 'nominalDiameterMm'], 98),
      /^workspace\.items\[5\]\.nominalDiameterMm$/,
      /12/,
    ],
    [
      'a missing field',
      edited(['workspace', 'setups', 1, 'rig', 'ends'], undefined),
      /^workspace\.setups\[1\]\.rig\.ends$/,
      /./,
    ],
    ['an id twice', edited([...items, 1, 'id'], 'connector-d'), /^workspace\.items\[1\]\.id$/, /twice/],
    [
      'an upper limit below the lower',
      edited([...items, 7, 'declarations', 0, 'maxDiameterMm'], 6),
      /^workspace\.items\[7\]\.declarations\[0\]\.maxDiameterMm$/,
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
    expect(issuesOf(edited([...items, 5, 'nominalDiameterMm'], 98))[0]!.read).toBe('98');
  });
});

describe('migrator', () => {
  const step = (from: number) => ({
    from,
    name: `from ${from}`,
    up: (d: Record<string, unknown>) => ({ ...d, seen: [...((d.seen as number[]) ?? []), from] }),
  });
  it('runs every step from the version of the file, in order', () => {
    const up = migrator(4, [step(3), step(1), step(2)]);
    expect(up({ version: 2 }, 2)).toEqual({ version: 4, seen: [2, 3] });
    expect(up({ version: 1 }, 1)).toEqual({ version: 4, seen: [1, 2, 3] });
    expect(up({ version: 4 }, 4)).toEqual({ version: 4 });
  });
  it('refuses to be built with a gap, a double or a stray step', () => {
    expect(() => migrator(3, [step(1)])).toThrow(/0 steps from version 2/);
    expect(() => migrator(2, [step(1), step(1)])).toThrow(/2 steps from version 1/);
    expect(() => migrator(2, [step(1), step(2)])).toThrow(/outside/);
  });
});
