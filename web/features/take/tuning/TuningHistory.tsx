import { Trash2 } from 'lucide-react';
import { CartesianGrid, ResponsiveContainer, Scatter, ScatterChart, XAxis, YAxis } from 'recharts';
import { trialFaults, trialVerdict, TRIAL_FAULTS, type TrialVerdict } from '@core/things/tuning';
import { TUNING_EVENTS, type Device, type TuningEntry, type TuningTrial } from '@core/things/gear';
import { useWords } from '../../../app/preferences';
import { useWorkspace } from '../../../store/hooks';
import { printDay } from '../../../ui/dates';

const WORDS: Readonly<Record<TrialVerdict, string>> = {
  good: 'good',
  slips: 'gripped too little',
  drags: 'gripped too much',
  neither: 'slipped and dragged',
  open: 'not all of it was tried',
};
const INK = { fill: 'var(--ink-2)', fontSize: 12 } as const;

/** How a trial went, by shape as well as by colour: down where it slips, up where it drags, a ring where it is good. */
function mark(props: unknown) {
  const { cx = 0, cy = 0, payload } = props as { cx?: number; cy?: number; payload?: { verdict: TrialVerdict } };
  const verdict = payload?.verdict;
  if (verdict === 'good') return <circle cx={cx} cy={cy} r="7" fill="none" stroke="var(--clear)" strokeWidth="3" />;
  if (verdict === 'slips') return <path d={`M${cx - 7} ${cy - 5}h14l-7 12z`} fill="var(--mind)" />;
  if (verdict === 'drags') return <path d={`M${cx - 7} ${cy + 5}h14l-7 -12z`} fill="var(--stop)" />;
  return <path d={`M${cx - 6} ${cy - 6}l12 12M${cx + 6} ${cy - 6}l-12 12`} stroke="var(--untested)" strokeWidth="3" />;
}

/**
 * Every trial of a bollard, rope by rope, with what happened in between: drawn over the trials in their order, and
 * listed.
 */
export function TuningHistory({ device, onRemove }: { device: Device; onRemove: (id: string) => void }) {
  const words = useWords();
  const { items } = useWorkspace();
  const nameOf = (id: string | null) =>
    id === null ? 'every rope' : (items.find((i) => i.id === id)?.name ?? 'a rope that is gone');
  const entries = [...device.tunings].sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0));
  const trials = entries.filter((t): t is TuningTrial => t.kind === 'trial');
  const ropes = [...new Set(trials.map((t) => t.ropeId))];
  const most = device.bollardSettings ?? Math.max(2, ...trials.map((t) => t.setting));
  return (
    <section aria-labelledby="tune-history" className="mt-8">
      <h2 id="tune-history">History</h2>
      {ropes.map((rope) => {
        const own = trials.filter((t) => t.ropeId === rope);
        return (
          <figure key={rope} className="mt-3 rounded-xl border border-line bg-surface p-3">
            <figcaption className="font-bold">{nameOf(rope)}</figcaption>
            <p className="text-sm text-ink-2">Ring: good. Triangle down: gripped too little. Triangle up: too much.</p>
            <div className="h-44" aria-hidden>
              <ResponsiveContainer minWidth={50} minHeight={50}>
                <ScatterChart accessibilityLayer={false} margin={{ top: 8, right: 12, bottom: 2, left: -20 }}>
                  <CartesianGrid stroke="var(--line)" />
                  <XAxis
                    dataKey="trial"
                    type="number"
                    tick={INK}
                    allowDecimals={false}
                    domain={[0, own.length + 1]}
                    tickCount={Math.min(8, own.length + 2)}
                  />
                  <YAxis
                    dataKey="setting"
                    type="number"
                    tick={INK}
                    allowDecimals={false}
                    domain={[0, most + 1]}
                    tickCount={Math.min(10, most + 2)}
                  />
                  <Scatter
                    data={own.map((t, i) => ({ trial: i + 1, setting: t.setting, verdict: trialVerdict(t) }))}
                    shape={mark}
                    line={{ stroke: 'var(--line-2)' }}
                    isAnimationActive={false}
                  />
                </ScatterChart>
              </ResponsiveContainer>
            </div>
          </figure>
        );
      })}
      <ul className="mt-3 divide-y divide-line border-y border-line" aria-label="Trials and events">
        {[...entries].reverse().map((entry) => (
          <li key={entry.id} className="flex flex-wrap items-center gap-x-3 py-1">
            <span className="min-w-0 flex-1">
              {words(sayEntry(entry))}
              <span className="text-ink-2">
                , {nameOf(entry.ropeId)}, {printDay(entry.at)}
              </span>
            </span>
            <button
              type="button"
              className="btn"
              aria-label={`Take out: ${sayEntry(entry)}, ${printDay(entry.at)}`}
              onClick={() => onRemove(entry.id)}
            >
              <Trash2 aria-hidden className="size-5" />
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

function sayEntry(entry: TuningEntry): string {
  if (entry.kind === 'event') return TUNING_EVENTS[entry.what];
  const faults = trialFaults(entry).map((f) => TRIAL_FAULTS[f].toLowerCase());
  return `Setting ${entry.setting} ${WORDS[trialVerdict(entry)]}${faults.length > 0 ? `: ${faults.join(', ')}` : ''}`;
}
