import { jobLoadKn } from '../../things/connector/index.ts';
import {
  withSubjects as named,
  finding,
  type Finding,
  type ElementId,
  literal,
  strengthAgainst,
} from '../../foundations/finding/index.ts';
import { armReach } from '../../things/geometry/index.ts';
import { deviceOf, mainConnector, slingOf, type SlingPiece } from '../rig/index.ts';
import { constant } from '../../foundations/sources/index.ts';
import { exactly, interval, scale, type Interval } from '../../foundations/units/index.ts';
import { loadParts, type Context } from './context.ts';
import { claimOf, claimOfPair, type Judge } from './judge.ts';

const slings = ({ setup }: Context): ElementId[] =>
  setup.attachments.flatMap((a) => a.pieces.filter((p) => p.kind === 'sling').map((p) => p.id));
const pieceOf = (ref: ElementId, { index }: Context) =>
  index.ownerOf(ref)!.pieces.find((p): p is SlingPiece => p.id === ref && p.kind === 'sling')!;

/**
 * Strength left in a sling, at its girth hitch or knots, against the load of a jerky rappel; and how it is attached on
 * both sides.
 */
export const slingStrengthJudge: Judge = {
  id: 'sling-strength',
  subjects: slings,
  claims: (ref, { index }) => {
    const a = index.ownerOf(ref)!;
    const at = a.pieces.findIndex((p) => p.id === ref);
    const next = a.pieces[at + 1] ?? a.end;
    const root = a.root.kind === 'harness' ? index.person(a.root.person)?.harnessId : undefined;
    return [claimOf(ref, 'strength'), claimOfPair(ref, next.id), ...(root && at === 0 ? [claimOfPair(root, ref)] : [])];
  },
  judge: (ref, ctx) => {
    const owner = ctx.index.ownerOf(ref)!;
    // A strap at chest or knee takes a device along: nobody hangs on it.
    const strap = owner.use === 'aid' && owner.root.kind === 'harness' && owner.root.point !== 'foot';
    const load = strap ? null : ctx.load(owner);
    const { item, method, knots } = pieceOf(ref, ctx);
    if (!item || !load) return [];
    const loadKn = jobLoadKn(load, deviceOf(ctx.index.ownerOf(ref)!)?.item ?? null);
    return [...slickKnot(ref, item, knots), slingStrength(ref, item, method === 'girth' || knots > 0, loadKn)];
  },
  reads: (ref, ctx) => [ref, ...loadParts(ctx, ctx.index.ownerOf(ref)!)],
};

/** Slick fibre bends sharper and melts earlier: less is left at a knot. A fibre that is not known can be any. */
function leftInKnot({ material }: NonNullable<SlingPiece['item']>): Interval {
  const [slick, usual] = [constant('strengthLeftInSlickKnot'), constant('strengthLeftInKnot')];
  if (material === 'unknown') return interval(slick.low, slick.best, usual.high);
  return material === 'uhmwpe' ? slick : usual;
}

/** An overhand knot in UHMWPE tape creeps under load and shaking. */
function slickKnot(ref: ElementId, { name, material }: NonNullable<SlingPiece['item']>, knots: number): Finding[] {
  if (knots === 0 || (material !== 'uhmwpe' && material !== 'unknown')) return [];
  const known = material === 'uhmwpe';
  return [
    finding(
      {
        code: 'rig.sling-knot',
        subject: [ref],
        because: 'In slick tape a knot slips at a lower load than in polyamide, and it is weaker there.',
        remedy: 'Use a sling of polyamide, or one of the right length without a knot.',
      },
      known
        ? { severity: 'mind', says: `A knot in ${literal(name)} can slip: UHMWPE tape is very slippery.` }
        : {
            severity: 'untested',
            says: `It is not known whether ${literal(name)} holds a knot: its fibre is not entered.`,
          },
    ),
  ];
}

function slingStrength(
  ref: ElementId,
  sling: NonNullable<SlingPiece['item']>,
  bent: boolean,
  loadKn: Interval,
): Finding {
  const subject = [ref] as const;
  if (sling.strengthKn === null) {
    return finding({
      code: 'rig.extension-strength-unknown',
      severity: 'untested',
      subject,
      says: `The strength of ${literal(sling.name)} is not entered.`,
      because: 'Slings after EN 566 hold 22 kN; whether this one is such a sling is not known.',
      remedy: 'Read the label and enter it.',
    });
  }
  const leftKn = scale(bent ? leftInKnot(sling) : exactly(1), sling.strengthKn);
  const severity = strengthAgainst(leftKn, loadKn);
  return finding({
    code: 'rig.extension-strength',
    severity,
    subject,
    says:
      severity === 'clear'
        ? 'The sling is strong enough.'
        : `${literal(sling.name)} has little strength left at its knot or hitch.`,
    because: `{left~} is left of {label}${bent ? ' at the knot or girth hitch' : ''}; a shock load, or one with slack that comes in, is up to {load}.`,
    remedy: severity === 'clear' ? '' : 'Use a stronger sling, or one without a knot.',
    numbers: [
      { key: 'left', label: 'Strength left', quantity: 'strengthKn', value: leftKn },
      { key: 'label', label: 'Strength on the label', quantity: 'strengthKn', value: exactly(sling.strengthKn) },
      { key: 'load', label: 'Highest load', quantity: 'strengthKn', value: exactly(loadKn.high) },
    ],
  });
}

/** A device on a sling stays within reach of the arm. How far a hitch on a tether hangs is judged with the hitch. */
export const slingReachJudge: Judge = {
  id: 'sling-reach',
  subjects: (ctx) => slings(ctx).filter((ref) => ctx.index.ownerOf(ref)!.end.kind === 'device'),
  claims: (ref) => [claimOf(ref, 'reach')],
  judge: (ref, ctx) => {
    const a = ctx.index.ownerOf(ref)!;
    const wearer = a.root.kind === 'harness' ? ctx.index.person(a.root.person)?.item : null;
    const length = ctx.extensionMm(a);
    return wearer && length ? named([armReach(wearer, length)], { extension: ref, device: a.end.id }) : [];
  },
  reads: (ref, { index }) => {
    const a = index.ownerOf(ref)!;
    return [slingOf(a)?.id ?? ref, ...(mainConnector(a) ? [mainConnector(a)!.id] : [])];
  },
};
