// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { PreferencesProvider } from '../app/preferences';
import { showPage } from '../app/place.test-help';
import { NameField } from './NameField';
import { UnitField } from './UnitField';

beforeEach(() => {
  vi.stubGlobal('matchMedia', () => ({ matches: false }));
  localStorage.clear();
});
afterEach(cleanup);

const field = (label: string) => screen.getByLabelText<HTMLInputElement>(label);
const type = (label: string, value: string) => fireEvent.change(field(label), { target: { value } });

describe('a number with its unit', () => {
  let stored: (number | null | undefined)[] = [];
  let elsewhere: (value: number) => void = () => undefined;
  function Height({ optional = false }: { optional?: boolean }) {
    const [value, setValue] = useState<number | null>(20);
    elsewhere = setValue;
    return (
      <UnitField
        label="Height"
        quantity="lengthM"
        min={2}
        max={150}
        value={value}
        optional={optional}
        onChange={(next) => {
          stored.push(next);
          if (next !== undefined) setValue(next);
        }}
      />
    );
  }
  const show = (optional?: boolean) => {
    stored = [];
    render(
      <PreferencesProvider>
        <Height {...(optional ? { optional } : {})} />
      </PreferencesProvider>,
    );
  };

  it('keeps what is typed as it is typed, and shows the bare number when it is left', () => {
    show();
    type('Height', '30 m');
    expect(field('Height').value).toBe('30 m');
    // 1 ft = 0.3048 m exactly (international foot, 1959).
    type('Height', '100 ft');
    expect(stored.at(-1)).toBeCloseTo(30.48, 10);
    fireEvent.blur(field('Height'));
    expect(field('Height').value).toBe('30.48');
  });

  it('what cannot be read stays, with what was read and what is allowed, also when it is left', () => {
    show();
    type('Height', '900');
    fireEvent.blur(field('Height'));
    expect(field('Height').value).toBe('900');
    expect(field('Height').getAttribute('aria-invalid')).toBe('true');
    expect(screen.getByText(/Read “900”. Allowed: 2.m to 150.m/)).toBeTruthy();
    expect(stored).toEqual([undefined]);
  });

  it('what another tab has changed is shown in place of what was typed before', async () => {
    show();
    type('Height', '30');
    elsewhere(41);
    expect(await screen.findByDisplayValue('41')).toBeTruthy();
    // Half a word that says nothing yet is not taken away.
    type('Height', 'x');
    elsewhere(42);
    expect(field('Height').value).toBe('x');
  });

  it('an empty one is nothing where nothing is allowed, and is asked for where it is not', () => {
    show(true);
    type('Height', '');
    expect(stored).toEqual([null]);
    cleanup();
    show();
    type('Height', '');
    expect(stored).toEqual([undefined]);
    expect(screen.getByText(/^Needed: /)).toBeTruthy();
  });
});

describe('a name that is a heading', () => {
  let elsewhere: (name: string) => void = () => undefined;
  function Named() {
    const [name, setName] = useState('Low span');
    elsewhere = setName;
    return <NameField label="Name" name={name} onRename={setName} />;
  }
  const show = () => showPage({ path: '', at: '', element: <Named /> });

  it('takes what is typed without the spaces around it, and never nothing', () => {
    show();
    type('Name', 'Low span ');
    expect(field('Name').value).toBe('Low span ');
    type('Name', '');
    expect(field('Name').value).toBe('');
    fireEvent.blur(field('Name'));
    expect(field('Name').value).toBe('Low span');
  });

  it('follows what another tab has called it', async () => {
    show();
    type('Name', 'Here');
    elsewhere('There');
    expect(await screen.findByDisplayValue('There')).toBeTruthy();
  });
});
