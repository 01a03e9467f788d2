import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { Ref } from '@core/finding';
import type { BrakePoint } from '@core/friction';
import type { Setup } from '@core/rig';
import { interval, printInterval, printQuantity, type Interval } from '@core/units';
import { usePreferences } from '../app/preferences';
import type { DrawingProps } from './drawing-props';
import { marksFor } from './marks';
import { Dimension, Label, Marker } from './parts';
import { add, vec, type Vec } from './vector';

const WIDTH = 320;
const HEIGHT = 540;
const ROPE_X = 104;
const CHART = { left: 196, right: 304 } as const;
const TOP = 62;
const BOTTOM = 470;

/** Force at a depth, between the points of the profile. */
function forceAt(profile: readonly BrakePoint[], depthM: number): Interval {
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

/** The place, to scale: anchor, edge, both strands with their ends, stance; and along it the force that the brake hand needs. */
export function SiteDrawing({ setup, assessment, chosen, onChoose }: DrawingProps) {
  const { system } = usePreferences();
  const { figures, findings } = assessment;
  const { situation, rig } = setup;
  const descent = figures.descentM;
  const svg = useRef<SVGSVGElement>(null);
  const [share, setShare] = useState(0.45);

  if (descent <= 0)
    return (
      <p className="rounded-lg bg-untested-wash p-4 text-untested">
        The next stance is not below the anchor. Correct the heights to see the site.
      </p>
    );

  // Along the rope, from the anchor down: what the drawing and the force share.
  const strands = figures.budget ? [figures.budget.strandAM.best, figures.budget.strandBM.best] : null;
  const y = scaleLinear([0, descent], [TOP, BOTTOM]);
  const clampY = (m: number) => Math.min(y(m), BOTTOM + 26);
  const stanceY = y(descent);
  const onLedge = situation.stanceHeightM > 0;
  const depthM = share * descent;
  const brake = figures.brake;
  const now = brake ? forceAt(brake.profile, depthM) : null;
  const say = (m: number) => printQuantity(m, 'lengthM', system);
  const margin = figures.budget?.marginM ?? null;
  const short = margin !== null && margin.best < 0;
  const shorterM = strands ? Math.min(...strands) : null;

  const parts: Partial<Record<Ref, Vec>> = {
    anchor: vec(ROPE_X, TOP - 12),
    edge: vec(ROPE_X - 3, TOP + 22),
    joiningKnot: vec(ROPE_X + 6, TOP + 10),
    rope: vec(ROPE_X + 3, y(descent * 0.22)),
    ropeA: vec(ROPE_X, y(descent * 0.2)),
    ropeB: vec(ROPE_X + 7, y(descent * 0.28)),
    ropeEnds: vec(ROPE_X + 5, shorterM === null ? stanceY : clampY(Math.min(shorterM, descent + 0.2))),
    ground: vec(ROPE_X - 34, stanceY),
  };
  const marks = marksFor(findings, new Set(Object.keys(parts)), chosen);

  const moveTo = (event: PointerEvent<SVGElement>) => {
    const box = svg.current!.getBoundingClientRect();
    const at = ((event.clientY - box.top) / box.height) * HEIGHT;
    setShare(Math.min(1, Math.max(0, y.invert(at) / descent)));
  };
  const onKey = (event: KeyboardEvent<SVGElement>) => {
    const step = { ArrowDown: 0.02, ArrowUp: -0.02, PageDown: 0.1, PageUp: -0.1, Home: -1, End: 1 }[event.key];
    if (step === undefined) return;
    event.preventDefault();
    setShare((s) => Math.min(1, Math.max(0, s + step)));
  };
  const reading = now
    ? `At ${say(depthM)} the brake hand needs ${printInterval(now, 'forceN', system)}.`
    : `At ${say(depthM)} below the anchor.`;

  return (
    <figure className="min-w-0">
      <figcaption className="flex min-h-11 items-center justify-between gap-3 sm:min-h-9">
        <span className="font-bold">Site</span>
        <span className="no-print text-sm text-ink-2">drag the climber</span>
      </figcaption>
      <svg
        ref={svg}
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="mt-1 w-full"
        role="group"
        aria-label={`Drawing of the site. Descent ${say(descent)}. ${reading}`}
      >
        <Ground stanceY={stanceY} onLedge={onLedge} edge={situation.edge} />
        <Anchor points={situation.anchorPoints} textile={situation.anchorRope === 'textile'} />
        {/* strands */}
        {(strands ?? [descent * 0.8, descent * 0.8]).map((m, i) => {
          const x = ROPE_X + i * 7;
          const end = clampY(m);
          const reaches = m >= descent;
          const stopY = reaches ? stanceY - 2 : end;
          return (
            <g
              key={i}
              stroke={i === 1 && rig.ropeUse === 'joined' ? 'var(--rope-b)' : 'var(--rope-a)'}
              fill="none"
              strokeWidth="3"
              strokeDasharray={strands ? undefined : '6 4'}
            >
              <path d={`M${x} ${TOP}V${stopY}`} />
              {reaches && (
                <path
                  d={`M${x} ${stanceY - 2}q${i ? 14 : -14} 6 ${i ? 6 : -6} 8q${i ? -14 : 14} 4 ${i ? 12 : -12} 8`}
                />
              )}
              {strands && (rig.ends === 'both-knotted' || (rig.ends === 'one-knotted' && i === 0)) && (
                <circle
                  cx={reaches ? x + (i ? 14 : -14) : x}
                  cy={reaches ? stanceY + 14 : end}
                  r="4.5"
                  fill="currentColor"
                  stroke="var(--surface)"
                  style={{ color: i === 1 && rig.ropeUse === 'joined' ? 'var(--rope-b)' : 'var(--rope-a)' }}
                />
              )}
            </g>
          );
        })}
        {rig.ropeUse === 'joined' && (
          <circle cx={ROPE_X + 7} cy={TOP + 9} r="6" fill="var(--rope-b)" stroke="var(--surface)" />
        )}
        <Dimension
          from={vec(ROPE_X + 7, TOP)}
          to={vec(ROPE_X + 7, stanceY)}
          offset={-40}
          label={say(descent)}
          shift={120}
        />
        {margin !== null && short && (
          <Dimension
            from={vec(ROPE_X, clampY(shorterM!))}
            to={vec(ROPE_X, stanceY)}
            offset={20}
            label={[say(-margin.best), 'short']}
            shift={-14}
            tone="stop"
            anchor="end"
          />
        )}
        {strands && margin !== null && (
          <g data-testid="strand-lengths">
            <Label
              at={vec(4, stanceY + (onLedge ? 44 : 38))}
              strong={margin.low < 1}
              colour={short ? 'var(--stop)' : margin.low < 1 ? 'var(--mind)' : 'var(--ink)'}
            >
              {[
                `strands ${say(strands[0]!)}, ${say(strands[1]!)}`,
                ...(short ? [] : [`shorter end ${say(margin.best)} over`]),
              ]}
            </Label>
          </g>
        )}
        {brake && (
          <ForceChart
            profile={brake.profile}
            hand={brake.handN}
            measured={brake.handMeasured}
            y={y}
            depthM={depthM}
            now={now!}
          />
        )}
        {/* the climber, to be dragged */}
        <g
          role="slider"
          tabIndex={0}
          aria-label="Climber along the rope"
          aria-orientation="vertical"
          aria-valuemin={0}
          aria-valuemax={Math.round(descent * 10) / 10}
          aria-valuenow={Math.round(depthM * 10) / 10}
          aria-valuetext={reading}
          className="cursor-grab touch-none"
          onPointerDown={(event) => {
            event.currentTarget.setPointerCapture(event.pointerId);
            moveTo(event);
          }}
          onPointerMove={(event) => event.buttons > 0 && moveTo(event)}
          onKeyDown={onKey}
          transform={`translate(${ROPE_X + 3} ${y(depthM)})`}
        >
          <rect x="-26" y="-30" width="52" height="64" fill="transparent" />
          <g fill="var(--ink)" stroke="var(--surface)" strokeWidth="1.5">
            <circle cx="14" cy="-15" r="6" />
            <path d="M3 -2L12 -9L20 -4L17 8L6 12L-10 10L-22 16L-24 12L-11 4L2 4Z" />
            <path d="M6 11L-8 17L-22 25L-24 21L-9 10Z" />
            <path d="M14 -6L2 -4L1 -8L13 -10Z" />
          </g>
        </g>
        {marks.map((mark) => {
          const at = parts[mark.part]!;
          const left = mark.part === 'edge' || mark.part === 'ground' || mark.part === 'anchor';
          return (
            <Marker
              key={mark.part}
              mark={mark}
              at={at}
              sign={add(at, vec(left ? -48 : 34, mark.part === 'anchor' ? -16 : 6))}
              onChoose={onChoose}
            />
          );
        })}
      </svg>
      <p className="min-h-6 text-center text-sm" aria-live="off">
        {reading}
      </p>
    </figure>
  );
}

function Ground({ stanceY, onLedge, edge }: { stanceY: number; onLedge: boolean; edge: Setup['situation']['edge'] }) {
  const brow =
    edge === 'sharp' || edge === 'padded'
      ? `L84 ${TOP - 4}L98 ${TOP + 18}L82 ${TOP + 26}`
      : edge === 'rounded'
        ? `L80 ${TOP - 4}Q96 ${TOP + 4} 88 ${TOP + 22}L80 ${TOP + 34}`
        : `L70 ${TOP - 4}L66 ${TOP + 30}`;
  const wall = `M0 ${TOP - 4}${brow}L76 ${stanceY * 0.5}L70 ${stanceY * 0.75}L74 ${stanceY}`;
  const below = onLedge
    ? `L150 ${stanceY}L146 ${stanceY + 18}L90 ${stanceY + 30}L84 ${HEIGHT}L0 ${HEIGHT}Z`
    : `L${WIDTH} ${stanceY}L${WIDTH} ${stanceY + 18}L0 ${stanceY + 18}Z`;
  return (
    <g>
      <path d={wall + below} fill="var(--rock)" stroke="var(--rock-line)" strokeWidth="1.4" />
      {[0.18, 0.34, 0.5, 0.66, 0.82].map((t, i) => (
        <path
          key={t}
          d={`M${6 + (i % 2) * 10} ${TOP + t * (stanceY - TOP)}h${34 + (i % 3) * 9}`}
          stroke="var(--rock-line)"
          strokeWidth="1.2"
        />
      ))}
      {edge === 'padded' && (
        <path
          d={`M82 ${TOP - 8}L102 ${TOP + 16}L84 ${TOP + 32}`}
          fill="none"
          stroke="var(--textile)"
          strokeWidth="7"
          strokeLinejoin="round"
        />
      )}
      <Label at={vec(8, stanceY + (onLedge ? 22 : 14))} colour="var(--ink-2)">
        {onLedge ? 'ledge' : 'ground'}
      </Label>
    </g>
  );
}

function Anchor({ points, textile }: { points: Setup['situation']['anchorPoints']; textile: boolean }) {
  const bolts = points === 'one' ? [84] : [72, 92];
  return (
    <g>
      {bolts.map((x) => (
        <g key={x}>
          <path
            d={`M${x} ${TOP - 26}L${ROPE_X + 3} ${TOP - 8}`}
            stroke={textile ? 'var(--textile)' : 'var(--metal)'}
            strokeWidth={textile ? 5 : 3}
            strokeDasharray={points === 'unknown' ? '3 3' : undefined}
          />
          <circle cx={x} cy={TOP - 26} r="5" fill="var(--metal)" stroke="var(--ink)" />
        </g>
      ))}
      <circle
        cx={ROPE_X + 3}
        cy={TOP - 4}
        r="8"
        fill="none"
        stroke={textile ? 'var(--textile)' : 'var(--metal)'}
        strokeWidth="4"
      />
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

/** What the hand needs along the descent, against what it holds; the same vertical scale as the site. */
function ForceChart({ profile, hand, measured, y, depthM, now }: ForceChartProps) {
  const { system } = usePreferences();
  const most = Math.max(hand.high, profile.at(-1)!.forceN.high) * 1.05;
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
