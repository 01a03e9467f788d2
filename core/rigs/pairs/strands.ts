import { withSubjects as named, type ElementId } from '../../foundations/finding/index.ts';
import { strandsAlike } from '../../things/fit/index.ts';
import { claimOfPair, devices, type Context, type Judge } from '../elements/index.ts';
import { deviceOf, linesOf, ropeSlots } from '../rig/index.ts';

/** The two ropes of one doubled line; two seconds on a rope each do not pull on each other’s. */
const ropesThrough = (ref: ElementId, ctx: Context) =>
  linesOf(ctx.index, ctx.attachment(ref).end).flatMap((l) => (l.kind === 'doubled' ? [...ropeSlots(l)] : []));

/** Two ropes side by side in one device: alike, or one runs ahead. */
export const strandsAlikeJudge: Judge = {
  id: 'strands-alike',
  subjects: (ctx) => devices(ctx).filter((ref) => ropesThrough(ref, ctx).length === 2),
  claims: (ref, ctx) => {
    const [a, b] = ropesThrough(ref, ctx);
    return [claimOfPair(a!.id, b!.id)];
  },
  judge: (ref, ctx) => {
    const [a, b] = ropesThrough(ref, ctx);
    const end = deviceOf(ctx.attachment(ref))!;
    if (!a!.item || !b!.item || !end.item) return [];
    return named(strandsAlike(a!.item, b!.item), { ropeA: a!.id, ropeB: b!.id, device: end.id });
  },
  reads: (ref, ctx) => [...ropesThrough(ref, ctx).map((r) => r.id), deviceOf(ctx.attachment(ref))!.id],
};
