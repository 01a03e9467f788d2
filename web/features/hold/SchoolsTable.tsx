import { useMemo, useState } from 'react';
import type { Finding } from '@core/finding';
import { FAULTS, SCHOOL_ROWS, schools, standingIn, type FaultId } from '@core/hold';
import type { Setup } from '@core/rig';
import { HoldMark } from './HoldMark';

/** Ways of backing up this rappel side by side: what each survives comes from the engine, the reasons from common practice. */
export function SchoolsTable({ setup, findings }: { setup: Setup; findings: readonly Finding[] }) {
  const all = useMemo(() => schools(setup, findings), [setup, findings]);
  const [open, setOpen] = useState('hitch-below');
  const school = all.find((s) => s.id === open) ?? all[0]!;
  const alone = school.cuts.filter((c) => c.length === 1).map(([id]) => FAULTS[id as FaultId].says);
  return (
    <section className="mt-10" aria-labelledby="schools">
      <h2 id="schools">Other ways to back it up</h2>
      <p className="max-w-prose text-ink-2">
        Careful people disagree. What each way survives is computed for this set-up, with the backup rigged as it should
        be; the hitch below the device is judged as it stands.
      </p>
      <div className="mt-3 overflow-x-auto" tabIndex={0} role="region" aria-label="Schools side by side">
        <table className="min-w-3xl border-collapse text-sm">
          <thead>
            <tr className="border-b-2 border-ink align-bottom">
              <th scope="col" className="sticky left-0 w-56 min-w-40 bg-paper py-2 pr-2 text-left">
                When …
              </th>
              {all.map((s) => (
                <th key={s.id} scope="col" className="w-28 p-0 align-bottom">
                  <button
                    type="button"
                    aria-pressed={s.id === school.id}
                    className={`min-h-16 w-full px-1.5 py-2 leading-tight hover:bg-sunk ${s.id === school.id ? 'bg-sunk shadow-[inset_0_-4px_0_var(--act)]' : ''}`}
                    onClick={() => setOpen(s.id)}
                  >
                    {s.label}
                  </button>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {SCHOOL_ROWS.map((row) => (
              <tr key={row.id} className="border-b border-line">
                <th scope="row" className="sticky left-0 bg-paper py-1.5 pr-2 text-left font-normal">
                  {row.says}
                </th>
                {all.map((s) => {
                  const holds = standingIn(s, row.faults).length > 0;
                  return (
                    <td
                      key={s.id}
                      data-school={`${s.id}/${row.id}`}
                      data-holds={holds}
                      className={`py-1.5 text-center ${s.id === school.id ? 'bg-sunk' : ''}`}
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
      <dl className="mt-4 grid max-w-4xl gap-x-8 gap-y-3 sm:grid-cols-2" aria-label={school.label}>
        {(
          [
            [`${school.label} needs`, school.needs],
            ['Defeated by', school.defeats],
            ['For it', school.reasons],
            ['Against it', school.against],
            ['Nothing else holds when', alone],
          ] as const
        ).map(([head, list]) => (
          <div key={head} className="border-t border-line pt-2">
            <dt className="font-semibold">{head}</dt>
            {list.map((text) => (
              <dd key={text}>{text}</dd>
            ))}
          </div>
        ))}
      </dl>
    </section>
  );
}
