import { gateFindings, jobLoadKn, judgeWay, strengthFinding, waysOf, type Way } from '../../things/connector/index.ts';
import type { Finding, ElementId } from '../../foundations/finding/index.ts';
import { finding, literal } from '../../foundations/finding/index.ts';
import { deviceOf, type ConnectorPiece } from '../rig/index.ts';
import { loadParts, type Context } from './context.ts';
import { claimOf, claimOfPair, type Judge } from './judge.ts';

export const connectors = ({ setup }: Context): ElementId[] =>
  setup.attachments.flatMap((a) => a.pieces.filter((p) => p.kind === 'connector').map((p) => p.id));
export const connectorAt = (ref: ElementId, { index }: Context) =>
  index.ownerOf(ref)!.pieces.find((p): p is ConnectorPiece => p.id === ref && p.kind === 'connector')!;

/** How a gate locks, whether it is locked, and where it faces. */
export const gateJudge: Judge = {
  id: 'gate',
  subjects: connectors,
  claims: (ref) => [claimOf(ref, 'gate')],
  judge: (ref, ctx) => {
    const { item, gate, faces } = connectorAt(ref, ctx);
    if (!item) return [];
    const a = ctx.index.ownerOf(ref)!;
    return gateFindings({ connector: item, part: ref, gate, facing: faces, carries: a.use === 'carries' });
  },
  reads: (ref) => [ref],
};

/** Strength left in every position, against a jerk of whoever hangs on it; against a fall where somebody can fall. */
export const connectorStrengthJudge: Judge = {
  id: 'connector-strength',
  subjects: connectors,
  claims: (ref) => [claimOf(ref, 'strength')],
  judge: (ref, ctx) => {
    const { item, planned, loadedEnd, faces } = connectorAt(ref, ctx);
    const a = ctx.index.ownerOf(ref)!;
    const load = ctx.load(a);
    if (!item || !load) return [];
    const device = deviceOf(a)?.item;
    if (!load.fall && load.tended) return [strengthFinding(item, ref, jobLoadKn(load, deviceOf(a)?.item ?? null))];
    // Nothing runs through a hitch or a clip: the whole load comes on its connector.
    if (a.end.kind !== 'device') return [strengthFinding(item, ref, jobLoadKn(load, null))];
    if (!device) return [unknownLoad(ref, item.name)];
    // Judged in the way that is known or planned, else in the best there is: what is not said is said elsewhere.
    const ways = waysOf(item, device);
    const way = ways.find((w) => fits(w, { planned, loadedEnd, faces })) ?? ways[0]!;
    return judgeWay({ load, connector: item, device }, way)
      .findings.filter((f) => STRENGTH.has(f.code))
      .map((f) => ({
        ...f,
        subject: f.subject.map((s) => (s === 'deviceConnector' ? ref : s === 'device' ? a.end.id : s)),
      }));
  },
  reads: (ref, ctx) => {
    const a = ctx.index.ownerOf(ref)!;
    return [ref, a.end.id, ...loadParts(ctx, a)];
  },
};

const STRENGTH: ReadonlySet<string> = new Set([
  'connector.strength-unknown',
  'connector.load-off-spine',
  'connector.job-strength',
  'connector.settles-across',
  'connector.shakes-open',
]);

/** True when a way is not against anything that is said, or planned where nothing is said. */
export function fits(
  way: Way,
  { planned, loadedEnd, faces }: Pick<ConnectorPiece, 'planned' | 'loadedEnd' | 'faces'>,
): boolean {
  const end = loadedEnd === 'unknown' ? planned?.end : loadedEnd;
  const gate = faces === 'unknown' ? planned?.gate : faces === 'rope' ? 'brake' : 'free';
  return (
    (end === undefined || way.end === end) &&
    (gate === undefined || way.gate === gate) &&
    (planned === null || way.from === planned.from)
  );
}

const unknownLoad = (ref: ElementId, name: string): Finding =>
  finding({
    code: 'connector.strength-unknown',
    severity: 'untested',
    subject: [ref],
    says: `What ${literal(name)} has to carry is not known yet.`,
    because: 'It depends on the device: how far it lets the rope slip in a fall.',
    remedy: 'Choose the device.',
  });

/** A connector that hangs in a harness, or in an anchor, by itself. */
export const rootJudge: Judge = {
  id: 'root',
  subjects: ({ setup }) => setup.attachments.map((a) => a.id),
  claims: (ref, ctx) => {
    const a = ctx.attachment(ref);
    const first = a.pieces[0];
    if (first?.kind !== 'connector') return [];
    const root =
      a.root.kind === 'harness'
        ? ctx.index.person(a.root.person)?.harnessId
        : a.root.kind === 'anchor'
          ? a.root.anchor
          : undefined;
    return root ? [claimOfPair(root, first.id)] : [];
  },
  judge: (ref, ctx) => noBeltLoop(ref, ctx),
  reads: (ref, ctx) => {
    const { root } = ctx.attachment(ref);
    const person = root.kind === 'harness' ? ctx.index.person(root.person) : undefined;
    return person ? [person.harnessId] : [];
  },
};

function noBeltLoop(ref: ElementId, ctx: Context): Finding[] {
  const { root, pieces, label } = ctx.attachment(ref);
  if (root.kind !== 'harness' || root.point !== 'belay-loop' || pieces[0]?.kind !== 'connector') return [];
  const person = ctx.index.person(root.person);
  if (person?.harness?.attachment !== 'two-points') return [];
  return [
    finding({
      code: 'rig.no-belay-loop',
      severity: 'stop',
      subject: [person.harnessId, pieces[0].id],
      says: `${literal(person.harness.name)} has no belay loop for: ${literal(label.toLowerCase())}.`,
      because:
        'As entered it has two tie-in points. A carabiner through both is tri-loaded. Check the harness instructions: some allow a belay here.',
      remedy: 'Tie a loop through both points, or take a harness with a belay loop.',
    }),
  ];
}
