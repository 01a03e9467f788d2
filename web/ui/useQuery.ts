import { useCallback, useEffect, useRef } from 'react';
import { useSearchParams } from 'react-router';

/**
 * What is asked in the address, and a way to change it that starts from what was asked last. The router hands out what
 * it has drawn last: two answers given faster than the page is drawn, as on a slow phone, would undo each other.
 */
export function useQuery() {
  const [query, setSearch] = useSearchParams();
  /** Asked and not drawn yet. */
  const asked = useRef<URLSearchParams | null>(null);
  const text = query.toString();
  useEffect(() => {
    if (asked.current?.toString() === text) asked.current = null;
  }, [text]);
  const drawn = useRef(query);
  useEffect(() => {
    drawn.current = query;
  }, [query]);
  /** Changes it without a step in the history of the browser. */
  const change = useCallback(
    (how: (now: URLSearchParams) => Readonly<Record<string, string>>) => {
      const next = new URLSearchParams(how(asked.current ?? drawn.current));
      // What stands there already is never drawn anew: to wait for that would hold on to it for good.
      asked.current = next.toString() === drawn.current.toString() ? null : next;
      setSearch(next, { replace: true });
    },
    [setSearch],
  );
  return [query, change] as const;
}
