import 'fake-indexeddb/auto';
import { describe, expect, it } from 'vitest';
import { demoWorkspace } from '@core/samples';
import { openDatabase } from './database';
import { createRoom, NoRoom } from './room';

/** A disk with so many bytes free, of which nothing is ever taken. */
function diskWith(freeBytes: { value: number }) {
  const asked: number[] = [];
  const file = {
    write: (block: Uint8Array) => {
      asked.push(block.byteLength);
      return block.byteLength <= freeBytes.value
        ? Promise.resolve()
        : Promise.reject(new DOMException('exceeded', 'QuotaExceededError'));
    },
    abort: () => Promise.resolve(),
  };
  const handle = { createWritable: () => Promise.resolve(file) };
  const directory = { getFileHandle: () => Promise.resolve(handle) } as unknown as FileSystemDirectoryHandle;
  return { asked, directory: () => Promise.resolve(directory) };
}

describe('room on the disk', () => {
  it('a full disk is known before anything is written, and what was there stays; with room again it is written', async () => {
    const free = { value: Infinity };
    let nowMs = 0;
    const database = await openDatabase(
      'mine',
      null,
      createRoom(diskWith(free).directory, () => nowMs),
    );
    const [first, second] = demoWorkspace().items;
    await database.write([{ collection: 'items', id: first!.id, before: null, after: first! }]);
    const revision = await database.revision();
    free.value = 0;
    nowMs += 1000;
    const change = { collection: 'items', id: second!.id, before: null, after: second! } as const;
    await expect(database.write([change])).rejects.toThrow(NoRoom);
    await expect(database.replace(demoWorkspace())).rejects.toThrow('There is no room left on this device');
    expect(await database.revision()).toBe(revision);
    expect((await database.load()).workspace.items).toEqual([first]);
    free.value = Infinity;
    await database.write([change]);
    expect((await database.load()).workspace.items).toHaveLength(2);
    database.close();
  });

  it('asks once for changes in a row, and now and then for what a database takes to tidy up', async () => {
    const { asked, directory } = diskWith({ value: Infinity });
    let nowMs = 0;
    const room = createRoom(directory, () => nowMs);
    await Promise.all([room.for(), room.for(), room.for()]);
    await room.for();
    expect(asked).toHaveLength(1);
    nowMs = 11_000;
    await room.for();
    nowMs = 12_000;
    await room.for();
    expect(asked).toHaveLength(3);
    expect(asked[1]).toBeGreaterThan(10 * asked[0]!);
    expect(asked[2]).toBe(asked[0]);
  });

  it('one that has answered once and then breaks down has no room; one that never answered, or has the file open elsewhere, says nothing', async () => {
    let says: string | null = null;
    const file = {
      write: () => (says ? Promise.reject(new DOMException('state had changed', says)) : Promise.resolve()),
      abort: () => Promise.resolve(),
    };
    const handle = { createWritable: () => Promise.resolve(file) };
    const directory = () =>
      Promise.resolve({ getFileHandle: () => Promise.resolve(handle) } as unknown as FileSystemDirectoryHandle);
    let nowMs = 0;
    const room = createRoom(directory, () => (nowMs += 1000));
    await room.for();
    says = 'NoModificationAllowedError';
    await room.for();
    says = 'InvalidStateError';
    await expect(room.for()).rejects.toThrow(NoRoom);
    await expect(createRoom(directory).for()).resolves.toBeUndefined();
  });

  it('a file as large as what is to be replaced is asked for', async () => {
    const { asked, directory } = diskWith({ value: 30_000_000 });
    await expect(createRoom(directory).for(40_000_000)).rejects.toThrow(NoRoom);
    expect(asked).toEqual([40_000_000]);
  });

  it.each([
    ['a browser that keeps no files', null],
    ['one that forbids it', () => Promise.reject(new DOMException('denied', 'SecurityError'))],
  ])('%s says nothing about room', async (_, directory) => {
    await expect(createRoom(directory).for(1)).resolves.toBeUndefined();
  });
});
