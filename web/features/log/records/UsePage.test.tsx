// @vitest-environment jsdom
import { cleanup, fireEvent, screen } from '@testing-library/react';
import { afterEach, expect, it } from 'vitest';
import { Route } from 'react-router';
import { usageSchema } from '@core/records/log';
import { rappelDouble } from '@core/samples';
import { showPage } from '../../../app/place.test-help';
import { UsePage } from './UsePage';

afterEach(() => {
  cleanup();
  localStorage.clear();
});

const show = (query = '') =>
  showPage({
    path: 'log/use/:useId',
    at: `log/use/new${query}`,
    element: <UsePage />,
    data: { setups: [rappelDouble] },
    more: <Route path=":workspace/log" element={<p>The log</p>} />,
  });

it('an entry is written with an id of its own each time, and what it says is what the store takes', async () => {
  const page = show();
  fireEvent.change(screen.getByLabelText('Note'), { target: { value: 'dry' } });
  fireEvent.click(screen.getByRole('button', { name: 'Write it down' }));
  await screen.findByText('The log');
  const [use] = page.data().uses;
  expect(usageSchema.safeParse(use).success).toBe(true);
  expect(use).toMatchObject({ note: 'dry', descents: 1, outcome: 'as-planned' });
  cleanup();
  const again = show();
  fireEvent.click(screen.getByRole('button', { name: 'Write it down' }));
  await screen.findByText('The log');
  expect(again.data().uses[0]!.id).not.toBe(use!.id);
});

it('begins with the set-up that one comes from, and with who is in it', () => {
  show(`?setup=${rappelDouble.id}`);
  expect(screen.getByLabelText<HTMLSelectElement>('Set-up').value).toBe(rappelDouble.id);
  const name = rappelDouble.persons[0]!.item!.name;
  expect(screen.getByLabelText<HTMLInputElement>(name).checked).toBe(true);
});

it('a number that cannot be is refused at its field', async () => {
  const page = show();
  fireEvent.change(screen.getByLabelText('How many times, up or down'), { target: { value: '0' } });
  fireEvent.click(screen.getByRole('button', { name: 'Write it down' }));
  expect(await screen.findByText(/Read “0”. Allowed/)).toBeTruthy();
  expect(page.data().uses).toEqual([]);
});
