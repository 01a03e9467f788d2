import { scaleLinear } from 'd3-scale';
import { useMemo } from 'react';
import { Area, ComposedChart, Line, ReferenceArea, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import type { SelfBelayCurve } from '@core/rigs/pairs';
import { printNumber, printQuantity, printRounded, unitOf } from '@core/foundations/units';
import { usePreferences } from '../../../app/preferences';

const INK = { fill: 'var(--ink-2)', fontSize: 12 } as const;
const ticks = (to: number, count: number) => scaleLinear([0, to], [0, 1]).ticks(count);

/**
 * Alone on a rope from above: how hard a fall is at each height, where it ends on the ground, and where the rope does
 * not run by itself.
 */
export function SelfBelayChart({ curve }: { curve: SelfBelayCurve }) {
  const { system } = usePreferences();
  const data = useMemo(
    () =>
      curve.points.map(({ heightM, forceKn }) => ({
        height: heightM,
        best: forceKn.best,
        spread: [forceKn.low, forceKn.high],
      })),
    [curve],
  );
  const most = Math.max(4, ...curve.points.map((p) => p.forceKn.high));
  const last = curve.points.at(-1);
  return (
    <figure className="mt-4 rounded-xl border border-line bg-surface p-3">
      <figcaption className="font-bold">A fall at each height, {curve.label.toLowerCase()}</figcaption>
      <p className="text-sm text-ink-2">
        Below {printRounded(curve.groundM, 'lengthM', system)} it ends on the ground (hatched).{' '}
        {curve.feedsM.best > 0
          ? `Up to ${printRounded(curve.feedsM, 'lengthM', system)} the rope does not feed itself (grey).`
          : 'The rope feeds itself from the ground on.'}{' '}
        {last && `Just below the anchor: ${printRounded(last.forceKn, 'strengthKn', system)}.`}
      </p>
      <div className="h-52" aria-hidden>
        <ResponsiveContainer minWidth={50} minHeight={50}>
          <ComposedChart data={data} accessibilityLayer={false} margin={{ top: 8, right: 10, bottom: 2, left: -10 }}>
            <defs>
              <pattern
                id="solo-ground"
                width="7"
                height="7"
                patternUnits="userSpaceOnUse"
                patternTransform="rotate(45)"
              >
                <path d="M0 0V7" stroke="var(--stop)" strokeWidth="3" />
              </pattern>
            </defs>
            <XAxis
              dataKey="height"
              type="number"
              domain={[0, curve.anchorM]}
              ticks={ticks(curve.anchorM, 6)}
              tick={INK}
              tickFormatter={(m: number) => printQuantity(m, 'lengthM', system)}
            />
            <YAxis
              tick={INK}
              domain={[0, most]}
              ticks={ticks(most, 4)}
              width={72}
              tickFormatter={(kn: number) => `${printNumber(kn, 'strengthKn', system)} ${unitOf('strengthKn', system)}`}
            />
            {curve.feedsM.best > 0 && (
              <ReferenceArea
                x1={0}
                x2={Math.min(curve.anchorM, curve.feedsM.best)}
                fill="var(--line)"
                fillOpacity={0.7}
              />
            )}
            <ReferenceArea x1={0} x2={curve.groundM.best} fill="url(#solo-ground)" fillOpacity={1} />
            <ReferenceLine x={curve.anchorM} stroke="var(--ink)" strokeWidth={2} />
            <Area dataKey="spread" stroke="none" fill="var(--rope-a)" fillOpacity={0.25} isAnimationActive={false} />
            <Line dataKey="best" dot={false} stroke="var(--rope-a)" strokeWidth={2.5} isAnimationActive={false} />
          </ComposedChart>
        </ResponsiveContainer>
      </div>
    </figure>
  );
}
