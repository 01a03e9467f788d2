import { threadingSteps, type ThreadingStep } from '@core/things/fit';
import type { Device } from '@core/things/gear';
import { useWords } from '../../app/preferences';

const METAL = { fill: 'var(--metal)', stroke: 'var(--ink)', strokeWidth: 1.4, fillOpacity: 0.55 } as const;
const PIN = { fill: 'var(--surface)', stroke: 'var(--ink)', strokeWidth: 2.2 } as const;
const THROUGH = 'M92 10V62C92 84 118 92 120 112C122 136 84 132 82 152C81 168 92 176 100 190L158 222';
const HANGS = 'M92 10V62C92 84 60 100 52 140L46 222';

type View = ThreadingStep['view'];
const at = (view: View, ...views: View[]) => views.includes(view);

function Rope({ d }: { d: string }) {
  return (
    <g fill="none" strokeLinejoin="round" strokeLinecap="round">
      <path d={d} stroke="var(--surface)" strokeWidth="13" />
      <path d={d} stroke="var(--rope-a)" strokeWidth="9" />
    </g>
  );
}

const Connector = () => (
  <path
    d="M90 176C90 166 112 166 112 176L118 222C120 238 82 238 84 222Z"
    fill="none"
    stroke="var(--metal)"
    strokeWidth="7"
  />
);
const Look = ({ x, y }: { x: number; y: number }) => (
  <circle cx={x} cy={y} r="19" fill="none" stroke="var(--clear)" strokeWidth="3" strokeDasharray="5 4" />
);
/** A hand’s width above the ground, and the weight on it. */
const Weighed = () => (
  <g>
    <path d="M20 238H180" stroke="var(--rock-line)" strokeWidth="4" />
    <path d="M100 196V228m-6 -8l6 8l6 -8" fill="none" stroke="var(--ink)" strokeWidth="2.4" />
  </g>
);

function Bollard({ view }: { view: View }) {
  const first = view === 'bollard-upper';
  const shut = at(view, 'bollard-lower', 'bollard-eye', 'bollard-try');
  return (
    <g>
      <path d="M80 48h40q14 40 10 104q-2 22 -20 40h-20q-18 -18 -20 -40q-4 -64 10 -104z" {...METAL} />
      {!shut && (
        // The side plate, swung aside.
        <path d="M120 56l44 18q14 40 2 86l-30 -6z" {...METAL} fillOpacity="0.25" strokeDasharray="5 4" />
      )}
      <circle cx="96" cy="134" r="11" {...METAL} fillOpacity="1" />
      {(view === 'bollard-eye' || view === 'bollard-try') && <Connector />}
      <Rope d={first ? HANGS : THROUGH} />
      <path d="M104 96l32 -10" stroke="var(--ink)" strokeWidth="6" strokeLinecap="round" />
      <circle cx="106" cy="72" r="7" {...PIN} />
      {first && <path d="M148 72h-26m8 -6l-8 6l8 6" fill="none" stroke="var(--act)" strokeWidth="2.6" />}
      <circle cx={shut ? 106 : 138} cy="166" r="7" {...PIN} />
      {view === 'bollard-lower' && (
        <path d="M152 166h-30m8 -6l-8 6l8 6" fill="none" stroke="var(--act)" strokeWidth="2.6" />
      )}
      <circle cx="100" cy="182" r="5" {...PIN} />
      {first && <Look x={106} y={72} />}
      {view === 'bollard-around' && <Look x={100} y={130} />}
      {view === 'bollard-lower' && <Look x={106} y={166} />}
      {view === 'bollard-eye' && <Look x={100} y={190} />}
      {view === 'bollard-try' && (
        <>
          <Look x={106} y={72} />
          <Look x={106} y={166} />
          <Weighed />
        </>
      )}
    </g>
  );
}

function Reliever({ view }: { view: View }) {
  const hitch = view !== 'reliever-in';
  const tether = at(view, 'reliever-tether', 'reliever-eye', 'reliever-try');
  const eye = at(view, 'reliever-eye', 'reliever-try');
  return (
    <g>
      <rect
        x="68"
        y="42"
        width="58"
        height="52"
        rx="16"
        {...METAL}
        transform={view === 'reliever-try' ? 'rotate(12 97 68)' : undefined}
      />
      <circle cx="84" cy="68" r="7" {...PIN} />
      <Rope d="M88 10V48C88 66 112 70 112 88V232" />
      <circle cx="112" cy="70" r="7" {...PIN} />
      {hitch &&
        [-14, -5, 4, 13].map((dy) => (
          <path key={dy} d={`M99 ${142 + dy}q13 7 26 0`} stroke="var(--cord)" strokeWidth="7" fill="none" />
        ))}
      {hitch && (
        <path
          d={eye ? 'M104 160L88 196M112 162L92 198' : 'M104 160L70 200M112 162L80 210'}
          stroke="var(--cord)"
          strokeWidth="5"
          fill="none"
          strokeLinecap="round"
        />
      )}
      {tether && <path d="M72 88Q56 116 100 156" stroke="var(--textile)" strokeWidth="4" fill="none" />}
      {eye && <circle cx="86" cy="206" r="12" fill="none" stroke="var(--metal)" strokeWidth="7" />}
      {view === 'reliever-in' && <Look x={98} y={68} />}
      {view === 'reliever-hitch' && <Look x={112} y={142} />}
      {view === 'reliever-tether' && <Look x={70} y={116} />}
      {view === 'reliever-eye' && <Look x={86} y={206} />}
      {view === 'reliever-try' && <path d="M20 238H180" stroke="var(--rock-line)" strokeWidth="4" />}
    </g>
  );
}

/**
 * A device put on the rope, step by step, with what must be seen at each pin before the next one; mirrored for the left
 * hand.
 */
export function ThreadingSteps({ family, hand }: { family: Device['family']; hand: 'right' | 'left' }) {
  const words = useWords();
  const steps = threadingSteps(family);
  if (steps.length === 0) return null;
  return (
    <section className="mt-4">
      <h4 className="font-bold">Step by step</h4>
      <ol className="mt-2 grid gap-3 sm:grid-cols-2">
        {steps.map(({ view, does, see }, i) => (
          <li key={view} className="flex gap-3 rounded-lg border border-line bg-surface p-2">
            <svg viewBox="24 0 156 244" className="w-24 shrink-0 self-start" aria-hidden>
              <g transform={hand === 'left' ? 'translate(200 0) scale(-1 1)' : undefined}>
                {view.startsWith('bollard') ? <Bollard view={view} /> : <Reliever view={view} />}
              </g>
            </svg>
            <div className="min-w-0">
              <p>
                <strong>{i + 1}</strong> {words(does)}
              </p>
              <p className="mt-1 text-ink-2">
                <strong>See: </strong>
                {words(see)}
              </p>
            </div>
          </li>
        ))}
      </ol>
    </section>
  );
}
