import { constant } from '@core/foundations/sources';
import { useHanging } from './useHanging';

interface HangClockProps {
  /** The order that it runs for: it goes on through a reload. */
  readonly draftKey: string;
}

const MINUTES_AGO = [0, 2, 5] as const;

/** How long somebody hangs motionless already, large; by words as well as by colour once the planned time is over. */
export function HangClock({ draftKey }: HangClockProps) {
  const { hangingS, begin, end } = useHanging(draftKey);
  const { best: planMin, high: mostMin } = constant('motionlessMin');
  if (hangingS === null)
    return (
      <div
        role="group"
        aria-label="Motionless since"
        className="flex flex-wrap items-center gap-2 border-b border-line bg-paper px-4 py-2"
      >
        <p className="w-full">
          For trained people. If you are not: call for help, open the airway, and lift the legs if you can reach them
          safely.
        </p>
        <span className="font-bold">Motionless since</span>
        {MINUTES_AGO.map((ago) => (
          <button key={ago} type="button" className="btn min-h-12" onClick={() => begin(ago)}>
            {ago === 0 ? 'now' : `${ago} min`}
          </button>
        ))}
      </div>
    );
  const seconds = Math.floor(hangingS);
  const minutes = seconds / 60;
  const tone =
    minutes >= mostMin ? 'bg-stop-wash text-stop' : minutes >= planMin ? 'bg-mind-wash text-mind' : 'bg-paper';
  const says =
    minutes >= mostMin
      ? `over ${mostMin} min: down by the fastest way`
      : minutes >= planMin
        ? `over ${planMin} min: no step that is not needed`
        : `plan: down within ${planMin} min`;
  return (
    <div
      role="timer"
      aria-label="Motionless"
      className={`flex flex-wrap items-center gap-x-4 border-b border-line px-4 py-2 ${tone}`}
    >
      <span className="num text-4xl font-bold">
        {Math.floor(seconds / 60)}:{String(seconds % 60).padStart(2, '0')}
      </span>
      <span className="min-w-0 flex-1 text-lg font-semibold">{says}</span>
      <button type="button" className="btn min-h-12" onClick={end}>
        They move
      </button>
    </div>
  );
}
