import { scaleLinear } from 'd3-scale';
import { useRef, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import {
  DEVICE_HEIGHT_M,
  groundFall,
  pastBelay,
  TIE_IN_ABOVE_FEET_M,
  type FallQuestion,
  type Frame,
} from '@core/rigs/catch';
import { printQuantity } from '@core/foundations/units';
import { usePreferences } from '../../../app/preferences';
import { Dimension, Label } from '../../../drawing/parts';
import { vec } from '../../../drawing/vector';

const WIDTH = 420;
const HEIGHT = 560;
const TOP = 26;
const GROUND = 520;
const WALL = 110;
/** Somebody on the drawing stands this high, m. */
const BODY_M = 1.75;
/** A climber beside the wall, m. */
const OFF_WALL_M = 0.35;

interface CatchDrawingProps {
  readonly question: FallQuestion;
  readonly frame: Frame;
  /** Where the climber's tie-in is at the lowest point, m; from a stance below nothing. */
  readonly lowestM: number;
  /** On a top rope nothing is led: the rope runs over the anchor. */
  readonly led: boolean;
  readonly left: boolean;
  /** Heights of the tie-in from which a fall reaches the ground, m. */
  readonly bands: readonly (readonly [number, number])[];
  readonly onMove: (patch: Partial<FallQuestion>) => void;
}

const round = (m: number) => Math.round(m * 10) / 10;

/**
 * Wall, rope, climber and belayer to scale in metres, at one moment of the fall; what one would move in life is moved
 * here.
 */
export function CatchDrawing({ question: q, frame, lowestM, led, left, bands, onMove }: CatchDrawingProps) {
  const { system } = usePreferences();
  const svg = useRef<SVGSVGElement>(null);
  const past = pastBelay(q) || groundFall(q);
  const stance = q.from === 'stance';
  const topM = Math.max(q.climberM + 1, past ? 0 : q.lastPieceM + 1, 6);
  // From a stance there is something below it: as far down as the fall goes, feet and all; a rope that runs on without
  // end leaves the drawing.
  const bottomM = stance ? Math.max(-2 * topM, Math.min(-2, lowestM - 1.5)) : 0;
  const y = scaleLinear([bottomM, topM], [GROUND, TOP]);
  const scale = (GROUND - TOP) / (topM - bottomM);
  const floor = y(0);
  const x = (m: number) => WALL + m * scale;
  const say = (m: number) => printQuantity(m, 'lengthM', system);
  const bodyPx = Math.max(24, BODY_M * scale);

  const climber = vec(x(OFF_WALL_M), y(frame.climberM));
  const belayerX = Math.min(WIDTH - 16, x(q.besideM - frame.towardsWallM));
  const device = vec(belayerX, y(DEVICE_HEIGHT_M + frame.liftM));
  // With nothing clipped the rope runs from the device to the climber.
  const first = past ? device : vec(WALL + 4, y(q.firstPieceM));
  const last = past ? device : vec(WALL + 4, y(q.lastPieceM));
  const tight = frame.climberN > 0;

  const moveTo = (event: PointerEvent<SVGElement>): { heightM: number; besideM: number } => {
    const box = svg.current!.getBoundingClientRect();
    const px = ((event.clientX - box.left) / box.width) * WIDTH;
    const py = ((event.clientY - box.top) / box.height) * HEIGHT;
    return { heightM: y.invert(py), besideM: ((left ? WIDTH - px : px) - WALL) / scale };
  };
  const bounded = (m: number, least: number, most: number) => round(Math.min(most, Math.max(least, m)));
  const setClimber = (m: number) =>
    onMove({ climberM: bounded(m, Math.max(0.5, q.ledgeM + TIE_IN_ABOVE_FEET_M), 200) });
  const setFirst = (m: number) => onMove({ firstPieceM: bounded(m, 0.5, q.lastPieceM) });
  const setLast = (m: number) => {
    const lastPieceM = bounded(m, led ? q.firstPieceM : 0.5, 200);
    onMove(led ? { lastPieceM } : { lastPieceM, firstPieceM: lastPieceM });
  };
  const setBeside = (m: number) => onMove({ besideM: bounded(m, 0, 20) });

  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="w-full"
      role="group"
      aria-label={`Drawing of the fall. Climber at ${say(frame.climberM)}, ${past ? 'nothing clipped' : `last piece at ${say(q.lastPieceM)}, first at ${say(q.firstPieceM)}`}, belayer ${say(q.besideM)} from the wall.`}
    >
      <g transform={left ? `translate(${WIDTH} 0) scale(-1 1)` : undefined}>
        <path
          d={`M0 ${TOP - 20}H${WALL - 6}L${WALL} ${TOP + 40}L${WALL - 5} ${(TOP + GROUND) / 2}${stance ? `L${WALL} ${floor}H${device.x + bodyPx * 0.5}L${WALL} ${floor + 16}V${HEIGHT}H0Z` : `L${WALL} ${GROUND}H${WIDTH}V${HEIGHT}H0Z`}`}
          fill="var(--rock)"
          stroke="var(--rock-line)"
        />
        {(q.ledgeM > 0 || (q.ledgeM < 0 && q.ledgeM > bottomM)) && (
          <path
            d={`M${WALL} ${y(q.ledgeM)}h26l-26 22z`}
            fill="var(--rock)"
            stroke="var(--rock-line)"
            strokeWidth="1.6"
          />
        )}
        {bands.map(([from, to]) => (
          <Band key={from} top={y(Math.min(to, topM))} bottom={y(Math.max(from, bottomM))} />
        ))}
        <g fill="none" stroke="var(--rope-a)" strokeWidth="3" strokeLinejoin="round">
          <path
            d={`M${device.x} ${device.y}L${first.x} ${first.y}L${last.x} ${last.y}${tight || !led ? `L${climber.x} ${climber.y}` : `Q${last.x - 4} ${(last.y + climber.y) / 2} ${climber.x} ${climber.y}`}`}
          />
          <path d={`M${device.x + 3} ${device.y + 2}q8 ${bodyPx * 0.2} 4 ${bodyPx * 0.36}`} />
        </g>
        {(past
          ? []
          : led
            ? [
                q.firstPieceM,
                ...(q.secondPieceM !== null && q.secondPieceM < q.lastPieceM ? [q.secondPieceM] : []),
                q.lastPieceM,
              ]
            : [q.lastPieceM]
        ).map((m) => (
          <circle key={m} cx={WALL + 4} cy={y(m)} r="5" fill="var(--surface)" stroke="var(--ink)" strokeWidth="2.2" />
        ))}
        <Body x={climber.x} tieInY={climber.y} bodyPx={bodyPx} hangs={tight} />
        <Body x={device.x} tieInY={device.y} bodyPx={bodyPx} hangs={frame.liftM > 0.05} device />
      </g>
      <Numbers left={left}>
        {(flip) => (
          <>
            <Label at={vec(flip(12), (past ? floor : y(q.lastPieceM)) + 4)} anchor={left ? 'end' : 'start'}>
              {past
                ? ['stance', 'nothing clipped']
                : led
                  ? [`last piece`, say(q.lastPieceM)]
                  : ['anchor', say(q.lastPieceM)]}
            </Label>
            {led && !past && q.lastPieceM - q.firstPieceM > 40 / scale && (
              <Label at={vec(flip(12), y(q.firstPieceM) + 4)} anchor={left ? 'end' : 'start'}>
                {['first piece', say(q.firstPieceM)]}
              </Label>
            )}
            <Label at={vec(flip(climber.x + bodyPx * 0.45 + 8), climber.y)} anchor={left ? 'end' : 'start'} strong>
              {say(frame.climberM)}
            </Label>
            {q.besideM * scale > 30 && (
              <Dimension
                from={vec(flip(WALL), floor)}
                to={vec(flip(x(q.besideM)), floor)}
                offset={left ? -16 : 16}
                label={say(q.besideM)}
                anchor="middle"
                shift={16}
              />
            )}
            {frame.liftM > 0.05 && (
              <Dimension
                from={vec(flip(device.x + bodyPx * 0.4), floor)}
                to={vec(flip(device.x + bodyPx * 0.4), y(frame.liftM))}
                offset={left ? -12 : 12}
                label={['lifted', say(frame.liftM)]}
                tone="mind"
                anchor={left ? 'end' : 'start'}
              />
            )}
          </>
        )}
      </Numbers>
      <g transform={left ? `translate(${WIDTH} 0) scale(-1 1)` : undefined}>
        <Handle
          name="Climber"
          at={vec(x(OFF_WALL_M), y(q.climberM))}
          value={q.climberM}
          most={200}
          says={say(q.climberM)}
          onStep={(d) => setClimber(q.climberM + d)}
          onDrag={(e) => setClimber(moveTo(e).heightM)}
        />
        {!past && (
          <Handle
            name={led ? 'Last piece' : 'Anchor'}
            at={last}
            value={q.lastPieceM}
            most={200}
            says={say(q.lastPieceM)}
            onStep={(d) => setLast(q.lastPieceM + d)}
            onDrag={(e) => setLast(moveTo(e).heightM)}
          />
        )}
        {led && !past && q.firstPieceM < q.lastPieceM && (
          <Handle
            name="First piece"
            at={first}
            value={q.firstPieceM}
            most={q.lastPieceM}
            says={say(q.firstPieceM)}
            onStep={(d) => setFirst(q.firstPieceM + d)}
            onDrag={(e) => setFirst(moveTo(e).heightM)}
          />
        )}
        <Handle
          name="Belayer"
          at={vec(Math.min(WIDTH - 16, x(q.besideM)), y(0.7))}
          value={q.besideM}
          most={20}
          says={`${say(q.besideM)} from the wall`}
          sideways
          onStep={(d) => setBeside(q.besideM + d)}
          onDrag={(e) => setBeside(moveTo(e).besideM)}
        />
      </g>
    </svg>
  );
}

/** A stretch of wall from which a fall reaches the ground: hatched, so that it is seen without colour. */
function Band({ top, bottom }: { top: number; bottom: number }) {
  const [x, width] = [WALL - 16, 10];
  return (
    <g data-band>
      <rect
        x={x}
        y={top}
        width={width}
        height={Math.max(2, bottom - top)}
        fill="var(--stop-wash)"
        stroke="var(--stop)"
      />
      {Array.from({ length: Math.floor((bottom - top) / 8) }, (_, i) => (
        <path key={i} d={`M${x} ${top + 8 * (i + 1)}l${width} -8`} stroke="var(--stop)" strokeWidth="1.5" />
      ))}
    </g>
  );
}

/** Numbers are not mirrored with the drawing, only where they stand. */
function Numbers({ left, children }: { left: boolean; children: (flip: (x: number) => number) => ReactNode }) {
  return <g>{children((x) => (left ? WIDTH - x : x))}</g>;
}

interface BodyProps {
  readonly x: number;
  readonly tieInY: number;
  readonly bodyPx: number;
  readonly hangs: boolean;
  readonly device?: boolean;
}

/** Somebody to scale, the harness at the given point: upright, or leaning back in the rope. */
function Body({ x, tieInY, bodyPx, hangs, device = false }: BodyProps) {
  const u = bodyPx / 17.5;
  const lean = hangs ? -2.2 * u : 0;
  return (
    <g transform={`translate(${x} ${tieInY})`} stroke="var(--ink)" strokeLinecap="round" fill="none">
      <circle cx={-lean} cy={-6.2 * u} r={1.5 * u} fill="var(--ink)" stroke="none" />
      <path d={`M0 0L${-lean * 0.8} ${-4.6 * u}`} strokeWidth={2.1 * u} />
      <path
        d={`M0 0L${-1.2 * u + lean} ${5 * u}L${-1.6 * u + lean * 1.4} ${9.6 * u}M0 0L${1.4 * u + lean} ${5 * u}L${1.5 * u + lean} ${9.8 * u}`}
        strokeWidth={u}
      />
      <path
        d={`M${-lean * 0.7} ${-4 * u}L${-3 * u} ${-1.4 * u}${device ? `L${1.4 * u} ${0.8 * u}` : `L${-4 * u} ${-4.5 * u}`}`}
        strokeWidth={u}
      />
      {device && <circle r={Math.max(2.6, 1.1 * u)} fill="var(--metal)" stroke="var(--ink)" />}
    </g>
  );
}

interface HandleProps {
  readonly name: string;
  readonly at: { readonly x: number; readonly y: number };
  readonly value: number;
  readonly most: number;
  readonly says: string;
  readonly sideways?: boolean;
  readonly onStep: (by: number) => void;
  readonly onDrag: (event: PointerEvent<SVGElement>) => void;
}

const STEPS: Readonly<Record<string, number>> = {
  ArrowUp: 0.1,
  ArrowRight: 0.1,
  ArrowDown: -0.1,
  ArrowLeft: -0.1,
  PageUp: 1,
  PageDown: -1,
};

/** Where something is taken hold of: with finger or mouse, or with the arrow keys. */
function Handle({ name, at, value, most, says, sideways = false, onStep, onDrag }: HandleProps) {
  const onKey = (event: KeyboardEvent<SVGElement>) => {
    const step = STEPS[event.key];
    if (step === undefined) return;
    event.preventDefault();
    onStep(step);
  };
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={name}
      aria-orientation={sideways ? 'horizontal' : 'vertical'}
      aria-valuemin={0}
      aria-valuemax={most}
      aria-valuenow={value}
      aria-valuetext={says}
      className={`touch-none ${sideways ? 'cursor-ew-resize' : 'cursor-ns-resize'}`}
      transform={`translate(${at.x} ${at.y})`}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        onDrag(event);
      }}
      onPointerMove={(event) => event.buttons > 0 && onDrag(event)}
      onKeyDown={onKey}
    >
      <circle r="22" fill="transparent" />
      <path
        d={sideways ? 'M-13 0l5 -4v8zM13 0l-5 -4v8z' : 'M0 -15l-4 6h8zM0 15l-4 -6h8z'}
        fill="var(--act)"
        stroke="var(--surface)"
        strokeWidth="1.5"
        paintOrder="stroke"
      />
    </g>
  );
}
