import { finding, type Finding } from '../../foundations/finding/index.ts';
import { questionsOf, slotsOf, type Context, type Judge, type Question } from '../../rigs/elements/index.ts';

/**
 * What has to be asked about this rig and no judge answers: *Not tested*, so that no rule never looks like no fault.
 * About a part that is not chosen nothing more is asked than that.
 */
export function notJudged(ctx: Context, judges: readonly Judge[]): Finding[] {
  const claimed = new Set(judges.flatMap((j) => j.subjects(ctx).flatMap((s) => j.claims(s, ctx))));
  const missing = new Set(slotsOf(ctx.setup).flatMap((s) => (s.item === null ? [s.ref] : [])));
  const open = questionsOf(ctx).filter(({ claim, subject }) => {
    if (claimed.has(claim)) return false;
    return claim.endsWith(':chosen') || !subject.some((ref) => missing.has(ref));
  });
  // What is open about the same elements is one finding: nobody reads five.
  const bySubject = new Map<string, Question[]>();
  for (const q of open) bySubject.set(q.subject.join(), [...(bySubject.get(q.subject.join()) ?? []), q]);
  return [...bySubject.values()].map((questions) =>
    finding({
      code: 'rig.not-judged',
      severity: 'untested',
      subject: questions[0]!.subject,
      says: `Not judged: ${[...new Set(questions.map((q) => q.words))].join('; ')}.`,
      because: 'Zevrin does not check this.',
      remedy: 'Judge it yourself, by the instructions of the makers and by what you were taught.',
    }),
  );
}
