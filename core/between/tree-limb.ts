import { fallForceKn } from '../connector/index.ts';
import { finding, type Finding, type Severity } from '../finding/index.ts';
import { swingOf, type Swing } from '../geometry/index.ts';
import { about, type Context, type Judge } from '../parts/index.ts';
import type { Tree } from '../rig/index.ts';
import { constant, threshold } from '../sources/index.ts';
import { exactly, interval, type Interval } from '../units/index.ts';
import { onTwoLines, treeOf } from './tree-point.ts';

/** The swing off the limb that is said; null while a length is not said, or where nobody goes out. */
export function limbSwing({ limbOutM, limbBelowM }: Tree): Swing | null {
  return limbOutM !== null && limbOutM > 0 && limbBelowM !== null ? swingOf(limbOutM, limbBelowM) : null;
}

/** Out along a limb: the swing when one slips, and the slack that is stored when one comes back. */
export const limbJudge: Judge = {
  id: 'limb',
  subjects: (ctx) => (treeOf(ctx) ? ['tree'] : []),
  claims: () => [about('job', 'swing')],
  judge: (_, ctx) => {
    const tree = treeOf(ctx)!;
    const swing = limbSwing(tree);
    return [
      ...overLimb(tree),
      ...(tree.limbOutM === 0
        ? []
        : swing
          ? [swings(tree, swing, onTwoLines(ctx)), stored(tree, swing, slackForceKn(swing, ctx))]
          : [notSaid(tree)]),
    ];
  },
  reads: () => [],
};

const notSaid = ({ limbOutM }: Tree): Finding =>
  finding({
    code: 'tree.limb-swing',
    severity: 'untested',
    subject: ['tree'],
    says:
      limbOutM === null
        ? 'It is not said whether, and how far, somebody goes out along a limb.'
        : 'It is not said how high above the limb the line is tied.',
    because: 'Whoever slips off a limb swings to below the tie-in, into what stands there.',
    remedy: 'Enter it; 0 where nobody leaves the stem.',
  });

function swings({ limbOutM, limbBelowM }: Tree, swing: Swing, twoLines: boolean): Finding {
  const { angleDeg, dropM } = swing;
  const wide = angleDeg > threshold('limbStopDeg') || dropM > threshold('limbStopM');
  const some = angleDeg > threshold('limbMindDeg') || dropM > threshold('limbMindM');
  const severity: Severity = wide && !twoLines ? 'stop' : some ? 'mind' : 'clear';
  return finding({
    code: 'tree.limb-swing',
    severity,
    subject: ['tree'],
    says:
      severity === 'clear'
        ? 'A slip off the limb is a small swing.'
        : severity === 'stop'
          ? 'A slip off the limb is a fall and a long swing, and no second line stops it.'
          : wide
            ? 'A slip off the limb is a long swing unless the second line is tight.'
            : 'A slip off the limb is a swing.',
    because:
      '{out} out and {below} below the tie-in the line stands at {angle}: down by {drop}, and past the stem as fast as after a free fall of that height.',
    remedy:
      severity === 'clear'
        ? ''
        : 'Tie in higher or nearer to above the work, redirect the line, or hang on a second line from the other side.',
    numbers: [
      { key: 'out', label: 'Out along the limb', quantity: 'lengthM', value: exactly(limbOutM!) },
      { key: 'below', label: 'Tie-in above the limb', quantity: 'lengthM', value: exactly(limbBelowM!) },
      { key: 'angle', label: 'Line from the vertical', quantity: 'angleDeg', value: exactly(angleDeg) },
      { key: 'drop', label: 'Drop of the swing', quantity: 'lengthM', value: exactly(dropM) },
    ],
  });
}

/** Back at the stem with the line as long as it was out there: the fall into that slack, by Wexler, on the whole line that is out; null while rope or person is not known. */
function slackForceKn({ lineM, dropM }: Swing, ctx: Context): Interval | null {
  const person = ctx.setup.persons[0]!.item;
  const carries = ctx.setup.attachments.find((a) => a.use === 'carries' && a.end.kind !== 'knot');
  const k = carries ? ctx.load(carries)?.modulusKn : undefined;
  if (!person || !k) return null;
  const at = (modulusKn: number) => fallForceKn(person.massKg, modulusKn, dropM / lineM);
  return interval(at(k.low), at(k.best), at(k.high));
}

function stored({ comingBack }: Tree, { dropM }: Swing, forceKn: Interval | null): Finding {
  const hard = dropM > threshold('limbStopM') || (forceKn !== null && forceKn.best > threshold('arrestMostKn'));
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
          ? 'It is not said whether the line is taken in coming back along the limb.'
          : 'Coming back along the limb the line is left slack: a slip at the stem is a fall into it.',
    because: `Left slack it is {slack} by the stem${forceKn ? ', and a fall into it comes to {force~}' : ''}.`,
    remedy:
      severity === 'clear' ? '' : 'Take in at every step, with the chest or the other hand, before the weight shifts.',
    numbers: [
      { key: 'slack', label: 'Slack that is stored', quantity: 'lengthM', value: exactly(dropM) },
      ...(forceKn ? ([{ key: 'force', label: 'Fall into it', quantity: 'strengthKn', value: forceKn }] as const) : []),
    ],
  });
}

/** Friction on a limb carries part of the load, and slack is stored beyond it: it comes out at once when the limb lets go or the line slides off. */
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
          ? 'It is not said whether the loaded line runs over a limb below its tie-in.'
          : `The loaded line runs over a limb below its tie-in${over === 'much' ? ', bent by 90° or more' : ''}.`,
      because:
        over === 'much'
          ? 'Above the limb the line carries {hides~} times what hangs below it does: slack is stored there, and it comes all at once when the line slides off or the limb breaks.'
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
