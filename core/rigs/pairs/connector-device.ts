import {
  compareWays,
  endFinding,
  judgeWay,
  pairFindings,
  roomFindings,
  seatKind,
  wayKey,
  wayName,
  waysOf,
  withOwnTests,
  type WayReport,
} from '../../things/connector/index.ts';
import {
  withSubjects as named,
  finding,
  SEVERITIES,
  type Finding,
  type ElementId,
  literal,
} from '../../foundations/finding/index.ts';
import { diameterOf } from '../../things/gear/index.ts';
import {
  claimOfPair,
  connectorAt,
  devices,
  fits,
  loadParts,
  namesAt,
  type Context,
  type Judge,
} from '../elements/index.ts';
import { besideConnector, deviceOf, mainConnector, ropeIdsOf, type Attachment } from '../rig/index.ts';

const hung = (ctx: Context): ElementId[] => devices(ctx).filter((ref) => mainConnector(ctx.attachment(ref)) !== null);
const inPlates = (a: Attachment): boolean => {
  const item = deviceOf(a)?.item;
  return item !== null && item !== undefined && seatKind(item) === 'plates';
};

/**
 * Which end of the connector holds the rope, and whether two strands have room there. Plates are judged with the way.
 */
export const seatJudge: Judge = {
  id: 'seat',
  subjects: hung,
  claims: (ref, ctx) => {
    const a = ctx.attachment(ref);
    return [claimOfPair(mainConnector(a)!.id, a.end.id, 'seat')];
  },
  judge: (ref, ctx) => {
    const a = ctx.attachment(ref);
    const { id, item, loadedEnd } = mainConnector(a)!;
    const ropes = ctx.ropes(a);
    const device = deviceOf(a)?.item;
    if (!item || !ropes || inPlates(a)) return [];
    const hitch = device && seatKind(device) === 'hitch';
    const [x, y] = [ropes.ropeA, ropes.ropeB ?? ropes.ropeA].map((r) => diameterOf(r).diameterMm.best);
    const two = ctx.use(a).strands === 'two';
    return [
      endFinding(
        item,
        id,
        loadedEnd,
        hitch ? 'A Munter hitch needs the wide end of a pear-shaped (HMS) carabiner to flip.' : undefined,
      ),
      ...(two ? roomFindings(item, id, [x!, y!]) : []),
    ];
  },
  reads: (ref, ctx) => {
    const a = ctx.attachment(ref);
    return [mainConnector(a)!.id, a.end.id, ...ropeIdsOf(ctx.index, a.end)];
  },
};

const waysKnown = new WeakMap<Context, Map<ElementId, WayReport[]>>();

/**
 * The ways to clip the main connector that are left by what is said and planned, best first; empty while something is
 * not chosen.
 */
export function waysLeft(a: Attachment, ctx: Context): readonly WayReport[] {
  const of = waysKnown.get(ctx) ?? new Map<ElementId, WayReport[]>();
  waysKnown.set(ctx, of);
  if (!of.has(a.id)) of.set(a.id, judgedWays(a, ctx));
  return of.get(a.id)!;
}

function judgedWays(a: Attachment, ctx: Context): WayReport[] {
  const piece = mainConnector(a);
  const [item, device, load] = [piece?.item, deviceOf(a)?.item, ctx.load(a)];
  if (!piece || !item || !device || !load) return [];
  const input = { load, connector: item, device };
  return waysOf(item, device)
    .filter((way) => fits(way, piece))
    .map((way) => withOwnTests(input, judgeWay(input, way), ctx.setup.tests))
    .sort(compareWays);
}

/** What is judged of a way beside strength and the state of the gate, which are judged for every connector. */
const OF_THE_WAY: ReadonlySet<string> = new Set([
  'connector.does-not-pass',
  'connector.gate-too-narrow',
  'connector.barely-passes',
  'connector.entry-side',
  'connector.sleeve-enters',
  'connector.stock-wedges',
  'connector.way-free',
  'connector.geometry-unknown',
  'connector.load-off-spine',
  'connector.kind-forbidden',
  'connector.kind-not-wanted',
  'connector.not-declared',
  'connector.own-test-bad',
  'connector.own-test-worked',
]);

/**
 * How the connector sits in the device: in the way that is said or planned; where several are left, in the best of
 * them.
 */
export const wayJudge: Judge = {
  id: 'way',
  subjects: hung,
  claims: (ref, ctx) => {
    const a = ctx.attachment(ref);
    return inPlates(a) ? [claimOfPair(mainConnector(a)!.id, a.end.id, 'way')] : [];
  },
  judge: (ref, ctx) => {
    const a = ctx.attachment(ref);
    const [best] = waysLeft(a, ctx);
    if (!best) return [];
    const strengthSaid = !ctx.load(a)!.fall && ctx.load(a)!.tended;
    const found = best.findings.filter(
      (f) => OF_THE_WAY.has(f.code) && (f.code !== 'connector.load-off-spine' || strengthSaid),
    );
    return [...named(found, namesAt(a, ctx)), ...(inPlates(a) ? unsaid(a, ctx, best) : [])];
  },
  reads: (ref, ctx) => {
    const a = ctx.attachment(ref);
    return [mainConnector(a)!.id, a.end.id, ...loadParts(ctx, a)];
  },
};

/** Where it makes a difference how the connector goes in, that has to be said. */
function unsaid(a: Attachment, ctx: Context, best: WayReport): Finding[] {
  const { id, item, loadedEnd } = mainConnector(a)!;
  const device = deviceOf(a)!.item!;
  const worst = waysLeft(a, ctx).at(-1)!;
  const differs = SEVERITIES.indexOf(worst.severity) < SEVERITIES.indexOf(best.severity);
  const sides = wayKey(worst.way) !== wayKey(best.way) && differs;
  if (!sides && loadedEnd !== 'unknown') return [];
  return [
    finding({
      code: 'connector.way-unsaid',
      severity: 'untested',
      subject: [id, a.end.id],
      says: `Not entered yet: how ${literal(item!.name)} is clipped into ${literal(device.name)}.`,
      because: sides
        ? `The best way of clipping it was judged (${wayName(best.way, item!, device)}); others are worse.`
        : 'Which end sits in the device was not looked at.',
      remedy: `Clip it so: ${wayName(best.way, item!, device)}. Look, and enter it.`,
    }),
  ];
}

/** A second connector beside the first: room, and gates opposed and reversed. */
export const besideJudge: Judge = {
  id: 'two-connectors',
  subjects: (ctx) => devices(ctx).filter((ref) => besideConnector(ctx.attachment(ref)) !== null),
  claims: (ref, ctx) => {
    const a = ctx.attachment(ref);
    return [claimOfPair(mainConnector(a)?.id ?? '', besideConnector(a)!.id)];
  },
  judge: (ref, ctx) => {
    const a = ctx.attachment(ref);
    const second = besideConnector(a)!;
    const first = second.beside ? connectorAt(second.beside, ctx) : null;
    const device = deviceOf(a)?.item;
    if (!first?.item || !second.item || !device) return [];
    if (second.opposed === 'unknown') {
      return [
        finding({
          code: 'connector.pair-same-side',
          severity: 'untested',
          subject: [second.id, first.id, a.end.id],
          says: 'Not entered yet: how the gates of the two connectors lie to each other.',
          because: 'On the same side, what pushes one open pushes the other open too.',
          remedy: 'Turn them so that the gates are opposed and reversed, and enter it.',
        }),
      ];
    }
    return named(
      pairFindings({
        connectors: [first.item, second.item],
        device,
        opposed: second.opposed !== 'same',
        reversed: second.opposed === 'reversed',
      }),
      { deviceConnector: first.id, extraConnector: second.id, device: a.end.id },
    );
  },
  reads: (ref, ctx) => {
    const a = ctx.attachment(ref);
    return [mainConnector(a)?.id ?? '', besideConnector(a)!.id, a.end.id].filter(Boolean);
  },
};
