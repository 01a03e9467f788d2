import { finding, literal, type Finding, type ElementId, type Severity } from '../../foundations/finding/index.ts';
import { traitsOf, JOB_FACTS } from '../../things/gear/index.ts';
import { claimOf, type Judge } from '../elements/index.ts';
import { deviceOf, type Attachment, type Tree } from '../rig/index.ts';
import { treeOf } from './tree-point.ts';

const onBridge = (a: Attachment): boolean => a.root.kind === 'harness' && a.root.point === 'bridge';

/** The bridge is textile that the whole person hangs on, and that the device rubs along. */
export const bridgeJudge: Judge = {
  id: 'bridge',
  subjects: (ctx) => (treeOf(ctx) && ctx.setup.attachments.some(onBridge) ? [ctx.setup.persons[0]!.harnessId] : []),
  claims: (ref) => [claimOf(ref, 'bridge')],
  judge: (ref, ctx) => [bridge(ref, treeOf(ctx)!.bridge)],
  reads: () => [],
};

function bridge(ref: ElementId, has: Tree['bridge']): Finding {
  const remedy =
    'Bend it along its whole length and look at both ends before each climb. A second one on points of its own is left when it goes.';
  return finding(
    {
      code: 'tree.bridge',
      subject: [ref, 'tree'],
      says:
        has === 'two'
          ? 'Two bridges carry, each on points of its own.'
          : has === 'one'
            ? 'Everything hangs on one bridge.'
            : 'Not entered yet: whether one bridge carries, or two.',
      because:
        has === 'two'
          ? 'If one wears through, the other still holds.'
          : 'The bridge is rope or webbing that wears all day. If your only bridge fails, nothing holds you unless your lanyard is on.',
    },
    has === 'unknown'
      ? { severity: 'untested', remedy }
      : has === 'two'
        ? { severity: 'clear' }
        : { severity: 'clear', remedy },
  );
}

/** A moving line ends at the climber: its end and the device pull in two directions. */
export const eyesJudge: Judge = {
  id: 'line-eyes',
  subjects: (ctx) =>
    treeOf(ctx) && JOB_FACTS[ctx.setup.job].up === 'moving-line'
      ? ctx.setup.attachments.filter((a) => a.use === 'carries' && a.end.kind !== 'knot').map((a) => a.end.id)
      : [],
  claims: (ref) => [claimOf(ref, 'eyes')],
  judge: (ref, ctx) => [eyes(ref, treeOf(ctx)!.eyes)],
  reads: (ref) => [ref],
};

const EYES: Readonly<Record<Tree['eyes'], readonly [Severity, string]>> = {
  separate: ['clear', 'End of the line and device hang each in an eye of its own.'],
  one: ['mind', 'End of the line and device hang on one connector.'],
  unknown: ['untested', 'Not entered yet: whether end of the line and device hang on one connector.'],
};
function eyes(ref: ElementId, how: Tree['eyes']): Finding {
  const [severity, says] = EYES[how];
  return finding(
    { code: 'tree.eyes', severity, subject: [ref, 'tree'], says },
    how === 'separate'
      ? { because: 'Each connector is pulled along its back.' }
      : {
          because:
            'On one carabiner both legs and the bridge pull in three directions (tri-loading): it can turn and load its gate.',
          remedy: 'Use a rigging plate or a swivel with eyes, or hang the end on a point of its own.',
        },
  );
}

/** A long device that bends over wood is pulled sideways, where none of them is strong. */
export const sideLoadJudge: Judge = {
  id: 'side-load',
  subjects: (ctx) =>
    treeOf(ctx)
      ? ctx.setup.attachments.filter((a) => a.use === 'carries' && deviceOf(a)?.item).map((a) => a.end.id)
      : [],
  claims: (ref) => [claimOf(ref, 'side')],
  judge: (ref, ctx) => sideLoad(ref, deviceOf(ctx.index.ownerOf(ref)!)!.item!, treeOf(ctx)!.deviceLies),
  reads: (ref) => [ref],
};

function sideLoad(
  ref: ElementId,
  { name, family }: { readonly name: string; readonly family: Parameters<typeof traitsOf>[0] },
  lies: Tree['deviceLies'],
): Finding[] {
  const long = traitsOf(family).tuned;
  const remedy = 'Stand so that it hangs free, redirect the line, or shorten the tether.';
  return [
    finding(
      {
        code: 'tree.side-load',
        subject: [ref, 'tree'],
        says:
          lies === 'free'
            ? `Where one works ${literal(name)} hangs free.`
            : lies === 'unknown'
              ? `Not entered yet: whether ${literal(name)} comes to lie over a limb.`
              : `${literal(name)} lies over a limb or the stem while it is loaded.`,
        because:
          lies === 'free'
            ? 'It is pulled along, as it is made to be.'
            : long
              ? 'It is long: over wood it is bent, its arm is pressed, and it lets go or jams.'
              : 'Over wood it is pulled sideways or pressed, and can let go.',
      },
      lies === 'free'
        ? { severity: 'clear' }
        : lies === 'unknown'
          ? { severity: 'untested', remedy }
          : long
            ? { severity: 'stop', remedy }
            : { severity: 'mind', remedy },
    ),
  ];
}
