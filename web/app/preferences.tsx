import { createContext, use, useEffect, useMemo, useState, type ReactNode } from 'react';
import { z } from 'zod';
import type { UnitSystem } from '@core/units';

const KEY = 'zevrin-preferences';
const schema = z.object({ system: z.enum(['metric', 'imperial']), theme: z.enum(['light', 'dark']) });
type Stored = z.infer<typeof schema>;

interface Preferences extends Stored {
  readonly setSystem: (system: UnitSystem) => void;
  readonly setTheme: (theme: Stored['theme']) => void;
}

const Context = createContext<Preferences | null>(null);

function initial(): Stored {
  const fallback: Stored = {
    system: 'metric',
    theme: window.matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light',
  };
  try {
    const parsed = schema.safeParse(JSON.parse(localStorage.getItem(KEY) ?? ''));
    return parsed.success ? parsed.data : fallback;
  } catch {
    return fallback;
  }
}

/** Units and theme: of the person, not of a workspace, and the same in every tab. */
export function PreferencesProvider({ children }: { children: ReactNode }) {
  const [stored, setStored] = useState(initial);
  useEffect(() => {
    document.documentElement.dataset.theme = stored.theme;
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
