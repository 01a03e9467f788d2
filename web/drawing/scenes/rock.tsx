import type { Setup } from '@core/rigs/rig';
import { Label } from '../parts';
import { HEIGHT, TOP, WIDTH } from '../site-parts';
import { vec } from '../vector';

interface RockProps {
  readonly stanceY: number;
  readonly onLedge: boolean;
  readonly edge: Setup['site']['edge'];
}

/** The wall with its edge at the top, down to the ground or a ledge. */
export function Rock({ stanceY, onLedge, edge }: RockProps) {
  const brow =
    edge === 'sharp' || edge === 'padded'
      ? `L84 ${TOP - 4}L98 ${TOP + 18}L82 ${TOP + 26}`
      : edge === 'rounded'
        ? `L80 ${TOP - 4}Q96 ${TOP + 4} 88 ${TOP + 22}L80 ${TOP + 34}`
        : `L70 ${TOP - 4}L66 ${TOP + 30}`;
  const wall = `M0 ${TOP - 4}${brow}L76 ${stanceY * 0.5}L70 ${stanceY * 0.75}L74 ${stanceY}`;
  const below = onLedge
    ? `L150 ${stanceY}L146 ${stanceY + 18}L90 ${stanceY + 30}L84 ${HEIGHT}L0 ${HEIGHT}Z`
    : `L${WIDTH} ${stanceY}L${WIDTH} ${stanceY + 18}L0 ${stanceY + 18}Z`;
  return (
    <g>
      <path d={wall + below} fill="var(--rock)" stroke="var(--rock-line)" strokeWidth="1.4" />
      {[0.18, 0.34, 0.5, 0.66, 0.82].map((t, i) => (
        <path
          key={t}
          d={`M${6 + (i % 2) * 10} ${TOP + t * (stanceY - TOP)}h${34 + (i % 3) * 9}`}
          stroke="var(--rock-line)"
          strokeWidth="1.2"
        />
      ))}
      {edge === 'padded' && (
        <path
          d={`M82 ${TOP - 8}L102 ${TOP + 16}L84 ${TOP + 32}`}
          fill="none"
          stroke="var(--textile)"
          strokeWidth="7"
          strokeLinejoin="round"
        />
      )}
      <Label at={vec(8, stanceY + (onLedge ? 22 : 14))} colour="var(--ink-2)">
        {onLedge ? 'ledge' : 'ground'}
      </Label>
    </g>
  );
}

/** A trunk with the fork that carries the line, and the ground at its foot. */
export function TreeTrunk({ stanceY, forkX }: { stanceY: number; forkX: number }) {
  return (
    <g>
      <path d={`M0 ${stanceY}H${WIDTH}V${stanceY + 18}H0Z`} fill="var(--rock)" stroke="var(--rock-line)" />
      <path
        d={`M14 ${stanceY}C26 ${stanceY - 60} 24 ${TOP + 120} 22 ${TOP + 40}C20 ${TOP} 30 ${TOP - 40} 18 ${TOP - 62}H44C48 ${TOP - 30} 44 ${TOP - 6} 54 ${TOP - 4}C74 ${TOP - 2} ${forkX - 8} ${TOP - 16} ${forkX + 60} ${TOP - 34}L${forkX + 62} ${TOP - 26}C${forkX} ${TOP - 2} 78 ${TOP + 12} 62 ${TOP + 22}C54 ${TOP + 90} 54 ${stanceY - 90} 70 ${stanceY}Z`}
        fill="var(--rock)"
        stroke="var(--rock-line)"
        strokeWidth="1.4"
      />
      <Label at={vec(8, stanceY + 14)} colour="var(--ink-2)">
        ground
      </Label>
    </g>
  );
}

/** Rope that lies on the ground, as two loops. */
export const coil = (x: number, y: number, k: number): string =>
  `M${x} ${y - 2}q${k * 14} 6 ${k * 6} 8q${-k * 14} 4 ${-k * 12} 8`;
