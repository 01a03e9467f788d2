import { createContext, use, useEffect, useMemo, useState, type ReactNode } from 'react';
import type { UnitSystem } from '@core/foundations/units';
import { inWords, VOCABULARIES, type Vocabulary } from '@core/foundations/vocabulary';

const KEY = 'zevrin-preferences';
/**
 * Read by hand and not by a schema: it is the first thing that every page does, and the library of schemas is a fifth
 * of what the first page would load.
 */
interface Stored {
  readonly system: UnitSystem;
  readonly theme: 'light' | 'dark';
  readonly words: Vocabulary;
  readonly textSize: 'usual' | 'large' | 'largest';
  /** As the machine says, or less in any case. */
  readonly motion: 'machine' | 'less';
  /** What new people and the first answer begin with; null: asked. */
  readonly hand: 'right' | 'left' | null;
  /** Days after which a copy is asked for; null: never. */
  readonly remindDays: number | null;
}
const CHOICES = {
  system: ['metric', 'imperial'],
  theme: ['light', 'dark'],
  words: ['rappel', 'abseil'],
  textSize: ['usual', 'large', 'largest'],
  motion: ['machine', 'less'],
  hand: ['right', 'left', null],
} as const satisfies { readonly [K in Exclude<keyof Stored, 'remindDays'>]: readonly Stored[K][] };
const MOST_DAYS = 365;

/** What was kept, each choice by itself: one that is not there, or is none, is as it is at first. */
export function readPreferences(text: string | null, first: Stored): Stored {
  let kept: unknown;
  try {
    kept = JSON.parse(text ?? '');
  } catch {
    return first;
  }
  if (kept === null || typeof kept !== 'object') return first;
  const at = kept as Readonly<Record<string, unknown>>;
  const choice = <K extends keyof typeof CHOICES>(key: K): Stored[K] =>
    (CHOICES[key] as readonly unknown[]).includes(at[key]) ? (at[key] as Stored[K]) : first[key];
  const days = at.remindDays;
  const counts = typeof days === 'number' && Number.isInteger(days) && days >= 1 && days <= MOST_DAYS;
  return {
    system: choice('system'),
    theme: choice('theme'),
    words: choice('words'),
    textSize: choice('textSize'),
    motion: choice('motion'),
    hand: choice('hand'),
    remindDays: days === null || counts ? days : first.remindDays,
  };
}

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
    return readPreferences(localStorage.getItem(KEY), fallback);
  } catch {
    // Storage that is refused.
    return fallback;
  }
}

/**
 * What is kept with one choice changed. Only a choice is written, onto what is kept now: a tab that hears of another
 * one writes nothing back, which would undo what was chosen there meanwhile.
 */
function keep(now: Stored, choice: Partial<Stored>): Stored {
  try {
    const next = { ...readPreferences(localStorage.getItem(KEY), now), ...choice };
    localStorage.setItem(KEY, JSON.stringify(next));
    return next;
  } catch {
    // Storage that is refused or full: the choice holds as long as the page is open.
    return { ...now, ...choice };
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
  }, [stored]);
  useEffect(() => {
    const listen = (event: StorageEvent) => {
      if (event.key === KEY) setStored(initial());
    };
    window.addEventListener('storage', listen);
    return () => window.removeEventListener('storage', listen);
  }, []);
  const value = useMemo<Preferences>(() => {
    const choose = (choice: Partial<Stored>) => setStored((s) => keep(s, choice));
    return {
      ...stored,
      setSystem: (system) => choose({ system }),
      setTheme: (theme) => choose({ theme }),
      set: choose,
      setWords: (words) => choose({ words, system: VOCABULARIES[words].system }),
    };
  }, [stored]);
  return <Context value={value}>{children}</Context>;
}

export function usePreferences(): Preferences {
  const value = use(Context);
  if (!value) throw new Error('usePreferences outside PreferencesProvider');
  return value;
}

/**
 * Puts a text of the app into the words of the reader; texts with numbers in them are filled and put into words in one
 * go (`fillTemplate`).
 */
export function useWords(): (text: string) => string {
  const { words } = usePreferences();
  return (text) => inWords(text, words);
}
