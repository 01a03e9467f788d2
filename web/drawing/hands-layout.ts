import type { Figures } from '@core/answers/assess';
import type { ElementId } from '@core/foundations/finding';
import type { RigView } from './rig-view';
import { add, length, mul, sub, unit, vec, type Vec } from './vector';

/**
 * The hands drawing in millimetres: origin at the belay loop, x to the right of the person, y up. Everything comes from
 * the figures of the assessment; what is not known yet is drawn at a middling size and marked as a guess.
 */
export interface HandsLayout {
  /** +1 when the right hand brakes, -1 when the left one does. */
  readonly side: 1 | -1;
  readonly extensionMm: number;
  readonly connectorMm: number;
  readonly lip: Vec;
  /** Where the hitch is clipped. */
  readonly attach: Vec;
  /** From the attachment to the lip, length 1. */
  readonly along: Vec;
  readonly hitchConnectorEnd: Vec;
  readonly coilLow: Vec;
  readonly coilHigh: Vec;
  readonly hand: Vec;
  readonly otherLeg: Vec;
  readonly legLoop: Vec;
  readonly armReachMm: number | null;
  /** Share by which the hitch would lie inside the device, 0 when it is clear. */
  readonly overlapMm: number;
  /** Wraps of a hitch above the device, from its lower to its upper edge; null: there is none. */
  readonly above: { readonly lowMm: number; readonly highMm: number } | null;
  readonly guessed: { readonly extension: boolean; readonly hitch: boolean; readonly body: boolean };
  readonly parts: Readonly<Record<ElementId, Vec>>;
}

const LIP_BELOW_BAR_MM = 10;
const MIDDLING = {
  extensionMm: 350,
  shortMm: 95,
  connectorMm: 90,
  reachMm: 260,
  coilMm: 48,
  dropMm: 170,
  sideMm: 130,
  raiseMm: 180,
  aboveMm: 520,
};

export function handsLayout(view: RigView, figures: Figures, kneeRaised: boolean): HandsLayout {
  const { main, below, above, wearer } = view;
  const person = wearer?.item ?? null;
  const braking = (view.braker?.item ?? person)?.brakeHand;
  const side = braking === 'left' ? -1 : 1;
  const extension = figures.extensionMm[main.id];
  const extensionMm = extension?.best ?? (view.extension ? MIDDLING.extensionMm : MIDDLING.shortMm);
  const connectorMm = view.connector?.item?.insideLengthMm ?? MIDDLING.connectorMm;
  const hitchConnectorMm = below?.connector?.item?.insideLengthMm ?? MIDDLING.connectorMm;
  const dropMm = person?.legLoopDropMm ?? MIDDLING.dropMm;
  const sideMm = person?.legLoopSideMm ?? MIDDLING.sideMm;
  const raiseMm = kneeRaised ? (person?.kneeRaiseMm ?? MIDDLING.raiseMm) : 0;
  const lip = vec(0, extensionMm - LIP_BELOW_BAR_MM);
  const onLeg = below?.onLeg ?? true;
  const leg = vec(side * sideMm, -dropMm + raiseMm);
  const attach = onLeg ? leg : vec(0, 0);
  const along = unit(sub(lip, attach));
  const reach = below ? figures.reach[below.attachment.id] : undefined;
  const reachMm = reach?.reachMm.best ?? MIDDLING.reachMm;
  const coilMm = reach?.coilMm ?? MIDDLING.coilMm;
  const at = (mm: number) => add(attach, mul(along, mm));
  const coilHigh = at(reachMm);
  const coilLow = at(reachMm - coilMm);
  // The brake strands run on past the attachment, outside the leg, to the hand.
  const hand = add(onLeg && below ? attach : vec(side * 60, -60), vec(side * 40, -105));
  const top = above ? topOfAbove(view, figures) : null;
  return {
    side,
    extensionMm,
    connectorMm,
    lip,
    attach,
    along,
    hitchConnectorEnd: at(hitchConnectorMm),
    coilLow,
    coilHigh,
    hand,
    otherLeg: vec(-side * sideMm, -dropMm),
    legLoop: leg,
    armReachMm: person?.armReachMm ?? null,
    overlapMm: below ? Math.max(0, reachMm - length(sub(lip, attach))) : 0,
    above: top,
    guessed: { extension: extension === undefined, hitch: reach === undefined, body: person === null },
    parts: {
      ...partsOfPerson(view, side, leg, hand),
      ...partsOfMain(view, side, extensionMm, connectorMm),
      ...partsBelow(view, { reachMm, coilMm, hitchConnectorMm }, at),
      ...partsAbove(view, side, top),
    },
  };
}

/** Upper and lower edge of the wraps above the device: tether, connector and cord, less what they share. */
function topOfAbove({ above, extension }: RigView, figures: Figures): { lowMm: number; highMm: number } {
  const id = above!.attachment.id;
  const reach = figures.reach[id];
  const tether = figures.extensionMm[id];
  const connectorMm = above!.connector?.item?.insideLengthMm ?? MIDDLING.connectorMm;
  const fallback = (extension ? MIDDLING.aboveMm : 400) + MIDDLING.coilMm;
  const highMm = reach && tether ? tether.best + reach.reachMm.best - connectorMm : fallback;
  return { highMm, lowMm: highMm - (reach?.coilMm ?? MIDDLING.coilMm) };
}

type Parts = Readonly<Record<ElementId, Vec>>;

const partsOfMain = (view: RigView, side: number, extensionMm: number, connectorMm: number): Parts => ({
  [view.main.end.id]: vec(0, extensionMm + 18),
  ...(view.extension ? { [view.extension.id]: vec(0, (extensionMm - connectorMm) / 2) } : {}),
  ...(view.connector ? { [view.connector.id]: vec(0, extensionMm - connectorMm * 0.55) } : {}),
  ...(view.beside ? { [view.beside.id]: vec(side * 24, extensionMm - connectorMm * 0.4) } : {}),
});

const partsOfPerson = ({ wearer, braker }: RigView, side: number, leg: Vec, hand: Vec): Parts => ({
  ...(wearer
    ? {
        [wearer.harnessId]: vec(-side * 120, 52),
        [wearer.id]: vec(-side * 120, 250),
        [wearer.legLoopId]: leg,
      }
    : {}),
  ...(braker ? { [braker.handId]: hand } : {}),
});

const partsBelow = (
  { below }: RigView,
  { reachMm, coilMm, hitchConnectorMm }: Record<'reachMm' | 'coilMm' | 'hitchConnectorMm', number>,
  at: (mm: number) => Vec,
): Parts =>
  below
    ? {
        [below.hitch.id]: at(reachMm - coilMm / 2),
        ...(below.connector ? { [below.connector.id]: at(hitchConnectorMm / 2) } : {}),
      }
    : {};

const partsAbove = ({ above }: RigView, side: number, top: HandsLayout['above']): Parts =>
  above && top
    ? {
        [above.hitch.id]: vec(0, (top.lowMm + top.highMm) / 2),
        ...Object.fromEntries(
          above.attachment.pieces.map((p, i) => [p.id, vec(-side * 42, top.lowMm * (0.5 + i * 0.3))]),
        ),
      }
    : {};
