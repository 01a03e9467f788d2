import { withSubjects as named, type ElementId } from '../../foundations/finding/index.ts';
import { hitchFindings } from '../../things/friction/index.ts';
import { hitchOf, linesOf, mainConnector, ropeIdsOf, strandsIn } from '../rig/index.ts';
import type { Context } from './context.ts';
import { claimOf, claimOfPair, type Judge } from './judge.ts';

export const hitches = ({ setup }: Context): ElementId[] =>
  setup.attachments.filter((a) => a.end.kind === 'hitch').map((a) => a.id);

/** Grip, cord, wiring and attachment of a friction hitch. */
export const hitchJudge: Judge = {
  id: 'hitch',
  subjects: hitches,
  claims: (ref, ctx) => {
    const a = ctx.attachment(ref);
    const last = a.pieces.at(-1);
    return [
      claimOf(a.end.id, 'tied'),
      ...linesOf(ctx.index, a.end).map((l) => claimOfPair(a.end.id, l.id)),
      ...(last ? [claimOfPair(last.id, a.end.id)] : []),
    ];
  },
  judge: (ref, ctx) => {
    const a = ctx.attachment(ref);
    const hitch = hitchOf(a)!;
    const ropes = ctx.ropes(a);
    const wearer = a.root.kind === 'harness' ? ctx.index.person(a.root.person) : undefined;
    const load = ctx.load(a);
    if (!ropes || !hitch.item || !wearer?.item || !wearer.harness || !load) return [];
    return named(
      hitchFindings({
        cord: hitch.item,
        ...ropes,
        climber: { ...wearer.item, massKg: load.massKg },
        harness: wearer.harness,
        weather: ctx.setup.site.weather,
        kind: hitch.hitch,
        wraps: hitch.wraps,
        strands: hitch.strands,
        eyes: hitch.eyes,
        around: strandsIn(hitch),
        attachedTo: a.root.kind === 'harness' && a.root.point === 'leg-loop' ? 'leg-loop' : 'belay-loop',
      }),
      {
        hitch: hitch.id,
        ...(mainConnector(a) ? { hitchConnector: mainConnector(a)!.id } : {}),
        legLoop: wearer.legLoopId,
        harness: wearer.harnessId,
      },
    );
  },
  reads: (ref, ctx) => {
    const a = ctx.attachment(ref);
    const wearer = a.root.kind === 'harness' ? ctx.index.person(a.root.person) : undefined;
    return [a.end.id, ...ropeIdsOf(ctx.index, a.end), ...(wearer ? [wearer.harnessId] : [])];
  },
};
