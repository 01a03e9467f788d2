import { useMemo, useState } from 'react';
import { assess } from '@core/answers/assess';
import { combined, type Combination } from '@core/answers/planning';
import { renderFinding } from '@core/foundations/finding';
import { deviceOf, ropeSlots, type Setup } from '@core/rigs/rig';
import { usePreferences } from '../../../app/preferences';
import { useWorkspace } from '../../../store/hooks';
import { SeverityMark } from '../../../ui/SeverityMark';
import { combinationKey } from './combination-key';
import { CombinationRow } from './CombinationRow';

interface RejectedProps {
  readonly open: Setup;
  readonly rejected: readonly Combination[];
  /** How many there are, of which `rejected` are the first. */
  readonly stopped: number;
  readonly onTake: (combination: Combination) => void;
}

/** What has a *stop*, by device, each with its reason; it can still be looked at and taken. */
export function Rejected({ open: setup, rejected, stopped, onTake }: RejectedProps) {
  const [open, setOpen] = useState(false);
  return (
    <details className="mt-5" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="min-h-11 cursor-pointer py-2.5 font-semibold">Left out because of a Stop ({stopped})</summary>
      {open && <ByDevice open={setup} rejected={rejected} onTake={onTake} />}
      {open && stopped > rejected.length && (
        <p className="mt-2 text-ink-2">The first {rejected.length} are listed; the map of fits shows all pairs.</p>
      )}
    </details>
  );
}

function ByDevice({ open, rejected, onTake }: Omit<RejectedProps, 'stopped'>) {
  const { items, wayTests } = useWorkspace();
  const reader = usePreferences();
  const [chosen, setChosen] = useState<string | null>(null);
  const rows = useMemo(
    () =>
      rejected.map((combination) => {
        const setup = combined(open, combination.picks, items, wayTests);
        return {
          combination,
          key: combinationKey(combination),
          device: setup.attachments.flatMap((a) => deviceOf(a)?.item?.name ?? [])[0] ?? 'No device',
          ropes: setup.lines.flatMap((l) => ropeSlots(l).flatMap((r) => r.item?.name ?? [])).join(' and '),
          worst: assess(setup).findings[0],
        };
      }),
    [rejected, open, items, wayTests],
  );
  return [...new Set(rows.map((r) => r.device))].map((device) => (
    <section key={device} className="mt-2">
      <h3 className="font-semibold">{device}</h3>
      <ul className="divide-y divide-line border-y border-line">
        {rows
          .filter((r) => r.device === device)
          .map(({ key, ropes, worst, combination }) => (
            <li key={key}>
              <button
                type="button"
                aria-expanded={chosen === key}
                className="flex min-h-11 w-full items-start gap-2.5 py-2 text-left hover:bg-sunk"
                onClick={() => setChosen(chosen === key ? null : key)}
              >
                <SeverityMark severity={worst?.severity ?? 'untested'} size={16} />
                <span>
                  {ropes}: <span className="text-ink-2">{worst ? renderFinding(worst, reader).says : ''}</span>
                </span>
              </button>
              {chosen === key && (
                <ul className="pl-7">
                  <CombinationRow open={open} combination={combination} onTake={() => onTake(combination)} />
                </ul>
              )}
            </li>
          ))}
      </ul>
    </section>
  ));
}
