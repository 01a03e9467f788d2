import type { FileResult } from './result.ts';
import { refusedWhole } from './result.ts';

/** Bytes; a character of a Zevrin file is one or two of them. */
export const LARGEST_FILE = 200_000_000;

/**
 * The text in the bytes of a file: UTF-8, with or without a byte order mark. Never throws.
 *
 * @param most how many bytes it may have.
 */
export function decodeText(bytes: Uint8Array, most = LARGEST_FILE): FileResult<string> {
  const size = `${bytes.length} bytes`;
  if (bytes.length === 0) return refusedWhole('nothing', 'The file is empty.');
  if (bytes.length > most) return refusedWhole(size, `A file has at most ${most} bytes.`);
  const [first, second] = bytes;
  const wide = (first === 0xff && second === 0xfe) || (first === 0xfe && second === 0xff);
  // Text for people has no character 0; in UTF-16 every second byte of it is one.
  if (wide || bytes.subarray(0, 200).includes(0))
    return refusedWhole(size, wide ? 'The text of this file is UTF-16. Save it as UTF-8.' : 'This file is no text.');
  try {
    return { ok: true, value: new TextDecoder('utf-8', { fatal: true }).decode(bytes) };
  } catch {
    return refusedWhole(size, 'The text of this file is not UTF-8. Save it as UTF-8.');
  }
}
