import { Fragment, type ReactNode } from 'react';
import { standing, type HoldModel, type SinglePoint } from '@core/answers/redundancy';
import { HoldMark } from './HoldMark';
import { useWords } from '../../../app/preferences';

/** One thing that lets go, or one event that brings several. */
export interface HoldRow {
  readonly id: string;
  readonly says: string;
  readonly faults: readonly string[];
  readonly causes: readonly string[];
  readonly because: string;
}

interface HoldTableProps {
  readonly rows: readonly HoldRow[];
  readonly model: HoldModel;
  readonly singles: readonly SinglePoint[];
  readonly chosen: string | null;
  /** What follows, shown under the chosen row. */
  readonly detail: ReactNode;
  readonly onChoose: (id: string) => void;
}

/** Rows: what can let go. Columns: the ways of being held. Nothing left is said in words as well. */
export function HoldTable({ rows, model, singles, chosen, detail, onChoose }: HoldTableProps) {
  const inWords = useWords();
  const accepted = new Set(singles.filter((s) => s.accepted).map((s) => s.fault.id));
  return (
    <table className="w-full border-collapse" aria-label="What can let go, and what then holds">
      <thead>
        <tr className="border-b-2 border-ink align-bottom text-left text-sm">
          <th scope="col" className="py-2 pr-2">
            When …
          </th>
          {model.holds.map((s) => (
            <th key={s.id} scope="col" className="w-24 px-1 py-2 text-center leading-tight wrap-anywhere">
              {inWords(s.label)}
              {s.hand && <span className="block font-normal text-ink-2">needs a hand</span>}
            </th>
          ))}
          <th scope="col" className="hidden w-28 py-2 pl-1 sm:table-cell">
            Then
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => {
          const left = new Set(standing(model, row.faults).map((s) => s.id));
          const nothing = left.size === 0;
          const alone = accepted.has(row.id);
          return (
            <Fragment key={row.id}>
              <tr data-row={row.id} className={`border-b border-line ${chosen === row.id ? 'bg-sunk' : ''}`}>
                <th scope="row" className="p-0 text-left font-normal">
                  <button
                    type="button"
                    aria-pressed={chosen === row.id}
                    className="min-h-12 w-full py-1.5 pr-2 pl-1 text-left hover:bg-sunk"
                    onClick={() => onChoose(row.id)}
                  >
                    {row.says}
                    {nothing && (
                      <span className={`block text-sm sm:hidden ${alone ? 'text-ink-2' : 'font-bold text-stop'}`}>
                        {alone ? 'alone, accepted' : 'nothing holds'}
                      </span>
                    )}
                  </button>
                </th>
                {model.holds.map((s) => (
                  <td key={s.id} className="px-1 text-center">
                    <HoldMark stands={left.has(s.id)} label={left.has(s.id) ? 'holds' : 'gone'} />
                  </td>
                ))}
                <td className="hidden py-1.5 pl-1 leading-tight sm:table-cell">
                  {nothing ? (
                    alone ? (
                      <span>alone, accepted</span>
                    ) : (
                      <strong className="text-stop">nothing holds</strong>
                    )
                  ) : (
                    <span className="text-ink-2">
                      {left.size} of {model.holds.length}
                    </span>
                  )}
                </td>
              </tr>
              {chosen === row.id && (
                <tr className="border-b border-line bg-sunk">
                  <td colSpan={model.holds.length + 2}>{detail}</td>
                </tr>
              )}
            </Fragment>
          );
        })}
      </tbody>
    </table>
  );
}
