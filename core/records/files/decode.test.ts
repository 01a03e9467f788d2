import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { decodeText } from './index.ts';

const bytes = (...list: number[]) => new Uint8Array(list);
const utf16 = (text: string, little: boolean) =>
  new Uint8Array([...text].flatMap((c) => (little ? [c.charCodeAt(0), 0] : [0, c.charCodeAt(0)])));
const says = (b: Uint8Array) => {
  const result = decodeText(b);
  return result.ok ? null : result.issues[0]!.message;
};

describe('the bytes of a file', () => {
  it('are read as UTF-8, whatever the text', () =>
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', minLength: 1 }), (text) => {
        fc.pre(!text.includes('\0') && !text.startsWith('\uFEFF'));
        expect(decodeText(new TextEncoder().encode(text))).toEqual({ ok: true, value: text });
      }),
    ));
  it('with a byte order mark before them, without it', () =>
    expect(decodeText(bytes(0xef, 0xbb, 0xbf, 0x7b, 0x7d))).toEqual({ ok: true, value: '{}' }));
  it.each([
    ['nothing', bytes(), 'The file is empty.'],
    [
      'UTF-16, little end first',
      bytes(0xff, 0xfe, ...utf16('{}', true)),
      'The text of this file is UTF-16. Save it as UTF-8.',
    ],
    [
      'UTF-16, big end first',
      bytes(0xfe, 0xff, ...utf16('{}', false)),
      'The text of this file is UTF-16. Save it as UTF-8.',
    ],
    ['UTF-16 without its mark', utf16('{"format"', true), 'This file is no text.'],
    ['zeros', new Uint8Array(1000), 'This file is no text.'],
    ['half a character', bytes(0x7b, 0xc3), 'The text of this file is not UTF-8. Save it as UTF-8.'],
    ['Latin-1', bytes(0x7b, 0xe9, 0x7d), 'The text of this file is not UTF-8. Save it as UTF-8.'],
  ])('%s', (_, given, message) => expect(says(given)).toBe(message));
});
