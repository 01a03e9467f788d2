import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import type { BrakePoint } from '@core/things/friction';
import type { RigAnchor } from '@core/rigs/rig';
import { interval, printQuantity, type Interval } from '@core/foundations/units';
import { usePreferences } from '../app/preferences';
import { Label } from './parts';
import { vec } from './vector';

export const WIDTH = 320;
export const HEIGHT = 540;
export const TOP = 62;
export const BOTTOM = 470;
const CHART = { left: 196, right: 304 } as const;

/** Force at a depth, between the points of the profile. */
export function forceAt(profile: readonly BrakePoint[], depthM: number): Interval {
  const after = profile.findIndex((p) => p.depthM >= depthM);
  if (after <= 0) return (after === 0 ? profile[0] : profile.at(-1))!.forceN;
  const [a, b] = [profile[after - 1]!, profile[after]!];
  const t = (depthM - a.depthM) / (b.depthM - a.depthM);
  const mix = (x: number, y: number) => x + t * (y - x);
  return interval(
    mix(a.forceN.low, b.forceN.low),
    mix(a.forceN.best, b.forceN.best),
    mix(a.forceN.high, b.forceN.high),
  );
}

/** Points of an anchor and the ring, or what else the rope runs through. */
export function AnchorGlyph({ x, y, anchor }: { x: number; y: number; anchor: RigAnchor }) {
  const soft = anchor.through === 'textile';
  const bolts = anchor.points === 'one' ? [x - 23] : [x - 35, x - 15];
  return (
    <g>
      {bolts.map((bx) => (
        <g key={bx}>
          <path
            d={`M${bx} ${y - 22}L${x} ${y - 4}`}
            stroke={soft ? 'var(--textile)' : 'var(--metal)'}
            strokeWidth={soft ? 5 : 3}
            strokeDasharray={anchor.points === 'unknown' ? '3 3' : undefined}
          />
          <circle cx={bx} cy={y - 22} r="5" fill="var(--metal)" stroke="var(--ink)" />
        </g>
      ))}
      <circle cx={x} cy={y} r="8" fill="none" stroke={soft ? 'var(--textile)' : 'var(--metal)'} strokeWidth="4" />
    </g>
  );
}

/** Somebody who hangs in a rope; `flip` looks the other way. */
export function Hanging({ flip = false }: { flip?: boolean }) {
  return (
    <g fill="var(--ink)" stroke="var(--surface)" strokeWidth="1.5" transform={flip ? 'scale(-1 1)' : undefined}>
      <circle cx="14" cy="-15" r="6" />
      <path d="M3 -2L12 -9L20 -4L17 8L6 12L-10 10L-22 16L-24 12L-11 4L2 4Z" />
      <path d="M6 11L-8 17L-22 25L-24 21L-9 10Z" />
      <path d="M14 -6L2 -4L1 -8L13 -10Z" />
    </g>
  );
}

/** Somebody who stands, feet at the given point. */
export function Standing({ x, y, flip = false }: { x: number; y: number; flip?: boolean }) {
  return (
    <g
      transform={`translate(${x} ${y})${flip ? ' scale(-1 1)' : ''}`}
      fill="var(--ink)"
      stroke="var(--surface)"
      strokeWidth="1.5"
    >
      <circle cx="0" cy="-48" r="6.5" />
      <path d="M-6 -40H6L8 -20L5 0H1L0 -16L-2 0H-6L-7 -20Z" />
      <path d="M4 -38L-14 -30L-15 -26L3 -32Z" />
    </g>
  );
}

interface ForceChartProps {
  readonly profile: readonly BrakePoint[];
  readonly hand: Interval;
  readonly measured: boolean;
  readonly y: (m: number) => number;
  readonly depthM: number;
  readonly now: Interval;
}

/** What the hand needs along the way, against what it holds; the same vertical scale as the site. */
export function ForceChart({ profile, hand, measured, y, depthM, now }: ForceChartProps) {
  const { system } = usePreferences();
  const most = Math.max(hand.high, ...profile.map((p) => p.forceN.high)) * 1.05;
  const x = scaleLinear([0, most], [CHART.left, CHART.right]).clamp(true);
  const band = area<BrakePoint>()
    .y((p) => y(p.depthM))
    .x0((p) => x(p.forceN.low))
    .x1((p) => x(p.forceN.high));
  const best = line<BrakePoint>()
    .y((p) => y(p.depthM))
    .x((p) => x(p.forceN.best));
  const [top, bottom] = [y(0), y(profile.at(-1)!.depthM)];
  const at = y(depthM);
  return (
    <g aria-hidden>
      <path d={`M${CHART.left} ${top}V${bottom}`} stroke="var(--line-2)" />
      <rect
        x={x(hand.low)}
        width={Math.max(2, x(hand.high) - x(hand.low))}
        y={top}
        height={bottom - top}
        fill="var(--clear-wash)"
        stroke="none"
      />
      <path d={`M${x(hand.best)} ${top}V${bottom}`} stroke="var(--clear)" strokeWidth="2" strokeDasharray="7 4" />
      <path d={band([...profile]) ?? ''} fill="var(--rope-a)" opacity="0.22" />
      <path d={best([...profile]) ?? ''} fill="none" stroke="var(--rope-a)" strokeWidth="2.4" />
      <Label at={vec(CHART.right, top - 24)} anchor="end" colour="var(--clear)" strong>
        {`hand holds ${printQuantity(hand.best, 'forceN', system)}`}
      </Label>
      <Label at={vec(CHART.right, top - 9)} anchor="end" colour="var(--ink-2)">
        {measured ? 'measured' : 'estimated'}
      </Label>
      <path d={`M${x(now.low)} ${at}H${x(now.high)}`} stroke="var(--ink)" strokeWidth="5" opacity="0.35" />
      <circle cx={x(now.best)} cy={at} r="5" fill="var(--ink)" />
      <Label at={vec(Math.min(x(now.best), CHART.right - 44), at - 10)} strong>
        {printQuantity(now.best, 'forceN', system)}
      </Label>
      <Label at={vec(CHART.left, bottom + 56)} colour="var(--rope-a)" strong>
        needed force
      </Label>
    </g>
  );
}
