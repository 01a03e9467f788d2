import type { ElementId } from '@core/foundations/finding';
import { threadingsOf } from '@core/things/fit';
import { contextOf, guides } from '@core/rigs/elements';
import { brakeAngleOf, withFields } from '@core/rigs/rig';
import { printInterval, printQuantity } from '@core/foundations/units';
import { usePreferences } from '../app/preferences';
import { Dragged } from './Dragged';
import type { DrawingProps } from './drawing-props';
import { DeviceGlyph } from './glyphs';
import { Hand } from './hands-parts';
import { marksFor } from './marks';
import { hullPath, Label, Marker } from './parts';
import { glyphOf, rigView } from './rig-view';
import { ThreadedDrawing } from './threaded/ThreadedDrawing';
import { add, vec, type Vec } from './vector';

const WIDTH = 320;
const HEIGHT = 540;
const X = 160;
/** Px per mm: about life size on a desk. */
const SCALE = 1.25;

/**
 * A plate at the anchor that grips by itself: which strand lies above decides, so that the section is drawn, as it is
 * said to lie.
 */
function GuideHands({ setup, assessment, chosen, onChoose }: DrawingProps) {
  const view = rigView(setup);
  const end = view.main.end.kind === 'device' ? view.main.end : null;
  const family = view.device!.family;
  const all = threadingsOf(family, 'guides');
  const below = end?.loadStrand === 'below';
  const hand = view.braker?.item?.brakeHand ?? 'right';
  const x = (at: number) => (hand === 'left' ? 200 - at : at);
  const parts: Record<ElementId, Vec> = {
    [view.main.end.id]: vec(x(104), 118),
    ...(view.connector ? { [view.connector.id]: vec(x(60), 118) } : {}),
    ...(view.braker ? { [view.braker.handId]: vec(x(156), 206) } : {}),
  };
  const marks = marksFor(assessment.findings, new Set(Object.keys(parts)), chosen);
  return (
    <figure className="min-w-0">
      <figcaption className="flex min-h-11 flex-wrap items-center justify-between gap-x-3 sm:min-h-9">
        <span className="font-bold">In the plate</span>
        <span className="text-sm text-ink-2">
          {end?.loadStrand === 'unknown' ? 'as it is meant to be; not said' : 'as it is said, each strand by itself'}
        </span>
      </figcaption>
      <ThreadedDrawing
        family={family}
        mode="guides"
        threading={all.find((t) => t.id === (below ? 'load-below' : 'right'))!}
        hand={hand}
      >
        {marks.map((mark) => {
          const at = parts[mark.part]!;
          return (
            <Marker
              key={mark.part}
              mark={mark}
              at={at}
              sign={add(at, vec(mark.part === view.main.end.id ? 40 : 0, -34))}
              onChoose={onChoose}
            />
          );
        })}
      </ThreadedDrawing>
    </figure>
  );
}

/** A device at an anchor, large: load strand, brake strand and how it is led, with what the hand must hold. */
export function AnchorHands(props: DrawingProps) {
  const { main } = rigView(props.setup);
  return guides(main, contextOf(props.setup)) ? <GuideHands {...props} /> : <BrakedHands {...props} />;
}

const RADIUS = 118;
const DEG = Math.PI / 180;
/** The brake strand is bent by fives of degrees: nobody sees more. */
const STEP_DEG = 5;

function BrakedHands({ setup, assessment, chosen, onChoose, onChange }: DrawingProps) {
  const { system } = usePreferences();
  const view = rigView(setup);
  const { figures, findings } = assessment;
  const brake = figures.brake[view.main.id];
  const side = view.braker?.item?.brakeHand === 'left' ? -1 : 1;
  const led = view.main.end.kind === 'device' ? view.main.end.brakeLed : 'unknown';
  const angleDeg = brakeAngleOf(view.main) / DEG;
  const measured = view.main.end.kind === 'device' && view.main.end.brakeAngleDeg !== null;
  const known = led !== 'unknown' || measured;
  const over = angleDeg > 90;
  const connector = view.connector;
  const lengthPx = Math.min(150, (connector?.item?.insideLengthMm ?? 95) * SCALE);
  const top = 70;
  const low = top + lengthPx;
  const deviceY = low + 26;
  const broad = Math.min(34, ((connector?.item?.broadInsideWidthMm ?? 42) * SCALE) / 2);
  const gateSide = connector?.faces === 'rope' ? side : -side;
  const handAt = vec(X + side * 92, 360);
  /** Where the brake strand is led: from the device at its angle to the loaded strand, 0 straight down. */
  const ledAt = vec(
    X + side * (14 + Math.sin(angleDeg * DEG) * (RADIUS - 30)),
    deviceY + Math.cos(angleDeg * DEG) * RADIUS,
  );
  const bendTo = (place: Vec) => {
    const away = Math.atan2(Math.max(0, side * (place.x - X) - 14) / (RADIUS - 30), (place.y - deviceY) / RADIUS) / DEG;
    return Math.round(away / STEP_DEG) * STEP_DEG;
  };
  const load = view.strands === 2 ? [-1, 1] : [0];
  const locked = connector?.gate === 'locked';
  const parts: Record<ElementId, Vec> = {
    [view.main.end.id]: vec(X, deviceY),
    ...(connector ? { [connector.id]: vec(X, (top + low) / 2) } : {}),
    ...(view.beside ? { [view.beside.id]: vec(X + 12, (top + low) / 2 + 14) } : {}),
    ...(view.braker ? { [view.braker.handId]: handAt } : {}),
  };
  const marks = marksFor(findings, new Set(Object.keys(parts)), chosen);
  return (
    <figure className="min-w-0">
      <figcaption className="flex min-h-11 items-center justify-between gap-3 sm:min-h-9">
        <span className="font-bold">At the anchor</span>
      </figcaption>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="mt-1 w-full"
        role="group"
        aria-label={`Drawing of the device at the anchor. Brake strand ${!known ? 'not said' : over ? 'led up and over' : angleDeg > 0 ? 'led aside' : 'straight down beside the load'}.`}
      >
        <path d={`M${X - 60} 24H${X + 60}`} stroke="var(--rock-line)" strokeWidth="6" strokeLinecap="round" />
        <path
          d={`M${X - 40} 26L${X} ${top}M${X + 40} 26L${X} ${top}`}
          stroke="var(--textile)"
          strokeWidth="6"
          fill="none"
        />
        {/* the load hangs below */}
        {load.map((k) => (
          <path
            key={k}
            d={`M${X + k * 9 - side * 6} ${deviceY}V${HEIGHT - 40}`}
            stroke={k > 0 ? 'var(--rope-b)' : 'var(--rope-a)'}
            strokeWidth={view.ropeA.diameterMm * SCALE * 0.8}
          />
        ))}
        {/* the brake strand */}
        <path
          d={`M${X + side * 12} ${deviceY}L${ledAt.x} ${ledAt.y}L${handAt.x} ${handAt.y}l${side * 6} 90`}
          fill="none"
          stroke="var(--rope-a)"
          strokeWidth={view.ropeA.diameterMm * SCALE * 0.8}
          strokeLinejoin="round"
          opacity={known ? 0.9 : 0.45}
          strokeDasharray={known ? undefined : '8 6'}
        />
        {over && <circle cx={ledAt.x} cy={ledAt.y} r="14" fill="none" stroke="var(--metal)" strokeWidth="6" />}
        <path
          d={hullPath(vec(X, low - broad + 6), broad, vec(X, top + 12), 12)}
          fill="none"
          stroke="var(--metal)"
          strokeWidth="8"
          strokeDasharray={connector?.item ? undefined : '5 4'}
        />
        <path
          d={`M${X + gateSide * (broad - 2)} ${low - broad}L${X + gateSide * 15} ${top + 22}`}
          stroke={locked ? 'var(--ink)' : 'var(--surface)'}
          strokeWidth={locked ? 11 : 7}
          strokeDasharray={locked ? '24 200' : '10 4'}
          strokeDashoffset={locked ? -12 : 0}
        />
        <DeviceGlyph at={vec(X, deviceY)} scale={SCALE * 0.8} side={side} {...glyphOf(view.device)} />
        <Label at={vec(X - side * 14, HEIGHT - 22)} anchor={side > 0 ? 'end' : 'start'}>
          load
        </Label>
        {view.braker && <Hand at={handAt} scale={0.62} />}
        <Label at={vec(X + side * 64, handAt.y - 34)} anchor={side > 0 ? 'start' : 'end'}>
          brake hand
        </Label>
        {brake && (
          <g>
            <Label at={vec(8, HEIGHT - 106)} strong>
              {['needs', ...printInterval(brake.bottomN, 'forceN', system).split(/ (?=\()/)]}
            </Label>
            <Label at={vec(8, HEIGHT - 58)} colour="var(--ink-2)">
              {[
                'holds',
                `${printQuantity(brake.handN.best, 'forceN', system)}${brake.handMeasured ? '' : ', estimated'}`,
              ]}
            </Label>
          </g>
        )}
        {onChange && view.main.end.kind === 'device' && (
          <Dragged
            label="Brake strand, away from the loaded one"
            value={angleDeg}
            min={0}
            max={180}
            step={STEP_DEG}
            sense={-1}
            text={known ? `${angleDeg.toFixed(0)}°` : 'not said'}
            at={ledAt}
            valueAt={bendTo}
            onMove={(deg) =>
              onChange(
                withFields(setup, view.main.end.id, {
                  brakeAngleDeg: deg,
                  brakeLed: deg > 90 ? 'redirected' : 'below',
                }),
                `${view.main.end.id}/brakeAngleDeg`,
              )
            }
          >
            <circle r="24" fill="transparent" />
            <circle r="9" fill="var(--surface)" stroke="var(--ink)" strokeWidth="2.5" />
            <Label at={vec(side * 26, 4)} anchor={side > 0 ? 'start' : 'end'} strong>
              {known ? `${angleDeg.toFixed(0)}°` : '?'}
            </Label>
          </Dragged>
        )}
        {marks.map((mark) => {
          const at = parts[mark.part]!;
          const out = mark.part === view.braker?.handId ? side : -side;
          return (
            <Marker
              key={mark.part}
              mark={mark}
              at={at}
              sign={add(at, vec(out * 54, mark.part === view.main.end.id ? -12 : 10))}
              onChoose={onChoose}
            />
          );
        })}
      </svg>
    </figure>
  );
}
