import type { Context } from '../parts/index.ts';
import type { CheckItem } from './check-item.ts';
import { item } from './item.ts';

/** What is looked at in a tree before anybody goes up: how the tie-in point was tried, where the line runs, and what else holds up there. */
export function treeItems({ setup }: Context): CheckItem[] {
  const { tree } = setup.site;
  if (!tree) return [];
  const line = setup.lines[0]!;
  return [
    item({
      id: 'tree-tried',
      part: line.anchor,
      title: 'Tie-in point',
      look: 'At limb, stem and roots while the line is loaded; the fork through glasses or from two sides.',
      touch: 'Bounce on the line together, from the ground.',
      question: 'How many bounced on the line, and did anything move?',
      expected: 'Two, and nothing moved',
      others: ['One, and nothing moved', 'Something moved, or cracked', 'Nobody'],
      why: 'Two from the ground load the tie-in point more than one will up there.',
      sources: ['practice-tree-point'],
    }),
    // Where it does, or nobody has said, that is asked as what was found.
    ...(tree.overLimb === 'none'
      ? [
          item({
            id: 'tree-runs',
            part: line.id,
            title: 'Where the line runs',
            look: 'Along the loaded line from the tie-in down, from two sides.',
            touch: 'Shake a wave up the line.',
            question: 'Over how many limbs does the loaded line bend below its tie-in?',
            expected: 'None',
            others: ['One', 'More than one', 'It cannot be seen'],
            why: 'Friction there hides slack, which comes out at once.',
            sources: ['practice-limb'],
          }),
        ]
      : []),
    ...(tree.second === 'lanyard'
      ? [
          item({
            id: 'tree-lanyard',
            part: setup.persons[0]!.id,
            title: 'Lanyard',
            look: 'At both its ends, and its adjuster.',
            touch: 'Put it round the stem here, and lean in.',
            question: 'What is it clipped to?',
            expected: 'Points of its own on the harness, locked',
            others: ['The point that the line is on', 'A gear loop', 'It is not here'],
            why: 'Nobody cuts, and nobody changes, on one attachment.',
            sources: ['practice-tree-point', 'ansi-z133'],
          }),
        ]
      : []),
  ];
}
