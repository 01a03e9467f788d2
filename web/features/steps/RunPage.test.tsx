// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { Provider } from 'react-redux';
import { MemoryRouter, Route, Routes } from 'react-router';
import { afterEach, expect, it, vi } from 'vitest';
import { emptyWorkspace } from '@core/files';
import { newSequence } from '@core/sequence';
import { createStore } from '../../store/store';
import { loaded } from '../../store/workspace-slice';
import { RunPage } from './RunPage';

const again = vi.fn();
const explored = vi.hoisted((): { state: unknown } => ({ state: null }));
vi.mock('../../workers/useExplored', () => ({ useExplored: () => ({ state: explored.state, stop: vi.fn(), again }) }));
vi.mock('../../app/WorkspaceProvider', () => ({
  usePlace: () => ({ name: 'mine', saver: { retry: vi.fn() }, unreadable: 0 }),
}));

afterEach(cleanup);

function run(state: unknown) {
  explored.state = state;
  const { store } = createStore({ write: () => Promise.resolve(), tell: () => undefined });
  const sequence = newSequence('clean-anchor', 's1', '2026-01-01T00:00:00.000Z');
  store.dispatch(loaded({ ...emptyWorkspace(), sequences: [sequence] }));
  render(
    <Provider store={store}>
      <MemoryRouter initialEntries={['/mine/steps/s1/run']}>
        <Routes>
          <Route path=":workspace/steps/:sequenceId/run" element={<RunPage />} />
        </Routes>
      </MemoryRouter>
    </Provider>,
  );
  return { at: () => store.getState().workspace.data.sequences[0]!.at };
}
const done = () => screen.getByRole<HTMLButtonElement>('button', { name: /^(Done|Look first)/ });

it('waits while what to look at is being worked out', () => {
  run({ kind: 'running', done: 0 });
  expect(done().disabled).toBe(true);
});

it('when it cannot be worked out it says so, asks for a look at everything, and then goes on', () => {
  const { at } = run({ kind: 'failed', message: 'the worker did not start' });
  expect(screen.getByRole('alert').textContent).toContain('the worker did not start');
  fireEvent.click(screen.getByRole('button', { name: 'Compute again' }));
  expect(again).toHaveBeenCalledOnce();
  expect(done().disabled).toBe(true);
  fireEvent.click(screen.getByRole('button', { name: /^Everything rigged so far/ }));
  expect(done().disabled).toBe(false);
  fireEvent.click(done());
  expect(at()).toBe(1);
});
