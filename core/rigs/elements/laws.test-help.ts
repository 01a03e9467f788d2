import { beforeAll, describe, expect, it } from 'vitest';
import type { Finding, ElementId } from '../../foundations/finding/index.ts';
import { fieldsOf, removablesOf, setupSchema, withField, without, SITE_REFS, type Setup } from '../rig/index.ts';
import { SETUPS, variedSetups } from '../../samples/index.ts';
import { contextOf, type Context, type Judge } from './index.ts';

interface Change {
  readonly what: string;
  readonly from: Setup;
  readonly setup: Setup;
  /** The piece of gear whose field was changed; null where it was something else. */
  readonly owner: ElementId | null;
  /** Does the schema take it? */
  readonly allowed: () => boolean;
  readonly ids: () => ReadonlySet<ElementId>;
}

const isGear = (path: string): boolean => path.includes('/item/') && !path.startsWith('persons');

/** Both ends of a range and what lies in the middle of it; of a choice everything. */
function someOf(values: readonly unknown[]): readonly unknown[] {
  return values.every((v) => typeof v === 'number')
    ? [...new Set([values[0], values[values.length >> 1], values.at(-1)])]
    : values;
}

interface Step {
  readonly what: string;
  readonly make: (setup: Setup) => Setup;
  readonly owner: ElementId | null;
  /** The field that is changed; null where something is taken away. */
  readonly path: string | null;
}

/** Everything that can be changed in a set-up, taken away from it, or not be chosen yet. */
function stepsOf(setup: Setup): Step[] {
  const fields = fieldsOf(setup);
  const items = new Map(
    fields.flatMap(({ path, owner }) => (/^.*?\/item(?=\/)/.exec(path) ?? []).map((item) => [item, owner])),
  );
  return [
    ...fields.flatMap((f) =>
      [...someOf(f.others), ...(f.open === undefined ? [] : [f.open])]
        .filter((value) => value !== f.now)
        .map((value) => ({
          what: `${f.owner}, ${f.kind}: ${String(value)}`,
          make: (s: Setup) => withField(s, f.path, value),
          owner: isGear(f.path) ? f.owner : null,
          path: f.path,
        })),
    ),
    ...removablesOf(setup).map(({ id }) => ({
      what: `without ${id}`,
      make: (s: Setup) => without(s, id),
      owner: null,
      path: null,
    })),
    ...[...items].map(([path, owner]) => ({
      what: `${owner} not chosen`,
      make: (s: Setup) => withField(s, path, null),
      owner: null,
      path: null,
    })),
    {
      what: 'nothing chosen',
      make: (s) => [...items.keys()].reduce((x, path) => withField(x, path, null), s),
      owner: null,
      path: null,
    },
  ];
}

/** Of a row of steps one that is far from the i-th: a prime apart, so that in the end each has met many others. */
const farFrom = (steps: readonly Step[], i: number): Step => steps[(i * 7919 + 13) % steps.length]!;

/** Worked out when it is asked for, once. */
function once<T>(make: () => T): () => T {
  let made: { readonly value: T } | null = null;
  return () => (made ??= { value: make() }).value;
}

/**
 * Most of what is changed is allowed, and nobody asks before something is found in it: the schema takes longer than all
 * judges together.
 */
const change = (what: string, from: Setup, setup: Setup, owner: ElementId | null): Change => ({
  what,
  from,
  setup,
  owner,
  allowed: once(() => setupSchema.safeParse(setup).success),
  ids: once(() => idsIn(setup)),
});

/**
 * Every sample and every variation of one, as it is, with one thing changed, and here and there with a second one; of a
 * variation only what no other has.
 */
function changes(): Change[] {
  const tried = new Set<string>();
  return variedSetups().flatMap(({ name, setup: from }) => {
    const steps = stepsOf(from);
    const here = name in SETUPS ? steps : steps.filter(({ what }) => !tried.has(what));
    here.forEach(({ what }) => tried.add(what));
    const changed = here.flatMap((step, i) => {
      const setup = step.make(from);
      const second = farFrom(steps, i);
      // What is changed after something was taken away may have gone with it.
      const alone = i % 3 > 0 || step.path === null || second.path === null;
      return [
        change(`${name}; ${step.what}`, from, setup, step.owner),
        ...(alone ? [] : [change(`${name}; ${step.what}; ${second.what}`, setup, second.make(setup), second.owner)]),
      ];
    });
    return [change(name, from, from, null), ...changed];
  });
}

/** Every id that stands anywhere in a set-up. */
function idsIn(value: unknown, found = new Set<ElementId>([...SITE_REFS, 'site', 'job'])): ReadonlySet<ElementId> {
  if (value === null || typeof value !== 'object') return found;
  for (const [key, inner] of Object.entries(value)) {
    if (/^id$|Id$/.test(key) && typeof inner === 'string') found.add(inner);
    idsIn(inner, found);
  }
  return found;
}

const kindOf = ({ severity }: Finding): string => (severity === 'clear' ? 'clear' : 'not clear');

const rawOf = ({ code, severity, says, because, remedy }: Finding): string =>
  `${code} ${severity}: ${says} | ${because} | ${remedy}`;

const nameless = (text: string): string => text.replace(/\u2068[^\u2069]*\u2069/g, '…');

/** A finding as it is told, whoever and whatever it is about. */
const wordsOf = (f: Finding): string => nameless(rawOf(f)).replace(/ \| $/, '');

/** What comes of it; null where it throws over what the schema would not take. */
function tried<T>({ what, allowed }: Change, make: () => T): T | null {
  try {
    return make();
  } catch (cause) {
    if (allowed()) throw new Error(what, { cause });
    return null;
  }
}

interface Heard {
  readonly subject: ElementId;
  readonly reads: readonly ElementId[];
  /** What it finds wrong, as one text. */
  readonly wrong: string;
}

/** All that a judge says of a set-up, and every element that it names. */
function heard(judge: Judge, ctx: Context) {
  const subjects = judge.subjects(ctx);
  const findings = subjects.flatMap((subject) => judge.judge(subject, ctx));
  const claims = subjects.flatMap((subject) => judge.claims(subject, ctx));
  const claimed = claims.flatMap((claim) => claim.slice(0, claim.lastIndexOf(':')).split('+'));
  const reads = subjects.flatMap((subject) => judge.reads(subject, ctx));
  return { named: [...subjects, ...claimed, ...reads, ...findings.flatMap((f) => f.subject)], claims, findings };
}

/**
 * What is true of every judge of a room, over every sample and each change of it: nothing throws, it speaks of what is
 * there, what is wrong can be mended, what is fine is not told in the words of what is wrong (but for the codes named,
 * which state a fact), and what it finds wrong depends on no gear but what it says it reads. What it answers and all
 * that it can say is kept as a list, to be read when it changes: each sentence with the severity that it comes with.
 */
export function judgeLaws(room: object, sameWords: readonly string[]): void {
  const judges = Object.values(room).filter(
    (x): x is Judge => typeof x === 'object' && x !== null && 'judge' in x && 'subjects' in x,
  );
  let all: Change[] = [];
  beforeAll(() => {
    all = changes();
  });
  const same = new Set<string>();

  // What is broken is gathered and expected to be nothing once: there are thousands of changes.
  describe.each(judges.map((judge) => [judge.id, judge] as const))('%s', (_, judge) => {
    it('speaks of what is there, and tells wrong from fine', () => {
      const broken: string[] = [];
      const seen = new Set<string>();
      const told = new Map<string, Finding>();
      const answers = new Set<string>();
      for (const one of all) {
        const { what, setup, allowed, ids } = one;
        const said = tried(one, () => heard(judge, contextOf(setup)));
        if (!said) continue;
        const { named, claims, findings } = said;
        if (setup === one.from) for (const claim of claims) answers.add(`answers ${claim}`);
        const wrong = [
          ...named.filter((ref) => !ids().has(ref)).map((ref) => `${ref} is not there`),
          ...findings.filter((f) => f.severity !== 'clear' && f.remedy === '').map((f) => `${f.code} without a remedy`),
        ];
        const fresh = findings.filter((f) => !seen.has(rawOf(f)));
        if ((wrong.length > 0 || fresh.length > 0) && allowed()) {
          broken.push(...wrong.map((w) => `${what}: ${w}`));
          fresh.forEach((f) => {
            seen.add(rawOf(f));
            told.set(wordsOf(f), f);
          });
        }
      }
      expect(broken).toEqual([]);
      expect([...[...answers].sort(), ...[...told.keys()].sort()].join('\n')).toMatchSnapshot();
      const kinds = new Map<string, string>();
      for (const f of told.values()) {
        const words = nameless(`${f.code}: ${f.says}`);
        if ((kinds.get(words) ?? kindOf(f)) !== kindOf(f)) same.add(f.code);
        kinds.set(words, kindOf(f));
      }
    });

    it('finds nothing wrong by gear that it does not say it reads', () => {
      const broken: string[] = [];
      const before = new Map<Setup, readonly Heard[]>();
      const heardIn = (ctx: Context): Heard[] =>
        judge.subjects(ctx).map((subject) => ({
          subject,
          reads: judge.reads(subject, ctx),
          wrong: JSON.stringify(judge.judge(subject, ctx).filter((f) => f.severity !== 'clear')),
        }));
      for (const one of all) {
        const { what, from, setup, owner, allowed } = one;
        if (owner === null) continue;
        if (!before.has(from)) before.set(from, tried(one, () => heardIn(contextOf(from))) ?? []);
        const elsewhere = before.get(from)!.filter(({ reads }) => !reads.includes(owner));
        if (elsewhere.length === 0) continue;
        const after = new Map((tried(one, () => heardIn(contextOf(setup))) ?? []).map((h) => [h.subject, h.wrong]));
        for (const { subject, wrong } of elsewhere)
          if ((after.get(subject) ?? wrong) !== wrong && allowed()) broken.push(`${subject} reads ${owner}: ${what}`);
      }
      expect(broken).toEqual([]);
    });
  });

  it('states a fact in the same words under no code but those', () => {
    expect([...same].filter((code) => !sameWords.includes(code))).toEqual([]);
  });
}
