import type { Context } from '../../rigs/elements/index.ts';
import type { LineOf, RigLine } from '../../rigs/rig/index.ts';
import { exactly } from '../../foundations/units/index.ts';
import type { CheckItem } from './check-item.ts';
import { item, itemId } from './item.ts';

/** Every anchor with the rope in it, and every line: how it is held, where its middle lies, how its ends are closed. */
export function lineItems(ctx: Context): CheckItem[] {
  return [...anchorItems(ctx), ...ctx.setup.lines.flatMap((line) => atAnchor(ctx, line))];
}
export function endItems(ctx: Context): CheckItem[] {
  const { lines } = ctx.setup;
  const [first] = lines;
  // Two ropes to one device: their free ends lie side by side.
  const open = lines.every((l) => l.kind === 'straight' && l.rope.item && l.end.state !== 'tied');
  if (lines.length === 2 && open && first?.kind === 'straight')
    return [
      item({
        id: 'rope-ends',
        part: first.end.id,
        title: 'Free ends of both ropes',
        look: 'The other ends of the ropes, on the ground or in the hand.',
        touch: 'Both knots, or the hand of the one who tied them.',
        question: 'Stopper knots, long tails:',
        expected: 'In both ends',
        others: ['In one', 'In neither'],
        why: 'An open end runs through the device when the rope is too short.',
        sources: ['practice-ends-closed'],
      }),
    ];
  return lines.flatMap((line) => ends(ctx, line));
}

function anchorItems({ setup }: Context): CheckItem[] {
  const { tree } = setup.site;
  return setup.anchors.flatMap(({ id, through, points }) => {
    const lines = setup.lines.filter((l) => l.anchor === id);
    // The rope runs through it, is tied to it, or does not touch it: then the device hangs on it.
    const held = lines.every((l) => l.kind === 'straight')
      ? 'device'
      : lines.every((l) => l.kind === 'fixed' && l.fastening.how === 'tied' && l.fastening.tiedAt !== 'base')
        ? 'tied'
        : 'through';
    const runs = lines.some((l) => l.kind !== 'fixed' || l.fastening.how !== 'tied');
    const place = { textile: 'sling', wood: 'fork', saver: 'friction saver', connector: 'connector' } as const;
    const what = through === 'rings' || through === 'unknown' ? 'rings or links' : place[through];
    const metal = through === 'rings' || through === 'unknown' || through === 'connector';
    const first = setup.anchors[0]!.id;
    const shared = { id: itemId('anchor', id, first), part: id };
    return [
      held === 'device'
        ? item({
            ...shared,
            title: 'Anchor',
            look: 'From the connector of the device to every point of the anchor.',
            touch: 'Pull hard at that connector and watch every point.',
            question: 'The device hangs from:',
            expected: 'The master point',
            others: ['One point of it', 'Something else'],
            why: 'The device, and the person it holds, hang there.',
            sources: ['practice-hook-up'],
          })
        : held === 'tied'
          ? item({
              ...shared,
              title: first === id ? 'Anchor' : 'The other anchor',
              look: 'From the knot of the rope to every point of the anchor.',
              touch: 'Pull hard at the rope and watch every point.',
              question: 'The rope is tied to:',
              expected: metal ? 'The master point' : `The ${what} alone`,
              others: metal ? ['One point of it', 'Something else'] : [`A worn ${what}`, 'Another rope too'],
              why: 'Most accidents start with harness, anchor or device.',
              sources: ['practice-hook-up'],
            })
          : item({
              ...shared,
              title: first === id ? 'Anchor' : 'The other anchor',
              look: `Follow the rope through the ${what}.`,
              touch: runs
                ? 'Pull one strand and see the other one move.'
                : 'Pull hard at the rope and watch every point.',
              question: 'The rope runs through:',
              expected: metal ? 'Metal only' : `The ${what} alone`,
              others: metal ? ['A sling or cord', 'Metal and a sling'] : [`A worn ${what}`, 'Another rope too'],
              why: metal
                ? 'Lowering or pulling rope through a sling burns through it.'
                : 'Most accidents start with harness, anchor or device.',
              sources: ['practice-hook-up', 'practice-metal-on-metal'],
            }),
      tree && id === setup.lines[0]!.anchor
        ? treeTried(id)
        : item({
            id: itemId('anchor-points', id, first),
            part: id,
            title: first === id ? 'Anchor' : 'The other anchor',
            look: 'Every point behind, and the rock or wood around it.',
            touch: 'Pull at each one alone.',
            question: 'Points seen and pulled at:',
            expected: points === 'one' ? 'One' : 'Two or more',
            others: points === 'one' ? ['None beyond doubt'] : ['One', 'One in doubt'],
            why: 'Everything depends on these.',
            sources: ['practice-hook-up'],
          }),
    ];
  });
}

const firstOf = (ctx: Context, kind: RigLine['kind']): RigLine => ctx.setup.lines.find((l) => l.kind === kind)!;

function atAnchor(ctx: Context, line: RigLine): CheckItem[] {
  if (line.kind === 'doubled') return line.use === 'joined' ? joint(line) : line.ropeA.item ? [middle(line)] : [];
  if (line.kind === 'fixed' && line.rope.item) return fastened(ctx, line);
  return [];
}

function joint({ joint: { id, knot } }: LineOf<'doubled'>): CheckItem[] {
  const name = knot === 'double-fisherman' ? 'Double fisherman’s' : 'Flat overhand';
  const shared = { part: id, sources: ['practice-joining-knot' as const] };
  return [
    item({
      ...shared,
      id: 'joining-knot',
      title: 'Knot between the ropes',
      look: 'Shape of the knot.',
      touch: 'Pull all four strands tight, one after the other.',
      question: 'The ropes are joined by:',
      expected: `${name}, dressed and tight`,
      others: ['Another knot', `${name}, crossed or loose`],
      why: 'The knot must hold, and must not catch when the rope is pulled.',
    }),
    item({
      ...shared,
      id: 'joining-tails',
      title: 'Knot between the ropes',
      look: 'Both tails.',
      touch: 'Measure each along the forearm.',
      question: 'Its shorter tail is:',
      expected: '30 cm or more',
      others: ['A hand’s width', 'Shorter'],
      why: 'A flat overhand can roll along the rope and use up its tails.',
    }),
    item({
      ...shared,
      id: 'pull-side',
      title: 'Strand to be pulled',
      look: 'On which side of the anchor the knot lies.',
      touch: 'Say its colour to each other.',
      question: 'Pulled will be:',
      expected: 'The one on the side of the knot',
      others: ['The other one', 'Not agreed'],
      why: 'Pulled at the other strand, the knot jams in the rings.',
    }),
  ];
}

function middle({ id, ropeA, middleMissM }: LineOf<'doubled'>): CheckItem {
  const marked = ropeA.item!.middle === 'marked' || ropeA.item!.middle === 'bicolour';
  return item({
    id: 'middle',
    part: id,
    title: 'Middle of the rope',
    look: marked ? 'Where the middle mark lies.' : 'Both ends together, flaked side by side up to the anchor.',
    touch: 'Hold the place in the hand.',
    question: 'The middle lies:',
    expected: 'At the anchor, within {miss}',
    others: ['Farther away', marked ? 'The mark was not found' : 'It was guessed'],
    numbers: [
      { key: 'miss', label: 'Miss allowed for', quantity: 'lengthM', value: exactly(Math.max(0.1, middleMissM)) },
    ],
    why: 'A middle missed makes the ends unequal by twice as much.',
    sources: ['practice-middle'],
  });
}

function fastened(ctx: Context, { id, fastening }: LineOf<'fixed'>): CheckItem[] {
  const first = firstOf(ctx, 'fixed') as LineOf<'fixed'>;
  if (fastening.how !== 'blocked') {
    return [
      item({
        id: itemId('fastening', id, first.id),
        part: fastening.id,
        title: 'Knot of the rope at the anchor',
        look: 'Shape of the knot, its tail, and what it is tied to.',
        touch: 'Pull hard at the rope you hang on.',
        question: 'Pulled, the knot is:',
        expected: 'Tight, long tail, still there',
        others: ['Unfinished, or short tail', 'Moving at the anchor'],
        why: 'Everything on this rope hangs on that knot.',
        sources: ['practice-hook-up'],
      }),
    ];
  }
  return [
    item({
      id: itemId('block-strand', id, first.id),
      part: fastening.id,
      title: 'Blocked strand',
      look: 'The knot against the rings, and on which strand it sits.',
      touch: 'Pull hard at the strand you go down, then at the other one.',
      question: 'The knot was drawn up by:',
      expected: 'The strand I go down',
      others: ['The other one', 'Neither'],
      why: 'The strand with the knot runs out of the rings.',
      sources: ['practice-blocked-rope'],
    }),
    item({
      id: itemId('fastening', id, first.id),
      part: fastening.id,
      title: 'Blocked strand',
      look: 'It goes through the knot and around the strand you go down.',
      touch: 'Press its gate.',
      question: 'It is kept out of the rings by:',
      expected: 'A connector around my strand',
      others: ['Only the knot', 'A connector, other strand'],
      why: 'A knot can pull through large rings.',
      sources: ['practice-blocked-rope'],
    }),
  ];
}

function ends({ setup }: Context, line: RigLine): CheckItem[] {
  const place = setup.site.stanceHeightM > 0 ? 'at the ledge' : 'on the ground';
  const first = setup.lines[0]!;
  if (line.kind === 'doubled') {
    if (!line.ropeA.item) return [];
    return [
      item({
        id: itemId('rope-ends', line.id, first.id),
        part: line.ends.id,
        title: 'Rope ends',
        look: `Both ends ${place}; where they cannot be seen, both knots before they were thrown.`,
        touch: 'Each knot, or the hand of the one who tied it.',
        question: 'A stopper knot is in:',
        expected: 'Both ends',
        others: ['One of them', 'Neither'],
        why: 'A knot keeps the device from running off a rope that is too short.',
        sources: ['practice-ends-closed'],
      }),
    ];
  }
  if (!line.rope.item) return [];
  const tied = line.end.state === 'tied';
  return [
    item({
      id: itemId('rope-ends', line.id, first.id),
      part: line.end.id,
      title: first.id === line.id ? 'Free end of the rope' : 'Free end of the second rope',
      look:
        line.kind === 'fixed'
          ? `The end ${place}; where it cannot be seen, its knot before it was thrown.`
          : 'The other end of the rope, on the ground or in the hand.',
      touch: tied
        ? 'The knot at the harness of the person who holds it.'
        : 'The knot, or the hand of the one who tied it.',
      question: 'It is closed by:',
      expected: tied ? 'Somebody tied into it' : 'A stopper knot, long tail',
      others: ['Nothing', tied ? 'Only a knot' : 'A knot, short tail'],
      why: 'An open end runs through the device when the rope is too short.',
      sources: ['practice-ends-closed'],
    }),
    ...(line.kind === 'fixed' && (line.endWeightKg ?? 0) > 0
      ? [
          item({
            id: itemId('end-weight', line.id, first.id),
            part: line.end.id,
            title: first.id === line.id ? 'Weight on the rope' : 'Weight on the second rope',
            look: 'The weight at the end of the rope, where it hangs.',
            touch: 'Lift the rope and let go: it falls straight again.',
            question: 'On the end hangs:',
            expected: 'A weight, clear of the ground',
            others: ['Nothing', 'A weight that stands on the ground'],
            why: 'The rope runs through the grabs only when something pulls it down. Otherwise slack gathers above you.',
            sources: ['practice-self-belay'],
          }),
        ]
      : []),
  ];
}

/** In a tree the point is tried from the ground by two. */
const treeTried = (anchor: string): CheckItem =>
  item({
    id: 'tree-tried',
    part: anchor,
    title: 'Anchor',
    look: 'At limb, stem and roots while the line is loaded; the fork through glasses or from two sides.',
    touch: 'Bounce on the line together, from the ground.',
    question: 'Bounced on by:',
    expected: 'Two, nothing moved',
    others: ['One, nothing moved', 'Something moved', 'Nobody'],
    why: 'Two people bouncing load the tie-in point more than one climber should.',
    sources: ['practice-tree-point'],
  });
