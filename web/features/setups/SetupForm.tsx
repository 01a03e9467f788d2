import { Accordion } from 'radix-ui';
import { ChevronDown } from 'lucide-react';
import { useId, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import type { z } from 'zod';
import type { Item } from '@core/gear';
import { GEAR_ROLES, rigSchema, situationSchema, type GearRole, type Rig, type Setup, type Situation } from '@core/rig';
import { usePlace } from '../../app/WorkspaceProvider';
import { useAppDispatch, useWorkspace } from '../../store/hooks';
import { fieldLeft } from '../../store/workspace-slice';
import { SchemaField } from '../../ui/SchemaField';
import { KINDS } from '../locker/kinds';

interface SetupFormProps {
  readonly setup: Setup;
  /** `field` names what is typed in; null for a choice, which is a step of its own. */
  readonly onChange: (next: Setup, field: string | null) => void;
}

/** Everything that makes the set-up; every change is taken at once. */
export function SetupForm({ setup, onChange }: SetupFormProps) {
  const { rig, gear } = setup;
  const joined = rig.ropeUse === 'joined';
  const site = (key: keyof Situation) => <SituationField key={key} setup={setup} name={key} onChange={onChange} />;
  const how = (key: keyof Rig) => <RigField key={key} setup={setup} name={key} onChange={onChange} />;
  const item = (role: GearRole) => <GearField key={role} setup={setup} role={role} onChange={onChange} />;
  const who = (role: 'climber' | 'partner') => <PersonField key={role} setup={setup} role={role} onChange={onChange} />;
  return (
    <Accordion.Root type="multiple" defaultValue={['people']} className="divide-y divide-line border-y border-line">
      <Section id="people" title="People" note={setup.people.climber?.name ?? 'nobody chosen'}>
        {who('climber')}
        {who('partner')}
        {item('harness')}
      </Section>
      <Section id="site" title="Site" note={siteNote(setup.situation)}>
        {(Object.keys(situationSchema.shape) as (keyof Situation)[]).map(site)}
      </Section>
      <Section id="rope" title="Rope" note={gear.ropeA?.name ?? 'not chosen'}>
        {how('ropeUse')}
        {item('ropeA')}
        {joined ? [item('ropeB'), how('joiningKnot')] : how('middleMissM')}
        {how('ends')}
      </Section>
      <Section id="device" title="Device" note={gear.device?.name ?? 'not chosen'}>
        {item('device')}
        {how('deviceStrands')}
        {item('deviceConnector')}
        {how('ropeOverEnd')}
        {how('deviceGate')}
        {how('deviceGateFaces')}
        {item('extraConnector')}
      </Section>
      <Section id="extension" title="Extension" note={gear.extension?.name ?? 'not chosen'}>
        {item('extension')}
        {how('extensionMethod')}
        {how('extensionKnots')}
        {how('extensionMeasuredMm')}
      </Section>
      <Section id="hitch" title="Hitch below it" note={gear.hitchCord?.name ?? 'not chosen'}>
        {item('hitchCord')}
        {how('hitchKind')}
        {how('hitchWraps')}
        {how('hitchStrands')}
        {how('hitchEyes')}
        {how('hitchAt')}
        {item('hitchConnector')}
        {how('hitchGate')}
        {how('hitchGateFaces')}
      </Section>
    </Accordion.Root>
  );
}

const siteNote = ({ weather, steepness }: Situation): string =>
  `${weather}, ${{ low: 'low angle', steep: 'steep', free: 'hanging free' }[steepness]}`;

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

interface LiveFieldProps {
  readonly schema: z.ZodType;
  readonly value: unknown;
  readonly onValid: (value: unknown, typing: boolean) => void;
}

/** A field whose every readable value is taken at once; what does not fit stays in the field with its message. */
function LiveField({ schema, value, onValid }: LiveFieldProps) {
  const dispatch = useAppDispatch();
  const [error, setError] = useState<string>();
  return (
    <SchemaField
      schema={schema}
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

function SituationField({ setup, name, onChange }: SetupFormProps & { name: keyof Situation }) {
  return (
    <LiveField
      schema={situationSchema.shape[name]}
      value={setup.situation[name]}
      onValid={(value, typing) =>
        onChange({ ...setup, situation: { ...setup.situation, [name]: value } }, typing ? name : null)
      }
    />
  );
}

function RigField({ setup, name, onChange }: SetupFormProps & { name: keyof Rig }) {
  return (
    <LiveField
      schema={rigSchema.shape[name]}
      value={setup.rig[name]}
      onValid={(value, typing) => onChange({ ...setup, rig: { ...setup.rig, [name]: value } }, typing ? name : null)}
    />
  );
}

interface PickerProps {
  readonly label: string;
  readonly chosen: { readonly id: string; readonly name: string } | null;
  readonly options: readonly { readonly id: string; readonly name: string }[];
  readonly onPick: (id: string | null) => void;
  readonly addTo: string;
  readonly addLabel: string;
}

function Picker({ label, chosen, options, onPick, addTo, addLabel }: PickerProps) {
  const id = useId();
  const gone = chosen && !options.some((o) => o.id === chosen.id);
  const { name } = usePlace();
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
        {gone && <option value={chosen.id}>{chosen.name} (not in the locker any more)</option>}
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
          state={{ back: window.location.pathname }}
        >
          {addLabel}
        </Link>
      )}
    </div>
  );
}

const byName = (a: { name: string }, b: { name: string }) => a.name.localeCompare(b.name);

function GearField({ setup, role, onChange }: SetupFormProps & { role: GearRole }) {
  const { items } = useWorkspace();
  const { label, kind } = GEAR_ROLES[role];
  const options = items.filter((i) => i.kind === kind).sort(byName);
  const pick = (item: Item | null) => onChange({ ...setup, gear: { ...setup.gear, [role]: item } }, null);
  return (
    <Picker
      label={label}
      chosen={setup.gear[role]}
      options={options}
      onPick={(id) => pick(options.find((o) => o.id === id) ?? null)}
      addTo={kind}
      addLabel={KINDS[kind].add}
    />
  );
}

function PersonField({ setup, role, onChange }: SetupFormProps & { role: 'climber' | 'partner' }) {
  const { people } = useWorkspace();
  const options = [...people].sort(byName);
  return (
    <Picker
      label={role === 'climber' ? 'Who goes down' : 'Partner'}
      chosen={setup.people[role]}
      options={options}
      onPick={(id) => {
        // Nobody is their own partner: who is chosen for one part leaves the other.
        const other = role === 'climber' ? 'partner' : 'climber';
        const rest = setup.people[other]?.id === id ? null : setup.people[other];
        onChange(
          { ...setup, people: { ...setup.people, [role]: options.find((o) => o.id === id) ?? null, [other]: rest } },
          null,
        );
      }}
      addTo="person"
      addLabel="Add a person"
    />
  );
}
