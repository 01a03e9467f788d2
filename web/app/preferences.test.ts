import { expect, it } from 'vitest';
import { readPreferences } from './preferences';

const first = {
  system: 'metric',
  theme: 'light',
  words: 'rappel',
  textSize: 'usual',
  motion: 'machine',
  hand: null,
  remindDays: 30,
} as const;
const read = (kept: unknown) => readPreferences(JSON.stringify(kept), first);

it('what was kept comes back, every choice of it', () => {
  const all = {
    system: 'imperial',
    theme: 'dark',
    words: 'abseil',
    textSize: 'largest',
    motion: 'less',
    hand: 'left',
    remindDays: null,
  };
  expect(read(all)).toEqual(all);
  expect(read({ ...all, remindDays: 7, hand: null })).toEqual({ ...all, remindDays: 7, hand: null });
});
it('a choice that is not there, or is none, is as at first; the others stay', () => {
  expect(read({ system: 'imperial' })).toEqual({ ...first, system: 'imperial' });
  expect(read({ system: 'furlongs', theme: 'dark', hand: 'third', more: 1 })).toEqual({ ...first, theme: 'dark' });
  for (const remindDays of [0, -1, 366, 2.5, 'soon', true]) expect(read({ remindDays })).toEqual(first);
});
it('what is no choice at all is as at first', () => {
  for (const text of [null, '', '{', '[]', '7', 'null', '"metric"'])
    expect(readPreferences(text, first)).toEqual(first);
});
