// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, expect, it } from 'vitest';
import { variationsFor, type Setup } from '@core/rigs/rig';
import { rappelDouble, SETUPS } from '@core/samples';
import { AddAndTake } from './AddAndTake';

afterEach(cleanup);

function show(start: Setup) {
  const seen: Setup[] = [start];
  function Rig() {
    const [setup, setSetup] = useState(start);
    return (
      <AddAndTake
        setup={setup}
        onChange={(next) => {
          seen.push(next);
          setSetup(next);
        }}
      />
    );
  }
  render(<Rig />);
  return seen;
}
const openMenu = (name: string) => fireEvent.keyDown(screen.getByRole('button', { name }), { key: 'Enter' });
const entries = () => screen.getAllByRole('menuitem').map((m) => m.textContent);

it('offers what has a place in this rig and nothing else', () => {
  show(rappelDouble);
  openMenu('Add …');
  expect(entries().map((text) => text.toLowerCase())).toEqual(variationsFor(rappelDouble).map((v) => v.label));
  expect(entries()).not.toContain('A hitch on the brake strand');
});

it('what is added can be taken away, and then the rig is as it was', () => {
  const seen = show(rappelDouble);
  openMenu('Add …');
  fireEvent.click(screen.getByRole('menuitem', { name: 'A knot below the device' }));
  expect(seen.at(-1)!.attachments.map((a) => a.id)).toContain('stop-knot');
  openMenu('Take away …');
  fireEvent.click(screen.getByRole('menuitem', { name: 'Knot below the device' }));
  expect(seen.at(-1)).toEqual(rappelDouble);
});

it('a belay has a hitch on its brake strand to add, and nothing to take away yet', () => {
  show(SETUPS['lower-ground']);
  expect(screen.queryByRole('button', { name: 'Take away …' })).toBeNull();
  openMenu('Add …');
  expect(entries()).toContain('A hitch on the brake strand');
});
