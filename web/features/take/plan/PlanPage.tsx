import { nanoid } from '@reduxjs/toolkit';
import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { combined, devicesToPlan, take, type Combination } from '@core/answers/planning';
import { MUNTER } from '@core/things/gear';
import { slotsOf } from '@core/rigs/elements';
import { TEMPLATE_IDS, TEMPLATES } from '@core/rigs/rig';
import { useTitle } from '../../../app/useTitle';
import { usePlace } from '../../../app/place';
import { addSetup } from '../../../store/edits';
import { useAppDispatch, useWorkspace } from '../../../store/hooks';
import { edited } from '../../../store/workspace-slice';
import { SchemaField } from '../../../ui/SchemaField';
import { WorkProgress } from '../../../ui/WorkProgress';
import { SideBySide } from '../fit/SideBySide';
import { FactAnswer } from '../../rig/form/FactAnswer';
import { combinationName } from '../../rig/form/CombinationRow';
import { useSearch } from '../../rig/form/useSearch';
import { heightSchema, useQuestion, weatherSchema } from './useQuestion';
import { useWords } from '../../../app/preferences';
import { named } from '../../../ui/named';

/** Job, people, site and ropes in; ranked complete combinations from the locker out. */
export function PlanPage() {
  const inWords = useWords();
  useTitle('Plan');
  const { items, people, wayTests } = useWorkspace();
  const { name: place } = usePlace();
  const { question, open, without, set } = useQuestion();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const ropes = items.filter((i) => i.kind === 'rope');
  const atHand = useMemo(() => items.filter((i) => !without.has(i.id)), [items, without]);
  const { state, stop, again } = useSearch(open, atHand, wayTests);
  const able = devicesToPlan(items).filter((d) => d.id !== MUNTER.id);
  const template = TEMPLATES[question.template];
  const places = slotsOf(open).filter((s) => s.kind === 'person');
  const nobody = places.filter((s) => s.item === null && !s.optional);
  const toggle = (id: string, at: boolean) => {
    const next = new Set(without);
    if (at) next.delete(id);
    else next.add(id);
    set('without', [...next].join(' '));
  };
  const onTake = ({ picks }: Combination) => {
    const now = new Date().toISOString();
    const title = combinationName(combined(open, picks, items, wayTests));
    const own = { id: nanoid(), name: named(`${inWords(template.label)}: ${title}`), createdAt: now };
    dispatch(edited(addSetup({ ...take(open, picks, items, wayTests, now), ...own })));
    void navigate(`/${place}/setups/${own.id}`);
  };

  return (
    <div className="mx-auto max-w-6xl px-4 py-6">
      <h1>Plan</h1>
      <p className="mt-1 text-ink-2">What to take, whether it fits, and which way round.</p>
      <div className="mt-4 grid gap-6 lg:grid-cols-[18rem_minmax(0,1fr)]">
        <section aria-label="What for" className="grid content-start gap-3">
          <Select label="Job" value={question.template} onChange={(value) => set('job', value)}>
            {TEMPLATE_IDS.map((id) => (
              <option key={id} value={id}>
                {inWords(TEMPLATES[id].label)}
              </option>
            ))}
          </Select>
          <SchemaField
            key={question.template}
            schema={heightSchema}
            value={question.site.anchorHeightM}
            onChange={(value) => {
              if (heightSchema.safeParse(value).success) set('height', String(value));
            }}
          />
          <SchemaField
            schema={weatherSchema}
            value={question.site.weather}
            onChange={(value) => set('weather', String(value))}
          />
          {places
            .filter((s) => !s.optional)
            .map((slot) => (
              <Select
                key={slot.ref}
                label={slot.label}
                value={slot.item?.id ?? ''}
                onChange={(value) => set(slot.ref, value)}
              >
                {slot.item === null && (
                  <option value="">{people.length === 0 ? 'Nobody entered yet' : 'Nobody chosen'}</option>
                )}
                {people.map((p) => (
                  <option key={p.id} value={p.id}>
                    {p.name}
                  </option>
                ))}
              </Select>
            ))}
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
        <section aria-label="Combinations">
          {nobody.length > 0 && (
            <p className="mb-4 rounded-lg bg-untested-wash px-4 py-3 text-untested">
              Nobody is chosen for: {nobody.map((s) => s.label.toLowerCase()).join(', ')}. Without a mass neither forces
              nor strength are judged.
            </p>
          )}
          <WorkProgress state={state} says={(done) => `${done} sets of ropes done`} onStop={stop} onAgain={again} />
          {state.kind === 'done' && (
            <FactAnswer key={question.template} open={open} answer={state.result} onTake={onTake} />
          )}
          <p className="mt-6 text-sm text-ink-2">
            Judged as if rigged correctly; what is taken becomes a set-up, where the rest is said and looked at. The
            makers’ instructions, local codes and licensed practice come first.
          </p>
        </section>
      </div>
      <SideBySide job={template.job} devices={able} onlyAble />
    </div>
  );
}

interface SelectProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly children: React.ReactNode;
}

function Select({ label, value, onChange, children }: SelectProps) {
  return (
    <label className="text-sm font-semibold">
      {label}
      <select
        className="field mt-1 text-base font-normal"
        value={value}
        onChange={(event) => onChange(event.target.value)}
      >
        {children}
      </select>
    </label>
  );
}
