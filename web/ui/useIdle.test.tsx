// @vitest-environment jsdom
import { act, cleanup, renderHook, waitFor } from '@testing-library/react';
import { afterEach, expect, it } from 'vitest';
import { useIdle } from './useIdle';

afterEach(cleanup);

it('is nothing at first, then what was made, and nothing of another input', async () => {
  const double = (n: number) => n * 2;
  const { result, rerender } = renderHook(({ n }) => useIdle(double, n), { initialProps: { n: 2 } });
  expect(result.current).toBeNull();
  await waitFor(() => expect(result.current).toBe(4));
  act(() => rerender({ n: 5 }));
  expect(result.current).toBeNull();
  await waitFor(() => expect(result.current).toBe(10));
});

it('many are made one after the other, each in a turn of its own; what is gone is not made', async () => {
  const turns: number[] = [];
  let turn = 0;
  const tick = setInterval(() => (turn += 1), 0);
  const note = (n: number) => (turns.push(turn), n);
  const hooks = [1, 2, 3].map((n) => renderHook(() => useIdle(note, n)));
  hooks[1]!.unmount();
  await waitFor(() => expect(hooks[2]!.result.current).toBe(3));
  clearInterval(tick);
  expect(hooks[0]!.result.current).toBe(1);
  expect(turns).toHaveLength(2);
});
