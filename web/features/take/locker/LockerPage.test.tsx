// @vitest-environment jsdom
import { cleanup, screen, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { club, demoWorkspace } from '@core/samples';
import { showPage } from '../../../app/place.test-help';
import { KINDS, LOCKER_KINDS } from './kinds';
import { LockerPage } from './LockerPage';

beforeEach(() => localStorage.clear());
afterEach(cleanup);

const demo = demoWorkspace();
const show = () =>
  showPage({
    path: 'locker',
    at: 'locker',
    element: <LockerPage />,
    data: { items: demo.items, people: demo.people },
  });
const of = (title: string) => within(screen.getByRole('region', { name: title }));

describe('the locker', () => {
  it('has a place for each kind, with what is owned of it by name', () => {
    show();
    for (const kind of LOCKER_KINDS) {
      const things = kind === 'person' ? demo.people : demo.items.filter((i) => i.kind === kind);
      const names = things.map((t) => t.name).sort((a, b) => a.localeCompare(b));
      const rows = of(KINDS[kind].many).getAllByRole('listitem');
      expect(rows.map((row) => names.find((name) => row.textContent.startsWith(name)))).toEqual(names);
      for (const row of rows)
        expect(within(row).getByRole('link').getAttribute('href')).toMatch(
          new RegExp(`^/mine/locker/${kind}/[\\w-]+$`),
        );
    }
  });

  it('shows a measured diameter before the label, and that it is measured', () => {
    const measured = demo.items.find((i) => i.kind === 'rope' && i.measuredDiameterMm !== null)!;
    show();
    const row = of('Ropes')
      .getAllByRole('listitem')
      .find((r) => r.textContent.startsWith(measured.name))!;
    expect(row.textContent).toMatch(/\d.mm measured \(label \d/);
  });

  it('prints in the units of the reader', () => {
    localStorage.setItem('zevrin-preferences', JSON.stringify({ system: 'imperial', theme: 'light' }));
    show();
    expect(of('People').getAllByRole('listitem')[0]!.textContent).toMatch(/\d+.lb/);
    expect(of('Ropes').getAllByRole('listitem')[0]!.textContent).toMatch(/\d.ft/);
  });

  it('says so where there is nothing yet, and offers to add it', () => {
    showPage({ path: 'locker', at: 'locker', element: <LockerPage />, data: { people: [club.ilse] } });
    expect(screen.getAllByText(/^None yet\. Each/)).toHaveLength(LOCKER_KINDS.length - 1);
    expect(of('Ropes').getByRole('link', { name: 'Add a rope' }).getAttribute('href')).toBe('/mine/locker/rope/new');
  });
});
