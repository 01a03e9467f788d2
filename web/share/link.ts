import { base32nopad } from '@scure/base';
import { readDocument, refusedWhole, type FileResult, type Document } from '@core/records/files';

/*
 * A set-up, or half a check, inside a link, behind the #: that part is never sent to any server. The file as it would
 * be saved, without spaces, packed with a check sum (gzip: without one a changed letter can come out as another
 * set-up), in base 32 of capitals and digits, which a QR code holds in the fewest squares.
 */

/**
 * Longest text behind the #, and longest file that is unpacked from it: far above what a set-up needs, far below what
 * hurts.
 */
const LONGEST_CODE = 40_000;
const LONGEST_FILE = 400_000;

async function through(bytes: Uint8Array, stream: ReadableWritablePair<Uint8Array, BufferSource>, most: number) {
  const reader = new Blob([bytes as BlobPart]).stream().pipeThrough(stream).getReader();
  const parts: Uint8Array[] = [];
  let length = 0;
  for (let next = await reader.read(); !next.done; next = await reader.read()) {
    parts.push(next.value);
    length += next.value.length;
    if (length > most) {
      await reader.cancel();
      throw new RangeError(`more than ${most} bytes`);
    }
  }
  const all = new Uint8Array(length);
  let at = 0;
  for (const part of parts) {
    all.set(part, at);
    at += part.length;
  }
  return all;
}

/** Whether this browser can pack a set-up into a code, and unpack one: older ones cannot. */
export const canPack = (): boolean => typeof CompressionStream === 'function';

/**
 * The code of a document: capitals and digits.
 *
 * @param written as it would be saved.
 */
export async function codeOf(written: string): Promise<string> {
  const text = JSON.stringify(JSON.parse(written));
  return base32nopad.encode(await through(new TextEncoder().encode(text), new CompressionStream('gzip'), LONGEST_FILE));
}

/** The document in a code; what is cut off, mistyped or no set-up is refused whole, as a file is. */
export async function documentOf(code: string): Promise<FileResult<Document>> {
  const told = JSON.stringify(code.slice(0, 20)) + (code.length > 20 ? ` and ${code.length - 20} more characters` : '');
  if (code === '') return refusedWhole('nothing', 'The link carries no set-up: what stands behind the # is missing.');
  if (code.length > LONGEST_CODE) return refusedWhole(told, `A link carries at most ${LONGEST_CODE} characters.`);
  if (!canPack())
    return refusedWhole(told, 'This browser cannot unpack a link. Open it in a newer one, or ask for the file.');
  try {
    const bytes = base32nopad.decode(code.toUpperCase());
    const text = new TextDecoder('utf-8', { fatal: true }).decode(
      await through(bytes, new DecompressionStream('gzip'), LONGEST_FILE),
    );
    return readDocument(text);
  } catch {
    return refusedWhole(told, 'The link was cut off or changed on its way. Ask for it again, or for the file.');
  }
}
