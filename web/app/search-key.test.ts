// @vitest-environment jsdom
import { afterEach, expect, it, vi } from 'vitest';
import { hearSearchKey, onSearchKey } from './search-key';

const press = (key: string, more: KeyboardEventInit = { ctrlKey: true }) => {
  const event = new KeyboardEvent('keydown', { key, cancelable: true, ...more });
  document.dispatchEvent(event);
  return event.defaultPrevented;
};
let stop = () => undefined as void;
afterEach(() => stop());

it('tells of the key of the search and of no other, on either kind of keyboard', () => {
  stop = hearSearchKey();
  const told = vi.fn();
  const quiet = onSearchKey(told);
  expect(press('k', {})).toBe(false);
  expect(press('j')).toBe(false);
  expect(press('k', { ctrlKey: true, shiftKey: true })).toBe(false);
  expect(told).not.toHaveBeenCalled();
  expect(press('k')).toBe(true);
  expect(press('K', { metaKey: true })).toBe(true);
  expect(told).toHaveBeenCalledTimes(2);
  quiet();
});

it('keeps the key for what arrives later, once, and not over the end of the page that hears it', () => {
  stop = hearSearchKey();
  expect(press('k')).toBe(true);
  const told = vi.fn();
  const quiet = onSearchKey(told);
  expect(told).toHaveBeenCalledTimes(1);
  quiet();
  const again = onSearchKey(told);
  expect(told).toHaveBeenCalledTimes(1);
  again();
  press('k');
  stop();
  expect(press('k')).toBe(false);
  stop = hearSearchKey();
  onSearchKey(told)();
  expect(told).toHaveBeenCalledTimes(1);
});
