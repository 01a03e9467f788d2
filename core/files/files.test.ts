import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { assess } from '../assess/index.ts';
import { itemSchema, JOB_KEYS, UNDECLARED_DEVICE, UNMEASURED_CONNECTOR } from '../gear/index.ts';
import { slotsOf } from '../parts/index.ts';
import { notRigged, setupSchema, withItem, type Setup } from '../rig/index.ts';
import { changed, club, demoWorkspace, lowSpanFromMemory, rappelDouble, variedSetups } from '../samples/index.ts';
import {
  entryFrom1To2,
  entryFrom4To5,
  entryFrom5To6,
  entryFrom6To7,
  entryFrom7To8,
  entryFrom8To9,
  entryFrom9To10,
  entryFrom10To11,
  entryFrom11To12,
  entryFrom12To13,
  migrator,
  readDocument,
  setup4,
  VERSION,
  workspaceSchema,
  writeSequence,
  writeSetup,
  writeWorkspace,
} from './index.ts';
import {
  backToV3,
  choiceIn,
  setups3,
  unknownSince,
  without5,
  withoutUnplaced,
  type Workspace3,
} from './v3/back.test-help.ts';

const fixture = (name: string) => readFileSync(new URL(`fixtures/${name}.json`, import.meta.url), 'utf8');

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
/** The rappel from a tree came with version 12. */
const knownThen = ({ template }: Pick<Setup, 'template'>): boolean => template !== 'tree-rappel';
/** A stored entry of version 10, brought up to now. */
const since10 = (entry: unknown): unknown => entryFrom12To13(entryFrom11To12(entryFrom10To11(entry)));

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

  it.each([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13])('the fixture of version %s is still read, whole', (version) => {
    const result = readDocument(fixture(`v${version}`));
    const setup = result.ok && result.value.kind === 'setup' ? result.value.setup : result;
    // What is made of fibre was not looked over before version 5, and nothing was said of helmets and of how a device is threaded.
    // What version 3 and before could not say is not known; version 1 knew no measures of the way a connector is clipped.
    // The club did not know yet how strong its cord is.
    const asThen = changed(rappelDouble, { hitch: { item: { ...club.shortCord, declaredStrengthKn: null } } });
    const unsaid =
      version > 3
        ? asThen
        : changed(asThen, {
            device: { brakeLed: 'unknown' },
            deviceConnector: { opposed: 'unknown' },
            hitchConnector: { opposed: 'unknown', loadedEnd: 'unknown' },
          });
    const bare = (c: object) => ({ item: { ...c, ...UNMEASURED_CONNECTOR } });
    const expected =
      version > 1 ? unsaid : changed(unsaid, { deviceConnector: bare(club.pear), hitchConnector: bare(club.smallD) });
    // Before version 13 the labels of the ropes were not read, nor how rings, grooves and cams were used.
    // Before version 12 chin and knee were not measured.
    // Before version 11 no bollard was tried, and nothing was said of trees.
    // Before version 10 nothing was called typical: what was entered was one's own.
    // Before version 8 nobody was measured from the soles up, and nothing was said of where a belayer stands.
    // Before version 7 nothing was said of connectors looked over and of calls.
    // Before version 6 nothing was said of how strands lie at a device at the anchor.
    expect(setup).toEqual(version === VERSION ? expected : unknownSince(Math.max(5, version + 1), expected));
    if (version === VERSION) expect(writeSetup(asThen)).toBe(fixture(`v${VERSION}`));
  });

  it('the limb that version 11 knew is the first of several, and what a link does is not known', () => {
    const old = {
      site: { tree: { tried: 'two', limbOutM: 4, limbBelowM: 6, comingBack: 'taken' } },
      persons: [{ item: { armReachMm: 600, kneeRaiseMm: 200 } }],
      attachments: [{ end: { id: 'x', kind: 'clip', to: 'anchor' } }, { end: { id: 'y', kind: 'knot' } }],
    };
    expect(entryFrom11To12(old)).toEqual({
      site: {
        tree: {
          tried: 'two',
          triedKg: null,
          redirectDeg: null,
          deviceLies: 'unknown',
          bridge: 'unknown',
          eyes: 'unknown',
          limbs: [{ id: 'limb', outM: 4, belowM: 6, riseDeg: 0 }],
          comingBack: 'taken',
        },
      },
      persons: [{ item: { armReachMm: 600, kneeRaiseMm: 200, chinAboveTieInMm: null, kneeAboveSolesMm: null } }],
      attachments: [
        { end: { id: 'x', kind: 'clip', to: 'anchor', tight: 'unknown' } },
        { end: { id: 'y', kind: 'knot' } },
      ],
    });
    // Brought up twice it stays as it is.
    expect(entryFrom11To12(entryFrom11To12(old))).toEqual(entryFrom11To12(old));
  });

  it('what version 13 asks is not said of anything that is older, and only where it belongs', () => {
    const old = {
      setup: {
        persons: [{ id: 'p', harnessId: 'h', legLoopId: 'l' }],
        anchors: [{ id: 'anchor', through: 'rings', points: 'one' }],
        lines: [{ rope: { item: { kind: 'rope', construction: 'single', impactForceKn: 9 } } }],
        attachments: [{ end: { kind: 'device', brakeLed: 'below', threaded: 'shown', item: { kind: 'device' } } }],
      },
    };
    expect(entryFrom12To13(old)).toEqual({
      setup: {
        persons: [{ id: 'p', harnessId: 'h', legLoopId: 'l', atEdge: 'unknown' }],
        anchors: [{ id: 'anchor', through: 'rings', points: 'one', rings: 'unknown' }],
        lines: [
          {
            rope: {
              item: {
                kind: 'rope',
                construction: 'single',
                impactForceKn: 9,
                staticStretchPercent: null,
                stretchTest: 'standard',
              },
            },
          },
        ],
        attachments: [
          {
            end: {
              kind: 'device',
              brakeLed: 'below',
              threaded: 'shown',
              brakeThrough: 'direct',
              groove: 'unknown',
              cam: 'unknown',
              item: { kind: 'device' },
            },
          },
        ],
      },
    });
    expect(entryFrom12To13(entryFrom12To13(old))).toEqual(entryFrom12To13(old));
  });

  it('a workspace of version 1 is brought up, its records and the snapshots in them included', () => {
    const now = JSON.parse(fixture('v3-workspace')) as { workspace: Record<string, unknown> };
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
    const workspace = result.ok && result.value.kind === 'workspace' ? result.value.workspace : null;
    expect(workspace).toMatchObject({ wayTests: [], sequences: [] });
    expect(workspace!.setups.map((s) => s.id)).toEqual(['setup-high-span', 'setup-low-span']);
    expect(workspace!.checks.map((c) => c.setup.template)).toEqual(['rappel-double']);
    expect(issuesOf(JSON.stringify({ ...old, version: 2 }))[0]!.path).toMatch(/^workspace\.(items|setups)\[\d+\]/);
    const items = old.workspace.items as unknown[];
    expect(
      items.map(
        (item) =>
          itemSchema.safeParse(
            since10(
              entryFrom9To10(
                entryFrom8To9(entryFrom7To8(entryFrom6To7(entryFrom5To6(entryFrom4To5(entryFrom1To2('items', item)))))),
              ),
            ),
          ).success,
      ),
    ).not.toContain(false);
    expect(entryFrom1To2('people', { a: 1 })).toEqual({ a: 1 });
    expect(entryFrom1To2('items', 'not an item')).toBe('not an item');
  });

  it('a workspace of version 3 keeps everything: a choice of each job is a set-up now', () => {
    const { workspace: old } = JSON.parse(fixture('v3-workspace')) as { workspace: Workspace3 };
    const result = readDocument(fixture('v3-workspace'));
    const now = result.ok && result.value.kind === 'workspace' ? result.value.workspace : null;
    expect(now).not.toBeNull();
    for (const same of ['items', 'people', 'uses', 'wayTests', 'sequences'] as const)
      expect(without5(now![same])).toEqual(old[same]);
    expect(now!.setups.slice(0, 2).map(backToV3)).toEqual(old.setups);
    expect(now!.checks.map((c) => ({ ...c, setup: backToV3(c.setup) }))).toEqual(old.checks);
    expect(now!.setups).toHaveLength(old.setups.length + old.choices.length);
    for (const choice of old.choices) {
      const setup = now!.setups.find((s) => s.id === choice.id)!;
      expect(setup, choice.id).toMatchObject({ job: choice.question.job, template: choice.question.job });
      expect(choiceIn(setup)).toEqual(withoutUnplaced(choice));
      expect(assess(setup).verdict, choice.id).not.toBe('clear');
    }
    expect(new Set(old.choices.map((c) => c.question.job)).size).toBe(JOB_KEYS.length - 1);
  });

  it('thousands of random set-ups of version 3 are brought up and go back unchanged', () => {
    fc.assert(
      fc.property(setups3, (old) => {
        const setup = setupSchema.parse(
          since10(
            entryFrom9To10(
              entryFrom8To9(entryFrom7To8(entryFrom6To7(entryFrom5To6(entryFrom4To5(setup4(structuredClone(old))))))),
            ),
          ),
        );
        expect(backToV3(setup)).toEqual(old);
      }),
      { numRuns: 1500 },
    );
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

  it('a file of version 4 loses nothing: every set-up of every job, with what was not known then as not known', () => {
    for (const { name, setup } of variedSetups().filter(({ setup }) => knownThen(setup))) {
      const file = { format: 'zevrin', version: 4, kind: 'setup', setup: without5(setup) };
      const result = readDocument(JSON.stringify(file));
      expect(result.ok && result.value.kind === 'setup' && result.value.setup, name).toEqual(unknownSince(5, setup));
    }
  });
  it('a workspace of version 4 is brought up, its records included', () => {
    const old = readDocument(fixture('v3-workspace'));
    if (!old.ok || old.value.kind !== 'workspace') throw new Error('not a workspace');
    const demo = demoWorkspace();
    const workspace = { ...demo, setups: demo.setups.filter(knownThen), checks: old.value.workspace.checks };
    const file = { format: 'zevrin', version: 4, kind: 'workspace', workspace: without5(workspace) };
    const result = readDocument(JSON.stringify(file));
    expect(result.ok && result.value.kind === 'workspace' && result.value.workspace).toEqual(
      unknownSince(5, workspace),
    );
    expect(workspace.checks.length).toBeGreaterThan(0);
    // Nothing turns into a pass by being brought up.
    for (const setup of unknownSince(5, workspace).setups) expect(assess(setup).verdict, setup.name).not.toBe('clear');
  });

  it('an order of steps goes out and comes back; an unknown step is refused with its path', () => {
    const text = writeSequence(lowSpanFromMemory);
    const result = readDocument(text);
    expect(result.ok && result.value.kind === 'sequence' && result.value.sequence).toEqual(lowSpanFromMemory);
    expect(issuesOf(text.replace('"hitch-test"', '"hitch-guess"'))).toMatchObject([{ read: '"hitch-guess"' }]);
    expect(issuesOf(text.replace('"hitch-test"', '"hitch-guess"'))[0]!.path).toMatch(/^sequence\.steps\[\d+\]\.id$/);
  });

  it('a second rope that the rig of a job has no place for is kept in the note', () => {
    const { workspace } = JSON.parse(fixture('v3-workspace')) as { workspace: Workspace3 };
    const choice = workspace.choices.find((c) => c.question.job === 'ascend')!;
    const two = { ...choice, gear: { ...choice.gear, ropeB: without5(club.thinRope) } };
    const file = { format: 'zevrin', version: 3, kind: 'choice', choice: two };
    const result = readDocument(JSON.stringify(file));
    const setup = result.ok && result.value.kind === 'setup' ? result.value.setup : null;
    expect(setup?.note).toContain(`Second rope: ${club.thinRope.name}`);
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
      /newer Zevrin \(version 99\).*up to version 13/,
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
