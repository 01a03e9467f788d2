import type { RopeWalkFigures } from '@core/rigs/pairs';
import { printInterval, printQuantity, type Interval } from '@core/foundations/units';
import { usePreferences } from '../../../app/preferences';
import { Label } from '../../../drawing/parts';
import { vec } from '../../../drawing/vector';

const WIDTH = 360;
const HEIGHT = 330;
const FLOOR = HEIGHT - 22;

interface Pose {
  readonly name: string;
  readonly tetherMm: number;
  readonly loopMm: number | null;
  readonly does: string;
}

/**
 * What is set for each of three ways of being on the line, from the body of who hangs there, to scale; and what comes
 * off between them.
 */
export function RopeWalkFigure({ figures }: { figures: RopeWalkFigures }) {
  const { system } = usePreferences();
  const { walkTetherMm, limbTetherMm, freeLoopMm, deviceMm, person, kneeMm } = figures;
  const tie = person.tieInHeightMm ?? 1000;
  const chin = person.chinAboveTieInMm!;
  const poses: readonly Pose[] = [
    {
      name: 'Walk up',
      tetherMm: Math.max(0, walkTetherMm.best),
      loopMm: null,
      does: 'Chest tether on, knee and foot ascender on; the tether so that the device is just below the chin.',
    },
    {
      name: 'Out on a limb',
      tetherMm: Math.max(0, limbTetherMm.best),
      loopMm: null,
      does: 'Knee and foot ascender off, chest tether off; the tether let out with one hand, no farther than that hand reaches.',
    },
    {
      name: 'Free hands',
      tetherMm: 60,
      loopMm: freeLoopMm?.best ?? null,
      does: 'The tether drawn in until the device is at the saddle; a short foot loop to stand up in.',
    },
  ];
  const tallest = tie + Math.max(chin + 230, person.armReachMm + 60);
  const scale = (FLOOR - 26) / tallest;
  const y = (aboveSolesMm: number) => FLOOR - aboveSolesMm * scale;
  const say = (i: Interval) => printInterval(i, 'lengthMm', system);
  const rows: readonly (readonly [string, string, string])[] = [
    [
      'Walk up',
      say(walkTetherMm),
      kneeMm === null ? '' : `knee ascender ${printQuantity(kneeMm, 'lengthMm', system)} above the sole`,
    ],
    ['Out on a limb', `up to ${say(limbTetherMm)}`, ''],
    ['Free hands', 'as short as it goes', freeLoopMm ? `foot loop ${say(freeLoopMm)}` : ''],
  ];
  return (
    <figure className="mt-4 rounded-xl border border-line bg-surface p-3">
      <figcaption className="font-bold">Lengths for {person.name}</figcaption>
      <div className="grid items-center gap-4 sm:grid-cols-[3fr_2fr]">
        <svg
          viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
          className="w-full"
          role="img"
          aria-label={`Three ways of hanging. ${rows.map(([name, tether]) => `${name}: tether ${tether}`).join('. ')}.`}
        >
          {poses.map(({ name, tetherMm, loopMm }, i) => {
            const x = 66 + i * 118;
            const top = tie + tetherMm + deviceMm.best;
            return (
              <g key={name} strokeLinecap="round" strokeLinejoin="round" fill="none">
                <path d={`M${x} 22V${FLOOR}`} stroke="var(--rope-a)" strokeWidth="3" />
                <g stroke="var(--ink-2)" opacity="0.4">
                  <path d={`M${x - 14} ${y(tie)}L${x - 20} ${y(tie + chin * 0.85)}`} strokeWidth="20" />
                  <path d={`M${x - 14} ${y(tie)}L${x + 4} ${y(tie * 0.52)}L${x - 8} ${y(0)}`} strokeWidth="14" />
                  <circle cx={x - 24} cy={y(tie + chin + 90)} r="12" fill="var(--ink-2)" stroke="none" />
                  {i === 1 && <path d={`M${x - 18} ${y(tie + chin * 0.8)}L${x} ${y(top)}`} strokeWidth="8" />}
                </g>
                <path d={`M${x - 12} ${y(tie)}L${x} ${y(tie + tetherMm)}`} stroke="var(--textile)" strokeWidth="4" />
                <rect
                  x={x - 6}
                  y={y(top)}
                  width="12"
                  height={Math.max(8, deviceMm.best * scale)}
                  rx="4"
                  fill="var(--surface)"
                  stroke="var(--ink)"
                  strokeWidth="2"
                />
                {i === 0 && (
                  <>
                    <path
                      d={`M${x - 18} ${y(tie + chin * 0.7)}L${x} ${y(top - 30)}`}
                      stroke="var(--textile)"
                      strokeWidth="2.5"
                    />
                    <path
                      d={`M${x - 44} ${y(tie + chin)}h58`}
                      stroke="var(--ink-2)"
                      strokeWidth="1.2"
                      strokeDasharray="3 3"
                    />
                    {kneeMm !== null && (
                      <rect
                        x={x - 5}
                        y={y(kneeMm) - 5}
                        width="10"
                        height="10"
                        rx="3"
                        fill="var(--surface)"
                        stroke="var(--ink)"
                        strokeWidth="2"
                      />
                    )}
                  </>
                )}
                {loopMm !== null && (
                  <path
                    d={`M${x} ${y(tie + tetherMm)}L${x - 6} ${y(Math.max(0, tie - loopMm))}`}
                    stroke="var(--textile)"
                    strokeWidth="3"
                  />
                )}
                <Label at={vec(x - 8, 14)} anchor="middle" strong>
                  {[name]}
                </Label>
              </g>
            );
          })}
        </svg>
        <dl className="grid gap-3">
          {rows.map(([name, tether, more], i) => (
            <div key={name}>
              <dt className="font-bold">{name}</dt>
              <dd>
                Tether {tether}
                {more && `, ${more}`}.
              </dd>
              <dd className="text-ink-2">{poses[i]!.does}</dd>
            </div>
          ))}
        </dl>
      </div>
    </figure>
  );
}
