import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { emptyWorkspace } from '@core/records/files';
import { ropeSlots } from '@core/rigs/rig';
import { club, demoWorkspace, rappelDouble } from '@core/samples';
import { difference, put, type Change } from '../storage/changes';
import type { WriteOutcome } from '../storage/database';
import { quietDatabase } from '../storage/database.test-help';
import { shapesArrived } from '../storage/fits';
import { changeSetup, removeItem, saveItem } from './edits';
import { nextAction } from './next-action';
import { createStore } from './store';
import { changedElsewhere, edited, fieldLeft, loaded, recorded, redone, stepUndone, undone } from './workspace-slice';

beforeAll(() => shapesArrived());

const settle = () => new Promise((resolve) => setTimeout(resolve, 0));
function fresh(write: () => Promise<void> = () => Promise.resolve()) {
  const written: (readonly Change[])[] = [];
  const made = createStore({
    database: {
      ...quietDatabase(),
      write: async (changes): Promise<WriteOutcome> => {
        await write();
        written.push(changes);
        return { revision: written.length, entries: [], notes: [] };
      },
    },
    tell: () => undefined,
  });
  made.store.dispatch(loaded(demoWorkspace()));
  return { ...made, written, data: () => made.store.getState().workspace.data };
}
const NOW = '2026-06-01T00:00:00.000Z';
const renamed = (name: string) => ({ ...rappelDouble, name });

describe('store', () => {
  it('writes each change once, undo and redo included', async () => {
    const { store, written, data } = fresh();
    store.dispatch(edited(changeSetup(rappelDouble, renamed('A'), NOW, null)));
    store.dispatch(undone());
    store.dispatch(redone());
    store.dispatch(redone());
    await settle();
    expect(written.map((w) => (w[0]!.after as { name: string }).name)).toEqual(['A', rappelDouble.name, 'A']);
    expect(data().setups[0]!.name).toBe('A');
  });

  it('typing in one field is one step until the field is left', () => {
    const { store, data } = fresh();
    let before = rappelDouble;
    for (const name of ['L', 'Lo', 'Low']) {
      store.dispatch(edited(changeSetup(before, renamed(name), NOW, 'name')));
      before = data().setups[0]!;
    }
    store.dispatch(fieldLeft());
    store.dispatch(edited(changeSetup(before, renamed('Low!'), NOW, 'name')));
    store.dispatch(undone());
    expect(data().setups[0]!.name).toBe('Low');
    store.dispatch(undone());
    expect(data()).toEqual(demoWorkspace());
  });

  it('undoing everything restores what was loaded, redoing everything restores the end', () => {
    const op = fc.oneof(
      fc.record({ kind: fc.constant('rename' as const), text: fc.string({ minLength: 1, maxLength: 5 }) }),
      fc.record({ kind: fc.constant('remove' as const), at: fc.nat({ max: 30 }) }),
      fc.record({ kind: fc.constant('measure' as const), mm: fc.double({ min: 8, max: 11, noNaN: true }) }),
    );
    fc.assert(
      fc.property(fc.array(op, { maxLength: 12 }), (ops) => {
        const { store, data } = fresh();
        for (const o of ops) {
          const current = data();
          if (o.kind === 'rename')
            store.dispatch(edited(changeSetup(current.setups[0]!, { ...current.setups[0]!, name: o.text }, NOW, null)));
          if (o.kind === 'remove' && current.items.length > 0)
            store.dispatch(edited(removeItem(current.items[o.at % current.items.length]!)));
          if (o.kind === 'measure')
            store.dispatch(edited(saveItem(current, { ...club.longRope, measuredDiameterMm: o.mm })));
        }
        const sorted = (w: ReturnType<typeof data>) => ({
          ...w,
          items: [...w.items].sort((a, b) => (a.id < b.id ? -1 : 1)),
        });
        const end = sorted(data());
        const steps = store.getState().workspace.past.length;
        for (let i = 0; i < steps; i += 1) store.dispatch(undone());
        expect(sorted(data())).toEqual(sorted(demoWorkspace()));
        for (let i = 0; i < steps; i += 1) store.dispatch(redone());
        expect(sorted(data())).toEqual(end);
      }),
      { numRuns: 50 },
    );
  });

  it('plans follow the locker, in the same step', () => {
    const { store, data } = fresh();
    store.dispatch(edited(saveItem(data(), { ...club.longRope, measuredDiameterMm: 9.2 })));
    const measured = data()
      .setups.flatMap((s) => s.lines.flatMap((l) => [...ropeSlots(l)]))
      .flatMap((r) => (r.item?.id === club.longRope.id ? [r.item.measuredDiameterMm] : []));
    expect(measured.length).toBeGreaterThan(3);
    expect(new Set(measured)).toEqual(new Set([9.2]));
    store.dispatch(undone());
    expect(data()).toEqual(demoWorkspace());
  });

  it('a record is not undone', () => {
    const { store, data } = fresh();
    store.dispatch(edited(changeSetup(rappelDouble, renamed('A'), NOW, null)));
    store.dispatch(recorded([put('uses', null, { ...demoWorkspace().uses[0]!, id: 'use-9' })]));
    store.dispatch(undone());
    expect(data().uses.map((u) => u.id)).toContain('use-9');
    expect(data().setups[0]!.name).toBe(rappelDouble.name);
  });

  it('the “Undo” of a message takes back its own act, whatever was done since, or nothing', () => {
    const { store, data } = fresh();
    const removed = store.dispatch(edited(removeItem(club.thinRope))).payload.step;
    const renaming = store.dispatch(edited(changeSetup(rappelDouble, renamed('A'), NOW, null))).payload.step;
    store.dispatch(stepUndone(removed));
    expect(data().items.some((i) => i.id === club.thinRope.id)).toBe(true);
    expect(data().setups[0]!.name).toBe('A');
    // A second time there is nothing to take back.
    const before = data();
    store.dispatch(stepUndone(removed));
    expect(data()).toBe(before);
    // Nor when the same was changed again since.
    store.dispatch(edited(changeSetup(data().setups[0]!, renamed('B'), NOW, null)));
    store.dispatch(stepUndone(renaming));
    expect(data().setups[0]!.name).toBe('B');
  });

  it('the “Undo” of a message is written too', async () => {
    const { store, written } = fresh();
    const step = store.dispatch(edited(removeItem(club.thinRope))).payload.step;
    store.dispatch(stepUndone(step));
    await settle();
    expect(written.map((w) => w[0]!.after)).toEqual([null, club.thinRope]);
  });

  it('undo takes back its own field and leaves what another tab has changed beside it', () => {
    const { store, data } = fresh();
    store.dispatch(edited(changeSetup(rappelDouble, renamed('A'), NOW, null)));
    const there = { ...data().setups[0]!, note: 'written there' };
    store.dispatch(changedElsewhere([put('setups', data().setups[0]!, there)]));
    store.dispatch(undone());
    expect(data().setups[0]).toMatchObject({ name: rappelDouble.name, note: 'written there' });
    store.dispatch(redone());
    expect(data().setups[0]).toMatchObject({ name: 'A', note: 'written there' });
  });

  it('forgets steps that another tab has overtaken, and keeps the others', () => {
    const { store, data } = fresh();
    store.dispatch(edited(removeItem(club.thinRope)));
    store.dispatch(edited(changeSetup(rappelDouble, renamed('A'), NOW, null)));
    store.dispatch(changedElsewhere([put('setups', rappelDouble, renamed('B'))]));
    store.dispatch(undone());
    expect(data().setups[0]!.name).toBe('B');
    expect(data().items.some((i) => i.id === club.thinRope.id)).toBe(true);
  });
});

describe('saving', () => {
  it('says saved only when all is written, failed when it is not, and keeps the queue for a retry', async () => {
    let full = true;
    const { store, sync, written } = fresh(() =>
      full ? Promise.reject(new Error('disk is full')) : Promise.resolve(),
    );
    const state = () => store.getState().workspace.save;
    store.dispatch(edited(removeItem(club.thinRope)));
    store.dispatch(edited(removeItem(club.thickRope)));
    await settle();
    expect(state()).toEqual({ kind: 'failed', message: 'disk is full', gone: false });
    expect([sync.pending(), written.length]).toEqual([2, 0]);
    full = false;
    sync.retry();
    expect(state()).toEqual({ kind: 'saving' });
    await settle();
    expect(state()).toEqual({ kind: 'saved' });
    expect(written.map((w) => w[0]!.id)).toEqual([club.thinRope.id, club.thickRope.id]);
  });
});

describe('difference', () => {
  it('wipes and imports back to the same workspace', () => {
    const { store, data } = fresh();
    const demo = data();
    store.dispatch(recorded(difference(demo, emptyWorkspace())));
    expect(data()).toEqual(emptyWorkspace());
    store.dispatch(recorded(difference(data(), demo)));
    expect(data()).toEqual(demo);
  });
});

describe('nextAction', () => {
  it('leads from nothing to a set-up, one thing at a time', () => {
    const w = emptyWorkspace();
    const asked: string[] = [];
    const all = demoWorkspace();
    for (let i = 0; i < 20; i += 1) {
      const next = nextAction(w);
      if (!next) break;
      asked.push(next.kind === 'add-item' ? next.item : next.kind);
      if (next.kind === 'add-item')
        w.items.push(all.items.find((item) => item.kind === next.item && !w.items.includes(item))!);
      if (next.kind === 'add-person') w.people.push(all.people[0]!);
      if (next.kind === 'add-setup') w.setups.push(all.setups[0]!);
    }
    expect(asked).toEqual(['rope', 'device', 'connector', 'harness', 'add-person', 'add-setup']);
  });
});
