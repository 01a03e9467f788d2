import type { Figures } from '@core/assess';
import type { Ref } from '@core/finding';
import type { Setup } from '@core/rig';
import { add, length, mul, sub, unit, vec, type Vec } from './vector';

/**
 * The hands drawing in millimetres: origin at the belay loop, x to the right of the person, y up. Everything comes from the figures of the
 * assessment; what is not known yet is drawn at a middling size and marked as a guess.
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
  readonly armReachMm: number | null;
  /** Share by which the hitch would lie inside the device, 0 when it is clear. */
  readonly overlapMm: number;
  readonly guessed: { readonly extension: boolean; readonly hitch: boolean; readonly body: boolean };
  readonly parts: Readonly<Partial<Record<Ref, Vec>>>;
}

const LIP_BELOW_BAR_MM = 10;
const MIDDLING = {
  extensionMm: 350,
  connectorMm: 90,
  reachMm: 260,
  coilMm: 48,
  dropMm: 170,
  sideMm: 130,
  raiseMm: 180,
};

export function handsLayout(setup: Setup, figures: Figures, kneeRaised: boolean): HandsLayout {
  const { climber } = setup.people;
  const side = climber?.brakeHand === 'left' ? -1 : 1;
  const extensionMm = figures.extensionMm?.best ?? MIDDLING.extensionMm;
  const connectorMm = setup.gear.deviceConnector?.insideLengthMm ?? MIDDLING.connectorMm;
  const hitchConnectorMm = setup.gear.hitchConnector?.insideLengthMm ?? MIDDLING.connectorMm;
  const dropMm = climber?.legLoopDropMm ?? MIDDLING.dropMm;
  const sideMm = climber?.legLoopSideMm ?? MIDDLING.sideMm;
  const raiseMm = kneeRaised ? (climber?.kneeRaiseMm ?? MIDDLING.raiseMm) : 0;
  const lip = vec(0, extensionMm - LIP_BELOW_BAR_MM);
  const onLeg = setup.rig.hitchAt === 'leg-loop';
  const leg = vec(side * sideMm, -dropMm + raiseMm);
  const attach = onLeg ? leg : vec(0, 0);
  const along = unit(sub(lip, attach));
  const reachMm = figures.reach?.reachMm.best ?? MIDDLING.reachMm;
  const coilMm = figures.reach?.coilMm ?? MIDDLING.coilMm;
  const at = (mm: number) => add(attach, mul(along, mm));
  const coilHigh = at(reachMm);
  const coilLow = at(reachMm - coilMm);
  // The brake strands run on past the attachment, outside the leg, to the hand.
  const hand = add(onLeg ? attach : vec(side * 60, -60), vec(side * 40, -105));
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
    armReachMm: climber?.armReachMm ?? null,
    overlapMm: Math.max(0, reachMm - length(sub(lip, attach))),
    guessed: { extension: figures.extensionMm === null, hitch: figures.reach === null, body: climber === null },
    parts: {
      harness: vec(-side * 120, 52),
      climber: vec(-side * 120, 250),
      extension: vec(0, (extensionMm - connectorMm) / 2),
      deviceConnector: vec(0, extensionMm - connectorMm * 0.55),
      extraConnector: vec(side * 24, extensionMm - connectorMm * 0.4),
      device: vec(0, extensionMm + 18),
      hitch: at(reachMm - coilMm / 2),
      hitchConnector: at(hitchConnectorMm / 2),
      legLoop: leg,
      brakeHand: hand,
    },
  };
}
