import { beforeAll, describe, expect, it } from 'vitest';
import type { Finding, Ref } from '../finding/index.ts';
import { fieldsOf, removablesOf, setupSchema, withField, without, SITE_REFS, type Setup } from '../rig/index.ts';
import { filled, SETUPS } from '../samples/index.ts';
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
  const items = [...new Set(fields.flatMap(({ path }) => /^.*?\/item(?=\/)/.exec(path) ?? []))];
  return [
    ...fields.flatMap((f) =>
      [...someOf(f.others), ...(f.open === undefined ? [] : [f.open])]
        .filter((value) => value !== f.now)
        .map((value) => ({
          what: `${f.path}: ${String(value)}`,
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
    ...items.map((path) => ({
      what: `${path}: not chosen`,
      make: (s: Setup) => withField(s, path, null),
      owner: null,
      path: null,
    })),
    {
      what: 'nothing chosen',
      make: (s) => items.reduce((x, path) => withField(x, path, null), s),
      owner: null,
      path: null,
    },
  ];
}

/** Of a row of steps one that is far from the i-th: a prime apart, so that in the end each has met many others. */
const farFrom = (steps: readonly Step[], i: number): Step => steps[(i * 7919 + 13) % steps.length]!;

const fits = (setup: Setup): boolean => setupSchema.safeParse(setup).success;

/** Every sample, as it is, with one thing changed, and here and there with a second one. */
function changes(): Change[] {
  return Object.entries(SETUPS).flatMap(([sample, given]) => {
    const from = filled(given);
    const steps = stepsOf(from);
    const ones = steps
      .map((step) => ({ ...step, what: `${sample}, ${step.what}`, from, setup: step.make(from) }))
      .filter(({ setup }) => fits(setup));
    const twos = ones.flatMap((one, i) => {
      const { make, what, owner, path } = farFrom(steps, i);
      // What is changed after something was taken away may have gone with it.
      if (i % 5 > 0 || one.path === null || path === null) return [];
      const setup = make(one.setup);
      return fits(setup) ? [{ what: `${one.what}, then ${what}`, from: one.setup, setup, owner }] : [];
    });
    return [{ what: `${sample}, as it is`, from, setup: from, owner: null }, ...ones, ...twos];
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

export interface Excepted {
  /** Codes that come with advice even where they are clear. */
  readonly advice: readonly string[];
  /** Codes that state a fact in the same words whether it is much or little. */
  readonly sameWords: readonly string[];
}

/**
 * What is true of every judge of a room, over every sample and each change of it: nothing throws, it speaks of what is there, what is wrong can be mended, what is
 * fine is not told in the words of what is wrong, and what it finds wrong depends on no gear but what it says it reads. An exception that is none any more fails as well.
 */
export function judgeLaws(room: object, excepted: Excepted): void {
  const judges = Object.values(room).filter(
    (x): x is Judge => typeof x === 'object' && x !== null && 'judge' in x && 'subjects' in x,
  );
  let all: Change[] = [];
  let ids: ReadonlySet<Ref>[] = [];
  beforeAll(() => {
    all = changes();
    ids = all.map(({ setup }) => idsIn(setup));
  });
  const used = { advice: new Set<string>(), sameWords: new Set<string>() };

  // What is broken is gathered and expected to be nothing once: there are thousands of changes.
  describe.each(judges.map((judge) => [judge.id, judge] as const))('%s', (_, judge) => {
    it('speaks of what is there, and tells wrong from fine', () => {
      const broken: string[] = [];
      const kinds = new Map<string, string>();
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
            if (f.severity === 'clear' && f.remedy !== '') used.advice.add(f.code);
            const words = `${f.code}: ${f.says}`;
            if ((kinds.get(words) ?? kindOf(f)) !== kindOf(f)) used.sameWords.add(f.code);
            kinds.set(words, kindOf(f));
          }
        }
      });
      expect(broken).toEqual([]);
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

  it('has no exception from the laws but those', () => {
    expect([...used.advice].sort()).toEqual([...excepted.advice].sort());
    expect([...used.sameWords].sort()).toEqual([...excepted.sameWords].sort());
  });
}
