import { scaleLinear } from 'd3-scale';
import { useMemo } from 'react';
import { Bar, BarChart, Line, LineChart, ReferenceLine, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import type { Bar as Count, Trace } from '@core/rigs/catch';
import { printNumber, unitOf, type Quantity } from '@core/foundations/units';
import { usePreferences } from '../../../app/preferences';

const INK = { fill: 'var(--ink-2)', fontSize: 12 } as const;
/** Round numbers along an axis. */
const round = (from: number, to: number, count: number) => scaleLinear([from, to], [0, 1]).ticks(count);

interface ForceTimeProps {
  readonly trace: Trace;
  /** The moment that the drawing shows, s. */
  readonly atS: number;
}

/** Force on the climber and at the device over the time of one fall. */
export function ForceTime({ trace, atS }: ForceTimeProps) {
  const { system } = usePreferences();
  const unit = unitOf('strengthKn', system);
  const say = (kn: number) => `${printNumber(kn, 'strengthKn', system)} ${unit}`;
  const data = useMemo(
    () => trace.frames.map((f) => ({ t: f.timeS, climber: f.climberN / 1000, device: f.belayerN / 1000 })),
    [trace],
  );
  const most = Math.max(1, ...data.map((d) => d.climber));
  const end = data.at(-1)!.t;
  return (
    <figure>
      <figcaption className="font-bold">Force over time</figcaption>
      <p className="flex flex-wrap gap-x-4 text-sm text-ink-2">
        <Key colour="var(--rope-a)" text="on the climber" />
        <Key colour="var(--ink)" text="at the device" dashed />
      </p>
      <div className="h-44" aria-hidden>
        <ResponsiveContainer>
          <LineChart data={data} accessibilityLayer={false} margin={{ top: 6, right: 8, bottom: 2, left: -14 }}>
            <XAxis
              dataKey="t"
              type="number"
              domain={[0, 'dataMax']}
              ticks={round(0, end, 6)}
              tick={INK}
              tickFormatter={(t: number) => `${t.toFixed(1)} s`}
            />
            <YAxis tick={INK} domain={[0, most]} ticks={round(0, most, 4)} tickFormatter={say} width={72} />
            <Tooltip
              isAnimationActive={false}
              contentStyle={{ background: 'var(--surface)', color: 'var(--ink)' }}
              labelFormatter={(t) => `${Number(t).toFixed(2)} s`}
              formatter={(v, name) => [say(Number(v)), name === 'climber' ? 'on the climber' : 'at the device']}
            />
            <ReferenceLine x={atS} stroke="var(--act)" strokeWidth={2} />
            <Line dataKey="climber" dot={false} stroke="var(--rope-a)" strokeWidth={2.5} isAnimationActive={false} />
            <Line
              dataKey="device"
              dot={false}
              stroke="var(--ink)"
              strokeWidth={2}
              strokeDasharray="6 4"
              isAnimationActive={false}
            />
          </LineChart>
        </ResponsiveContainer>
      </div>
    </figure>
  );
}

interface SpreadProps {
  readonly title: string;
  readonly bars: readonly Count[];
  readonly runs: number;
  readonly quantity: Quantity;
  readonly toUnit: number;
}

/** How often which value came out. */
export function Spread({ title, bars, runs, quantity, toUnit }: SpreadProps) {
  const { system } = usePreferences();
  const say = (v: number) => `${printNumber(v * toUnit, quantity, system)} ${unitOf(quantity, system)}`;
  const data = bars.map((b) => ({ at: (b.from + b.to) / 2, of100: (b.runs / runs) * 100 }));
  const [from, to] = [bars[0]!.from, bars.at(-1)!.to];
  return (
    <figure>
      <figcaption className="font-bold">{title}</figcaption>
      <div className="h-32" aria-hidden>
        <ResponsiveContainer>
          <BarChart
            data={data}
            accessibilityLayer={false}
            margin={{ top: 6, right: 8, bottom: 2, left: -14 }}
            barCategoryGap={1}
          >
            <XAxis
              dataKey="at"
              type="number"
              domain={[from, to]}
              ticks={round(from, to, 4)}
              tick={INK}
              tickFormatter={say}
            />
            <YAxis tick={INK} width={52} allowDecimals={false} />
            <Tooltip
              isAnimationActive={false}
              cursor={{ fill: 'var(--sunk)' }}
              contentStyle={{ background: 'var(--surface)', color: 'var(--ink)' }}
              labelFormatter={(v) => `about ${say(Number(v))}`}
              formatter={(v) => [`${Number(v).toFixed(1)} of 100 falls`, '']}
            />
            <Bar dataKey="of100" fill="var(--rope-a)" isAnimationActive={false} />
          </BarChart>
        </ResponsiveContainer>
      </div>
    </figure>
  );
}

function Key({ colour, text, dashed = false }: { colour: string; text: string; dashed?: boolean }) {
  return (
    <span className="inline-flex items-center gap-1.5">
      <svg width="26" height="8" aria-hidden>
        <path d="M0 4H26" stroke={colour} strokeWidth="3" strokeDasharray={dashed ? '6 4' : undefined} />
      </svg>
      {text}
    </span>
  );
}
