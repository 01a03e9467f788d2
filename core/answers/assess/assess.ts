import type { WayReport } from '../../things/connector/index.ts';
import { waysLeft } from '../../rigs/pairs/index.ts';
import {
  overall,
  worstFirst,
  type Finding,
  type FindingCode,
  type ElementId,
  type Severity,
} from '../../foundations/finding/index.ts';
import type { BrakeFigures } from '../../things/friction/index.ts';
import type { Clearance, HitchReach, RopeBudget } from '../../things/geometry/index.ts';
import { holdFindings } from '../redundancy/index.ts';
import { contextOf, type Context, type Judge } from '../../rigs/elements/index.ts';
import type { Setup } from '../../rigs/rig/index.ts';
import type { Interval } from '../../foundations/units/index.ts';
import { JUDGES } from './judges.ts';
import { notJudged } from './not-judged.ts';
import { atOnce, type Steps } from './steps.ts';
import { inTheLightOfTypical } from './typical.ts';

type ByRef<T> = Readonly<Record<ElementId, T>>;

/**
 * What the drawing dimensions: the numbers that the findings were made from, by the id of attachment or line. Absent
 * where a part is not chosen.
 */
export interface Figures {
  readonly descentM: number;
  readonly extensionMm: ByRef<Interval>;
  readonly reach: ByRef<HitchReach>;
  readonly clearance: ByRef<Clearance>;
  readonly budget: ByRef<RopeBudget>;
  readonly brake: ByRef<BrakeFigures>;
  /** The way the device connector is judged in. */
  readonly way: ByRef<WayReport>;
}

export interface Assessment {
  readonly verdict: Severity;
  /** Worst first. */
  readonly findings: readonly Finding[];
  readonly figures: Figures;
}

/** What these judges say of a set-up, in their order, and what none of them answers; a step for each judge. */
function* judging(ctx: Context, judges: readonly Judge[]): Steps<Finding[]> {
  const found: Finding[] = [];
  for (const judge of judges) {
    for (const subject of judge.subjects(ctx)) found.push(...judge.judge(subject, ctx));
    yield;
  }
  return [...found, ...notJudged(ctx, judges)];
}
export const judged = (ctx: Context, judges: readonly Judge[]): Finding[] => atOnce(judging(ctx, judges));

/** One call: a set-up in, every judgement out. Pure; the same set-up always gives the same answer. */
export const assess = (setup: Setup, judges: readonly Judge[] = JUDGES): Assessment => atOnce(assessing(setup, judges));

/** The same in steps, for a page that must answer a finger meanwhile. */
export function* assessing(setup: Setup, judges: readonly Judge[] = JUDGES): Steps<Assessment> {
  const ctx = contextOf(setup);
  const found = yield* finding(ctx, judges);
  const findings = yield* inTheLightOfTypical(setup, found, (s) => finding(contextOf(s), judges));
  return { verdict: overall(findings), findings: worstFirst(findings), figures: figuresOf(ctx) };
}

/**
 * What is found in a set-up without trying the ends of what is only typical: a fraction of the work, for whoever tries
 * hundreds of set-ups.
 */
export const assessPlain = (setup: Setup): Finding[] => atOnce(finding(contextOf(setup), JUDGES));

function* finding(ctx: Context, judges: readonly Judge[]): Steps<Finding[]> {
  const found = yield* judging(ctx, judges);
  // Last, since what counts as holding follows from all that was found.
  const holds = holdFindings(ctx, found);
  yield;
  return saidOnce([...found, ...holds]);
}

/** About a rope and not about what sits on it: two grabs on one rope would say it twice. */
const ABOUT_THE_ROPE: ReadonlySet<FindingCode> = new Set(['fit.rope-not-for-job', 'solo.feed', 'solo.ground']);

/** Such things are said once, of all the parts; what holds was derived from each by itself. */
function saidOnce(findings: readonly Finding[]): Finding[] {
  const known = new Map<string, Finding>();
  for (const f of findings) {
    const key = ABOUT_THE_ROPE.has(f.code)
      ? JSON.stringify([f.code, f.severity, f.says, f.because, f.numbers])
      : String(known.size);
    const there = known.get(key);
    known.set(key, there ? { ...there, subject: [...new Set([...there.subject, ...f.subject])] } : f);
  }
  return [...known.values()];
}

function figuresOf(ctx: Context): Figures {
  const { attachments, lines } = ctx.setup;
  const collect = <T extends { id: ElementId }, V>(list: readonly T[], of: (x: T) => V | null): ByRef<V> => {
    const found: Record<ElementId, V> = {};
    for (const x of list) {
      const value = of(x);
      if (value !== null) found[x.id] = value;
    }
    return found;
  };
  return {
    descentM: ctx.descentM,
    extensionMm: collect(attachments, ctx.extensionMm),
    reach: collect(attachments, ctx.reach),
    clearance: collect(attachments, (a) => (a.end.kind === 'hitch' ? ctx.clearance(a) : null)),
    budget: collect(lines, ctx.budget),
    brake: collect(attachments, ctx.brake),
    way: collect(attachments, (a) => (a.end.kind === 'device' ? (waysLeft(a, ctx)[0] ?? null) : null)),
  };
}
