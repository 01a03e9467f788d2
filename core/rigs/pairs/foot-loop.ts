import {
  finding,
  literal,
  tooLittle,
  type Finding,
  type ElementId,
  type Severity,
} from '../../foundations/finding/index.ts';
import { staticStretch, type Person } from '../../things/gear/index.ts';
import { knotsFor, slingMm, strokeOf, type Stroke } from '../../things/geometry/index.ts';
import { claimOf, type Context, type Judge } from '../elements/index.ts';
import { ropesIn, slingOf, type Attachment, type SlingPiece } from '../rig/index.ts';
import { threshold } from '../../foundations/sources/index.ts';
import { exactly, interval, minus, type Interval } from '../../foundations/units/index.ts';
import { gripHeights, underOf, upperOf } from './cascade.ts';
import { dropFinding, dropOf } from './tether-drop.ts';

/** A loop for the foot, clipped to what grips the rope. */
export const isFootLoop = (a: Attachment): boolean =>
  a.use === 'aid' && a.root.kind === 'harness' && a.root.point === 'foot' && a.end.kind === 'clip';

/** The stroke of somebody who goes up a rope, with the lengths it is made of. */
export interface StrokeFigures extends Stroke {
  readonly loop: Attachment;
  /** What the foot loop hangs in. */
  readonly grip: Attachment;
  /** What one hangs in meanwhile, where the foot loop is at the lower of two; null where it is at the upper one. */
  readonly above: Attachment | null;
  /** That one above the tie-in, its tether tight, mm. */
  readonly aboveMm: Interval | null;
  readonly person: Person;
  /** How high above the tie-in the grip with the foot loop comes while one hangs. */
  readonly tetherMm: Interval;
  readonly footLoopMm: Interval;
  readonly heightM: number;
}

interface Lengths {
  readonly grip: Attachment;
  readonly above: Attachment | null;
  readonly aboveMm: Interval | null;
  readonly person: Person;
  readonly piece: SlingPiece;
  readonly tetherMm: Interval;
  readonly footLoopMm: Interval;
}
function lengthsOf(loop: Attachment, ctx: Context): Lengths | null {
  const grip = loop.end.kind === 'clip' ? ctx.index.ownerOf(loop.end.to) : undefined;
  const person = loop.root.kind === 'harness' ? ctx.index.person(loop.root.person)?.item : null;
  const piece = slingOf(loop);
  const tetherMm = grip && highestMm(grip, ctx);
  if (!grip || !person || !tetherMm || piece?.kind !== 'sling' || !piece.item) return null;
  const footLoopMm = slingMm({ ...piece, sling: piece.item });
  const above = upperOf(grip, ctx);
  const aboveMm = above ? (gripHeights(above, ctx)?.bottomMm ?? null) : null;
  return { grip, above, aboveMm, person, piece, tetherMm, footLoopMm };
}

/**
 * How high above the tie-in a grip comes while one hangs: to the end of its own tether, and no farther than to just
 * below the one that carries.
 */
function highestMm(grip: Attachment, ctx: Context): Interval | null {
  const at = gripHeights(grip, ctx);
  const above = upperOf(grip, ctx);
  if (!at || !above) return at && at.bottomMm;
  const carrying = gripHeights(above, ctx);
  if (!carrying) return null;
  const under = minus(carrying.bottomMm, minus(at.topMm, at.bottomMm));
  const lower = (a: number, b: number) => Math.min(a, b);
  return interval(
    lower(at.bottomMm.low, under.low),
    lower(at.bottomMm.best, under.best),
    lower(at.bottomMm.high, under.high),
  );
}

/** null while a part, a length or the height of the tie-in is not known. */
export function strokeFigures(loop: Attachment, ctx: Context): StrokeFigures | null {
  const lengths = lengthsOf(loop, ctx);
  const ropes = lengths && ropesIn(ctx.index, lengths.grip.end);
  if (!lengths || !ropes || lengths.person.tieInHeightMm === null) return null;
  const heightM = ctx.setup.site.anchorHeightM;
  if (heightM <= 0) return null;
  const stroke = strokeOf({
    tieInHeightMm: lengths.person.tieInHeightMm,
    tetherMm: lengths.tetherMm,
    footLoopMm: lengths.footLoopMm,
    heightM,
    stretch: staticStretch(ropes.ropeA, lengths.person.massKg),
  });
  return { ...lengths, ...stroke, loop, heightM };
}

/** Lengths of tether and foot loop against the body: whether one gains anything, and whether the two grips collide. */
export const footLoopJudge: Judge = {
  id: 'foot-loop',
  subjects: ({ setup }) => setup.attachments.filter(isFootLoop).map((a) => a.id),
  claims: (ref, ctx) => [
    claimOf(ctx.attachment(ref).end.id, 'clipped'),
    claimOf('job', 'second'),
    claimOf('job', 'lengths'),
  ],
  judge: (ref, ctx) => {
    const loop = ctx.attachment(ref);
    const lengths = lengthsOf(loop, ctx);
    const piece = slingOf(loop);
    if (piece?.kind !== 'sling' || !piece.item) return [];
    const figures = strokeFigures(loop, ctx);
    const drop = figures && dropOf(figures, ctx);
    return figures
      ? [stroke(piece, figures), ...(drop ? [dropFinding(drop)] : [])]
      : [unknown(piece.id, lengths?.person ?? null, ctx.setup.site.anchorHeightM)];
  },
  reads: (ref, ctx) => {
    const loop = ctx.attachment(ref);
    const grip = loop.end.kind === 'clip' ? ctx.index.ownerOf(loop.end.to) : undefined;
    const near = grip ? [grip, upperOf(grip, ctx), underOf(grip, ctx)] : [];
    return [loop, ...near.filter((a) => a !== null)].flatMap((a) => [a.end.id, ...a.pieces.map((p) => p.id)]);
  },
};

const unknown = (ref: ElementId, person: Person | null, heightM: number): Finding =>
  finding({
    code: 'ascend.stroke',
    severity: 'untested',
    subject: [ref],
    says: 'It is not known what a stroke gains, and whether the foot loop has the right length.',
    because:
      person && person.tieInHeightMm === null
        ? `The tie-in of ${literal(person.name)} was not measured above the soles.`
        : heightM <= 0
          ? 'The height of the anchor is not said.'
          : 'A length of tether or foot loop is not entered.',
    remedy: 'Measure it standing with the harness on, from the ground to the belay loop; and both slings under load.',
  });

function stroke(piece: SlingPiece, f: StrokeFigures): Finding {
  const { strokeMm, standingGapMm, strokes, lostStrokes, lostM, footLoopMm, tetherMm, heightM, person } = f;
  const gains = tooLittle(strokeMm, { stop: 0, mind: threshold('strokeLeastMm') });
  const nothing = gains === 'stop';
  const collides = standingGapMm.best < threshold('standingGapMm');
  const small = gains === 'mind';
  const severity: Severity = nothing ? 'stop' : collides || small ? 'mind' : gains;
  const wantedMm = person.tieInHeightMm! + threshold('standingGapWantedMm');
  const whole = slingMm({ sling: piece.item!, method: piece.method, knots: 0, measuredMm: null });
  const tie = knotsFor(whole.best, wantedMm);
  return finding({
    code: 'ascend.stroke',
    severity,
    subject: [piece.id, f.grip.end.id],
    says: nothing
      ? 'You gain no height by standing up in the foot loop: you cannot climb the rope like this.'
      : collides
        ? `The foot loop is short: standing up, the harness stops at the ${f.above ? 'lower' : 'upper'} grip.`
        : small
          ? 'A stroke gains little.'
          : 'Tether and foot loop fit this person.',
    because: `A foot loop of {foot~} and ${f.above ? 'a lower grip that comes {tether~} high' : 'a tether of {tether~}'} gain {stroke~} per stroke${strokes ? `: about {strokes~} strokes for {height}. The first {lost~} only take up rope stretch` : ''}.`,
    remedy:
      severity === 'clear'
        ? ''
        : tie
          ? `Make the foot loop {wanted} long: this sling with ${tie.knots === 0 ? 'no knot' : tie.knots === 1 ? 'one overhand knot' : `${tie.knots} overhand knots`}${tie.overMm > threshold('standingGapMm') ? ', and take up the rest at the foot' : ''}.`
          : 'Make the foot loop {wanted} long: this sling is too short for it.',
    numbers: [
      { key: 'foot', label: 'Foot loop', quantity: 'lengthMm', value: footLoopMm },
      {
        key: 'tether',
        label: f.above ? 'Lower grip above the tie-in, hanging' : 'Tether, to the upper grip',
        quantity: 'lengthMm',
        value: tetherMm,
      },
      { key: 'stroke', label: 'Gained by a stroke', quantity: 'lengthMm', value: strokeMm },
      ...(strokes && lostStrokes
        ? ([
            { key: 'strokes', label: 'Strokes', quantity: 'count', value: strokes },
            { key: 'height', label: 'Way up', quantity: 'lengthM', value: exactly(heightM) },
            { key: 'lost', label: 'Strokes lost in stretch', quantity: 'count', value: lostStrokes },
            { key: 'stretch', label: 'Rope stretches by', quantity: 'lengthM', value: lostM },
          ] as const)
        : []),
      ...(severity === 'clear'
        ? []
        : ([{ key: 'wanted', label: 'Foot loop wanted', quantity: 'lengthMm', value: exactly(wantedMm) }] as const)),
    ],
  });
}
