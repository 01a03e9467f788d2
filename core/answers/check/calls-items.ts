import { literal } from '../../foundations/finding/index.ts';
import { CALL_WORDS, callsMatter, downMatters, wordFor, type Context } from '../../rigs/elements/index.ts';
import { callsSchema, type CallId } from '../../rigs/rig/index.ts';
import { fieldMeta } from '../../things/gear/index.ts';
import type { CheckItem } from './check-item.ts';
import { item } from './item.ts';

/** Calls that decide whether the belay stays on. */
const TRIED: readonly CallId[] = ['take', 'slack', 'lower', 'off-belay'];

/** What two persons tell each other: tried on the ground, before one cannot hear the other. */
export function callsItems({ setup }: Context): CheckItem[] {
  if (!callsMatter(setup)) return [];
  const belayer = setup.persons.find((p) => p.role === 'belayer')!;
  const { by, down, words } = setup.calls;
  const said = TRIED.map((id) => `“${words[id] === '' ? CALL_WORDS[id].word : literal(words[id])}”`);
  const tugs = CALL_WORDS['off-belay'].tugs!;
  return [
    ...(by === 'voice' || by === 'signs'
      ? [
          item({
            id: 'calls',
            part: belayer.id,
            title: by === 'voice' ? 'Calls' : 'Signs',
            look: 'Each other, on the ground.',
            touch:
              by === 'voice'
                ? `Call with the name: ${said.join(', ')}. The belayer answers each.`
                : `Make the signs for ${said.join(', ')}. The belayer answers each.`,
            question: 'Of the four the belayer answered:',
            expected: 'Four',
            others: ['Three or fewer', 'Not tried'],
            why: 'A call you do not understand, you hear as what you expect.',
            sources: ['practice-calls'],
          }),
        ]
      : []),
    ...(by === 'tugs'
      ? [
          item({
            id: 'calls',
            part: belayer.id,
            title: 'Tugs',
            look: 'Away from each other.',
            touch: `The climber tugs as for “${wordFor(words, 'off-belay')}”.`,
            question: 'The belayer counted:',
            // Where the two agreed on something of their own, that is what counts.
            expected: words['off-belay'] === '' ? `${tugs}, long and clear` : literal(words['off-belay']),
            others: ['Another number', 'They were not tried'],
            why: 'Tugs get lost over edges, and rope pulled up for a clip feels like one.',
            sources: ['practice-calls'],
          }),
        ]
      : []),
    ...(downMatters(setup) && down !== 'unknown' ? [comingDown(belayer.id, down)] : []),
  ];
}

function comingDown(part: string, down: 'lower' | 'rappel' | 'stays'): CheckItem {
  const options = Object.entries(fieldMeta(callsSchema.shape.down)!.options!).filter(([key]) => key !== 'unknown');
  return item({
    id: 'coming-down',
    part,
    title: 'At the top',
    look: 'Each other.',
    touch: 'Each says what happens up there.',
    question: 'At the top the climber …',
    expected: options.find(([key]) => key === down)![1],
    others: options.flatMap(([key, label]) => (key === down ? [] : [label])),
    why: 'If the belayer expects a rappel, they take the climber off belay while the climber leans back to be lowered.',
    sources: ['practice-calls'],
  });
}
