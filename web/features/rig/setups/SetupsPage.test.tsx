// @vitest-environment jsdom
import { cleanup, fireEvent, screen } from '@testing-library/react';
import { Route, useParams } from 'react-router';
import { afterEach, expect, it } from 'vitest';
import { emptyWorkspace, type Workspace } from '@core/records/files';
import { TEMPLATES } from '@core/rigs/rig';
import { demoWorkspace } from '@core/samples';
import { showPage } from '../../../app/place.test-help';
import { SetupsPage } from './SetupsPage';

afterEach(cleanup);

const Landed = () => <p>at {useParams().setupId}</p>;
function show(data: Workspace) {
  const page = showPage({
    path: 'setups',
    at: 'setups',
    element: <SetupsPage />,
    data,
    more: <Route path=":workspace/setups/:setupId" element={<Landed />} />,
  });
  return () => page.data().setups;
}
// Loaded when it is opened.
const labels = async () =>
  (await screen.findByRole('region', { name: 'What are you going to do?' })).querySelectorAll('li button');

it('an empty workspace leads to the first thing that is missing; the question is one click away', async () => {
  show(emptyWorkspace());
  expect(screen.getByRole('link', { name: 'Add a rope' })).toBeTruthy();
  expect(screen.queryByText('What are you going to do?')).toBeNull();
  fireEvent.click(screen.getByRole('button', { name: 'New set-up' }));
  expect(await labels()).toHaveLength(Object.keys(TEMPLATES).length);
});

it('with gear and somebody to use it, the question stands open', async () => {
  show({ ...demoWorkspace(), setups: [], checks: [] });
  expect(await labels()).toHaveLength(Object.keys(TEMPLATES).length);
  expect(screen.queryByRole('button', { name: 'New set-up' })).toBeNull();
});

it('every answer is there once, and makes its set-up in one click, each time under a name of its own', async () => {
  const texts = new Set<string | null>();
  for (const template of Object.values(TEMPLATES)) {
    const setups = show({ ...demoWorkspace(), setups: [], checks: [] });
    for (const button of await labels()) texts.add(button.textContent);
    fireEvent.click(screen.getByRole('button', { name: template.label }));
    const [made] = setups();
    expect(made).toMatchObject({ template: template.id, job: template.job, name: template.label });
    expect(screen.getByText(`at ${made!.id}`)).toBeTruthy();
    cleanup();
  }
  expect([...texts].sort()).toEqual(
    Object.values(TEMPLATES)
      .map((t) => t.label)
      .sort(),
  );
  const demo = demoWorkspace();
  const setups = show({ ...demo, setups: [{ ...demo.setups[0]!, name: 'Belay a leader' }] });
  fireEvent.click(screen.getByRole('button', { name: 'New set-up' }));
  await labels();
  fireEvent.click(screen.getByRole('button', { name: 'Belay a leader' }));
  expect(setups().map((s) => s.name)).toEqual(['Belay a leader', 'Belay a leader 2']);
});

it('each set-up is told by its job, its height and its people', () => {
  show(demoWorkspace());
  const row = screen.getByRole('link', { name: /Arch ledge, two follow/ });
  expect(row.textContent).toContain('Belay two seconds from above');
  expect(row.textContent).toMatch(/20\smm?/);
  expect(row.textContent).toContain('Ilse Marrowby and Wren Fallowby and Tomas Reedling');
});
