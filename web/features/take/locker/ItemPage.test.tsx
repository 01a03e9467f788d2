// @vitest-environment jsdom
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { Route } from 'react-router';
import { club } from '@core/samples';
import { put, remove } from '../../../storage/changes';
import { changedElsewhere } from '../../../store/workspace-slice';
import { showPage } from '../../../app/place.test-help';
import { ItemPage } from './ItemPage';
import { schemaOf, type LockerKind } from './kinds';

afterEach(() => {
  cleanup();
  localStorage.clear();
});

const rope = club.longRope;
const show = (at: string) =>
  showPage({
    path: 'locker/:kind/:id',
    at: `locker/${at}`,
    element: <ItemPage />,
    data: { items: [rope], people: [club.ilse] },
    more: <Route path=":workspace/locker" element={<p>The locker</p>} />,
  });
const fill = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });
const save = async () => {
  fireEvent.click(screen.getByRole('button', { name: 'Save' }));
  await screen.findByText('The locker');
};

describe('the form of an item', () => {
  it('something new gets its id when it is saved, so that two forms never write one over the other', async () => {
    const first = show('rope/new');
    fill('Name', 'New rope');
    fill('Diameter on the label', '9.8');
    fill('Length on the label', '60');
    expect(localStorage.getItem('zevrin-draft/mine/rope/new')).not.toContain('"id"');
    await save();
    const saved = first.data().items.find((i) => i.name === 'New rope')!;
    expect(saved.id).toMatch(/^[\w-]{10,}$/);
    cleanup();
    const second = show('rope/new');
    fill('Name', 'Another rope');
    fill('Diameter on the label', '9.8');
    fill('Length on the label', '60');
    await save();
    expect(second.data().items.find((i) => i.name === 'Another rope')!.id).not.toBe(saved.id);
  });

  it('a torn draft, or one of another version, costs the draft and never the form', () => {
    const odd = [5, 'x', true, null, [], {}, [{}], [5], [null], [['x']], { x: 1 }, 'unknown', '1e9'];
    const opened: string[] = [];
    for (const at of [
      'rope/new',
      'device/new',
      'connector/new',
      'cord/new',
      'sling/new',
      'harness/new',
      'person/new',
    ]) {
      const keys = Object.keys(schemaOf(at.slice(0, at.indexOf('/')) as LockerKind).shape);
      for (const [i, value] of odd.entries()) {
        // All fields at once, and a draft that is cut off.
        const changed = Object.fromEntries(keys.filter((k) => k !== 'id').map((k) => [k, value]));
        const text = JSON.stringify({ changed, base: {} });
        localStorage.setItem(`zevrin-draft/mine/${at}`, i === 0 ? text.slice(0, -3) : text);
        show(at);
        expect(screen.getByLabelText('Name'), `${at} ${JSON.stringify(value)}`).toBeTruthy();
        opened.push(at);
        cleanup();
        localStorage.clear();
      }
    }
    expect(opened).toHaveLength(7 * odd.length);
  });

  it('a person too', async () => {
    const { data } = show('person/new');
    fill('Name', 'Somebody');
    fill('Mass with gear', '70');
    await save();
    expect(data().people.map((p) => p.name)).toContain('Somebody');
  });

  it('what was taken out elsewhere stays in the form, and saving puts it back', async () => {
    const { store, data } = show(`rope/${rope.id}`);
    fill('Name', 'Typed meanwhile');
    store.dispatch(changedElsewhere([remove('items', rope)]));
    expect(await screen.findByText(/taken out in another tab/)).toBeTruthy();
    await save();
    expect(data().items).toEqual([{ ...rope, name: 'Typed meanwhile' }]);
  });

  it('names a field that was changed elsewhere meanwhile by its label', async () => {
    const { store, data } = show(`rope/${rope.id}`);
    fill('Name', 'Typed here');
    store.dispatch(changedElsewhere([put('items', rope, { ...rope, name: 'Typed there', note: 'new' })]));
    const alert = await screen.findByRole('alert');
    expect(alert.textContent).toContain('Name, there: “Typed there”');
    expect(alert.textContent).not.toContain('Note');
    fireEvent.click(screen.getByRole('button', { name: 'Take what was entered there' }));
    await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
    await save();
    expect(data().items).toEqual([{ ...rope, name: 'Typed there', note: 'new' }]);
  });

  it('what is typical is asked for by its three measures first, beside its name, and counts them down', async () => {
    show('sling/new');
    expect(screen.queryByText('Measure these first')).toBeNull();
    const typical = screen.getByLabelText<HTMLSelectElement>(/^Start from something typical/);
    fireEvent.change(typical, { target: { value: '0' } });
    const first = screen.getByRole('region', { name: 'Measure these first' });
    expect(within(first).getByText(/^[23] of 3 to go/)).toBeTruthy();
    expect(within(first).getByLabelText('Declared strength')).toBeTruthy();
    const before = Number(/^\d/.exec(within(first).getByText(/to go/).textContent)![0]);
    fireEvent.change(within(first).getByLabelText('Declared strength'), { target: { value: '22' } });
    await within(first).findByText(new RegExp(`^${before - 1} of 3 to go`));
    // It stays where it was while one types, and stands nowhere twice.
    expect(within(first).getByLabelText<HTMLInputElement>('Declared strength').value).toBe('22');
    expect(screen.getAllByLabelText('Declared strength')).toHaveLength(1);
    const fields = screen.getAllByRole('textbox').map((f) => (f as HTMLInputElement).labels?.[0]?.textContent);
    expect(fields[0]).toBe('Name');
  });

  it('each field says what hangs on it', () => {
    show(`rope/${rope.id}`);
    expect(screen.getByText('Tells whether anybody may hang on it.')).toBeTruthy();
  });

  it('an item that there is not says so', () => {
    show('rope/none');
    expect(screen.getByText(/This rope/)).toBeTruthy();
  });
});
