import { useState } from 'react';
import type { PlanCombination } from '@core/choose';
import { renderFinding } from '@core/finding';
import type { Question } from '@core/rig';
import { usePreferences } from '../../app/preferences';
import { useWorkspace } from '../../store/hooks';
import { SeverityMark } from '../../ui/SeverityMark';
import { nameOf } from './names';
import { PlanRow } from './PlanRow';

interface RejectedProps {
  readonly rejected: readonly PlanCombination[];
  /** How many there are, of which `rejected` are the first. */
  readonly stopped: number;
  readonly question: Question;
}

/** What has a *stop*, by device, each with its reason; it can still be looked at and taken. */
export function Rejected({ rejected, stopped, question }: RejectedProps) {
  const { items } = useWorkspace();
  const { system } = usePreferences();
  const [open, setOpen] = useState(false);
  const [chosen, setChosen] = useState<string | null>(null);
  const devices = [...new Set(rejected.map((c) => c.deviceId))];
  return (
    <details className="mt-5" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="min-h-11 cursor-pointer py-2.5 font-semibold">Left out because of a Stop ({stopped})</summary>
      {open &&
        devices.map((id) => (
          <section key={id} className="mt-2">
            <h3 className="font-semibold">{nameOf(items, id)}</h3>
            <ul className="divide-y divide-line border-y border-line">
              {rejected
                .filter((c) => c.deviceId === id)
                .map((c) => {
                  const key = `${c.ropeAId}/${c.ropeBId}/${c.deviceId}`;
                  return (
                    <li key={key}>
                      <button
                        type="button"
                        aria-expanded={chosen === key}
                        className="flex min-h-11 w-full items-start gap-2.5 py-2 text-left hover:bg-sunk"
                        onClick={() => setChosen(chosen === key ? null : key)}
                      >
                        <SeverityMark severity={c.worst?.severity ?? 'untested'} size={16} />
                        <span>
                          {nameOf(items, c.ropeAId)}
                          {c.ropeBId ? ` and ${nameOf(items, c.ropeBId)}` : ''}:{' '}
                          <span className="text-ink-2">
                            {c.worst ? renderFinding(c.worst, system).says : 'No connector in the locker.'}
                          </span>
                        </span>
                      </button>
                      {chosen === key && (
                        <ul className="pl-7">
                          <PlanRow combination={c} question={question} />
                        </ul>
                      )}
                    </li>
                  );
                })}
            </ul>
          </section>
        ))}
      {open && stopped > rejected.length && (
        <p className="mt-2 text-ink-2">The first {rejected.length} are listed; the map of fits shows all pairs.</p>
      )}
    </details>
  );
}
