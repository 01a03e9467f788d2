import { render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { MemoryRouter, Route, Routes } from 'react-router';
import { vi } from 'vitest';
import { emptyWorkspace, type Workspace } from '@core/records/files';
import { quietDatabase, type ForStore } from '../storage/database.test-help';
import { createStore } from '../store/store';
import { loaded } from '../store/workspace-slice';
import { Place } from './place';
import { PreferencesProvider } from './preferences';

interface Shown {
  /** Where the page stands, as `setups/:setupId`. */
  readonly path: string;
  /** What the address says there, as `setups/s1`. */
  readonly at: string;
  readonly element: ReactNode;
  readonly data?: Partial<Workspace>;
  readonly database?: ForStore;
  readonly unreadable?: readonly unknown[];
  /** Other places that the page may lead to. */
  readonly more?: ReactNode;
}

/** Renders one page of the workspace "mine" with its store, as it stands in the app. */
export function showPage({ path, at, element, data = {}, database, unreadable = [], more }: Shown) {
  vi.stubGlobal('matchMedia', () => ({ matches: false, addEventListener: vi.fn(), removeEventListener: vi.fn() }));
  const { store, sync } = createStore({ database: database ?? quietDatabase(), tell: () => undefined });
  store.dispatch(loaded({ ...emptyWorkspace(), ...data }, unreadable));
  const result = render(
    <Provider store={store}>
      <PreferencesProvider>
        <Place value={{ name: 'mine', store, sync, onNotes: () => () => undefined }}>
          <MemoryRouter initialEntries={[`/mine/${at}`]}>
            <Routes>
              <Route path={`:workspace/${path}`} element={element} />
              {more}
            </Routes>
          </MemoryRouter>
        </Place>
      </PreferencesProvider>
    </Provider>,
  );
  return { ...result, store, sync, data: () => store.getState().workspace.data };
}
