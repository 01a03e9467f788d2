import { useState } from 'react';
import { threadingsOf, type ThreadingMode } from '@core/things/fit';
import type { Device } from '@core/things/gear';
import { useWords } from '../../app/preferences';
import { ThreadedDrawing } from './ThreadedDrawing';
import { ThreadingSteps } from './ThreadingSteps';

interface Props {
  readonly family: Device['family'];
  readonly mode?: ThreadingMode;
  readonly hand?: 'right' | 'left';
}

/** The right way of the rope, large, with the wrong ones beside it, what each does, and the test that shows it. */
export function Threadings({ family, mode = 'brakes', hand = 'right' }: Props) {
  const words = useWords();
  const all = threadingsOf(family, mode);
  const [id, setId] = useState('right');
  const shown = all.find((t) => t.id === id) ?? all[0];
  if (!shown) return null;
  return (
    <div className="flex flex-wrap gap-4">
      <div className="w-52 shrink-0 rounded-lg border border-line bg-surface p-2">
        <ThreadedDrawing family={family} mode={mode} threading={shown} hand={hand} />
      </div>
      <div className="min-w-0 shrink grow basis-56">
        <div role="group" aria-label="Ways of the rope" className="flex flex-wrap gap-2">
          {all.map((t) => (
            <button
              key={t.id}
              type="button"
              aria-pressed={t.id === shown.id}
              onClick={() => setId(t.id)}
              className={`flex w-24 flex-col justify-start rounded-lg border p-1.5 text-left text-sm leading-tight ${t.id === shown.id ? 'border-ink bg-sunk font-bold' : 'border-line-2 bg-surface'}`}
            >
              <ThreadedDrawing family={family} mode={mode} threading={t} hand={hand} small />
              <span className="mt-1 block">{words(t.label)}</span>
            </button>
          ))}
        </div>
        <p className="mt-3">
          <strong>{shown.id === 'right' ? 'Right: ' : 'Wrong: '}</strong>
          {words(shown.happens)}
        </p>
        <p className="mt-1 text-ink-2">
          <strong>The test: </strong>
          {words(shown.test)}
        </p>
        <p className="mt-2 text-sm text-ink-2">How the maker shows it comes first.</p>
      </div>
      {mode === 'brakes' && (
        <div className="w-full">
          <ThreadingSteps family={family} hand={hand} />
        </div>
      )}
    </div>
  );
}
