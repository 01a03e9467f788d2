// @vitest-environment jsdom
import { act, cleanup, fireEvent, screen } from '@testing-library/react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { newSequence } from '@core/answers/procedures';
import { showPage } from '../../../app/place.test-help';
import { SETTLE_MS } from '../../../ui/useSettled';
import { RunPage } from './RunPage';

const again = vi.fn();
const explored = vi.hoisted((): { state: unknown } => ({ state: null }));
vi.mock('../../../workers/useExplored', () => ({
  useExplored: () => ({ state: explored.state, stop: vi.fn(), again }),
}));

beforeEach(() => void vi.useFakeTimers());
afterEach(() => {
  cleanup();
  vi.useRealTimers();
});

function run(state: unknown) {
  explored.state = state;
  const sequence = newSequence('clean-anchor', 's1', '2026-01-01T00:00:00.000Z');
  const page = showPage({
    path: 'steps/:sequenceId/run',
    at: 'steps/s1/run',
    element: <RunPage />,
    data: { sequences: [sequence] },
  });
  return { at: () => page.data().sequences[0]!.at };
}
const done = () => screen.getByRole<HTMLButtonElement>('button', { name: /^(Done|Look first)/ });

it('waits while what to look at is being worked out', () => {
  run({ kind: 'running', done: 0 });
  expect(done().disabled).toBe(true);
});

it('when it cannot be worked out it says so, asks for a look at everything, and then goes on', async () => {
  const { at } = run({ kind: 'failed', message: 'the worker did not start' });
  expect(screen.getByRole('alert').textContent).toContain('the worker did not start');
  fireEvent.click(screen.getByRole('button', { name: 'Compute again' }));
  expect(again).toHaveBeenCalledOnce();
  expect(done().disabled).toBe(true);
  await act(() => vi.advanceTimersByTimeAsync(SETTLE_MS));
  fireEvent.click(screen.getByRole('button', { name: /^Everything rigged so far/ }));
  expect(done().disabled).toBe(false);
  fireEvent.click(done());
  expect(at()).toBe(1);
});

it('a second tap right after the first passes one step, not two', async () => {
  const { at } = run({ kind: 'done', result: { pauses: [] } });
  await act(() => vi.advanceTimersByTimeAsync(SETTLE_MS));
  fireEvent.click(done());
  fireEvent.click(done());
  await act(() => vi.advanceTimersByTimeAsync(150));
  fireEvent.click(done());
  expect(at()).toBe(1);
  await act(() => vi.advanceTimersByTimeAsync(SETTLE_MS));
  fireEvent.click(done());
  expect(at()).toBe(2);
});
