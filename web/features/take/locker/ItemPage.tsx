import { nanoid } from '@reduxjs/toolkit';
import { useState } from 'react';
import { Link, useLocation, useNavigate, useParams } from 'react-router';
import type { z } from 'zod';
import { threadingsOf, type ThreadingMode } from '@core/things/fit';
import { asOwn, ASK_FIRST, fieldMeta, traitsOf, type Device, type Item, type Person } from '@core/things/gear';
import { printQuantity, type UnitSystem } from '@core/foundations/units';
import { usePreferences } from '../../../app/preferences';
import { NotFound } from '../../../app/NotFound';
import { useTitle } from '../../../app/useTitle';
import { usePlace } from '../../../app/place';
import { chosenInto, removeItem, removePerson, saveItem, savePerson, type Into } from '../../../store/edits';
import { useWorkspace } from '../../../store/hooks';
import { SchemaField } from '../../../ui/SchemaField';
import { useUndoable } from '../../../ui/useUndoable';
import { useSchemaForm } from '../../../ui/useSchemaForm';
import { whyAsked } from './why';
import { DeclarationsField } from './DeclarationsField';
import type { DeclarationDraft } from './ranges';
import { MeasurePicture } from '../../../drawing/measures/MeasurePicture';
import { FoldedThreadings } from '../../../drawing/threaded/lazy';
import { OnlyTypical, StartFrom, TypicalNote } from './Typical';
import { blankOf } from './blank';
import { isLockerKind, KINDS, schemaOf, type LockerKind } from './kinds';

export function ItemPage() {
  const { kind, id } = useParams();
  const { items, people } = useWorkspace();
  const known = isLockerKind(kind);
  const thing = !known
    ? undefined
    : kind === 'person'
      ? people.find((p) => p.id === id)
      : items.find((i) => i.id === id && i.kind === kind);
  // What is taken out in another tab while its form is open stays in the form, with what was typed.
  const [last, setLast] = useState(thing);
  if (thing && thing !== last) setLast(thing);
  if (!known) return <NotFound />;
  const shown = thing ?? (last?.id === id ? last : undefined);
  if (id !== 'new' && !shown) return <NotFound what={`This ${KINDS[kind].one.toLowerCase()}`} />;
  return <ItemForm key={`${kind}/${id}`} kind={kind} thing={shown ?? null} gone={shown !== thing} />;
}

/** What stands in a field, for a sentence; nothing for what is more than a value. */
function sayValue(schema: z.ZodType, value: unknown, system: UnitSystem): string {
  const meta = fieldMeta(schema);
  if (value === null || value === '') return ', there: empty';
  if (typeof value === 'number' && meta?.quantity) return `, there: ${printQuantity(value, meta.quantity, system)}`;
  return typeof value === 'string' ? `, there: “${meta?.options?.[value] ?? value}”` : '';
}

const MODES: Readonly<Record<ThreadingMode, string>> = {
  brakes: 'How the rope runs in it',
  guides: 'How the rope runs in it at the anchor, gripping hands-off',
};

/** The way of the rope for this family, and the wrong ones beside it. */
const RopeInIt = ({ family }: { family: Device['family'] }) =>
  (Object.keys(MODES) as ThreadingMode[])
    .filter((mode) => threadingsOf(family, mode).length > 0)
    .map((mode) => (
      <FoldedThreadings
        key={mode}
        family={family}
        mode={mode}
        summary={MODES[mode]}
        className="mt-5 border-t border-line"
        summaryClass="py-2.5 font-semibold"
      />
    ));

/** What a thing is called comes before what is measured. */
const NAMED: ReadonlySet<string> = new Set(['name', 'maker']);
/** Nothing is entered there yet. */
const isOpen = (value: unknown): boolean =>
  value === null ||
  value === undefined ||
  value === '' ||
  value === 'unknown' ||
  (Array.isArray(value) && value.length === 0);

interface ItemFormProps {
  readonly kind: LockerKind;
  readonly thing: Item | Person | null;
  /** Taken out meanwhile. */
  readonly gone: boolean;
}

function ItemForm({ kind, thing, gone }: ItemFormProps) {
  useTitle(thing ? thing.name : KINDS[kind].add);
  const { name } = usePlace();
  const data = useWorkspace();
  const act = useUndoable();
  const navigate = useNavigate();
  const { system, hand } = usePreferences();
  const schema = schemaOf(kind);
  // Where the person came from (a set-up, the next action) is where they go back to.
  const state = useLocation().state as { back?: string; into?: Into } | null;
  const back = state?.back ?? `/${name}/locker`;
  const [blank] = useState(() => ({
    ...blankOf(kind, 'not-saved-yet'),
    ...(kind === 'person' && hand ? { brakeHand: hand } : {}),
  }));
  const form = useSchemaForm({
    schema,
    draftKey: `${name}/${kind}/${thing?.id ?? 'new'}`,
    now: thing ? thing : blank,
    onValid: (read) => {
      // The id is made now: two forms that are open for something new are about two things.
      const value = { ...read, id: thing?.id ?? nanoid() } as unknown as Item | Person;
      const edit = 'kind' in value ? saveItem(data, value) : savePerson(data, value);
      const into = thing ? undefined : state?.into;
      act(
        into ? chosenInto(data, edit, value, into, new Date().toISOString()) : edit,
        `${value.name} is in the locker.`,
      );
      void navigate(back);
    },
  });
  const fields = Object.entries(schema.shape).map(
    ([key, field]) => [key, field as z.ZodType, fieldMeta(field as z.ZodType)?.group] as const,
  );
  const groups = [...new Set(fields.flatMap(([, , group]) => (group === undefined ? [] : [group])))];
  const assumed = (form.values.assumed ?? []) as readonly string[];
  /** What was entered, or confirmed, is no longer what is typical. */
  const own = (key: string) => {
    if (assumed.includes(key)) form.change('assumed', asOwn({ assumed }, [key]).assumed);
  };
  // What to measure first stays where it is while one enters it, also when it is no longer typical.
  const [guided, setGuided] = useState(assumed.length > 0);
  const first: readonly string[] = guided ? ASK_FIRST[kind] : [];
  const apart = (key: string) => guided && (first.includes(key) || NAMED.has(key));
  const startFrom = (item: Item) => {
    setGuided(true);
    for (const [key, value] of Object.entries(item)) if (key !== 'id' && key !== 'kind') form.change(key, value);
  };
  const fieldOf = ([key, field]: (typeof fields)[number]) =>
    key === 'declarations' ? (
      <DeclarationsField
        key={key}
        control={form.control}
        value={form.values.declarations as DeclarationDraft[]}
        family={form.values.family as Device['family']}
        onChange={form.change}
        errorAt={(path) => form.errorAt(`declarations.${path}`)}
      />
    ) : fieldMeta(field) ? (
      <div key={key} className={fieldMeta(field)!.multiline ? 'col-span-full' : ''}>
        <div className="flex flex-wrap items-start gap-3">
          <div className="min-w-0 flex-[1_1_9rem]">
            <SchemaField
              schema={field}
              value={form.values[key]}
              onChange={(value) => {
                form.change(key, value);
                own(key);
              }}
              error={form.errorAt(key)}
            />
          </div>
          {fieldMeta(field)!.quantity && <MeasurePicture kind={kind} field={key} values={form.values} />}
        </div>
        {whyAsked(kind, key) && <p className="mt-0.5 text-sm text-ink-2">Tells {whyAsked(kind, key)}.</p>}
        {assumed.includes(key) && <TypicalNote kind={kind} field={key} schema={field} onOwn={() => own(key)} />}
      </div>
    ) : null;
  const remove = () => {
    if (!thing) return;
    form.putAside();
    act(
      'kind' in thing ? removeItem(thing) : removePerson(thing),
      `${thing.name} is taken out. Set-ups that use it keep it.`,
    );
    void navigate(back);
  };

  return (
    <form className="mx-auto max-w-3xl px-4 py-6" noValidate onSubmit={(event) => void form.submit(event)}>
      <h1>{thing ? thing.name : KINDS[kind].add}</h1>
      {form.restored && (
        <p className="mt-2 rounded bg-untested-wash px-3 py-2 text-untested">
          What you had typed before is still here.
        </p>
      )}
      {gone && (
        <p role="alert" className="mt-2 rounded bg-mind-wash px-3 py-2 text-mind">
          This was taken out in another tab while the form was open. Saving puts it back.
        </p>
      )}
      {form.twice.length > 0 && (
        <div role="alert" className="mt-2 rounded bg-mind-wash px-3 py-2 text-mind">
          <p>Changed in another tab while the form was open. Saving keeps what you typed here.</p>
          <ul className="mt-1">
            {form.twice.map((key) => (
              <li key={key} className="flex flex-wrap items-center gap-x-3">
                <span>
                  <strong>
                    {fieldMeta(schema.shape[key] as z.ZodType)?.label ??
                      (key === 'assumed' ? 'Usual for its kind, not measured' : 'What the maker declares')}
                  </strong>
                  {thing &&
                    sayValue(
                      schema.shape[key] as z.ZodType,
                      (thing as unknown as Record<string, unknown>)[key],
                      system,
                    )}
                </span>
                <button type="button" className="min-h-11 font-semibold underline" onClick={() => form.takeOther(key)}>
                  Take what was entered there
                </button>
              </li>
            ))}
          </ul>
        </div>
      )}
      {!thing && <StartFrom kind={kind} onTake={startFrom} />}
      <OnlyTypical kind={kind} assumed={assumed} />
      {first.length > 0 && (
        <div className="mt-4 grid gap-x-5 gap-y-4 sm:grid-cols-2">
          {fields.filter(([key]) => NAMED.has(key)).map(fieldOf)}
        </div>
      )}
      {first.length > 0 && (
        <section aria-labelledby="measure-first" className="mt-4 border-l-4 border-act pl-4">
          <h2 id="measure-first" className="text-lg">
            Measure these first
          </h2>
          <p className="text-sm text-ink-2">
            {first.filter((key) => assumed.includes(key) || isOpen(form.values[key])).length} of {first.length} to go.
            Most of what is told of it hangs on them.
          </p>
          <div className="mt-2 grid gap-x-5 gap-y-4 sm:grid-cols-2">
            {first.flatMap((key) => fields.filter(([k]) => k === key)).map(fieldOf)}
          </div>
        </section>
      )}
      <div className="mt-4 grid gap-x-5 gap-y-4 sm:grid-cols-2">
        {fields.filter(([key, , group]) => group === undefined && !apart(key)).map(fieldOf)}
      </div>
      {groups.map((group) => {
        const inside = fields.filter(([key, , g]) => g === group && !apart(key));
        if (inside.length === 0) return null;
        const wrong = inside.some(([key]) => form.errorAt(key) !== undefined);
        return (
          <details key={group} className="mt-5 border-t border-line" open={wrong || undefined}>
            <summary className="min-h-11 cursor-pointer py-2.5 font-semibold">{group}</summary>
            <div className="grid gap-x-5 gap-y-4 pb-3 sm:grid-cols-2">{inside.map(fieldOf)}</div>
          </details>
        );
      })}
      {kind === 'device' && <RopeInIt family={form.values.family as Device['family']} />}
      {thing && 'kind' in thing && thing.kind === 'device' && traitsOf(thing.family).tuned && (
        <Link className="btn mt-5" to={`/${name}/locker/device/${thing.id}/tune`}>
          Tune it to a rope
        </Link>
      )}
      <div className="mt-6 flex flex-wrap gap-3">
        <button type="submit" className="btn btn-act px-6">
          Save
        </button>
        <button
          type="button"
          className="btn"
          onClick={() => {
            form.putAside();
            void navigate(back);
          }}
        >
          Cancel
        </button>
        {thing && (
          <button type="button" className="btn ml-auto text-stop" onClick={remove}>
            Take out of the locker
          </button>
        )}
      </div>
    </form>
  );
}
