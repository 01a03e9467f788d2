import { withSubjects as named, overall, type Finding, type ElementId } from '../../foundations/finding/index.ts';
import { brakeHand } from '../../things/friction/index.ts';
import { hitchClearanceFindings } from '../../things/geometry/index.ts';
import {
  claimOf,
  claimOfPair,
  connectorStrengthJudge,
  gateJudge,
  hitches,
  hitchJudge,
  namesAt,
  type Context,
  type Judge,
} from '../elements/index.ts';
import { hitchOf, mainConnector, ropeIdsOf, slingOf, type Attachment } from '../rig/index.ts';

const above = (ref: ElementId, ctx: Context): Attachment | null => ctx.deviceAbove(ctx.attachment(ref));
const sameWearer = (a: Attachment, b: Attachment): boolean =>
  a.root.kind === 'harness' && b.root.kind === 'harness' && a.root.person === b.root.person;
const belowADevice = (ctx: Context): ElementId[] => hitches(ctx).filter((ref) => above(ref, ctx) !== null);
/** Parts that decide where a hitch and the device above it come to lie. */
const measured = (ref: ElementId, ctx: Context): ElementId[] => {
  const a = ctx.attachment(ref);
  const device = above(ref, ctx)!;
  return [
    a.end.id,
    ...[mainConnector(a), slingOf(device), mainConnector(device)].flatMap((p) => p?.id ?? []),
    ...ropeIdsOf(ctx.index, a.end),
  ];
};

/** A hitch below a device must not be able to touch it. */
export const clearanceJudge: Judge = {
  id: 'hitch-under-device',
  subjects: belowADevice,
  claims: (ref, ctx) => {
    const device = above(ref, ctx);
    const a = ctx.attachment(ref);
    // Where hitch and device do not hang on the same person their distance is not known here: then nobody has judged
    // it.
    return device && sameWearer(a, device) ? [claimOfPair(device.end.id, a.end.id)] : [];
  },
  judge: (ref, ctx) => {
    const input = ctx.clearanceInput(ctx.attachment(ref));
    if (!input || !sameWearer(ctx.attachment(ref), above(ref, ctx)!)) return [];
    return named(hitchClearanceFindings(input), {
      hitch: ctx.attachment(ref).end.id,
      device: above(ref, ctx)!.end.id,
    });
  },
  reads: measured,
};

/**
 * With the hand above the device the turn is lost: said while the hitch below stands, since then it alone would hold.
 */
export const handAboveJudge: Judge = {
  id: 'hand-above-device',
  subjects: belowADevice,
  claims: (ref, ctx) => [claimOf(ctx.attachment(ref).end.id, 'hand-above')],
  judge: (ref, ctx): Finding[] => {
    const device = above(ref, ctx)!;
    const input = ctx.brakeInput(device);
    if (!input || ctx.clearanceInput(ctx.attachment(ref)) === null || !stands(ref, ctx)) return [];
    return named(
      brakeHand({ ...input, backupStands: true }).filter((f) => f.code === 'friction.hand-above-device'),
      namesAt(device, ctx),
    );
  },
  // Says what follows from others and is never worse than clear: a plan need not try it.
  reads: () => [],
};

/** The hitch was judged and nothing was found against it, nor against its connector. */
export function stands(ref: ElementId, ctx: Context): boolean {
  const a = ctx.attachment(ref);
  const connector = mainConnector(a);
  if (!hitchOf(a)?.item || !connector) return false;
  return (
    overall([
      ...hitchJudge.judge(ref, ctx),
      ...(above(ref, ctx) ? clearanceJudge.judge(ref, ctx) : []),
      ...gateJudge.judge(connector.id, ctx),
      ...connectorStrengthJudge.judge(connector.id, ctx),
    ]) === 'clear'
  );
}
