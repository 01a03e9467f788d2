// @vitest-environment jsdom
import { act, cleanup, renderHook, waitFor } from '@testing-library/react';
import { afterEach, expect, it } from 'vitest';
import { useIdle } from './useIdle';

afterEach(cleanup);

it('is nothing at first, then what was made, and nothing of another input', async () => {
  function* double(n: number) {
    yield;
    return n * 2;
  }
  const { result, rerender } = renderHook(({ n }) => useIdle(double, n), { initialProps: { n: 2 } });
  expect(result.current).toBeNull();
  await waitFor(() => expect(result.current).toBe(4));
  act(() => rerender({ n: 5 }));
  expect(result.current).toBeNull();
  await waitFor(() => expect(result.current).toBe(10));
});

it('is made in turns of some steps each, one after the other; what is gone is not made', async () => {
  const steps: { readonly of: number; readonly turn: number }[] = [];
  let turn = 0;
  const tick = setInterval(() => (turn += 1), 0);
  function* slow(n: number) {
    for (let step = 0; step < 3; step += 1) {
      steps.push({ of: n, turn });
      // Longer than a turn lasts.
      const until = performance.now() + 12;
      while (performance.now() < until);
      yield;
    }
    return n;
  }
  const hooks = [1, 2, 3].map((n) => renderHook(() => useIdle(slow, n)));
  hooks[1]!.unmount();
  await waitFor(() => expect(hooks[2]!.result.current).toBe(3));
  clearInterval(tick);
  expect(hooks[0]!.result.current).toBe(1);
  expect(steps.map((s) => s.of)).toEqual([1, 1, 1, 3, 3, 3]);
  expect(new Set(steps.map((s) => s.turn)).size).toBeGreaterThan(3);
});
