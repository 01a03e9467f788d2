import { Timer } from 'lucide-react';
import { useEffect, useState } from 'react';
import { z } from 'zod';
import { trialFaults, trialVerdict, TRIAL_FAULTS, type TrialResult } from '@core/things/tuning';
import { tuningTrialSchema, type TuningTrial } from '@core/things/gear';
import { printQuantity } from '@core/foundations/units';
import { usePreferences, useWords } from '../../../app/preferences';
import { draftStore } from '../../../ui/draft';
import { SchemaField } from '../../../ui/SchemaField';
import { TRIAL_STAGES, type TrialStage } from './trial-stages';

const { creepMm, bounceMm, handForceN, dragN, releases, massKg, weather } = tuningTrialSchema.shape;
const draftSchema = z.strictObject({
  setting: tuningTrialSchema.shape.setting,
  creepMm,
  bounceMm,
  handForceN,
  dragN,
  releases,
  massKg: massKg.nullable(),
  weather,
});
export type TrialDraft = z.infer<typeof draftSchema>;

const EMPTY: TrialResult = { creepMm: null, bounceMm: null, handForceN: null, dragN: null, releases: 'unknown' };

interface TrialEntryProps {
  readonly draftKey: string;
  readonly setting: number;
  readonly massKg: number | null;
  readonly onWrite: (trial: TrialResult & Pick<TuningTrial, 'massKg' | 'weather' | 'setting'>) => void;
}

/** A trial at the rope, one thing after the other, for one thumb; what was answered outlives a reload. */
export function TrialEntry({ draftKey, setting, massKg: usual, onWrite }: TrialEntryProps) {
  const words = useWords();
  const { system } = usePreferences();
  const [store] = useState(() => draftStore(draftKey, draftSchema));
  const [draft, setDraft] = useState<TrialDraft>(() => {
    const kept = store.read();
    // A trial that was begun is one of the setting it was begun with.
    return kept?.setting === setting ? kept : { ...EMPTY, setting, massKg: usual, weather: 'dry' };
  });
  const [asked, setAsked] = useState(false);
  const change = (part: Partial<TrialDraft>) => {
    const next = { ...draft, ...part };
    setDraft(next);
    store.write(next);
  };
  const verdict = trialVerdict(draft);
  const faults = trialFaults(draft);
  const open = TRIAL_STAGES.find((s) => draft[s.key] === null);
  const done = open === undefined && draft.releases !== 'unknown';
  const over = verdict === 'slips' || verdict === 'drags' || verdict === 'neither';
  const write = () => {
    if (draft.massKg === null || !massKg.safeParse(draft.massKg).success) return setAsked(true);
    store.clear();
    onWrite({ ...draft, massKg: draft.massKg });
  };
  return (
    <section aria-label="Trial" className="mt-4">
      <details open={draft.massKg === null || asked || undefined}>
        <summary className="min-h-11 cursor-pointer py-2.5">
          <span className="font-semibold">
            {draft.massKg === null ? 'Weight not said' : printQuantity(draft.massKg, 'massKg', system)}, {draft.weather}{' '}
            rope
          </span>
        </summary>
        <div className="grid gap-3 sm:grid-cols-2">
          <SchemaField
            schema={massKg}
            value={draft.massKg}
            onChange={(v) => change({ massKg: typeof v === 'number' && Number.isFinite(v) ? v : null })}
            error={asked ? massKg.safeParse(draft.massKg).error?.issues[0]?.message : undefined}
          />
          <SchemaField
            schema={weather}
            value={draft.weather}
            onChange={(v) => change({ weather: v as TrialDraft['weather'] })}
          />
        </div>
      </details>
      <ol className="mt-4 grid gap-3">
        {TRIAL_STAGES.map((stage) => {
          const value = draft[stage.key];
          if (value === null && (stage !== open || over)) return null;
          return value !== null ? (
            <li key={stage.key} className="flex flex-wrap items-center gap-x-3 border-b border-line pb-2">
              <span className="min-w-0 flex-1">
                {words(stage.does)} <strong>{printQuantity(value, stage.quantity, system)}</strong>
              </span>
              <button type="button" className="btn" onClick={() => change({ [stage.key]: null })}>
                Again<span className="sr-only">: {stage.does}</span>
              </button>
            </li>
          ) : (
            <li key={stage.key}>
              <OneStage stage={stage} onAnswer={(v) => change({ [stage.key]: v })} />
            </li>
          );
        })}
        {!open && !over && draft.releases !== 'yes' && (
          <li>
            <p className="text-lg font-semibold">Three times: let yourself down a little, let go, and be held.</p>
            <div className="mt-2 grid grid-cols-2 gap-2">
              <Answer onClick={() => change({ releases: 'yes' })}>It let go and held</Answer>
              <Answer onClick={() => change({ releases: 'no' })}>It did not</Answer>
            </div>
          </li>
        )}
      </ol>
      {(over || done) && (
        <div
          role="status"
          className={`mt-4 rounded-lg px-4 py-3 ${over ? 'bg-mind-wash text-mind' : 'bg-clear-wash text-clear'}`}
        >
          <p className="font-bold">
            {verdict === 'good'
              ? 'This one is good.'
              : verdict === 'slips'
                ? 'It grips too little.'
                : verdict === 'drags'
                  ? 'It grips too much.'
                  : 'It slips and drags at once.'}
          </p>
          {faults.length > 0 && <p>{faults.map((f) => TRIAL_FAULTS[f]).join('. ')}.</p>}
        </div>
      )}
      {(over || done) && (
        <button type="button" className="btn btn-act mt-4 min-h-14 w-full text-lg" onClick={write}>
          Write it down
        </button>
      )}
    </section>
  );
}

function Answer({ children, onClick }: { children: React.ReactNode; onClick: () => void }) {
  return (
    <button
      type="button"
      className="min-h-16 rounded-lg border-2 border-line-2 bg-surface px-3 py-2 text-left text-lg hover:bg-sunk"
      onClick={onClick}
    >
      {children}
    </button>
  );
}

function OneStage({ stage, onAnswer }: { stage: TrialStage; onAnswer: (value: number) => void }) {
  const words = useWords();
  const { system } = usePreferences();
  return (
    <>
      <p className="text-lg font-semibold">{words(stage.does)}</p>
      {stage.timerS !== null && <Minute seconds={stage.timerS} />}
      <p className="mt-1">{words(stage.see)}</p>
      <div className="mt-2 grid grid-cols-2 gap-2">
        {stage.answers.map(([value, text], i) => (
          <Answer key={value} onClick={() => onAnswer(value)}>
            <span className="block font-bold">{text}</span>
            <span className="num text-base text-ink-2">
              {printQuantity(value, stage.quantity, system)}
              {i === stage.answers.length - 1 && value > 0 ? ' or more' : ''}
            </span>
          </Answer>
        ))}
      </div>
    </>
  );
}

/** Counts a minute down; large enough to be seen from the rope, and told once it is over. */
function Minute({ seconds }: { seconds: number }) {
  const [until, setUntil] = useState<number | null>(null);
  const [now, setNow] = useState(0);
  useEffect(() => {
    if (until === null) return;
    const timer = setInterval(() => setNow(Date.now()), 250);
    return () => clearInterval(timer);
  }, [until]);
  const left = until === null ? seconds : Math.max(0, Math.ceil((until - now) / 1000));
  return (
    <div className="my-2 flex flex-wrap items-center gap-3">
      <button
        type="button"
        className="btn min-h-14 px-5 text-lg"
        onClick={() => {
          const start = Date.now();
          setNow(start);
          setUntil(start + seconds * 1000);
        }}
      >
        <Timer aria-hidden className="size-6" />
        {until === null ? `Start ${seconds} s` : 'Start again'}
      </button>
      <span className="num text-4xl font-bold" aria-hidden>
        {left} s
      </span>
      <span className="sr-only" role="status">
        {until !== null && left === 0 ? 'The minute is over.' : ''}
      </span>
    </div>
  );
}
