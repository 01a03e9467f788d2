import { nanoid } from '@reduxjs/toolkit';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { handForceN } from '@core/things/friction';
import { fallRemarks, practiceRemarks, recordOf, type Practice, type PracticeSettings } from '@core/teaching/trainer';
import { fieldMeta } from '@core/things/gear';
import { trainingSchema, type TrainingRecord } from '@core/records/log';
import { printNumber } from '@core/foundations/units';
import { usePlace } from '../../../app/place';
import { useTitle } from '../../../app/useTitle';
import { put } from '../../../storage/changes';
import { useAppDispatch, useWorkspace } from '../../../store/hooks';
import { recorded } from '../../../store/workspace-slice';
import { printDay } from '../../../ui/dates';
import { draftStore } from '../../../ui/draft';
import { Remarks } from './Remarks';
import { Trainer } from './Trainer';

/** Shorter than this nothing was practised. */
const KEPT_FROM_S = 5;
const CLIMBER_KG = 80;
const ROPE_MM = 10;
const TOP_M = 12;
const USUAL_HAND_N = 230;

interface Choice {
  readonly person: string;
  readonly belay: TrainingRecord['belay'];
  readonly device: TrainingRecord['device'];
  readonly hand: TrainingRecord['hand'];
  readonly pace: TrainingRecord['pace'];
  readonly sound: boolean;
}

type Now =
  | { readonly kind: 'choosing' }
  | { readonly kind: 'running'; readonly id: string; readonly settings: PracticeSettings }
  | { readonly kind: 'over'; readonly practice: Practice; readonly kept: boolean };

/** Practice of the hands: choose, run, and what it was; with the record of every person. */
export function HandsPage() {
  useTitle('Hands');
  const { people, trainings } = useWorkspace();
  const dispatch = useAppDispatch();
  const [search] = useSearchParams();
  const [now, setNow] = useState<Now>({ kind: 'choosing' });
  const { name } = usePlace();
  const draft = useMemo(() => draftStore(`${name}/practice`, trainingSchema), [name]);
  // A practice that a reload or a crash ended is kept as far as it went.
  const [interrupted] = useState(() => draft.read());
  useEffect(() => {
    if (!interrupted) return;
    draft.clear();
    dispatch(recorded([put('trainings', null, interrupted)]));
  }, [interrupted, draft, dispatch]);
  const first = people[0];
  const [choice, setChoice] = useState<Choice>({
    person: first?.id ?? '',
    belay: 'top-rope',
    device: 'tube',
    hand: first?.brakeHand ?? 'right',
    pace: 'calm',
    sound: false,
  });
  const person = people.find((p) => p.id === choice.person);
  const begin = () => {
    const seed = Number(search.get('seed') ?? Math.floor(Math.random() * 1_000_000));
    setNow({
      kind: 'running',
      id: nanoid(),
      settings: {
        belay: choice.belay,
        device: choice.device,
        hand: choice.hand,
        pace: choice.pace,
        massKg: CLIMBER_KG,
        handForceN: person ? handForceN(person, { diameterMm: ROPE_MM, weather: 'dry' }).forceN.best : USUAL_HAND_N,
        topM: TOP_M,
        seed: Number.isSafeInteger(seed) && seed >= 0 ? seed : 0,
      },
    });
  };
  const running = now.kind === 'running' ? now.id : '';
  const asRecord = useCallback(
    (practice: Practice) =>
      recordOf(practice, {
        id: running,
        at: new Date().toISOString(),
        person: person ? { id: person.id, name: person.name } : null,
      }),
    [running, person],
  );
  const keepSoFar = useCallback(
    (practice: Practice) => {
      if (practice.tS >= KEPT_FROM_S) draft.write(asRecord(practice));
    },
    [draft, asRecord],
  );
  const end = (practice: Practice) => {
    const kept = practice.tS >= KEPT_FROM_S;
    if (kept) dispatch(recorded([put('trainings', null, asRecord(practice))]));
    draft.clear();
    setNow({ kind: 'over', practice, kept });
  };
  if (now.kind === 'running')
    return <Trainer settings={now.settings} sound={choice.sound} onEnd={end} onSecond={keepSoFar} />;
  return (
    <div className="mx-auto max-w-3xl px-4 py-6">
      <h1>Hands</h1>
      <p className="mt-1 text-ink-2">
        Two thumbs, or two rows of keys, are your hands. It teaches what the hands do, not what a rope feels like:
        practise with an instructor, close to the ground and backed up, before you hold anybody.
      </p>
      {interrupted && now.kind === 'choosing' && (
        <p role="status" className="mt-4 rounded-lg bg-mind-wash px-3 py-2 text-mind">
          The last practice was interrupted after {Math.round(interrupted.lastedS)} s. It is kept as far as it went.
        </p>
      )}
      {now.kind === 'over' && (
        <section
          className="mt-4 rounded-lg border border-line bg-surface p-4"
          aria-label="What it was"
          aria-live="polite"
        >
          <h2>What it was</h2>
          <Remarks remarks={practiceRemarks(now.practice)} />
          {now.practice.falls.length > 0 && (
            <>
              <h3 className="mt-3 font-semibold">The last fall</h3>
              <Remarks remarks={fallRemarks(now.practice.falls.at(-1)!)} />
            </>
          )}
          {!now.kept && <p className="mt-2 text-ink-2">Shorter than 5 seconds: it is not kept.</p>}
        </section>
      )}
      <form
        className="mt-5 grid gap-4 sm:grid-cols-2"
        onSubmit={(event) => {
          event.preventDefault();
          begin();
        }}
      >
        <label>
          <span className="font-semibold">Who practises</span>
          <select
            className="field mt-1"
            value={choice.person}
            onChange={(event) => {
              const next = people.find((p) => p.id === event.target.value);
              setChoice({ ...choice, person: event.target.value, hand: next?.brakeHand ?? choice.hand });
            }}
          >
            <option value="">Nobody in the locker</option>
            {people.map((p) => (
              <option key={p.id} value={p.id}>
                {p.name}
              </option>
            ))}
          </select>
        </label>
        {(['belay', 'device', 'hand', 'pace'] as const).map((key) => {
          const meta = fieldMeta(trainingSchema.shape[key])!;
          return (
            <fieldset key={key}>
              <legend className="font-semibold">{meta.label}</legend>
              <div className="mt-1 flex flex-wrap gap-2">
                {Object.entries(meta.options!).map(([value, label]) => (
                  <label
                    key={value}
                    className="flex min-h-11 cursor-pointer items-center gap-2 rounded-lg border border-line-2 bg-surface px-3 has-checked:border-ink has-checked:bg-sunk has-checked:font-bold"
                  >
                    <input
                      type="radio"
                      name={key}
                      checked={choice[key] === value}
                      onChange={() => setChoice({ ...choice, [key]: value })}
                    />
                    {label}
                  </label>
                ))}
              </div>
            </fieldset>
          );
        })}
        <label className="flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            checked={choice.sound}
            onChange={(event) => setChoice({ ...choice, sound: event.target.checked })}
          />
          A tone when the climber falls
        </label>
        <p className="col-span-full text-sm text-ink-2">
          Keys: the left hand is W high, S at the line of the device, X low; the right hand is O, L and the full stop.
          Held down, the hand is closed; let go, it is off the rope. Space keeps a thumb on the cam.
        </p>
        <button type="submit" className="btn btn-act col-span-full min-h-12 text-lg">
          Begin
        </button>
      </form>
      <Kept trainings={trainings} person={choice.person} />
    </div>
  );
}

/** Every practice of one person, the last first. */
function Kept({ trainings, person }: { trainings: readonly TrainingRecord[]; person: string }) {
  const own = trainings.filter((t) => (t.person?.id ?? '') === person).sort((a, b) => (a.at < b.at ? 1 : -1));
  if (own.length === 0) return null;
  const options = (key: 'belay' | 'device') => fieldMeta(trainingSchema.shape[key])!.options!;
  const seconds = (s: number) => `${printNumber(s, 'diameterMm', 'metric')}\u202fs`;
  return (
    <section className="mt-8" aria-labelledby="kept">
      <h2 id="kept">Practised before</h2>
      <div className="mt-1 overflow-x-auto">
        <table className="w-full text-left">
          <thead>
            <tr className="text-sm text-ink-2">
              {['Day', 'What', 'Lasted', 'Off the brake strand', 'Falls held'].map((head) => (
                <th key={head} className="py-1 pr-4 font-semibold">
                  {head}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {own.slice(0, 20).map((t) => (
              <tr key={t.id} className="border-t border-line">
                <td className="py-1.5 pr-4 whitespace-nowrap">{printDay(t.at)}</td>
                <td className="py-1.5 pr-4">
                  {options('belay')[t.belay]}, {options('device')[t.device]!.toLowerCase()}, {t.hand} hand
                </td>
                <td className="num py-1.5 pr-4">{seconds(t.lastedS)}</td>
                <td className="num py-1.5 pr-4">{seconds(t.offBrakeS)}</td>
                <td className="num py-1.5">
                  {t.falls.length === 0
                    ? 'none fell'
                    : `${t.falls.filter((f) => f.ended === 'held').length} of ${t.falls.length}`}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}
