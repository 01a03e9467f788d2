import { literal } from '../../foundations/finding/index.ts';
import type { Context } from '../../rigs/elements/index.ts';
import { belaysFromHarness, deviceOf, hangingBy, type Attachment } from '../../rigs/rig/index.ts';
import { threshold } from '../../foundations/sources/index.ts';
import { exactly } from '../../foundations/units/index.ts';
import type { CheckItem } from './check-item.ts';
import { item, itemId } from './item.ts';
import { personName } from './people-items.ts';

/** What is tried with weight, low above the ground or with something else still holding. */
export function testItems(ctx: Context): CheckItem[] {
  const { attachments } = ctx.setup;
  // A casualty tries nothing.
  const tries = (a: Attachment) => !hangingBy(ctx.index, a).some((p) => p.role === 'casualty');
  const devices = attachments.filter((a) => deviceOf(a)?.item && a.use !== 'aid' && tries(a));
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

const titleOf = (a: Attachment): string => (a.id === 'main' ? 'Load-test the device' : a.label);
const tried = (a: Attachment, first: Attachment): string => (a === first ? 'Try the hitch' : a.label);

const idOf = (ctx: Context, kind: 'weigh-device' | 'lanyard-on' | 'hold-person', a: Attachment) =>
  itemId(kind, a.id, ctx.setup.attachments.find((x) => x.end.kind === 'device')!.id);

function weigh(ctx: Context, a: Attachment): CheckItem[] {
  const climbs = ctx.use(a).climbs;
  const weighed = item({
    id: idOf(ctx, 'weigh-device', a),
    part: a.end.id,
    kind: 'function-test',
    title: titleOf(a),
    look: climbs
      ? 'Feet just off the ground, nothing below to fall onto.'
      : 'Your lanyard is still in the anchor. Nobody unclips it yet.',
    touch: climbs ? 'Sit into it and bounce three times, hands off.' : 'Slack out, brake hand on, sit down.',
    question: climbs ? 'Bounced three times, it:' : 'You hang on:',
    expected: climbs ? 'Holds each time' : 'The device alone',
    others: climbs ? ['Slips, then holds', 'Runs'] : ['Still the lanyard', 'Both'],
    why: 'Do not trust anything you have not loaded.',
    sources: ['practice-hook-up', 'practice-slow'],
  });
  if (climbs) return [weighed];
  return [
    weighed,
    item({
      id: idOf(ctx, 'lanyard-on', a),
      part: a.end.id,
      kind: 'function-test',
      title: titleOf(a),
      look: 'Its connector in the anchor, while the device carries.',
      touch: 'Pull at it.',
      question: 'Lanyard:',
      expected: 'Slack, still clipped',
      others: ['Off already', 'Tight'],
      why: 'Until device and hitch have been tested, this is what holds you.',
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
    touch: 'Slack in, brake hand on. The other leans back with full weight.',
    question: 'In the device the rope:',
    expected: 'Holds',
    others: ['Creeps', 'Holds only by all the hand’s force'],
    why: 'Do not trust anything you have not loaded.',
    sources: ['practice-hook-up', 'practice-lowering'],
  });
}

function bites({ setup }: Context, a: Attachment, first: Attachment): CheckItem {
  return item({
    id: itemId('hitch-bites', a.id, first.id),
    part: a.end.id,
    kind: 'function-test',
    title: tried(a, first),
    look: `The hand stays on the rope below the hitch.${setup.site.steepness === 'low' ? ' At this angle the hitch has to be pushed down.' : ' On ground this steep the hitch runs easily.'}`,
    touch: 'Load it.',
    question: 'Hand eased, it:',
    expected: 'Grips',
    others: ['Slips', 'Slips, then grips'],
    why: 'A hitch that was not seen to bite is not a backup.',
    sources: ['practice-hitch-test', 'practice-hitch-angle'],
  });
}

const letsGo = (a: Attachment, first: Attachment): CheckItem =>
  item({
    id: itemId('hitch-lets-go', a.id, first.id),
    part: a.end.id,
    kind: 'function-test',
    title: tried(a, first),
    look: 'The wraps, while the hitch is loaded.',
    touch: 'Push it down with one hand.',
    question: 'Pushed, it:',
    expected: 'Lets go',
    others: ['Does not', 'Not pushed'],
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
    title: 'Gap to the device',
    look: 'The gap between the wraps and the device, hitch loaded.',
    touch: knee
      ? 'Raise the knee on that side as high as it goes.'
      : 'Lean back, and pull the hitch up as far as it goes.',
    question: knee ? 'Knee raised, it is:' : 'Leaned back, it is:',
    expected: knee ? 'Three fingers ({margin}) or more' : 'A hand’s width ({margin}) or more',
    others: ['Less', 'They touch'],
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
