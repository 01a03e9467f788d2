import { literal } from '../../foundations/finding/index.ts';
import { traitsOf } from '../../things/gear/index.ts';
import { guides, twoStrandsBelow, type Context } from '../../rigs/elements/index.ts';
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
    ...guideItems(ctx, a),
    ...(connector?.item ? connectorItems(ctx, a, connector.id, connector.item) : []),
    ...(a.root.kind === 'anchor' && end.hand ? [brakeLed(ctx, a)] : []),
    ...besideItem(ctx, a),
    ...twoRopes(ctx, a),
    ...extension(ctx, a),
  ];
}

function strands(ctx: Context, a: Attachment): CheckItem[] {
  const end = deviceOf(a)!;
  const connector = mainConnector(a)?.item?.name ?? 'the connector';
  const doubled = linesOf(ctx.index, end).some((l) => l.kind === 'doubled');
  const two = strandsIn(end) === 'two';
  const shared = {
    id: idAt(ctx.setup, 'device-strands', a),
    part: end.id,
    title: end.item!.name,
    why: `The device is one of the three things that go wrong most${doubled ? '; on one strand the rope pulls through' : ''}.`,
    sources: ['practice-hook-up' as const],
  };
  if (end.hand === null) return gripping(ctx, a);
  const pull = item({
    ...shared,
    id: idAt(ctx.setup, 'device-pull', a),
    ...(guides(a, ctx)
      ? {
          look: 'Nobody hangs on it yet; the hand is off the rope, and beside it.',
          touch: two
            ? 'Pull hard at each strand to a second, one after the other.'
            : 'Pull hard at the strand to the second.',
          question: two ? 'Which strands held with the hand off?' : 'What did the rope do with the hand off?',
          expected: two ? 'Each of the two' : 'It held',
          others: two ? ['One of them', 'Neither'] : ['It ran', 'Nobody pulled'],
        }
      : {
          look: 'The rope in the device as its maker shows, brake strand in the grooves where there are any.',
          touch: 'Brake hand on, pull sharply at the strand that goes to the load.',
          question: 'What did the device do?',
          expected: 'It held',
          others: ['The rope ran', 'Nobody pulled'],
        }),
    sources: ['practice-threading'],
  });
  if (two)
    return [
      item({
        ...shared,
        look: 'Each strand in its own slot, brake strands on the brake side.',
        touch: 'Run a finger along each strand, in and out.',
        question: 'How many strands go through the device?',
        expected: 'Two',
        others: ['One', 'Two in one slot'],
      }),
      item({
        ...shared,
        id: idAt(ctx.setup, 'device-around', a),
        title: `Strands around ${connector}`,
        look: 'The bights of rope on the connector.',
        touch: 'Lift each bight a little.',
        question: `How many strands go around ${literal(connector)}?`,
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
        question: 'What did the hitch do?',
        expected: 'It flipped over and held each time',
        others: ['It ran', 'It did not flip over'],
      }),
      pull,
    ];
  return [
    item({
      ...shared,
      look: 'From the device up to the load, and down to the hand.',
      touch: 'Run a finger along both strands.',
      question: 'Which strand goes to the load?',
      expected: 'The one the maker shows',
      others: ['The other one', 'It cannot be told'],
    }),
    pull,
  ];
}

/** A plate that grips by itself: which strand presses on which, and whether two ropes lie side by side. */
function guideItems(ctx: Context, a: Attachment): CheckItem[] {
  if (!guides(a, ctx)) return [];
  const end = deviceOf(a)!;
  const shared = { part: end.id, sources: ['practice-guide-plate' as const] };
  return [
    item({
      ...shared,
      id: idAt(ctx.setup, 'load-strand', a),
      title: `Strands in ${end.item!.name}`,
      look: 'Where the strand to the second comes out of the plate.',
      touch: 'Pull at it, and feel which strand it presses on.',
      question: 'Which strand lies above?',
      expected: 'The one to the second',
      others: ['The brake strand', 'It cannot be told'],
      why: 'The other way round nothing is pressed, and the rope runs.',
    }),
    ...(twoStrandsBelow(a, ctx)
      ? [
          item({
            ...shared,
            id: idAt(ctx.setup, 'strands-lie', a),
            title: 'The two ropes below the device',
            look: 'From the plate to where the two ropes are gathered, or part.',
            touch: 'Run a hand down between them.',
            question: 'How do the two ropes lie?',
            expected:
              end.strandsLie === 'crossed' ? 'Crossed, through one connector below' : 'Side by side all the way',
            others:
              end.strandsLie === 'crossed'
                ? ['Crossed, and nothing gathers them', 'Side by side']
                : ['Crossed', 'One lies on the other at the edge'],
            why: 'Whoever hangs on the lower one of two crossed ropes is not held.',
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
      question: 'How does the device sit on the rope?',
      expected: 'Closed, the way up that its maker shows',
      others: ['Upside down', 'A cover or a pin is open'],
      why: 'Upside down it runs, and open the rope comes out.',
    }),
    item({
      ...shared,
      id: idAt(ctx.setup, 'device-pull', a),
      look: 'The rope at the device.',
      touch: 'Pull the device down hard, then move it up.',
      question: 'What did the device do?',
      expected: 'It gripped downwards, and moved up',
      others: ['It slipped downwards', 'It would not move up'],
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
      question: 'What did the gate do when pressed?',
      expected: 'It stayed shut',
      others: ['It gave way', 'It was open'],
      why: 'Running rope or shaking can open a gate.',
      sources: ['practice-gate'],
    }),
    item({
      ...shared,
      id: idAt(ctx.setup, 'connector-faces', a),
      title: `Gate of ${connector.name}`,
      look: 'Which way the gate faces, with the load on.',
      touch: 'Follow the brake strand with a finger.',
      question: 'What lies or runs against the gate?',
      expected: 'Nothing',
      others: ['The brake strand', 'Rock, or another part'],
      why: 'Rope that runs over a gate unscrews it, and rock presses it open.',
      sources: ['practice-gate'],
    }),
    item({
      ...shared,
      id: idAt(ctx.setup, 'connector-end', a),
      title: `End of ${connector.name}`,
      look: 'Where device or rope hang in the connector.',
      touch: 'Pull, and see where they settle.',
      question: 'Where do they lie under load?',
      expected: oval ? 'In its end, at the bar opposite the harness' : 'In the broad end',
      others: [oval ? 'On the gate' : 'In the narrow end', 'Across it'],
      why: 'Across it, or against the gate, a connector holds a fraction of what it holds along.',
      sources: ['practice-broad-end'],
    }),
  ];
}

function brakeLed(ctx: Context, a: Attachment): CheckItem {
  const redirected = deviceOf(a)!.brakeLed === 'redirected';
  return item({
    id: idAt(ctx.setup, 'brake-led', a),
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
    why:
      traitsOf(deviceOf(a)!.item!.family).brake === 'munter'
        ? 'A Munter hitch holds most with both strands side by side.'
        : 'Led up and over, most devices hold three times as much as with both strands side by side.',
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
      title: `${second.item.name} beside it`,
      look: 'The rope runs over both connectors.',
      touch: 'Press this gate too.',
      question: 'How do the two gates stand to each other?',
      expected: 'Opposed and reversed',
      others: ['On the same side', 'Opposed, hinges alike'],
      why: 'It adds friction only when the rope runs over it.',
      sources: ['practice-more-friction'],
    }),
    item({
      id: idAt(ctx.setup, 'extra-gate', a),
      part: second.id,
      title: `Gate of ${second.item.name}`,
      look: 'Closed, and its sleeve.',
      touch: 'Press this gate too.',
      question: 'What did this gate do?',
      expected: 'It stayed shut',
      others: ['It gave way', 'It was open'],
      why: 'Running rope or shaking can open a gate.',
      sources: ['practice-gate'],
    }),
  ];
}

function twoRopes(ctx: Context, a: Attachment): CheckItem[] {
  const ropes = linesOf(ctx.index, a.end).flatMap((l) => [...ropeSlots(l)]);
  const [x, y] = ropes;
  if (!x?.item || !y?.item) return [];
  return [
    item({
      id: idAt(ctx.setup, 'two-ropes', a),
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
  // What only helps upwards hangs on no belay loop.
  if (sling?.kind !== 'sling' || !sling.item || a.root.kind !== 'harness' || a.use === 'aid') return [];
  const person = ctx.index.person(a.root.person);
  const place = person?.harness?.attachment === 'two-points' ? 'Both tie-in points' : 'The belay loop';
  return [
    item({
      id: idAt(ctx.setup, 'extension', a),
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
