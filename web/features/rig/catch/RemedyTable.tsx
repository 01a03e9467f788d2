import { REMEDIES, type CatchRuns, type RemedyId } from '@core/rigs/catch';
import { printInterval, scale, type Quantity } from '@core/foundations/units';
import { usePreferences } from '../../../app/preferences';
import type { RemedyAnswer } from '../../../workers/catch-worker';

interface RemedyTableProps {
  readonly asIs: CatchRuns;
  readonly remedies: readonly RemedyAnswer[];
  readonly onTake: (id: RemedyId) => void;
}

/** Changes that can be taken over as they stand; what needs other gear or a rucksack is done, not clicked. */
const TAKEN: ReadonlySet<RemedyId> = new Set([
  'early-piece',
  'second-piece',
  'at-the-wall',
  'step-up',
  'less-slack',
  'anchored',
]);
const FIGURES = [
  ['liftM', 'Lifted', 'lengthM', 1],
  ['climberN', 'On the climber', 'strengthKn', 0.001],
  ['clearanceM', 'Left below the feet', 'lengthM', 1],
] as const satisfies readonly (readonly [keyof CatchRuns['spread'], string, Quantity, number])[];

const percent = (share: number) => (share === 0 ? '0' : share < 0.01 ? '< 1' : String(Math.round(share * 100)));

/** The fall as it is beside the same fall with one thing changed. */
export function RemedyTable({ asIs, remedies, onTake }: RemedyTableProps) {
  const { system } = usePreferences();
  const cells = (runs: CatchRuns) => (
    <>
      {(['reachesPiece', 'reachesGround'] as const).map((id) => (
        <td key={id} className="num px-2 py-2 text-right">
          {runs.share[id] < asIs.share[id] && percent(runs.share[id]) !== percent(asIs.share[id]) ? (
            <strong>{percent(runs.share[id])}</strong>
          ) : (
            percent(runs.share[id])
          )}
        </td>
      ))}
      {FIGURES.map(([id, , quantity, toUnit]) => (
        <td key={id} className="num px-2 py-2 text-right whitespace-nowrap">
          {printInterval(scale(runs.spread[id], toUnit), quantity, system)}
        </td>
      ))}
    </>
  );
  return (
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Changes side by side">
      <table className="w-full min-w-2xl border-collapse text-sm">
        <thead>
          <tr className="border-b-2 border-ink text-left align-bottom">
            <th scope="col" className="py-2 pr-2">
              Of 100 falls …
            </th>
            <th scope="col" className="w-24 px-2 py-2 text-right leading-tight">
              device at the first piece
            </th>
            <th scope="col" className="w-24 px-2 py-2 text-right leading-tight">
              climber on the ground
            </th>
            {FIGURES.map(([id, label]) => (
              <th key={id} scope="col" className="px-2 py-2 text-right leading-tight">
                {label}
              </th>
            ))}
            <th scope="col">
              <span className="sr-only">Take it over</span>
            </th>
          </tr>
        </thead>
        <tbody className="divide-y divide-line">
          <tr className="font-semibold" data-remedy="none">
            <th scope="row" className="py-2 pr-2 text-left">
              As it is
            </th>
            {cells(asIs)}
            <td />
          </tr>
          {remedies.map(({ id, runs }) => (
            <tr key={id} data-remedy={id}>
              <th scope="row" className="py-2 pr-2 text-left font-normal">
                {REMEDIES[id].label}
              </th>
              {cells(runs)}
              <td className="py-1 pl-2 text-right">
                {TAKEN.has(id) && (
                  <button
                    type="button"
                    className="btn whitespace-nowrap"
                    aria-label={`Do it so: ${REMEDIES[id].label}`}
                    onClick={() => onTake(id)}
                  >
                    Do it so
                  </button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
