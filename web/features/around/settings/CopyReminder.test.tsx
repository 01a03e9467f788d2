// @vitest-environment jsdom
import { cleanup, screen } from '@testing-library/react';
import { subDays } from 'date-fns';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { rappelDouble } from '@core/samples';
import { showPage } from '../../../app/place.test-help';
import { CopyReminder } from './CopyReminder';

beforeEach(() => localStorage.clear());
afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});
const show = (vendor: string, days: number) => {
  vi.spyOn(navigator, 'vendor', 'get').mockReturnValue(vendor);
  const createdAt = subDays(new Date(), days).toISOString();
  showPage({ path: '', at: '', data: { setups: [{ ...rappelDouble, createdAt }] }, element: <CopyReminder /> });
};
const APPLE = 'Apple Computer, Inc.';

it('a browser that clears after a week is told of, and a copy asked for before it does', async () => {
  show(APPLE, 3);
  expect(await screen.findByText(/have not opened Zevrin for 7 days: keep a copy/)).toBeTruthy();
});
it('not on the first days, and not where the browser does no such thing', () => {
  show(APPLE, 2);
  show('', 6);
  expect(screen.queryByText(/browser alone/)).toBeNull();
});
