import { spellCheckDocument } from 'cspell-lib';
import { fleschKincaid } from 'flesch-kincaid';
import { syllable } from 'syllable';
import { expect, it } from 'vitest';
import { textsIn, textsOf } from '../../../scripts/texts.ts';
import { GLOSSARY, inWords, type Vocabulary } from './index.ts';

/** Ways to say it that nobody reads easily, or that mean something else to a climber; with what is said instead. */
const OUT: readonly (readonly [RegExp, string])[] = [
  [/\bit is not said\b/i, 'Not entered yet: …'],
  [/\bwhoever\b/i, 'you, the second, the person below, anyone who …'],
  [
    /(?<!(lower|last|other|first|each|this|that|loose|side:) )\bone (hangs|goes|climbs|stands|sees|minds|falls|knows)\b(?! above)/i,
    'you …',
  ],
  [/\breckon/i, 'assumed, calculated'],
  [/(?<!\{)\bjerk/i, 'shock load, bounce'],
  [/\bthird hand\b/i, 'mini haul; the hitch below a rappel device is a third hand elsewhere'],
  [/\brunners?\b/i, 'piece'],
  [/\b(an|the) own\b/i, 'your own, their own'],
  [/(?<!load )\bstrand to the (second|climber|leader|first|other)\b/i, 'the second’s strand, the climber’s strand'],
  [/\bweighed\b|\bweigh (it|the device)\b/i, 'load, test with your weight: to weigh is to use scales'],
  [/\babseil loop\b/i, 'belay loop, in both kinds of English'],
  [/\b(grips|holds|runs) by itself\b/i, 'hands-off; the rope feeds itself'],
  [/'Take (a|an|another) /, 'Use …: “take” is a call'],
  [/\bMind\b/, 'Caution'],
  [/\bsafe(ly)?\b(?! distance)/i, 'nothing is called safe here'],
];
/** Common English of a standard, a title or a sentence in which the word means what it says everywhere. */
const MEANT: readonly RegExp[] = [
  // What others call it, in the list of words.
  /\((US|UK)\b/,
  /you could safely fall/,
  /as fast as you safely can/,
  /if you can reach them safely/,
];

it('finds texts and leaves out what nobody reads', () => {
  const source = [
    "import x from 'a module name';",
    "const a = { says: 'The rope is cut.', n: `Of ${n} ropes one is cut` };",
    'const b = <p className="two words">Some {n} words here</p>;',
  ].join('\n');
  expect(textsIn('a.tsx', source).map(({ line, text }) => [line, text])).toEqual([
    [2, 'The rope is cut.'],
    [2, 'Of … ropes one is cut'],
    [3, 'words here'],
  ]);
});

it('no text that a person can meet says it in a way that is out', () => {
  const texts = textsOf(['core', 'web', 'cli']);
  // As many as there are at least: a search that finds nothing would pass.
  expect(texts.length).toBeGreaterThan(5000);
  const found = texts.flatMap(({ file, line, text }) =>
    OUT.flatMap(([out, instead]) =>
      out.test(text) && !MEANT.some((m) => m.test(text)) ? [`${file}:${line}: ${text} (better: ${instead})`] : [],
    ),
  );
  expect(found).toEqual([]);
});

/** Words of the trade and names of people that no dictionary of English has. */
const TRADE =
  'Zevrin Munter belayer topo UHMWPE Eytelwein Wexler kernmantle hypot Prusik Vesely Haasl NUREG maillon quickdraw autoblock unweight threadings screwgate kilonewton unclip practise';

it.each([
  ['rappel', 'en-US', []],
  // The other dictionary comes as a package of its own.
  ['abseil', 'en-GB', ['@cspell/dict-en-gb/cspell-ext.json']],
] as const)('is spelled as the reader spells: %s', async (words: Vocabulary, language, dictionaries) => {
  const text = textsOf(['core', 'web', 'cli'])
    .map((t) => inWords(t.text, words))
    .join('\n');
  const { issues, errors } = await spellCheckDocument(
    { uri: 'file:///texts.txt', text, languageId: 'plaintext' },
    { generateSuggestions: false, noConfigSearch: true },
    {
      version: '0.2',
      language,
      import: [...dictionaries],
      words: TRADE.split(' ').flatMap((w) => [w, `${w}s`, `${w}ed`, `${w}ped`, `${w}d`]),
      // Names of program that the list takes for texts.
      ignoreWords: ['nowrap', 'standalone', 'zevrin'],
      maxNumberOfProblems: 1000,
    },
  );
  expect(errors ?? []).toEqual([]);
  expect([...new Set(issues.map((i) => i.text))]).toEqual([]);
});

/** Where findings, checks and steps are written, and the pages; the register of sources has titles of standards. */
const READ_ALOUD = /^(core\/(answers|rigs|things|teaching|records)|web)\//;
const LONGEST_WORDS = 24;
/** School years that a text of American English asks for, by Flesch and Kincaid (1975). */
const MOST_GRADE = 8;
const asSentences = (text: string) => text.split(/(?<=[.?!:;])\s+/);
const isSentence = (text: string) => /^\p{Lu}.*[.:?!]$/u.test(text) && text.split(/\s+/).length >= 4;
const written = () => textsOf(['core', 'web']).filter(({ file, text }) => READ_ALOUD.test(file) && isSentence(text));

it(`no sentence has more than ${LONGEST_WORDS} words`, () => {
  const sentences = written().flatMap(({ file, line, text }) => asSentences(text).map((s) => `${file}:${line}: ${s}`));
  expect(sentences.length).toBeGreaterThan(3000);
  expect(sentences.filter((s) => s.split(/\s+/).length > LONGEST_WORDS + 1)).toEqual([]);
});

it(`every room is read with at most ${MOST_GRADE} years of school, terms of the trade taken as known`, () => {
  const terms = new RegExp(
    `\\b(${Object.values(GLOSSARY)
      .map((t) => t.name)
      .join('|')}|connector|device|belayer|climber|instructions)s?\\b`,
    'gi',
  );
  const rooms = new Map<string, string[]>();
  for (const { file, text } of written()) {
    const room = file.split('/').slice(0, -1).join('/');
    // A colon does not end a sentence here: that would make every text look easy.
    rooms.set(room, [...(rooms.get(room) ?? []), ...text.replace(terms, 'rope').split(/(?<=[.?!])\s+/)]);
  }
  const grades = [...rooms].flatMap(([room, sentences]) => {
    const words = sentences.flatMap((s) => s.match(/[\p{L}’'-]+/gu) ?? []);
    const grade = fleschKincaid({
      sentence: sentences.length,
      word: words.length,
      syllable: words.reduce((n, word) => n + syllable(word), 0),
    });
    // A few sentences say nothing about a room.
    return words.length < 100 ? [] : [[room, grade] as const];
  });
  expect(grades.length).toBeGreaterThan(15);
  expect(grades.filter(([, grade]) => grade > MOST_GRADE)).toEqual([]);
});
