import { beginCheck, halfOf } from '../log/index.ts';
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { assess } from '../../answers/assess/index.ts';
import { askedOf, buildCheck } from '../../answers/check/index.ts';
import { demoWorkspace, lowSpanFromMemory, rappelDouble } from '../../samples/index.ts';
import {
  emptyWorkspace,
  readDocument,
  VERSION,
  writeHalf,
  writeSequence,
  writeSetup,
  writeWorkspace,
  type Document,
  type Workspace,
} from './index.ts';

/** Files that were tried before stay tried: the same seed makes the same files. */
const SEED = 20261125;
const FILES = 6_000;

const fixture = (name: string): unknown =>
  JSON.parse(readFileSync(new URL(`fixtures/${name}.json`, import.meta.url), 'utf8'));

/** A little of everything, so that each mutation has a chance to matter. */
function small(): Workspace {
  const demo = demoWorkspace();
  const { findings, verdict } = assess(rappelDouble);
  return {
    ...emptyWorkspace(),
    items: [...new Map(demo.items.map((i) => [i.kind, i])).values()],
    people: demo.people.slice(0, 1),
    setups: demo.setups.slice(0, 1),
    uses: demo.uses.slice(0, 1),
    wayTests: demo.wayTests.slice(0, 1),
    sequences: demo.sequences.slice(0, 1),
    checks: [
      beginCheck({
        id: 'c1',
        mode: 'alone',
        startedAt: '2026-01-01T00:00:00.000Z',
        setup: rappelDouble,
        verdict,
        items: buildCheck(rappelDouble, findings).slice(0, 2),
      }),
    ],
  };
}
const POOL: readonly unknown[] = [
  ...[1, 2, 3, 4].map((v) => fixture(`v${v}`)),
  JSON.parse(writeSetup(rappelDouble)),
  JSON.parse(writeSequence(lowSpanFromMemory)),
  JSON.parse(writeHalf(halfOf({ ...small().checks[0]!, mode: 'two-phones', half: 'climber' }, true))),
  JSON.parse(writeWorkspace(small())),
];

type Json = Record<string, unknown> | unknown[];
const isJson = (value: unknown): value is Json => value !== null && typeof value === 'object';

/** Every place in a document, as a path of keys. */
function placesOf(root: unknown, path: readonly (string | number)[] = []): (readonly (string | number)[])[] {
  if (!isJson(root)) return [path];
  const entries: [string | number, unknown][] = Array.isArray(root) ? root.map((v, i) => [i, v]) : Object.entries(root);
  return [path, ...entries.flatMap(([key, value]) => placesOf(value, [...path, key]))];
}
const PLACES = POOL.map((root) => placesOf(root).filter((path) => path.length > 0));

/** The document with one place changed; what lies beside the path is shared. */
function at(
  root: unknown,
  [key, ...rest]: readonly (string | number)[],
  change: (parent: Json, key: string | number) => void,
): unknown {
  const copy: Json = Array.isArray(root) ? [...(root as unknown[])] : { ...(root as Record<string, unknown>) };
  if (rest.length === 0) change(copy, key!);
  else
    (copy as Record<string | number, unknown>)[key!] = at(
      (root as Record<string | number, unknown>)[key!],
      rest,
      change,
    );
  return copy;
}
const nested = (depth: number): unknown => {
  let value: unknown = 'end';
  for (let i = 0; i < depth; i += 1) value = i % 2 === 0 ? [value] : { a: value };
  return value;
};

const junk: fc.Arbitrary<unknown> = fc.oneof(
  fc.constantFrom<unknown>(
    null,
    true,
    0,
    -1,
    1e308,
    -0,
    1.5,
    '',
    'new',
    '__proto__',
    '../x',
    'unknown',
    '{old}',
    '\u0000',
    [],
    {},
    [null],
  ),
  fc.string({ maxLength: 6 }),
  fc.double(),
  fc.constantFrom(10, 60, 200).map(nested),
);
interface Mutation {
  readonly doc: number;
  readonly place: number;
  readonly what: 'set' | 'delete' | 'add' | 'twice' | 'version' | 'text';
  readonly value: unknown;
}
const mutation: fc.Arbitrary<Mutation> = fc.record(
  {
    // The workspace is five times as long as the others, and goes through the same rules.
    doc: fc.oneof(
      { weight: 14, arbitrary: fc.nat({ max: POOL.length - 2 }) },
      { weight: 1, arbitrary: fc.constant(POOL.length - 1) },
    ),
    place: fc.nat(),
    what: fc.constantFrom<Mutation['what']>('set', 'set', 'set', 'delete', 'add', 'twice', 'version', 'text'),
    value: junk,
  },
  { noNullPrototype: true },
);

function mutated({ doc, place, what, value }: Mutation): string {
  const root = POOL[doc]!;
  const path = PLACES[doc]![place % PLACES[doc]!.length]!;
  switch (what) {
    case 'set':
      return JSON.stringify(
        at(root, path, (parent, key) => ((parent as Record<string | number, unknown>)[key] = value)),
      );
    case 'delete':
      return JSON.stringify(
        at(root, path, (parent, key) =>
          Array.isArray(parent) ? parent.splice(Number(key), 1) : delete parent[String(key)],
        ),
      );
    case 'add':
      return JSON.stringify(
        at(root, path, (parent) => (Array.isArray(parent) ? parent.push(value) : (parent[`x${place % 9}`] = value))),
      );
    case 'twice':
      return JSON.stringify(at(root, path, (parent, key) => Array.isArray(parent) && parent.push(parent[Number(key)])));
    case 'version':
      return JSON.stringify({ ...root, version: place % (VERSION + 2) });
    case 'text': {
      const text = JSON.stringify(root);
      const cut = place % text.length;
      return `${text.slice(0, cut)}${typeof value === 'string' ? value : ''}${text.slice(cut + 1)}`;
    }
  }
}

const write = (document: Document) =>
  document.kind === 'workspace'
    ? writeWorkspace(document.workspace)
    : document.kind === 'setup'
      ? writeSetup(document.setup)
      : document.kind === 'half'
        ? writeHalf(document.half)
        : writeSequence(document.sequence);

/** Lists of a workspace are written in the order of their ids, whatever order they were read in. */
const ordered = (document: Document): Document =>
  document.kind === 'workspace'
    ? {
        ...document,
        workspace: Object.fromEntries(
          Object.entries(document.workspace).map(([key, list]) => [
            key,
            [...(list as readonly { id: string }[])].sort((a, b) => (a.id < b.id ? -1 : 1)),
          ]),
        ) as unknown as typeof document.workspace,
      }
    : document;

describe('any file', () => {
  it(`is read whole or refused with a path, and what is read can be written and read again (${FILES} mutated files)`, () => {
    let taken = 0;
    fc.assert(
      fc.property(mutation, (m) => {
        const result = readDocument(mutated(m));
        if (!result.ok) {
          expect(result.issues.length).toBeGreaterThan(0);
          expect(result.issues.length).toBeLessThanOrEqual(200);
          const odd = result.issues.filter((i) => typeof i.path !== 'string' || i.read.length > 60 || i.message === '');
          expect(odd).toEqual([]);
          return;
        }
        taken += 1;
        // The way back is the longer half; a third of them is thousands.
        if (m.place % 3 !== 0) return;
        expect(readDocument(write(result.value))).toEqual({ ok: true, value: ordered(result.value) });
      }),
      { seed: SEED, numRuns: FILES },
    );
    // Both sides of the property were tried.
    expect(taken).toBeGreaterThan(FILES / 100);
    expect(taken).toBeLessThan(FILES / 2);
    // Many, not slow: what one file may take is measured by the bench.
  }, 120_000);

  it('may be anything at all', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string({ unit: 'binary' }),
          fc.json(),
          fc
            .jsonValue()
            .map((v) => JSON.stringify({ format: 'zevrin', version: VERSION, kind: 'workspace', workspace: v })),
        ),
        (text) => {
          expect(readDocument(text).ok).toBe(false);
        },
      ),
      { seed: SEED, numRuns: 2000 },
    );
  });
});

describe('a file that is too large or too deep', () => {
  const empty = () => JSON.parse(writeWorkspace(emptyWorkspace())) as { workspace: Record<string, unknown> };
  const refusal = (root: unknown) => {
    const result = readDocument(typeof root === 'string' ? root : JSON.stringify(root));
    return result.ok ? null : result.issues;
  };

  it.each(['items', 'uses', 'checks'])('250,000 wrong entries of %s are refused by their number', (collection) => {
    const file = empty();
    file.workspace[collection] = Array.from({ length: 250_000 }, () => 7);
    expect(refusal(file)).toEqual([
      { path: `workspace.${collection}`, read: '250000 entries', message: 'A list here has at most 100000 entries.' },
    ]);
  });

  it('90,000 wrong entries are refused with the first of what is wrong', () => {
    const file = empty();
    file.workspace.uses = Array.from({ length: 90_000 }, () => ({}));
    const result = readDocument(JSON.stringify(file));
    if (result.ok) throw new Error('taken');
    expect(result.issues).toHaveLength(100);
    expect(result.issues[0]!.path).toMatch(/^workspace\.uses\[0\]/);
    // Each of them lacks the same.
    const each = result.issues.filter(({ path }) => path.startsWith('workspace.uses[0]')).length;
    expect(result.more).toBe(90_000 * each - 100);
  });

  it('400,000 keys that nobody knows are refused by their number, and forty of a hundred are named', () => {
    const keys = (n: number) => Object.fromEntries(Array.from({ length: n }, (_, i) => [`key${i}`, 0]));
    expect(refusal({ ...empty(), ...keys(400_000) })![0]!.read).toMatch(/^40000\d keys$/);
    const [hundred] = refusal({ ...empty(), ...keys(100) })!;
    expect(hundred!.message).toMatch(/"key0".*"key39" and 60 more\.$/);
    const [long] = refusal({ ...empty(), ['x'.repeat(1_000_000)]: 1 })!;
    expect(long!.message.length).toBeLessThan(200);
  });

  it.each(['format', 'version', 'kind', 'anything'])('5,000 levels under "%s", which nothing throws over', (key) => {
    const text = `{"format":"zevrin","version":${VERSION},"kind":"workspace"}`;
    const deep = `{"${key}":${'['.repeat(5_000)}${']'.repeat(5_000)},${text.slice(1).replace(`"${key}":`, '"was":')}`;
    const [issue] = refusal(deep)!;
    expect(issue!.read).toBe('more than 40 levels');
  });

  it.each([
    ['{"format":"other","format":"zevrin"}', 'format'],
    [
      `{"format":"zevrin","version":${VERSION},"kind":"setup","setup":{"name":"a","site":{"edge":"none","edge":"sharp"}}}`,
      'setup.site.edge',
    ],
    ['{"format":"zevrin","list":[{"a":1},{"a":1,"b":{"a":2},"a":3}]}', 'list[1].a'],
  ])('a key that stands twice: %s', (text, path) =>
    expect(refusal(text)).toEqual([
      { path, read: 'twice', message: 'A key stands once in an object. Take one of the two out.' },
    ]),
  );

  it('what was read is told whole where it is small, and by its beginning where it is large', () => {
    const told = (version: unknown) => refusal({ format: 'zevrin', version })![0]!.read;
    expect(told('one')).toBe('"one"');
    expect(told({ a: [1, null, { b: 'x' }], c: true })).toBe('{"a":[1,null,{"b":"x"}],"c":true}');
    expect(told('x'.repeat(1_000_000))).toMatch(/^"x{56}\.\.\.$/);
    expect(told(Array.from({ length: 4_000 }, (_, i) => i))).toHaveLength(60);
  });

  it('a list inside an entry is refused by its length, with its path', () => {
    const workspace = small();
    const file = JSON.parse(writeWorkspace(workspace)) as { workspace: { checks: { events: unknown[] }[] } };
    file.workspace.checks[0]!.events = Array.from({ length: 250_000 }, () => ({}));
    expect(refusal(file)?.[0]!.path).toBe('workspace.checks[0].events');
  });

  it.each([100, 5_000, 200_000])('%s levels of nesting', (depth) => {
    const open = '['.repeat(depth);
    const text = `{"format":"zevrin","version":${VERSION},"kind":"workspace","workspace":${open}${']'.repeat(depth)}}`;
    const issues = refusal(text)!;
    expect(issues).toHaveLength(1);
    expect(issues[0]!.path.length).toBeLessThanOrEqual(120);
  });
});

describe('a file that contradicts itself', () => {
  const AT = '2026-01-01T00:00:00.000Z';
  const at = (minute: number) => `2026-01-01T00:${String(minute).padStart(2, '0')}:00.000Z`;
  const items = buildCheck(rappelDouble, assess(rappelDouble).findings);
  const check = () => ({ ...small().checks[0]!, items });
  const refusal = (changed: object, version = VERSION) => {
    const file = JSON.parse(writeWorkspace({ ...emptyWorkspace(), checks: [{ ...check(), ...changed }] })) as object;
    const result = readDocument(JSON.stringify({ ...file, version }));
    return result.ok ? [] : result.issues.map((i) => `${i.path}: ${i.message}`);
  };
  const saw = (n: number, answer: string, asExpected: boolean) => ({
    type: 'saw' as const,
    itemId: items[n]!.id,
    who: 'climber' as const,
    answer,
    asExpected,
    at: AT,
  });
  const ended = { mode: 'alone' as const, outcome: 'complete' as const, endedAt: AT };
  const right = (n: number) => saw(n, items[n]!.expected, true);
  const wrong = (n: number) => saw(n, items[n]!.others[0]!, false);
  const all = items.map((_, n) => right(n));
  const but = (n: number, ...events: object[]) => all.flatMap((event, i) => (i === n ? events : [event]));

  it('a check that is complete by its own answers is read', () => {
    expect(refusal({ ...ended, events: all })).toEqual([]);
    const fixed = { type: 'fixed', who: null, itemId: items[1]!.id, note: 'pulled up', at: AT };
    expect(refusal({ ...ended, events: but(1, wrong(1), fixed, right(1)) })).toEqual([]);
  });
  it('a complete check with fewer items than its set-up asks for', () => {
    const gate = items.findIndex((i) => i.id === 'device-connector');
    const shown = refusal({ ...ended, items: items.filter((_, n) => n !== gate), events: but(gate) });
    expect(shown).toEqual([
      `workspace.checks[0].items: the check is said to be complete, and of what its set-up asks for there was not looked at “${items[gate]!.title}”`,
    ]);
    expect(refusal({ ...ended, items: items.slice(0, 1), events: all.slice(0, 1) })[0]).toMatch(/“.*” and \d+ more$/);
    // What is under way or was broken off says nothing of the rest.
    expect(refusal({ ...ended, outcome: 'abandoned', items: items.slice(0, 1), events: [] })).toEqual([]);
  });
  it('a repair of what never failed, and a failure that nobody repaired', () => {
    const fixed = { type: 'fixed', who: null, itemId: items[1]!.id, note: 'pulled up', at: AT };
    expect(refusal({ ...ended, events: [...all, fixed] })[0]).toBe(
      `workspace.checks[0].events[${all.length}]: put right, and nothing had failed here`,
    );
    expect(refusal({ ...ended, events: but(1, wrong(1), fixed, fixed, right(1)) })[0]).toContain(
      'events[3]: put right',
    );
    expect(refusal({ ...ended, events: but(1, wrong(1), right(1)) })).toEqual([
      'workspace.checks[0].items[1]: the check is said to be complete, and this item is failed',
    ]);
  });
  it('times that cannot be', () => {
    expect(refusal({ ...ended, startedAt: at(5), endedAt: at(4) })[0]).toBe(
      'workspace.checks[0].endedAt: the check ended before it began',
    );
    expect(refusal({ startedAt: at(5), events: [right(0)] })).toEqual([
      'workspace.checks[0].events[0].at: before the check began',
    ]);
    const late = { ...right(0), at: at(9) };
    expect(refusal({ ...ended, endedAt: at(8), events: but(0, late) })[0]).toBe(
      'workspace.checks[0].events[0].at: after the check had ended',
    );
    expect(refusal({ startedAt: '2999-01-01T00:00:00.000Z' })).toEqual([
      'workspace.checks[0].startedAt: A day in the years 1970 to 2099 is needed here.',
    ]);
    // A phone whose clock was never set.
    expect(refusal({ startedAt: '1970-01-01T00:00:07.000Z', events: [right(0)] })).toEqual([]);
  });
  it('practice of the hands that ended before a fall in it', () => {
    const training = {
      ...{ id: 't', at: AT, person: null, belay: 'leader', device: 'tube', hand: 'right', pace: 'timed', seed: 1 },
      ...{ lastedS: 20, offBrakeS: 20, aboveLineS: 0, mostSlackM: 1 },
      falls: [{ atS: 20, reactionS: null, fallenM: 1, slidM: 0, palmJ: 0, ended: 'held' }],
    };
    const shown = (changed: object) => {
      const file = { format: 'zevrin', version: VERSION, kind: 'workspace' };
      const workspace = { ...emptyWorkspace(), trainings: [{ ...training, ...changed }] };
      const result = readDocument(JSON.stringify({ ...file, workspace }));
      return result.ok ? [] : result.issues.map(({ path }) => path);
    };
    expect(shown({})).toEqual([]);
    expect(shown({ lastedS: 19, aboveLineS: 21 })).toEqual(
      ['offBrakeS', 'aboveLineS', 'falls[0].atS'].map((path) => `workspace.trainings[0].${path}`),
    );
  });
  it('a complete check with items that nobody saw', () => {
    expect(refusal({ ...ended, events: but(1) })).toEqual([
      'workspace.checks[0].items[1]: the check is said to be complete, and this item is not closed',
    ]);
  });
  it('a complete check with an item that failed', () => {
    expect(refusal({ ...ended, events: but(1, wrong(1)) })[0]).toContain('this item is failed');
  });
  it('a complete check face to face that only one of the two answered', () => {
    // What somebody wears is closed by the other one alone.
    const both = items.filter((i) => askedOf(i, rappelDouble).includes('partner'));
    expect(refusal({ ...ended, mode: 'face-to-face', events: all })).toHaveLength(both.length);
  });
  it('an answer that is said to be the expected one and is not, and the other way round', () => {
    const { others, expected } = items[0]!;
    expect(refusal({ events: [saw(0, others[0]!, true)] })[0]).toContain('events[0].asExpected');
    expect(refusal({ events: [saw(0, expected, false)] })[0]).toContain('events[0].asExpected');
  });
  it('an answer that its item does not offer', () => {
    expect(refusal({ events: [saw(0, 'something else', false)] })[0]).toContain('events[0].answer');
  });
  it('an item that stands twice', () => {
    const [first] = items;
    expect(refusal({ items: [first, first] })).toEqual([
      `workspace.checks[0].items[1].id: the item "${first!.id}" stands twice`,
    ]);
  });
  it.each(['a/b', '..', 'x?y', 'x#y', 'a b', '%2e', 'new', ''])('an id that no address can hold: %j', (id) => {
    expect(refusal({ id })[0]).toMatch(/^workspace\.checks\[0\]\.id: /);
  });

  it.each([1, 2, 3])(
    'a file of today that says version %s is refused, not stripped of what that version did not know',
    (version) => {
      for (const root of [
        JSON.parse(writeWorkspace(demoWorkspace())),
        JSON.parse(writeSetup(rappelDouble)),
        JSON.parse(writeSequence(lowSpanFromMemory)),
        JSON.parse(writeHalf(halfOf({ ...small().checks[0]!, mode: 'two-phones', half: 'climber' }, true))),
      ] as object[]) {
        const result = readDocument(JSON.stringify({ ...root, version }));
        // An order of steps is since version 3 what it is today.
        if (version === 3 && 'sequence' in root) expect(result.ok).toBe(true);
        else expect(result.ok).toBe(false);
      }
    },
  );

  it('a byte order mark before a file is no fault', () => {
    expect(readDocument(`\uFEFF${writeSetup(rappelDouble)}`).ok).toBe(true);
  });
});

describe('what a refusal says', () => {
  const refusal = (path: readonly (string | number)[], value: unknown) => {
    const result = readDocument(
      JSON.stringify(
        at(JSON.parse(writeSetup(rappelDouble)), path, (parent, key) => {
          (parent as Record<string | number, unknown>)[key] = value;
        }),
      ),
    );
    return result.ok ? [] : result.issues.map((i) => `${i.path}: ${i.message} Read: ${i.read}`);
  };
  it.each<[readonly string[], unknown, string]>([
    [['setup', 'name'], 5, 'setup.name: A text is needed here. Read: 5'],
    [['setup', 'site', 'anchorHeightM'], 'high', 'setup.site.anchorHeightM: A number is needed here. Read: "high"'],
    [['setup', 'site', 'anchorHeightM'], -3, 'setup.site.anchorHeightM: Allowed: 0 or more. Read: -3'],
    [['setup', 'site', 'weather'], 'fog', 'setup.site.weather: Allowed: "dry", "wet", "icy". Read: "fog"'],
    [['setup', 'site', 'fog'], 1, 'setup.site: Not known here: "fog".'],
    [['setup', 'note'], 'x'.repeat(2001), 'setup.note: Allowed: 2000 characters or fewer.'],
    [['setup', 'lines'], 1, 'setup.lines: A list is needed here. Read: 1'],
    [['setup', 'createdAt'], 'today', 'setup.createdAt: Needed: day and time in UTC, as 2026-03-01T09:30:00Z.'],
  ])('is for people: %j', (path, value, says) => {
    const all = refusal(path, value);
    expect(all[0]).toContain(says);
    expect(all.join()).not.toMatch(/Invalid|expected string|received/);
  });
});
