// @vitest-environment jsdom
import { act, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { useHanging } from './useHanging';

const KEY = 'mine/hangs/s1';
const AT = Date.UTC(2026, 11, 1, 12);
beforeEach(() => {
  localStorage.clear();
  vi.useFakeTimers({ now: AT, toFake: ['setInterval', 'clearInterval', 'Date', 'performance'] });
});
afterEach(() => vi.useRealTimers());
const open = () => renderHook(() => useHanging(KEY));
const pass = (seconds: number) => {
  act(() => void vi.advanceTimersByTime(seconds * 1000));
};
/** Somebody, or the network, sets the clock of the system. */
const setClock = (byS: number) => vi.setSystemTime(Date.now() + byS * 1000);

it('counts from when it is said, and goes on through a reload', () => {
  const page = open();
  expect(page.result.current.hangingS).toBeNull();
  act(() => page.result.current.begin(2));
  pass(10);
  expect(page.result.current.hangingS).toBeCloseTo(130, 0);
  page.unmount();
  pass(20);
  expect(open().result.current.hangingS).toBeCloseTo(150, 0);
});

it.each([-3600, -5, 3600])(
  'never falls back when the clock of the system jumps by %s s, in the page or over a reload',
  (byS) => {
    const page = open();
    act(() => page.result.current.begin(0));
    pass(60);
    setClock(byS);
    pass(10);
    expect(page.result.current.hangingS).toBeCloseTo(70 + Math.max(0, byS), 0);
    page.unmount();
    setClock(byS);
    const again = open();
    expect(again.result.current.hangingS).toBeGreaterThanOrEqual(70);
    pass(10);
    expect(again.result.current.hangingS).toBeGreaterThanOrEqual(80);
  },
);

it('"they move" is said in one tab and heard in the other, which does not bring it back', () => {
  const [here, there] = [open(), open()];
  act(() => here.result.current.begin(0));
  pass(5);
  expect(there.result.current.hangingS).toBeCloseTo(5, 0);
  act(() => here.result.current.end());
  act(() => void window.dispatchEvent(new StorageEvent('storage', { key: null })));
  expect(there.result.current.hangingS).toBeNull();
  pass(5);
  expect([here, there].map((tab) => tab.result.current.hangingS)).toEqual([null, null]);
});
