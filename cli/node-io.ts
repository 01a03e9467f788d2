import { closeSync, openSync, readSync } from 'node:fs';
import { LARGEST_FILE } from '../core/records/files/index.ts';
import type { Io } from './main.ts';

/** What the system says in a word, as a sentence. */
const SAYS: Readonly<Record<string, string>> = {
  ENOENT: 'there is no such file',
  EISDIR: 'it is a directory, and a file is needed',
  EACCES: 'it may not be read',
  EMFILE: 'too many files are open',
};
const codeOf = (error: unknown): string => (error as NodeJS.ErrnoException).code ?? '';

/** Waits a little for what another program still has to write. */
const pause = () => void Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, 10);

/** Not more than a Zevrin file may have, and one more that shows it: a device gives bytes without end. */
function bytesOf(fd: number): Uint8Array {
  const parts: Buffer[] = [];
  let size = 0;
  while (size <= LARGEST_FILE) {
    const part = Buffer.alloc(Math.min(1 << 20, LARGEST_FILE + 1 - size));
    let read: number;
    try {
      read = readSync(fd, part);
    } catch (error) {
      if (codeOf(error) === 'EOF') break;
      if (codeOf(error) !== 'EAGAIN') throw error;
      pause();
      continue;
    }
    if (read === 0) break;
    parts.push(part.subarray(0, read));
    size += read;
  }
  return Buffer.concat(parts);
}

export const nodeIo: Io = {
  out: (text) => process.stdout.write(text),
  err: (text) => process.stderr.write(text),
  read(path) {
    try {
      if (path === '-') return bytesOf(0);
      const fd = openSync(path, 'r');
      try {
        return bytesOf(fd);
      } finally {
        closeSync(fd);
      }
    } catch (error) {
      throw new Error(SAYS[codeOf(error)] ?? (error as Error).message, { cause: error });
    }
  },
};
