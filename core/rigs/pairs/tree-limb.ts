import { finding, type Finding, type Severity } from '../../foundations/finding/index.ts';
import { fallForceKn, overSprings, springsOfStrands, JOB_FACTS } from '../../things/gear/index.ts';
import { redirectWeights, swingOf, type Swing } from '../../things/geometry/index.ts';
import { claimOf, type Context, type Judge } from '../elements/index.ts';
import { ropeIdsOf, type Attachment, type Limb, type Tree } from '../rig/index.ts';
import { constant, threshold } from '../../foundations/sources/index.ts';
import { exactly, interval, scale, STANDARD_GRAVITY_M_PER_S2, type Interval } from '../../foundations/units/index.ts';
import { onTwoLines, treeOf } from './tree-point.ts';

/**
 * How far below the tie-in one stands out there, m: a limb that rises brings one nearer to it, and can bring one above.
 */
export const standsBelowM = (outM: number, belowM: number, riseDeg: number): number =>
  belowM - outM * Math.tan((riseDeg * Math.PI) / 180);

/**
 * The swing off a limb that is said; null while a length is not said, where nobody goes out, and where one stands no
 * lower than the tie-in.
 */
export function limbSwing({ outM, belowM, riseDeg }: Limb): Swing | null {
  if (outM === null || outM <= 0 || belowM === null) return null;
  const below = standsBelowM(outM, belowM, riseDeg);
  return below > 0 ? swingOf(outM, below) : null;
}

/** One stands as high as the tie-in or above it: there is no swing to reckon, but a fall onto the line. */
const aboveTieIn = ({ outM, belowM, riseDeg }: Limb): boolean =>
  outM !== null && outM > 0 && belowM !== null && standsBelowM(outM, belowM, riseDeg) <= 0;

/** How a limb is called where there are several. */
export const limbName = ({ limbs }: Tree, limb: Limb): string =>
  limbs.length === 1
    ? 'the limb'
    : `${['the first', 'the second', 'the third', 'the fourth', 'the fifth'][limbs.indexOf(limb)]!} limb`;

/** Out along a limb: the swing when one slips, and the slack that is stored when one comes back. */
export const limbJudge: Judge = {
  id: 'limb',
  subjects: (ctx) => (treeOf(ctx) ? ['tree'] : []),
  claims: () => [claimOf('job', 'swing')],
  judge: (_, ctx) => {
    const tree = treeOf(ctx)!;
    const gone = tree.limbs.filter((limb) => limb.outM !== 0);
    const twoLines = onTwoLines(ctx);
    return [
      ...overLimb(tree),
      ...redirect(tree, ctx),
      ...gone.map((limb) => {
        const swing = limbSwing(limb);
        if (underGround(limb, ctx.descentM)) return tooLow(limbName(tree, limb));
        return swing
          ? swings(limbName(tree, limb), limb, swing, twoLines)
          : aboveTieIn(limb)
            ? tooHigh(limbName(tree, limb))
            : notSaid(limbName(tree, limb), limb);
      }),
      ...comingBack(tree, ctx),
    ];
  },
  // A fall into stored slack is as hard as the rope.
  reads: (_, ctx) => {
    const carries = carriedBy(ctx);
    return carries ? ropeIdsOf(ctx.index, carries.end) : [];
  },
};

const carriedBy = (ctx: Context): Attachment | undefined =>
  ctx.setup.attachments.find((a) => a.use === 'carries' && a.end.kind !== 'knot');

const notSaid = (name: string, { outM }: Limb): Finding =>
  finding({
    code: 'tree.limb-swing',
    severity: 'untested',
    subject: ['tree'],
    says:
      outM === null
        ? `Not entered yet: whether, and how far, somebody goes out along ${name === 'the limb' ? 'a limb' : name}.`
        : `Not entered yet: how high above ${name} the line is tied.`,
    because:
      'If you slip off a limb you swing in towards the tie-in point, into whatever is there – usually the trunk.',
    remedy: 'Enter it; 0 where nobody leaves the stem.',
  });

/** The limb, or where one stands on it, would be in the ground: a number is wrong. */
const underGround = ({ outM, belowM, riseDeg }: Limb, descentM: number): boolean =>
  belowM !== null && descentM > 0 && Math.max(belowM, standsBelowM(outM ?? 0, belowM, riseDeg)) > descentM;

const tooLow = (name: string): Finding =>
  finding({
    code: 'tree.limb-swing',
    severity: 'untested',
    subject: ['tree', 'ground'],
    says: `By what is entered ${name} is in the ground.`,
    because: 'Its place below the tie-in, or where you stand on it, is farther down than the anchor is high.',
    remedy: 'Correct the height of the anchor, or where the limb is and how it falls away.',
  });

const tooHigh = (name: string): Finding =>
  finding({
    code: 'tree.limb-above',
    severity: 'stop',
    subject: ['tree'],
    says: `Out on ${name} you stand as high as the tie-in point, or above it.`,
    because:
      'The rope runs level or downhill to the tie-in point: if you slip you fall until it comes tight, then swing.',
    remedy: 'Tie in higher before you go there, or do not go.',
  });

function swings(name: string, { outM, belowM, riseDeg }: Limb, swing: Swing, twoLines: boolean): Finding {
  const { angleDeg, dropM } = swing;
  const wide = angleDeg > threshold('limbStopDeg') || dropM > threshold('limbStopM');
  const some = angleDeg > threshold('limbMindDeg') || dropM > threshold('limbMindM');
  const remedy =
    'Tie in higher or nearer to above the work, redirect the line, or hang on a second line from the other side.';
  return finding(
    {
      code: 'tree.limb-swing',
      subject: ['tree'],
      because:
        '{out} out and {below} below the tie-in point, the rope is at {angle}. You would swing {drop} lower and reach the trunk as fast as after a free fall of {drop}.',
      numbers: [
        { key: 'out', label: 'Out along the limb', quantity: 'lengthM', value: exactly(outM!) },
        {
          key: 'below',
          label: 'Tie-in point above where you stand',
          quantity: 'lengthM',
          value: exactly(standsBelowM(outM!, belowM!, riseDeg)),
        },
        { key: 'angle', label: 'Line from the vertical', quantity: 'angleDeg', value: exactly(angleDeg) },
        { key: 'drop', label: 'Drop of the swing', quantity: 'lengthM', value: exactly(dropM) },
      ],
    },
    wide && !twoLines
      ? {
          severity: 'stop',
          says: `A slip off ${name} is a fall and a long swing, and no second line stops it.`,
          remedy,
        }
      : wide
        ? {
            severity: 'mind',
            says: `A slip off ${name} is a long swing, unless a second line from the far side is tight.`,
            remedy,
          }
        : some
          ? { severity: 'mind', says: `A slip off ${name} is a swing.`, remedy }
          : { severity: 'clear', says: `A slip off ${name} is a small swing.` },
  );
}

/** Of several limbs the one that stores most slack counts. */
function comingBack(tree: Tree, ctx: Context): Finding[] {
  const longest = tree.limbs.flatMap((limb) => limbSwing(limb) ?? []).sort((a, b) => b.dropM - a.dropM)[0];
  return longest ? [stored(tree, longest, slackForceKn(longest, ctx))] : [];
}

/**
 * A redirect carries what two legs of the line pull at it: 2 F sin(bend / 2) of the weight on the line (closed form).
 * Bent by 60° that is one whole weight; when it lets go, the line is slack at once.
 */
function redirect({ redirectDeg: bend }: Tree, ctx: Context): Finding[] {
  const person = ctx.setup.persons[0]!.item;
  if (bend === 0 || !person) return [];
  if (bend === null)
    return [
      finding({
        code: 'tree.redirect',
        severity: 'untested',
        subject: ['tree'],
        says: 'Not entered yet: whether the loaded line runs free or is redirected.',
        because: 'A redirect carries part of the load; if it fails, all its slack comes at once.',
        remedy: 'Enter how far it bends the line; 0 where it runs free.',
      }),
    ];
  const weights = redirectWeights(bend);
  const kn = (person.massKg * STANDARD_GRAVITY_M_PER_S2 * weights) / 1000;
  const severity: Severity = bend > threshold('redirectMindDeg') ? 'mind' : 'clear';
  return [
    finding({
      code: 'tree.redirect',
      severity,
      subject: ['tree'],
      says:
        severity === 'mind'
          ? 'The redirect carries more than your weight.'
          : 'The redirect carries less than your weight.',
      because:
        'Bent by {bend} it is pulled with {weights} of what hangs on the line: {force}, and {jerk} as a shock load. It is passed on the way down as well.',
      remedy:
        severity === 'mind'
          ? 'Put it on wood that you would hang on by itself, bend the line less, or tie in nearer to above the work.'
          : '',
      numbers: [
        { key: 'bend', label: 'Bent by', quantity: 'angleDeg', value: exactly(bend) },
        { key: 'weights', label: 'On the redirect, of the load', quantity: 'ratio', value: exactly(weights) },
        { key: 'force', label: 'On the redirect', quantity: 'strengthKn', value: exactly(kn) },
        {
          key: 'jerk',
          label: 'Shock load',
          quantity: 'strengthKn',
          value: scale(exactly(kn), threshold('jerkFactor')),
        },
      ],
    }),
  ];
}

/**
 * Back at the stem with the line as long as it was out there: the fall into that slack on the whole line that is out;
 * null while rope or person is not known.
 */
function slackForceKn({ lineM, dropM }: Swing, ctx: Context): Interval | null {
  const person = ctx.setup.persons[0]!.item;
  const carries = carriedBy(ctx);
  const springs = carries ? ctx.load(carries)?.springs : undefined;
  if (!person || !springs) return null;
  // Both legs of a moving line catch.
  const legs = JOB_FACTS[ctx.setup.job].up === 'moving-line' ? 2 : 1;
  return overSprings(springsOfStrands(springs, legs), (rope) => fallForceKn(rope, person.massKg, dropM / lineM));
}

function stored({ comingBack }: Tree, { dropM }: Swing, forceKn: Interval | null): Finding {
  // Nobody tries this fall: where only the upper end is too hard one minds all the same.
  const hard = dropM > threshold('limbStopM') || (forceKn !== null && forceKn.low > threshold('arrestMostKn'));
  const severity: Severity =
    comingBack === 'taken' ? 'clear' : comingBack === 'unknown' ? 'untested' : hard ? 'stop' : 'mind';
  return finding({
    code: 'tree.limb-slack',
    severity,
    subject: ['tree'],
    says:
      severity === 'clear'
        ? 'Coming back along the limb the line is taken in at every step.'
        : severity === 'untested'
          ? 'Not entered yet: whether the line is taken in coming back along the limb.'
          : 'Coming back along the limb the line is left slack: a slip at the stem is a fall into it.',
    because: `Left slack it is {slack} by the stem${forceKn ? ', and a fall into it comes to {force~}' : ''}.`,
    remedy: severity === 'clear' ? '' : 'Take in slack with every step, before you move your weight.',
    numbers: [
      { key: 'slack', label: 'Slack that is stored', quantity: 'lengthM', value: exactly(dropM) },
      ...(forceKn ? ([{ key: 'force', label: 'Fall into it', quantity: 'strengthKn', value: forceKn }] as const) : []),
    ],
  });
}

/**
 * Friction on a limb carries part of the load, and slack is stored beyond it: it comes out at once when the limb lets
 * go or the line slides off.
 */
function overLimb({ overLimb: over }: Tree): Finding[] {
  if (over === 'none') return [];
  const severity: Severity = over === 'much' ? 'stop' : over === 'little' ? 'mind' : 'untested';
  // A quarter of a turn on bark (Euler and Eytelwein): mu 0.3 to 0.5 hides a factor of 1.6 to 2.2.
  const mu = constant('muLineOnBark');
  const behind = (m: number) => Math.exp((m * Math.PI) / 2);
  const ratio = interval(behind(mu.low), behind(mu.best), behind(mu.high));
  return [
    finding({
      code: 'tree.over-limb',
      severity,
      subject: ['tree'],
      says:
        over === 'unknown'
          ? 'Not entered yet: whether the loaded line runs over a limb below its tie-in.'
          : `The loaded line runs over a limb below its tie-in${over === 'much' ? ', bent by 90° or more' : ''}.`,
      because:
        over === 'much'
          ? 'Friction over the limb: the rope above it can carry {hides~} the load below; slack is stored there and comes out all at once when the line slides off or the limb breaks.'
          : 'Where it bends over wood, slack is stored beyond, and comes out when the line slides off.',
      remedy:
        'Lift the line off the limb, or feed the slack down before it is loaded again; tie in where it runs free.',
      numbers:
        over === 'much'
          ? [{ key: 'hides', label: 'Load over load behind the limb', quantity: 'ratio', value: ratio }]
          : [],
    }),
  ];
}
