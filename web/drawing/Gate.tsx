import type { Vec } from './vector';

/** How large the connector around it is drawn. */
const SIZES = {
  small: { locked: 8, open: 5, sleeve: '16 100', sleeveAt: -8, dashes: '9 3' },
  large: { locked: 11, open: 7, sleeve: '24 200', sleeveAt: -12, dashes: '10 4' },
} as const;

/** The gate of a connector: its sleeve is dark where it is locked, and there is none where it is not. */
export function Gate({ from, to, locked, size }: { from: Vec; to: Vec; locked: boolean; size: keyof typeof SIZES }) {
  const { locked: lockedPx, open: openPx, sleeve, sleeveAt, dashes } = SIZES[size];
  return (
    <path
      d={`M${from.x} ${from.y}L${to.x} ${to.y}`}
      stroke={locked ? 'var(--ink)' : 'var(--surface)'}
      strokeWidth={locked ? lockedPx : openPx}
      strokeDasharray={locked ? sleeve : dashes}
      strokeDashoffset={locked ? sleeveAt : 0}
    />
  );
}
