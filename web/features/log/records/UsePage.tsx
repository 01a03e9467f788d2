import { nanoid } from '@reduxjs/toolkit';
import { format, isValid, parse } from 'date-fns';
import { useId, useState } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { instantSchema } from '@core/things/gear';
import { usageSchema, type UseRecord } from '@core/records/log';
import { NotFound } from '../../../app/NotFound';
import { useTitle } from '../../../app/useTitle';
import { usePlace } from '../../../app/place';
import { put } from '../../../storage/changes';
import { useAppDispatch, useWorkspace } from '../../../store/hooks';
import { recorded } from '../../../store/workspace-slice';
import { SchemaField } from '../../../ui/SchemaField';
import { useToast } from '../../../ui/Toasts';
import { useSchemaForm } from '../../../ui/useSchemaForm';

const LOCAL = "yyyy-MM-dd'T'HH:mm";
/** What is written down here has been. */
const useSchema = usageSchema.extend({
  at: instantSchema.refine((at) => Date.parse(at) <= Date.now() + 60_000, 'This is still to come: when was it?'),
});

/** Writes a use into the log: when, with what, who, how it went. */
export function UsePage() {
  useTitle('Log a use');
  const { useId: id } = useParams();
  return id === 'new' ? <UseForm /> : <NotFound what="This entry" />;
}

function UseForm() {
  const { name } = usePlace();
  const { setups, people } = useWorkspace();
  const [query] = useSearchParams();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const say = useToast();
  const about = setups.find((s) => s.id === query.get('setup'));
  const [start] = useState<UseRecord>(() => ({
    id: 'not-saved-yet',
    at: new Date().toISOString(),
    setupId: about?.id ?? null,
    setupName: about?.name ?? '',
    people: about?.persons.flatMap((p) => p.item?.name ?? []) ?? [],
    outcome: 'as-planned',
    descents: 1,
    note: '',
  }));
  const form = useSchemaForm({
    schema: useSchema,
    draftKey: `${name}/use/${about?.id ?? 'new'}`,
    now: start,
    onValid: (value) => {
      dispatch(recorded([put('uses', null, { ...(value as UseRecord), id: nanoid() })]));
      say('Written into the log.');
      void navigate(`/${name}/log`);
    },
  });
  const { shape } = usageSchema;
  const aboutAt = useId();
  const wrongAt = form.errorAt('at');
  const chosen = form.values.people as string[];
  const names = [...new Set([...people.map((p) => p.name), ...chosen])];
  return (
    <form className="mx-auto max-w-2xl px-4 py-6" noValidate onSubmit={(event) => void form.submit(event)}>
      <h1>Log a use</h1>
      <p className="mt-1 text-ink-2">An entry in the log stays as it was written.</p>
      <div className="mt-4 grid gap-4">
        <div>
          <label className="block text-sm font-semibold">
            When
            <input
              type="datetime-local"
              className="field num mt-1 font-normal"
              aria-invalid={wrongAt !== undefined}
              aria-describedby={aboutAt}
              value={format(form.values.at as string, LOCAL)}
              onChange={(event) => {
                const at = parse(event.target.value, LOCAL, new Date());
                if (isValid(at)) form.change('at', at.toISOString());
              }}
            />
          </label>
          <p id={aboutAt} className="mt-0.5 text-sm text-stop">
            {wrongAt}
          </p>
        </div>
        <label className="block text-sm font-semibold">
          Set-up
          <select
            className="field mt-1 font-normal"
            value={(form.values.setupId as string | null) ?? ''}
            onChange={(event) => {
              const setup = setups.find((s) => s.id === event.target.value);
              form.change('setupId', setup?.id ?? null);
              form.change('setupName', setup?.name ?? '');
            }}
          >
            <option value="">None of those planned</option>
            {setups.map((s) => (
              <option key={s.id} value={s.id}>
                {s.name}
              </option>
            ))}
          </select>
        </label>
        {names.length > 0 && (
          <fieldset>
            <legend className="text-sm font-semibold">Who was on the rope</legend>
            <div className="flex flex-wrap gap-x-5">
              {names.map((person) => (
                <label key={person} className="flex min-h-12 items-center gap-2">
                  <input
                    type="checkbox"
                    className="size-5 accent-(--act)"
                    checked={chosen.includes(person)}
                    onChange={(event) =>
                      form.change(
                        'people',
                        event.target.checked ? [...chosen, person] : chosen.filter((p) => p !== person),
                      )
                    }
                  />
                  {person}
                </label>
              ))}
            </div>
          </fieldset>
        )}
        <SchemaField
          schema={shape.descents}
          value={form.values.descents}
          onChange={(v) => form.change('descents', v)}
          error={form.errorAt('descents')}
        />
        <SchemaField
          schema={shape.outcome}
          value={form.values.outcome}
          onChange={(v) => form.change('outcome', v)}
          error={form.errorAt('outcome')}
        />
        <SchemaField
          schema={shape.note}
          value={form.values.note}
          onChange={(v) => form.change('note', v)}
          error={form.errorAt('note')}
        />
      </div>
      <div className="mt-5 flex flex-wrap gap-3">
        <button type="submit" className="btn btn-act px-6">
          Write it down
        </button>
        <button
          type="button"
          className="btn"
          onClick={() => {
            form.putAside();
            void navigate(-1);
          }}
        >
          Cancel
        </button>
      </div>
    </form>
  );
}
