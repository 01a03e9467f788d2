import { useMemo, useState } from 'react';
import type { Finding } from '@core/foundations/finding';
import { EVENTS, standingAfter, waysToBackUp, type BackingUp } from '@core/answers/redundancy';
import type { Setup } from '@core/rigs/rig';
import { changeSetup } from '../../../store/edits';
import { useAppDispatch } from '../../../store/hooks';
import { edited } from '../../../store/workspace-slice';
import { useToast } from '../../../ui/Toasts';
import { HoldMark } from './HoldMark';

/**
 * Ways of backing up this rig side by side: what each survives comes from the engine, the reasons from common practice.
 */
export function BackupTable({ setup, findings }: { setup: Setup; findings: readonly Finding[] }) {
  const ways = useMemo(() => waysToBackUp(setup, findings), [setup, findings]);
  const dispatch = useAppDispatch();
  const say = useToast();
  const [open, setOpen] = useState('own');
  const way = ways.find((w) => w.id === open) ?? ways[0];
  if (!way) return null;
  const backed = ways.some((w) => w.own && w.id === 'own');
  const takeOver = ({ setup: next, label }: BackingUp) => {
    dispatch(edited(changeSetup(setup, next, new Date().toISOString(), null)));
    setOpen('own');
    say(`${label}: taken over into the set-up. Choose its gear there; Undo takes it back.`);
  };
  return (
    <section className="mt-10" aria-labelledby="ways-to-back-up">
      <h2 id="ways-to-back-up">Other ways to back it up</h2>
      <p className="max-w-prose text-ink-2">
        Careful people disagree. What each way survives is computed for this set-up, with the backup rigged as it should
        be; what the set-up has already is judged as it stands.
      </p>
      <div className="mt-3 overflow-x-auto" tabIndex={0} role="region" aria-label="Ways of backing up side by side">
        <table className="min-w-3xl border-collapse text-sm">
          <thead>
            <tr className="border-b-2 border-ink align-bottom">
              <th scope="col" className="sticky left-0 w-56 min-w-40 bg-paper py-2 pr-2 text-left">
                When …
              </th>
              {ways.map((w) => (
                <th key={w.id} scope="col" className="w-28 p-0 align-bottom">
                  <button
                    type="button"
                    aria-pressed={w.id === way.id}
                    className={`min-h-16 w-full px-1.5 py-2 leading-tight hover:bg-sunk ${w.id === way.id ? 'bg-sunk shadow-[inset_0_-4px_0_var(--act)]' : ''}`}
                    onClick={() => setOpen(w.id)}
                  >
                    {w.label}
                  </button>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {EVENTS.map((event) => (
              <tr key={event.id} className="border-b border-line">
                <th scope="row" className="sticky left-0 bg-paper py-1.5 pr-2 text-left font-normal">
                  {event.says}
                </th>
                {ways.map((w) => {
                  const holds = standingAfter(w, event).length > 0;
                  return (
                    <td
                      key={w.id}
                      data-way={`${w.id}/${event.id}`}
                      data-holds={holds}
                      className={`py-1.5 text-center ${w.id === way.id ? 'bg-sunk' : ''}`}
                    >
                      <HoldMark stands={holds} label={holds ? 'held' : 'nothing holds'} />
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <OneWay way={way} />
      {way.variation && (
        <button type="button" className="btn btn-act mt-4" onClick={() => takeOver(way)}>
          {backed ? 'Put it in place of the backup' : 'Take it over into the set-up'}
        </button>
      )}
    </section>
  );
}

/** What one way needs, what defeats it, and what then stands alone. */
function OneWay({ way }: { way: BackingUp }) {
  const says = new Map(way.model.faults.map((f) => [f.id, f.says]));
  const alone = way.cuts.filter((c) => c.length === 1).map(([id]) => says.get(id!)!);
  const { needs = [], defeats = [], reasons = [], against = [] } = way.variation ?? {};
  return (
    <dl className="mt-4 grid max-w-4xl gap-x-8 gap-y-3 sm:grid-cols-2" aria-label={way.label}>
      {(
        [
          [`${way.label} needs`, needs],
          ['Defeated by', defeats],
          ['For it', reasons],
          ['Against it', against],
          ['Nothing else holds when', alone],
        ] as const
      )
        .filter(([, list]) => list.length > 0)
        .map(([head, list]) => (
          <div key={head} className="border-t border-line pt-2">
            <dt className="font-semibold">{head}</dt>
            {list.map((text) => (
              <dd key={text}>{text}</dd>
            ))}
          </div>
        ))}
    </dl>
  );
}
