import { useEffect, useState } from 'react';

const ROWS_A_FRAME = 2;

/**
 * How many of the rows of a large table to draw: a few more each frame, so that keys and fingers get their turn in
 * between.
 */
export function useGrowing(total: number): number {
  const [shown, setShown] = useState(ROWS_A_FRAME);
  const growing = shown < total;
  useEffect(() => {
    if (!growing) return;
    const frame = requestAnimationFrame(() => setShown((n) => n + ROWS_A_FRAME));
    return () => cancelAnimationFrame(frame);
  }, [growing, shown]);
  return Math.min(shown, total);
}
