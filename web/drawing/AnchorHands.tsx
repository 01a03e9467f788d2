import type { ElementId } from '@core/foundations/finding';
import { threadingsOf } from '@core/things/fit';
import type { BrakeFigures } from '@core/things/friction';
import { contextOf, guides } from '@core/rigs/elements';
import { brakeAngleOf, withFields, type DeviceEnd } from '@core/rigs/rig';
import { printInterval, printQuantity } from '@core/foundations/units';
import { usePreferences } from '../app/preferences';
import { Dragged } from './Dragged';
import type { DrawingProps } from './drawing-props';
import { Gate } from './Gate';
import { DeviceGlyph } from './glyphs';
import { HANDS_SHEET } from './hands-frame';
import { Hand } from './hands-parts';
import { hullPath, Label, Marks } from './parts';
import { glyphOf, rigView, type RigView } from './rig-view';
import { ThreadedDrawing } from './threaded/ThreadedDrawing';
import { vec, type Vec } from './vector';

const X = HANDS_SHEET.width / 2;
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
  return (
    <figure className="min-w-0">
      <figcaption className="flex min-h-11 flex-wrap items-center justify-between gap-x-3 sm:min-h-9">
        <span className="font-bold">In the plate</span>
        <span className="text-sm text-ink-2">
          {end?.loadStrand === 'unknown' ? 'as it is meant to be; not entered' : 'as entered, each strand by itself'}
        </span>
      </figcaption>
      <ThreadedDrawing
        family={family}
        mode="guides"
        threading={all.find((t) => t.id === (below ? 'load-below' : 'right'))!}
        hand={hand}
      >
        <Marks
          findings={assessment.findings}
          parts={parts}
          chosen={chosen}
          away={(part) => vec(part === view.main.end.id ? 40 : 0, -34)}
          onChoose={onChoose}
        />
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
const CONNECTOR_TOP = 70;

/** How the brake strand is led, and where that lies on the sheet. */
interface Led {
  /** From the loaded strand, 0 straight down beside it. */
  readonly angleDeg: number;
  readonly known: boolean;
  /** +1 when the right hand brakes, -1 when the left one does. */
  readonly side: 1 | -1;
  readonly deviceY: number;
  /** Where it is led through. */
  readonly at: Vec;
  readonly hand: Vec;
}

function ledOf(view: RigView, deviceY: number): Led {
  const end = view.main.end.kind === 'device' ? view.main.end : null;
  const side = view.braker?.item?.brakeHand === 'left' ? -1 : 1;
  const angleDeg = brakeAngleOf(view.main) / DEG;
  return {
    angleDeg,
    known: end !== null && (end.brakeLed !== 'unknown' || end.brakeAngleDeg !== null),
    side,
    deviceY,
    at: vec(X + side * (14 + Math.sin(angleDeg * DEG) * (RADIUS - 30)), deviceY + Math.cos(angleDeg * DEG) * RADIUS),
    hand: vec(X + side * 92, 360),
  };
}

const wayOf = ({ known, angleDeg }: Led): string =>
  !known
    ? 'not entered'
    : angleDeg > 90
      ? 'led up and over'
      : angleDeg > 0
        ? 'led aside'
        : 'straight down beside the load';

function BrakedHands({ setup, assessment, chosen, onChoose, onChange }: DrawingProps) {
  const view = rigView(setup);
  const { connector, main } = view;
  const low = CONNECTOR_TOP + Math.min(150, (connector?.item?.insideLengthMm ?? 95) * SCALE);
  const led = ledOf(view, low + 26);
  const { side, deviceY } = led;
  const brake = assessment.figures.brake[main.id];
  const middle = (CONNECTOR_TOP + low) / 2;
  const parts: Record<ElementId, Vec> = {
    [main.end.id]: vec(X, deviceY),
    ...(connector ? { [connector.id]: vec(X, middle) } : {}),
    ...(view.beside ? { [view.beside.id]: vec(X + 12, middle + 14) } : {}),
    ...(view.braker ? { [view.braker.handId]: led.hand } : {}),
  };
  return (
    <figure className="min-w-0">
      <figcaption className="flex min-h-11 items-center justify-between gap-3 sm:min-h-9">
        <span className="font-bold">At the anchor</span>
      </figcaption>
      <svg
        viewBox={`0 0 ${HANDS_SHEET.width} ${HANDS_SHEET.height}`}
        className="mt-1 w-full"
        role="group"
        aria-label={`Drawing of the device at the anchor. Brake strand ${wayOf(led)}.`}
      >
        <path d={`M${X - 60} 24H${X + 60}`} stroke="var(--rock-line)" strokeWidth="6" strokeLinecap="round" />
        <path
          d={`M${X - 40} 26L${X} ${CONNECTOR_TOP}M${X + 40} 26L${X} ${CONNECTOR_TOP}`}
          stroke="var(--textile)"
          strokeWidth="6"
          fill="none"
        />
        <LoadAndBrake view={view} led={led} />
        <AnchorConnector view={view} side={side} low={low} />
        <DeviceGlyph at={vec(X, deviceY)} scale={SCALE * 0.8} side={side} {...glyphOf(view.device)} />
        <Label at={vec(X - side * 14, HANDS_SHEET.height - 22)} anchor={side > 0 ? 'end' : 'start'}>
          load
        </Label>
        {view.braker && <Hand at={led.hand} scale={0.62} />}
        <Label at={vec(X + side * 64, led.hand.y - 34)} anchor={side > 0 ? 'start' : 'end'}>
          brake hand
        </Label>
        {brake && <Needed brake={brake} />}
        {onChange && main.end.kind === 'device' && (
          <BendHandle
            led={led}
            onBend={(fields) => onChange(withFields(setup, main.end.id, fields), `${main.end.id}/brakeAngleDeg`)}
          />
        )}
        <Marks
          findings={assessment.findings}
          parts={parts}
          chosen={chosen}
          away={(part) => vec((part === view.braker?.handId ? side : -side) * 54, part === main.end.id ? -12 : 10)}
          onChoose={onChoose}
        />
      </svg>
    </figure>
  );
}

/** The load hangs below; the brake strand runs to the hand by the way it is led. */
function LoadAndBrake({ view, led }: { view: RigView; led: Led }) {
  const { side, deviceY, known, at, hand } = led;
  const ropePx = view.ropeA.diameterMm * SCALE * 0.8;
  const load = view.strands === 2 ? [-1, 1] : [0];
  return (
    <>
      {load.map((k) => (
        <path
          key={k}
          d={`M${X + k * 9 - side * 6} ${deviceY}V${HANDS_SHEET.height - 40}`}
          stroke={k > 0 ? 'var(--rope-b)' : 'var(--rope-a)'}
          strokeWidth={ropePx}
        />
      ))}
      <path
        d={`M${X + side * 12} ${deviceY}L${at.x} ${at.y}L${hand.x} ${hand.y}l${side * 6} 90`}
        fill="none"
        stroke="var(--rope-a)"
        strokeWidth={ropePx}
        strokeLinejoin="round"
        opacity={known ? 0.9 : 0.45}
        strokeDasharray={known ? undefined : '8 6'}
      />
      {led.angleDeg > 90 && <circle cx={at.x} cy={at.y} r="14" fill="none" stroke="var(--metal)" strokeWidth="6" />}
    </>
  );
}

function AnchorConnector({ view: { connector }, side, low }: { view: RigView; side: number; low: number }) {
  const broad = Math.min(34, ((connector?.item?.broadInsideWidthMm ?? 42) * SCALE) / 2);
  const gateSide = connector?.faces === 'rope' ? side : -side;
  return (
    <>
      <path
        d={hullPath(vec(X, low - broad + 6), broad, vec(X, CONNECTOR_TOP + 12), 12)}
        fill="none"
        stroke="var(--metal)"
        strokeWidth="8"
        strokeDasharray={connector?.item ? undefined : '5 4'}
      />
      <Gate
        from={vec(X + gateSide * (broad - 2), low - broad)}
        to={vec(X + gateSide * 15, CONNECTOR_TOP + 22)}
        locked={connector?.gate === 'locked'}
        size="large"
      />
    </>
  );
}

/** What the hand must hold, and what it can. */
function Needed({ brake }: { brake: BrakeFigures }) {
  const { system } = usePreferences();
  return (
    <g>
      <Label at={vec(8, HANDS_SHEET.height - 106)} strong>
        {['needs', ...printInterval(brake.bottomN, 'forceN', system).split(/ (?=\()/)]}
      </Label>
      <Label at={vec(8, HANDS_SHEET.height - 58)} colour="var(--ink-2)">
        {['holds', `${printQuantity(brake.handN.best, 'forceN', system)}${brake.handMeasured ? '' : ', estimated'}`]}
      </Label>
    </g>
  );
}

/** The brake strand is taken and bent away from the loaded one. */
function BendHandle({
  led: { angleDeg, known, side, at, deviceY },
  onBend,
}: {
  led: Led;
  onBend: (fields: Pick<DeviceEnd, 'brakeAngleDeg' | 'brakeLed'>) => void;
}) {
  const bendTo = (place: Vec) => {
    const away = Math.atan2(Math.max(0, side * (place.x - X) - 14) / (RADIUS - 30), (place.y - deviceY) / RADIUS) / DEG;
    return Math.round(away / STEP_DEG) * STEP_DEG;
  };
  return (
    <Dragged
      label="Brake strand, away from the loaded one"
      value={angleDeg}
      min={0}
      max={180}
      step={STEP_DEG}
      sense={-1}
      text={known ? `${angleDeg.toFixed(0)}°` : 'not entered'}
      at={at}
      valueAt={bendTo}
      onMove={(deg) => onBend({ brakeAngleDeg: deg, brakeLed: deg > 90 ? 'redirected' : 'below' })}
    >
      <circle r="24" fill="transparent" />
      <circle r="9" fill="var(--surface)" stroke="var(--ink)" strokeWidth="2.5" />
      <Label at={vec(side * 26, 4)} anchor={side > 0 ? 'start' : 'end'} strong>
        {known ? `${angleDeg.toFixed(0)}°` : '?'}
      </Label>
    </Dragged>
  );
}
