import { beforeAll, describe, expect, it } from 'vitest';
import type { Finding, Ref } from '../finding/index.ts';
import { fieldsOf, removablesOf, setupSchema, withField, without, SITE_REFS, type Setup } from '../rig/index.ts';
import { SETUPS, variedSetups } from '../samples/index.ts';
import { contextOf, type Context, type Judge } from './index.ts';

interface Change {
  readonly what: string;
  readonly from: Setup;
  readonly setup: Setup;
  /** The piece of gear whose field was changed; null where it was something else. */
  readonly owner: Ref | null;
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
  readonly owner: Ref | null;
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

const fits = (setup: Setup): boolean => setupSchema.safeParse(setup).success;

/** Every sample and every variation of one, as it is, with one thing changed, and here and there with a second one; of a variation only what no other has. */
function changes(): Change[] {
  const tried = new Set<string>();
  return variedSetups().flatMap(({ name, setup: from }) => {
    const steps = stepsOf(from);
    const here = name in SETUPS ? steps : steps.filter(({ what }) => !tried.has(what));
    here.forEach(({ what }) => tried.add(what));
    const ones = here
      .map((step) => ({ ...step, what: `${name}; ${step.what}`, from, setup: step.make(from) }))
      .filter(({ setup }) => fits(setup));
    const twos = ones.flatMap((one, i) => {
      const { make, what, owner, path } = farFrom(steps, i);
      // What is changed after something was taken away may have gone with it.
      if (i % 5 > 0 || one.path === null || path === null) return [];
      const setup = make(one.setup);
      return fits(setup) ? [{ what: `${one.what}; ${what}`, from: one.setup, setup, owner }] : [];
    });
    return [{ what: name, from, setup: from, owner: null }, ...ones, ...twos];
  });
}

/** Every id that stands anywhere in a set-up. */
function idsIn(value: unknown, found = new Set<Ref>([...SITE_REFS, 'site', 'job'])): ReadonlySet<Ref> {
  if (value === null || typeof value !== 'object') return found;
  for (const [key, inner] of Object.entries(value)) {
    if (/^id$|Id$/.test(key) && typeof inner === 'string') found.add(inner);
    idsIn(inner, found);
  }
  return found;
}

const kindOf = ({ severity }: Finding): string => (severity === 'clear' ? 'clear' : 'not clear');

/** A finding as it is told, whoever and whatever it is about. */
const wordsOf = ({ code, severity, says, because, remedy }: Finding): string =>
  `${code} ${severity}: ${[says, because, remedy].filter(Boolean).join(' | ')}`.replace(/\u2068[^\u2069]*\u2069/g, '…');

/**
 * What is true of every judge of a room, over every sample and each change of it: nothing throws, it speaks of what is there, what is wrong can be mended, what is
 * fine is not told in the words of what is wrong (but for the codes named, which state a fact), and what it finds wrong depends on no gear but what it says it reads.
 * All that it can say is kept as a list, to be read when it changes: each sentence with the severity that it comes with.
 */
export function judgeLaws(room: object, sameWords: readonly string[]): void {
  const judges = Object.values(room).filter(
    (x): x is Judge => typeof x === 'object' && x !== null && 'judge' in x && 'subjects' in x,
  );
  let all: Change[] = [];
  let ids: ReadonlySet<Ref>[] = [];
  beforeAll(() => {
    all = changes();
    ids = all.map(({ setup }) => idsIn(setup));
  }, 60_000);
  const same = new Set<string>();

  // What is broken is gathered and expected to be nothing once: there are thousands of changes.
  describe.each(judges.map((judge) => [judge.id, judge] as const))('%s', (_, judge) => {
    it('speaks of what is there, and tells wrong from fine', () => {
      const broken: string[] = [];
      const kinds = new Map<string, string>();
      const told = new Set<string>();
      all.forEach(({ what, setup }, i) => {
        const ctx = contextOf(setup);
        const there = (kind: string, refs: readonly Ref[]) =>
          broken.push(...refs.filter((ref) => !ids[i]!.has(ref)).map((ref) => `${what}: ${kind} ${ref}`));
        for (const subject of judge.subjects(ctx)) {
          there('subject', [subject]);
          there('reads', judge.reads(subject, ctx));
          there(
            'claims',
            judge.claims(subject, ctx).flatMap((claim) => claim.slice(0, claim.lastIndexOf(':')).split('+')),
          );
          for (const f of judge.judge(subject, ctx)) {
            there(f.code, f.subject);
            if (f.severity !== 'clear' && f.remedy === '') broken.push(`${what}: ${f.code} without a remedy`);
            const words = `${f.code}: ${f.says}`;
            if ((kinds.get(words) ?? kindOf(f)) !== kindOf(f)) same.add(f.code);
            kinds.set(words, kindOf(f));
            told.add(wordsOf(f));
          }
        }
      });
      expect(broken).toEqual([]);
      expect([...told].sort().join('\n')).toMatchSnapshot();
    });

    it('finds nothing wrong by gear that it does not say it reads', () => {
      const broken: string[] = [];
      const before = new Map<Setup, readonly { subject: Ref; reads: readonly Ref[]; says: string }[]>();
      const saysOf = (ctx: Context, subject: Ref) =>
        JSON.stringify(judge.judge(subject, ctx).filter((f) => f.severity !== 'clear'));
      for (const { what, from, setup, owner } of all) {
        if (owner === null) continue;
        if (!before.has(from)) {
          const ctx = contextOf(from);
          before.set(
            from,
            judge
              .subjects(ctx)
              .map((subject) => ({ subject, reads: judge.reads(subject, ctx), says: saysOf(ctx, subject) })),
          );
        }
        const elsewhere = before.get(from)!.filter(({ reads }) => !reads.includes(owner));
        if (elsewhere.length === 0) continue;
        const ctx = contextOf(setup);
        const subjects = new Set(judge.subjects(ctx));
        for (const { subject, says } of elsewhere)
          if (subjects.has(subject) && saysOf(ctx, subject) !== says) broken.push(`${subject} reads ${owner}: ${what}`);
      }
      expect(broken).toEqual([]);
    });
  });

  it('states a fact in the same words under no code but those', () => {
    expect([...same].sort()).toEqual([...sameWords].sort());
  });
}
