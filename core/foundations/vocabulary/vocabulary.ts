import type { UnitSystem } from '../units/index.ts';

/**
 * The words of the trade that differ from place to place, in one table: every text is written once, with whichever
 * word, and shown in the words of the reader. A row holds the forms in the order of VOCABULARIES; longer terms stand
 * before the shorter ones they contain.
 */
export const VOCABULARIES = {
  rappel: { label: 'Rappel, carabiner, color', system: 'imperial' },
  abseil: { label: 'Abseil, karabiner, colour', system: 'metric' },
} as const satisfies Record<
  string,
  { readonly label: string; /** Units that go with these words until others are chosen. */ readonly system: UnitSystem }
>;

export type Vocabulary = keyof typeof VOCABULARIES;
export const isVocabulary = (text: string): text is Vocabulary => text in VOCABULARIES;

const ROWS: readonly Readonly<Record<Vocabulary, string>>[] = [
  { rappel: 'rappelling', abseil: 'abseiling' },
  { rappel: 'rappelled', abseil: 'abseiled' },
  { rappel: 'rappels', abseil: 'abseils' },
  { rappel: 'rappel', abseil: 'abseil' },
  { rappel: 'carabiners', abseil: 'karabiners' },
  { rappel: 'carabiner', abseil: 'karabiner' },
  { rappel: 'bicolored', abseil: 'bicoloured' },
  { rappel: 'colored', abseil: 'coloured' },
  { rappel: 'colors', abseil: 'colours' },
  { rappel: 'color', abseil: 'colour' },
  { rappel: 'fibers', abseil: 'fibres' },
  { rappel: 'fiber', abseil: 'fibre' },
  { rappel: 'millimeters', abseil: 'millimetres' },
  { rappel: 'centimeters', abseil: 'centimetres' },
  { rappel: 'meters', abseil: 'metres' },
  { rappel: 'meter', abseil: 'metre' },
  { rappel: 'centers', abseil: 'centres' },
  { rappel: 'center', abseil: 'centre' },
  { rappel: 'labeled', abseil: 'labelled' },
  { rappel: 'neighbors', abseil: 'neighbours' },
  { rappel: 'neighbor', abseil: 'neighbour' },
  { rappel: 'aluminum', abseil: 'aluminium' },
  { rappel: 'gray', abseil: 'grey' },
  { rappel: 'licenses', abseil: 'licences' },
];

const row = new Map(ROWS.flatMap((r) => Object.values(r).map((word) => [word, r] as const)));
const KNOWN = new RegExp(`\\b(${[...row.keys()].sort((a, b) => b.length - a.length).join('|')})\\b`, 'gi');

/** A capital at the beginning stays one. */
const asWritten = (word: string, found: string) =>
  found[0] === found[0]!.toUpperCase() ? word[0]!.toUpperCase() + word.slice(1) : word;

/** A text of the app in the words of the reader. Not for what a user has typed: names stand as they were written. */
export const inWords = (text: string, words: Vocabulary): string =>
  text.replace(KNOWN, (found) => asWritten(row.get(found.toLowerCase())![words], found));
