import type { HandsLayout } from './hands-layout';
import type { RigView } from './rig-view';
import { add, mul, normal, vec, type Vec } from './vector';

/** The sheet of what is within reach, px. */
export const HANDS_SHEET = { width: 320, height: 540 };
/** A sign at the edge would be cut in half. */
export const inside = (p: Vec): Vec => vec(Math.min(HANDS_SHEET.width - 14, Math.max(14, p.x)), p.y);

/** Where millimetres of the hands drawing come to lie on the sheet, and how thick things are there. */
export interface HandsFrame {
  readonly topMm: number;
  readonly bottomMm: number;
  /** Px per mm. */
  readonly scale: number;
  readonly px: (p: Vec) => Vec;
  /** As `px`, so many mm to the left of the brake strands. */
  readonly beside: (p: Vec, mm: number) => Vec;
  readonly ropePx: number;
  readonly cordPx: number;
  /** Half the distance between two brake strands, mm. */
  readonly strandGapMm: number;
  /** Round ends of the device connector, px. */
  readonly endsPx: { readonly top: number; readonly low: number };
}

export function handsFrame(view: RigView, layout: HandsLayout): HandsFrame {
  const topMm = Math.max(layout.extensionMm + 150, (layout.above?.highMm ?? 0) + 60, 330);
  const bottomMm = Math.min(layout.hand.y, -170) - 80;
  const scale = Math.min(HANDS_SHEET.height / (topMm - bottomMm), 0.72);
  // A hitch and its dimensions need room beside the leg; without one both legs are shown whole.
  const aside = view.below ? layout.side * 34 : 0;
  const px = (p: Vec): Vec => vec(HANDS_SHEET.width / 2 - aside + p.x * scale, (topMm - p.y) * scale);
  const out = normal(layout.along);
  const ropePx = Math.max(3, view.ropeA.diameterMm * scale);
  const broad = Math.max(14, (view.connector?.item?.broadInsideWidthMm ?? 40) / 2) * scale;
  const narrow = 9 * scale;
  const broadUp = view.connector?.loadedEnd !== 'narrow';
  return {
    topMm,
    bottomMm,
    scale,
    px,
    beside: (p, mm) => px(add(p, mul(out, mm))),
    ropePx,
    cordPx: Math.max(2.2, (view.below?.hitch.item?.nominalDiameterMm ?? 6) * scale),
    strandGapMm: ropePx / scale / 2 + 0.8,
    endsPx: broadUp ? { top: broad, low: narrow } : { top: narrow, low: broad },
  };
}
