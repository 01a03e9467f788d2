import { ADDED, withLimbs, withTree } from './added.ts';
import { everywhere, isObject, type Json } from './json.ts';
import { VERSION } from '../version.ts';
import { choicesAmongSetups, setup4 } from './rig-from-lists.ts';

/*
 * How a file, or an entry of a database, of an older version becomes one of the next. Plain JSON in and out; nothing of
 * today's model is used, and a step stays as it is once it was shipped. What has not the shape of its version is left
 * alone: the newest schema judges what comes out.
 */
interface Step {
  /** The version that comes out. */
  readonly to: number;
  /** One entry, without what the version only added (`ADDED`). */
  readonly entry?: (entry: Json, collection: string) => unknown;
  /** Which lists a workspace has. */
  readonly lists?: (lists: Json) => Json;
  /** What was a file of its own and is another one now. */
  readonly kind?: Readonly<Record<string, string>>;
}

export const STEPS: readonly Step[] = [
  { to: 2, lists: (lists) => ({ choices: [], wayTests: [], ...lists }) },
  { to: 3, lists: (lists) => ({ sequences: [], ...lists }) },
  {
    to: 4,
    kind: { choice: 'setup' },
    lists: choicesAmongSetups,
    entry: (entry, collection) =>
      collection === 'setups'
        ? setup4(entry)
        : collection === 'checks' && isObject(entry.setup)
          ? { ...entry, setup: setup4(entry.setup) }
          : entry,
  },
  { to: 7, lists: (lists) => ({ trainings: [], ...lists }) },
  { to: 11, entry: (entry) => everywhere(entry, withTree) },
  { to: 12, entry: (entry) => everywhere(entry, withLimbs) },
];

const versionsAfter = (version: number) => Array.from({ length: VERSION - version }, (_, i) => version + 1 + i);
const stepTo = (version: number) => STEPS.find(({ to }) => to === version);

function entryTo(version: number, entry: unknown, collection: string): unknown {
  const added = ADDED.filter(({ since }) => since === version);
  const stepped = isObject(entry) ? (stepTo(version)?.entry?.(entry, collection) ?? entry) : entry;
  return added.length === 0
    ? stepped
    : everywhere(stepped, (value) =>
        added.reduce((thing, { to, unsaid }) => (to(thing) ? { ...structuredClone(unsaid), ...thing } : thing), value),
      );
}

/** One entry of a collection of version `from`, as the present version has it. */
export const entryBroughtUp = (entry: unknown, collection: string, from: number): unknown =>
  versionsAfter(from).reduce<unknown>((now, version) => entryTo(version, now, collection), entry);

/** The lists of a workspace of version `from`, as the present version has them; their entries are left as they are. */
export const listsBroughtUp = (lists: Json, from: number): Json =>
  versionsAfter(from).reduce((now, version) => stepTo(version)?.lists?.(now) ?? now, lists);

/** A whole file of version `from`, as the present version has it. */
export function documentBroughtUp(document: Json, from: number): Json {
  const { kind, ...rest } = document;
  if (kind === 'workspace' && isObject(document.workspace)) {
    const lists = Object.entries(listsBroughtUp(document.workspace, from)).map(([collection, list]) => [
      collection,
      Array.isArray(list) ? list.map((entry) => entryBroughtUp(entry, collection, from)) : list,
    ]);
    return { ...document, version: VERSION, workspace: Object.fromEntries(lists) as Json };
  }
  if (typeof kind !== 'string' || !(kind in rest)) return { ...document, version: VERSION };
  const now = versionsAfter(from).reduce((was, to) => stepTo(to)?.kind?.[was] ?? was, kind);
  const { [kind]: entry, ...others } = rest;
  return { ...others, kind: now, version: VERSION, [now]: entryBroughtUp(entry, `${now}s`, from) };
}
