import { hanging } from '../hold/index.ts';
import type { Context } from '../parts/index.ts';
import { hangingBy, type RigPerson } from '../rig/index.ts';
import type { CheckItem } from './check-item.ts';
import { item, itemId } from './item.ts';

/** Harness of everybody who hangs or belays, and every hand that brakes. */
export function peopleItems(ctx: Context): CheckItem[] {
  const { persons, attachments } = ctx.setup;
  const worn = persons.filter((p) => p.harness !== null);
  const first = worn[0];
  const several = worn.length > 1;
  const brakers = persons.filter((p) => attachments.some((a) => a.end.kind === 'device' && a.end.hand === p.id));
  return [
    ...worn.map((p) =>
      item({
        id: itemId('harness', p.harnessId, first!.harnessId),
        part: p.harnessId,
        title: several ? `${p.harness!.name}, on ${nameOf(p)}` : p.harness!.name,
        look: 'Waist belt above the hips; every buckle closed as its maker shows.',
        touch: 'Pull on the belt and on both leg loops.',
        question: 'What did the buckles do?',
        expected: 'All stay closed, none slips',
        others: ['One slips or is not closed', 'Belt sits on the hips or turns'],
        why: 'The harness is one of the three things that go wrong most.',
        sources: ['practice-hook-up'],
      }),
    ),
    ...brakers.map((p) => looseThings(ctx, p, brakers[0]!)),
  ];
}

export const nameOf = (p: RigPerson): string => p.item?.name ?? `the ${p.role}`;

function looseThings(ctx: Context, p: RigPerson, first: RigPerson): CheckItem {
  const hand = p.item?.brakeHand ?? 'right';
  const device = ctx.setup.attachments.find((a) => a.end.kind === 'device' && a.end.hand === p.id)!;
  const two = device.end.kind === 'device' && ctx.use(device).strands === 'two';
  const own = hangingBy(ctx.index, device).some((x) => x.id === p.id);
  const strand = two ? 'both brake strands' : 'the brake strand';
  const where = own ? `${strand} below the device` : strand;
  return item({
    id: itemId('loose-things', p.handId, first.handId),
    part: p.handId,
    title:
      first === p && hanging(ctx).length === 1 && own ? 'Hand, hair, clothing' : `Hand, hair, clothing of ${nameOf(p)}`,
    look: 'Hair, straps, jacket and gloves near the device.',
    touch: `Lay the ${hand} hand on ${where}.`,
    question: 'Which hand brakes, and what can be pulled in?',
    expected: `${hand === 'right' ? 'Right' : 'Left'} hand brakes; nothing can be pulled in`,
    others: [
      `${hand === 'right' ? 'Left' : 'Right'} hand brakes; nothing can be pulled in`,
      'Something hangs near the device',
    ],
    why: 'A device pulls in what lies on the rope.',
    sources: ['practice-clear-of-device'],
  });
}
