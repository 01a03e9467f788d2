import { JUDGES } from '../assess/index.ts';
import type { Finding, ElementId } from '../../foundations/finding/index.ts';
import type { Item } from '../../things/gear/index.ts';
import { contextOf, type Context, type Judge } from '../../rigs/elements/index.ts';
import { editorOf, withFields, type RigEdit, type Setup } from '../../rigs/rig/index.ts';
import { changesFor, type OpenPlace } from './picks.ts';

/** How bad a set-up is: numbers of findings, worst kind first. Compared in this order. */
export type Cost = readonly [stops: number, minds: number, untested: number];

/** A cost as one number that adds and compares: no set-up has a thousand findings of a kind. */
export const STOP = 1e9;
const MIND = 1e6;
const UNTESTED = 1e3;
export const countOf = (findings: readonly Finding[]): number => {
  let sum = 0;
  for (const { severity } of findings)
    sum += severity === 'stop' ? STOP : severity === 'mind' ? MIND : severity === 'untested' ? UNTESTED : 0;
  return sum;
};
export const costFrom = (sum: number): Cost => [
  Math.floor(sum / STOP),
  Math.floor((sum % STOP) / MIND),
  Math.floor((sum % MIND) / UNTESTED),
];

/**
 * One judge about one element: what it finds depends on the variables of its scope and on nothing else that is open.
 */
export interface Factor {
  readonly scope: readonly number[];
  /** Cost for the values of its scope; `chosen` begins with them and may go on. */
  readonly cost: (chosen: readonly number[]) => number;
}

/**
 * Judges whose findings follow from a choice of parts; who is missing, and what holds in the end, is said of the whole.
 */
const COUNTED = JUDGES.filter((j) => j.id !== 'chosen');

/**
 * The judges of a set-up as functions of its open places. A factor remembers what it has computed, so that a rope meets
 * a device once, whatever else is chosen. Judges declare what they read; a test holds the sum of all factors against
 * the assessment of the whole.
 */
export function factorsOf(base: Setup, variables: readonly OpenPlace[], items: readonly Item[]): Factor[] {
  const variableOf = new Map<ElementId, number>();
  variables.forEach((v, i) => v.refs.forEach((ref) => variableOf.set(ref, i)));
  // Two ropes can be joined although the set-up begins with one folded: judges of the joint are asked as well.
  const doubled = base.lines.find((l) => l.kind === 'doubled');
  const ropes = variables.findIndex((v) => v.kind === 'rope');
  if (doubled && ropes >= 0) variableOf.set(doubled.ropeB.id, ropes);
  const contextAt = sharedContext(base, variables, items);
  const bases = doubled ? [base, withFields(base, doubled.id, { use: 'joined' })] : [base];
  const seen = new Set<string>();
  return bases.flatMap((setup) => {
    const ctx = contextOf(setup);
    return COUNTED.flatMap((judge) =>
      judge.subjects(ctx).flatMap((subject) => {
        const key = `${judge.id}/${subject}`;
        if (seen.has(key)) return [];
        seen.add(key);
        const reads = judge.reads(subject, ctx).flatMap((ref) => variableOf.get(ref) ?? []);
        // How the rope runs decides whether a judge is asked at all.
        const scope = [
          ...new Set(doubled && ropes >= 0 && reads.length > 0 ? [...reads, ...dependsOnUse(judge, ropes)] : reads),
        ].sort((a, b) => a - b);
        return [{ scope, cost: remembered(variables, scope, judge, subject, contextAt) }];
      }),
    );
  });
}

const dependsOnUse = (judge: Judge, ropes: number): number[] => (judge.id === 'strands-alike' ? [ropes] : []);

type ContextAt = (chosen: readonly number[]) => Context;

/**
 * The context of everything that is chosen by then. A search goes down one place after the other and comes back: the
 * set-ups on the way down are kept, so that a choice is one change of the one above it, and the judges of a place share
 * its context.
 */
function sharedContext(base: Setup, variables: readonly OpenPlace[], items: readonly Item[]): ContextAt {
  const edit = editorOf(base);
  const changes = variables.map(({ values }) => values.map((): RigEdit[] | null => null));
  const down: { readonly value: number; readonly setup: Setup }[] = [];
  let last = contextOf(base);
  return (chosen) => {
    let same = 0;
    while (same < chosen.length && down[same]?.value === chosen[same]) same += 1;
    if (same < chosen.length) down.length = same;
    for (let v = same; v < chosen.length; v += 1) {
      const value = chosen[v]!;
      const put = (changes[v]![value] ??= changesFor(base, variables[v]!.values[value]!, items));
      down.push({ value, setup: edit(down[v - 1]?.setup ?? base, put) });
    }
    const setup = down[chosen.length - 1]?.setup ?? base;
    if (last.setup !== setup) last = contextOf(setup);
    return last;
  };
}

function remembered(
  variables: readonly OpenPlace[],
  scope: readonly number[],
  judge: Judge,
  subject: ElementId,
  contextAt: ContextAt,
): Factor['cost'] {
  const known = new Map<number, number>();
  return (chosen) => {
    let key = 0;
    for (const v of scope) key = key * variables[v]!.values.length + chosen[v]!;
    const there = known.get(key);
    if (there !== undefined) return there;
    const ctx = contextAt(chosen);
    const cost = judge.subjects(ctx).includes(subject) ? countOf(judge.judge(subject, ctx)) : 0;
    known.set(key, cost);
    return cost;
  };
}
