// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import { deviceSchema } from '@core/things/gear';
import { club } from '@core/samples';
import { PreferencesProvider } from '../../../app/preferences';
import { useSchemaForm } from '../../../ui/useSchemaForm';
import { DeclarationsField } from './DeclarationsField';
import { rangesOf, type DeclarationDraft } from './ranges';

// jsdom asks nobody about light and dark.
vi.stubGlobal('matchMedia', () => ({ matches: false, addEventListener: vi.fn(), removeEventListener: vi.fn() }));

afterEach(() => {
  cleanup();
  localStorage.clear();
  sessionStorage.clear();
});

const two = club.groovedTube.declarations.slice(0, 1).flatMap((d) => [d, { ...d, minDiameterMm: 9 }]);

function Form({ onValid }: { onValid: (value: unknown) => void }) {
  const form = useSchemaForm({
    schema: deviceSchema,
    draftKey: 'test/device',
    now: { ...club.groovedTube, declarations: two },
    onValid,
  });
  return (
    <form onSubmit={(event) => void form.submit(event)}>
      <DeclarationsField
        control={form.control}
        value={form.values.declarations as DeclarationDraft[]}
        family="tube-grooved"
        onChange={form.change}
        errorAt={(path) => form.errorAt(`declarations.${path}`)}
      />
      <button type="submit">Save</button>
    </form>
  );
}
const show = () => {
  const saved: unknown[] = [];
  render(
    <PreferencesProvider>
      <Form onValid={(value) => saved.push(value)} />
    </PreferencesProvider>,
  );
  return saved;
};
const from = () => screen.getAllByLabelText<HTMLInputElement>('From');

it('text that cannot be read stays in its row when another row is removed', () => {
  show();
  fireEvent.change(from()[0]!, { target: { value: 'nine or so' } });
  expect(screen.getByText(/Read “nine or so”/)).toBeTruthy();
  // The row with the unreadable text goes: the other one must not inherit it.
  fireEvent.click(screen.getAllByRole('button', { name: 'Remove this range' })[0]!);
  expect(from()).toHaveLength(1);
  expect(from()[0]!.value).toBe('9.0');
  expect(screen.queryByText(/nine or so/)).toBeNull();
});

it('the row below keeps what is typed in it when the one above goes', () => {
  show();
  fireEvent.change(from()[1]!, { target: { value: '?' } });
  fireEvent.click(screen.getAllByRole('button', { name: 'Remove this range' })[0]!);
  expect(from().map((input) => input.value)).toEqual(['?']);
});

it('a row that is added is blank, and one that is changed is saved as it stands', async () => {
  const saved = show();
  fireEvent.click(screen.getByRole('button', { name: 'Add a range' }));
  expect(from()).toHaveLength(3);
  expect(from()[2]!.value).toBe('');
  fireEvent.click(screen.getAllByRole('button', { name: 'Remove this range' })[2]!);
  fireEvent.change(from()[1]!, { target: { value: '8.9' } });
  fireEvent.click(screen.getByRole('button', { name: 'Save' }));
  await expect.poll(() => saved).toHaveLength(1);
  const { declarations } = saved[0] as { declarations: { minDiameterMm: number }[] };
  expect(declarations.map((d) => d.minDiameterMm)).toEqual([two[0]!.minDiameterMm, 8.9]);
});

it('a range is entered once and ticked for several jobs; each job is stored as a row of its own', async () => {
  const saved = show();
  const [card] = screen.getAllByRole('group', { name: 'For these jobs' });
  const ticks = () => within(card!).getAllByRole<HTMLInputElement>('checkbox');
  const before = ticks().filter((t) => t.checked);
  expect(before).toHaveLength(1);
  // The only job of a range cannot be unticked: the range goes as a whole.
  expect(before[0]!.disabled).toBe(true);
  fireEvent.click(within(card!).getByLabelText('Lower a person'));
  expect(ticks().filter((t) => t.checked)).toHaveLength(2);
  fireEvent.change(from()[0]!, { target: { value: '9.1' } });
  fireEvent.click(screen.getByRole('button', { name: 'Save' }));
  await expect.poll(() => saved).toHaveLength(1);
  const { declarations } = saved[0] as { declarations: { job: string; strands: string; minDiameterMm: number }[] };
  expect(declarations.map((d) => [d.job, d.strands, d.minDiameterMm])).toEqual([
    [two[0]!.job, two[0]!.strands, 9.1],
    [two[1]!.job, two[1]!.strands, 9],
    ['lower', 'one', 9.1],
  ]);
});

it('two ranges that come to say the same while one types stay two, and are one when the form opens again', () => {
  show();
  fireEvent.change(from()[1]!, { target: { value: String(two[0]!.minDiameterMm) } });
  expect(from()).toHaveLength(2);
  expect(rangesOf([two[0]!, { ...two[0]!, job: 'lower', strands: 'one' }, { ...two[0]!, minDiameterMm: 9 }])).toEqual([
    0, 0, 1,
  ]);
  expect(
    rangesOf([
      { ...two[0]!, constructions: ['half', 'single'] },
      { ...two[0]!, constructions: ['single', 'half'] },
    ]),
  ).toEqual([0, 0]);
});
