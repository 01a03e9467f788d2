import { useEffect, useState } from 'react';
import { z } from 'zod';
import { constant } from '@core/sources';
import { draftStore } from '../../ui/draft';

interface HangClockProps {
  /** The order that it runs for: it goes on through a reload. */
  readonly draftKey: string;
}

const MINUTES_AGO = [0, 2, 5] as const;

/** How long somebody hangs motionless already, large; by words as well as by colour once the planned time is over. */
export function HangClock({ draftKey }: HangClockProps) {
  const [store] = useState(() => draftStore(draftKey, z.number().positive()));
  const [since, setSince] = useState(() => store.read());
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), 500);
    return () => clearInterval(timer);
  }, []);
  const { best: planMin, high: mostMin } = constant('motionlessMin');
  if (since === null)
    return (
      <div
        role="group"
        aria-label="Motionless since"
        className="flex flex-wrap items-center gap-2 border-b border-line bg-paper px-4 py-2"
      >
        <p className="w-full">
          For people who were trained in it. Otherwise call for help, keep the airway free, lift the legs.
        </p>
        <span className="font-bold">Motionless since</span>
        {MINUTES_AGO.map((ago) => (
          <button
            key={ago}
            type="button"
            className="btn min-h-12"
            onClick={() => {
              const start = Date.now() - ago * 60_000;
              store.write(start);
              setSince(start);
            }}
          >
            {ago === 0 ? 'now' : `${ago} min`}
          </button>
        ))}
      </div>
    );
  const seconds = Math.max(0, Math.floor((now - since) / 1000));
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
      <button
        type="button"
        className="btn min-h-12"
        onClick={() => {
          store.clear();
          setSince(null);
        }}
      >
        They move
      </button>
    </div>
  );
}
