import { casualtyOf } from '@core/rigs/rig';
import { linksOf } from '@core/rigs/pairs';
import type { ElementId } from '@core/foundations/finding';
import { contextOf } from '@core/rigs/elements';
import type { RigPerson, Setup } from '@core/rigs/rig';
import { vec, type Vec } from '../vector';

/** How far below the rescuer the casualty is drawn, px. */
const BELOW = 44;

/** Who hangs motionless below the rescuer, with each link as it runs: tight, slack, or not said. */
export function Casualty({ setup, casualty }: { setup: Setup; casualty: RigPerson }) {
  const links = linksOf(contextOf(setup), casualty.id);
  return (
    <g>
      <g fill="none" stroke="var(--textile)" strokeWidth="3" strokeLinecap="round">
        {links.map(({ attachment, end }, i) => {
          const x = i * 7 - 2;
          return (
            <path
              key={attachment.id}
              d={
                end.tight === 'slack' ? `M${x} 6Q${x + 18} ${BELOW / 2} ${x} ${BELOW + 2}` : `M${x} 6L${x} ${BELOW + 2}`
              }
              strokeDasharray={end.tight === 'unknown' ? '3 5' : undefined}
            />
          );
        })}
      </g>
      {/* Head and arms hang: nobody looks for the rope there. */}
      <g
        transform={`translate(2 ${BELOW})`}
        fill="var(--ink-2)"
        stroke="var(--surface)"
        strokeWidth="1.5"
        opacity={links.length > 0 ? 1 : 0.4}
      >
        <circle cx="22" cy="-2" r="6" />
        <path d="M-2 -2L8 -5L18 0L17 9L6 8L-8 12L-16 24L-20 22L-11 6L-3 4Z" />
        <path d="M15 4L17 20L14 26L11 25L12 7Z" />
      </g>
    </g>
  );
}

/** Where the casualty and the links are marked, with the rescuer at `at`. */
export function casualtyParts(setup: Setup, at: Vec): Record<ElementId, Vec> {
  const casualty = casualtyOf(setup);
  if (!casualty) return {};
  const body = vec(at.x + 4, at.y + BELOW);
  return {
    [casualty.id]: body,
    [casualty.harnessId]: body,
    ...Object.fromEntries(
      linksOf(contextOf(setup), casualty.id).flatMap(({ attachment, end }, i) =>
        [end.id, ...attachment.pieces.map((p) => p.id)].map(
          (id) => [id, vec(at.x + i * 7 - 2, at.y + BELOW / 2)] as const,
        ),
      ),
    ),
  };
}
