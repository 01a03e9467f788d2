import { expect, it } from 'vitest';
import { KEEPING_WORDS, keepingOf } from './keeping';

it('what the browser has promised goes before what its engine usually does', () => {
  expect(keepingOf('Apple Computer, Inc.', false, true)).toBe('kept');
  expect(keepingOf('', false, true)).toBe('kept');
});
it('one engine clears after a week, unless the page stands on the home screen', () => {
  expect(keepingOf('Apple Computer, Inc.', false, false)).toBe('a-week');
  expect(keepingOf('Apple Computer, Inc.', false, undefined)).toBe('a-week');
  expect(keepingOf('Apple Computer, Inc.', true, undefined)).toBe('not-told');
  expect(KEEPING_WORDS['a-week']).toContain('7 days');
});
it('who says nothing promises nothing', () => {
  expect(keepingOf('Google Inc.', false, false)).toBe('while-there-is-room');
  expect(keepingOf('', true, undefined)).toBe('not-told');
});
