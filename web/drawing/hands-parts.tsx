import { Label } from './parts';
import type { handsLayout } from './hands-layout';
import { vec, type Vec } from './vector';

type Layout = ReturnType<typeof handsLayout>;

export function ArmReach({
  layout,
  px,
  topMm,
  label,
}: {
  layout: Layout;
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
  layout: Layout;
  px: (p: Vec) => Vec;
  scale: number;
  kneeRaised: boolean;
}) {
  const { side, otherLeg } = layout;
  const leg = layout.parts.legLoop!;
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

export function Tube({
  at,
  scale,
  side,
  grooved,
  missing,
}: {
  at: Vec;
  scale: number;
  side: 1 | -1;
  grooved: boolean;
  missing: boolean;
}) {
  const [w, h] = [54 * scale, 40 * scale];
  return (
    <g
      fill={missing ? 'none' : 'var(--metal)'}
      stroke="var(--ink)"
      strokeWidth="1.4"
      strokeDasharray={missing ? '4 3' : undefined}
    >
      <path d={`M${at.x - w / 2} ${at.y - h / 2}h${w}l${-0.12 * w} ${h}h${-0.76 * w}z`} />
      {!missing && (
        <>
          <rect
            x={at.x - w * 0.33}
            y={at.y - h * 0.28}
            width={w * 0.26}
            height={h * 0.3}
            rx="2"
            fill="var(--surface)"
            stroke="none"
          />
          <rect
            x={at.x + w * 0.07}
            y={at.y - h * 0.28}
            width={w * 0.26}
            height={h * 0.3}
            rx="2"
            fill="var(--surface)"
            stroke="none"
          />
          {grooved && (
            <path
              d={`M${at.x + side * w * 0.42} ${at.y + h * 0.1}l${-side * 5} ${h * 0.1}l${side * 4} ${h * 0.08}l${-side * 5} ${h * 0.1}l${side * 3} ${h * 0.08}`}
              fill="none"
              stroke="var(--surface)"
              strokeWidth="2"
            />
          )}
        </>
      )}
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
