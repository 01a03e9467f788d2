import { JOB_FACTS } from '../../things/gear/index.ts';
import { z } from 'zod';
import type { ElementId } from '../../foundations/finding/index.ts';
import type { Item, Person } from '../../things/gear/index.ts';
import { setupSchema, type Setup } from './model.ts';
import { goodOf } from './observed.ts';

type Json = Record<string, unknown>;
const isObject = (value: unknown): value is Json =>
  value !== null && typeof value === 'object' && !Array.isArray(value);

type Path = readonly (string | number)[];
const pathsKnown = new WeakMap<Setup, ReadonlyMap<ElementId, Path>>();

/** Where every element of a set-up stands in it. Looks into no item. Worked out once for each set-up. */
function pathsOf(setup: Setup): ReadonlyMap<ElementId, Path> {
  const there = pathsKnown.get(setup);
  if (there) return there;
  const found = new Map<ElementId, Path>([
    ['site', ['site']],
    ...(setup.site.tree ? ([['tree', ['site', 'tree']]] as const) : []),
    ...(setup.site.tree?.limbs ?? []).map(({ id }, i) => [id, ['site', 'tree', 'limbs', i]] as const),
    ['calls', ['calls']],
    ['calls-words', ['calls', 'words']],
  ]);
  const walk = (value: unknown, path: Path) => {
    if (Array.isArray(value)) value.forEach((entry, i) => walk(entry, [...path, i]));
    else if (isObject(value)) {
      if (typeof value.id === 'string') found.set(value.id, path);
      for (const [key, entry] of Object.entries(value))
        if (key !== 'item' && key !== 'harness') walk(entry, [...path, key]);
    }
  };
  for (const key of ['persons', 'anchors', 'lines', 'attachments'] as const) walk(setup[key], [key]);
  pathsKnown.set(setup, found);
  return found;
}

/** Fields of one element to be changed. */
export type RigEdit = readonly [ref: ElementId, fields: Readonly<Json>];

/**
 * Several elements changed at once, which costs little where a set-up is tried many times; an id that is not there
 * changes nothing.
 */
export const withAll = (setup: Setup, changes: readonly RigEdit[]): Setup => changed(setup, pathsOf(setup), changes);

/**
 * `withAll` for set-ups whose elements stand where those of `base` stand: changes of items and facts, one after the
 * other.
 */
export function editorOf(base: Setup): typeof withAll {
  const paths = pathsOf(base);
  return (setup, changes) => changed(setup, paths, changes);
}

function changed(setup: Setup, paths: ReadonlyMap<ElementId, Path>, changes: readonly RigEdit[]): Setup {
  // What was copied already is written to: every list and element on the way is copied once, however many changes pass
  // it.
  const copies = new Set<unknown>();
  const own = (value: unknown): Json => {
    if (copies.has(value)) return value as Json;
    const copy = Array.isArray(value) ? value.slice() : { ...(value as Json) };
    copies.add(copy);
    return copy as Json;
  };
  let next = setup;
  for (const [ref, fields] of changes) {
    const path = paths.get(ref);
    if (!path) continue;
    next = own(next) as unknown as Setup;
    let at = next as unknown as Json;
    for (const key of path) at = at[key] = own(at[key]);
    Object.assign(at, fields);
  }
  return next;
}

/** The set-up with these fields of one element changed; `site` is the place. */
export const withFields = (setup: Setup, ref: ElementId, fields: Readonly<Json>): Setup =>
  withAll(setup, [[ref, fields]]);

/** Where a piece of gear, or a person, stands: a harness belongs to its person. */
export function placeOf(setup: Setup, ref: ElementId): readonly [ref: ElementId, key: 'item' | 'harness'] {
  const worn = setup.persons.find((p) => p.harnessId === ref);
  return worn ? [worn.id, 'harness'] : [ref, 'item'];
}

/** The set-up with a piece of gear, or a person, at one place; null takes it away. */
export function withItem(setup: Setup, ref: ElementId, item: Item | Person | null): Setup {
  const [at, key] = placeOf(setup, ref);
  return withFields(setup, at, { [key]: item });
}

/**
 * The set-up with every snapshot of this item, or person, brought up to how it is now; the same set-up when it uses
 * none.
 */
export function withSnapshot(setup: Setup, item: Item | Person): Setup {
  const kind = 'kind' in item ? item.kind : undefined;
  const isIt = (x: unknown) => isObject(x) && x.id === item.id && x.kind === kind;
  const walk = <T>(value: T): T => {
    if (Array.isArray(value)) {
      const list = value.map((x: unknown) => walk(x));
      return (list.some((x, i) => x !== value[i]) ? list : value) as T;
    }
    if (!isObject(value)) return value;
    const entries = Object.entries(value).map(([key, x]) => [key, isIt(x) ? item : walk(x)] as const);
    return (entries.some(([key, x]) => x !== value[key]) ? Object.fromEntries(entries) : value) as T;
  };
  const [persons, lines, attachments] = [walk(setup.persons), walk(setup.lines), walk(setup.attachments)];
  const same = persons === setup.persons && lines === setup.lines && attachments === setup.attachments;
  return same ? setup : { ...setup, persons, lines, attachments };
}

/** An element as it stands, by its id; undefined when there is none. */
export function elementAt(setup: Setup, ref: ElementId): Readonly<Json> | undefined {
  const path = pathsOf(setup).get(ref);
  return path?.reduce<unknown>((at, key) => (at as Json)[key], setup) as Json | undefined;
}

/**
 * Every fact of the persons, their calls, the attachments and the rope ends that has to be said, set by `value`, which
 * gets how it is meant to be.
 */
function mapSaid(setup: Setup, value: (good: string, now: string) => string): Setup {
  const walk = (schema: z.ZodType, at: unknown): unknown => {
    const good = goodOf(schema);
    if (good !== undefined) return value(good, String(at));
    if (schema instanceof z.ZodArray && Array.isArray(at)) return at.map((x) => walk(schema.element as z.ZodType, x));
    if (schema instanceof z.ZodDiscriminatedUnion && isObject(at)) {
      const option = (schema.options as z.ZodObject<Readonly<Record<string, z.ZodType>>>[]).find(
        (o) => o.shape.kind?.safeParse(at.kind).success,
      );
      return option ? walk(option, at) : at;
    }
    if (schema instanceof z.ZodObject && isObject(at)) {
      const shape = schema.shape as Readonly<Record<string, z.ZodType>>;
      return Object.fromEntries(
        Object.entries(at).map(([key, x]) => [
          key,
          key === 'item' || key === 'harness' || !shape[key] ? x : walk(shape[key], x),
        ]),
      );
    }
    return at;
  };
  const { attachments, calls, lines, persons, site } = setupSchema.shape;
  const walkedLines = walk(lines, setup.lines) as Setup['lines'];
  return {
    ...setup,
    // The place is what it is; what is done and tried in a tree is rigging.
    site: setup.site.tree
      ? { ...setup.site, tree: walk(site.shape.tree.unwrap(), setup.site.tree) as Setup['site']['tree'] }
      : setup.site,
    calls: walk(calls, setup.calls) as Setup['calls'],
    persons: walk(persons, setup.persons) as Setup['persons'],
    attachments: walk(attachments, setup.attachments) as Setup['attachments'],
    // How a rope is tied at the anchor is a choice that a plan keeps; what closes its ends is rigging.
    lines: setup.lines.map((line, i) => {
      const walked = walkedLines[i]!;
      if (line.kind === 'doubled' && walked.kind === 'doubled') return { ...line, ends: walked.ends };
      return line.kind === 'doubled' || walked.kind === 'doubled' ? line : { ...line, end: walked.end };
    }),
  };
}

/** Slack above the second, or who climbs alone, as it is meant to be. */
const LITTLE_SLACK_M = 0.2;
const withSlack = (setup: Setup, slackM: number | null): Setup => ({
  ...setup,
  attachments: setup.attachments.map((a) =>
    a.end.kind === 'device' && (a.root.kind === 'anchor' || JOB_FACTS[setup.job].up === 'self-belays')
      ? { ...a, end: { ...a.end, slackM } }
      : a,
  ),
});

/** Where a belayer below is meant to stand: one step from the wall. */
const ONE_STEP_M = 1;
const withStance = (setup: Setup, fromWallM: number | null): Setup => ({
  ...setup,
  persons: setup.persons.map((p) => (p.role === 'belayer' ? { ...p, fromWallM } : p)),
});

/** As it is meant to be rigged: what a plan can be judged by before anybody has rigged it. */
export const wellRigged = (setup: Setup): Setup =>
  withStance(
    withSlack(
      mapSaid(setup, (good) => good),
      LITTLE_SLACK_M,
    ),
    ONE_STEP_M,
  );
/** What was not rigged yet is not known. */
export const notRigged = (setup: Setup): Setup =>
  withStance(
    withSlack(
      mapSaid(setup, () => 'unknown'),
      null,
    ),
    null,
  );

/**
 * The set-up with one attachment moved along its line, to this place from the anchor down; places that are not there
 * change nothing.
 */
export function withOrder(setup: Setup, line: ElementId, id: ElementId, to: number): Setup {
  const order = setup.along[line] ?? [];
  const from = order.indexOf(id);
  if (from < 0 || to < 0 || to >= order.length || from === to) return setup;
  const rest = order.filter((other) => other !== id);
  return { ...setup, along: { ...setup.along, [line]: [...rest.slice(0, to), id, ...rest.slice(to)] } };
}
