// @vitest-environment jsdom
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { Provider } from 'react-redux';
import { MemoryRouter } from 'react-router';
import { afterEach, describe, expect, it } from 'vitest';
import { emptyWorkspace } from '@core/records/files';
import { rappelDouble } from '@core/samples';
import { quietDatabase } from '../storage/database.test-help';
import type { Note } from '../storage/resolve';
import { createStore } from '../store/store';
import { loaded, saveStateChanged, undone } from '../store/workspace-slice';
import { Place } from './place';
import { SaveIndicator } from './SaveIndicator';
import { TwoTabs } from './TwoTabs';

afterEach(cleanup);

function show() {
  let tell: (notes: readonly Note[], here: boolean) => void = () => undefined;
  const { store, sync } = createStore({ database: quietDatabase(), tell: () => undefined });
  store.dispatch(loaded({ ...emptyWorkspace(), setups: [rappelDouble] }));
  const onNotes = (listen: typeof tell) => {
    tell = listen;
    return () => undefined;
  };
  render(
    <Provider store={store}>
      <Place value={{ name: 'mine', store, sync, onNotes }}>
        <MemoryRouter>
          <TwoTabs />
          <SaveIndicator />
        </MemoryRouter>
      </Place>
    </Provider>,
  );
  return {
    store,
    tell: (note: Partial<Note>, here: boolean) =>
      act(() =>
        tell(
          [
            {
              collection: 'setups',
              id: rappelDouble.id,
              name: 'Low span',
              kind: 'both',
              places: ['name'],
              theirs: { ...rappelDouble, name: 'Theirs' },
              ...note,
            },
          ],
          here,
        ),
      ),
    names: () => store.getState().workspace.data.setups.map((s) => s.name),
  };
}

describe('when two tabs have met', () => {
  it('says nothing before they have', () => {
    show();
    expect(screen.queryByTestId('two-tabs')).toBeNull();
  });

  it('says what stands, and takes the other on demand, as a step that can be undone', () => {
    const { tell, names, store } = show();
    tell({}, true);
    expect(screen.getByRole('alert').textContent).toContain('“Low span” was changed in another tab at the same time.');
    fireEvent.click(screen.getByRole('button', { name: 'Take what was entered there' }));
    expect(names()).toEqual(['Theirs']);
    expect(screen.queryByTestId('two-tabs')).toBeNull();
    act(() => void store.dispatch(undone()));
    expect(names()).toEqual([rappelDouble.name]);
  });

  it('in the tab whose entry does not stand, it can be put back', () => {
    const { tell, names } = show();
    tell({ theirs: { ...rappelDouble, name: 'Mine' } }, false);
    expect(screen.getByRole('alert').textContent).toContain('What was entered there, later, stands.');
    fireEvent.click(screen.getByRole('button', { name: 'Put mine back' }));
    expect(names()).toEqual(['Mine']);
  });

  it.each([
    ['came-back', true, 'had been taken out in another tab. It was changed here, so it is kept.'],
    ['came-back', false, 'is kept: it was changed in another tab while it was taken out here.'],
    ['stayed', true, 'was not taken out: it was changed in another tab meanwhile.'],
    ['stayed', false, 'is kept: another tab took it out while it was changed here.'],
  ] as const)('%s, here: %s', (kind, here, text) => {
    const { tell, names } = show();
    tell({ kind, places: [], theirs: kind === 'stayed' ? rappelDouble : null }, here);
    expect(screen.getByRole('alert').textContent).toContain(text);
    fireEvent.click(screen.getByRole('button', { name: 'Take it out' }));
    expect(names()).toEqual([]);
  });

  it('can be closed without doing anything', () => {
    const { tell, names } = show();
    tell({}, true);
    fireEvent.click(screen.getByRole('button', { name: 'Close this message' }));
    expect(screen.queryByTestId('two-tabs')).toBeNull();
    expect(names()).toEqual([rappelDouble.name]);
  });
});

describe('the word about saving', () => {
  it('offers to try again where that can help, and a copy and a reload where it cannot', () => {
    const { store } = show();
    expect(screen.getByRole('status').textContent).toBe('Saved');
    act(() => void store.dispatch(saveStateChanged({ kind: 'failed', message: 'the disk is full', gone: false })));
    expect(screen.getByRole('alert').textContent).toContain('the disk is full');
    expect(screen.getByRole('button', { name: 'Try again' })).toBeTruthy();
    act(() => void store.dispatch(saveStateChanged({ kind: 'failed', message: 'deleted', gone: true })));
    expect(screen.queryByRole('button', { name: 'Try again' })).toBeNull();
    expect(screen.getByRole('link', { name: 'Take a copy' }).getAttribute('href')).toBe('/mine/files');
    expect(screen.getByRole('button', { name: 'Load the page again' })).toBeTruthy();
  });
});
