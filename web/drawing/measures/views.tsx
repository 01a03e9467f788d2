import type { ReactNode } from 'react';
import { hullPath } from '../parts';
import { vec, type Vec } from '../vector';

/** What is measured, in millimetres: a box, what is drawn in it, and the line that is asked for, from end to end. */
export interface MeasureView {
  readonly box: readonly [x0: number, y0: number, x1: number, y1: number];
  readonly body: ReactNode;
  readonly from: Vec;
  readonly to: Vec;
  /** False where the line stands for what is too long to draw: it is not to scale. */
  readonly toScale: boolean;
  /** Stays as it stands, however long it is: somebody. */
  readonly upright?: boolean;
}

export type Values = Readonly<Record<string, unknown>>;
/** The number that stands in a field, or a middling one where none does: the drawing needs some shape. */
const num = (values: Values, key: string, middling: number): number => {
  const value = values[key];
  return typeof value === 'number' && Number.isFinite(value) && value > 0 ? value : middling;
};
const METAL = { fill: 'none', stroke: 'var(--metal)', strokeLinecap: 'round' } as const;
const PLATE = { fill: 'var(--metal)', stroke: 'var(--ink)', strokeWidth: 0.6 } as const;
const HOLE = { fill: 'var(--surface)', stroke: 'var(--ink)', strokeWidth: 0.6 } as const;

/** From the front, broad end below, gate to the right. */
function connector(field: string, v: Values): MeasureView | null {
  const oval = v.shape === 'oval';
  const broadBar = num(v, 'broadStockMm', 11);
  const narrowBar = num(v, 'narrowStockMm', broadBar);
  const inside = num(v, 'insideLengthMm', 95);
  const broadW = num(v, 'broadInsideWidthMm', oval ? 32 : 44);
  const narrowW = num(v, 'narrowInsideWidthMm', oval ? broadW : 18);
  const [rb, rn] = [(broadW + broadBar) / 2, (narrowW + narrowBar) / 2];
  const bottom = inside;
  const broad = vec(0, bottom - broadW / 2);
  const narrow = vec(0, narrowW / 2);
  const leg = (y: number) => rn + ((rb - rn) * Math.min(inside, Math.max(0, y))) / inside;
  const sleeveW = num(v, 'sleeveMm', broadBar * 1.5);
  const fromBroad = num(v, 'sleeveFromBroadMm', inside * 0.3);
  const fromNarrow = num(v, 'sleeveFromNarrowMm', inside * 0.35);
  // The end that is measured stays where it was typed; the other one makes room.
  const own = field === 'sleeveFromNarrowMm';
  const sleeveTop = own ? fromNarrow : Math.min(fromNarrow, inside - fromBroad - 4);
  const sleeveBottom = own ? Math.max(inside - fromBroad, fromNarrow + 4) : inside - fromBroad;
  const gate = num(v, 'gateOpeningMm', 20);
  const lines: Readonly<Record<string, readonly [Vec, Vec]>> = {
    insideLengthMm: [vec(0, 0), vec(0, bottom)],
    broadInsideWidthMm: [vec(-broadW / 2, broad.y), vec(broadW / 2, broad.y)],
    narrowInsideWidthMm: [vec(-narrowW / 2, narrow.y), vec(narrowW / 2, narrow.y)],
    broadStockMm: [vec(0, bottom), vec(0, bottom + broadBar)],
    narrowStockMm: [vec(0, -narrowBar), vec(0, 0)],
    sleeveMm: [
      vec(leg((sleeveTop + sleeveBottom) / 2) - sleeveW / 2, (sleeveTop + sleeveBottom) / 2),
      vec(leg((sleeveTop + sleeveBottom) / 2) + sleeveW / 2, (sleeveTop + sleeveBottom) / 2),
    ],
    sleeveFromBroadMm: [vec(rb, sleeveBottom), vec(rb, bottom)],
    sleeveFromNarrowMm: [vec(rb, 0), vec(rb, sleeveTop)],
    gateOpeningMm: [vec(leg(inside * 0.25), inside * 0.25), vec(leg(inside * 0.25) - 0.01, inside * 0.25 + gate)],
  };
  const line = lines[field];
  if (!line) return null;
  return {
    box: [-rb - broadBar, -narrowBar - 2, rb + sleeveW, bottom + broadBar + 2],
    from: line[0],
    to: line[1],
    toScale: true,
    body: (
      <>
        <path d={hullPath(narrow, rn, broad, rb)} {...METAL} strokeWidth={(broadBar + narrowBar) / 2} />
        {v.lock !== 'none' && (
          <path
            d={`M${leg(sleeveTop)} ${sleeveTop}L${leg(sleeveBottom)} ${sleeveBottom}`}
            stroke="var(--ink-2)"
            strokeWidth={sleeveW}
          />
        )}
      </>
    ),
  };
}

/** The plate with its hole from the front, or both plates edge on. */
function device(field: string, v: Values): MeasureView | null {
  const eye = num(v, 'eyeMm', 18);
  const cover = num(v, 'coverMm', 9);
  const notch = num(v, 'notchMm', 6);
  const plate = num(v, 'plateMm', 4);
  // One plate has no gap.
  const gap = v.gapMm === 0 ? 0 : num(v, 'gapMm', 10);
  const half = eye / 2 + cover;
  if (field === 'plateMm' || field === 'gapMm') {
    const [a, b] = [-gap / 2 - plate, gap / 2 + plate];
    return {
      box: [a - 4, -22, b + 4, 22],
      from: field === 'plateMm' ? vec(a, 0) : vec(-gap / 2, 0),
      to: field === 'plateMm' ? vec(-gap / 2, 0) : vec(gap / 2, 0),
      toScale: true,
      body: (
        <>
          <rect x={a} y={-20} width={plate} height={40} {...PLATE} />
          {gap > 0 && <rect x={gap / 2} y={-20} width={plate} height={40} {...PLATE} />}
        </>
      ),
    };
  }
  const lines: Readonly<Record<string, readonly [Vec, Vec]>> = {
    eyeMm: [vec(-eye / 2, 0), vec(eye / 2, 0)],
    coverMm: [vec(0, -half), vec(0, -eye / 2)],
    notchMm: [vec(-notch / 2, eye / 2), vec(notch / 2, eye / 2)],
  };
  const line = lines[field];
  if (!line) return null;
  return {
    box: [-half - 3, -half - 3, half + 3, half + 16],
    from: line[0],
    to: line[1],
    toScale: true,
    body: (
      <>
        <path d={`M${-half} ${half + 12}V0A${half} ${half} 0 0 1 ${half} 0V${half + 12}`} {...PLATE} />
        <circle r={eye / 2} {...HOLE} />
        {field === 'notchMm' && <rect x={-notch / 2} y={eye / 2 - 1} width={notch} height={6} {...HOLE} />}
      </>
    ),
  };
}

/** A round thing cut across, between the jaws of a caliper. */
const round = (d: number, colour: string): MeasureView => ({
  box: [-d * 0.95, -d * 0.8, d * 0.95, d * 0.8],
  from: vec(-d / 2, 0),
  to: vec(d / 2, 0),
  toScale: true,
  body: (
    <>
      <circle r={d / 2} fill={colour} />
      <path
        d={`M${-d / 2} ${-d * 0.7}V${d * 0.7}M${d / 2} ${-d * 0.7}V${d * 0.7}`}
        stroke="var(--ink-2)"
        strokeWidth={d * 0.05}
      />
    </>
  ),
});

/** A loop pulled flat, from end to end. */
const flat = (length: number, thick: number, colour: string): MeasureView => {
  const w = Math.max(thick * 2.4, length * 0.09);
  return {
    box: [-thick, -length * 0.14 - thick, length + thick, length * 0.14 + thick],
    from: vec(0, 0),
    to: vec(length, 0),
    toScale: true,
    body: (
      <rect
        x={0}
        y={-w / 2}
        width={length}
        height={w}
        rx={w / 2}
        fill="none"
        stroke={colour}
        strokeWidth={Math.max(thick, length * 0.02)}
      />
    ),
  };
};

/** What is far longer than it is thick: a coil with its end drawn out. */
const coiled = (colour: string): MeasureView => ({
  box: [-30, -24, 34, 20],
  from: vec(-22, 16),
  to: vec(30, 16),
  toScale: false,
  body: (
    <g fill="none" stroke={colour} strokeWidth="3">
      <ellipse cx="-6" cy="-6" rx="20" ry="12" />
      <ellipse cx="-6" cy="-4" rx="16" ry="9" />
      <path d="M14 -4Q24 6 30 16" />
    </g>
  ),
});

/** Somebody with a harness on, hanging or standing, from the side. */
function body(field: string, v: Values): MeasureView | null {
  const tie = num(v, 'tieInHeightMm', 1000);
  const reach = num(v, 'armReachMm', 600);
  const drop = num(v, 'legLoopDropMm', 180);
  const side = num(v, 'legLoopSideMm', 110);
  const raise = num(v, 'kneeRaiseMm', 150);
  const chin = num(v, 'chinAboveTieInMm', 400);
  const knee = num(v, 'kneeAboveSolesMm', 470);
  const hip = 0;
  const lines: Readonly<Record<string, readonly [Vec, Vec]>> = {
    tieInHeightMm: [vec(60, tie), vec(60, hip)],
    armReachMm: [vec(60, hip), vec(60, hip - reach)],
    chinAboveTieInMm: [vec(70, hip), vec(70, hip - chin)],
    kneeAboveSolesMm: [vec(150, tie), vec(150, tie - knee)],
    legLoopDropMm: [vec(0, hip), vec(0, hip + drop)],
    legLoopSideMm: [vec(0, hip + drop), vec(side, hip + drop)],
    kneeRaiseMm: [vec(side, hip + drop), vec(side, hip + drop - raise)],
  };
  const line = lines[field];
  if (!line) return null;
  const near = field.startsWith('leg') || field === 'kneeRaiseMm';
  return {
    box: near ? [-220, -160, 320, 380] : [-360, -Math.max(620, reach + 60), 420, tie + 30],
    from: line[0],
    to: line[1],
    toScale: true,
    upright: true,
    body: (
      <g stroke="var(--ink-2)" fill="none" strokeLinecap="round" strokeLinejoin="round">
        <path d={`M0 ${hip}L-20 ${-430}`} strokeWidth="90" opacity="0.35" />
        <circle cx="-30" cy={-560} r="90" fill="var(--ink-2)" opacity="0.35" stroke="none" />
        {field === 'armReachMm' && <path d={`M-20 -420L60 ${hip - reach}`} strokeWidth="40" opacity="0.5" />}
        <path d={`M0 ${hip}L${side * 0.6} ${tie * 0.5}L${side * 0.3} ${tie}h90`} strokeWidth="70" opacity="0.35" />
        <path d={`M-70 ${hip}h140`} stroke="var(--textile)" strokeWidth="34" />
        <ellipse cx={side * 0.6} cy={hip + drop} rx="90" ry="26" stroke="var(--textile)" strokeWidth="22" />
      </g>
    ),
  };
}

/**
 * The drawing beside a measured field of a kind of gear, or of a person; null where there is nothing to be seen of it.
 */
export function measureView(kind: string, field: string, values: Values): MeasureView | null {
  switch (kind) {
    case 'connector':
      return connector(field, values);
    case 'device':
      return device(field, values);
    case 'person':
      return body(field, values);
    case 'sling':
      if (field === 'widthMm') return round(num(values, 'widthMm', 16), 'var(--textile)');
      return field === 'loopLengthMm'
        ? flat(num(values, field, 600), num(values, 'widthMm', 16), 'var(--textile)')
        : null;
    case 'cord':
      if (field === 'nominalDiameterMm' || field === 'measuredDiameterMm')
        return round(num(values, field, num(values, 'nominalDiameterMm', 6)), 'var(--cord)');
      if (field === 'loopLengthMm')
        return flat(num(values, field, 600), num(values, 'nominalDiameterMm', 6), 'var(--cord)');
      return field === 'cutLengthM' ? coiled('var(--cord)') : null;
    case 'rope':
      if (field === 'nominalDiameterMm' || field === 'measuredDiameterMm')
        return round(num(values, field, num(values, 'nominalDiameterMm', 9.5)), 'var(--rope-a)');
      return field === 'lengthM' || field === 'measuredLengthM' ? coiled('var(--rope-a)') : null;
    default:
      return null;
  }
}
