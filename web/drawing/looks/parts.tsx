import type { Family } from '@core/things/gear';
import { FamilyGlyph } from '../FamilyPicture';
import { Hand } from '../hands-parts';
import { hullPath } from '../parts';
import { vec } from '../vector';

/** Sheet on which a look is drawn. */
export const SHEET = { width: 160, height: 120 };

const LINE = { fill: 'none', strokeLinecap: 'round', strokeLinejoin: 'round' } as const;

export const RopeDrawn = ({ d, second = false, width = 6 }: { d: string; second?: boolean; width?: number }) => (
  <path d={d} {...LINE} stroke={second ? 'var(--rope-b)' : 'var(--rope-a)'} strokeWidth={width} />
);
export const Web = ({ d, width = 9 }: { d: string; width?: number }) => (
  <path d={d} {...LINE} stroke="var(--textile)" strokeWidth={width} />
);
export const CordDrawn = ({ d }: { d: string }) => <path d={d} {...LINE} stroke="var(--cord)" strokeWidth="4" />;

/** A device of its family, about 64 wide, by its middle. */
export const DeviceDrawn = ({ family, x, y, size = 0.9 }: { family: Family; x: number; y: number; size?: number }) => (
  <g transform={`translate(${x - 32 * size} ${y - 33 * size}) scale(${size})`}>
    <FamilyGlyph family={family} />
  </g>
);

/** A connector with its narrow end up and its gate to the right. */
export function ConnectorDrawn({ x, y, oval, height = 70 }: { x: number; y: number; oval: boolean; height?: number }) {
  const [top, bottom] = oval ? [13, 13] : [9, 17];
  const [a, b] = [vec(x, y - height / 2 + top), vec(x, y + height / 2 - bottom)];
  return (
    <g>
      <path d={hullPath(a, top, b, bottom)} fill="none" stroke="var(--metal)" strokeWidth="7" />
      <path d={`M${x + top} ${a.y + 4}L${x + bottom} ${b.y - 6}`} {...LINE} stroke="var(--ink)" strokeWidth="4" />
    </g>
  );
}

interface TouchProps {
  readonly x: number;
  readonly y: number;
  /** Where it pushes or pulls, degrees clockwise from the right; none: it only takes hold. */
  readonly towards?: number;
}

/** A hand at a place, and the way it pushes or pulls. */
export function Touch({ x, y, towards }: TouchProps) {
  return (
    <g>
      <circle cx={x} cy={y} r="15" fill="var(--surface)" opacity="0.75" />
      <Hand at={vec(x, y)} scale={0.22} />
      {towards !== undefined && (
        <path
          transform={`translate(${x} ${y}) rotate(${towards})`}
          d="M14 0H30M23 -6L30 0L23 6"
          {...LINE}
          stroke="var(--act)"
          strokeWidth="3.5"
        />
      )}
    </g>
  );
}

/** Where the eye goes: what is there is not drawn. */
export const Look = ({ x, y, r = 16 }: { x: number; y: number; r?: number }) => (
  <circle cx={x} cy={y} r={r} fill="var(--surface)" stroke="var(--act)" strokeWidth="3" strokeDasharray="6 4" />
);
/** The same around something that is drawn. */
export const Around = ({ x, y, r = 20 }: { x: number; y: number; r?: number }) => (
  <circle cx={x} cy={y} r={r} fill="none" stroke="var(--act)" strokeWidth="3" strokeDasharray="6 4" />
);

const BODY = { fill: 'var(--body)', stroke: 'var(--body-line)', strokeWidth: 1.4 } as const;

/** Head and helmet, trunk, belt and leg loops, from the front. */
export const Figure = ({ x, helmet = true }: { x: number; helmet?: boolean }) => (
  <g>
    <path d={`M${x - 30} 118L${x - 24} 50Q${x - 22} 40 ${x} 40Q${x + 22} 40 ${x + 24} 50L${x + 30} 118Z`} {...BODY} />
    <circle cx={x} cy="24" r="13" {...BODY} />
    {helmet && <path d={`M${x - 16} 22Q${x - 15} 4 ${x} 4Q${x + 15} 4 ${x + 16} 22Z`} fill="var(--metal)" />}
    {helmet && <path d={`M${x - 12} 24L${x} 38L${x + 12} 24`} {...LINE} stroke="var(--ink)" strokeWidth="2" />}
    <Web d={`M${x - 27} 78Q${x} 84 ${x + 27} 78`} />
    <Web d={`M${x - 28} 104Q${x - 15} 114 ${x - 3} 104`} width={6} />
    <Web d={`M${x + 3} 104Q${x + 15} 114 ${x + 28} 104`} width={6} />
    <path d={`M${x} 82V101`} {...LINE} stroke="var(--ink-2)" strokeWidth="4" />
  </g>
);

/** Belt with the two tie-in points and the belay loop between them, near. */
export const Waist = ({ y = 30 }: { y?: number }) => (
  <g>
    <Web d={`M14 ${y}Q80 ${y + 14} 146 ${y}`} width={16} />
    <Web d={`M40 ${y + 66}Q80 ${y + 44} 120 ${y + 66}`} width={12} />
    <path
      d={`M72 ${y + 2}Q80 ${y + 20} 88 ${y + 2}M72 ${y + 58}Q80 ${y + 40} 88 ${y + 58}`}
      {...LINE}
      stroke="var(--ink-2)"
      strokeWidth="6"
    />
    <path d={`M74 ${y + 12}V${y + 47}M86 ${y + 12}V${y + 47}`} {...LINE} stroke="var(--textile)" strokeWidth="6" />
  </g>
);

export const Ground = ({ d }: { d: string }) => (
  <path d={d} fill="var(--rock)" stroke="var(--rock-line)" strokeWidth="1.5" />
);
/** Two rings in rock. */
export const Rings = () => (
  <g>
    <Ground d="M0 0H160V30Q120 38 80 32Q40 26 0 34Z" />
    {[58, 102].map((x) => (
      <circle key={x} cx={x} cy="40" r="12" fill="none" stroke="var(--metal)" strokeWidth="5" />
    ))}
  </g>
);
