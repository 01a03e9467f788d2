import { HITCH_FACTS, HITCHES } from '../../things/friction/index.ts';
import type { Context } from '../../rigs/elements/index.ts';
import { threshold } from '../../foundations/sources/index.ts';
import { exactly } from '../../foundations/units/index.ts';
import { hitchOf, mainConnector, POINTS, strandsIn, type Attachment } from '../../rigs/rig/index.ts';
import type { CheckItem } from './check-item.ts';
import { idAt, item } from './item.ts';
import { personName } from './people-items.ts';

/** The knot by which somebody is tied in. */
export function tieInItems(ctx: Context, a: Attachment): CheckItem[] {
  const person = a.root.kind === 'harness' ? ctx.index.person(a.root.person) : undefined;
  const bowline = a.end.kind === 'knot' && a.end.knot === 'bowline';
  const of = person ? ` of ${personName(person)}` : '';
  const shared = { part: a.end.id, sources: ['practice-tie-in' as const] };
  return [
    item({
      ...shared,
      id: idAt(ctx.setup, 'tie-in', a),
      title: `Knot${of}`,
      look: bowline ? 'The bowline and its lock.' : 'The knot from both sides.',
      touch: 'Pull all strands tight.',
      question: bowline ? 'The knot is:' : 'Pairs of strands side by side:',
      expected: bowline ? 'A bowline with its lock' : 'Five',
      others: bowline ? ['A bowline without it', 'Another knot'] : ['Four or fewer', 'They cross'],
      why: 'An unfinished knot looks fine until it is loaded.',
    }),
    item({
      ...shared,
      id: idAt(ctx.setup, 'tie-in-tail', a),
      title: `Knot${of}`,
      look: 'The end that comes out of the knot.',
      touch: 'Lay a fist beside it.',
      question: 'Its tail is:',
      expected: 'Longer than a fist',
      others: ['Shorter', 'Still in the knot'],
      why: 'A short tail can pull back through the knot.',
    }),
    item({
      ...shared,
      id: idAt(ctx.setup, 'tie-in-points', a),
      title: `Tie-in${of}`,
      look: 'The rope at waist belt and leg loops.',
      touch: 'Put a finger through each point beside the rope.',
      question: 'The rope goes through:',
      expected: 'Both tie-in points',
      others: ['One of them', 'A gear loop or the belay loop'],
      why: 'Tied to one point you can tip upside down; a gear loop will not hold a person.',
    }),
  ];
}

/** A knot in the rope below a device: what stops whoever the device stops holding. */
export function knotBelowItems(ctx: Context, a: Attachment): CheckItem[] {
  return [
    item({
      id: idAt(ctx.setup, 'knot-below', a),
      part: a.end.id,
      title: a.label,
      look: 'The rope below the device, down to the first knot.',
      touch: 'Pull the knot tight.',
      question: 'Below the device the first knot is:',
      expected: '{within} away, or less',
      others: ['Farther', 'Not there'],
      why: 'You fall as far as the knot is away.',
      numbers: [{ key: 'within', label: 'Farthest', quantity: 'lengthM', value: exactly(threshold('knotBelowM')) }],
      sources: ['practice-single-points'],
    }),
  ];
}

/** A lanyard or tether: its gate, and what it is clipped to. */
export function tetherItems(ctx: Context, a: Attachment): CheckItem[] {
  const connector = mainConnector(a);
  if (!connector?.item || a.end.kind !== 'clip') return [];
  const anchor = ctx.index.anchor(a.end.to) !== undefined;
  return [
    item({
      id: idAt(ctx.setup, 'tether-gate', a),
      part: connector.id,
      title: connector.item.name,
      look: 'The gate, closed, and its sleeve.',
      touch: 'Press the gate.',
      question: 'Gate, pressed:',
      expected: 'Stays shut',
      others: ['Gives way', 'Open'],
      why: 'What a tether holds hangs on this gate.',
      sources: ['practice-gate'],
    }),
    item({
      id: idAt(ctx.setup, 'tether-to', a),
      part: connector.id,
      title: connector.item.name,
      look: 'Where its connector hangs.',
      touch: 'Put your weight on it.',
      question: 'Clipped to:',
      expected: anchor ? 'The master point' : 'What it is meant to hold',
      others: ['One point of the anchor', 'A gear loop'],
      why: 'It holds no more than what it is clipped to.',
      sources: ['practice-hook-up'],
    }),
  ];
}

/** A hitch: its wraps, its cord, what it is clipped to. */
export function hitchItems(ctx: Context, a: Attachment): CheckItem[] {
  const hitch = hitchOf(a)!;
  const n = hitch.wraps;
  const two = strandsIn(hitch) === 'two';
  const person = a.root.kind === 'harness' ? ctx.index.person(a.root.person) : undefined;
  const side = person?.item?.brakeHand ?? 'right';
  const other = side === 'right' ? 'left' : 'right';
  const connector = mainConnector(a);
  const onLeg = a.root.kind === 'harness' && a.root.point === 'leg-loop';
  const place =
    a.root.kind === 'anchor' ? 'The anchor' : a.root.kind === 'harness' && !onLeg ? POINTS[a.root.point] : 'Belay loop';
  return [
    item({
      id: idAt(ctx.setup, 'hitch-wraps', a),
      part: hitch.id,
      title: HITCHES[hitch.hitch],
      look: 'Wraps lie side by side, none crosses; the bend of the cord lies clear of the wraps.',
      touch: 'Count the wraps with a finger.',
      question: 'Wraps:',
      expected: `${n}`,
      others: [`${n > 1 ? n - 1 : n + 2}`, `${n + 1}`],
      why: 'With too few wraps it slips; with too many it will not release.',
      sources: ['practice-hitch-wraps'],
    }),
    ...(two
      ? [
          item({
            id: idAt(ctx.setup, 'hitch-strands', a),
            part: hitch.id,
            title: HITCHES[hitch.hitch],
            look: 'What the wraps go around.',
            touch: 'Pull each brake strand a little.',
            question: 'Strands inside the wraps:',
            expected: 'Two',
            others: ['One', 'None'],
            why: 'If the hitch is around one strand only, the other keeps running.',
            sources: ['practice-hitch-wraps'],
          }),
        ]
      : []),
    ...(connector?.item
      ? [
          item({
            id: idAt(ctx.setup, 'hitch-connector', a),
            part: connector.id,
            title: connector.item.name,
            look: 'The gate, closed, and its sleeve.',
            touch: 'Press the gate.',
            question: 'Gate, pressed:',
            expected: 'Stays shut',
            others: ['Gives way', 'Open'],
            why: 'A gate that opens lets the cord go.',
            sources: ['practice-gate', 'practice-hitch-test'],
          }),
          item({
            id: idAt(ctx.setup, 'hitch-ends', a),
            part: hitch.id,
            title: connector.item.name,
            look: 'What of the loop lies in the connector.',
            touch: 'Lift each end of the loop.',
            question: 'Cord in it:',
            expected: HITCH_FACTS[hitch.hitch].clipped,
            others: ['One end', 'Neither'],
            why: 'With one end clipped the wraps unroll.',
            sources: ['practice-hitch-test'],
          }),
          item({
            id: idAt(ctx.setup, 'hitch-place', a),
            part: connector.id,
            title: connector.item.name,
            look: 'What it hangs in.',
            touch: 'Pull at it.',
            question: 'Clipped to:',
            expected: onLeg ? `Leg loop, ${side}` : place,
            others: onLeg ? [`Leg loop, ${other}`, 'A gear loop'] : ['Leg loop', 'A gear loop'],
            why: 'Elsewhere the hitch reaches the device, or hangs on what carries nobody.',
            sources: ['practice-leg-loop'],
          }),
        ]
      : []),
  ];
}
