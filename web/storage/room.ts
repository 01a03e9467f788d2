/** There is no room on this device for what is to be written. */
export class NoRoom extends Error {
  constructor(options?: ErrorOptions) {
    super(
      'There is no room left on this device, and the browser may clear what is stored. Take a copy, make room, and try again.',
      options,
    );
  }
}

/** What the browser says of a full disk, in one of its several ways. */
export const saysNoRoom = (error: unknown): boolean =>
  error instanceof Error && (error.name === 'QuotaExceededError' || /NO_SPACE|no space left/i.test(error.message));

/** More than one change takes. */
const SMALL_BYTES = 512 * 1024;
/** What a database may take when it tidies up by itself. */
const LARGE_BYTES = 8 * 1024 * 1024;
const LARGE_EVERY_MS = 10_000;
/** How long an answer holds: many changes one after the other ask once. */
const HOLDS_MS = 50;
/** A file of the page that stays empty: what is written into it is thrown away again. */
const FILE = 'room';

/**
 * Asks before anything is written whether the disk has room for it, by writing as much into a file and throwing it
 * away. One engine keeps its databases in a log that is cut off by a disk that is full in the middle of a write; it
 * writes on behind the cut, cannot read it at its next start, and begins anew with nothing. What the browser tells of
 * its quota does not say how full the disk is.
 *
 * @param directory where the page may keep files, or null where it may not: then nobody can know before.
 */
export function createRoom(
  directory: (() => Promise<FileSystemDirectoryHandle>) | null = ownFiles(),
  now = () => performance.now(),
) {
  let asked: Promise<void> | null = null;
  let goodUntil = -Infinity;
  // Not with the first screen.
  let largeAt = now();

  /** It has told something once: from then on what it cannot tell is no room. */
  let tells = false;

  async function tryOut(bytes: number) {
    let file: FileSystemWritableFileStream | undefined;
    try {
      const handle = await (await directory!()).getFileHandle(FILE, { create: true });
      file = await handle.createWritable();
      await file.write(new Uint8Array(bytes));
      tells = true;
    } catch (error) {
      // A browser that keeps no files says nothing about room, nor does one that has the file open in another tab. One
      // that has broken down on a full disk says other things.
      const locked = error instanceof Error && error.name === 'NoModificationAllowedError';
      if (saysNoRoom(error) || (tells && !locked)) throw new NoRoom({ cause: error });
    } finally {
      await file?.abort().catch(() => undefined);
    }
  }

  return {
    /** Ends when there is room for a change, or for so many bytes; throws NoRoom when there is not. */
    async for(bytes = 0): Promise<void> {
      if (!directory) return;
      if (bytes > SMALL_BYTES) return tryOut(bytes);
      if (now() < goodUntil) return;
      const large = now() - largeAt >= LARGE_EVERY_MS;
      asked ??= tryOut(large ? LARGE_BYTES : SMALL_BYTES).finally(() => (asked = null));
      await asked;
      goodUntil = now() + HOLDS_MS;
      if (large) largeAt = now();
    },
  };
}

function ownFiles(): (() => Promise<FileSystemDirectoryHandle>) | null {
  // Not there without a secure connection, and in older browsers.
  const storage = (globalThis.navigator as Partial<Navigator> | undefined)?.storage as
    Partial<StorageManager> | undefined;
  return storage?.getDirectory ? () => storage.getDirectory!() : null;
}
