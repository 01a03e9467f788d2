// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { showPage } from '../app/place.test-help';
import { lazyPart } from './part';

const saved = vi.hoisted(() => vi.fn<(name: string, text: string) => void>());
vi.mock('./download', () => ({ downloadText: saved }));

beforeEach(() => {
  // React reports what a boundary caught; here that is what is tried.
  vi.spyOn(console, 'error').mockImplementation(() => undefined);
});
afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
  saved.mockClear();
});

const Hello = ({ name }: { name: string }) => <p>Hello {name}</p>;
const Picky = ({ name }: { name: string }) => {
  if (name.includes('{')) throw new Error(`cannot say ${name}`);
  return <p>Hello {name}</p>;
};
const around = (inside: React.ReactNode) => showPage({ path: '', at: '', element: <main>Around it {inside}</main> });

it('that does not arrive says so, leaves what is around it, and comes with "try again"', async () => {
  const load = vi.fn().mockRejectedValueOnce(new TypeError('Failed to fetch')).mockResolvedValue(Hello);
  const Part = lazyPart<{ name: string }>('The greeting', load);
  around(<Part name="Ilse" />);
  const alert = await screen.findByRole('alert');
  expect(alert.textContent).toContain('The greeting could not be loaded.');
  expect(alert.textContent).toContain('no network');
  expect(screen.getByRole('main').textContent).toContain('Around it');
  fireEvent.click(screen.getByRole('button', { name: 'Try again' }));
  expect(await screen.findByText('Hello Ilse')).toBeTruthy();
  expect(load).toHaveBeenCalledTimes(2);
});

it('that throws is called a fault of Zevrin and not a result, and does not blame the network', async () => {
  const Part = lazyPart('The greeting', () => Promise.resolve(Picky));
  around(<Part name="Usnea {old}" />);
  const alert = await screen.findByRole('alert');
  expect(alert.textContent).toContain('The greeting cannot be shown.');
  expect(alert.textContent).toContain('a fault of Zevrin');
  expect(alert.textContent).toContain('cannot say Usnea {old}');
  expect(alert.textContent).not.toContain('network');
});

it('that threw comes back by itself when what it is about has changed', async () => {
  const Part = lazyPart('The greeting', () => Promise.resolve(Picky));
  const { rerender } = render(<Part name="{" />);
  await screen.findByRole('alert');
  rerender(<Part name="Ilse" />);
  expect(await screen.findByText('Hello Ilse')).toBeTruthy();
  expect(screen.queryByRole('alert')).toBeNull();
});

it('saves what is on the screen to a file, saved to the disk or not', async () => {
  const Part = lazyPart('The greeting', () => Promise.resolve(Picky));
  around(<Part name="{" />);
  fireEvent.click(await screen.findByRole('button', { name: 'Save my data to a file' }));
  await waitFor(() => expect(saved).toHaveBeenCalledOnce());
  const [name, text] = saved.mock.calls[0]!;
  expect(name).toBe('zevrin-mine.zevrin.json');
  expect(JSON.parse(text)).toMatchObject({ format: 'zevrin', kind: 'workspace', workspace: { items: [] } });
});
