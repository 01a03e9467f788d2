import { useEffect, useId, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { VOCABULARIES } from '@core/foundations/vocabulary';
import { KEEPING_WORDS, useKeeping } from '../../../storage/keeping';
import { usePlace } from '../../../app/place';
import { usePreferences, useWords } from '../../../app/preferences';
import { useTitle } from '../../../app/useTitle';
import { daysSinceCopy } from './last-copy';

/** Everything one can set, in one place. It belongs to the person at this browser, not to a workspace. */
export function SettingsPage() {
  useTitle('Settings');
  const { name } = usePlace();
  const p = usePreferences();
  return (
    <div className="mx-auto max-w-2xl px-4 py-6">
      <h1>Settings</h1>
      <p className="mt-1 text-ink-2">For you in this browser, in every tab. What you set holds at once.</p>
      <Group title="Words and units">
        <Choice
          label="Words"
          value={p.words}
          options={{ rappel: VOCABULARIES.rappel.label, abseil: VOCABULARIES.abseil.label }}
          onChoose={(id) => p.setWords(id)}
          hint="Sets the units that go with them as well; these can be changed by themselves."
        />
        <Choice
          label="Units"
          value={p.system}
          options={{ metric: 'Metres and kilograms', imperial: 'Feet and pounds' }}
          onChoose={(id) => p.setSystem(id)}
          hint="Every field reads both: 200 ft, 9.8 mm, 3/8 in."
        />
      </Group>
      <Group title="You">
        <Choice
          label="Hand that brakes"
          value={p.hand ?? 'ask'}
          options={{ ask: 'Ask me', left: 'Left', right: 'Right' }}
          onChoose={(id) => p.set({ hand: id === 'ask' ? null : id })}
          hint="What the six questions and a new person begin with. Drawings follow the person who brakes in them."
        />
      </Group>
      <Group title="Look">
        <Choice
          label="Colours"
          value={p.theme}
          options={{ light: 'Light', dark: 'Dark' }}
          onChoose={(id) => p.setTheme(id)}
        />
        <Choice
          label="Size of the text"
          value={p.textSize}
          options={{ usual: 'As the browser has it', large: 'Larger', largest: 'Largest' }}
          onChoose={(textSize) => p.set({ textSize })}
        />
        <Choice
          label="Motion"
          value={p.motion}
          options={{ machine: 'As this machine says', less: 'Less' }}
          onChoose={(motion) => p.set({ motion })}
        />
      </Group>
      <Group title="What is stored">
        <Storage />
        <Copies />
        <Choice
          label="Remind me to take a copy"
          value={p.remindDays === null ? 'never' : String(p.remindDays)}
          options={{ 7: 'Every week', 30: 'Every 30 days', 90: 'Every 90 days', never: 'Never' }}
          onChoose={(days) => p.set({ remindDays: days === 'never' ? null : Number(days) })}
        />
        <p>
          <Link className="btn" to={`/${name}/files`}>
            Files: take a copy, read one in, wipe
          </Link>
        </p>
      </Group>
      <Group title="To look things up">
        <p>
          <Link className="btn" to={`/${name}/words`}>
            Words of the trade, explained
          </Link>
        </p>
        <p>
          <Link className="btn" to={`/${name}/sources`}>
            Sources of every rule and number
          </Link>
        </p>
      </Group>
    </div>
  );
}

function Group({ title, children }: { title: string; children: ReactNode }) {
  const id = useId();
  return (
    <section aria-labelledby={id} className="mt-7">
      <h2 id={id}>{title}</h2>
      <div className="mt-2 grid gap-4">{children}</div>
    </section>
  );
}

interface ChoiceProps<K extends string> {
  readonly label: string;
  readonly value: K;
  readonly options: Readonly<Record<K, string>>;
  readonly onChoose: (id: K) => void;
  readonly hint?: string;
}

function Choice<K extends string>({ label, value, options, onChoose, hint }: ChoiceProps<K>) {
  const inWords = useWords();
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="block text-sm font-semibold">
        {inWords(label)}
      </label>
      <select
        id={id}
        className="field mt-1 max-w-sm"
        aria-describedby={`${id}-hint`}
        value={value}
        onChange={(event) => onChoose(event.target.value as K)}
      >
        {Object.entries<string>(options).map(([key, text]) => (
          <option key={key} value={key}>
            {text}
          </option>
        ))}
      </select>
      <p id={`${id}-hint`} className="mt-0.5 text-sm text-ink-2">
        {hint}
      </p>
    </div>
  );
}

/** How much is stored, and how long the browser keeps it. */
function Storage() {
  const keeping = useKeeping();
  const [usedMb, setUsedMb] = useState<number | null>(null);
  useEffect(() => {
    let left = false;
    const { storage } = navigator as { storage?: Partial<StorageManager> };
    void storage?.estimate?.().then(
      ({ usage }) => {
        if (!left) setUsedMb(usage === undefined ? null : usage / 1e6);
      },
      () => undefined,
    );
    return () => {
      left = true;
    };
  }, []);
  return (
    <p>
      {usedMb === null
        ? 'How much is stored is not told by this browser.'
        : usedMb < 1
          ? 'Less than 1 MB is stored here, the app itself included.'
          : `About ${Math.round(usedMb)} MB are stored here, the app itself included.`}{' '}
      {keeping && KEEPING_WORDS[keeping]}
    </p>
  );
}

function Copies() {
  const { name } = usePlace();
  const [now] = useState(() => new Date());
  const days = daysSinceCopy(name, now);
  return (
    <p>
      {days === null
        ? 'No copy was taken from this browser yet.'
        : days === 0
          ? 'The last copy was taken today.'
          : `The last copy was taken ${days} ${days === 1 ? 'day' : 'days'} ago.`}
    </p>
  );
}
