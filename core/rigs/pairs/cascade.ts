import { finding, literal, type Finding, type ElementId } from '../../foundations/finding/index.ts';
import { staticStretch, traitsOf } from '../../things/gear/index.ts';
import { meetsWithM } from '../../things/geometry/index.ts';
import { claimOfPair, gripsByItself, sameWearer, type Context, type Judge } from '../elements/index.ts';
import {
  deviceOf,
  hitchOf,
  linesOf,
  mainConnector,
  ropeIdsOf,
  ropesIn,
  slingOf,
  type Attachment,
} from '../rig/index.ts';
import { constant, threshold } from '../../foundations/sources/index.ts';
import { exactly, minus, plus, scale, type Interval } from '../../foundations/units/index.ts';
import { topMm } from './hitch-above-device.ts';

/** The next one above on the same rope, where both grip by themselves and are worn by one person. */
export function upperOf(lower: Attachment, ctx: Context): Attachment | null {
  if (!gripsByItself(lower, ctx)) return null;
  for (const line of linesOf(ctx.index, lower.end)) {
    const order = ctx.index.along(line.id);
    const upper = order[order.indexOf(lower) - 1];
    if (upper && gripsByItself(upper, ctx) && sameWearer(upper, lower)) return upper;
  }
  return null;
}
const lowerOf = (ref: ElementId, ctx: Context) => ctx.index.ownerOf(ref)!;

/**
 * From the harness up to the lower and the upper end of what grips the rope, mm, its tether stretched; null while a
 * length is not known.
 */
export function gripHeights(
  a: Attachment,
  ctx: Context,
): { readonly bottomMm: Interval; readonly topMm: Interval } | null {
  if (hitchOf(a)) {
    const top = topMm(a, ctx);
    return top && { bottomMm: minus(top, exactly(ctx.reach(a)?.coilMm ?? 0)), topMm: top };
  }
  const bar = ctx.extensionMm(a);
  return bar && { bottomMm: bar, topMm: plus(bar, constant('grabBodyMm')) };
}

/** The next one below on the same rope, in the same way. */
export const underOf = (upper: Attachment, ctx: Context): Attachment | null =>
  ctx.setup.attachments.find((a) => upperOf(a, ctx) === upper) ?? null;

/** What is left between two of them when both tethers are stretched up, mm. */
function gapMm(upper: Attachment, lower: Attachment, ctx: Context): Interval | null {
  const [high, low] = [gripHeights(upper, ctx), gripHeights(lower, ctx)];
  return high && low ? minus(high.bottomMm, low.topMm) : null;
}

/**
 * Two that grip one rope, one above the other: the upper one that slips slides down onto the lower one. Everything that
 * is tended by pushing lets go when it is pushed; what has teeth does not. Common practice; the gap against what the
 * rope gives is reckoned.
 */
export const cascadeJudge: Judge = {
  id: 'cascade',
  subjects: (ctx) => ctx.setup.attachments.flatMap((a) => (upperOf(a, ctx) !== null ? [a.end.id] : [])),
  claims: (ref, ctx) => {
    const upper = upperOf(lowerOf(ref, ctx), ctx)!;
    return [claimOfPair(upper.end.id, ref), claimOfPair(upper.end.id, ref, 'cascade')];
  },
  judge: (ref, ctx) => {
    const lower = lowerOf(ref, ctx);
    const upper = upperOf(lower, ctx)!;
    const item = deviceOf(lower)?.item;
    if (deviceOf(lower) && !item) return [];
    const ropes = ropesIn(ctx.index, lower.end);
    if (!ropes) return [];
    const wearer = lower.root.kind === 'harness' ? ctx.index.person(lower.root.person)?.item : null;
    const stretch = wearer ? staticStretch(ropes.ropeA, wearer.massKg) : null;
    return [cascade(upper, lower, gapMm(upper, lower, ctx), ctx, stretch)];
  },
  reads: (ref, ctx) => {
    const lower = lowerOf(ref, ctx);
    const upper = upperOf(lower, ctx)!;
    return [upper, lower].flatMap((a) => [
      a.end.id,
      ...[mainConnector(a), slingOf(a)].flatMap((p) => p?.id ?? []),
      ...ropeIdsOf(ctx.index, a.end),
    ]);
  },
};

function cascade(
  upper: Attachment,
  lower: Attachment,
  gap: Interval | null,
  ctx: Context,
  stretch: Interval | null,
): Finding {
  const item = deviceOf(lower)?.item;
  const subject = [lower.end.id, upper.end.id] as const;
  const [up, low] = [literal(upper.label.toLowerCase()), literal(lower.label.toLowerCase())];
  if (item && traitsOf(item.family).teeth)
    return finding({
      code: 'between.cascade',
      severity: 'clear',
      subject,
      says: `When the ${up} slips and slides onto the ${low}, the ${low} should still hold: teeth are hard to push open.`,
      because: 'That depends on the model. Test it low.',
      remedy: 'Try it low above the ground: push the upper one onto it while it carries you.',
    });
  const ropeM = ctx.setup.site.anchorHeightM;
  if (gap === null || ropeM <= 0 || stretch === null)
    return finding(
      {
        code: 'between.cascade',
        severity: 'untested',
        subject,
        says: `It is not known whether the ${up} can slide onto the ${low}.`,
      },
      gap === null
        ? {
            because: 'A length of tether, cord or connector is not entered.',
            remedy: 'Measure both tethers under load.',
          }
        : stretch === null
          ? { because: 'The person who hangs on it is not chosen.', remedy: 'Choose that person.' }
          : {
              because: 'How much rope is above, and gives, follows from the height of the anchor, which is not said.',
              remedy: 'Enter the height of the anchor.',
            },
    );
  const meets = meetsWithM(scale(gap, 1 / 1000), stretch, threshold('cascadeTravelM'));
  const reaches = meets.low < ropeM;
  const numbers = [
    { key: 'gap', label: 'Between the two, tethers tight', quantity: 'lengthMm', value: gap },
    ...(reaches && meets.low > 0
      ? ([
          { key: 'meets', label: 'Rope above from which they meet', quantity: 'lengthM', value: exactly(meets.low) },
        ] as const)
      : []),
    { key: 'rope', label: 'Rope above, at the start', quantity: 'lengthM', value: exactly(ropeM) },
  ] as const;
  return finding(
    { code: 'between.cascade', subject, numbers },
    reaches
      ? {
          severity: 'mind',
          says: `When the ${up} slips it slides onto the ${low} and pushes it open: both can fail together.`,
          because: `The gap is {gap~}; the stretch of {rope} of rope is more than that${meets.low > 0 ? ', and with {meets} or more above you they meet' : ''}. A device you tend by pushing opens when it is pushed.`,
          remedy:
            'Put one with teeth below, put one of the two on a second rope, or tie knots below you; do not count on the lower one.',
        }
      : {
          severity: 'clear',
          says: `The ${up} does not reach the ${low} when it slips.`,
          because: 'Between them {gap~} are left, more than {rope} of rope gives.',
        },
  );
}
