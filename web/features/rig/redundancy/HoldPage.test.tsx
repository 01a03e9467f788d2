// @vitest-environment jsdom
import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { assess } from '@core/answers/assess';
import { hanging, holdsFromRig, singlePointsOf, standing, waysToBackUp } from '@core/answers/redundancy';
import { contextOf } from '@core/rigs/elements';
import { withItem, type Setup } from '@core/rigs/rig';
import { rappelDouble, SETUPS, topRopeCam } from '@core/samples';
import { showPage } from '../../../app/place.test-help';
import { undone } from '../../../store/workspace-slice';
import { HoldPage } from './HoldPage';

vi.mock('../../../drawing/lazy', () => ({ LazyDrawings: () => <p>drawing</p> }));
beforeEach(() => {
  Element.prototype.scrollIntoView = () => undefined;
});
afterEach(cleanup);

const show = (setup: Setup) =>
  showPage({
    path: 'setups/:setupId/holds',
    at: `setups/${setup.id}/holds`,
    element: <HoldPage />,
    data: { setups: [setup] },
  });
const modelOf = (setup: Setup) => {
  const { findings } = assess(setup);
  const ctx = contextOf(setup);
  const model = holdsFromRig(ctx, hanging(ctx)[0]!, findings);
  return { model, findings, singles: singlePointsOf(ctx, model, findings) };
};
const table = () => screen.getByRole('table', { name: 'What can let go, and what then holds' });
const rowOf = (id: string) => within(table().querySelector<HTMLElement>(`[data-row="${id}"]`)!);

describe('what still holds', () => {
  it.each([rappelDouble, topRopeCam, SETUPS['rappel-single'], SETUPS.lower])(
    'each row says what the engine says: $name',
    (setup) => {
      const { model, singles } = modelOf(setup);
      show(setup);
      const basic = model.faults.filter((f) => f.basic);
      expect(basic.length).toBeGreaterThan(3);
      for (const fault of basic) {
        const left = standing(model, [fault.id]);
        const row = rowOf(fault.id);
        expect(row.queryAllByLabelText('holds')).toHaveLength(left.length);
        const accepted = singles.some((s) => s.accepted && s.fault.id === fault.id);
        if (left.length === 0)
          expect(row.queryAllByText(accepted ? 'alone, accepted' : 'nothing holds').length).toBeGreaterThan(0);
        else expect(row.getByText(`${left.length} of ${model.holds.length}`)).toBeTruthy();
      }
    },
  );

  it('what is alone and not accepted stands before what is', () => {
    const { model, singles } = modelOf(rappelDouble);
    show(rappelDouble);
    const ids = [...table().querySelectorAll('[data-row]')].map((row) => row.getAttribute('data-row')!);
    const accepted = new Set(singles.filter((s) => s.accepted).map((s) => s.fault.id));
    const rank = ids
      .filter((id) => model.faults.some((f) => f.id === id))
      .map((id) => (standing(model, [id]).length > 0 ? 'some' : accepted.has(id) ? 'alone' : 'nothing'));
    const lastNothing = rank.lastIndexOf('nothing');
    const firstAlone = rank.indexOf('alone');
    expect(firstAlone).toBeGreaterThanOrEqual(0);
    expect(lastNothing).toBeLessThan(firstAlone);
  });

  it('a row opens what follows from it, and a second fault at the same time is worked out too', () => {
    const { model } = modelOf(rappelDouble);
    show(rappelDouble);
    const one = model.faults.find((f) => f.basic && standing(model, [f.id]).length > 0)!;
    fireEvent.click(rowOf(one.id).getByRole('button'));
    const replay = within(screen.getByTestId('replay'));
    expect(replay.getByRole('status').textContent).toMatch(/^Holds: /);
    const other = model.faults.find((f) => f.basic && f.id !== one.id && standing(model, [one.id, f.id]).length === 0)!;
    fireEvent.change(replay.getByRole('combobox'), { target: { value: other.id } });
    expect(replay.getByRole('status').textContent).toBe('Nothing holds.');
    fireEvent.click(rowOf(one.id).getByRole('button'));
    expect(screen.queryByTestId('replay')).toBeNull();
  });

  it('says that a part is missing before it says what holds', () => {
    show(withItem(rappelDouble, 'device', null));
    expect(screen.getByText(/A part of the set-up is not chosen yet/)).toBeTruthy();
    expect(screen.queryByRole('table', { name: 'What can let go, and what then holds' })).toBeNull();
  });

  it('a way of backing up can be taken over into the set-up, and taken back', () => {
    const page = show(rappelDouble);
    const { findings } = modelOf(rappelDouble);
    const another = waysToBackUp(rappelDouble, findings).find((w) => !w.own)!;
    expect(another).toBeDefined();
    const before = page.data().setups[0]!;
    fireEvent.click(screen.getByRole('button', { name: new RegExp(`^${another.label}`) }));
    fireEvent.click(screen.getByRole('button', { name: /in place/ }));
    const after = page.data().setups[0]!;
    expect(after.attachments).not.toEqual(before.attachments);
    page.store.dispatch(undone());
    expect(page.data().setups[0]).toEqual(before);
  });

  it('a set-up that there is not says so', () => {
    showPage({ path: 'setups/:setupId/holds', at: 'setups/none/holds', element: <HoldPage /> });
    expect(screen.getByText(/This set-up/)).toBeTruthy();
  });
});
