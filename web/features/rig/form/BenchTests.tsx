import { nanoid } from '@reduxjs/toolkit';
import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { benchSeverity, benchSubjects, type BenchSubject } from '@core/rigs/pairs';
import { BENCH_RESULTS, benchTestSchema, type BenchTest, type Cord, type Device } from '@core/things/gear';
import { contextOf } from '@core/rigs/elements';
import { deviceOf, hitchOf, type Setup } from '@core/rigs/rig';
import { printQuantity } from '@core/foundations/units';
import { usePreferences, useWords } from '../../../app/preferences';
import { usePlace } from '../../../app/place';
import { useUndoable } from '../../../ui/useUndoable';
import { saveItem } from '../../../store/edits';
import { useWorkspace } from '../../../store/hooks';
import { printDay } from '../../../ui/dates';
import { SchemaField } from '../../../ui/SchemaField';
import { SeverityMark } from '../../../ui/SeverityMark';
import { useSchemaForm } from '../../../ui/useSchemaForm';

const NEEDED = [
  'A second person who has done this before, and nobody below.',
  'Something of its own that holds you: a sling to the anchor or a belay, tight enough that you drop less than half a metre.',
  'Both grips on the rope as you use them, half a metre off the ground; tape on the rope just below the lower one; helmet on.',
];
const PROTOCOL = [
  'Sit on the upper device, then stand up until it is unloaded. Hands off rope and devices.',
  'The second person keeps it from gripping: its cam held open, or the hitch pushed loose. Sit down slowly.',
  'It slides onto the lower one. See what that does, and measure from the tape to where it stands.',
  'Free it under load, or see that this cannot be done.',
  'Three times. Write down the worst. Then look over sheath, cord and both grips.',
];
const entrySchema = benchTestSchema.pick({ result: true, travelMm: true, loadKg: true, weather: true, note: true });

const itemOf = ({ lower }: BenchSubject): Device | Cord | null => deviceOf(lower)?.item ?? hitchOf(lower)?.item ?? null;

/**
 * Tries of one's own for every pair of grips on one rope: what is needed, what is done, what to write down, and what
 * was written.
 */
export function BenchTests({ setup }: { setup: Setup }) {
  return benchSubjects(contextOf(setup)).map((subject) => (
    <Pair key={subject.lower.end.id} subject={subject} weather={setup.site.weather} />
  ));
}

interface PairProps {
  readonly subject: BenchSubject;
  readonly weather: Setup['site']['weather'];
}

function Pair({ subject, weather }: PairProps) {
  const words = useWords();
  const reader = usePreferences();
  const data = useWorkspace();
  const act = useUndoable();
  const [writing, setWriting] = useState(false);
  const snapshot = itemOf(subject)!;
  // The locker's own, so that nothing written since is lost; an item that is not there any more keeps no tries.
  const item = data.items.find(
    (i): i is Device | Cord => i.id === snapshot.id && (i.kind === 'device' || i.kind === 'cord'),
  );
  const [up, low] = [subject.upper.label, subject.lower.label];
  const id = `bench-${subject.lower.end.id}`;
  const keep = (bench: readonly BenchTest[], says: string) =>
    item && act(saveItem(data, { ...item, bench: [...bench] }), says);
  return (
    <section aria-labelledby={id} className="mt-4 rounded-xl border border-line bg-surface p-3">
      <h3 id={id} className="font-bold">
        Try it near the ground
      </h3>
      <p>{words(`${up}, the upper one, is made to slip onto the lower one: ${low}.`)}</p>
      <p className="mt-1 max-w-prose text-sm text-ink-2">
        What a try shows can make the verdict worse. It does not make good what nobody tried, and the makers’
        instructions come first: some forbid it.
      </p>
      <details className="mt-2">
        <summary className="min-h-11 cursor-pointer py-2 font-semibold">What is needed, and how it is done</summary>
        <ul className="ml-5 list-disc">
          {NEEDED.map((text) => (
            <li key={text}>{words(text)}</li>
          ))}
        </ul>
        <ol className="mt-2 ml-5 list-decimal">
          {PROTOCOL.map((text) => (
            <li key={text}>{words(text)}</li>
          ))}
        </ol>
      </details>
      {subject.tests.length > 0 && (
        <ul className="mt-2 divide-y divide-line border-y border-line" aria-label="Tries">
          {subject.tests.map((test) => (
            <li key={test.id} className="flex flex-wrap items-center gap-x-3 py-1">
              <SeverityMark severity={benchSeverity(test)} />
              <span className="min-w-0 flex-1">
                {words(BENCH_RESULTS[test.result])}
                <span className="text-ink-2">
                  {[
                    test.travelMm === null ? null : `after ${printQuantity(test.travelMm, 'lengthMm', reader.system)}`,
                    test.loadKg === null
                      ? 'weight not written down'
                      : printQuantity(test.loadKg, 'massKg', reader.system),
                    `${test.weather} rope`,
                    printDay(test.at),
                  ]
                    .filter((x) => x !== null)
                    .map((x) => `, ${x}`)
                    .join('')}
                </span>
              </span>
              <button
                type="button"
                className="btn"
                aria-label={`Take this try out, ${printDay(test.at)}`}
                onClick={() =>
                  keep(
                    (item?.bench ?? []).filter((t) => t.id !== test.id),
                    'The try was taken out.',
                  )
                }
              >
                <Trash2 aria-hidden className="size-5" />
              </button>
            </li>
          ))}
        </ul>
      )}
      {!item ? (
        <p className="mt-2 text-sm text-ink-2">{snapshot.name} is not in the locker, which is where tries are kept.</p>
      ) : writing ? (
        <Entry
          draft={`${subject.pair.upperId}/${snapshot.id}/${subject.pair.ropeId}`}
          weather={weather}
          onLeave={() => setWriting(false)}
          onWrite={(entry) => {
            const test: BenchTest = { ...entry, ...subject.pair, id: nanoid(), at: new Date().toISOString() };
            keep([...item.bench, test], 'The try is written down.');
            setWriting(false);
          }}
        />
      ) : (
        <button type="button" className="btn mt-3" onClick={() => setWriting(true)}>
          Write down a try
        </button>
      )}
    </section>
  );
}

type Written = Pick<BenchTest, 'result' | 'travelMm' | 'loadKg' | 'weather' | 'note'>;

interface EntryProps {
  readonly draft: string;
  readonly weather: BenchTest['weather'];
  readonly onWrite: (entry: Written) => void;
  readonly onLeave: () => void;
}

function Entry({ draft, weather, onWrite, onLeave }: EntryProps) {
  const { name } = usePlace();
  const form = useSchemaForm({
    schema: entrySchema,
    draftKey: `${name}/bench/${draft}`,
    now: { result: '', travelMm: null, loadKg: null, weather, note: '' },
    onValid: (read) => onWrite(read as Written),
  });
  return (
    <form className="mt-3 grid gap-3 sm:grid-cols-2" noValidate onSubmit={(event) => void form.submit(event)}>
      {Object.entries(entrySchema.shape).map(([key, field]) => (
        <div key={key} className={key === 'note' || key === 'result' ? 'sm:col-span-2' : ''}>
          <SchemaField
            schema={field}
            value={form.values[key]}
            onChange={(value) => form.change(key, value)}
            error={form.errorAt(key)}
          />
        </div>
      ))}
      <div className="flex flex-wrap gap-3 sm:col-span-2">
        <button type="submit" className="btn btn-act">
          Write it down
        </button>
        <button
          type="button"
          className="btn"
          onClick={() => {
            form.putAside();
            onLeave();
          }}
        >
          Leave it
        </button>
      </div>
    </form>
  );
}
