import { useEffect, useState } from 'react';

/** Longer than a double tap, shorter than a glance. */
export const SETTLE_MS = 400;

/**
 * False for a moment after something new came on the screen: what was tapped twice must not answer what nobody has
 * seen.
 *
 * @param about another value is something new.
 */
export function useSettled(about: string): boolean {
  const [settled, setSettled] = useState<string | null>(null);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(about), SETTLE_MS);
    return () => clearTimeout(timer);
  }, [about]);
  return settled === about;
}
