import { useEffect, useState } from 'react';

/**
 * How long the browser keeps what is stored: until it is wiped, until space runs short, or only while the page is
 * opened at least once a week.
 */
export type Keeping = 'kept' | 'while-there-is-room' | 'a-week' | 'not-told';

/**
 * Days without a visit after which some browsers clear what a page stored, unless it stands on the home screen
 * (published for that engine in 2020).
 */
export const CLEARED_AFTER_DAYS = 7;

/**
 * What this browser says of itself: the one engine that clears after a week names its maker in every browser that is
 * built on it.
 */
export function keepingOf(vendor: string, installed: boolean, persisted: boolean | undefined): Keeping {
  if (persisted === true) return 'kept';
  if (vendor.startsWith('Apple') && !installed) return 'a-week';
  return persisted === false ? 'while-there-is-room' : 'not-told';
}

export const KEEPING_WORDS: Readonly<Record<Keeping, string>> = {
  kept: 'The browser has agreed to keep it until you wipe it.',
  'while-there-is-room': 'The browser may clear it when space runs short: keep a copy.',
  'a-week': `The browser clears it when you have not opened Zevrin for ${CLEARED_AFTER_DAYS} days: keep a copy, and put Zevrin on the home screen.`,
  'not-told': 'How long the browser keeps it, it does not tell: keep a copy.',
};

/** null until the browser has answered. */
export function useKeeping(): Keeping | null {
  const [keeping, setKeeping] = useState<Keeping | null>(null);
  useEffect(() => {
    let left = false;
    const installed = window.matchMedia('(display-mode: standalone)').matches;
    const say = (persisted: boolean | undefined) => {
      if (!left) setKeeping(keepingOf(navigator.vendor, installed, persisted));
    };
    // Not there without a secure connection, and in older browsers.
    const { storage } = navigator as { storage?: Partial<StorageManager> };
    const asked = storage?.persisted?.();
    if (asked) asked.then(say, () => say(undefined));
    else say(undefined);
    return () => {
      left = true;
    };
  }, []);
  return keeping;
}
