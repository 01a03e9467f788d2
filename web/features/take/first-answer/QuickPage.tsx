import { nanoid } from '@reduxjs/toolkit';
import { useId, useState, type ReactNode } from 'react';
import { useLocation, useNavigate, useSearchParams } from 'react-router';
import { z } from 'zod';
import {
  constructionsFor,
  familiesFor,
  MASSES_ASKED,
  quickSchema,
  quickSetup,
  type QuickQuestion,
} from '@core/answers/planning';
import { DEVICE_FAMILIES, fieldMeta, ROPE_CONSTRUCTIONS } from '@core/things/gear';
import { TEMPLATE_IDS, type TemplateId } from '@core/rigs/rig';
import { usePreferences, useWords } from '../../../app/preferences';
import { usePlace } from '../../../app/place';
import { useTitle } from '../../../app/useTitle';
import { FamilyPicture } from '../../../drawing/FamilyPicture';
import { addSetup } from '../../../store/edits';
import { useAppDispatch, useWorkspace } from '../../../store/hooks';
import { edited } from '../../../store/workspace-slice';
import { typedFields } from '../../../ui/draft';
import { SchemaField } from '../../../ui/SchemaField';
import { useSchemaForm } from '../../../ui/useSchemaForm';
import { freshName, JOB_GROUPS, jobLabel } from '../../rig/setups/job-groups';

const isTemplate = (id: unknown): id is TemplateId => TEMPLATE_IDS.some((t) => t === id);
const BLANK = {
  template: '',
  diameterMm: null,
  construction: '',
  family: '',
  massKg: null,
  otherMassKg: null,
  brakeHand: '',
};

/** A few questions, and a first answer: everything else is typical of its kind, or open. */
export function QuickPage() {
  useTitle('A first answer');
  const inWords = useWords();
  const { hand } = usePreferences();
  const { name: place } = usePlace();
  const { setups } = useWorkspace();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const [query] = useSearchParams();
  const asked = query.get('do');
  // Going back from an answer: what was said stands there still.
  const said = z.record(z.string(), z.unknown()).safeParse((useLocation().state as { said?: unknown } | null)?.said);
  const [choosing, setChoosing] = useState(!isTemplate(asked) && said.data === undefined);
  const form = useSchemaForm({
    schema: quickSchema,
    draftKey: `${place}/quick/${asked ?? ''}`,
    now: {
      ...{ ...BLANK, template: isTemplate(asked) ? asked : '', brakeHand: hand ?? '' },
      ...typedFields(quickSchema, said.data ?? {}),
    },
    onValid: (value) => {
      // A weight that was typed for another job is not asked for in this one.
      const typed = value as QuickQuestion;
      const asked = MASSES_ASKED[typed.template][1] !== null;
      const question = asked ? typed : { ...typed, otherMassKg: null };
      const setup = quickSetup(question, {
        id: nanoid(),
        name: freshName(inWords(jobLabel(question.template)), new Set(setups.map((s) => s.name))),
        now: new Date().toISOString(),
        newId: () => nanoid(),
      });
      dispatch(edited(addSetup(setup)));
      void navigate({ search: query.toString() }, { replace: true, state: { said: value } });
      void navigate(`/${place}/setups/${setup.id}`);
    },
  });
  const template = form.values.template;
  const families = isTemplate(template) ? familiesFor(template) : [];
  const setTemplate = (id: TemplateId) => {
    form.change('template', id);
    setChoosing(false);
    // What does not serve the new job cannot stay chosen.
    if (!familiesFor(id).some((f) => f === form.values.family)) form.change('family', '');
  };
  const { diameterMm, massKg, otherMassKg } = quickSchema.shape;
  const [hangs, other] = MASSES_ASKED[isTemplate(template) ? template : 'rappel-double'];
  return (
    <form className="mx-auto max-w-3xl px-4 py-6" noValidate onSubmit={(event) => void form.submit(event)}>
      <h1>A first answer</h1>
      <p className="mt-1 text-ink-2">
        A few questions. The rest is taken as it usually is, and the answer says what depends on it.
      </p>
      {isTemplate(template) && !choosing ? (
        <p className="mt-5 flex flex-wrap items-center gap-3">
          <span className="text-lg font-semibold">{inWords(jobLabel(template))}</span>
          <button type="button" className="btn" onClick={() => setChoosing(true)}>
            Something else
          </button>
        </p>
      ) : (
        <Picks
          title="What are you going to do?"
          error={form.errorAt('template') && 'Choose what you are going to do.'}
          columns="sm:grid-cols-3"
        >
          {JOB_GROUPS.map(({ title, ids }) => (
            <div key={title} className="grid content-start gap-1.5">
              <p className="text-sm font-semibold text-ink-2">{title}</p>
              {ids.map((id) => (
                <Pick key={id} of="template" chosen={template === id} onPick={() => setTemplate(id)}>
                  {inWords(jobLabel(id))}
                </Pick>
              ))}
            </div>
          ))}
        </Picks>
      )}
      <div className="mt-6 sm:max-w-xs">
        <SchemaField
          schema={diameterMm}
          value={form.values.diameterMm}
          onChange={(value) => form.change('diameterMm', value)}
          error={form.errorAt('diameterMm')}
        />
      </div>
      <Picks
        title={fieldMeta(quickSchema.shape.construction)!.label}
        error={form.errorAt('construction') && 'Choose the kind of rope, or “Other or not known”.'}
        columns="grid-cols-2 sm:grid-cols-5"
      >
        {constructionsFor(isTemplate(template) ? template : 'belay-top-rope').map((kind) => (
          <Pick
            key={kind}
            of="construction"
            chosen={form.values.construction === kind}
            onPick={() => form.change('construction', kind)}
          >
            {inWords(ROPE_CONSTRUCTIONS[kind])}
          </Pick>
        ))}
      </Picks>
      <Picks
        title="Device"
        hint={families.length === 0 ? 'Choose first what you are going to do: here is what serves it.' : ''}
        error={form.errorAt('family') && 'Choose the kind of device, by its look.'}
        columns="grid-cols-2 sm:grid-cols-4"
      >
        {families.map((family) => (
          <Pick
            key={family}
            of="family"
            chosen={form.values.family === family}
            onPick={() => form.change('family', family)}
            picture={<FamilyPicture family={family} />}
          >
            {inWords(DEVICE_FAMILIES[family])}
          </Pick>
        ))}
      </Picks>
      <div className="mt-6 grid gap-x-4 gap-y-3 sm:max-w-xl sm:grid-cols-2">
        <SchemaField
          schema={massKg}
          label={hangs}
          value={form.values.massKg}
          onChange={(value) => form.change('massKg', value)}
          error={form.errorAt('massKg')}
        />
        {other && (
          <SchemaField
            schema={otherMassKg}
            label={other}
            value={form.values.otherMassKg}
            onChange={(value) => form.change('otherMassKg', value)}
            error={form.errorAt('otherMassKg')}
          />
        )}
      </div>
      <Picks
        title={fieldMeta(quickSchema.shape.brakeHand)!.label}
        error={form.errorAt('brakeHand') && 'Choose the hand.'}
        columns="grid-cols-2 sm:max-w-sm"
      >
        {(['left', 'right'] as const).map((hand) => (
          <Pick
            key={hand}
            of="brakeHand"
            chosen={form.values.brakeHand === hand}
            onPick={() => form.change('brakeHand', hand)}
          >
            {hand === 'left' ? 'Left' : 'Right'}
          </Pick>
        ))}
      </Picks>
      <div className="sticky bottom-16 mt-8 bg-paper py-3 sm:static">
        <button type="submit" className="btn btn-act w-full px-6 text-lg sm:w-auto">
          Show the answer
        </button>
      </div>
    </form>
  );
}

interface PicksProps {
  readonly title: string;
  readonly hint?: string;
  readonly error?: string | undefined;
  readonly columns: string;
  readonly children: ReactNode;
}

function Picks({ title, hint, error, columns, children }: PicksProps) {
  const id = useId();
  return (
    <fieldset className="mt-6" aria-describedby={id}>
      <legend className="text-sm font-semibold">{title}</legend>
      <p id={id} className={error ? 'text-sm text-stop' : 'text-sm text-ink-2'}>
        {error ?? hint}
      </p>
      <div className={`mt-1.5 grid gap-x-4 gap-y-2 ${columns}`}>{children}</div>
    </fieldset>
  );
}

interface PickProps {
  readonly of: string;
  readonly chosen: boolean;
  readonly onPick: () => void;
  readonly picture?: ReactNode;
  readonly children: ReactNode;
}

/** One of several, as large as a thumb: a radio button that looks like what it is about. */
function Pick({ of, chosen, onPick, picture, children }: PickProps) {
  return (
    <label
      className={`flex min-h-11 cursor-pointer gap-2 rounded-lg border-2 px-2.5 py-1.5 has-focus-visible:outline-3 has-focus-visible:outline-offset-2 has-focus-visible:outline-act ${picture ? 'flex-col items-center text-center text-sm' : 'items-center'} ${chosen ? 'border-act bg-sunk font-semibold' : 'border-line bg-surface'}`}
    >
      <input type="radio" name={of} className="sr-only" checked={chosen} onChange={onPick} />
      {picture}
      <span>{children}</span>
    </label>
  );
}
