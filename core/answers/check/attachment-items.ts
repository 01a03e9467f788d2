import { traitsOf } from '../../things/gear/index.ts';
import { guides, hasSmoothSide, twoStrandsBelow, type Context } from '../../rigs/elements/index.ts';
import {
  besideConnector,
  deviceOf,
  linesOf,
  mainConnector,
  ropeSlots,
  slingOf,
  strandsIn,
  type Attachment,
} from '../../rigs/rig/index.ts';
import type { CheckItem } from './check-item.ts';
import { idAt, item } from './item.ts';
import { hitchItems, knotBelowItems, tetherItems, tieInItems } from './knot-items.ts';

/** Each attachment in its turn: devices with what hangs them, then tie-ins, hitches, knots below and tethers. */
export function attachmentItems(ctx: Context): CheckItem[] {
  const { attachments } = ctx.setup;
  const chosen = ({ end }: Attachment) => (end.kind === 'device' || end.kind === 'hitch') && end.item !== null;
  return [
    ...attachments.filter((a) => a.end.kind === 'device' && chosen(a)).flatMap((a) => deviceItems(ctx, a)),
    ...attachments.filter((a) => a.end.kind === 'knot' && a.root.kind === 'harness').flatMap((a) => tieInItems(ctx, a)),
    ...attachments.filter((a) => a.end.kind === 'hitch' && chosen(a)).flatMap((a) => hitchItems(ctx, a)),
    ...attachments
      .filter((a) => a.end.kind === 'knot' && a.root.kind === 'part')
      .flatMap((a) => knotBelowItems(ctx, a)),
    ...attachments.filter((a) => a.use === 'tether').flatMap((a) => tetherItems(ctx, a)),
  ];
}

function deviceItems(ctx: Context, a: Attachment): CheckItem[] {
  const end = deviceOf(a)!;
  const connector = mainConnector(a);
  const lines = linesOf(ctx.index, end);
  if (lines.every((l) => ropeSlots(l).every((r) => r.item === null))) return [];
  return [
    ...strands(ctx, a),
    ...brakeSide(ctx, a),
    ...guideItems(ctx, a),
    ...hangsOn(ctx, a),
    ...(connector?.item ? connectorItems(ctx, a, connector.id, connector.item) : []),
    ...(a.root.kind === 'anchor' && end.hand ? [brakeLed(ctx, a)] : []),
    ...besideItem(ctx, a),
    ...extension(ctx, a),
  ];
}

function strands(ctx: Context, a: Attachment): CheckItem[] {
  const end = deviceOf(a)!;
  const doubled = linesOf(ctx.index, end).some((l) => l.kind === 'doubled');
  const two = strandsIn(end) === 'two';
  const ropes = linesOf(ctx.index, end).flatMap((l) => [...ropeSlots(l)]);
  const shared = {
    id: idAt(ctx.setup, 'device-strands', a),
    part: end.id,
    title: end.item!.name,
    why: `Most accidents start with harness, anchor or device.${doubled ? ' With one strand in the device the rope pulls through.' : ''}`,
    sources: ['practice-hook-up' as const],
  };
  if (end.hand === null) return gripping(ctx, a);
  const pull = item({
    ...shared,
    id: idAt(ctx.setup, 'device-pull', a),
    ...(guides(a, ctx)
      ? {
          look: 'Nobody is on it yet. Brake hand off the rope but ready to grab it.',
          touch: two
            ? 'Pull hard at each strand to a second, one after the other.'
            : 'Pull hard at the second’s strand.',
          question: two ? 'Hand off, held:' : 'Hand off, the rope:',
          expected: two ? 'Both' : 'Holds',
          others: two ? ['One', 'None'] : ['Runs', 'Was not pulled'],
        }
      : {
          look: 'The rope in the device as its maker shows, brake strand in the grooves where there are any.',
          touch: 'Brake hand on, pull sharply at the strand that goes to the load.',
          question: 'Pulled hard, the rope:',
          expected: 'Holds',
          others: ['Runs', 'Was not pulled'],
        }),
    sources: ['practice-threading'],
  });
  if (two)
    return [
      item({
        ...shared,
        look: 'Each strand in its own slot, brake strands on the brake side.',
        touch: 'Run a finger along each strand, in and out.',
        // With two ropes it is easy to clip both strands of one and none of the other.
        ...(ropes.length > 1 && ropes.every((r) => r.item)
          ? {
              question: 'Strands through it:',
              expected: 'One of each rope',
              others: ['Two of one rope', 'Only one'],
            }
          : {
              question: 'Strands through it:',
              expected: 'Two, in two slots',
              others: ['One', 'Two in one slot'],
            }),
      }),
      item({
        ...shared,
        id: idAt(ctx.setup, 'device-around', a),
        look: 'The bights of rope on the connector.',
        touch: 'Lift each bight a little.',
        question: 'Strands around the connector:',
        expected: 'Two',
        others: ['One', 'None'],
      }),
      pull,
    ];
  // A hitch has no maker and no way in: it shows by flipping over.
  if (traitsOf(end.item!.family).tied)
    return [
      item({
        ...shared,
        look: 'The hitch on the connector, from both sides.',
        touch: 'Pull hard at one strand, then at the other.',
        question: 'Pulled at each strand, it:',
        expected: 'Flips over and holds',
        others: ['Runs', 'Does not flip over'],
      }),
      pull,
    ];
  return [
    item({
      ...shared,
      look: 'From the device up to the load, and down to the hand.',
      touch: 'Run a finger along both strands.',
      question: 'To the load goes:',
      expected: 'The strand the maker shows',
      others: ['The other one', 'Not clear'],
    }),
    pull,
  ];
}

const howItHangs = (a: Attachment): string => `How ${deviceOf(a)!.item!.name} hangs`;

/** A tube holds by its grooves; turned round, the brake strand runs over the smooth side. */
const brakeSide = (ctx: Context, a: Attachment): CheckItem[] =>
  hasSmoothSide(a, ctx)
    ? [
        item({
          id: idAt(ctx.setup, 'brake-side', a),
          part: a.end.id,
          title: howItHangs(a),
          look: 'Where the brake strand leaves the device.',
          touch: 'Run a finger along the brake strand to the edge of the device.',
          question: 'The brake strand runs over:',
          expected: deviceOf(a)!.brakeSide === 'smooth' ? 'The smooth side' : 'The grooves',
          others: [deviceOf(a)!.brakeSide === 'smooth' ? 'The grooves' : 'The smooth side'],
          why: 'Over its smooth side a tube holds about half as much.',
          sources: ['practice-threading'],
        }),
      ]
    : [];

/** A plate that grips by itself: which strand presses on which, and whether two ropes lie side by side. */
function guideItems(ctx: Context, a: Attachment): CheckItem[] {
  if (!guides(a, ctx)) return [];
  const end = deviceOf(a)!;
  const shared = { part: end.id, sources: ['practice-guide-plate' as const] };
  return [
    item({
      ...shared,
      id: idAt(ctx.setup, 'load-strand', a),
      title: `Strands at ${end.item!.name}`,
      look: 'Where the second’s strand comes out of the plate.',
      touch: 'Pull at it, and feel which strand it presses on.',
      question: 'Above lies:',
      expected: 'The second’s strand',
      others: ['The brake strand', 'Not clear'],
      why: 'Loaded the wrong way round the plate does not grip, and the rope runs.',
    }),
    ...(twoStrandsBelow(a, ctx)
      ? [
          item({
            ...shared,
            id: idAt(ctx.setup, 'strands-lie', a),
            title: `Strands at ${end.item!.name}`,
            look: 'From the plate to where the two ropes are gathered, or part.',
            touch: 'Run a hand down between them.',
            question: 'Below, the two ropes lie:',
            expected: end.strandsLie === 'crossed' ? 'Crossed, through one connector' : 'Side by side',
            others:
              end.strandsLie === 'crossed'
                ? ['Crossed, not gathered', 'Side by side']
                : ['Crossed', 'One over the other'],
            why: 'If the ropes cross, the plate may not hold the climber on the lower rope.',
          }),
        ]
      : []),
  ];
}

/** A device that nobody's hand brakes: which way up it sits, and that it grips one way and runs the other. */
function gripping(ctx: Context, a: Attachment): CheckItem[] {
  const end = deviceOf(a)!;
  const shared = { part: end.id, title: end.item!.name, sources: ['practice-threading' as const] };
  return [
    item({
      ...shared,
      id: idAt(ctx.setup, 'device-strands', a),
      look: 'The rope in the device, its cover and pins, and the mark on it that shows which way is up.',
      touch: 'Press cover and pins shut.',
      question: 'It sits on the rope:',
      expected: 'Closed, the maker’s way up',
      others: ['Upside down', 'Open'],
      why: 'Upside down it will not grip; if it is open the rope can come out.',
    }),
    item({
      ...shared,
      id: idAt(ctx.setup, 'device-pull', a),
      look: 'The rope at the device.',
      touch: 'Pull the device down hard, then move it up.',
      question: 'Pulled down, then moved up, it:',
      expected: 'Grips, then moves',
      others: ['Slips down', 'Does not move up'],
      why: 'It holds only in one direction, and only this rope as it is now.',
    }),
  ];
}

function connectorItems(
  ctx: Context,
  a: Attachment,
  ref: string,
  connector: NonNullable<ReturnType<typeof mainConnector>>['item'] & object,
): CheckItem[] {
  const shared = { part: ref };
  const oval = connector.shape === 'oval';
  return [
    item({
      ...shared,
      id: idAt(ctx.setup, 'device-connector', a),
      title: connector.name,
      look: 'The gate, closed, and its sleeve.',
      touch: 'Press the gate hard.',
      question: 'Gate, pressed:',
      expected: 'Stays shut',
      others: ['Gives way', 'Open'],
      why: 'Running rope or shaking can open a gate.',
      sources: ['practice-gate'],
    }),
    item({
      ...shared,
      id: idAt(ctx.setup, 'connector-faces', a),
      title: connector.name,
      look: 'Which way the gate faces, with the load on.',
      touch: 'Follow the brake strand with a finger.',
      question: 'At the gate:',
      expected: 'Nothing',
      others: ['The brake strand', 'Something else'],
      why: 'Rope running over the gate can unscrew it; rock can push it open.',
      sources: ['practice-gate'],
    }),
    item({
      ...shared,
      id: idAt(ctx.setup, 'connector-end', a),
      title: connector.name,
      look: 'Where device or rope hang in the connector.',
      touch: 'Pull, and see where they settle.',
      question: 'Load lies:',
      expected: oval ? 'At its end' : 'Broad end',
      others: [oval ? 'On the gate' : 'Narrow end', 'Across'],
      why: 'Loaded sideways or on its gate, a carabiner holds only about a third of its strength.',
      sources: ['practice-broad-end'],
    }),
  ];
}

function brakeLed(ctx: Context, a: Attachment): CheckItem {
  const redirected = deviceOf(a)!.brakeLed === 'redirected';
  return item({
    id: idAt(ctx.setup, 'brake-led', a),
    part: a.end.id,
    title: 'The brake strand',
    look: 'From the device to the hand.',
    touch: 'Follow the brake strand with the hand.',
    question: 'From the device the brake strand goes:',
    expected: redirected ? 'Up through a connector above, then down to the hand' : 'Straight down to the hand',
    others: [redirected ? 'Straight down to the hand' : 'Up through a connector above', 'Over an edge'],
    why:
      traitsOf(deviceOf(a)!.item!.family).brake === 'munter'
        ? 'A Munter hitch holds most with both strands side by side.'
        : 'Led up through a carabiner above it, a grooved tube holds about three times as much, a smooth tube about twice.',
    sources: ['practice-lowering'],
  });
}

function besideItem(ctx: Context, a: Attachment): CheckItem[] {
  const second = besideConnector(a);
  if (!second?.item) return [];
  return [
    item({
      id: idAt(ctx.setup, 'extra-connector', a),
      part: second.id,
      title: second.item.name,
      look: 'The rope runs over both connectors.',
      touch: 'Press this gate too.',
      question: 'The two gates stand:',
      expected: 'Opposed and reversed',
      others: ['On the same side', 'Opposed, hinges alike'],
      why: 'It adds friction only when the rope runs over it.',
      sources: ['practice-more-friction'],
    }),
    item({
      id: idAt(ctx.setup, 'extra-gate', a),
      part: second.id,
      title: second.item.name,
      look: 'Closed, and its sleeve.',
      touch: 'Press this gate too.',
      question: 'Its gate, pressed:',
      expected: 'Stays shut',
      others: ['Gives way', 'Open'],
      why: 'Running rope or shaking can open a gate.',
      sources: ['practice-gate'],
    }),
  ];
}

/** Where a device is clipped to a harness, and what is clipped by mistake: in the dark a gear loop feels like it. */
function placeOf(ctx: Context, a: Attachment): { readonly place: string; readonly others: string[] } | null {
  // What only helps upwards hangs on no belay loop.
  if (a.root.kind !== 'harness' || a.use === 'aid') return null;
  const twoPoints = ctx.index.person(a.root.person)?.harness?.attachment === 'two-points';
  if (a.root.point === 'bridge') return { place: 'The bridge', others: ['A gear loop', 'A side ring'] };
  if (a.root.point === 'tie-in' || (a.root.point === 'belay-loop' && twoPoints))
    return { place: 'Both tie-in points', others: ['A gear loop', 'Only one of them'] };
  return a.root.point === 'belay-loop'
    ? { place: 'The belay loop', others: ['A gear loop', 'Only one tie-in point'] }
    : null;
}

function hangsOn(ctx: Context, a: Attachment): CheckItem[] {
  const at = placeOf(ctx, a);
  // By a sling it is asked what the sling hangs from.
  if (!at || slingOf(a)?.kind === 'sling') return [];
  return [
    item({
      id: idAt(ctx.setup, 'device-place', a),
      part: a.end.id,
      title: howItHangs(a),
      look: 'From the device through its connector to the harness.',
      touch: 'Pull the device up hard against the harness.',
      question: 'It hangs from:',
      expected: at.place,
      others: at.others,
      why: 'A gear loop does not carry a person.',
      sources: ['practice-hook-up'],
    }),
  ];
}

function extension(ctx: Context, a: Attachment): CheckItem[] {
  const sling = slingOf(a);
  const at = placeOf(ctx, a);
  if (sling?.kind !== 'sling' || !sling.item || !at) return [];
  return [
    item({
      id: idAt(ctx.setup, 'extension', a),
      part: sling.id,
      title: 'Extension',
      look: sling.method === 'girth' ? 'The girth hitch, flat and tight.' : 'Both ends of the sling in the connector.',
      touch: 'Pull the device up hard against the harness.',
      question: 'It hangs from:',
      expected: at.place,
      others: at.others,
      why: 'A gear loop does not carry a person.',
      sources: ['practice-extension', 'practice-hook-up'],
    }),
  ];
}
