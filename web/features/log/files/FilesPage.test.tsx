// @vitest-environment jsdom
import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { readDocument, writeSetup, writeWorkspace, type Workspace } from '@core/records/files';
import { demoWorkspace, rappelDouble } from '@core/samples';
import { showPage } from '../../../app/place.test-help';
import { quietDatabase, type ForStore } from '../../../storage/database.test-help';
import type { Read } from '../../../workers/files-worker';
import { FilesPage } from './FilesPage';

const saved = vi.hoisted(() => vi.fn<(name: string, content: string | Blob) => void>());
vi.mock('../../../ui/download', () => ({ download: saved, downloadText: saved }));

/** The worker by hand: what it answers, and whether it was ended. */
const worker = vi.hoisted(() => ({
  read: undefined as undefined | ((file: File) => Promise<unknown>),
  store: undefined as undefined | (() => Promise<unknown>),
  write: undefined as undefined | (() => Promise<unknown>),
  ended: 0,
}));
vi.mock('../../../workers/files', () => ({
  hireForFiles: () => ({
    api: {
      read: (file: File) => worker.read!(file),
      store: () => worker.store!(),
      write: () => worker.write!(),
    },
    failed: new Promise(() => undefined),
    end: () => (worker.ended += 1),
  }),
}));

const demo = demoWorkspace();
const counts = { items: 27, people: 3, setups: 16, checks: 0, uses: 2, wayTests: 2, sequences: 1, trainings: 0 };
const aWorkspace: Read = { kind: 'workspace', counts };

/** A database that ends up with the demo when it is replaced. */
function filling(replace?: ForStore['replace']): ForStore {
  const quiet = quietDatabase();
  let now: Workspace = demo;
  return {
    ...quiet,
    replace:
      replace ??
      ((workspace) => {
        now = workspace;
        return quiet.replace(workspace);
      }),
    load: async () => ({ ...(await quiet.load()), workspace: now }),
  };
}
const show = (more: { database?: ForStore; unreadable?: readonly unknown[]; data?: Partial<Workspace> } = {}) =>
  showPage({ path: 'files', at: 'files', element: <FilesPage />, ...more });
const give = (name = 'a.json') =>
  fireEvent.change(screen.getByLabelText('Zevrin file to read'), { target: { files: [new File(['{}'], name)] } });

beforeEach(() => {
  worker.read = () => Promise.resolve(aWorkspace);
  worker.store = () => Promise.resolve({ revision: 1, entries: [], notes: [] });
  worker.write = () => Promise.resolve(new Blob(['from the disk']));
  worker.ended = 0;
});
afterEach(() => {
  cleanup();
  localStorage.clear();
  saved.mockClear();
});

describe('reading a file', () => {
  it('shows what it holds, and replaces everything only when it is told to', async () => {
    const page = show({ database: filling() });
    give();
    expect(await screen.findByText(/holds 27 items of gear, 3 people, 16 set-ups/)).toBeTruthy();
    expect(page.data().setups).toEqual([]);
    fireEvent.click(screen.getByRole('button', { name: 'Replace everything with it' }));
    await waitFor(() => expect(page.data().setups).toEqual(demo.setups));
    expect(screen.queryByText(/It replaces everything/)).toBeNull();
  });

  it('on a full disk it never says that the file was read in, and nothing changes', async () => {
    worker.store = () => Promise.reject(new Error('The disk is full'));
    const page = show({ database: filling() });
    give();
    fireEvent.click(await screen.findByRole('button', { name: 'Replace everything with it' }));
    const alert = await screen.findByText(/could not be stored, and nothing here has changed: The disk is full/);
    expect(alert.getAttribute('role')).toBe('alert');
    expect(screen.queryByText('The file is read in.')).toBeNull();
    expect(page.data().setups).toEqual([]);
    // The file is still there, for when there is room.
    expect(screen.getByRole('button', { name: 'Replace everything with it' })).toBeTruthy();
  });

  it('can be stopped, which ends the worker', async () => {
    worker.read = () => new Promise(() => undefined);
    show();
    give('large.json');
    expect(await screen.findByText(/Reading large.json/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Stop' }));
    expect(worker.ended).toBe(1);
    expect(screen.queryByText(/Reading large/)).toBeNull();
  });

  it('a second file takes the place of the first, whose answer is not heard any more', async () => {
    const late: ((value: Read) => void)[] = [];
    worker.read = () => new Promise((resolve) => late.push(resolve));
    show();
    give('first.json');
    give('second.json');
    late[1]!({ kind: 'setup', setup: rappelDouble });
    expect(await screen.findByText(/holds one set-up/)).toBeTruthy();
    late[0]!({ kind: 'refused', issues: [{ path: 'x', read: 'y', message: 'z' }], more: 0 });
    await Promise.resolve();
    expect(screen.queryByText(/was not read in/)).toBeNull();
  });

  it('is refused with the path, what was read and what is allowed', async () => {
    const issues = Array.from({ length: 7 }, (_, i) => ({
      path: `setup.x${i}`,
      read: '5',
      message: 'A text is needed here.',
    }));
    worker.read = () => Promise.resolve({ kind: 'refused', issues, more: 30 } satisfies Read);
    show();
    give();
    const alert = await screen.findByRole('alert');
    expect(alert.textContent).toContain('setup.x0: A text is needed here. Read: 5');
    expect(alert.textContent).toContain('and 32 more.');
  });

  it('a worker that falls over says so', async () => {
    worker.read = () => Promise.reject(new Error('out of memory'));
    show();
    give();
    expect((await screen.findByRole('alert')).textContent).toContain('could not be read: out of memory');
  });

  it('a set-up is added under another id when there is one of its id already', async () => {
    worker.read = () => Promise.resolve({ kind: 'setup', setup: rappelDouble } satisfies Read);
    const page = show({ data: { setups: [rappelDouble] } });
    give();
    fireEvent.click(await screen.findByRole('button', { name: 'Add it' }));
    const [first, second] = page.data().setups;
    expect(first).toEqual(rappelDouble);
    expect(second!.name).toBe(`${rappelDouble.name} (read in)`);
    expect(second!.id).not.toBe(rappelDouble.id);
    expect(readDocument(writeSetup(second!)).ok).toBe(true);
  });
});

describe('a copy', () => {
  it('is made from the disk, and from the screen when something of it is not on the disk yet', async () => {
    const page = show({ data: { setups: [rappelDouble] } });
    fireEvent.click(screen.getByRole('button', { name: 'Export everything' }));
    await waitFor(() => expect(saved).toHaveBeenCalledOnce());
    expect(saved.mock.calls[0]![0]).toMatch(/^zevrin-mine-\d{4}-\d{2}-\d{2}\.zevrin\.json$/);
    expect(saved.mock.calls[0]![1]).toBeInstanceOf(Blob);
    vi.spyOn(page.sync, 'pending').mockReturnValue(1);
    fireEvent.click(screen.getByRole('button', { name: 'Export everything' }));
    await waitFor(() => expect(saved).toHaveBeenCalledTimes(2));
    expect(saved.mock.calls[1]![1]).toBe(writeWorkspace(page.data()));
  });

  it('is made from the screen when the worker cannot', async () => {
    worker.write = () => Promise.reject(new Error('no worker'));
    const page = show({ data: { setups: [rappelDouble] } });
    fireEvent.click(screen.getByRole('button', { name: 'Export everything' }));
    await waitFor(() => expect(saved).toHaveBeenCalledOnce());
    expect(saved.mock.calls[0]![1]).toBe(writeWorkspace(page.data()));
  });
});

describe('wiping', () => {
  it('says before what cannot be read and goes too, and gives it as a file', () => {
    const odd = [{ id: 'odd', kind: 'nothing' }];
    show({ unreadable: odd });
    expect(screen.getByText(/1 stored entry cannot be read by this version/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Save them to a file' }));
    expect(saved.mock.calls[0]![0]).toBe('zevrin-mine-not-read.json');
    expect(JSON.parse(saved.mock.calls[0]![1] as string)).toEqual(odd);
  });

  it('asks, and empties everything', async () => {
    const page = show({ data: { setups: [rappelDouble] }, database: filling() });
    fireEvent.click(screen.getByRole('button', { name: 'Wipe everything' }));
    expect(page.data().setups).toHaveLength(1);
    fireEvent.click(await screen.findByRole('button', { name: 'Wipe it' }));
    await waitFor(() => expect(page.data().setups).toEqual([]));
  });

  it('takes what was typed and never saved along, here and nowhere else, and not before it is done', async () => {
    localStorage.setItem('zevrin-draft/mine/person/new', '{"changed":{"name":"Somebody"},"base":{}}');
    localStorage.setItem('zevrin-draft/demo/person/new', '{}');
    const drafts = () => Object.keys(localStorage).filter((key) => key.startsWith('zevrin-draft/'));
    const page = show({ data: { setups: [rappelDouble] }, database: filling(() => Promise.reject(new Error('full'))) });
    const wipe = async () => {
      fireEvent.click(screen.getByRole('button', { name: 'Wipe everything' }));
      fireEvent.click(await screen.findByRole('button', { name: 'Wipe it' }));
    };
    await wipe();
    expect(await screen.findByText(/could not be stored/)).toBeTruthy();
    expect(drafts()).toHaveLength(2);
    cleanup();
    const next = show({ data: { setups: [rappelDouble] }, database: filling(), unreadable: [{ id: 'odd' }] });
    expect(screen.getByText(/1 stored entry cannot be read/)).toBeTruthy();
    await wipe();
    await waitFor(() => expect(drafts()).toEqual(['zevrin-draft/demo/person/new']));
    expect(next.data().setups).toEqual([]);
    expect(screen.queryByText(/1 stored entry cannot be read/)).toBeNull();
    expect(page.data().setups).toHaveLength(1);
  });
});
