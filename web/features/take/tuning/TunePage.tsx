import { nanoid } from '@reduxjs/toolkit';
import { useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import {
  nextAt,
  ropeStateOf,
  transferOf,
  trialsAtMost,
  tunedRopes,
  tuningState,
  type Proposal,
  type Transfer,
} from '@core/things/tuning';
import {
  deviceSchema,
  traitsOf,
  TUNING_EVENTS,
  type Device,
  type Rope,
  type TuningEntry,
  type TuningTrial,
} from '@core/things/gear';
import { NotFound } from '../../../app/NotFound';
import { usePlace } from '../../../app/place';
import { useWords } from '../../../app/preferences';
import { useTitle } from '../../../app/useTitle';
import { saveItem } from '../../../store/edits';
import { useWorkspace } from '../../../store/hooks';
import { lazyPart } from '../../../ui/part';
import { SchemaField } from '../../../ui/SchemaField';
import { useUndoable } from '../../../ui/useUndoable';
import { useWakeLock } from '../../../ui/useWakeLock';
import { TrialEntry } from './TrialEntry';

const TuningHistory = lazyPart<{ device: Device; onRemove: (id: string) => void }>('The history', () =>
  import('./TuningHistory').then((m) => m.TuningHistory),
);

/** A bollard is tuned to a rope, low above the ground, one setting after the other. */
export function TunePage() {
  const { id } = useParams();
  const { items } = useWorkspace();
  const device = items.find((i): i is Device => i.id === id && i.kind === 'device');
  const [asked, ask] = useSearchParams();
  const ropes = items.filter((i): i is Rope => i.kind === 'rope');
  const rope = ropes.find((r) => r.id === asked.get('rope')) ?? (ropes.length === 1 ? ropes[0] : undefined);
  useTitle('Tune a bollard');
  const { name: place } = usePlace();
  useWakeLock();
  if (!device || !traitsOf(device.family).tuned) return <NotFound what="This bollard" />;
  return (
    <div className="mx-auto max-w-2xl px-4 py-6">
      <h1>Tune {device.name}</h1>
      <label className="mt-3 block text-sm font-semibold" htmlFor="tune-rope">
        To the rope
      </label>
      <select
        id="tune-rope"
        className="field mt-1"
        value={rope?.id ?? ''}
        onChange={(event) => ask({ rope: event.target.value }, { replace: true })}
      >
        <option value="" disabled>
          Choose …
        </option>
        {ropes.map((r) => (
          <option key={r.id} value={r.id}>
            {r.name}
          </option>
        ))}
      </select>
      {ropes.length === 0 && (
        <p className="mt-2">
          No rope is in the locker.{' '}
          <Link className="text-act underline" to={`/${place}/locker/rope/new`}>
            Add a rope
          </Link>
        </p>
      )}
      {rope && <Tuning key={`${device.id}/${rope.id}`} device={device} rope={rope} />}
    </div>
  );
}

function Tuning({ device, rope }: { device: Device; rope: Rope }) {
  const words = useWords();
  const data = useWorkspace();
  const act = useUndoable();
  const { name: place } = usePlace();
  const keep = (part: Partial<Device>, says: string) => act(saveItem(data, { ...device, ...part }), says);
  const add = (entry: TuningEntry, says: string) => keep({ tunings: [...device.tunings, entry] }, says);
  const settings = device.bollardSettings;
  const state = tuningState(device, rope);
  const transfer = transferOf(tunedRopes(device), ropeStateOf(rope));
  const { next, trials } = nextAt(device, rope, transfer.kind === 'setting' ? transfer.setting.best : undefined);
  const happened = (what: keyof typeof TUNING_EVENTS, of: string | null) =>
    add(
      { kind: 'event', id: nanoid(), ropeId: of, what, at: new Date().toISOString(), note: '' },
      `Written down: ${TUNING_EVENTS[what].toLowerCase()}.`,
    );
  return (
    <>
      {state.kind === 'stale' && (
        <p role="alert" className="mt-4 rounded-lg bg-untested-wash px-4 py-3 text-untested">
          Setting {state.setting} was found before; {words(state.why)}. It is not tested as the rope is now.
        </p>
      )}
      {settings === null ? (
        <SettingsCount onKeep={(count) => keep({ bollardSettings: count }, 'Written down.')} />
      ) : (
        <>
          <details className="mt-4">
            <summary className="min-h-11 cursor-pointer py-2.5 font-semibold">Before you begin</summary>
            <ul className="ml-5 list-disc">
              <li>Half a metre above the ground, helmet on, a second person beside you.</li>
              <li>Something of its own holds you should it slip: a lanyard or a second line, tight.</li>
              <li>The maker’s instructions come first: some fix the setting for a rope, or forbid it.</li>
            </ul>
          </details>
          <Proposed
            next={next}
            settings={settings}
            done={trials.length}
            transfer={transfer}
            weather={trials.at(-1)?.weather ?? 'dry'}
          />
          {next.kind !== 'none' && next.kind !== 'tuned' && (
            <TrialEntry
              key={`${trials.length}/${next.setting}`}
              draftKey={`${place}/tune/${device.id}/${rope.id}`}
              setting={next.setting}
              massKg={trials.at(-1)?.massKg ?? data.people[0]?.massKg ?? null}
              onWrite={(result) =>
                add(
                  {
                    ...result,
                    kind: 'trial',
                    id: nanoid(),
                    ropeId: rope.id,
                    rope: ropeStateOf(rope),
                    at: new Date().toISOString(),
                    note: '',
                  },
                  `The trial of setting ${result.setting} is written down.`,
                )
              }
            />
          )}
        </>
      )}
      <section aria-labelledby="since" className="mt-8">
        <h2 id="since">What changes it</h2>
        <p className="mt-1 text-ink-2">After any of these the setting is not tested until it is tried again.</p>
        <div className="mt-2 flex flex-wrap gap-2">
          <button type="button" className="btn" onClick={() => happened('washed', rope.id)}>
            {TUNING_EVENTS.washed}
          </button>
          <button type="button" className="btn" onClick={() => happened('worn', null)}>
            {TUNING_EVENTS.worn}
          </button>
          <button type="button" className="btn" onClick={() => happened('moved', null)}>
            {TUNING_EVENTS.moved}
          </button>
        </div>
        <ul className="mt-3 list-disc pl-5 text-ink-2">
          <li>Washed: the treatment of the sheath goes, and it grips more; some ropes shrink and thicken.</li>
          <li>Wet: it can creep or bind. A trial in the wet counts for the wet only.</li>
          <li>Worn: a fuzzy sheath grips more, a bollard that is worn smooth less.</li>
          <li>
            Cold: a stiff rope bends less around the bollard. Hot from a long way down: the sheath glazes. Neither is
            calculated; try it low, as cold as it will be, and let it cool. From memory.
          </li>
        </ul>
      </section>
      {device.tunings.length > 0 && (
        <TuningHistory
          device={device}
          onRemove={(entry) => keep({ tunings: device.tunings.filter((t) => t.id !== entry) }, 'Taken out.')}
        />
      )}
    </>
  );
}

/** Asked once; kept when it is said, not while it is typed. */
function SettingsCount({ onKeep }: { onKeep: (count: number) => void }) {
  const [count, setCount] = useState<unknown>(null);
  const [error, setError] = useState<string>();
  const take = (event: React.SyntheticEvent) => {
    event.preventDefault();
    const read = deviceSchema.shape.bollardSettings.unwrap().safeParse(count);
    if (read.success) onKeep(read.data);
    else setError('A whole number from 2 to 40 is needed here.');
  };
  return (
    <form className="mt-4 max-w-sm" noValidate onSubmit={take}>
      <SchemaField schema={deviceSchema.shape.bollardSettings} value={count} onChange={setCount} error={error} />
      <p className="text-sm text-ink-2">
        Count them on the device, from the one that grips least. Without them nothing can be halved.
      </p>
      <button type="submit" className="btn btn-act mt-3">
        Begin
      </button>
    </form>
  );
}

const WHY_NONE: Readonly<Record<Extract<Proposal, { kind: 'none' }>['why'], string>> = {
  'slips-and-drags': 'At one and the same setting it slips and drags.',
  'all-tried': 'Every setting was tried.',
  'too-weak': 'It slips at the setting that grips most.',
  'too-strong': 'It drags at the setting that grips least.',
};
const WHY_OUTSIDE: Readonly<Record<Extract<Transfer, { kind: 'outside' }>['why'], string>> = {
  'too-few': 'too few ropes were tuned yet',
  thinner: 'this rope is thinner than all that were tuned',
  thicker: 'this rope is thicker than all that were tuned',
  sheath: 'its sheath is another one, or was not looked at',
  stiffness: 'its stiffness is another one, or was not looked at',
};

interface ProposedProps {
  readonly next: Proposal;
  readonly settings: number;
  readonly done: number;
  readonly transfer: Transfer;
  readonly weather: TuningTrial['weather'];
}

function Proposed({ next, settings, done, transfer, weather }: ProposedProps) {
  if (next.kind === 'none')
    return (
      <p role="alert" className="mt-4 rounded-lg bg-stop-wash px-4 py-3 text-stop">
        <strong>This bollard does not suit this rope.</strong> {WHY_NONE[next.why]} What may help: wash a treated
        sheath, draw the rope through a fork, take firm round rope, wear the bollard in; then tune anew.
      </p>
    );
  const tuned = next.kind === 'tuned';
  return (
    <section
      aria-label="What to try"
      aria-live="polite"
      className={`mt-4 flex flex-wrap items-center gap-x-5 gap-y-1 rounded-xl px-4 py-3 ${tuned ? 'bg-clear-wash text-clear' : 'bg-sunk'}`}
    >
      <span className="num text-6xl font-bold">{next.setting}</span>
      <span className="min-w-0 flex-1">
        <span className="block text-lg font-bold">
          {tuned ? 'Tuned to this rope' : next.kind === 'confirm' ? 'The same setting once more' : 'Try this setting'}
        </span>
        <span className="block">
          {tuned
            ? `Two good trials. It holds for this rope as it is now, for who hung in it and lighter, ${weather} as it was.`
            : `Of ${settings}, 1 grips least. Trial ${done + 1}, usually ${trialsAtMost(settings)} at most.`}
        </span>
        {!tuned && done === 0 && (
          <span className="block text-sm">
            {transfer.kind === 'setting'
              ? `From ${transfer.from} ropes that were tuned: ${transfer.setting.best.toFixed(1)}, between ${transfer.setting.low.toFixed(1)} and ${transfer.setting.high.toFixed(1)} for nine ropes in ten.`
              : `Other ropes tell nothing: ${WHY_OUTSIDE[transfer.why]}.`}
          </span>
        )}
      </span>
    </section>
  );
}
