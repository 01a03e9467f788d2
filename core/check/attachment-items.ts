import { literal } from '../finding/index.ts';
import { HITCHES } from '../friction/index.ts';
import type { Context } from '../parts/index.ts';
import {
  besideConnector,
  deviceOf,
  hitchOf,
  linesOf,
  mainConnector,
  POINTS,
  ropeSlots,
  slingOf,
  strandsIn,
  type Attachment,
} from '../rig/index.ts';
import type { CheckItem } from './check-item.ts';
import { item, itemId, type ItemKind } from './item.ts';
import { nameOf } from './people-items.ts';

/** Each attachment in its turn: devices with what hangs them, then tie-ins, then hitches. */
export function attachmentItems(ctx: Context): CheckItem[] {
  const { attachments } = ctx.setup;
  const chosen = ({ end }: Attachment) => (end.kind === 'device' || end.kind === 'hitch') && end.item !== null;
  return [
    ...attachments.filter((a) => a.end.kind === 'device' && chosen(a)).flatMap((a) => deviceItems(ctx, a)),
    ...attachments.filter((a) => a.end.kind === 'knot' && a.root.kind === 'harness').flatMap((a) => tieIn(ctx, a)),
    ...attachments.filter((a) => a.end.kind === 'hitch' && chosen(a)).flatMap((a) => hitchItems(ctx, a)),
  ];
}

/** Ids are plain for the first attachment with this kind of end. */
const idOf = (ctx: Context, kind: ItemKind, a: Attachment) =>
  itemId(kind, a.id, ctx.setup.attachments.find((x) => x.end.kind === a.end.kind)!.id);

function deviceItems(ctx: Context, a: Attachment): CheckItem[] {
  const end = deviceOf(a)!;
  const connector = mainConnector(a);
  const lines = linesOf(ctx.index, end);
  if (lines.every((l) => ropeSlots(l).every((r) => r.item === null))) return [];
  return [
    strands(ctx, a),
    ...(connector?.item ? [connectorItem(ctx, a, connector.id, connector.item)] : []),
    ...(a.root.kind === 'anchor' && end.hand ? [brakeLed(ctx, a)] : []),
    ...besideItem(ctx, a),
    ...twoRopes(ctx, a),
    ...extension(ctx, a),
  ];
}

function strands(ctx: Context, a: Attachment): CheckItem {
  const end = deviceOf(a)!;
  const connector = mainConnector(a)?.item?.name ?? 'the connector';
  const doubled = linesOf(ctx.index, end).some((l) => l.kind === 'doubled');
  const two = strandsIn(end) === 'two';
  const shared = {
    id: idOf(ctx, 'device-strands', a),
    part: end.id,
    title: end.item!.name,
    why: `The device is one of the three things that go wrong most${doubled ? '; on one strand the rope pulls through' : ''}.`,
    sources: ['practice-hook-up' as const],
  };
  if (two)
    return item({
      ...shared,
      look: 'Each strand in its own slot, both bights on the connector, brake strands on the brake side.',
      touch: 'Run a finger along each strand, in and out.',
      question: `How many strands go through the device and around ${literal(connector)}?`,
      expected: 'Two through the device, two around the connector',
      others: ['Two through the device, one around the connector', 'One through the device'],
    });
  return item({
    ...shared,
    look: 'The rope in the device as its maker shows; which strand goes to the load, which to the hand.',
    touch: 'Pull sharply at the strand that goes to the load.',
    question: 'Which way does the rope lie, and what did the device do?',
    expected: 'Load and brake strand as shown by its maker; it held',
    others: ['Load and brake strand the wrong way round', 'The rope ran through'],
  });
}

function connectorItem(
  ctx: Context,
  a: Attachment,
  ref: string,
  connector: NonNullable<ReturnType<typeof mainConnector>>['item'] & object,
): CheckItem {
  return item({
    id: idOf(ctx, 'device-connector', a),
    part: ref,
    title: connector.name,
    look: `The rope on the ${connector.shape === 'oval' ? 'bar' : 'broad end'}, the gate away from the brake strands and the rock.`,
    touch: 'Press the gate hard.',
    question: 'What did the gate do when pressed?',
    expected: 'Locked, did not give, faces away',
    others: ['It gave way', 'Locked, but rope or rock runs over it'],
    why: 'Running rope or shaking can open a gate.',
    sources: ['practice-gate', 'practice-broad-end'],
  });
}

function brakeLed(ctx: Context, a: Attachment): CheckItem {
  const redirected = deviceOf(a)!.brakeLed === 'redirected';
  return item({
    id: idOf(ctx, 'brake-led', a),
    part: a.end.id,
    title: 'How the brake strand is led',
    look: 'From the device to the hand.',
    touch: 'Follow the brake strand with the hand.',
    question: 'Where does the brake strand go from the device?',
    expected: redirected ? 'Up through a connector above, then down to the hand' : 'Straight down to the hand',
    others: [
      redirected ? 'Straight down to the hand' : 'Up through a connector above',
      'Over an edge or through another device',
    ],
    why: 'Led up and over, most devices hold three times as much as with both strands side by side.',
    sources: ['practice-lowering'],
  });
}

function besideItem(ctx: Context, a: Attachment): CheckItem[] {
  const second = besideConnector(a);
  if (!second?.item) return [];
  return [
    item({
      id: idOf(ctx, 'extra-connector', a),
      part: second.id,
      title: `${second.item.name} beside it`,
      look: 'The rope runs over both connectors.',
      touch: 'Press this gate too.',
      question: 'How do the two gates stand?',
      expected: 'Opposed, both locked',
      others: ['On the same side', 'One is not locked'],
      why: 'It adds friction only when the rope runs over it.',
      sources: ['practice-more-friction'],
    }),
  ];
}

function twoRopes(ctx: Context, a: Attachment): CheckItem[] {
  const ropes = linesOf(ctx.index, a.end).flatMap((l) => [...ropeSlots(l)]);
  const [x, y] = ropes;
  if (!x?.item || !y?.item) return [];
  return [
    item({
      id: idOf(ctx, 'two-ropes', a),
      part: linesOf(ctx.index, a.end)[0]!.id,
      title: 'Two ropes',
      look: `${literal(x.item.name)} and ${literal(y.item.name)}, one in each slot.`,
      touch: 'Pull each brake strand a little.',
      question: 'Which ropes are in the device?',
      expected: 'One strand of each rope',
      others: ['Two strands of one rope'],
      why: 'Both strands of one rope and none of the other is an easy slip where two ropes hang.',
      sources: ['practice-hook-up'],
    }),
  ];
}

function extension(ctx: Context, a: Attachment): CheckItem[] {
  const sling = slingOf(a);
  if (sling?.kind !== 'sling' || !sling.item || a.root.kind !== 'harness') return [];
  const person = ctx.index.person(a.root.person);
  const place = person?.harness?.attachment === 'two-points' ? 'Both tie-in points' : 'The belay loop';
  return [
    item({
      id: idOf(ctx, 'extension', a),
      part: sling.id,
      title: `Extension: ${sling.item.name}`,
      look: sling.method === 'girth' ? 'The girth hitch, flat and tight.' : 'Both ends of the sling in the connector.',
      touch: 'Pull the device up hard against the harness.',
      question: 'Where is the extension attached?',
      expected: place,
      others: ['A gear loop', place === 'The belay loop' ? 'Only one tie-in point' : 'The belay loop'],
      why: 'A gear loop does not carry a person.',
      sources: ['practice-extension', 'practice-hook-up'],
    }),
  ];
}

function tieIn(ctx: Context, a: Attachment): CheckItem[] {
  const person = a.root.kind === 'harness' ? ctx.index.person(a.root.person) : undefined;
  const bowline = a.end.kind === 'knot' && a.end.knot === 'bowline';
  return [
    item({
      id: idOf(ctx, 'tie-in', a),
      part: a.end.id,
      title: person ? `Tie-in of ${nameOf(person)}` : 'Tie-in',
      look: bowline
        ? 'The bowline and its lock, through both tie-in points.'
        : 'Five pairs of strands side by side, through both tie-in points.',
      touch: 'Pull all strands tight, and measure the tail with a fist.',
      question: 'How many pairs of strands, and how long is the tail?',
      expected: bowline
        ? 'A bowline with its lock; a tail longer than a fist'
        : 'Five pairs; a tail longer than a fist',
      others: [bowline ? 'The lock is missing' : 'Fewer than five pairs', 'Only one tie-in point, or a short tail'],
      why: 'An unfinished knot holds until it is loaded.',
      sources: ['practice-tie-in'],
    }),
  ];
}

function hitchItems(ctx: Context, a: Attachment): CheckItem[] {
  const hitch = hitchOf(a)!;
  const n = hitch.wraps;
  const two = strandsIn(hitch) === 'two';
  const around = two ? 'both strands' : 'one strand';
  const person = a.root.kind === 'harness' ? ctx.index.person(a.root.person) : undefined;
  const side = person?.item?.brakeHand ?? 'right';
  const other = side === 'right' ? 'left' : 'right';
  const connector = mainConnector(a);
  const onLeg = a.root.kind === 'harness' && a.root.point === 'leg-loop';
  const place =
    a.root.kind === 'anchor' ? 'The anchor' : a.root.kind === 'harness' && !onLeg ? POINTS[a.root.point] : 'Belay loop';
  return [
    item({
      id: idOf(ctx, 'hitch-wraps', a),
      part: hitch.id,
      title: `${HITCHES[hitch.hitch]}: ${hitch.item!.name}`,
      look: 'Wraps lie side by side, none crosses; the bend of the cord lies clear of the wraps.',
      touch: 'Count the wraps with a finger.',
      question: 'How many wraps around how many strands?',
      expected: `${n} around ${around}`,
      others: [
        `${n > 1 ? n - 1 : n + 1} around ${around}`,
        two ? `${n} around one strand` : `${n + 2} around one strand`,
      ],
      why: two
        ? 'Too few wraps slip, too many will not let go; around one strand the other runs on.'
        : 'Too few wraps slip, too many will not let go.',
      sources: ['practice-hitch-wraps'],
    }),
    ...(connector?.item
      ? [
          item({
            id: idOf(ctx, 'hitch-connector', a),
            part: connector.id,
            title: connector.item.name,
            look: `${hitch.hitch === 'autoblock' ? 'Both ends of the loop' : 'The whole loop'} in the connector.`,
            touch: 'Press the gate.',
            question: 'Where is it clipped, and what holds the cord?',
            expected: onLeg ? `Leg loop, ${side}; both ends, gate locked` : `${place}; both ends, gate locked`,
            others: onLeg
              ? [`Leg loop, ${other}; both ends, gate locked`, `Leg loop, ${side}; one end or gate not locked`]
              : [`${place}; one end or gate not locked`, 'Leg loop; both ends, gate locked'],
            why: 'With one end clipped the wraps unroll.',
            sources: ['practice-hitch-test', 'practice-leg-loop'],
          }),
        ]
      : []),
  ];
}
