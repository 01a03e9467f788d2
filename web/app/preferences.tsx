import { createContext, use, useEffect, useMemo, useState, type ReactNode } from 'react';
import { z } from 'zod';
import type { UnitSystem } from '@core/units';
import { inWords, VOCABULARIES, type Vocabulary } from '@core/vocabulary';

const KEY = 'zevrin-preferences';
const schema = z.object({
  system: z.enum(['metric', 'imperial']),
  theme: z.enum(['light', 'dark']),
  // Not there in what was kept before there was a choice.
  words: z.enum(['rappel', 'abseil']).default('rappel'),
  textSize: z.enum(['usual', 'large', 'largest']).default('usual'),
  /** As the machine says, or less in any case. */
  motion: z.enum(['machine', 'less']).default('machine'),
  /** What new people and the first answer begin with; null: asked. */
  hand: z.enum(['right', 'left']).nullable().default(null),
  /** Days after which a copy is asked for; null: never. */
  remindDays: z.number().int().min(1).max(365).nullable().default(30),
});
type Stored = z.infer<typeof schema>;

interface Preferences extends Stored {
  readonly setSystem: (system: UnitSystem) => void;
  readonly setTheme: (theme: Stored['theme']) => void;
  /** With the units that go with the words. */
  readonly setWords: (words: Vocabulary) => void;
  readonly set: (choice: Partial<Pick<Stored, 'textSize' | 'motion' | 'hand' | 'remindDays'>>) => void;
}

const Context = createContext<Preferences | null>(null);

function initial(): Stored {
  const fallback: Stored = {
    system: 'metric',
    words: 'rappel',
    textSize: 'usual',
    motion: 'machine',
    hand: null,
    remindDays: 30,
    theme: window.matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light',
  };
  try {
    const parsed = schema.safeParse(JSON.parse(localStorage.getItem(KEY) ?? ''));
    return parsed.success ? parsed.data : fallback;
  } catch {
    return fallback;
  }
}

/** Units, words, theme, text and motion: of the person, not of a workspace, and the same in every tab. */
export function PreferencesProvider({ children }: { children: ReactNode }) {
  const [stored, setStored] = useState(initial);
  useEffect(() => {
    Object.assign(document.documentElement.dataset, {
      theme: stored.theme,
      text: stored.textSize,
      motion: stored.motion,
    });
    try {
      localStorage.setItem(KEY, JSON.stringify(stored));
    } catch {
      // Storage that is refused or full: the choice holds as long as the page is open.
    }
  }, [stored]);
  useEffect(() => {
    const listen = (event: StorageEvent) => {
      if (event.key === KEY) setStored(initial());
    };
    window.addEventListener('storage', listen);
    return () => window.removeEventListener('storage', listen);
  }, []);
  const value = useMemo<Preferences>(
    () => ({
      ...stored,
      setSystem: (system) => setStored((s) => ({ ...s, system })),
      setTheme: (theme) => setStored((s) => ({ ...s, theme })),
      set: (choice) => setStored((s) => ({ ...s, ...choice })),
      setWords: (words) => setStored((s) => ({ ...s, words, system: VOCABULARIES[words].system })),
    }),
    [stored],
  );
  return <Context value={value}>{children}</Context>;
}

export function usePreferences(): Preferences {
  const value = use(Context);
  if (!value) throw new Error('usePreferences outside PreferencesProvider');
  return value;
}

/** Puts a text of the app into the words of the reader; texts with numbers in them are filled and put into words in one go (`fillTemplate`). */
export function useWords(): (text: string) => string {
  const { words } = usePreferences();
  return (text) => inWords(text, words);
}
