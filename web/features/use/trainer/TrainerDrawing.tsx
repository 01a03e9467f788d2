import { bendRad, type Practice } from '@core/teaching/trainer';
import { printQuantity } from '@core/foundations/units';
import { usePreferences } from '../../../app/preferences';
import { Label } from '../../../drawing/parts';
import { vec } from '../../../drawing/vector';

const DOING: Readonly<Record<Practice['doing'], string>> = {
  climbing: 'climbs',
  resting: 'stands',
  clipping: 'clips, and wants rope',
  falling: 'falls',
  hanging: 'hangs',
  lowering: 'is at the top: lower',
  down: 'is down',
};
/** In words, for the line above the drawing. */
export const doingWords = (p: Practice): string => `The climber ${DOING[p.doing]}.`;

/**
 * Device, rope and both hands as the belayer sees them, and beside them how high the climber is and how much slack
 * there is.
 */
export function TrainerDrawing({ practice: p }: { practice: Practice }) {
  const { system } = usePreferences();
  const side = p.settings.hand === 'left' ? -1 : 1;
  const { brake, guide } = p.hands;
  const X = 160;
  const X2 = (x: number) => X + side * x;
  // Hand on its arc around the device: straight down at -1, level at 0, up beside the load at 1.
  const bend = bendRad(brake ?? -0.9);
  const reach = 92;
  const hand = vec(X2(18 + Math.sin(bend) * reach), 150 - Math.cos(bend) * reach);
  const above = guide !== null && guide >= 0;
  const guideAt = above ? vec(X2(-14), 96 - guide * 66) : vec(hand.x + side * 14, hand.y + 44);
  const share = (m: number) => Math.min(1, Math.max(0, m / p.settings.topM));
  const wallX = side > 0 ? 26 : 294;
  const climberY = 268 - 236 * share(p.heightM);
  const slackPx = Math.min(80, Math.max(0, p.slackM) * 40);
  const danger = p.settings.device === 'tube' && brake !== null && brake > 0;
  return (
    <svg
      viewBox="0 0 320 290"
      className="mx-auto w-full max-w-md"
      role="img"
      aria-label={`${doingWords(p)} Height ${printQuantity(p.heightM, 'lengthM', system)}, slack ${printQuantity(Math.max(0, p.slackM), 'lengthM', system)}.`}
    >
      <path d={`M${wallX} 20V280`} stroke="var(--rock-line)" strokeWidth="5" />
      <circle cx={wallX + side * 12} cy={climberY} r="9" fill={p.doing === 'falling' ? 'var(--stop)' : 'var(--ink)'} />
      {p.settings.belay === 'leader' && p.runnerM > 0 && (
        <circle cx={wallX} cy={268 - 236 * share(p.runnerM)} r="5" fill="none" stroke="var(--metal)" strokeWidth="3" />
      )}
      <Label at={vec(wallX + side * 26, Math.min(262, Math.max(24, climberY + 4)))} anchor={side > 0 ? 'start' : 'end'}>
        {printQuantity(p.heightM, 'lengthM', system)}
      </Label>
      {p.slackM > 0.05 && (
        <Label at={vec(X2(-30 - slackPx / 2), 52)} anchor={side > 0 ? 'end' : 'start'}>
          {['slack', printQuantity(p.slackM, 'lengthM', system)]}
        </Label>
      )}
      {/* line of the device */}
      <path
        d={`M${X - 110} 150H${X + 110}`}
        stroke={danger ? 'var(--stop)' : 'var(--line-2)'}
        strokeDasharray="6 5"
        strokeWidth={danger ? 2.5 : 1.5}
      />
      <Label
        at={vec(X2(152), 143)}
        anchor={side > 0 ? 'end' : 'start'}
        colour={danger ? 'var(--stop)' : 'var(--ink-2)'}
        strong={danger}
      >
        {danger ? 'above the line' : 'device line'}
      </Label>
      {/* rope: slack hangs in a bow, then through the device to the hand */}
      <path
        d={`M${X2(-14)} 8Q${X2(-14 - slackPx)} 70 ${X2(-14)} 132V162A14 14 0 0 ${side > 0 ? 0 : 1} ${X2(14)} 162V150L${hand.x} ${hand.y}`}
        fill="none"
        stroke="var(--rope-a)"
        strokeWidth="9"
        strokeLinejoin="round"
      />
      <path
        d={`M${hand.x} ${hand.y}Q${hand.x} ${hand.y + 60} ${X2(90)} 282`}
        fill="none"
        stroke="var(--rope-a)"
        strokeWidth="9"
      />
      {p.settings.device === 'tube' ? (
        <path d={`M${X - 26} 136h10l2 26h-10zM${X + 16} 136h10l-2 26h-10z`} fill="var(--metal)" stroke="var(--ink)" />
      ) : (
        <path
          d={`M${X - 36} 128q34 -22 72 4q10 34 -8 62l-28 16l-28 -18q-14 -36 -8 -64z`}
          fill="none"
          stroke="var(--metal)"
          strokeWidth="7"
        />
      )}
      <path d={`M${X} 178V214`} stroke="var(--metal)" strokeWidth="8" />
      <HandMark at={guideAt} on={guide !== null} label="guide" side={-side} />
      <HandMark at={hand} on={brake !== null && !p.loose} label="brake" side={side} strong />
      {p.hands.thumbOnCam && (
        <Label at={vec(X, 122)} anchor="middle" colour="var(--mind)" strong>
          thumb on the cam
        </Label>
      )}
    </svg>
  );
}

/** A hand: filled while it holds the rope, empty while it is off. */
function HandMark({
  at,
  on,
  label,
  side,
  strong = false,
}: {
  at: { x: number; y: number };
  on: boolean;
  label: string;
  side: number;
  strong?: boolean;
}) {
  return (
    <g>
      <rect
        x={at.x - 17}
        y={at.y - 12}
        width="34"
        height="24"
        rx="10"
        fill={on ? 'var(--ink)' : 'var(--surface)'}
        stroke={on ? 'var(--surface)' : strong ? 'var(--stop)' : 'var(--line-2)'}
        strokeWidth="3"
        strokeDasharray={on ? undefined : '5 4'}
      />
      <Label
        at={vec(at.x + side * 24, at.y + 4)}
        anchor={side > 0 ? 'start' : 'end'}
        strong={strong && !on}
        colour={strong && !on ? 'var(--stop)' : 'var(--ink-2)'}
      >
        {on ? label : `${label}: off`}
      </Label>
    </g>
  );
}
