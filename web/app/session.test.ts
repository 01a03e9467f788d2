// @vitest-environment jsdom
import 'fake-indexeddb/auto';
import { IDBFactory, IDBObjectStore } from 'fake-indexeddb';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { emptyWorkspace } from '@core/records/files';
import { club } from '@core/samples';
import { openDatabase } from '../storage/database';
import { saveItem } from '../store/edits';
import { edited } from '../store/workspace-slice';
import { enter, leave, unsaved, warnWhenUnsaved } from './session';

const rope = club.longRope;
const stored = async () => {
  const database = await openDatabase('mine');
  const { workspace } = await database.load();
  database.close();
  return workspace.items.map((i) => i.name);
};
const named = (name: string) => ({ ...rope, name });
type Session = Awaited<ReturnType<typeof enter>>;
const write = ({ store }: Session, name: string) =>
  store.dispatch(edited(saveItem(store.getState().workspace.data, named(name))));

beforeEach(() => {
  globalThis.indexedDB = new IDBFactory();
});
afterEach(() => vi.restoreAllMocks());

describe('leaving a workspace', () => {
  it('in the very moment of an edit: it is on the disk', async () => {
    const session = await enter('mine');
    write(session, 'First');
    write(session, 'Second');
    leave('mine');
    await session.sync.drained();
    await vi.waitFor(async () => expect(await stored()).toEqual(['Second']));
    expect(unsaved()).toEqual([]);
  });

  it('while a write hangs, and coming back: the same session, with what waits', async () => {
    const session = await enter('mine');
    write(session, 'Hanging');
    leave('mine');
    const again = await enter('mine');
    expect(again).toBe(session);
    await again.sync.drained();
    leave('mine');
    await vi.waitFor(async () => expect(await stored()).toEqual(['Hanging']));
    // Once it was closed, another one is opened.
    await vi.waitFor(async () => {
      const next = await enter('mine');
      leave('mine');
      expect(next).not.toBe(session);
    });
  });

  it('with something that cannot be saved: it is kept, named, and asked about before the page goes', async () => {
    warnWhenUnsaved();
    const asked = () => {
      const event = new Event('beforeunload', { cancelable: true });
      window.dispatchEvent(event);
      return event.defaultPrevented;
    };
    expect(asked()).toBe(false);
    const session = await enter('mine');
    const full = vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('The disk is full', 'QuotaExceededError');
    });
    write(session, 'Not on the disk');
    await vi.waitFor(() => expect(session.store.getState().workspace.save.kind).toBe('failed'));
    leave('mine');
    expect(unsaved().map((s) => s.name)).toEqual(['mine']);
    expect(asked()).toBe(true);
    const back = await enter('mine');
    expect(back).toBe(session);
    expect(back.store.getState().workspace.data.items.map((i) => i.name)).toEqual(['Not on the disk']);
    full.mockRestore();
    back.sync.retry();
    await back.sync.drained();
    leave('mine');
    await vi.waitFor(async () => expect(await stored()).toEqual(['Not on the disk']));
    expect(asked()).toBe(false);
  });

  it('a workspace that cannot be opened can be tried again', async () => {
    const open = vi.spyOn(indexedDB, 'open').mockImplementation(() => {
      throw new DOMException('refused', 'SecurityError');
    });
    await expect(enter('mine')).rejects.toThrow('refused');
    open.mockRestore();
    const session = await enter('mine');
    expect(session.store.getState().workspace.data.items).toEqual([]);
    leave('mine');
  });
});

it('the demo is filled once, and stays empty when somebody has wiped it', async () => {
  const first = await enter('demo');
  expect(first.store.getState().workspace.data.items.length).toBeGreaterThan(10);
  await first.sync.replace((database) => database.replace(emptyWorkspace()));
  leave('demo');
  await vi.waitFor(async () => {
    const again = await enter('demo');
    leave('demo');
    expect(again).not.toBe(first);
    expect(again.store.getState().workspace.data.items).toEqual([]);
  });
});
