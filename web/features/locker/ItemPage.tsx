import { nanoid } from '@reduxjs/toolkit';
import { useState } from 'react';
import { useLocation, useNavigate, useParams } from 'react-router';
import type { z } from 'zod';
import { fieldMeta, type Item, type Person } from '@core/gear';
import { NotFound } from '../../app/NotFound';
import { useTitle } from '../../app/useTitle';
import { usePlace } from '../../app/WorkspaceProvider';
import { removeItem, removePerson, saveItem, savePerson } from '../../store/edits';
import { useAppDispatch, useWorkspace } from '../../store/hooks';
import { edited, undone } from '../../store/workspace-slice';
import { SchemaField } from '../../ui/SchemaField';
import { useToast } from '../../ui/Toasts';
import { useSchemaForm } from '../../ui/useSchemaForm';
import { DeclarationsField, type DeclarationDraft } from './DeclarationsField';
import { blankOf, isLockerKind, KINDS, schemaOf, type LockerKind } from './kinds';

export function ItemPage() {
  const { kind, id } = useParams();
  const { items, people } = useWorkspace();
  if (!isLockerKind(kind)) return <NotFound />;
  const thing = kind === 'person' ? people.find((p) => p.id === id) : items.find((i) => i.id === id && i.kind === kind);
  if (id !== 'new' && !thing) return <NotFound what={`This ${KINDS[kind].one.toLowerCase()}`} />;
  return <ItemForm key={`${kind}/${id}`} kind={kind} thing={thing ?? null} />;
}

function ItemForm({ kind, thing }: { kind: LockerKind; thing: Item | Person | null }) {
  useTitle(thing ? thing.name : KINDS[kind].add);
  const { name } = usePlace();
  const data = useWorkspace();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const say = useToast();
  const schema = schemaOf(kind);
  // Where the person came from (a set-up, the next action) is where they go back to.
  const state = useLocation().state as { back?: string } | null;
  const back = state?.back ?? `/${name}/locker`;
  const [blank] = useState(() => blankOf(kind, nanoid()));
  const form = useSchemaForm({
    schema,
    draftKey: `${name}/${kind}/${thing?.id ?? 'new'}`,
    start: thing ? { ...thing } : blank,
    onValid: (value) => {
      dispatch(edited(kind === 'person' ? savePerson(data, value as Person) : saveItem(data, value as Item)));
      say(`${String(value.name)} is in the locker.`, { label: 'Undo', run: () => dispatch(undone()) });
      void navigate(back);
    },
  });
  const fields = Object.entries(schema.shape).map(
    ([key, field]) => [key, field as z.ZodType, fieldMeta(field as z.ZodType)?.group] as const,
  );
  const groups = [...new Set(fields.flatMap(([, , group]) => (group === undefined ? [] : [group])))];
  const fieldOf = ([key, field]: (typeof fields)[number]) =>
    key === 'declarations' ? (
      <DeclarationsField
        key={key}
        control={form.control}
        value={form.values.declarations as DeclarationDraft[]}
        onChange={form.change}
        errorAt={(path) => form.errorAt(`declarations.${path}`)}
      />
    ) : fieldMeta(field) ? (
      <div key={key} className={fieldMeta(field)!.multiline ? 'col-span-full' : ''}>
        <SchemaField
          schema={field}
          value={form.values[key]}
          onChange={(value) => form.change(key, value)}
          error={form.errorAt(key)}
        />
      </div>
    ) : null;
  const remove = () => {
    if (!thing) return;
    form.putAside();
    dispatch(edited('kind' in thing ? removeItem(thing) : removePerson(thing)));
    say(`${thing.name} is taken out. Set-ups that use it keep it.`, { label: 'Undo', run: () => dispatch(undone()) });
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
      <div className="mt-4 grid gap-x-5 gap-y-4 sm:grid-cols-2">
        {fields.filter(([, , group]) => group === undefined).map(fieldOf)}
      </div>
      {groups.map((group) => {
        const inside = fields.filter(([, , g]) => g === group);
        const wrong = inside.some(([key]) => form.errorAt(key) !== undefined);
        return (
          <details key={group} className="mt-5 border-t border-line" open={wrong || undefined}>
            <summary className="min-h-11 cursor-pointer py-2.5 font-semibold">{group}</summary>
            <div className="grid gap-x-5 gap-y-4 pb-3 sm:grid-cols-2">{inside.map(fieldOf)}</div>
          </details>
        );
      })}
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
