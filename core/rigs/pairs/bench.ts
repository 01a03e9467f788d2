import { finding, literal, type Finding, type Severity, type Case } from '../../foundations/finding/index.ts';
import { BENCH_RESULTS, benchTestsOf, type BenchPair, type BenchTest } from '../../things/gear/index.ts';
import { claimOfPair, type Context, type Judge } from '../elements/index.ts';
import { deviceOf, hitchOf, mainConnector, ropeIdsOf, ropesIn, type Attachment } from '../rig/index.ts';
import { threshold } from '../../foundations/sources/index.ts';
import { exactly } from '../../foundations/units/index.ts';
import { upperOf } from './cascade.ts';

const itemOf = (a: Attachment) => deviceOf(a)?.item ?? hitchOf(a)?.item ?? null;

/** Two that grip one rope, one above the other, by what they are: what a try of one's own is about. */
export interface BenchSubject {
  readonly upper: Attachment;
  readonly lower: Attachment;
  readonly pair: BenchPair;
  readonly tests: readonly BenchTest[];
}

/** The pair that hangs at this attachment and the next one above; null where there is none, or a part is not chosen. */
function benchSubject(lower: Attachment, ctx: Context): BenchSubject | null {
  const upper = upperOf(lower, ctx);
  const [above, below] = [upper && itemOf(upper), itemOf(lower)];
  const rope = ropesIn(ctx.index, lower.end)?.ropeA;
  if (!upper || !above || !below || !rope) return null;
  const pair = { upperId: above.id, ropeId: rope.id, connectorId: mainConnector(lower)?.item?.id ?? null };
  return { upper, lower, pair, tests: benchTestsOf(below.bench, pair) };
}

/** Every pair that can be tried. */
export const benchSubjects = (ctx: Context): BenchSubject[] =>
  ctx.setup.attachments.flatMap((a) => benchSubject(a, ctx) ?? []);

/** How bad a try went, whoever looks at it later. */
export function benchSeverity({ result, travelMm }: Pick<BenchTest, 'result' | 'travelMm'>): Severity {
  if (result === 'pushed-open') return 'stop';
  if (travelMm !== null && travelMm > threshold('benchTravelStopMm')) return 'stop';
  if (result === 'jammed' || (travelMm !== null && travelMm > threshold('benchTravelMindMm'))) return 'mind';
  // A way that nobody measured may have been any.
  if (travelMm === null) return result === 'slid' ? 'mind' : 'untested';
  return 'clear';
}
const WORST: readonly Severity[] = ['stop', 'mind', 'untested', 'clear'];

/**
 * What was seen in tries of one's own. The worst of them counts: a try may worsen a verdict; that it went well says
 * nothing about another weight, another weather or another day, and takes no other finding away.
 */
export const benchJudge: Judge = {
  id: 'bench',
  subjects: (ctx) => ctx.setup.attachments.flatMap((a) => (upperOf(a, ctx) ? [a.end.id] : [])),
  claims: (ref, ctx) => [claimOfPair(upperOf(ctx.index.ownerOf(ref)!, ctx)!.end.id, ref, 'bench')],
  judge: (ref, ctx) => {
    const subject = benchSubject(ctx.index.ownerOf(ref)!, ctx);
    if (!subject || subject.tests.length === 0) return [];
    const worst = [...subject.tests].sort(
      (a, b) =>
        WORST.indexOf(benchSeverity(a)) - WORST.indexOf(benchSeverity(b)) || (b.travelMm ?? 0) - (a.travelMm ?? 0),
    )[0]!;
    return [told(subject, worst, ctx)];
  },
  reads: (ref, ctx) => {
    const lower = ctx.index.ownerOf(ref)!;
    const upper = upperOf(lower, ctx)!;
    // What is tried is this pair on this rope and this connector.
    return [
      upper.end.id,
      lower.end.id,
      ...[mainConnector(lower)].flatMap((p) => p?.id ?? []),
      ...ropeIdsOf(ctx.index, lower.end),
    ];
  },
};

function told(subject: BenchSubject, worst: BenchTest, ctx: Context): Finding {
  const { upper, lower, tests } = subject;
  return finding(
    {
      code: 'between.bench',
      subject: [lower.end.id, upper.end.id],
      because: `${tests.length === 1 ? 'One try' : `${tests.length} tries`} of this pair on this rope and connector${tests.length > 1 ? '; the worst one counts' : ''}: ${BENCH_RESULTS[worst.result].toLowerCase()}${worst.travelMm === null ? '' : ', after {travel}'}. A test shows what happened, not what will happen.`,
      numbers:
        worst.travelMm === null
          ? []
          : [{ key: 'travel', label: 'Way until it held', quantity: 'lengthMm', value: exactly(worst.travelMm) }],
    },
    caseOf(subject, worst, ctx),
  );
}

const DO_NOT_COUNT =
  'Do not count on the lower one: put one with teeth below, use a second rope, or tie knots below you.';
const TRY_AGAIN = 'Try it again near the ground, with the whole weight, the rope as it is, and the way measured.';

function caseOf({ upper, lower, tests }: BenchSubject, worst: BenchTest, { index, setup }: Context): Case {
  const [up, low] = [literal(upper.label.toLowerCase()), literal(lower.label.toLowerCase())];
  const went = benchSeverity(worst);
  if (went === 'stop')
    return {
      severity: 'stop',
      says: `In your test the ${low} did not hold when the ${up} was pushed onto it.`,
      remedy: DO_NOT_COUNT,
    };
  if (went === 'mind')
    return {
      severity: 'mind',
      says:
        worst.result === 'jammed'
          ? `In your test the ${low} held, and could not be freed under load.`
          : `In your test the ${low} slid before it held.`,
      remedy: DO_NOT_COUNT,
    };
  // Weight and weather of one and the same try; who hangs there and is not chosen may have any weight.
  const { weather } = setup.site;
  const asHere = tests.filter((t) => weather === 'dry' || t.weather === weather);
  if (asHere.length === 0)
    return {
      severity: 'untested',
      says: `You have not tested it on ${weather} rope.`,
      remedy: TRY_AGAIN,
    };
  const person = lower.root.kind === 'harness' ? index.person(lower.root.person)?.item : null;
  if (!person || !asHere.some((t) => (t.loadKg ?? 0) >= person.massKg))
    return {
      severity: 'untested',
      says: `Your test was not done with the weight that will hang on it here.`,
      remedy: TRY_AGAIN,
    };
  return went === 'untested'
    ? {
        severity: 'untested',
        says: `In your test the ${low} held; how far it slid first was not written down.`,
        remedy: TRY_AGAIN,
      }
    : { severity: 'clear', says: `In your test the ${low} held when the ${up} was pushed onto it.` };
}
