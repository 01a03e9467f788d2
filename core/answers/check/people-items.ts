import { standingAbove, type Context } from '../../rigs/elements/index.ts';
import { hangingBy, type RigPerson } from '../../rigs/rig/index.ts';
import type { CheckItem } from './check-item.ts';
import { item, itemId } from './item.ts';

/** Harness of everybody who hangs or belays, and every hand that brakes. */
export function peopleItems(ctx: Context): CheckItem[] {
  const { persons, attachments } = ctx.setup;
  const worn = persons.filter((p) => p.harness !== null);
  const first = worn[0];
  const brakers = persons.filter((p) => attachments.some((a) => a.end.kind === 'device' && a.end.hand === p.id));
  const heads = persons.filter((p) => p.item !== null);
  const above = standingAbove(ctx).filter((p) => p.item !== null);
  return [
    ...persons.flatMap((p) => [
      ...(p.item === null ? [] : [helmet(p, heads[0]!)]),
      ...(p.harness === null ? [] : harnessItems(p, first!)),
    ]),
    ...above.map((p) => atEdge(p, above[0]!)),
    ...brakers.flatMap((p) => [brakeHand(ctx, p, brakers[0]!), looseThings(p, brakers[0]!)]),
  ];
}

const harnessItems = (p: RigPerson, first: RigPerson): CheckItem[] => [
  item({
    id: itemId('harness', p.harnessId, first.harnessId),
    part: p.harnessId,
    title: headingOf(p),
    look: 'Every buckle, closed as its maker shows.',
    touch: 'Pull on the belt and on both leg loops.',
    question: 'Buckles, pulled:',
    expected: 'Stay closed',
    others: ['Slip', 'One is open'],
    why: 'Most accidents start with harness, anchor or device.',
    sources: ['practice-hook-up'],
  }),
  item({
    id: itemId('harness-belt', p.harnessId, first.harnessId),
    part: p.harnessId,
    title: headingOf(p),
    look: 'Where the belt sits.',
    touch: 'Pull it down with both hands.',
    question: 'Belt, pulled down:',
    expected: 'Stays above the hips',
    others: ['Slides over them'],
    why: 'If the waist belt slides over the hips you can fall out upside down.',
    sources: ['practice-hook-up'],
  }),
];

/** Who belays from above stands where the others can fall. */
const atEdge = (p: RigPerson, first: RigPerson): CheckItem =>
  item({
    id: itemId('edge-tied', p.id, first.id),
    part: p.id,
    title: `${headingOf(p)} at the edge`,
    look: 'What leads from the belayer’s harness to the anchor.',
    touch: 'Pull on it, away from the edge and towards it.',
    question: 'Pulled towards the edge, the belayer:',
    expected: 'Stops short of it',
    others: ['Gets to it', 'Is not attached'],
    why: 'A belayer who is pulled over the edge holds nobody.',
    sources: ['practice-edge'],
  });

export const personName = (p: RigPerson): string => p.item?.name ?? `the ${p.role}`;
const headingOf = (p: RigPerson): string => p.item?.name ?? `The ${p.role}`;

const helmet = (p: RigPerson, first: RigPerson): CheckItem =>
  item({
    id: itemId('helmet', p.id, first.id),
    part: p.id,
    title: headingOf(p),
    look: 'On the head, level, the strap under the chin.',
    touch: 'Push it up from the front and from behind.',
    question: 'Helmet, pushed up:',
    expected: 'Stays in place',
    others: ['Moves', 'There is none'],
    why: 'Rockfall and dropped gear hit the climber and the people below.',
    sources: ['practice-helmet'],
  });

function brakeHand(ctx: Context, p: RigPerson, first: RigPerson): CheckItem {
  const hand = p.item?.brakeHand ?? 'right';
  const device = ctx.setup.attachments.find((a) => a.end.kind === 'device' && a.end.hand === p.id)!;
  const two = device.end.kind === 'device' && ctx.use(device).strands === 'two';
  const own = hangingBy(ctx.index, device).some((x) => x.id === p.id);
  const Hand = { right: 'The right hand', left: 'The left hand' } as const;
  const strand = two ? 'both brake strands' : 'the brake strand';
  const where = own ? `${strand} below the device` : strand;
  return item({
    id: itemId('brake-hand', p.handId, first.handId),
    part: p.handId,
    title: `${headingOf(p)} at the device`,
    look: `Which hand lies on ${where}.`,
    touch: `Take ${where}, as when it is used.`,
    question: 'On the brake strand lies:',
    expected: Hand[hand],
    others: [Hand[hand === 'right' ? 'left' : 'right'], 'Neither'],
    why: 'The rig is made for this hand: hitch, gate and lever lie on its side.',
    sources: ['practice-brake-hand'],
  });
}

const looseThings = (p: RigPerson, first: RigPerson): CheckItem =>
  item({
    id: itemId('loose-things', p.handId, first.handId),
    part: p.handId,
    title: `${headingOf(p)} at the device`,
    look: 'Hair, straps, jacket and gloves near the device.',
    touch: 'Tuck in and tie back what hangs.',
    question: 'Hair, straps, gloves:',
    expected: 'Clear of the device',
    others: ['Near it'],
    why: 'The device pulls in anything that lies on the rope.',
    sources: ['practice-clear-of-device'],
  });
