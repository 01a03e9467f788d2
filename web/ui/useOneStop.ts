import { useEffect, useRef, type FocusEvent, type KeyboardEvent } from 'react';

const MOVES: Readonly<Record<string, readonly [down: number, right: number]>> = {
  ArrowDown: [1, 0],
  ArrowUp: [-1, 0],
  ArrowRight: [0, 1],
  ArrowLeft: [0, -1],
};

/** Button of the next cell in a direction that has one. */
function neighbour(from: HTMLButtonElement, [down, right]: readonly [number, number]): HTMLButtonElement | null {
  const cell = from.closest('td');
  const row = cell?.closest('tr');
  const body = row?.closest('tbody');
  if (!cell || !row || !body) return null;
  let [x, y] = [cell.cellIndex + right, row.sectionRowIndex + down];
  for (; body.rows[y]?.cells[x]; x += right, y += down) {
    const button = body.rows[y]!.cells[x]!.querySelector('button');
    if (button) return button;
  }
  return null;
}

/**
 * One stop for the Tab key in the body of a table of buttons; arrow keys, Home and End go from cell to cell. Written to
 * the elements and not to the state: a table of 900 cells must not be drawn anew for each key.
 */
export function useOneStop() {
  const body = useRef<HTMLTableSectionElement>(null);
  const active = useRef<HTMLButtonElement | null>(null);
  useEffect(() => {
    const buttons = [...(body.current?.querySelectorAll('button') ?? [])];
    if (!active.current || !buttons.includes(active.current)) active.current = buttons[0] ?? null;
    for (const button of buttons) button.tabIndex = button === active.current ? 0 : -1;
  });
  const focusOn = (button: HTMLButtonElement | null | undefined) => button?.focus();
  return {
    ref: body,
    onFocus: ({ target }: FocusEvent) => {
      if (!(target instanceof HTMLButtonElement)) return;
      if (active.current) active.current.tabIndex = -1;
      active.current = target;
      target.tabIndex = 0;
    },
    onKeyDown: (event: KeyboardEvent) => {
      const { target, key } = event;
      if (!(target instanceof HTMLButtonElement)) return;
      const move = MOVES[key];
      const row = target.closest('tr')?.querySelectorAll('button');
      const next = move
        ? neighbour(target, move)
        : key === 'Home'
          ? row?.[0]
          : key === 'End'
            ? row?.[row.length - 1]
            : undefined;
      if (next === undefined) return;
      event.preventDefault();
      focusOn(next);
    },
  };
}
