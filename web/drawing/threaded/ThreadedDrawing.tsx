import { useId, type ReactNode } from 'react';
import type { Threading, ThreadingMode } from '@core/things/fit';
import { traitsOf, type Device } from '@core/things/gear';
import { ropeWay, type RopeWay, type Shape } from './paths';

/** What a family is drawn as when the rope in it is shown. */
export function shapeOf(family: Device['family'], mode: ThreadingMode): Shape {
  const { brake, turningCam, tied, tuned } = traitsOf(family);
  if (mode === 'guides') return 'guide';
  if (tuned) return 'bollard';
  if (family === 'hitch-reliever') return 'reliever';
  if (tied) return 'munter';
  if (turningCam) return 'cam';
  return brake === 'eight' ? 'eight' : brake === 'plate' ? 'plate' : 'tube';
}

interface ThreadedProps {
  readonly family: Device['family'];
  readonly mode: ThreadingMode;
  readonly threading: Threading;
  readonly hand: 'right' | 'left';
  /** Small: no words in it. */
  readonly small?: boolean;
  /** What stands on the drawing besides. */
  readonly children?: ReactNode;
}

const METAL = { fill: 'var(--metal)', stroke: 'var(--ink)', strokeWidth: 1.4 } as const;
const BAR = { fill: 'none', stroke: 'var(--metal)', strokeWidth: 9 } as const;

/** Where the strand above leads, of what hangs on a line that does not move. */
const LOAD: Partial<Record<Shape, string>> = { bollard: 'to the tie-in', reliever: 'to the tie-in' };

/** A device with its rope, as somebody sees it who has it in front of them; mirrored for the left hand. */
export function ThreadedDrawing({ family, mode, threading, hand, small = false, children }: ThreadedProps) {
  const title = useId();
  const shape = shapeOf(family, mode);
  const way = ropeWay(shape, threading.id);
  if (!way) return null;
  const wrong = threading.id !== 'right';
  const left = hand === 'left';
  const x = (at: number) => (left ? 200 - at : at);
  const words = (at: readonly [number, number], text: string, up: number) => (
    <text
      x={x(at[0])}
      y={at[1] + up}
      textAnchor="middle"
      fontSize="13"
      fill="var(--ink)"
      stroke="var(--surface)"
      strokeWidth="4"
      paintOrder="stroke"
    >
      {text}
    </text>
  );
  return (
    <svg viewBox="0 0 200 252" className="w-full" role={children ? 'group' : 'img'} aria-labelledby={title}>
      <title id={title}>{`${traitsOf(family).label}. ${threading.label}. ${threading.happens}`}</title>
      <g transform={left ? 'translate(200 0) scale(-1 1)' : undefined}>
        {way.beside && <Rope d={way.beside} b />}
        {way.behind.map((d) => (
          <Rope key={d} d={d} />
        ))}
        <Body
          shape={shape}
          family={family}
          gate={threading.id === 'at-gate'}
          wrongSide={threading.id === 'smooth-side'}
          threading={threading.id}
        />
        {way.front.map((d) => (
          <Rope key={d} d={d} />
        ))}
        {shape === 'reliever' &&
          [-14, -5, 4, 13].map((dy) => (
            // The hitch lies around the line.
            <path
              key={dy}
              d={`M99 ${(threading.id === 'hitch-on-top' ? 72 : 142) + dy}q13 7 26 0`}
              stroke="var(--cord)"
              strokeWidth="7"
              fill="none"
            />
          ))}
        {shape === 'cam' && (
          <path d="M64 60q36 -14 66 8" fill="none" stroke="var(--ink)" strokeWidth="1.2" strokeDasharray="5 4" />
        )}
        <Arrow way={way} />
        <circle
          cx={way.look[0]}
          cy={way.look[1]}
          r="19"
          fill="none"
          stroke={wrong ? 'var(--stop)' : 'var(--clear)'}
          strokeWidth="3"
          strokeDasharray={wrong ? undefined : '5 4'}
        />
        {wrong && (
          <path
            d={`M${way.look[0] + 13} ${way.look[1] - 27}l12 12m0 -12l-12 12`}
            stroke="var(--stop)"
            strokeWidth="3.5"
            strokeLinecap="round"
          />
        )}
      </g>
      {!small && (
        <>
          {words(way.load, LOAD[shape] ?? (mode === 'guides' ? 'to the second' : 'load'), way.load[1] > 120 ? 16 : 2)}
          {words(way.brake, shape === 'bollard' || shape === 'reliever' ? 'line below' : 'brake hand', 22)}
          {way.beside && words([50, 232], 'not in it', 16)}
        </>
      )}
      {children}
    </svg>
  );
}

/** Rope with a rim, so that a strand that lies over another one is seen to. */
function Rope({ d, b = false }: { d: string; b?: boolean }) {
  return (
    <g fill="none" strokeLinejoin="round">
      <path d={d} stroke="var(--surface)" strokeWidth="13" />
      <path d={d} stroke={b ? 'var(--rope-b)' : 'var(--rope-a)'} strokeWidth="9" strokeLinecap="round" />
    </g>
  );
}

/** The load pulls away from the device. */
function Arrow({ way: { load } }: { way: RopeWay }) {
  const up = load[1] < 120 ? -1 : 1;
  const tip = load[1] + up * -12;
  return (
    <path
      d={`M${load[0] - up * 14} ${tip + up * -26}v${up * 26}m-6 ${up * -7}l6 ${up * 7}l6 ${up * -7}`}
      fill="none"
      stroke="var(--ink)"
      strokeWidth="2.2"
    />
  );
}

function Body({
  shape,
  family,
  gate,
  wrongSide,
  threading,
}: {
  shape: Shape;
  family: Device['family'];
  gate: boolean;
  wrongSide: boolean;
  threading: Threading['id'];
}) {
  switch (shape) {
    case 'tube': {
      const grooved = traitsOf(family).brake === 'grooved-tube';
      const teeth = wrongSide ? 'M75 100l-5 4l5 4l-5 4l5 4l-5 4' : 'M125 100l5 4l-5 4l5 4l-5 4l5 4';
      return (
        <g>
          <circle cx="100" cy="150" r="6.5" {...METAL} />
          <path d="M100 156V206" stroke="var(--metal)" strokeWidth="9" />
          <path d="M75 98h7v42h-4z" {...METAL} />
          <path d="M118 98h7l-3 42h-4z" {...METAL} />
          {grooved && <path d={teeth} fill="none" stroke="var(--ink)" strokeWidth="2.4" />}
        </g>
      );
    }
    case 'guide':
      return (
        <g>
          <path d="M60 30H140" stroke="var(--rock-line)" strokeWidth="6" strokeLinecap="round" />
          <path d="M112 32V66" stroke="var(--metal)" strokeWidth="9" />
          <circle cx="112" cy="76" r="9" fill="none" stroke="var(--metal)" strokeWidth="7" />
          <path d="M76 86h52v9h-52z" {...METAL} />
          <path d="M76 141h52v9h-52z" {...METAL} />
          <circle cx="60" cy="118" r="6.5" {...METAL} />
        </g>
      );
    case 'cam':
      return (
        <g>
          <path
            d="M58 58q40 -26 84 4q16 40 -6 92l-36 22l-38 -24q-16 -50 -4 -94z"
            fill="none"
            stroke="var(--metal)"
            strokeWidth="7"
          />
          <path d="M88 104q22 -16 36 4q8 22 -14 30q-22 4 -28 -14q-2 -12 6 -20z" {...METAL} />
          <circle cx="106" cy="116" r="4" fill="var(--ink)" />
          <circle cx="100" cy="176" r="11" {...BAR} />
          <path d="M100 186V232" stroke="var(--metal)" strokeWidth="9" />
        </g>
      );
    case 'eight':
      return (
        <g fill="none" stroke="var(--metal)">
          <circle cx="100" cy="86" r="36" strokeWidth="14" />
          <path d="M100 122V172" strokeWidth="20" />
          <circle cx="100" cy="186" r="15" strokeWidth="12" />
          {family === 'eared-eight' && <path d="M70 62L52 42M130 62L148 42" strokeWidth="12" strokeLinecap="round" />}
          <path d="M100 196V236" strokeWidth="8" />
        </g>
      );
    case 'munter':
      return (
        <g>
          <path d="M60 22H140" stroke="var(--rock-line)" strokeWidth="6" strokeLinecap="round" />
          <path d="M84 40C86 26 114 26 116 40L136 122C138 146 62 146 64 122Z" {...BAR} />
          <path
            d={gate ? 'M120 56L134 116' : 'M80 56L66 116'}
            stroke="var(--ink)"
            strokeWidth="11"
            strokeDasharray="26 200"
            strokeDashoffset="-24"
          />
        </g>
      );
    case 'bollard': {
      // Upside down the eye for the connector is above.
      const turned = threading === 'backwards';
      const open = threading === 'pin-open';
      return (
        <g transform={turned ? 'rotate(180 100 118)' : undefined}>
          <path
            d="M80 48h40q14 40 10 104q-2 22 -20 40h-20q-18 -18 -20 -40q-4 -64 10 -104z"
            {...METAL}
            fillOpacity="0.55"
          />
          <circle cx={open ? 128 : 106} cy="72" r="7" fill="var(--surface)" stroke="var(--ink)" strokeWidth="2.2" />
          <path d="M104 96l32 -10" stroke="var(--ink)" strokeWidth="6" strokeLinecap="round" />
          <circle cx="96" cy="134" r="11" {...METAL} />
          <circle cx="106" cy="166" r="7" fill="var(--surface)" stroke="var(--ink)" strokeWidth="2.2" />
          <circle cx="100" cy="182" r="5" fill="var(--surface)" stroke="var(--ink)" />
          {threading === 'right' &&
            (
              [
                [146, 76, '1'],
                [64, 138, '2'],
                [132, 170, '3'],
              ] as const
            ).map(([cx, cy, n]) => (
              <text key={n} x={cx} y={cy} fontSize="15" fontWeight="700" fill="var(--ink)">
                {n}
              </text>
            ))}
        </g>
      );
    }
    case 'reliever': {
      const onTop = threading === 'hitch-on-top';
      const [relieverY, hitchY] = onTop ? [142, 72] : [68, 142];
      const hitchX = 112;
      return (
        <g>
          <rect x="68" y={relieverY - 26} width="58" height="52" rx="16" {...METAL} fillOpacity="0.55" />
          <circle cx="84" cy={relieverY} r="7" {...METAL} />
          <circle cx="112" cy={relieverY + 2} r="7" {...METAL} />
          <path
            d={`M72 ${relieverY + 20}Q56 ${(relieverY + hitchY) / 2} 100 ${hitchY + 18}`}
            stroke="var(--textile)"
            strokeWidth="4"
            fill="none"
          />
          <circle cx="100" cy="190" r="11" {...BAR} />
          <path d={`M${hitchX - 8} ${hitchY + 18}L100 180`} stroke="var(--cord)" strokeWidth="6" fill="none" />
        </g>
      );
    }
    case 'plate':
      return (
        <g>
          <rect x="76" y="62" width="48" height="120" rx="12" {...METAL} />
          <rect x="91" y="76" width="18" height="26" rx="9" fill="var(--surface)" stroke="var(--ink)" />
          <rect x="91" y="122" width="18" height="22" rx="9" fill="var(--surface)" stroke="var(--ink)" />
          <circle cx="100" cy="168" r="7" fill="var(--surface)" stroke="var(--ink)" />
          <path d="M100 172V234" stroke="var(--metal)" strokeWidth="8" />
        </g>
      );
  }
}
