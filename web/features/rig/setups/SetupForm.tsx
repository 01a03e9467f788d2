import { Accordion } from 'radix-ui';
import { ChevronDown } from 'lucide-react';
import { useId, useState, type ReactNode } from 'react';
import { Link, useLocation } from 'react-router';
import type { z } from 'zod';
import type { ElementId } from '@core/foundations/finding';
import type { Slot } from '@core/rigs/elements';
import { elementAt, POINTS, withFields, withItem, type Setup } from '@core/rigs/rig';
import { usePlace } from '../../../app/place';
import { useAppDispatch, useWorkspace } from '../../../store/hooks';
import type { Into } from '../../../store/edits';
import { fieldLeft } from '../../../store/workspace-slice';
import { SchemaField } from '../../../ui/SchemaField';
import { KINDS } from '../../take/locker/kinds';
import { formSections, type FormField } from '../form/form-sections';
import { AddAndTake } from '../form/AddAndTake';
import { useWords } from '../../../app/preferences';

interface SetupFormProps {
  readonly setup: Setup;
  /** `field` names what is typed in; null for a choice, which is an edit of its own. */
  readonly onChange: (next: Setup, field: string | null) => void;
}

/** Everything that makes the set-up; every change is taken at once. */
export function SetupForm({ setup, onChange }: SetupFormProps) {
  return (
    <>
      <Accordion.Root type="multiple" defaultValue={['people']} className="divide-y divide-line border-y border-line">
        {formSections(setup).map(({ id, title, note, fields }) => (
          <Section key={id} id={id} title={title} note={note}>
            {fields.map((field) => (
              <OneField key={keyOf(field)} field={field} setup={setup} onChange={onChange} />
            ))}
          </Section>
        ))}
      </Accordion.Root>
      <AddAndTake setup={setup} onChange={(next) => onChange(next, null)} />
    </>
  );
}

const keyOf = (field: FormField): string =>
  field.kind === 'slot'
    ? `slot/${field.slot.ref}`
    : field.kind === 'fact'
      ? `${field.ref}/${field.key}`
      : field.attachment;

function Section({ id, title, note, children }: { id: string; title: string; note: string; children: ReactNode }) {
  return (
    <Accordion.Item value={id}>
      <Accordion.Header>
        <Accordion.Trigger className="group flex min-h-13 w-full items-center gap-3 px-1 py-2 text-left hover:bg-sunk">
          <span className="font-bold">{title}</span>
          <span className="min-w-0 flex-1 truncate text-right text-sm text-ink-2 group-data-[state=open]:invisible">
            {note}
          </span>
          <ChevronDown aria-hidden className="size-5 shrink-0 text-ink-2 group-data-[state=open]:rotate-180" />
        </Accordion.Trigger>
      </Accordion.Header>
      <Accordion.Content className="grid gap-3 px-1 pt-1 pb-5">{children}</Accordion.Content>
    </Accordion.Item>
  );
}

function OneField({ field, setup, onChange }: SetupFormProps & { field: FormField }) {
  if (field.kind === 'slot') return <SlotField slot={field.slot} setup={setup} onChange={onChange} />;
  if (field.kind === 'point') return <PointField attachment={field.attachment} setup={setup} onChange={onChange} />;
  const { ref, key, schema, label } = field;
  return (
    <LiveField
      schema={schema}
      label={label}
      value={elementAt(setup, ref)?.[key]}
      onValid={(value, typing) => onChange(withFields(setup, ref, { [key]: value }), typing ? `${ref}/${key}` : null)}
    />
  );
}

interface LiveFieldProps {
  readonly schema: z.ZodType;
  readonly label: string | undefined;
  readonly value: unknown;
  readonly onValid: (value: unknown, typing: boolean) => void;
}

/** A field whose every readable value is taken at once; what does not fit stays in the field with its message. */
function LiveField({ schema, label, value, onValid }: LiveFieldProps) {
  const dispatch = useAppDispatch();
  const [error, setError] = useState<string>();
  return (
    <SchemaField
      schema={schema}
      label={label}
      value={value}
      error={error}
      onChange={(next) => {
        if (next === undefined) return;
        const parsed = schema.safeParse(next);
        setError(parsed.success ? undefined : parsed.error.issues[0]?.message);
        if (parsed.success) onValid(parsed.data, typeof parsed.data !== 'string');
      }}
      onLeave={() => dispatch(fieldLeft())}
    />
  );
}

/** Where on the harness an attachment hangs. */
function PointField({ attachment, setup, onChange }: SetupFormProps & { attachment: ElementId }) {
  const inWords = useWords();
  const id = useId();
  const a = setup.attachments.find((x) => x.id === attachment);
  if (a?.root.kind !== 'harness') return null;
  const { root } = a;
  const points =
    a.end.kind === 'hitch' ? (['leg-loop', 'belay-loop'] as const) : (Object.keys(POINTS) as (keyof typeof POINTS)[]);
  return (
    <div>
      <label htmlFor={id} className="block text-sm font-semibold">
        {a.id === 'below' ? 'Hitch hangs on' : `${a.label} hangs on`}
      </label>
      <select
        id={id}
        className="field mt-1"
        value={root.point}
        onChange={(event) =>
          onChange(
            withFields(setup, a.id, { root: { ...root, point: event.target.value as keyof typeof POINTS } }),
            null,
          )
        }
      >
        {points.map((point) => (
          <option key={point} value={point}>
            {inWords(POINTS[point])}
          </option>
        ))}
      </select>
    </div>
  );
}

interface PickerProps {
  readonly label: string;
  readonly chosen: { readonly id: string; readonly name: string } | null;
  readonly options: readonly { readonly id: string; readonly name: string }[];
  readonly onPick: (id: string | null) => void;
  readonly addTo: string;
  readonly addLabel: string;
  /** The place of a set-up that what is added goes to. */
  readonly into: Into;
}

function Picker({ label, chosen, options, onPick, addTo, addLabel, into }: PickerProps) {
  const id = useId();
  const gone = chosen && !options.some((o) => o.id === chosen.id);
  const { name } = usePlace();
  const { pathname } = useLocation();
  return (
    <div>
      <label htmlFor={id} className="block text-sm font-semibold">
        {label}
      </label>
      <select
        id={id}
        className="field mt-1"
        value={chosen?.id ?? ''}
        onChange={(event) => onPick(event.target.value || null)}
      >
        <option value="">Not chosen</option>
        {gone && <option value={chosen.id}>{chosen.name} (not in the locker)</option>}
        {options.map((o) => (
          <option key={o.id} value={o.id}>
            {o.name}
          </option>
        ))}
      </select>
      {options.length === 0 && (
        <Link
          className="inline-flex min-h-11 items-center text-sm font-semibold text-act underline"
          to={`/${name}/locker/${addTo}/new`}
          state={{ back: pathname, into }}
        >
          {addLabel}
        </Link>
      )}
    </div>
  );
}

const byName = (a: { name: string }, b: { name: string }) => a.name.localeCompare(b.name);

function SlotField({ slot, setup, onChange }: SetupFormProps & { slot: Slot }) {
  const { items, people } = useWorkspace();
  const { kind, ref, label, item } = slot;
  const into = { setupId: setup.id, ref };
  if (kind === 'person') {
    const options = [...people].sort(byName);
    return (
      <Picker
        label={label}
        chosen={item}
        options={options}
        onPick={(id) => {
          // Nobody stands in two places: who is chosen for one leaves the other.
          const freed = setup.persons
            .filter((p) => p.id !== ref && id !== null && p.item?.id === id)
            .reduce((rig, p) => withItem(rig, p.id, null), setup);
          onChange(withItem(freed, ref, options.find((o) => o.id === id) ?? null), null);
        }}
        addTo="person"
        addLabel="Add a person"
        into={into}
      />
    );
  }
  const options = items.filter((i) => i.kind === kind).sort(byName);
  return (
    <Picker
      label={label}
      chosen={item}
      options={options}
      onPick={(id) => onChange(withItem(setup, ref, options.find((o) => o.id === id) ?? null), null)}
      addTo={kind}
      addLabel={KINDS[kind].add}
      into={into}
    />
  );
}
