import { describe, expect, it } from 'vitest';
import { buildCheck, sequenceOf } from '../check/index.ts';
import { judgeWays, type WayInput } from '../../things/connector/index.ts';
import { METRIC, fillTemplate, renderFinding, renderSentence, type Finding } from '../../foundations/finding/index.ts';
import { JOBS, usualLoad, type Job } from '../../things/gear/index.ts';
import { hanging, holdsFromRig } from '../redundancy/index.ts';
import { contextOf } from '../../rigs/elements/index.ts';
import { setupSchema, type Setup } from '../../rigs/rig/index.ts';
import { club, variedSetups } from '../../samples/index.ts';
import { assess } from './index.ts';

/** A name as somebody may type it: a key, a doubled brace, a key that findings do have, a lone brace. */
const HOSTILE = 'usnea {old} {{x}} {margin~} {';

/** Keys of texts that a person types, found by what the schema takes in their place; ids and times are not typed. */
function freeText(setup: Setup): Set<string> {
  const found = new Set<string>();
  const walk = (value: unknown, key: string, put: (to: unknown) => Setup) => {
    if (typeof value === 'string') {
      const typed = !['id', 'createdAt', 'updatedAt', 'version'].includes(key) && !found.has(key);
      if (typed && setupSchema.safeParse(put(HOSTILE)).success) found.add(key);
    } else if (Array.isArray(value)) {
      value.forEach((v, i) => walk(v, key, (to) => put(value.map((x, j) => (j === i ? to : (x as unknown))))));
    } else if (value !== null && typeof value === 'object') {
      Object.entries(value).forEach(([k, v]) => walk(v, k, (to) => put({ ...value, [k]: to })));
    }
  };
  walk(setup, '', (to) => to as Setup);
  return found;
}

const renamed = (value: unknown, keys: ReadonlySet<string>, key = ''): unknown =>
  typeof value === 'string'
    ? keys.has(key)
      ? HOSTILE
      : value
    : Array.isArray(value)
      ? value.map((v) => renamed(v, keys, key))
      : value !== null && typeof value === 'object'
        ? Object.fromEntries(Object.entries(value).map(([k, v]) => [k, renamed(v, keys, k)]))
        : value;

const said = (findings: readonly Finding[]): string[] =>
  findings.flatMap((f) => {
    const { says, because, remedy, numbers } = renderFinding(f, METRIC);
    return [says, because, remedy, ...numbers.map((n) => n.label)];
  });

/** Everything that a person reads about a set-up. */
function textsOf(setup: Setup): string[] {
  const { findings } = assess(setup);
  const ctx = contextOf(setup);
  const items = buildCheck(setup, findings);
  return [
    ...said(findings),
    ...items.flatMap((i) => [
      i.title,
      ...[i.look, i.touch, i.question, i.expected, ...i.others, i.why].map((text) =>
        fillTemplate(text, i.numbers, METRIC),
      ),
    ]),
    ...hanging(ctx).flatMap((person) => {
      const model = holdsFromRig(ctx, person, findings);
      return [
        ...model.faults.map((f) => f.says),
        ...model.causes.map((c) => c.says),
        ...model.holds.map((h) => h.label),
        ...[...model.noHolds, ...model.consequences].map((x) => renderSentence(x.because, METRIC)),
      ];
    }),
  ];
}

/**
 * What is left of a text without the hostile name: braces there come from a template that was not filled, or from a
 * name that was.
 */
const rest = (text: string) => text.replace(new RegExp(HOSTILE.replace(/[{}]/g, '\\$&'), 'gi'), '');

describe('a name that looks like a template', () => {
  const setups = variedSetups();
  const keys = new Set(setups.flatMap(({ setup }) => [...freeText(setup)]));

  it('can stand in names, labels and notes: the machine finds them', () => {
    expect([...keys]).toEqual(expect.arrayContaining(['name', 'label', 'maker', 'note']));
  });

  it.each(setups)('is shown as it was typed, and takes no number: $name', ({ setup }) => {
    const hostile = setupSchema.parse(renamed(setup, keys));
    const texts = textsOf(hostile);
    expect(texts.filter((text) => /[{}]/.test(rest(text)))).toEqual([]);
    expect(texts.some((text) => text.toLowerCase().includes(HOSTILE))).toBe(true);
  });

  it.each(setups)('changes nothing in what is found: $name', ({ setup }) => {
    const of = (s: Setup) => assess(s).findings.map((f) => `${f.code} ${f.severity} ${f.subject.join('+')}`);
    expect(of(setupSchema.parse(renamed(setup, keys)))).toEqual(of(setup));
  });

  it('can be the name of a procedure made from a set-up', () => {
    const { setup } = setups[0]!;
    const sequence = sequenceOf(setupSchema.parse(renamed(setup, keys)));
    const plain = sequenceOf(setup)!;
    expect(sequence).not.toBeNull();
    // The order of steps is that of the rig, whatever it is called.
    expect({ ...sequence, name: '' }).toEqual({ ...plain, name: '' });
  });

  it('can be the name of a connector and of a device in the ways to clip', () => {
    const texts = (Object.keys(JOBS) as Job[]).flatMap((job) => {
      const input: WayInput = {
        load: usualLoad(job, 80),
        connector: { ...club.keptPear, name: HOSTILE },
        device: { ...club.groovedTube, name: HOSTILE },
      };
      return judgeWays(input).flatMap(({ findings }) => said(findings));
    });
    expect(texts.filter((text) => /[{}]/.test(rest(text)))).toEqual([]);
    expect(texts.some((text) => text.includes(HOSTILE))).toBe(true);
  });
});
