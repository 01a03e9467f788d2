import type { Remote } from 'comlink';
import { useCallback, useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { notAssessed } from '@core/assess-choice';
import { devicesToPlan } from '@core/choose';
import { fillTemplate } from '@core/finding';
import { JOB_FACTS, JOB_KEYS, JOBS, type Job } from '@core/gear';
import { questionSchema, type Question } from '@core/rig';
import { usePreferences } from '../../app/preferences';
import { useWorkspace } from '../../store/hooks';
import { SchemaField } from '../../ui/SchemaField';
import { WorkProgress } from '../../ui/WorkProgress';
import type { PlanAnswer, PlanWorker } from '../../workers/plan-worker';
import { useWorkerJob } from '../../workers/useWorkerJob';
import { SideBySide } from '../fit/SideBySide';
import { PlanRow } from './PlanRow';
import { Rejected } from './Rejected';

const create = () => new Worker(new URL('../../workers/plan-worker.ts', import.meta.url), { type: 'module' });
const isJob = (text: string | null): text is Job => JOB_KEYS.some((j) => j === text);
const { heightM: heightSchema, weather: weatherSchema } = questionSchema.shape;

/** What one asks is part of the address, so that a reload asks the same again. */
function useQuestion() {
  const [query, setQuery] = useSearchParams();
  const { people } = useWorkspace();
  const text = query.toString();
  const question = useMemo((): Question => {
    const q = new URLSearchParams(text);
    const height = heightSchema.safeParse(Number(q.get('height') ?? NaN));
    const weather = weatherSchema.safeParse(q.get('weather'));
    const asked = q.get('job');
    return {
      job: isJob(asked) ? asked : 'rappel-double',
      heightM: height.success ? height.data : 20,
      weather: weather.success ? weather.data : 'dry',
      climber: people.find((p) => p.id === q.get('who')) ?? people[0] ?? null,
      belayer: people.find((p) => p.id === q.get('brakes')) ?? null,
    };
  }, [text, people]);
  const without = useMemo(
    () => new Set((new URLSearchParams(text).get('without') ?? '').split(' ').filter(Boolean)),
    [text],
  );
  const set = (key: string, value: string) =>
    setQuery(
      (old) => {
        const next = { ...Object.fromEntries(old), [key]: value };
        return Object.fromEntries(Object.entries(next).filter(([, v]) => v !== ''));
      },
      { replace: true },
    );
  return { question, without, set };
}

/** Job, people, site and ropes in; ranked complete combinations from the locker out. */
export function PlanPage() {
  const { items, people, wayTests } = useWorkspace();
  const { question, without, set } = useQuestion();
  const facts = JOB_FACTS[question.job];
  const ropes = items.filter((i) => i.kind === 'rope');
  const atHand = useMemo(() => items.filter((i) => !without.has(i.id)), [items, without]);
  const ask = useCallback(
    (api: Remote<PlanWorker>, onRow: (done: number) => void): Promise<PlanAnswer> =>
      api.plan(question, atHand, wayTests, onRow),
    [question, atHand, wayTests],
  );
  const { state, stop, again } = useWorkerJob({ create, ask });
  const able = devicesToPlan(items).filter((d) => d.id !== 'munter');
  const toggle = (id: string, at: boolean) => {
    const next = new Set(without);
    if (at) next.delete(id);
    else next.add(id);
    set('without', [...next].join(' '));
  };

  return (
    <div className="mx-auto max-w-6xl px-4 py-6">
      <h1>Plan</h1>
      <p className="mt-1 text-ink-2">What to take, whether it fits, and which way round.</p>
      <div className="mt-4 grid gap-6 lg:grid-cols-[18rem_minmax(0,1fr)]">
        <section aria-label="What for" className="grid content-start gap-3">
          <label className="text-sm font-semibold">
            Job
            <select
              className="field mt-1 text-base font-normal"
              value={question.job}
              onChange={(event) => set('job', event.target.value)}
            >
              {JOB_KEYS.map((key) => (
                <option key={key} value={key}>
                  {JOBS[key]}
                </option>
              ))}
            </select>
          </label>
          <SchemaField
            key={question.job}
            schema={heightSchema}
            value={question.heightM}
            onChange={(value) => {
              if (heightSchema.safeParse(value).success) set('height', String(value));
            }}
          />
          <SchemaField
            schema={weatherSchema}
            value={question.weather}
            onChange={(value) => set('weather', String(value))}
          />
          <label className="text-sm font-semibold">
            On the rope
            <select
              className="field mt-1 text-base font-normal"
              value={question.climber?.id ?? ''}
              onChange={(event) => set('who', event.target.value)}
            >
              {people.length === 0 && <option value="">Nobody entered yet</option>}
              {people.map((p) => (
                <option key={p.id} value={p.id}>
                  {p.name}
                </option>
              ))}
            </select>
          </label>
          {!facts.backup && !facts.climbs && (
            <label className="text-sm font-semibold">
              Hand that brakes
              <select
                className="field mt-1 text-base font-normal"
                value={question.belayer?.id ?? ''}
                onChange={(event) => set('brakes', event.target.value)}
              >
                <option value="">The same person</option>
                {people
                  .filter((p) => p.id !== question.climber?.id)
                  .map((p) => (
                    <option key={p.id} value={p.id}>
                      {p.name}
                    </option>
                  ))}
              </select>
            </label>
          )}
          {ropes.length > 0 && (
            <details open={without.size > 0 || undefined}>
              <summary className="min-h-11 cursor-pointer py-2.5 text-sm font-semibold">
                Ropes at hand:{' '}
                {without.size === 0 ? `all ${ropes.length}` : `${ropes.length - without.size} of ${ropes.length}`}
              </summary>
              {ropes.map((rope) => (
                <label key={rope.id} className="flex min-h-11 items-center gap-2">
                  <input
                    type="checkbox"
                    className="size-5 accent-(--act)"
                    checked={!without.has(rope.id)}
                    onChange={(event) => toggle(rope.id, event.target.checked)}
                  />
                  {rope.name}
                </label>
              ))}
            </details>
          )}
        </section>
        <section aria-label="Combinations" aria-live="polite">
          <WorkProgress state={state} says={(done) => `${done} sets of ropes done`} onStop={stop} onAgain={again} />
          {state.kind === 'done' && (
            <Answer key={JSON.stringify([question.job, question.heightM])} answer={state.result} question={question} />
          )}
          <p className="mt-6 rounded-lg bg-untested-wash px-4 py-3 text-untested">
            Not judged here: {notAssessed(question.job).join('; ')}. The makers’ instructions, local codes and licensed
            practice come first.
          </p>
        </section>
      </div>
      <SideBySide job={question.job} devices={able.filter((d) => items.includes(d))} onlyAble />
    </div>
  );
}

const SHOWN = 8;

function Answer({ answer, question }: { answer: PlanAnswer; question: Question }) {
  const { system } = usePreferences();
  const [shown, setShown] = useState(SHOWN);
  const { combinations, rejected, found, stopped, needs } = answer;
  return (
    <>
      {!question.climber && (
        <p className="mb-4 rounded-lg bg-untested-wash px-4 py-3 text-untested">
          Nobody is entered yet: without a mass neither forces nor strength are judged.
        </p>
      )}
      {needs.length > 0 && (
        <section className="mb-5">
          <h2>Missing in the locker</h2>
          <ul className="mt-1 list-disc pl-6">
            {needs.map((need) => (
              <li key={need.says}>{fillTemplate(need.says, need.numbers, system)}</li>
            ))}
          </ul>
        </section>
      )}
      <h2>
        {found === 0
          ? 'Nothing in the locker makes a combination without a Stop'
          : `${found} ${found === 1 ? 'combination' : 'combinations'} without a Stop, best first`}
      </h2>
      <ol className="mt-2 divide-y divide-line border-y border-line">
        {combinations.slice(0, shown).map((combination) => (
          <PlanRow
            key={`${combination.ropeAId}/${combination.ropeBId}/${combination.deviceId}`}
            combination={combination}
            question={question}
          />
        ))}
      </ol>
      {combinations.length > shown && (
        <button type="button" className="btn mt-3" onClick={() => setShown((n) => n + SHOWN)}>
          Show more
        </button>
      )}
      {rejected.length > 0 && <Rejected rejected={rejected} stopped={stopped} question={question} />}
    </>
  );
}
