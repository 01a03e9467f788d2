import { useState } from 'react';
import { gripsOf, type Grip, type GripId } from '@core/things/fit';
import type { BrakeFigures } from '@core/things/friction';
import type { Device } from '@core/things/gear';
import { printQuantity } from '@core/foundations/units';
import { usePreferences, useWords } from '../app/preferences';
import { DeviceGlyph } from './glyphs';
import { Hand } from './hands-parts';
import { glyphOf } from './rig-view';
import { vec, type Vec } from './vector';

const WIDTH = 200;
const HEIGHT = 210;
const DEVICE = vec(96, 84);

/** Where the brake hand is in each grip, for a right hand; the left one is its mirror. */
const HAND_AT: Readonly<Record<GripId, Vec>> = {
  right: vec(150, 172),
  'above-line': vec(146, 30),
  'beside-load': vec(150, 172),
  'too-near': vec(112, 112),
  swapped: vec(150, 172),
  'around-cam': vec(98, 84),
  'thumb-stays': vec(150, 172),
  'lever-only': vec(146, 62),
};
/** On a Munter hitch the strands are parallel where the hand is beside the load. */
const MUNTER_RIGHT = vec(146, 30);

/** One grip, drawn small: device, its line across, loaded strand up, brake strand and hand. */
function GripDrawing({ device, grip, hand }: { device: Device; grip: Grip; hand: 'right' | 'left' }) {
  const words = useWords();
  const side = hand === 'left' ? -1 : 1;
  const x = (at: number) => (side < 0 ? WIDTH - at : at);
  const glyph = glyphOf(device);
  const munter = glyph.glyph === 'munter';
  const place = munter && grip.id === 'right' ? MUNTER_RIGHT : HAND_AT[grip.id];
  // Hands that do not hold the brake strand leave it hanging.
  const loose = grip.id === 'around-cam' || grip.id === 'lever-only' || grip.id === 'thumb-stays';
  const strandEnd = loose ? vec(118, 196) : place;
  const good = grip.id === 'right';
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="w-full"
      role="img"
      aria-label={words(`${grip.label}. ${grip.happens}`)}
    >
      <path d={`M${x(20)} ${DEVICE.y}H${x(180)}`} stroke="var(--ink-2)" strokeDasharray="5 4" />
      <path d={`M${x(DEVICE.x - 2)} ${DEVICE.y}V4`} stroke="var(--rope-a)" strokeWidth="8" />
      <path
        d={`M${x(DEVICE.x + 6)} ${DEVICE.y}L${x(strandEnd.x)} ${strandEnd.y}${loose ? '' : `l${side * 8} 34`}`}
        fill="none"
        stroke="var(--rope-a)"
        strokeWidth="8"
        strokeLinejoin="round"
      />
      <DeviceGlyph at={vec(x(DEVICE.x), DEVICE.y)} scale={0.85} side={side} {...glyph} />
      {grip.id === 'swapped' ? (
        <>
          {/* Open hands: outlines beside the strand. */}
          {[vec(166, 150), vec(116, 178)].map((at) => (
            <rect
              key={at.y}
              x={x(at.x) - 17}
              y={at.y - 13}
              width="34"
              height="26"
              rx="10"
              fill="none"
              stroke="var(--ink)"
              strokeWidth="2"
              strokeDasharray="4 3"
            />
          ))}
        </>
      ) : grip.id === 'thumb-stays' ? (
        <>
          <Hand at={vec(x(70), 66)} scale={0.5} />
          <path d={`M${x(84)} 74L${x(98)} 84`} stroke="var(--body-line)" strokeWidth="9" strokeLinecap="round" />
        </>
      ) : (
        <Hand at={vec(x(place.x), place.y)} scale={grip.id === 'around-cam' ? 0.8 : 0.5} />
      )}
      <g
        transform="translate(14 188)"
        stroke={good ? 'var(--clear)' : 'var(--stop)'}
        strokeWidth="4"
        fill="none"
        strokeLinecap="round"
      >
        {good ? <path d="M-7 0l5 6L8 -7" /> : <path d="M-6 -6L6 6M6 -6L-6 6" />}
      </g>
    </svg>
  );
}

interface GripsProps {
  readonly device: Device;
  readonly hand: 'right' | 'left';
  /** What the brake hand needs in this set-up; null where it is not computed. */
  readonly brake: BrakeFigures | null;
}

/** The right grip with the wrong ones beside it; where braking is computed, with what each asks of this hand. */
export function Grips({ device, hand, brake }: GripsProps) {
  const words = useWords();
  const { system } = usePreferences();
  const all = gripsOf(device.family);
  const [id, setId] = useState<GripId>('right');
  const shown = all.find((g) => g.id === id) ?? all[0];
  if (!shown) return null;
  const say = (n: number) => printQuantity(n, 'forceN', system);
  const needN = (grip: Grip) =>
    brake === null || grip.brakeAngleDeg === undefined
      ? null
      : grip.brakeAngleDeg === 180
        ? brake.bottomN.best
        : brake.handAboveN.best;
  const need = needN(shown);
  return (
    <section aria-labelledby="grips" className="no-print sm:col-span-2">
      <h3 id="grips" className="font-bold">
        How it is held
      </h3>
      <div role="group" aria-label="Grips" className="mt-2 grid grid-cols-2 gap-2 sm:grid-cols-4">
        {all.map((grip) => (
          <button
            key={grip.id}
            type="button"
            aria-pressed={grip.id === shown.id}
            onClick={() => setId(grip.id)}
            className={`flex flex-col rounded-lg border p-1.5 text-left text-sm leading-tight ${grip.id === shown.id ? 'border-ink bg-sunk font-bold' : 'border-line-2 bg-surface'}`}
          >
            <GripDrawing device={device} grip={grip} hand={hand} />
            <span className="mt-1 block">{words(grip.label)}</span>
          </button>
        ))}
      </div>
      <p className="mt-2">
        <strong>{shown.id === 'right' ? 'Right: ' : 'Wrong: '}</strong>
        {words(shown.happens)}
        {need !== null && brake && (
          <>
            {' '}
            Here it asks {say(Math.max(0, need))} of the brake hand, which holds {say(brake.handN.best)}
            {brake.handMeasured ? '' : ' (estimated)'}.
          </>
        )}
      </p>
      <p className="mt-1 text-ink-2">
        <strong>You notice it by this: </strong>
        {words(shown.notice)}
      </p>
    </section>
  );
}
