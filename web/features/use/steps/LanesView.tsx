import { scaleBand } from 'd3-scale';
import { useEffect, useRef } from 'react';
import { PROCEDURES, type Lane, type Moment, type ProcedureId, type State } from '@core/answers/procedures';
import { useWords } from '../../../app/preferences';

interface LanesViewProps {
  readonly procedure: ProcedureId;
  readonly moments: readonly Moment[];
  /** Names of the steps, for those who hear the drawing. */
  readonly names: readonly string[];
  readonly broken: ReadonlySet<number>;
  readonly chosen: number | null;
  readonly onChoose: (at: number) => void;
}

const ROW = 44;
const TOP = 26;
const STEP = 38;

type LaneState = 'off' | 'slack' | 'loaded' | 'fails';

const laneState = (state: State, { id }: Lane, holds: boolean): LaneState =>
  state[`${id}.on`] !== 'yes' ? 'off' : !holds ? 'fails' : state.weight === id ? 'loaded' : 'slack';

const WORDS: Readonly<Record<LaneState, string>> = {
  off: 'off',
  slack: 'on, slack',
  loaded: 'carries you',
  fails: 'on, would not hold',
};

/**
 * Steps along, one lane per attachment: a line when it is off, a hollow bar when it hangs slack, a full one when it
 * carries, a crossed one when it would not hold; a bar for locked, a dashed edge for not locked, a tick for tested.
 * Below, how many Stops count after each step; a broken step is barred through.
 */
export function LanesView({ procedure, moments, names, broken, chosen, onChoose }: LanesViewProps) {
  const inWords = useWords();
  const { lanes } = PROCEDURES[procedure];
  const width = STEP * names.length + 8;
  const height = TOP + ROW * lanes.length + 40;
  const x = scaleBand<number>()
    .domain(names.map((_, i) => i))
    .range([0, STEP * names.length]);
  // On a phone the first broken step may lie outside.
  const view = useRef<HTMLDivElement>(null);
  const first = broken.size > 0 ? Math.min(...broken) : null;
  useEffect(() => {
    if (first !== null) view.current?.scrollTo({ left: Math.max(0, STEP * (first - 3)) });
  }, [first]);
  return (
    <figure>
      <div
        ref={view}
        className="flex overflow-x-auto rounded-xl border border-line bg-surface p-2"
        tabIndex={0}
        role="region"
        aria-label="Attachments along the steps"
      >
        <div aria-hidden className="sticky left-0 z-10 w-24 shrink-0 bg-surface pr-2 text-sm leading-tight sm:w-36">
          {lanes.map((lane, row) => (
            <span
              key={lane.id}
              className="absolute flex items-center font-semibold"
              style={{ top: TOP + ROW * row, height: ROW }}
            >
              {inWords(lane.label)}
            </span>
          ))}
          <span className="absolute flex items-center" style={{ top: TOP + ROW * lanes.length, height: 36 }}>
            Holds that count
          </span>
        </div>
        <svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} className="block shrink-0" role="group">
          {names.map((name, at) => {
            const moment = moments[at + 1]!;
            const left = x(at)!;
            const bad = broken.has(at);
            return (
              <g
                key={at}
                role="img"
                aria-label={`Step ${at + 1}, ${name} ${lanes
                  .map(
                    (lane) =>
                      `${lane.label}: ${WORDS[laneState(moment.state, lane, moment.holding.includes(lane.id))]}`,
                  )
                  .join('; ')}. ${moment.counting.length} count.${bad ? ' Broken here.' : ''}`}
                data-lane-step={at}
                className="cursor-pointer"
                onClick={() => onChoose(at)}
              >
                <rect
                  x={left}
                  y={0}
                  width={STEP}
                  height={height}
                  className={chosen === at ? 'fill-sunk' : 'fill-transparent hover:fill-sunk'}
                />
                <text x={left + STEP / 2} y={16} textAnchor="middle" className="num fill-ink-2 text-[12px]">
                  {at + 1}
                </text>
                {lanes.map((lane, row) => (
                  <LaneMark
                    key={lane.id}
                    x={left}
                    y={TOP + ROW * row + ROW / 2}
                    state={laneState(moment.state, lane, moment.holding.includes(lane.id))}
                    locked={lane.locks ? moment.state[`${lane.id}.locked`] === 'yes' : null}
                    tested={moment.state[`${lane.id}.tested`] === 'yes'}
                  />
                ))}
                {bad && (
                  <g className="text-stop">
                    <line
                      x1={left + STEP / 2}
                      x2={left + STEP / 2}
                      y1={TOP - 4}
                      y2={TOP + ROW * lanes.length + 4}
                      stroke="currentColor"
                      strokeWidth="3"
                      strokeDasharray="5 3"
                    />
                    <rect
                      x={left + 3}
                      y={TOP + ROW * lanes.length + 6}
                      width={STEP - 6}
                      height={24}
                      rx="3"
                      fill="currentColor"
                    />
                  </g>
                )}
                <text
                  x={left + STEP / 2}
                  y={TOP + ROW * lanes.length + 23}
                  textAnchor="middle"
                  className={`num text-[14px] font-bold ${bad ? 'fill-surface' : 'fill-ink'}`}
                >
                  {moment.state.where === 'up' ? moment.counting.length : '·'}
                </text>
              </g>
            );
          })}
        </svg>
      </div>
      <figcaption className="mt-2 flex flex-wrap items-center gap-x-5 gap-y-1 text-sm text-ink-2">
        {(['off', 'slack', 'loaded', 'fails'] as const).map((state) => (
          <span key={state} className="inline-flex items-center gap-1.5">
            <svg width="38" height="26" aria-hidden className="text-ink">
              <LaneMark x={0} y={13} state={state} locked={null} tested={false} />
            </svg>
            {WORDS[state]}
          </span>
        ))}
        <span className="inline-flex items-center gap-1.5">
          <svg width="38" height="26" aria-hidden className="text-ink">
            <LaneMark x={0} y={13} state="slack" locked tested />
          </svg>
          locked (bar) and tested (tick)
        </span>
        <span className="inline-flex items-center gap-1.5">
          <svg width="38" height="26" aria-hidden className="text-ink">
            <LaneMark x={0} y={13} state="slack" locked={false} tested={false} />
          </svg>
          not locked
        </span>
        <span>· on the ground</span>
      </figcaption>
    </figure>
  );
}

interface LaneMarkProps {
  readonly x: number;
  readonly y: number;
  readonly state: LaneState;
  /** null: nothing to lock. */
  readonly locked: boolean | null;
  readonly tested: boolean;
}

function LaneMark({ x, y, state, locked, tested }: LaneMarkProps) {
  if (state === 'off') {
    return (
      <line x1={x} x2={x + STEP} y1={y} y2={y} className="stroke-line-2" strokeWidth="1.5" strokeDasharray="2 5" />
    );
  }
  const full = state === 'loaded';
  const tone = state === 'fails' ? 'text-stop' : 'text-act';
  return (
    <g className={tone}>
      <rect
        x={x + 1}
        y={y - 10}
        width={STEP - 2}
        height={20}
        fill={full ? 'currentColor' : 'var(--surface)'}
        stroke="currentColor"
        strokeWidth="2"
        strokeDasharray={locked === false ? '4 3' : undefined}
      />
      {state === 'fails' && (
        <path
          d={`M${x + 4} ${y - 7}L${x + STEP - 4} ${y + 7}M${x + 4} ${y + 7}L${x + STEP - 4} ${y - 7}`}
          stroke="currentColor"
          strokeWidth="2.5"
        />
      )}
      <g stroke={full ? 'var(--surface)' : 'currentColor'} strokeWidth="2.5" fill="none">
        {locked && <line x1={x + 9} x2={x + 9} y1={y - 6} y2={y + 6} />}
        {tested && <path d={`M${x + 17} ${y}l4 5l8 -10`} />}
      </g>
    </g>
  );
}
