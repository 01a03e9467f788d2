import type { Ref } from '@core/finding';
import { threadingsOf } from '@core/fit';
import { contextOf, guides } from '@core/parts';
import { printInterval, printQuantity } from '@core/units';
import { usePreferences } from '../app/preferences';
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

/** A plate at the anchor that grips by itself: which strand lies above decides, so that the section is drawn, as it is said to lie. */
function GuideHands({ setup, assessment, chosen, onChoose }: DrawingProps) {
  const view = rigView(setup);
  const end = view.main.end.kind === 'device' ? view.main.end : null;
  const family = view.device!.family;
  const all = threadingsOf(family, 'guides');
  const below = end?.loadStrand === 'below';
  const hand = view.braker?.item?.brakeHand ?? 'right';
  const x = (at: number) => (hand === 'left' ? 200 - at : at);
  const parts: Record<Ref, Vec> = {
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

function BrakedHands({ setup, assessment, chosen, onChoose }: DrawingProps) {
  const { system } = usePreferences();
  const view = rigView(setup);
  const { figures, findings } = assessment;
  const brake = figures.brake[view.main.id];
  const side = view.braker?.item?.brakeHand === 'left' ? -1 : 1;
  const led = view.main.end.kind === 'device' ? view.main.end.brakeLed : 'unknown';
  const over = led === 'redirected';
  const connector = view.connector;
  const lengthPx = Math.min(150, (connector?.item?.insideLengthMm ?? 95) * SCALE);
  const top = 70;
  const low = top + lengthPx;
  const deviceY = low + 26;
  const broad = Math.min(34, ((connector?.item?.broadInsideWidthMm ?? 42) * SCALE) / 2);
  const gateSide = connector?.faces === 'rope' ? side : -side;
  const handAt = vec(X + side * 92, 360);
  const load = view.strands === 2 ? [-1, 1] : [0];
  const locked = connector?.gate === 'locked';
  const parts: Record<Ref, Vec> = {
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
        aria-label={`Drawing of the device at the anchor. Brake strand ${over ? 'led up and over' : led === 'below' ? 'straight down beside the load' : 'not said'}.`}
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
          d={
            over
              ? `M${X + side * 12} ${deviceY}L${X + side * 62} ${top - 12}L${handAt.x} ${handAt.y}l${side * 6} 90`
              : `M${X + side * 12} ${deviceY}L${X + side * 26} ${deviceY + 70}L${handAt.x} ${handAt.y}l${side * 6} 90`
          }
          fill="none"
          stroke="var(--rope-a)"
          strokeWidth={view.ropeA.diameterMm * SCALE * 0.8}
          strokeLinejoin="round"
          opacity={led === 'unknown' ? 0.45 : 0.9}
          strokeDasharray={led === 'unknown' ? '8 6' : undefined}
        />
        {over && <circle cx={X + side * 62} cy={top - 12} r="14" fill="none" stroke="var(--metal)" strokeWidth="6" />}
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
