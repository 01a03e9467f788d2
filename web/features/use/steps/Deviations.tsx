import { useState } from 'react';
import { BREACHES, type Critical } from '@core/answers/procedures';
import { WorkProgress } from '../../../ui/WorkProgress';
import type { ExploredSequence } from '../../../workers/sequence-worker';
import type { JobState } from '../../../workers/useWorkerJob';
import { useWords } from '../../../app/preferences';

interface DeviationsProps {
  readonly state: JobState<ExploredSequence>;
  readonly broken: boolean;
  readonly onStop: () => void;
  readonly onAgain: () => void;
  readonly onChoose: (at: number) => void;
}

const SHOWN = 6;

/**
 * What happens when something is left out, swapped or done wrong: which steps are critical, what follows, where it
 * could be noticed.
 */
export function Deviations({ state, broken, onStop, onAgain, onChoose }: DeviationsProps) {
  const inWords = useWords();
  const [all, setAll] = useState(false);
  return (
    <section aria-labelledby="deviations">
      <h2 id="deviations">If something goes otherwise</h2>
      {broken ? (
        <p className="mt-1 text-ink-2">Put the order right first; then every deviation from it is tried.</p>
      ) : (
        <>
          <WorkProgress state={state} says={(done) => `${done} deviations tried`} onStop={onStop} onAgain={onAgain} />
          {state.kind === 'done' && (
            <>
              <p role="status" className="mt-1 text-ink-2">
                {state.result.deviations} single deviations and {state.result.pairsTried} pairs were tried: every step
                left out, neighbours swapped, steps done in their known wrong ways.{' '}
                <strong className="text-ink">{state.result.critical.length} are critical</strong>; {state.result.shows}{' '}
                show themselves before any harm.
              </p>
              <ul className="mt-2 divide-y divide-line border-y border-line">
                {state.result.critical.slice(0, all ? undefined : SHOWN).map((c) => (
                  <Row key={c.says} critical={c} onChoose={() => onChoose(c.at)} />
                ))}
              </ul>
              {state.result.critical.length > SHOWN && (
                <button type="button" className="btn mt-2" aria-expanded={all} onClick={() => setAll(!all)}>
                  {all ? 'Show fewer' : `Show all ${state.result.critical.length}`}
                </button>
              )}
              {state.result.pairs.length > 0 && (
                <details className="mt-3">
                  <summary className="min-h-11 cursor-pointer py-2.5 font-semibold">
                    Two mistakes that are worse together: {state.result.pairs.length}
                  </summary>
                  <ul className="divide-y divide-line border-y border-line">
                    {state.result.pairs.map(({ first, second, kind }) => (
                      <li key={`${first}/${second}`} className="py-2">
                        {inWords(`${first}. ${second}.`)} <strong className="text-stop">{BREACHES[kind]}.</strong>
                      </li>
                    ))}
                  </ul>
                </details>
              )}
            </>
          )}
        </>
      )}
    </section>
  );
}

function Row({ critical, onChoose }: { critical: Critical; onChoose: () => void }) {
  const inWords = useWords();
  const { says, breach, seenAt, breaksAt, look } = critical;
  return (
    <li data-critical={breach.kind}>
      <button type="button" className="w-full py-2 text-left hover:bg-sunk" onClick={onChoose}>
        <span className="block font-semibold">{inWords(says)}</span>
        <span className="block">
          <strong className="text-stop">{BREACHES[breach.kind]}</strong> at step {breaksAt + 1}: {inWords(breach.says)}
        </span>
        <span className="block text-ink-2">
          To be noticed before step {seenAt + 1}, by looking: {inWords(look)}.
        </span>
      </button>
    </li>
  );
}
