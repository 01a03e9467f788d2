import { hanging } from '../redundancy/index.ts';
import { standingAbove, type Context } from '../../rigs/elements/index.ts';
import { hangingBy, type RigPerson } from '../../rigs/rig/index.ts';
import type { CheckItem } from './check-item.ts';
import { item, itemId } from './item.ts';

/** Harness of everybody who hangs or belays, and every hand that brakes. */
export function peopleItems(ctx: Context): CheckItem[] {
  const { persons, attachments } = ctx.setup;
  const worn = persons.filter((p) => p.harness !== null);
  const first = worn[0];
  const several = worn.length > 1;
  const brakers = persons.filter((p) => attachments.some((a) => a.end.kind === 'device' && a.end.hand === p.id));
  const heads = persons.filter((p) => p.item !== null);
  const above = standingAbove(ctx).filter((p) => p.item !== null);
  return [
    ...heads.map((p) => helmet(p, heads[0]!)),
    ...worn.flatMap((p) => [
      item({
        id: itemId('harness', p.harnessId, first!.harnessId),
        part: p.harnessId,
        title: several ? `${p.harness!.name}, on ${personName(p)}` : p.harness!.name,
        look: 'Every buckle, closed as its maker shows.',
        touch: 'Pull on the belt and on both leg loops.',
        question: 'What did the buckles do?',
        expected: 'All stayed closed, none slipped',
        others: ['One slipped', 'One was not closed'],
        why: 'The harness is one of the three things that go wrong most.',
        sources: ['practice-hook-up'],
      }),
      item({
        id: itemId('harness-belt', p.harnessId, first!.harnessId),
        part: p.harnessId,
        title: several ? `Waist belt of ${personName(p)}` : 'Waist belt',
        look: 'Where the belt sits.',
        touch: 'Pull it down with both hands.',
        question: 'Where did the belt end up?',
        expected: 'Above the hips',
        others: ['On the hips', 'Over the hips'],
        why: 'A belt that can be drawn over the hips lets a person fall out head down.',
        sources: ['practice-hook-up'],
      }),
    ]),
    ...above.map((p) => atEdge(p, above[0]!)),
    ...brakers.flatMap((p) => [brakeHand(ctx, p, brakers[0]!), looseThings(ctx, p, brakers[0]!)]),
  ];
}

/** Who belays from above stands where the others can fall. */
const atEdge = (p: RigPerson, first: RigPerson): CheckItem =>
  item({
    id: itemId('edge-tied', p.id, first.id),
    part: p.id,
    title: `${personName(p)} at the edge`,
    look: 'What leads from the belayer’s harness to the anchor.',
    touch: 'Pull on it, away from the edge and towards it.',
    question: 'How far did the pull let the belayer go?',
    expected: 'Not as far as the edge',
    others: ['As far as the edge', 'Nothing is attached'],
    why: 'A belayer who is pulled over the edge holds nobody.',
    sources: ['practice-edge'],
  });

export const personName = (p: RigPerson): string => p.item?.name ?? `the ${p.role}`;

const helmet = (p: RigPerson, first: RigPerson): CheckItem =>
  item({
    id: itemId('helmet', p.id, first.id),
    part: p.id,
    title: `Helmet of ${personName(p)}`,
    look: 'On the head, level, the strap under the chin.',
    touch: 'Push it up from the front and from behind.',
    question: 'What did the helmet do?',
    expected: 'It stayed in place',
    others: ['It moved', 'There is none'],
    why: 'Rockfall and dropped gear hit whoever climbs and whoever stands below.',
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
    title: first === p && own ? 'Brake hand' : `Brake hand of ${personName(p)}`,
    look: `Which hand lies on ${where}.`,
    touch: `Lay the ${hand} hand on ${where}.`,
    question: 'Which hand is on the brake strand?',
    expected: Hand[hand],
    others: [Hand[hand === 'right' ? 'left' : 'right'], 'Neither'],
    why: 'The rig is made for this hand: hitch, gate and lever lie on its side.',
    sources: ['practice-brake-hand'],
  });
}

const looseThings = (ctx: Context, p: RigPerson, first: RigPerson): CheckItem =>
  item({
    id: itemId('loose-things', p.handId, first.handId),
    part: p.handId,
    title: first === p && hanging(ctx).length === 1 ? 'Hair and clothing' : `Hair and clothing of ${personName(p)}`,
    look: 'Hair, straps, jacket and gloves near the device.',
    touch: 'Tuck in and tie back what hangs.',
    question: 'What hangs where the device could pull it in?',
    expected: 'Nothing',
    others: ['Hair or a strap', 'Jacket or glove'],
    why: 'A device pulls in what lies on the rope.',
    sources: ['practice-clear-of-device'],
  });
