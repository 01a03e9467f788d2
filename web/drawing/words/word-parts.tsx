import type { ReactNode } from 'react';
import { Ground, RopeDrawn } from '../looks/parts';

/*
 * Small drawings for the words of the trade, on the sheet of a look: 160 by 120. What the word names is drawn in the
 * colour of what one does; the rest is what it belongs to.
 */

const STROKE = { fill: 'none', stroke: 'var(--act)', strokeLinecap: 'round', strokeLinejoin: 'round' } as const;

/** The thing meant, along a path. */
export const Meant = ({ d, width = 6, dashed = false }: { d: string; width?: number; dashed?: boolean }) => (
  <path d={d} {...STROKE} strokeWidth={width} strokeDasharray={dashed ? '7 6' : undefined} />
);

/** Which way it goes, from the first point to the second. */
export function Arrow({ from: [x1, y1], to: [x2, y2] }: { from: [number, number]; to: [number, number] }) {
  const turn = (Math.atan2(y2 - y1, x2 - x1) * 180) / Math.PI;
  return (
    <g>
      <path d={`M${x1} ${y1}L${x2} ${y2}`} {...STROKE} strokeWidth="3.5" />
      <path d="M-8 -6L0 0L-8 6" transform={`translate(${x2} ${y2}) rotate(${turn})`} {...STROKE} strokeWidth="3.5" />
    </g>
  );
}

/** Somebody, by head and trunk. */
export const Somebody = ({ x, y, size = 1 }: { x: number; y: number; size?: number }) => (
  <g
    transform={`translate(${x} ${y}) scale(${size})`}
    fill="var(--body)"
    stroke="var(--body-line)"
    strokeWidth={1.6 / size}
  >
    <circle cx="0" cy="-13" r="7" />
    <path d="M-8 16L-6 -3Q0 -7 6 -3L8 16Z" />
  </g>
);

export const Wall = () => <Ground d="M0 0H34Q28 30 36 60Q30 90 38 120H0Z" />;
export const GroundLine = () => <Ground d="M0 108H160V120H0Z" />;

export const Ring = ({ x, y, r = 9 }: { x: number; y: number; r?: number }) => (
  <circle cx={x} cy={y} r={r} fill="none" stroke="var(--metal)" strokeWidth="5" />
);

/** A trunk on the left with a limb to the right. */
export const TreeDrawn = () => (
  <g fill="var(--rock)" stroke="var(--rock-line)" strokeWidth="1.5">
    <path d="M14 120Q22 60 18 0H40Q38 22 44 24Q96 16 150 22L150 30Q96 28 44 40Q40 80 46 120Z" />
  </g>
);

/** A pulley as a wheel in cheeks. */
export const Wheel = ({ x, y }: { x: number; y: number }) => (
  <g>
    <circle cx={x} cy={y} r="10" fill="var(--metal)" />
    <circle cx={x} cy={y} r="3" fill="var(--surface)" />
  </g>
);

/** Several strands of one rope side by side, by their x. */
export const Down = ({
  at,
  from = 0,
  to = 120,
  width = 8,
}: {
  at: number[];
  from?: number;
  to?: number;
  width?: number;
}) => at.map((x, i): ReactNode => <RopeDrawn key={x} d={`M${x} ${from}V${to}`} second={i > 0} width={width} />);

/** A knot as it looks from afar. */
export const KnotDrawn = ({ x, y, second = false }: { x: number; y: number; second?: boolean }) => (
  <g>
    <ellipse cx={x} cy={y} rx="13" ry="14" fill={second ? 'var(--rope-b)' : 'var(--rope-a)'} />
    <path
      d={`M${x - 9} ${y - 3}Q${x} ${y - 10} ${x + 9} ${y - 2}M${x - 9} ${y + 5}Q${x} ${y - 2} ${x + 9} ${y + 6}`}
      fill="none"
      stroke="var(--surface)"
      strokeWidth="1.5"
    />
  </g>
);
