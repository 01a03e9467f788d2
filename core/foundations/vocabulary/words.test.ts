import { expect, it } from 'vitest';
import { textsIn, textsOf } from '../../../scripts/texts.ts';

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
const MEANT: readonly RegExp[] = [/you could safely fall/, /as fast as you safely can/, /if you can reach them safely/];

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
