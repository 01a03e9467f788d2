import { literal } from '../../foundations/finding/index.ts';
import type { Context } from '../../rigs/elements/index.ts';
import { belaysFromHarness, hangingBy, type Attachment } from '../../rigs/rig/index.ts';
import { threshold } from '../../foundations/sources/index.ts';
import { exactly } from '../../foundations/units/index.ts';
import type { CheckItem } from './check-item.ts';
import { item, itemId } from './item.ts';
import { personName } from './people-items.ts';

/** What is tried with weight, low above the ground or with something else still holding. */
export function testItems(ctx: Context): CheckItem[] {
  const { attachments } = ctx.setup;
  const devices = attachments.filter((a) => a.end.kind === 'device' && a.end.item !== null && a.use !== 'aid');
  const hitches = attachments.filter((a) => a.end.kind === 'hitch' && a.end.item !== null);
  return [
    ...devices.flatMap((a) =>
      belaysFromHarness(ctx.index, a) || a.root.kind === 'anchor' ? [holdPerson(ctx, a)] : weigh(ctx, a),
    ),
    ...hitches.flatMap((a) => [
      bites(ctx, a, hitches[0]!),
      letsGo(a, hitches[0]!),
      ...(ctx.deviceAbove(a) ? clear(a, hitches[0]!) : []),
    ]),
  ];
}

const idOf = (ctx: Context, kind: 'weigh-device' | 'lanyard-on' | 'hold-person', a: Attachment) =>
  itemId(kind, a.id, ctx.setup.attachments.find((x) => x.end.kind === 'device')!.id);

function weigh(ctx: Context, a: Attachment): CheckItem[] {
  const climbs = ctx.use(a).climbs;
  const weighed = item({
    id: idOf(ctx, 'weigh-device', a),
    part: a.end.id,
    kind: 'function-test',
    title: a.id === 'main' ? 'Weigh the device' : `Weigh the ${a.label.toLowerCase()}`,
    look: climbs
      ? 'Feet just off the ground, nothing below to fall onto.'
      : 'Your lanyard is still in the anchor. Nobody unclips it yet.',
    touch: climbs
      ? 'Sit into it and bounce three times, hands off.'
      : 'Take all slack out, sit down on the device, brake hand on the rope.',
    question: climbs ? 'What did it do?' : 'What carries you now?',
    expected: climbs ? 'It held each time' : 'The device alone',
    others: climbs ? ['It slipped before it held', 'It ran'] : ['Still the lanyard', 'Both'],
    why: 'What was never loaded is not trusted.',
    sources: ['practice-hook-up', 'practice-slow'],
  });
  if (climbs) return [weighed];
  return [
    weighed,
    item({
      id: idOf(ctx, 'lanyard-on', a),
      part: a.end.id,
      kind: 'function-test',
      title: 'Lanyard',
      look: 'Its connector in the anchor, while the device carries.',
      touch: 'Pull at it: it is slack.',
      question: 'Where is the lanyard now?',
      expected: 'Slack, still clipped to the anchor',
      others: ['Off already', 'Tight'],
      why: 'Until device and hitch were weighed it is what holds.',
      sources: ['practice-hook-up'],
    }),
  ];
}

/** Somebody else hangs on it: the rope is loaded while the person still stands or is held otherwise. */
function holdPerson(ctx: Context, a: Attachment): CheckItem {
  const [person] = hangingBy(ctx.index, a);
  return item({
    id: idOf(ctx, 'hold-person', a),
    part: a.end.id,
    kind: 'function-test',
    title: 'Take the weight',
    look: `${person ? literal(personName(person)) : 'The person'} still stands, or hangs on something else.`,
    touch: 'Take all slack in, brake hand on, and let the person lean back with full weight.',
    question: 'What did the rope do in the device?',
    expected: 'It held',
    others: ['It crept through the device', 'The hand had to pull with all its force'],
    why: 'What was never loaded is not trusted.',
    sources: ['practice-hook-up', 'practice-lowering'],
  });
}

function bites({ setup }: Context, a: Attachment, first: Attachment): CheckItem {
  return item({
    id: itemId('hitch-bites', a.id, first.id),
    part: a.end.id,
    kind: 'function-test',
    title: a === first ? 'Hitch bites' : `${a.label} bites`,
    look: `The hand stays on the rope below the hitch.${setup.site.steepness === 'low' ? ' At this angle the hitch has to be pushed down.' : ' On ground this steep the hitch runs easily.'}`,
    touch: 'Let the hitch take the rope, and ease the hand.',
    question: 'What did the hitch do?',
    expected: 'It gripped',
    others: ['It slipped', 'It slipped, then gripped'],
    why: 'A hitch that was not seen to bite is not a backup.',
    sources: ['practice-hitch-test', 'practice-hitch-angle'],
  });
}

const letsGo = (a: Attachment, first: Attachment): CheckItem =>
  item({
    id: itemId('hitch-lets-go', a.id, first.id),
    part: a.end.id,
    kind: 'function-test',
    title: a === first ? 'Hitch lets go' : `${a.label} lets go`,
    look: 'The wraps, while the hitch is loaded.',
    touch: 'Push the hitch down with one hand.',
    question: 'What did the loaded hitch do when it was pushed?',
    expected: 'It let go',
    others: ['It would not let go', 'It was not pushed'],
    why: 'A hitch that does not let go leaves you hanging.',
    sources: ['practice-hitch-test'],
  });

/**
 * The clearance that was judged is the one that is asked for: a hand's width hanging, three fingers with the knee
 * raised.
 */
const clear = (a: Attachment, first: Attachment): CheckItem[] => [
  clearance(a, first, false),
  ...(a.root.kind === 'harness' && a.root.point === 'leg-loop' ? [clearance(a, first, true)] : []),
];

function clearance(a: Attachment, first: Attachment, knee: boolean): CheckItem {
  return item({
    id: itemId(knee ? 'hitch-clear-knee' : 'hitch-clear', a.id, first.id),
    part: a.end.id,
    kind: 'function-test',
    title: knee ? 'Hitch stays clear, knee raised' : 'Hitch stays clear of the device',
    look: 'The gap between the wraps and the device, hitch loaded.',
    touch: knee
      ? 'Raise the knee on that side as high as it goes.'
      : 'Lean back, and pull the hitch up as far as it goes.',
    question: 'How much room is left?',
    expected: knee ? 'At least three fingers ({margin})' : 'At least a hand’s width ({margin})',
    others: [knee ? 'Less than three fingers' : 'Less than a hand’s width', 'It touches'],
    numbers: [
      {
        key: 'margin',
        label: 'Clearance asked for',
        quantity: 'lengthMm',
        value: exactly(threshold(knee ? 'hitchClearanceKneeMm' : 'hitchClearanceMarginMm')),
      },
    ],
    why: 'A hitch that touches the device is pushed open by it.',
    sources: ['practice-hitch-clear'],
  });
}
