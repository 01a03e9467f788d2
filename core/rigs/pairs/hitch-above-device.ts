import {
  finding,
  tooLittle,
  tooMuch,
  type Finding,
  type ElementId,
  type Case,
  type Severity,
} from '../../foundations/finding/index.ts';
import { claimOf, claimOfPair, hitches, type Context, type Judge } from '../elements/index.ts';
import { deviceOf, hitchOf, linesOf, mainConnector, ropeIdsOf, slingOf, type Attachment } from '../rig/index.ts';
import { threshold } from '../../foundations/sources/index.ts';
import { exactly, minus, plus, type Interval } from '../../foundations/units/index.ts';

/** The first device below a hitch on the same line. */
function below(a: Attachment, { index }: Context): Attachment | null {
  for (const line of linesOf(index, a.end)) {
    const order = index.along(line.id);
    const next = order.slice(order.indexOf(a) + 1).find((o) => deviceOf(o) !== null);
    if (next) return next;
  }
  return null;
}
const neighbour = (a: Attachment, ctx: Context): Attachment | null => {
  const device = below(a, ctx);
  const line = linesOf(ctx.index, a.end)[0];
  if (!device || !line) return null;
  const order = ctx.index.along(line.id);
  return order[order.indexOf(a) + 1] === device ? device : null;
};

/** From the harness to the upper edge of a loaded hitch on its tether, mm; null while a part is not chosen. */
export function topMm(a: Attachment, ctx: Context): Interval | null {
  const [reach, connector] = [ctx.reach(a), mainConnector(a)?.item];
  if (!reach || !connector) return null;
  if (!slingOf(a)) return reach.reachMm;
  const tether = ctx.extensionMm(a);
  // Both lengths contain the connector.
  return tether ? minus(plus(tether, reach.reachMm), exactly(connector.insideLengthMm)) : null;
}

/** A hitch on a tether of its own, or above the device, has to stay within the arm’s reach when it is loaded. */
export const hitchReachJudge: Judge = {
  id: 'hitch-reach',
  subjects: (ctx) =>
    hitches(ctx).filter((ref) => {
      const a = ctx.attachment(ref);
      return slingOf(a) !== null || neighbour(a, ctx) !== null;
    }),
  claims: (ref, ctx) => {
    const tether = slingOf(ctx.attachment(ref));
    return tether ? [claimOf(tether.id, 'reach')] : [];
  },
  judge: (ref, ctx) => {
    const a = ctx.attachment(ref);
    const wearer = a.root.kind === 'harness' ? ctx.index.person(a.root.person)?.item : null;
    const top = topMm(a, ctx);
    return wearer && top ? [inReach(a.end.id, top, wearer.armReachMm)] : [];
  },
  reads: (ref, ctx) => {
    const a = ctx.attachment(ref);
    return [
      hitchOf(a)!.id,
      ...[mainConnector(a), slingOf(a)].flatMap((p) => p?.id ?? []),
      ...ropeIdsOf(ctx.index, a.end),
    ];
  },
};

/** A hitch above a device must not be pushed down onto it. */
export const hitchAboveJudge: Judge = {
  id: 'hitch-above-device',
  subjects: (ctx) => hitches(ctx).filter((ref) => neighbour(ctx.attachment(ref), ctx) !== null),
  claims: (ref, ctx) => {
    const a = ctx.attachment(ref);
    return [claimOfPair(a.end.id, neighbour(a, ctx)!.end.id)];
  },
  judge: (ref, ctx) => {
    const a = ctx.attachment(ref);
    const device = neighbour(a, ctx)!;
    const top = topMm(a, ctx);
    const barMm = ctx.extensionMm(device);
    return top && barMm ? ontoDevice(a, device, minus(top, exactly(ctx.reach(a)!.coilMm)), barMm) : [];
  },
  reads: (ref, ctx) => {
    const a = ctx.attachment(ref);
    const device = neighbour(a, ctx)!;
    return [
      hitchOf(a)!.id,
      ...[mainConnector(a), slingOf(a), mainConnector(device), slingOf(device)].flatMap((p) => p?.id ?? []),
      ...ropeIdsOf(ctx.index, a.end),
    ];
  },
};

function inReach(ref: ElementId, top: Interval, armMm: number): Finding {
  const severity = tooMuch(top, { stop: armMm });
  return finding(
    {
      code: severity === 'clear' ? 'geometry.hitch-in-reach' : 'geometry.hitch-out-of-reach',
      severity,
      subject: [ref],
      because: 'Its upper edge is {top~} up, the arm reaches {arm}.',
      numbers: [
        { key: 'top', label: 'Upper edge of the loaded hitch', quantity: 'lengthMm', value: top },
        { key: 'arm', label: 'Arm’s reach', quantity: 'lengthMm', value: exactly(armMm) },
      ],
    },
    REACH[severity],
  );
}
const BEYOND = {
  says: 'Loaded, the hitch may hang just beyond the arm.',
  remedy: 'Shorten the tether or the cord.',
};
const REACH: Readonly<Record<Severity, Case<'says' | 'remedy'>>> = {
  stop: {
    says: 'Once loaded, the hitch is out of your reach: you could not release it.',
    remedy: 'Shorten the tether or the cord.',
  },
  mind: BEYOND,
  untested: { ...BEYOND, remedy: 'Load it low and reach for it, or shorten the tether or the cord.' },
  clear: { says: 'Loaded, the hitch stays within arm’s reach.' },
};

function ontoDevice(a: Attachment, device: Attachment, bottom: Interval, barMm: Interval): Finding[] {
  const gap = minus(bottom, barMm);
  const margin = threshold('hitchClearanceMarginMm');
  const severity = tooLittle(gap, { stop: 0, mind: margin });
  if (severity === 'clear') return [];
  return [
    finding({
      code: 'geometry.hitch-onto-device',
      severity,
      subject: [a.end.id, device.end.id],
      says:
        severity === 'stop'
          ? 'The hitch above lies on the device, which pushes it open.'
          : 'The hitch above comes close to the device.',
      because: 'There is {gap~} between the wraps and the device.',
      remedy: 'Lengthen the tether of the hitch, or shorten the extension.',
      numbers: [{ key: 'gap', label: 'Between hitch and device', quantity: 'lengthMm', value: gap }],
    }),
  ];
}
