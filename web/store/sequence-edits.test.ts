import { describe, expect, it } from 'vitest';
import { demoWorkspace, wallAnchor } from '@core/samples';
import { createStore } from './store';
import { addTests, removeTest } from './test-edits';
import { addSequence, changeSequence, removeSequence } from './sequence-edits';
import { edited, loaded, recorded, redone, undone } from './workspace-slice';
import { put } from '../storage/changes';
import { quietDatabase } from '../storage/database.test-help';

const NOW = '2026-06-01T00:00:00.000Z';
function fresh() {
  const { store } = createStore({ database: quietDatabase(), tell: () => undefined });
  store.dispatch(loaded(demoWorkspace()));
  return { store, data: () => store.getState().workspace.data };
}
const sequenceOf = (data: ReturnType<typeof demoWorkspace>, id: string) => data.sequences.find((s) => s.id === id)!;

describe('orders of steps in the store', () => {
  it('are added, changed and removed, each a step to undo', () => {
    const { store, data } = fresh();
    const before = data();
    store.dispatch(edited(addSequence({ ...wallAnchor, id: 'new', name: 'New' })));
    const first = sequenceOf(data(), 'new');
    store.dispatch(edited(changeSequence(first, { ...first, steps: first.steps.slice(1) }, NOW, null)));
    expect(sequenceOf(data(), 'new')).toMatchObject({ updatedAt: NOW, steps: { length: wallAnchor.steps.length - 1 } });
    store.dispatch(edited(removeSequence(sequenceOf(data(), 'new'))));
    expect(sequenceOf(data(), 'new')).toBeUndefined();
    store.dispatch(undone());
    expect(sequenceOf(data(), 'new').steps).toHaveLength(wallAnchor.steps.length - 1);
    store.dispatch(undone());
    expect(sequenceOf(data(), 'new').steps).toEqual(wallAnchor.steps);
    store.dispatch(undone());
    expect(data()).toEqual(before);
    for (let i = 0; i < 3; i += 1) store.dispatch(redone());
    expect(sequenceOf(data(), 'new')).toBeUndefined();
  });

  it('typing a name is one step', () => {
    const { store, data } = fresh();
    for (const name of ['W', 'Wa', 'Wal']) {
      const now = sequenceOf(data(), wallAnchor.id);
      store.dispatch(edited(changeSequence(now, { ...now, name }, NOW, 'name')));
    }
    store.dispatch(undone());
    expect(sequenceOf(data(), wallAnchor.id).name).toBe(wallAnchor.name);
  });

  it('how far one has come is a record: undo leaves it alone', () => {
    const { store, data } = fresh();
    const now = sequenceOf(data(), wallAnchor.id);
    store.dispatch(recorded([put('sequences', now, { ...now, at: 5 })]));
    store.dispatch(undone());
    expect(sequenceOf(data(), wallAnchor.id).at).toBe(5);
  });
});

describe('own tests in the store', () => {
  it('tests from a file are one step, a single one is taken back by itself', () => {
    const { store, data } = fresh();
    const before = data().wayTests;
    const [model] = before;
    store.dispatch(edited(addTests([1, 2, 3].map((n) => ({ ...model!, id: `t${n}`, at: NOW })))));
    expect(data().wayTests).toHaveLength(before.length + 3);
    store.dispatch(edited(removeTest(data().wayTests.at(-1)!)));
    expect(data().wayTests.map((t) => t.id)).not.toContain('t3');
    store.dispatch(undone());
    store.dispatch(undone());
    expect(data().wayTests).toEqual(before);
  });
});
