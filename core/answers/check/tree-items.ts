import type { Context } from '../../rigs/elements/index.ts';
import type { CheckItem } from './check-item.ts';
import { item } from './item.ts';

/**
 * What is looked at in a tree before anybody goes up: how the tie-in point was tried, where the line runs, and what
 * else holds up there.
 */
export function treeItems({ setup }: Context): CheckItem[] {
  const { tree } = setup.site;
  if (!tree) return [];
  const line = setup.lines[0]!;
  return [
    // Where it does, or nobody has said, that is asked as what was found.
    ...(tree.overLimb === 'none'
      ? [
          item({
            id: 'tree-runs',
            part: line.id,
            title: 'Where the line runs',
            look: 'Along the loaded line from the tie-in down, from two sides.',
            touch: 'Flick the rope and watch the wave run up it.',
            question: 'Limbs that the loaded line bends over:',
            expected: 'None',
            others: ['One', 'More than one', 'It cannot be seen'],
            why: 'Friction there can hide slack that comes out all at once.',
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
            question: 'It is clipped to:',
            expected: 'Points of its own on the harness, locked',
            others: ['The point that the line is on', 'A gear loop', 'It is not here'],
            why: 'Nobody cuts, and nobody changes, on one attachment.',
            sources: ['practice-tree-point', 'ansi-z133'],
          }),
        ]
      : []),
    ...(setup.template === 'tree-rappel' ? changeItems(setup) : []),
  ];
}

/** From the climbing hitch to a device up there: tried low first, and nothing of it can fall. */
function changeItems({ persons, attachments }: Context['setup']): CheckItem[] {
  const main = attachments.find((a) => a.id === 'main')!;
  return [
    item({
      id: 'tree-rehearsed',
      part: persons[0]!.id,
      kind: 'function-test',
      title: 'From hitch to device',
      look: 'Hitch above, device below it, both on this line.',
      touch: 'Change over low, with all you take up.',
      question: 'It was rehearsed:',
      expected: 'Half a metre up, on this line',
      others: ['Not at all', 'With another line or device'],
      why: 'Up there your hands are tired and it is too late to find that something does not reach.',
      sources: ['practice-tree-point'],
    }),
    item({
      id: 'tree-tether',
      part: main.end.id,
      title: 'What keeps the device',
      look: 'At the device while its connector is open.',
      touch: 'Let go of it.',
      question: 'Let go of, the device is held by:',
      expected: 'Its tether',
      others: ['Nothing', 'It was not tried'],
      why: 'A device that falls is gone, and it can hit a person below.',
      sources: ['practice-tree-point'],
    }),
  ];
}
