// @vitest-environment jsdom
import { cleanup, fireEvent, render, waitFor } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import { MapTable } from './MapTable';

afterEach(cleanup);
const named = (prefix: string, n: number) =>
  Array.from({ length: n }, (_, i) => ({ id: `${prefix}${i}`, name: `${prefix}${i}` }));

async function map(rows = named('r', 6), columns = named('c', 5), hole = '') {
  const onChoose = vi.fn();
  const { rerender } = render(table(rows));
  function table(shown: typeof rows) {
    return (
      <MapTable
        label="Map"
        corner="Row"
        rows={shown}
        columns={columns}
        chosen={() => false}
        onChoose={onChoose}
        cell={(r, c) => (`${r.id}/${c.id}` === hole ? null : `${r.id}/${c.id}`)}
      />
    );
  }
  const all = () => [...document.querySelectorAll('button')];
  // Rows grow in by the frame.
  const drawn = (count: number) => waitFor(() => expect(all()).toHaveLength(count), { timeout: 20_000 });
  await drawn(rows.length * columns.length - (hole ? 1 : 0));
  const stops = () => all().filter((b) => b.tabIndex === 0);
  const at = (id: string) => all().find((b) => b.textContent === id)!;
  const key = (name: string) => fireEvent.keyDown(document.activeElement!, { key: name });
  return { onChoose, drawn, stops, at, key, show: (shown: typeof rows) => rerender(table(shown)) };
}

it('is one stop for the Tab key, however large', async () => {
  const { stops, at } = await map(named('r', 15), named('c', 15));
  expect(stops()).toEqual([at('r0/c0')]);
});

it('arrow keys, Home and End go from cell to cell, and the stop goes with them', async () => {
  const { stops, at, key, onChoose } = await map();
  at('r0/c0').focus();
  for (const [name, lands] of [
    ['ArrowRight', 'r0/c1'],
    ['ArrowDown', 'r1/c1'],
    ['End', 'r1/c4'],
    ['ArrowRight', 'r1/c4'],
    ['Home', 'r1/c0'],
    ['ArrowUp', 'r0/c0'],
    ['ArrowUp', 'r0/c0'],
  ] as const) {
    key(name);
    expect(document.activeElement, name).toBe(at(lands));
    expect(stops()).toEqual([at(lands)]);
  }
  expect(onChoose).not.toHaveBeenCalled();
  fireEvent.click(at('r0/c0'));
  expect(onChoose).toHaveBeenCalledOnce();
});

it('goes over a cell that is empty', async () => {
  const { at, key } = await map(undefined, undefined, 'r0/c1');
  at('r0/c0').focus();
  key('ArrowRight');
  expect(document.activeElement).toBe(at('r0/c2'));
});

it('keeps one stop when the row it was in is filtered away', async () => {
  const { at, stops, show, drawn } = await map();
  at('r3/c2').focus();
  show(named('r', 6).slice(0, 2));
  await drawn(10);
  expect(stops()).toEqual([at('r0/c0')]);
});
