import type { ElementId } from '../../foundations/finding/index.ts';
import { handOffIn, inGuideMode } from '../../things/fit/index.ts';
import { seatKind } from '../../things/connector/index.ts';
import { JOB_FACTS, traitsOf, listed, TREE_ASKS } from '../../things/gear/index.ts';
import {
  belaysFromHarness,
  besideConnector,
  deviceOf,
  linesOf,
  mainConnector,
  ropeSlots,
  thingsOf,
  type Attachment,
} from '../rig/index.ts';
import { sharedPlaces } from './chosen.ts';
import type { Context } from './context.ts';
import { claimOf, claimOfPair, type Claim } from './judge.ts';
import { gripsByItself, sameWearer } from './grips.ts';
import { guides, twoStrandsBelow } from './guide.ts';
import { callsMatter, downMatters } from './calls-matter.ts';
import { belaysFromAbove } from './slack.ts';
import { personQuestions } from './attached.ts';
import { hasGrooves, hasHeldCam } from './in-device.ts';
import { canComeOff, hasSmoothSide } from './threading.ts';

/** Something that has to be asked about this rig. */
export interface Question {
  readonly claim: Claim;
  /** Elements that it is about, the first one first. */
  readonly subject: readonly ElementId[];
  /** As the end of "Not judged: ...". */
  readonly words: string;
}

const ask = (subject: readonly ElementId[], claim: Claim, words: string): Question => ({ claim, subject, words });

/**
 * What has to be asked about a rig: about every element, every pair that touches, and what its job needs. The judges
 * claim what they answer. A kind of element or of pair that is new here asks at least its one question, so that nothing
 * goes unjudged in silence.
 */
export function questionsOf(ctx: Context): Question[] {
  return [...ofElements(ctx), ...ofKinds(ctx), ...ofPairs(ctx), ...treeQuestions(ctx), ...ofJob(ctx)];
}

/** The one thing chosen for a place; what is missing is said as missing, and nothing else is asked about it. */
const chosen = (ref: ElementId) => ask([ref], claimOf(ref, 'chosen'), 'whether it is chosen');

const condition = (ref: ElementId) => ask([ref], claimOf(ref, 'condition'), 'its condition');

function ofElements(ctx: Context): Question[] {
  return thingsOf(ctx.setup).flatMap((thing): Question[] => {
    const { id } = thing;
    switch (thing.kind) {
      case 'person':
        return [
          chosen(id),
          ask([id], claimOf(id, 'mass'), 'whether the gear is made for this mass'),
          ask([id], claimOf(id, 'helmet'), 'the helmet'),
          ...personQuestions(ctx, id).map(([key, words]) => ask([id], claimOf(id, key), words)),
          ...(thing.person.role === 'belayer' && callsMatter(ctx.setup)
            ? [
                ask([id], claimOf(id, 'calls'), 'what the two tell each other'),
                ...(downMatters(ctx.setup) ? [ask([id], claimOf(id, 'down'), 'how the climber comes down')] : []),
              ]
            : []),
        ];
      case 'harness':
        return [chosen(id), condition(id)];
      case 'rope':
        return [chosen(id), condition(id), ask([id], claimOf(id, 'label'), 'whether label and measurement agree')];
      case 'site':
        return [ask([id], claimOf(id, 'heights'), 'the heights')];
      case 'edge':
        return [ask([id], claimOf(id, 'edge'), 'the edge')];
      case 'anchor':
        return [ask([id], claimOf(id, 'described'), 'the anchor')];
      case 'line':
        return [
          ask([id], claimOf(id, 'length'), 'whether the rope is long enough'),
          ask([id], claimOf(id, 'ends'), 'whether its ends are closed'),
          ...(thing.line.kind === 'fixed' ? [ask([id], claimOf(id, 'fastened'), 'how the rope is fastened')] : []),
          ...(thing.line.kind === 'doubled' && thing.line.use === 'joined'
            ? [ask([id], claimOf(id, 'joined'), 'how the ropes are joined')]
            : []),
          ...(thing.line.kind === 'led' ? [ask([id], claimOf(id, 'runners'), 'the pieces')] : []),
        ];
      case 'sling':
        return [
          chosen(id),
          condition(id),
          ask([id], claimOf(id, 'strength'), 'how strong the sling is as it is tied'),
          // Nobody has to reach along a lanyard: it is clipped where one stands.
          ...(thing.attachment.end.kind === 'clip'
            ? []
            : [ask([id], claimOf(id, 'reach'), 'whether the hand reaches what hangs on it')]),
        ];
      case 'connector':
        return [
          chosen(id),
          condition(id),
          ask([id], claimOf(id, 'gate'), 'the gate of the connector'),
          ask([id], claimOf(id, 'strength'), 'the strength of the connector'),
        ];
      case 'device':
        return [
          chosen(id),
          ask([id], claimOf(id, 'weather'), 'what water and ice do to it'),
          ask([id], claimOf(id, 'worn'), 'how worn it is'),
          ...ofDevice(ctx, thing.attachment),
        ];
      case 'hitch':
        return [
          chosen(id),
          condition(id),
          ask([id], claimOf(id, 'label'), 'whether label and measurement agree'),
          ask([id], claimOf(id, 'tied'), 'how the hitch grips and is tied'),
        ];
      case 'knot':
        return [ask([id], claimOf(id, 'tied'), 'the knot')];
      case 'hand':
        return [ask([id], claimOf(id, 'watches'), 'who holds the rope from below')];
      case 'clip':
        return [ask([id], claimOf(id, 'clipped'), 'what it is clipped to')];
    }
  });
}

/** How the rope lies in a device, by what there is to be seen of it. */
function ofDevice(ctx: Context, a: Attachment): Question[] {
  const item = deviceOf(a)?.item;
  if (!item) return [];
  const { id } = a.end;
  const { tied, tuned } = traitsOf(item.family);
  return [
    ...(tied ? [] : [ask([id], claimOf(id, 'threaded'), 'how the rope runs through it')]),
    ...(hasSmoothSide(a, ctx) ? [ask([id], claimOf(id, 'brake-side'), 'which side the brake strand runs over')] : []),
    ...(guides(a, ctx)
      ? [
          ask([id], claimOf(id, 'load-strand'), 'which strand lies above in the plate'),
          ask([id], claimOf(id, 'arriving'), 'how the second is clipped in'),
        ]
      : []),
    ...(twoStrandsBelow(a, ctx) ? [ask([id], claimOf(id, 'crossed'), 'how the two ropes lie')] : []),
    ...(hasHeldCam(a) ? [ask([id], claimOf(id, 'cam'), 'whether its cam is free')] : []),
    ...(hasGrooves(a) ? [ask([id], claimOf(id, 'groove'), 'which groove the rope lies in')] : []),
    ...(tuned ? [ask([id], claimOf(id, 'tuned'), 'on which rope it was tuned')] : []),
    ...(a.end.kind === 'device' && canComeOff(a.end, ctx)
      ? [ask([id], claimOf(id, 'upper-hole'), 'what keeps it on the rope')]
      : []),
    ...(belaysFromAbove(a, ctx)
      ? [
          ask([id], claimOf(id, 'slack'), 'slack above the second'),
          ask([id], claimOf(id, 'pull'), 'how hard taking in pulls'),
        ]
      : []),
  ];
}

/** One item can stand in two places of its kind by mistake. */
const ofKinds = ({ setup }: Context): Question[] =>
  sharedPlaces(setup).map((ref) =>
    ask([ref], claimOf(ref, 'once'), 'whether one item, or one person, is chosen twice'),
  );

/** Everything along one chain, from what it hangs on to the rope, and what lies next to each other along a rope. */
function ofPairs(ctx: Context): Question[] {
  const { setup, index } = ctx;
  return [
    ...setup.attachments.flatMap((a) => ofChain(ctx, a)),
    ...setup.lines.flatMap((line): Question[] => {
      const order = index.along(line.id);
      return [
        ask([line.anchor, line.id], claimOfPair(line.anchor, line.id), 'how the rope runs at the anchor'),
        ...(ropeSlots(line).length > 1
          ? [
              ask(
                [line.id],
                claimOfPair(ropeSlots(line)[0]!.id, ropeSlots(line)[1]!.id),
                'whether both ropes are alike',
              ),
            ]
          : []),
        ...order.flatMap((below, i) => above(below, order.slice(0, i)).flatMap((a) => alongside(ctx, a, below))),
      ];
    }),
  ];
}

/** What sits next above an attachment on each of its strands: on other strands of the same line it may hang beside. */
function above(below: Attachment, before: readonly Attachment[]): Attachment[] {
  const strands = (a: Attachment) => (a.end.kind === 'clip' ? [] : a.end.on);
  const shares = (a: Attachment, at: { line: ElementId; strand: string }) =>
    strands(a).some(
      (o) => o.line === at.line && (o.strand === at.strand || o.strand === 'both' || at.strand === 'both'),
    );
  return [...new Set(strands(below).flatMap((at) => before.findLast((a) => shares(a, at)) ?? []))];
}

/** Two attachments one above the other on a rope touch. */
function alongside(ctx: Context, above: Attachment, below: Attachment): Question[] {
  if (linesOf(ctx.index, above.end).length === 0) return [];
  const subject = [below.end.id, above.end.id];
  return [
    ask(subject, claimOfPair(above.end.id, below.end.id), 'whether one can act on the other'),
    ...(gripsByItself(above, ctx) && gripsByItself(below, ctx) && sameWearer(above, below)
      ? [
          ask(
            subject,
            claimOfPair(above.end.id, below.end.id, 'cascade'),
            'whether the upper one, when it slips, takes the lower one with it',
          ),
          ask(subject, claimOfPair(above.end.id, below.end.id, 'bench'), 'what your own tests of the two have shown'),
        ]
      : []),
    ...(below.end.kind === 'hitch' && deviceOf(above)?.hand
      ? [ask(subject, claimOf(below.end.id, 'hand-above'), 'what holds when the hand comes above the device')]
      : []),
  ];
}

function ofChain(ctx: Context, a: Attachment): Question[] {
  const rootRef =
    a.root.kind === 'harness'
      ? (ctx.index.person(a.root.person)?.harnessId ?? a.root.person)
      : a.root.kind === 'anchor'
        ? a.root.anchor
        : a.root.part;
  const chain = [
    rootRef,
    ...a.pieces.filter((p) => p.kind !== 'connector' || p.beside === null).map((p) => p.id),
    a.end.id,
  ];
  const pairs = chain.slice(1).map((ref, i) => [chain[i]!, ref] as const);
  const item = deviceOf(a)?.item;
  return [
    ask([a.end.id], claimOf(a.id, 'point'), 'where on the harness it hangs, and by whose hand'),
    ...pairs.flatMap(([x, y], i): Question[] => {
      if (i < pairs.length - 1 || !mainConnector(a) || a.end.kind !== 'device')
        return [ask([y, x], claimOfPair(x, y), 'how the one is attached to the other')];
      return [
        ask([x, y], claimOfPair(x, y, 'seat'), 'which end lies where'),
        ...(item && seatKind(item) === 'plates'
          ? [ask([x, y], claimOfPair(x, y, 'way'), 'how the connector sits in the device')]
          : []),
      ];
    }),
    ...(besideConnector(a)
      ? [
          ask(
            [besideConnector(a)!.id],
            claimOfPair(mainConnector(a)?.id ?? '', besideConnector(a)!.id),
            'the two connectors',
          ),
        ]
      : []),
    ...linesOf(ctx.index, a.end).flatMap((line): Question[] => [
      ask([a.end.id, line.id], claimOfPair(a.end.id, line.id), 'how it goes with the rope'),
      ...(a.end.kind === 'device' && line.kind === 'doubled'
        ? [ask([a.end.id, line.id], claimOfPair(a.end.id, line.id, 'strands'), 'whether both strands run through it')]
        : []),
    ]),
    ...(belaysFromHarness(ctx.index, a)
      ? [ask([a.end.id], claimOf(a.id, 'masses'), 'the masses of climber and belayer')]
      : []),
    ...(belaysFromHarness(ctx.index, a) ? [ask([a.end.id], claimOf(a.id, 'stance'), 'where the belayer stands')] : []),
    ...handQuestions(ctx, a),
  ];
}

function handQuestions(ctx: Context, a: Attachment): Question[] {
  const end = deviceOf(a);
  const hand = end?.hand ? ctx.index.person(end.hand)?.handId : undefined;
  if (!end || !hand) return [];
  const use = ctx.use(a);
  const alone = end.item !== null && (inGuideMode(end.item, use.use) || handOffIn(end.item, use.use) === 'holds');
  return [
    ask([hand, end.id], claimOf(end.id, 'handed'), 'whether it is made for this hand'),
    use.fall
      ? ask([hand, end.id], claimOfPair(hand, end.id, 'catch'), 'whether the hand holds a fall')
      : ask([hand, end.id], claimOfPair(hand, end.id, 'brake'), 'how hard the hand must brake'),
    ...(alone ? [ask([end.id], claimOf(end.id, 'alone'), 'whether the device holds hands-off as it is rigged')] : []),
  ];
}

/** A person works in a tree: its rules ask more of a connector, and a line may be tied at its base. */
function treeQuestions(ctx: Context): Question[] {
  const { job, lines, attachments, site, persons } = ctx.setup;
  if (!site.tree) return [];
  const { up } = JOB_FACTS[job];
  const ownJob = up === 'stationary-line' || up === 'moving-line';
  // Lengths are asked for where something is there to go up on.
  const aid = attachments.find((a) => a.use === 'aid');
  return [
    // A rappel from a tree asks what every job in one asks.
    ...(ownJob ? [] : TREE_ASKS.map(([key, words]) => ask([persons[0]!.id], claimOf('job', key), words))),
    ...(aid ? [ask([aid.end.id], claimOf('job', 'lengths'), 'the lengths of tether and foot loop')] : []),
    ...(up === 'stationary-line'
      ? attachments.flatMap((a) =>
          a.use === 'carries' ? [ask([a.end.id], claimOf(a.end.id, 'pressed'), 'what can open it from above')] : [],
        )
      : []),
    ...(attachments.some((a) => a.root.kind === 'harness' && a.root.point === 'bridge')
      ? [ask([ctx.setup.persons[0]!.harnessId], claimOf(ctx.setup.persons[0]!.harnessId, 'bridge'), 'the bridge')]
      : []),
    ...attachments.flatMap((a) =>
      a.use === 'carries' && a.end.kind !== 'knot'
        ? [
            ...(up === 'moving-line'
              ? [ask([a.end.id], claimOf(a.end.id, 'eyes'), 'what the end of the line hangs on')]
              : []),
            ...(deviceOf(a)?.item ? [ask([a.end.id], claimOf(a.end.id, 'side'), 'whether it lies over a limb')] : []),
          ]
        : [],
    ),
    ...attachments.flatMap((a) =>
      a.pieces.flatMap((p) =>
        p.kind === 'connector'
          ? [ask([p.id], claimOf(p.id, 'tree'), 'whether it is a connector for work in a tree')]
          : [],
      ),
    ),
    ...(up !== 'moving-line'
      ? lines.flatMap((l) =>
          l.kind === 'fixed' ? [ask([l.id], claimOf(l.id, 'base-tie'), 'whether it can be tied at the base')] : [],
        )
      : []),
  ];
}

function ofJob({ setup }: Context): Question[] {
  if (!(setup.job in JOB_FACTS)) return [];
  const first = setup.persons[0]!.id;
  return listed(JOB_FACTS[setup.job].asks).map(([key, words]) => ask([first], claimOf('job', key), words));
}
