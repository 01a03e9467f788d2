import { Gate } from './Gate';
import type { HandsFrame } from './hands-frame';
import type { HandsLayout } from './hands-layout';
import { hullPath, Label } from './parts';
import type { HitchView, RigView } from './rig-view';
import { add, mul, vec, type Vec } from './vector';

/** What is drawn, where in mm, and where on the sheet. */
interface Drawn {
  readonly view: RigView;
  readonly layout: HandsLayout;
  readonly frame: HandsFrame;
}

export function ArmReach({
  layout,
  px,
  topMm,
  label,
}: {
  layout: HandsLayout;
  px: (p: Vec) => Vec;
  topMm: number;
  label: string;
}) {
  const x = -layout.side * 165;
  const inside = layout.armReachMm! < topMm - 20;
  const y = inside ? layout.armReachMm! : topMm - 16;
  const [a, b] = [px(vec(x, y)), px(vec(x + layout.side * 80, y))];
  const anchor = layout.side > 0 ? 'start' : 'end';
  return (
    <g>
      {inside ? (
        <path d={`M${a.x} ${a.y}L${b.x} ${b.y}`} stroke="var(--ink-2)" strokeDasharray="6 4" strokeWidth="1.4" />
      ) : (
        <path
          d={`M${a.x + layout.side * 5} ${a.y + 6}v-12m-4 5l4 -5l4 5`}
          stroke="var(--ink-2)"
          fill="none"
          strokeWidth="1.6"
        />
      )}
      <Label at={vec(a.x + (inside ? 0 : layout.side * 13), inside ? a.y - 6 : a.y + 4)} anchor={anchor}>
        {label}
      </Label>
    </g>
  );
}

/** Waist, torso and thighs, only as much as tells where the parts hang. */
export function Body({
  layout,
  px,
  scale,
  kneeRaised,
}: {
  layout: HandsLayout;
  px: (p: Vec) => Vec;
  scale: number;
  kneeRaised: boolean;
}) {
  const { side, otherLeg } = layout;
  const leg = layout.legLoop;
  const p = (x: number, y: number) => {
    const at = px(vec(x, y));
    return `${at.x} ${at.y}`;
  };
  const thigh = (k: number, y: number) =>
    `M${p(k * 8, 20)}C${p(k * 215, 60)} ${p(k * 232, y + 150)} ${p(k * 205, y)}C${p(k * 200, y - 40)} ${p(k * 75, y - 40)} ${p(k * 62, y)}C${p(k * 55, -40)} ${p(k * 30, -60)} ${p(k * 8, -50)}Z`;
  // A raised thigh points at the viewer: it is seen short, its knee as a round end.
  const kneeY = kneeRaised ? leg.y - 70 : leg.y - 210;
  const style = { fill: 'var(--body)', stroke: 'var(--body-line)', strokeWidth: 1.2 };
  const belt = px(vec(0, 48));
  return (
    <g>
      <path
        d={`M${p(-140, 70)}C${p(-150, 220)} ${p(-190, 330)} ${p(-180, 440)}L${p(180, 440)}C${p(190, 330)} ${p(150, 220)} ${p(140, 70)}Z`}
        {...style}
        opacity="0.55"
      />
      <path d={thigh(-side, otherLeg.y - 210)} {...style} />
      <path d={thigh(side, kneeY)} {...style} />
      <rect
        x={belt.x - 152 * scale}
        y={belt.y - 22 * scale}
        width={304 * scale}
        height={44 * scale}
        rx={14 * scale}
        fill="var(--textile)"
        opacity="0.85"
      />
      {[leg, otherLeg].map((at, i) => {
        const c = px(vec(at.x * 1.02, at.y - 14));
        return (
          <ellipse
            key={i}
            cx={c.x}
            cy={c.y}
            rx={76 * scale}
            ry={17 * scale}
            fill="none"
            stroke="var(--textile)"
            strokeWidth={16 * scale}
          />
        );
      })}
      <path
        d={`M${p(-9, 34)}L${p(-9, -18)}Q${p(0, -34)} ${p(9, -18)}L${p(9, 34)}`}
        fill="none"
        stroke="var(--textile)"
        strokeWidth={11 * scale}
      />
    </g>
  );
}

export function Hand({ at, scale }: { at: Vec; scale: number }) {
  return (
    <g fill="var(--body)" stroke="var(--body-line)" strokeWidth="1.4">
      <rect x={at.x - 42 * scale} y={at.y - 34 * scale} width={84 * scale} height={62 * scale} rx={24 * scale} />
      {[-16, 0, 16].map((dy) => (
        <path key={dy} d={`M${at.x - 40 * scale} ${at.y + dy * scale}h${44 * scale}`} fill="none" />
      ))}
    </g>
  );
}

const GHOST = { strokeDasharray: '5 4' };
const line = (...points: Vec[]) => `M${points.map((p) => `${p.x} ${p.y}`).join('L')}`;

/** From the anchor into the device, and out of it past the hitch to the brake hand. */
export function Strands({ view, layout, frame: { px, beside, topMm, bottomMm, ropePx, strandGapMm } }: Drawn) {
  const { side, lip, attach, hand } = layout;
  const colour = (k: number) => (k <= 0 || !view.joined ? 'var(--rope-a)' : 'var(--rope-b)');
  const strands = view.strands === 2 ? [-1, 1] : [0];
  const toHand = (k: number): Vec[] =>
    view.braker
      ? [
          beside(attach, k * strandGapMm + side * -14),
          px(add(hand, vec(k * strandGapMm, 0))),
          px(add(hand, vec(side * 16 + k * strandGapMm, -75))),
        ]
      : [px(vec(side * 20, bottomMm))];
  return (
    <>
      {strands.map((k) => (
        <path
          key={k}
          d={line(px(vec(k * 7, topMm)), px(vec(k * 7, layout.extensionMm + 8)))}
          stroke={colour(k)}
          strokeWidth={ropePx}
        />
      ))}
      {strands.map((k) => (
        <path
          key={k}
          d={line(beside(lip, k * strandGapMm), ...toHand(k))}
          fill="none"
          stroke={colour(k)}
          strokeWidth={ropePx}
          strokeLinejoin="round"
        />
      ))}
    </>
  );
}

/** The sling that the device hangs on, with its knots. */
export function Extension({ view, layout, frame: { px, scale } }: Drawn) {
  const slingMm = layout.extensionMm - layout.connectorMm;
  const knots = view.extension?.knots ?? 0;
  return (
    <>
      <path
        d={line(px(vec(0, -4)), px(vec(0, slingMm)))}
        stroke="var(--textile)"
        strokeWidth={Math.max(6, 14 * scale)}
        strokeLinecap="round"
        {...(layout.guessed.extension ? GHOST : {})}
      />
      {Array.from({ length: knots }, (_, i) => {
        const at = px(vec(0, (slingMm * (i + 1)) / (knots + 1)));
        return (
          <ellipse
            key={i}
            cx={at.x}
            cy={at.y}
            rx={12 * scale + 4}
            ry={10 * scale + 3}
            fill="var(--textile)"
            stroke="var(--surface)"
          />
        );
      })}
    </>
  );
}

/** The connector of the device, its gate on the side that it is said to be on. */
export function DeviceConnector({ view: { connector }, layout, frame: { px, endsPx } }: Drawn) {
  const { side } = layout;
  const gateSide = connector?.faces === 'rope' ? side : -side;
  const top = add(px(vec(0, layout.extensionMm)), vec(0, endsPx.top));
  const low = add(px(vec(0, layout.extensionMm - layout.connectorMm)), vec(0, -endsPx.low));
  return (
    <>
      <path
        d={hullPath(top, endsPx.top, low, endsPx.low)}
        fill="none"
        stroke="var(--metal)"
        strokeWidth="5"
        {...(layout.guessed.extension ? GHOST : {})}
      />
      <Gate
        from={add(top, vec(gateSide * endsPx.top, 0))}
        to={add(low, vec(gateSide * endsPx.low, 0))}
        locked={connector?.gate === 'locked'}
        size="small"
      />
    </>
  );
}

/** Legs of the cord, its connector and the wraps around the strands below the device. */
export function HitchBelow({
  layout,
  view,
  frame: { px, beside, scale, cordPx },
}: {
  layout: HandsLayout;
  view: HitchView;
  frame: HandsFrame;
}) {
  const { side, along, attach, coilLow, coilHigh } = layout;
  const guessed = layout.guessed.hitch ? GHOST : {};
  const { wraps } = view.hitch;
  return (
    <g>
      <path
        d={line(beside(coilLow, 0), px(layout.hitchConnectorEnd))}
        stroke="var(--cord)"
        strokeWidth={cordPx}
        {...guessed}
      />
      <path
        d={line(beside(coilHigh, side * -16), beside(coilLow, side * -22), px(layout.hitchConnectorEnd))}
        fill="none"
        stroke="var(--cord)"
        strokeWidth={cordPx}
        strokeLinejoin="round"
        {...guessed}
      />
      <path
        d={hullPath(px(layout.hitchConnectorEnd), 9 * scale + 3, px(attach), 7 * scale + 2)}
        fill="none"
        stroke="var(--metal)"
        strokeWidth="4"
        {...(view.connector?.item ? {} : GHOST)}
      />
      {Array.from({ length: wraps * 2 }, (_, i) => {
        const p = add(coilLow, mul(add(coilHigh, mul(coilLow, -1)), (i + 0.5) / (wraps * 2)));
        return (
          <path
            key={i}
            d={line(beside(add(p, mul(along, -2.5)), 15), beside(add(p, mul(along, 2.5)), -15))}
            stroke="var(--cord)"
            strokeWidth={Math.max(2, cordPx - 0.6)}
            strokeLinecap="round"
            opacity={layout.guessed.hitch ? 0.45 : 1}
          />
        );
      })}
    </g>
  );
}

/** Wraps above the device, with the tether that runs beside it to the harness. */
export function HitchAbove({
  layout,
  frame: { px, scale, cordPx },
  wraps,
}: {
  layout: HandsLayout;
  frame: HandsFrame;
  wraps: number;
}) {
  const { lowMm, highMm } = layout.above!;
  const x = -layout.side * 42;
  return (
    <g fill="none" strokeLinecap="round">
      <path
        d={line(px(vec(-layout.side * 6, 0)), px(vec(x, lowMm * 0.3)), px(vec(x, lowMm * 0.8)))}
        stroke="var(--textile)"
        strokeWidth={Math.max(4, 11 * scale)}
        strokeLinejoin="round"
      />
      <path d={line(px(vec(x, lowMm * 0.8)), px(vec(0, lowMm)))} stroke="var(--cord)" strokeWidth={cordPx} />
      {Array.from({ length: wraps * 2 }, (_, i) => {
        const y = lowMm + ((i + 0.5) / (wraps * 2)) * (highMm - lowMm);
        return (
          <path key={i} d={line(px(vec(-14, y - 2)), px(vec(14, y + 2)))} stroke="var(--cord)" strokeWidth={cordPx} />
        );
      })}
    </g>
  );
}
