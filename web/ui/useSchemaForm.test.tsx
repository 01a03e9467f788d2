// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { z } from 'zod';
import { useSchemaForm } from './useSchemaForm';

const schema = z.object({
  id: z.string(),
  name: z.string().min(1, 'needed'),
  note: z.string(),
  tags: z.array(z.string()),
});
type Thing = z.infer<typeof schema>;
const thing: Thing = { id: 't', name: 'Usnea', note: '', tags: ['a'] };
const KEY = 'zevrin-draft/test';

let saved: Thing[] = [];
function Form({ now }: { now: Thing }) {
  const form = useSchemaForm({ schema, draftKey: 'test', now, onValid: (v) => saved.push(v as Thing) });
  return (
    <form onSubmit={(event) => void form.submit(event)}>
      {(['name', 'note'] as const).map((key) => (
        <label key={key}>
          {key}
          <input value={form.values[key] as string} onChange={(e) => form.change(key, e.target.value)} />
        </label>
      ))}
      <p>twice: {form.twice.join(',')}</p>
      <p>error: {form.errorAt('name') ?? ''}</p>
      <p>{form.restored ? 'restored' : 'as stored'}</p>
      <button type="submit">Save</button>
      <button type="button" onClick={() => form.takeOther('name')}>
        Take other
      </button>
      <button type="button" onClick={form.putAside}>
        Cancel
      </button>
    </form>
  );
}
const type = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });
const shown = (label: string) => screen.getByLabelText<HTMLInputElement>(label).value;
const save = async () => {
  const before = saved.length;
  fireEvent.click(screen.getByText('Save'));
  await waitFor(() => expect(saved.length).toBe(before + 1));
  return saved.at(-1)!;
};

beforeEach(() => {
  saved = [];
  localStorage.clear();
});
afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

describe('a form that was opened before something was changed elsewhere', () => {
  it('saves what was changed here, and keeps what was changed there', async () => {
    const { rerender } = render(<Form now={thing} />);
    type('name', 'Ramalina');
    rerender(<Form now={{ ...thing, note: 'written there', tags: ['a', 'b'] }} />);
    expect(shown('note')).toBe('written there');
    expect(await save()).toEqual({ id: 't', name: 'Ramalina', note: 'written there', tags: ['a', 'b'] });
  });

  it('names a field that both changed, keeps what was typed, and can take the other', async () => {
    const { rerender } = render(<Form now={thing} />);
    type('name', 'Ramalina');
    rerender(<Form now={{ ...thing, name: 'Evernia' }} />);
    expect(screen.getByText('twice: name')).toBeTruthy();
    expect(shown('name')).toBe('Ramalina');
    fireEvent.click(screen.getByText('Take other'));
    expect(shown('name')).toBe('Evernia');
    expect(screen.getByText('twice:')).toBeTruthy();
    expect((await save()).name).toBe('Evernia');
  });

  it('both changed to the same is no matter', () => {
    const { rerender } = render(<Form now={thing} />);
    type('name', 'Evernia');
    rerender(<Form now={{ ...thing, name: 'Evernia' }} />);
    expect(screen.getByText('twice:')).toBeTruthy();
  });
});

describe('a draft', () => {
  it('brings back what was typed and nothing else: what was changed since stays changed', async () => {
    render(<Form now={thing} />);
    type('note', 'half a sentence');
    cleanup();
    render(<Form now={{ ...thing, name: 'Evernia' }} />);
    expect(screen.getByText('restored')).toBeTruthy();
    expect(await save()).toEqual({ ...thing, name: 'Evernia', note: 'half a sentence' });
    expect(localStorage.getItem(KEY)).toBeNull();
  });

  it('names a field that was changed elsewhere since the draft was written', () => {
    render(<Form now={thing} />);
    type('name', 'Ramalina');
    cleanup();
    render(<Form now={{ ...thing, name: 'Evernia' }} />);
    expect(screen.getByText('twice: name')).toBeTruthy();
  });

  it('is gone when everything is typed back, saved or put aside', () => {
    render(<Form now={thing} />);
    type('name', 'Ramalina');
    expect(localStorage.getItem(KEY)).toContain('Ramalina');
    type('name', 'Usnea');
    expect(localStorage.getItem(KEY)).toBeNull();
    type('name', 'Ramalina');
    fireEvent.click(screen.getByText('Cancel'));
    expect(localStorage.getItem(KEY)).toBeNull();
  });

  it.each([
    ['no JSON', 'oops'],
    ['of before', '{"name":"x","note":"y"}'],
    ['a list for a line', '{"changed":{"name":["x"]},"base":{}}'],
    ['a line for a list', '{"changed":{"tags":"x"},"base":{}}'],
    ['a field that there is not', '{"changed":{"other":"x"},"base":{}}'],
    ['nothing', 'null'],
    ['nested too deep', '{"changed":{"name":{"a":{"b":1}}},"base":{}}'],
  ])('that is malformed (%s) costs the draft and not the page', (_, text) => {
    localStorage.setItem(KEY, text);
    render(<Form now={thing} />);
    expect(screen.getByText('as stored')).toBeTruthy();
    expect(shown('name')).toBe('Usnea');
  });

  it('that cannot be stored, or storage that is refused, costs the draft and not the page', async () => {
    vi.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    vi.spyOn(Storage.prototype, 'getItem').mockImplementation(() => {
      throw new DOMException('refused', 'SecurityError');
    });
    vi.spyOn(Storage.prototype, 'removeItem').mockImplementation(() => {
      throw new DOMException('refused', 'SecurityError');
    });
    render(<Form now={thing} />);
    type('name', 'Ramalina');
    expect((await save()).name).toBe('Ramalina');
  });
});

it('what is not valid is not saved, and says so at the field', async () => {
  render(<Form now={thing} />);
  type('name', '');
  fireEvent.click(screen.getByText('Save'));
  expect(await screen.findByText('error: needed')).toBeTruthy();
  expect(saved).toEqual([]);
});
