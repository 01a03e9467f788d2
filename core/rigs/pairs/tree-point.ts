import { finding, literal, type Finding, type ElementId, type Severity } from '../../foundations/finding/index.ts';
import { traitsOf, JOB_FACTS } from '../../things/gear/index.ts';
import { afterBounceRatio, forkRatio } from '../../things/geometry/index.ts';
import { claimOf, type Context, type Judge } from '../elements/index.ts';
import { deviceOf, type Attachment, type RigLine, type RigPerson, type Tree } from '../rig/index.ts';
import { constant, threshold } from '../../foundations/sources/index.ts';
import { exactly, interval, scale, STANDARD_GRAVITY_M_PER_S2, type Interval } from '../../foundations/units/index.ts';
import { isFootLoop } from './foot-loop.ts';

/** The tree that a rig is in; null elsewhere. */
export const treeOf = ({ setup }: Context): Tree | null => setup.site.tree;

/** Weights that the tie-in point carries for one on the line, by how the line runs there. */
function weightsOn(line: RigLine, through: string): Interval {
  // Both legs of a moving line pull the climber up: the point carries one weight. Tied up there it is one as well.
  if (line.kind !== 'fixed' || line.fastening.tiedAt === 'top') return interval(1, 1, 1);
  const base = forkRatio(constant(through === 'wood' ? 'muLineOnBark' : 'muLineOnSaver'));
  return line.fastening.tiedAt === 'base' ? base : interval(1, base.best, base.high);
}

/**
 * With a bounce a line tied at the base loads the fork with both its legs, whatever the friction; what is left at rest
 * afterwards can be more than before it.
 */
function bounceOn(line: RigLine, through: string): { readonly most: number; readonly rest: Interval } | null {
  if (line.kind !== 'fixed' || line.fastening.tiedAt === 'top') return null;
  const jerk = threshold('jerkFactor');
  return {
    most: 2 * jerk,
    rest: afterBounceRatio(constant(through === 'wood' ? 'muLineOnBark' : 'muLineOnSaver'), jerk),
  };
}

/** What the tie-in point carries, and whether it was tried with more than that before anybody went up. */
export const forkJudge: Judge = {
  id: 'fork',
  subjects: (ctx) => (treeOf(ctx) ? [ctx.setup.lines[0]!.anchor] : []),
  claims: () => [claimOf('job', 'fork')],
  judge: (ref, ctx) => {
    const line = ctx.setup.lines[0]!;
    const climber = ctx.setup.persons[0]!;
    if (!climber.item) return [];
    const { massKg } = climber.item;
    return [fork(ref, treeOf(ctx)!, line, massKg, ctx.index.anchor(ref)!.through, bouncedKg(ctx))];
  },
  reads: () => [],
};

/**
 * What hung on the line when two tried it, kg: as it was said, else what climber and partner weigh; null where neither
 * is known.
 */
function bouncedKg(ctx: Context): number | null {
  const { triedKg } = treeOf(ctx)!;
  const [climber, partner] = ctx.setup.persons;
  if (triedKg !== null) return triedKg;
  return climber?.item && partner?.item ? climber.item.massKg + partner.item.massKg : null;
}

/** Two tried it, and whether what they weigh tells anything about who goes up. */
function byTwo(massKg: number, kg: number | null): readonly [Severity, string, string] {
  if (kg === null)
    return [
      'untested',
      'Two have tried the tie-in point, and it is not known what they weigh.',
      'Enter what hung on the line at once, or choose the partner.',
    ];
  if (kg >= threshold('trialLeastWeights') * massKg) return TRIED.two;
  const less = kg < massKg;
  return [
    less ? 'stop' : 'mind',
    less
      ? 'The test load was lighter than the climber: that is no test.'
      : 'What bounced on the line weighs little more than the climber.',
    TRIED.one[2],
  ];
}

const TRIED: Readonly<Record<Tree['tried'], readonly [Severity, string, string]>> = {
  two: [
    'clear',
    'Two people bounce-tested the tie-in point from the ground. That tests today’s load, not the health of the wood.',
    '',
  ],
  one: [
    'mind',
    'One person has tried the tie-in point: that is no more than what hangs there later.',
    'Let two bounce on the line from the ground, one after the other and together.',
  ],
  none: [
    'stop',
    'Nobody has tried the tie-in point from the ground.',
    'Let two bounce on the line from the ground, and watch the limb, the stem and the roots.',
  ],
  unknown: [
    'untested',
    'Not entered yet: whether the tie-in point was tried from the ground.',
    'Let two bounce on the line from the ground, and enter it.',
  ],
};

function fork(
  ref: ElementId,
  { tried }: Tree,
  line: RigLine,
  massKg: number,
  through: string,
  kg: number | null,
): Finding {
  const weights = weightsOn(line, through);
  const stillKn = scale(weights, (massKg * STANDARD_GRAVITY_M_PER_S2) / 1000);
  const weightKn = (massKg * STANDARD_GRAVITY_M_PER_S2) / 1000;
  const bounce = bounceOn(line, through);
  const jerkKn = bounce ? exactly(bounce.most * weightKn) : scale(stillKn, threshold('jerkFactor'));
  const [severity, says, remedy] = tried === 'two' ? byTwo(massKg, kg) : TRIED[tried];
  const trial = tried === 'two' && kg !== null;
  return finding({
    code: 'tree.fork-load',
    severity,
    subject: [ref, line.id],
    says,
    because: `It carries {still~}, and up to {jerk~} in a bounce${bounce ? '; at rest after one {rest~}' : ''}.${trial ? ' On trial {bounced} hung there, {times} times the climber.' : ''} No calculation tells what a fork holds: wood, decay and roots decide. Ask somebody who knows trees.`,
    remedy,
    numbers: [
      { key: 'still', label: 'On the tie-in point', quantity: 'strengthKn', value: stillKn },
      { key: 'jerk', label: 'In a bounce', quantity: 'strengthKn', value: jerkKn },
      ...(bounce
        ? ([
            {
              key: 'rest',
              label: 'At rest after a bounce',
              quantity: 'strengthKn',
              value: scale(bounce.rest, weightKn),
            },
          ] as const)
        : []),
      { key: 'weights', label: 'Weights on it', quantity: 'ratio', value: weights },
      ...(trial
        ? ([
            { key: 'bounced', label: 'On trial hung there', quantity: 'massKg', value: exactly(kg) },
            { key: 'times', label: 'Over the climber', quantity: 'ratio', value: exactly(kg / massKg) },
          ] as const)
        : []),
    ],
  });
}

/** Ropes of their own on which this person is attached: two of them are two attachments. */
const linesOfPerson = ({ setup }: Context, person: RigPerson): number =>
  new Set(
    setup.attachments.flatMap((a) =>
      a.use !== 'aid' && a.root.kind === 'harness' && a.root.person === person.id && a.end.kind !== 'clip'
        ? a.end.on.map((o) => o.line)
        : [],
    ),
  ).size;
export const onTwoLines = (ctx: Context): boolean => linesOfPerson(ctx, ctx.setup.persons[0]!) > 1;

/** Nobody cuts on one attachment. */
export const treeSecondJudge: Judge = {
  id: 'tree-second',
  subjects: (ctx) => (treeOf(ctx) ? [ctx.setup.persons[0]!.id] : []),
  claims: () => [claimOf('job', 'second')],
  judge: (ref, ctx) => [second(ref, treeOf(ctx)!, onTwoLines(ctx))],
  reads: () => [],
};

function second(ref: ElementId, { second: other, saw }: Tree, twoLines: boolean): Finding {
  const has = twoLines || other === 'lanyard';
  const remedy = 'Put the lanyard around stem or limb before you work, change or cut; or hang on a second line.';
  return finding(
    {
      code: 'tree.second',
      subject: [ref, 'tree'],
      because: has
        ? twoLines
          ? 'Each on a rope of its own.'
          : 'The lanyard goes around the stem or a second limb, short, before the hands are needed.'
        : 'A line that is cut, or opened by mistake, has nothing behind it. ANSI Z133 and most local rules ask for a second attachment while cutting.',
    },
    has
      ? { severity: 'clear', says: 'A second attachment holds while working and changing.' }
      : other === 'unknown'
        ? {
            severity: 'untested',
            says: 'Not entered yet: what holds beside the line while working and changing.',
            remedy,
          }
        : saw === 'unknown'
          ? {
              severity: 'untested',
              says: 'Only the line holds. Not entered yet: whether something is cut up there.',
              remedy,
            }
          : saw === 'yes'
            ? { severity: 'stop', says: 'A saw is used while only the line holds.', remedy }
            : { severity: 'mind', says: 'Only the line holds while one works or changes.', remedy },
  );
}

/**
 * What hangs above a bollard that is pushed open from above, or holds by a hitch alone on a line that does not move.
 */
export const treeGripJudge: Judge = {
  id: 'tree-grip',
  subjects: (ctx) =>
    JOB_FACTS[ctx.setup.job].up === 'stationary-line'
      ? ctx.setup.attachments.filter((a) => a.use === 'carries').map((a) => a.end.id)
      : [],
  claims: (ref) => [claimOf(ref, 'pressed')],
  judge: (ref, ctx) => {
    const a = ctx.index.ownerOf(ref)!;
    return [...(a.end.kind === 'hitch' ? [plainHitch(a)] : []), ...pressed(a, ctx)];
  },
  reads: (ref) => [ref],
};

const plainHitch = (a: Attachment): Finding =>
  finding({
    code: 'tree.plain-hitch',
    severity: 'stop',
    subject: [a.end.id],
    says: 'A hitch alone carries a whole person on a line that does not move.',
    because:
      'On a single rope the hitch takes your full weight: it heats and glazes going down, or jams so you cannot move it.',
    remedy: 'Put a friction-reliever above it, or take a device made for a stationary line.',
  });

/** A bollard opens when it is pushed from above: nothing that a foot stands in goes there. */
function pressed(a: Attachment, ctx: Context): Finding[] {
  const item = deviceOf(a)?.item;
  const opens = item && (traitsOf(item.family).tuned || traitsOf(item.family).defeats.includes('pushed-from-above'));
  if (!item || !opens || a.end.kind === 'clip') return [];
  const loops = new Set(
    ctx.setup.attachments.filter(isFootLoop).flatMap((l) => (l.end.kind === 'clip' ? [l.end.to] : [])),
  );
  const above = a.end.on.flatMap(({ line }) => {
    const order = ctx.index.along(line);
    return order.slice(0, Math.max(0, order.indexOf(a)));
  });
  const pushing = above.find(
    (o) =>
      o.pieces.some((p) => loops.has(p.id)) ||
      loops.has(o.end.id) ||
      (deviceOf(o)?.item ? traitsOf(deviceOf(o)!.item!.family).aidOnly : false),
  );
  return pushing
    ? [
        finding({
          code: 'tree.pressed-open',
          severity: 'stop',
          subject: [a.end.id, pushing.end.id],
          says: `Your foot loop or ascender is above ${literal(item.name)} and can push it open.`,
          because: 'Standing up, the foot loop or ascender comes down onto the arm of the device, which then lets go.',
          remedy: 'Put foot, knee and chest ascenders below it, or on the other leg of the line.',
        }),
      ]
    : [];
}
