import { ChevronLeft } from 'lucide-react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Link, Navigate, useNavigate, useParams } from 'react-router';
import { PROCEDURES, stepsOf, type Sequence, orderVerdict, walk } from '@core/answers/procedures';
import { NotFound } from '../../../app/NotFound';
import { useTitle } from '../../../app/useTitle';
import { SaveIndicator } from '../../../app/SaveIndicator';
import { usePlace } from '../../../app/place';
import { put } from '../../../storage/changes';
import { useAppDispatch, useWorkspace } from '../../../store/hooks';
import { recorded } from '../../../store/workspace-slice';
import { useSettled } from '../../../ui/useSettled';
import { useWakeLock } from '../../../ui/useWakeLock';
import { useExplored } from '../../../workers/useExplored';
import { useWords } from '../../../app/preferences';
import { LazyThreadings } from '../../../drawing/threaded/lazy';
import { HangClock } from './HangClock';
import { threadedIn } from './threaded-step';

export function RunPage() {
  const { sequenceId } = useParams();
  const { name } = usePlace();
  const sequence = useWorkspace().sequences.find((s) => s.id === sequenceId);
  const ready = useMemo(() => sequence && orderVerdict(sequence, walk(sequence)).severity === 'clear', [sequence]);
  if (!sequence)
    return (
      <main>
        <NotFound what="This order" />
      </main>
    );
  if (!ready) return <Navigate to={`/${name}/steps/${sequence.id}`} replace />;
  return <Run sequence={sequence} />;
}

const EVERYTHING = 'everything rigged so far, with eyes and hands; what matters most here could not be worked out';

/**
 * One step at a time, large, for one hand and a tired head: what to look at before it, what to do, what to see after
 * it.
 */
function Run({ sequence }: { sequence: Sequence }) {
  const inWords = useWords();
  useTitle(sequence.name);
  const { name } = usePlace();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  useWakeLock();
  const { state, again } = useExplored(sequence);
  const steps = useMemo(() => stepsOf(sequence), [sequence]);
  const at = Math.min(sequence.at ?? 0, sequence.steps.length);
  const go = (next: number | null) => dispatch(recorded([put('sequences', sequence, { ...sequence, at: next })]));
  const finish = () => {
    go(null);
    void navigate(`/${name}/steps/${sequence.id}`);
  };
  const line = sequence.steps[at];
  const step = steps[at];
  const failed = state.kind === 'failed' || state.kind === 'stopped';
  // What cannot be worked out is not left out: everything is looked at instead.
  const looks =
    state.kind === 'done'
      ? (state.result.pauses.find((p) => p.before === at)?.looks ?? [])
      : failed
        ? [EVERYTHING]
        : null;
  const back = (
    <button type="button" className="btn min-h-14 px-4" disabled={at === 0} onClick={() => go(at - 1)}>
      Back
    </button>
  );
  return (
    <main className="mx-auto flex h-dvh max-w-2xl flex-col bg-surface">
      <div className="flex items-center gap-2 border-b border-line bg-paper px-2 py-1">
        <Link className="btn border-0 bg-transparent px-2" to={`/${name}/steps/${sequence.id}`}>
          <ChevronLeft aria-hidden className="size-5" />
          Leave
        </Link>
        <h1 className="min-w-0 flex-1 truncate text-base">{sequence.name}</h1>
        <SaveIndicator />
      </div>
      <div
        className="h-2 bg-line"
        role="progressbar"
        aria-label="Steps done"
        aria-valuemin={0}
        aria-valuemax={sequence.steps.length}
        aria-valuenow={at}
      >
        <div className="h-full bg-act" style={{ width: `${(100 * at) / sequence.steps.length}%` }} />
      </div>
      {failed && (
        <p role="alert" className="flex flex-wrap items-center gap-3 bg-mind-wash px-4 py-2 text-mind">
          What to look at before each step could not be worked out
          {state.kind === 'failed' ? `: ${state.message}` : ''}.
          <button type="button" className="btn" onClick={again}>
            Compute again
          </button>
        </p>
      )}
      {sequence.procedure === 'pick-off' && <HangClock draftKey={`${name}/hangs/${sequence.id}`} />}
      {line ? (
        <OneStep
          key={line.id}
          number={`${at + 1} of ${sequence.steps.length}`}
          who={step?.who ?? 'you'}
          does={line.kind === 'own' ? line.text : inWords(step?.does ?? '')}
          see={inWords(step?.see ?? '')}
          looks={looks}
          drawing={line.kind === 'step' ? threadedIn(sequence.procedure, line.id) : null}
          back={back}
          onDone={() => go(at + 1)}
        />
      ) : (
        <div className="m-auto grid max-w-md gap-4 p-6 text-center">
          <p className="text-2xl font-bold">All {sequence.steps.length} steps gone through</p>
          <p className="text-ink-2">{inWords(PROCEDURES[sequence.procedure].title)}. Nothing else was looked at.</p>
          <button type="button" className="btn btn-act min-h-14 text-lg" onClick={finish}>
            Close it
          </button>
          {back}
        </div>
      )}
    </main>
  );
}

interface OneStepProps {
  readonly number: string;
  readonly who: string;
  readonly does: string;
  readonly see: string;
  /** What must be seen before the step; null while it is being worked out. */
  readonly looks: readonly string[] | null;
  /** A rope that is put into a device is drawn. */
  readonly drawing: ReturnType<typeof threadedIn>;
  readonly back: React.ReactNode;
  readonly onDone: () => void;
}

function OneStep({ number, who, does, see, looks, drawing, back, onDone }: OneStepProps) {
  const [seen, setSeen] = useState<ReadonlySet<string>>(new Set());
  const settled = useSettled(number);
  const open = looks === null ? null : looks.filter((look) => !seen.has(look));
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    heading.current?.focus();
  }, []);
  return (
    <>
      <div className="flex-1 overflow-y-auto px-4 py-4">
        {looks !== null && looks.length > 0 && (
          <section className="mb-5" aria-label="Stop and look">
            <p className="text-lg font-bold">Stop and look, before this step:</p>
            <ul className="mt-1 grid gap-2">
              {looks.map((look) => {
                const done = seen.has(look);
                return (
                  <li key={look}>
                    <button
                      type="button"
                      aria-pressed={done}
                      disabled={!settled}
                      className={`flex min-h-14 w-full items-center gap-3 rounded-lg border-2 px-3 py-2 text-left text-lg ${done ? 'border-clear bg-clear-wash' : 'border-ink bg-surface'}`}
                      onClick={() => setSeen(new Set([...seen, look]))}
                    >
                      <svg viewBox="0 0 24 24" width="28" height="28" aria-hidden className="shrink-0">
                        <circle cx="12" cy="12" r="10" fill="none" stroke="currentColor" strokeWidth="2.5" />
                        {done && <circle cx="12" cy="12" r="5" fill="currentColor" />}
                      </svg>
                      <span>{look.replace(/^./, (c) => c.toUpperCase())}</span>
                    </button>
                  </li>
                );
              })}
            </ul>
          </section>
        )}
        <p className="text-ink-2">
          Step <span className="num">{number}</span>
          {who !== 'you' && <strong className="text-ink"> · {who}</strong>}
        </p>
        <h2 ref={heading} tabIndex={-1} className="mt-1 text-3xl leading-tight font-bold outline-none">
          {does}
        </h2>
        {see && (
          <p className="mt-5 text-xl leading-snug">
            <span className="block text-base text-ink-2">Before you go on, see:</span>
            {see}
          </p>
        )}
        {drawing && (
          <section aria-label="How the rope runs" className="mt-5">
            <LazyThreadings {...drawing} />
          </section>
        )}
      </div>
      <div className="flex gap-3 border-t border-line bg-paper p-3 pb-[max(0.75rem,env(safe-area-inset-bottom))]">
        {back}
        <button
          type="button"
          className="btn btn-act min-h-14 flex-1 text-xl"
          disabled={!settled || open === null || open.length > 0}
          onClick={onDone}
        >
          {open !== null && open.length > 0 ? 'Look first' : see ? 'Done, and seen' : 'Done'}
        </button>
      </div>
    </>
  );
}
