import { finding, literal, type Finding, type ElementId } from '../../foundations/finding/index.ts';
import { handOffIn } from '../../things/fit/index.ts';
import { JOB_FACTS, JOBS, type DevicePlace } from '../../things/gear/index.ts';
import {
  belaysFromHarness,
  deviceOf,
  hangingBy,
  hitchOf,
  linesOf,
  mainConnector,
  type Attachment,
  type RigPerson,
  type Role,
} from '../rig/index.ts';
import type { Context } from './context.ts';
import { claimOf, type Judge } from './judge.ts';

/** Whom a job carries; a partner and a belayer stand. */
const CARRIED: ReadonlySet<Role> = new Set<Role>(['climber', 'second', 'casualty', 'rescuer']);
export const carried = ({ setup }: Context): RigPerson[] => setup.persons.filter((p) => CARRIED.has(p.role));

/**
 * Points of a harness that hold a whole person. The leg loop holds what a brake hand lets go, the others keep a body or
 * a foot in its place.
 */
const FULL_STRENGTH: ReadonlySet<string> = new Set(['belay-loop', 'tie-in', 'bridge']);
const HOLDS_BACKUP: ReadonlySet<string> = new Set(['leg-loop']);

const wornBy = (a: Attachment, p: RigPerson): boolean => a.root.kind === 'harness' && a.root.person === p.id;
const pointOf = (a: Attachment): string | null => (a.root.kind === 'harness' ? a.root.point : null);

/**
 * Does it lead from this person to something that holds: on a point of full strength, to a rope, an anchor or another
 * part?
 */
const carries = (a: Attachment, p: RigPerson, ctx: Context): boolean =>
  wornBy(a, p) &&
  a.use === 'carries' &&
  FULL_STRENGTH.has(pointOf(a) ?? '') &&
  a.end.kind !== 'hand' &&
  !belaysFromHarness(ctx.index, a);

/**
 * Everybody whom the job carries is attached, on a point that holds them. Read from a file, a link or a code a rig can
 * say anything.
 */
export const attachedJudge: Judge = {
  id: 'attached',
  subjects: (ctx) => carried(ctx).map((p) => p.id),
  claims: (ref) => [claimOf(ref, 'attached')],
  judge: (ref, ctx) => {
    const person = ctx.index.person(ref)!;
    const own = ctx.setup.attachments.filter((a) => carries(a, person, ctx));
    if (own.length === 0) return [nothing(person)];
    if (!own.some((a) => a.end.kind !== 'knot' || held(a, ctx))) return [unheld(person)];
    return JOB_FACTS[ctx.setup.job].up === 'moving-line' && !own.some((a) => a.end.kind === 'knot')
      ? [untiedEnd(person)]
      : [];
  },
  reads: () => [],
};

/** Somebody tied into a rope that runs hangs on what brakes or grips that rope, not on the knot. */
const held = (tieIn: Attachment, ctx: Context): boolean =>
  linesOf(ctx.index, tieIn.end).some(
    (line) =>
      line.kind === 'fixed' ||
      ctx.index
        .along(line.id)
        .some((a) => a !== tieIn && a.use === 'carries' && (a.end.kind === 'device' || a.end.kind === 'hitch')),
  );

const unheld = (person: RigPerson): Finding =>
  finding({
    code: 'rig.not-held',
    severity: 'stop',
    subject: [person.id],
    says: `Nothing holds the rope that ${person.item ? literal(person.item.name) : `the ${person.role}`} is tied into.`,
    because: 'As entered no device and no hitch on that rope carries a person.',
    remedy: 'Put the belay device on the rope, and enter it as what carries.',
  });

/** A moving line comes back over the fork to whoever climbs it: hung on one side of it only, they pull it down. */
const untiedEnd = (person: RigPerson): Finding =>
  finding({
    code: 'rig.not-held',
    severity: 'stop',
    subject: [person.id],
    says: `The end of the moving line is not tied to ${person.item ? literal(person.item.name) : `the ${person.role}`}.`,
    because: 'Only one side of the line hangs on the harness: the other side runs up and over the fork.',
    remedy: 'Tie the end to the harness, and enter it.',
  });

const nothing = (person: RigPerson): Finding =>
  finding({
    code: 'rig.not-attached',
    severity: 'stop',
    subject: [person.id, person.harnessId],
    says: `Nothing of full strength attaches ${person.item ? literal(person.item.name) : `the ${person.role}`}.`,
    because:
      'No tie-in, device or tether leads from the belay loop, the tie-in points or the bridge to a rope or an anchor. A foot loop, a chest strap or an aid holds nobody.',
    remedy: 'Attach them first. Then look again at everything else.',
  });

/** Where an attachment sits on the harness, what joins it to the harness, and by whose hand its device brakes. */
export const pointJudge: Judge = {
  id: 'point',
  subjects: ({ setup }) => setup.attachments.map((a) => a.id),
  claims: (ref) => [claimOf(ref, 'point')],
  judge: (ref, ctx) => {
    const a = ctx.attachment(ref);
    return [...onPoint(a, ctx), ...joined(a), ...byHand(a, ctx), ...usedFor(a, ctx)];
  },
  reads: (ref, ctx) => [ctx.attachment(ref).end.id],
};

/**
 * A device may be used for another job than that of the set-up, such as a belay from above beside a rappel; it must be
 * one that its place allows.
 */
function usedFor(a: Attachment, ctx: Context): Finding[] {
  if (a.job === null || !deviceOf(a)) return [];
  const place: DevicePlace = a.root.kind === 'anchor' ? 'anchor' : belaysFromHarness(ctx.index, a) ? 'belayer' : 'own';
  if (JOB_FACTS[a.job].deviceAt.includes(place)) return [];
  return [
    finding({
      code: 'rig.used-elsewhere',
      severity: 'untested',
      subject: [a.end.id],
      says: `${literal(a.label)} is entered for another use than it has here: ${JOBS[a.job].toLowerCase()}.`,
      because: 'What a device must hold, and how it is threaded, follows from its use.',
      remedy: 'Enter what it is used for.',
    }),
  ];
}
const POINT_WORDS: Readonly<Record<string, string>> = {
  bridge: 'the bridge, which only a tree harness has,',
  'leg-loop': 'the leg loop',
  chest: 'the chest',
  side: 'a side ring',
  foot: 'the foot',
  knee: 'the knee',
};

function onPoint(a: Attachment, ctx: Context): Finding[] {
  const point = pointOf(a);
  if (point === null || a.use === 'aid' || a.end.kind === 'hand') return [];
  // A lanyard for work positioning sits on the side rings, beside what carries.
  const noBridge = point === 'bridge' && ctx.setup.site.tree === null;
  if ((FULL_STRENGTH.has(point) && !noBridge) || (point === 'side' && a.use === 'tether'))
    return [...tiedToLoop(a, point), ...clippedToPoints(a, point)];
  const person = a.root.kind === 'harness' ? ctx.index.person(a.root.person) : undefined;
  if (HOLDS_BACKUP.has(point) && a.use === 'backup' && hitchOf(a) && ctx.deviceAbove(a)) return [];
  return [
    finding({
      code: 'rig.point-holds-nobody',
      severity: 'stop',
      subject: [a.end.id, person?.harnessId ?? a.end.id],
      says: `${literal(a.label)} hangs on ${POINT_WORDS[point] ?? 'a point'} of the harness, which does not hold a person.`,
      because: 'Belay loop, tie-in points and the bridge of a tree harness hold a whole person, nothing else.',
      remedy: 'Move it to the belay loop.',
    }),
  ];
}

/** A rope is tied through the tie-in points; some makers allow the belay loop, most do not. */
const tiedToLoop = (a: Attachment, point: string): Finding[] =>
  a.end.kind === 'knot' && a.pieces.length === 0 && point === 'belay-loop'
    ? [
        finding({
          code: 'rig.tied-to-loop',
          severity: 'mind',
          subject: [a.end.id],
          says: 'The rope is tied to the belay loop instead of the tie-in points.',
          because: 'The knot rubs the loop, and one loop is all that holds. Most instructions show the tie-in points.',
          remedy: 'Tie in through both tie-in points, along the path of the belay loop.',
        }),
      ]
    : [];

/** A connector through both tie-in points is pulled from three sides; a sling girth-hitched there is not. */
const clippedToPoints = (a: Attachment, point: string): Finding[] =>
  point === 'tie-in' && a.pieces[0]?.kind === 'connector'
    ? [
        finding({
          code: 'rig.clipped-to-points',
          severity: 'mind',
          subject: [a.pieces[0].id],
          says: `${literal(a.label)} is clipped through both tie-in points.`,
          because: 'There a connector is pulled from three sides, and its gate can be loaded.',
          remedy: 'Clip it to the belay loop.',
        }),
      ]
    : [];

/** A device or a hitch is joined to what it hangs on by a connector; a knot needs none. */
function joined(a: Attachment): Finding[] {
  if ((a.end.kind !== 'device' && a.end.kind !== 'hitch') || a.use === 'aid' || mainConnector(a)) return [];
  return [
    finding({
      code: 'rig.no-connector',
      severity: 'stop',
      subject: [a.end.id],
      says: `No connector joins ${literal(a.label.toLowerCase())} to what it hangs on.`,
      because: 'As entered nothing holds it there.',
      remedy: 'Clip it with a locking connector.',
    }),
  ];
}

/** A device that lets the rope run needs a hand, and the hand of somebody who is there. */
function byHand(a: Attachment, ctx: Context): Finding[] {
  const end = deviceOf(a);
  if (!end?.item || a.use === 'aid') return [];
  const name = literal(end.item.name);
  if (end.hand === null) {
    // What a motionless casualty hangs in is judged with their links.
    const wearer = a.root.kind === 'harness' ? ctx.index.person(a.root.person) : undefined;
    const { use, tended } = ctx.use(a);
    const runs = handOffIn(end.item, use) === 'runs';
    if ((!runs && !tended) || wearer?.role === 'casualty') return [];
    return [
      finding(
        { code: 'rig.no-hand', subject: [end.id], says: `Nobody’s hand brakes at ${name}.` },
        runs
          ? {
              severity: 'stop',
              because: 'When no hand holds the brake strand the rope runs through it.',
              remedy: 'Say whose hand brakes, or use a device that holds hands-off.',
            }
          : {
              severity: 'mind',
              because:
                'A device that holds hands-off can be blocked or pushed open. The hand on the brake strand then stops the rope.',
              remedy: 'Say whose hand is on the brake strand. It stays there.',
            },
      ),
    ];
  }
  const hand = ctx.index.person(end.hand);
  const wearer = a.root.kind === 'harness' ? a.root.person : null;
  // At an anchor somebody brakes who does not hang on that rope; on a harness it is who wears it. A motionless casualty
  // has no hand of their own.
  const reaches =
    wearer === null
      ? !hangingBy(ctx.index, a).some((p) => p.id === end.hand)
      : wearer === end.hand || ctx.index.person(wearer)?.role === 'casualty';
  if (reaches) return [];
  return [
    finding({
      code: 'rig.hand-elsewhere',
      severity: 'stop',
      subject: [end.id, hand?.handId ?? end.id],
      says: `${hand?.item ? literal(hand.item.name) : 'The person named'} cannot reach the brake strand of ${name}.`,
      because:
        wearer === null
          ? 'A person who hangs on a rope cannot brake it at the anchor above.'
          : 'The device hangs on somebody else’s harness.',
      remedy: 'Name the person whose hand is on the brake strand.',
    }),
  ];
}

/** A belayer at an edge is attached to something. */
export const atEdgeJudge: Judge = {
  id: 'at-edge',
  subjects: (ctx) => standingAbove(ctx).map((p) => p.id),
  claims: (ref) => [claimOf(ref, 'at-edge')],
  judge: (ref, ctx) => {
    const person = ctx.index.person(ref)!;
    if (!person.item || person.atEdge === 'away' || person.atEdge === 'tied') return [];
    const loose = person.atEdge === 'loose';
    const name = literal(person.item.name);
    return [
      finding(
        {
          code: 'rig.at-edge',
          subject: [ref],
          because: 'A pull on the rope, or one step back, takes the belayer over it, and nobody holds the rope then.',
          remedy: 'Attach the belayer to the anchor, tight, before anybody loads the rope.',
        },
        loose
          ? { severity: 'stop', says: `${name} stands at an edge and is not attached.` }
          : {
              severity: 'untested',
              says: `Not entered yet: whether ${name} stands at an edge, and is attached there.`,
            },
      ),
    ];
  },
  reads: (ref) => [ref],
};

/** Who belays or lowers from above stands where the others can fall. */
export const standingAbove = (ctx: Context): RigPerson[] =>
  ctx.setup.persons.filter((p) =>
    ctx.setup.attachments.some((a) => a.root.kind === 'anchor' && deviceOf(a)?.hand === p.id && !CARRIED.has(p.role)),
  );

/** What is asked of a person because of where they hang or stand. */
export const personQuestions = (ctx: Context, id: ElementId): readonly (readonly [string, string])[] => [
  ...(carried(ctx).some((p) => p.id === id)
    ? [['attached', 'whether and where this person is attached'] as const]
    : []),
  ...(standingAbove(ctx).some((p) => p.id === id)
    ? [['at-edge', 'whether the belayer is attached at an edge'] as const]
    : []),
];
