import type { ReactNode } from 'react';
import { kindOf, type CheckItem } from '@core/answers/check';
import {
  above,
  brakeSide,
  clipped,
  ends,
  gate,
  brakeStrand,
  lie,
  load,
  pairs,
  runsThrough,
  slots,
  strands,
  tail,
  tied,
  twoGates,
  wraps,
} from './answers-drawn';

const COUNT: Readonly<Record<string, number>> = { None: 0, One: 1, Two: 2 };
const GATE: Readonly<Record<string, ReactNode>> = { 'Stays shut': gate(0), 'Gives way': gate(14), Open: gate(34) };

/** Answers of these kinds are about counting or about where something lies: each is drawn as it would look. */
const DRAWN: Partial<Record<NonNullable<ReturnType<typeof kindOf>>, (answer: string) => ReactNode>> = {
  'device-around': (answer) => (answer in COUNT ? strands(COUNT[answer]!) : null),
  'hitch-strands': (answer) => (answer in COUNT ? strands(COUNT[answer]!) : null),
  'hitch-wraps': (answer) => (/^\d+$/.test(answer) ? wraps(Number(answer)) : null),
  'hitch-ends': (answer) => ({ 'Both ends': clipped(2), 'One end': clipped(1), Neither: clipped(0) })[answer] ?? null,
  'device-connector': (answer) => GATE[answer] ?? null,
  'extra-gate': (answer) => GATE[answer] ?? null,
  'tether-gate': (answer) => GATE[answer] ?? null,
  'hitch-connector': (answer) => GATE[answer] ?? null,
  'extra-connector': (answer) =>
    ({
      'Opposed and reversed': twoGates(-1, true),
      'On the same side': twoGates(1, false),
      'Opposed, hinges alike': twoGates(-1, false),
    })[answer] ?? null,
  'brake-side': (answer) => ({ 'The grooves': brakeSide(true), 'The smooth side': brakeSide(false) })[answer] ?? null,
  'load-strand': (answer) => ({ 'The second’s strand': above(true), 'The brake strand': above(false) })[answer] ?? null,
  'strands-lie': (answer) =>
    ({ 'Side by side': lie('beside'), Crossed: lie('crossed'), 'One over the other': lie('over') })[answer] ?? null,
  'brake-led': (answer) =>
    answer.startsWith('Straight down')
      ? brakeStrand('down')
      : answer.startsWith('Up through')
        ? brakeStrand('up')
        : answer === 'Over an edge'
          ? brakeStrand('edge')
          : null,
  'device-strands': (answer) =>
    ({
      'Two, in two slots': slots(['a'], ['a']),
      One: slots(['a']),
      'Two in one slot': slots(['a', 'a']),
      'One of each rope': slots(['a'], ['b']),
      'Two of one rope': slots(['a'], ['a']),
      'Only one': slots(['a']),
    })[answer] ?? null,
  'tie-in-tail': (answer) =>
    ({ 'Longer than a fist': tail(50), Shorter: tail(20), 'Still in the knot': tail(null) })[answer] ?? null,
  anchor: (answer) =>
    ({
      'Metal only': runsThrough(true, false),
      'A sling or cord': runsThrough(false, true),
      'Metal and a sling': runsThrough(true, true),
    })[answer] ?? null,
  'rope-ends': (answer) =>
    ({
      'Both ends': ends(true, true),
      'In both ends': ends(true, true),
      'One of them': ends(true, false),
      'In one': ends(true, false),
      Neither: ends(false, false),
      'In neither': ends(false, false),
    })[answer] ?? null,
  'connector-end': (answer) =>
    ({
      'Broad end': load('broad', false),
      'Narrow end': load('narrow', false),
      Across: load('across', false),
      'At its end': load('end', true),
      'On the gate': load('gate', true),
    })[answer] ?? null,
  'tie-in': (answer) =>
    ({ Five: pairs(5, false), 'Four or fewer': pairs(4, false), 'They cross': pairs(5, true) })[answer] ?? null,
  'tie-in-points': (answer) =>
    ({
      'Both tie-in points': tied('both'),
      'One of them': tied('one'),
      'A gear loop or the belay loop': tied('loop'),
    })[answer] ?? null,
};

/** An answer as it would look; nothing where words alone say it. */
export function AnswerPicture({ item, answer, small }: { item: CheckItem; answer: string; small: boolean }) {
  const drawn = DRAWN[kindOf(item)!]?.(answer);
  if (!drawn) return null;
  return (
    <svg
      viewBox="-4 -4 168 128"
      className={`shrink-0 ${small ? 'h-8 w-10' : 'h-11 w-14'}`}
      aria-hidden
      data-answer-picture
    >
      {drawn}
    </svg>
  );
}
