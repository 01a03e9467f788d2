import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { assess } from '../../../answers/assess/index.ts';
import { variedSetups } from '../../../samples/index.ts';
import { readDocument, VERSION, writeSetup, type Document } from '../index.ts';
import { ADDED } from './added.ts';
import { everywhere, isObject, type Json } from './json.ts';
import { documentBroughtUp, entryBroughtUp, STEPS } from './steps.ts';

const text = (name: string) => readFileSync(new URL(`../fixtures/${name}.json`, import.meta.url), 'utf8');
const fixture = (name: string) => JSON.parse(text(name)) as Json & { version: number };
const VERSIONS = Array.from({ length: VERSION }, (_, i) => i + 1);
const read = (document: unknown): Document => {
  const result = readDocument(JSON.stringify(document));
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
  return result.value;
};
const setupOf = (document: unknown) => {
  const { kind, ...rest } = read(document);
  if (kind !== 'setup' || !('setup' in rest)) throw new Error('no set-up');
  return rest.setup;
};
const workspaceOf = (document: unknown) => {
  const found = read(document);
  if (found.kind !== 'workspace') throw new Error('no workspace');
  return found.workspace;
};

/** Every place with something in it that is no object or list, and what stands there. */
function leavesOf(value: unknown, path = ''): [path: string, value: unknown][] {
  if (value === null || typeof value !== 'object') return [[path, value]];
  const entries = Object.entries(value);
  if (entries.length === 0) return [[path, value]];
  return entries.flatMap(([key, x]) => leavesOf(x, path === '' ? key : `${path}.${key}`));
}
/** Every leaf becomes a word of its own, but for those by which a step tells what a thing is. */
function worded(value: unknown, told: ReadonlySet<string>, words: string[], key = ''): unknown {
  if (Array.isArray(value)) return value.map((x) => worded(x, told, words, key));
  if (isObject(value)) return Object.fromEntries(Object.entries(value).map(([k, x]) => [k, worded(x, told, words, k)]));
  if (told.has(key) || value === null) return value;
  words.push(`word-${words.length}.`);
  return words.at(-1);
}

describe('files of older versions', () => {
  it('there is a fixture of each version, and the last step leads to the present one', () => {
    for (const version of VERSIONS) expect(fixture(`v${version}`).version).toBe(version);
    expect(Math.max(...STEPS.map(({ to }) => to), ...ADDED.map(({ since }) => since))).toBe(VERSION);
  });

  it('each fixture is read whole: it leaves unsaid what the next version asked first, and all else is as in that', async () => {
    const leaves = new Map(VERSIONS.map((version) => [version, leavesOf(setupOf(fixture(`v${version}`)))]));
    const lines = VERSIONS.slice(0, -1).flatMap((version) => {
      const [then, next] = [version, version + 1].map(
        (v) => new Map(leaves.get(v)!.map(([at, value]) => [at, JSON.stringify(value)])),
      );
      const places = new Set([...next!.keys(), ...then!.keys()]);
      const other = [...places].filter((at) => next!.get(at) !== then!.get(at));
      return [`version ${version}`, ...other.map((at) => `  ${at}: ${then!.get(at)} for ${next!.get(at)}`)];
    });
    await expect(`${lines.join('\n')}\n`).toMatchFileSnapshot('../fixtures/unsaid-in-older-files.txt');
    expect(writeSetup(setupOf(fixture(`v${VERSION}`)))).toBe(text(`v${VERSION}`));
  });

  it('a workspace of version 3 becomes what it became when version 4 was new, to the letter', () => {
    const { workspace } = fixture('v3-workspace') as unknown as { workspace: Json };
    const lists = Object.entries(STEPS.find(({ to }) => to === 4)!.lists!(workspace)).map(([collection, list]) => [
      collection,
      (list as unknown[]).map((entry) => STEPS.find(({ to }) => to === 4)!.entry!(entry as Json, collection)),
    ]);
    expect(Object.fromEntries(lists)).toEqual(
      (fixture('v3-workspace-as-v4') as unknown as { workspace: Json }).workspace,
    );
  });

  it('and is read whole: a choice of each job is a set-up now, and nothing turns into a pass', () => {
    const { workspace: old } = fixture('v3-workspace') as unknown as { workspace: Record<string, Json[]> };
    const now = workspaceOf(fixture('v3-workspace'));
    for (const list of ['items', 'people', 'uses', 'checks', 'wayTests', 'sequences'] as const)
      expect(now[list].map(({ id }) => id)).toEqual(old[list]!.map(({ id }) => id));
    expect(now.setups.map(({ id }) => id)).toEqual([...old.setups!, ...old.choices!].map(({ id }) => id));
    for (const { question, id } of old.choices! as { question: Json; id: string }[])
      expect(now.setups.find((s) => s.id === id)).toMatchObject({ job: question.job, template: question.job });
    // All that version 3 knew.
    expect(new Set(old.choices!.map(({ question }) => (question as Json).job)).size).toBe(12);
    for (const setup of now.setups) expect(assess(setup).verdict, setup.id).not.toBe('clear');
  });

  it.each(['v1', 'v2', 'v3', 'v3-workspace', 'v4', 'v11', 'v12'])('nothing that %s says is lost on the way', (name) => {
    const { version, ...old } = fixture(name);
    const words: string[] = [];
    // A hitch that a choice only would have, and the second rope that its rig has no place for, are not taken along.
    const told = new Set(['format', 'kind', 'template', 'job', 'family', 'hitchKind', 'hitchWraps', 'ropeB']);
    const up = JSON.stringify(documentBroughtUp(worded(old, told, words) as Json, version));
    expect(words.length).toBeGreaterThan(100);
    expect(words.filter((word) => !up.includes(word))).toEqual([]);
  });

  it('a key that an old version did not know is refused, wherever it stands', () => {
    const { version, setup } = fixture('v3') as unknown as { version: number; setup: Json };
    for (const part of ['situation', 'people', 'gear', 'rig']) {
      const odd = { ...setup, [part]: { ...(setup[part] as Json), wings: 2 } };
      const result = readDocument(JSON.stringify({ format: 'zevrin', version, kind: 'setup', setup: odd }));
      expect(result.ok ? null : JSON.stringify(result.issues), part).toMatch(
        new RegExp(`wings|Not known here: .{1,9}${part}`),
      );
    }
    for (const part of ['question', 'gear']) {
      const { workspace } = fixture('v3-workspace') as unknown as { workspace: { choices: Json[] } };
      const choice = workspace.choices[0]!;
      const odd = { ...choice, [part]: { ...(choice[part] as Json), wings: 2 } };
      expect(readDocument(JSON.stringify({ format: 'zevrin', version, kind: 'choice', choice: odd })).ok, part).toBe(
        false,
      );
    }
  });

  it('a set-up of today that is brought up from version 4 on stays as it is', () => {
    for (const { name, setup } of variedSetups()) expect(entryBroughtUp(setup, 'setups', 4), name).toEqual(setup);
  });

  it('what versions 5 and later added is unknown where it is missing, and nothing turns into a pass', () => {
    const added = ADDED.filter(({ since }) => since > 4).flatMap(({ unsaid }) => Object.keys(unsaid));
    const keys = new Set([...added, 'tree']);
    for (const { name, setup } of variedSetups().filter(({ setup }) => setup.template !== 'tree-rappel')) {
      const then = everywhere(setup, (value) =>
        Object.fromEntries(Object.entries(value).filter(([key]) => !keys.has(key))),
      );
      expect(JSON.stringify(then)).not.toContain('"helmet"');
      const now = setupOf({ format: 'zevrin', version: 4, kind: 'setup', setup: then });
      expect(
        now.persons.map(({ helmet, atEdge }) => [helmet, atEdge]),
        name,
      ).toEqual(setup.persons.map(() => ['unknown', 'unknown']));
      expect(assess(now).verdict, name).not.toBe('clear');
    }
  });

  it('the limb that version 11 knew is the first of several', () => {
    const old = { site: { tree: { tried: 'two', limbOutM: 4, limbBelowM: 6, comingBack: 'taken' } }, template: 'x' };
    const now = entryBroughtUp(old, 'setups', 11) as { site: { tree: Json } };
    expect(now.site.tree).toMatchObject({ tried: 'two', limbs: [{ id: 'limb', outM: 4, belowM: 6, riseDeg: 0 }] });
    expect(now.site.tree).not.toHaveProperty('limbOutM');
    expect(entryBroughtUp(now, 'setups', 11)).toEqual(now);
  });

  it('a second rope that the rig of a job has no place for is kept in the note', () => {
    const { workspace } = fixture('v3-workspace') as unknown as { workspace: { choices: Json[]; items: Json[] } };
    const choice = workspace.choices.find(({ question }) => (question as Json).job === 'ascend')!;
    const thin = workspace.items.find(
      ({ kind, id }) => kind === 'rope' && id !== (choice.gear as { ropeA: Json }).ropeA.id,
    )!;
    const two = { ...choice, gear: { ...(choice.gear as Json), ropeB: thin } };
    expect(setupOf({ format: 'zevrin', version: 3, kind: 'choice', choice: two }).note).toContain(
      `Second rope: ${String(thin.name)}`,
    );
  });

  it('what is no object is left alone', () => {
    for (const odd of [null, 7, 'text', [], [1]])
      for (const list of ['items', 'setups', 'checks']) expect(entryBroughtUp(odd, list, 1)).toEqual(odd);
  });
});
