import { memo, type ReactNode } from 'react';
import { useGrowing } from './useGrowing';
import { useOneStop } from './useOneStop';

const NAME_REM = 11.5;
const CELL_REM = 3.75;

interface Named {
  readonly id: string;
  readonly name: string;
}

type RowProps<R extends Named, C extends Named> = Omit<MapTableProps<R, C>, 'label' | 'corner' | 'rows'> & {
  readonly row: R;
};

/** One row. While others grow in below, those that stand are not drawn again. */
const Row = memo(function Row<R extends Named, C extends Named>({
  row,
  columns,
  about,
  chosen,
  onChoose,
  cell,
  cellLabel,
}: RowProps<R, C>) {
  return (
    <tr>
      <th scope="row" className="sticky left-0 z-10 border-r border-b border-line bg-paper p-2 text-left">
        <span className="block">{row.name}</span>
        {about && <span className="num font-normal text-ink-2">{about(row)}</span>}
      </th>
      {columns.map((c) => {
        const content = cell(row, c);
        const pressed = chosen(row, c);
        return (
          <td key={c.id} className="border-b border-line p-0">
            {content !== null && (
              <button
                type="button"
                tabIndex={-1}
                aria-pressed={pressed}
                aria-label={cellLabel?.(row, c)}
                className={`flex min-h-12 w-full flex-col items-center justify-center gap-0.5 py-1.5 hover:bg-sunk ${pressed ? 'bg-sunk shadow-[inset_0_0_0_3px_var(--ink)]' : ''}`}
                onClick={() => onChoose(row, c)}
              >
                {content}
              </button>
            )}
          </td>
        );
      })}
    </tr>
  );
}) as <R extends Named, C extends Named>(props: RowProps<R, C>) => ReactNode;

interface MapTableProps<R extends Named, C extends Named> {
  readonly label: string;
  readonly corner: string;
  readonly rows: readonly R[];
  readonly columns: readonly C[];
  /** Under the name of a row. */
  readonly about?: ((row: R) => ReactNode) | undefined;
  readonly chosen: (row: R, column: C) => boolean;
  readonly onChoose: (row: R, column: C) => void;
  /** What a cell shows; null leaves it empty. */
  readonly cell: (row: R, column: C) => ReactNode;
  /** Name of a cell, where what it shows does not say it. */
  readonly cellLabel?: ((row: R, column: C) => string) | undefined;
}

/**
 * A large table of pairs to look over: names stay in sight, each cell is a button, one of them in the order of Tab and
 * the others by arrow keys; rows grow in a few at a time.
 */
export function MapTable<R extends Named, C extends Named>({
  label,
  corner,
  rows,
  columns,
  about,
  chosen,
  onChoose,
  cell,
  cellLabel,
}: MapTableProps<R, C>) {
  const drawn = useGrowing(rows.length);
  const cells = useOneStop();
  return (
    <div
      className="max-h-[70dvh] w-fit max-w-full overflow-auto [scrollbar-gutter:stable] rounded-lg border border-line [contain:paint]"
      role="region"
      aria-label={label}
    >
      {/* Fixed widths: a new row must not make the browser measure all the others again. */}
      <table
        className="table-fixed border-separate border-spacing-0 text-sm"
        style={{ width: `${NAME_REM + CELL_REM * columns.length}rem` }}
      >
        <colgroup>
          <col style={{ width: `${NAME_REM}rem` }} />
        </colgroup>
        <thead>
          <tr>
            <th className="sticky top-0 left-0 z-20 border-r border-b border-line bg-paper p-2 text-left">{corner}</th>
            {columns.map((c) => (
              <th
                key={c.id}
                scope="col"
                className="sticky top-0 z-10 h-36 border-b border-line bg-paper p-1 align-bottom"
              >
                <span className="inline-block max-h-32 rotate-180 overflow-hidden text-left leading-tight [writing-mode:vertical-rl]">
                  {c.name}
                </span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody {...cells}>
          {rows.slice(0, drawn).map((row) => (
            <Row key={row.id} {...{ row, columns, about, chosen, onChoose, cell, cellLabel }} />
          ))}
        </tbody>
      </table>
    </div>
  );
}
