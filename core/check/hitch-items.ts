import { HITCHES } from '../friction/index.ts';
import type { Setup } from '../rig/index.ts';
import { threshold } from '../sources/index.ts';
import { exactly } from '../units/index.ts';
import type { CheckItem } from './check-item.ts';
import { item } from './item.ts';

/** The hitch, its cord and its connector. */
export function hitch({ gear, rig, people }: Setup): CheckItem[] {
  const n = rig.hitchWraps;
  const side = people.climber?.brakeHand ?? 'right';
  const other = side === 'right' ? 'left' : 'right';
  const onLeg = rig.hitchAt === 'leg-loop';
  const items = [
    item({
      id: 'hitch-wraps',
      part: 'hitch',
      title: `${HITCHES[rig.hitchKind]}: ${gear.hitchCord!.name}`,
      look: 'Wraps lie side by side, none crosses; the bend of the cord lies clear of the wraps.',
      touch: 'Count the wraps with a finger.',
      question: 'How many wraps around how many strands?',
      expected: `${n} around both strands`,
      others: [`${n > 1 ? n - 1 : n + 1} around both strands`, `${n} around one strand`],
      why: 'Too few wraps slip, too many will not let go; around one strand the other runs on.',
      sources: ['practice-hitch-wraps'],
    }),
  ];
  if (gear.hitchConnector) {
    items.push(
      item({
        id: 'hitch-connector',
        part: 'hitchConnector',
        title: gear.hitchConnector.name,
        look: `${rig.hitchKind === 'autoblock' ? 'Both ends of the loop' : 'The whole loop'} in the connector.`,
        touch: 'Press the gate.',
        question: 'Where is it clipped, and what holds the cord?',
        expected: onLeg ? `Leg loop, ${side}; both ends, gate locked` : 'Belay loop; both ends, gate locked',
        others: onLeg
          ? [`Leg loop, ${other}; both ends, gate locked`, `Leg loop, ${side}; one end or gate not locked`]
          : ['Belay loop; one end or gate not locked', 'Leg loop; both ends, gate locked'],
        why: 'With one end clipped the wraps unroll.',
        sources: ['practice-hitch-test', 'practice-leg-loop'],
      }),
    );
  }
  return items;
}

/** What is tried with weight, low above the ground or with something else still holding. */
export function functionTests({ situation, rig }: Setup, withHitch: boolean): CheckItem[] {
  const tests: CheckItem[] = [
    item({
      id: 'weigh-device',
      part: 'device',
      kind: 'function-test',
      title: 'Weigh the device',
      look: 'Your lanyard is still in the anchor. Nobody unclips it yet.',
      touch: 'Take all slack out, sit down on the device, brake hand on the rope.',
      question: 'What carries you now?',
      expected: 'The device; lanyard slack but still clipped',
      others: ['Still the lanyard', 'The device; lanyard already off'],
      why: 'What was never loaded is not trusted.',
      sources: ['practice-hook-up', 'practice-slow'],
    }),
  ];
  if (!withHitch) return tests;
  tests.push(
    item({
      id: 'hitch-bites',
      part: 'hitch',
      kind: 'function-test',
      title: 'Hitch bites, and lets go',
      look: `The hand stays on the rope below the hitch.${situation.steepness === 'low' ? ' At this angle the hitch has to be pushed down.' : ' On ground this steep the hitch runs easily.'}`,
      touch: 'Let the hitch take the strands, ease the hand, then push the hitch down.',
      question: 'What did the hitch do?',
      expected: 'Gripped, then let go when pushed',
      others: ['Slipped', 'Gripped and would not let go'],
      why: 'A hitch that was not seen to bite is not a backup.',
      sources: ['practice-hitch-test', 'practice-hitch-angle'],
    }),
    item({
      id: 'hitch-clear',
      part: 'hitch',
      kind: 'function-test',
      title: 'Hitch stays clear of the device',
      look: 'The gap between the wraps and the device, hitch loaded.',
      touch:
        rig.hitchAt === 'leg-loop'
          ? 'Raise the knee on that side as high as it goes.'
          : 'Lean back and pull the hitch up as far as it goes.',
      question: 'How much room is left at the worst?',
      expected: 'More than {margin}',
      others: ['Less than {margin}', 'It touches'],
      numbers: [
        {
          key: 'margin',
          label: 'Clearance asked for',
          quantity: 'lengthMm',
          value: exactly(threshold('hitchClearanceMarginMm')),
        },
      ],
      why: 'A hitch that touches the device is pushed open by it.',
      sources: ['practice-hitch-clear'],
    }),
  );
  return tests;
}
