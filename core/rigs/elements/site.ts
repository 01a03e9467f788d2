import { finding, type Finding } from '../../foundations/finding/index.ts';
import type { LineOf, RigAnchor, RigLine, Setup, Site } from '../rig/index.ts';
import { threshold } from '../../foundations/sources/index.ts';
import { exactly } from '../../foundations/units/index.ts';
import { claimOf, claimOfPair, type Judge } from './judge.ts';

export const heightsJudge: Judge = {
  id: 'heights',
  subjects: () => ['ground'],
  claims: (ref) => [claimOf(ref, 'heights')],
  judge: (_, { descentM, setup }) =>
    descentM > 0
      ? []
      : [
          finding(
            {
              code: 'rig.part-missing',
              severity: 'untested',
              subject: ['ground'],
              because: 'Without a descent neither rope length nor brake force can be judged.',
            },
            setup.site.anchorHeightM === 0
              ? { says: 'The height of the anchor is not said.', remedy: 'Enter it.' }
              : { says: 'The next stance is not below the anchor.', remedy: 'Correct the heights.' },
          ),
        ],
  reads: () => [],
};

export const edgeJudge: Judge = {
  id: 'edge',
  subjects: () => ['edge'],
  claims: (ref) => [claimOf(ref, 'edge')],
  judge: (_, { setup }) => edge(setup.site, setup.lines[0]!),
  reads: () => [],
};

function edge({ edge: over }: Site, line: RigLine): Finding[] {
  const subject = ['edge', line.id] as const;
  if (over === 'unknown') {
    return [
      finding({
        code: 'rig.edge-unknown',
        severity: 'untested',
        subject,
        says: 'Not entered yet: whether the rope runs over an edge.',
        because: 'A loaded rope over a sharp edge is cut easily.',
        remedy: 'Look over the edge and enter it.',
      }),
    ];
  }
  if (over !== 'sharp' && over !== 'padded') return [];
  const bare = over === 'sharp';
  return [
    finding(
      { code: 'rig.edge-sharp', subject },
      bare
        ? {
            severity: 'stop',
            says: 'The loaded rope runs over a sharp edge.',
            because: 'A loaded rope cuts easily on it, most of all if you swing.',
            remedy: 'Move the line or pad the edge.',
          }
        : {
            severity: 'mind',
            says: 'The rope runs over a padded sharp edge.',
            because: 'Padding wanders while the rope moves, and stays up when you pull the rope.',
            remedy: 'Fix the padding, go without swinging, and plan how it comes off.',
          },
    ),
  ];
}

/** What the rope runs through and how many points hold it; how the rope of each line lies in it. */
export const anchorJudge: Judge = {
  id: 'anchor',
  subjects: ({ setup }) => setup.anchors.map((a) => a.id),
  claims: (ref, { setup }) => [
    claimOf(ref, 'described'),
    ...setup.lines.filter((l) => l.anchor === ref).map((l) => claimOfPair(ref, l.id)),
  ],
  judge: (ref, { index, setup }) =>
    anchor(
      index.anchor(ref)!,
      setup.lines.filter((l) => l.anchor === ref),
      setup,
    ),
  reads: () => [],
};

/** The rope runs in the anchor when it is pulled down, or with somebody on it. */
const runs = (line: RigLine): boolean =>
  line.kind === 'doubled' ||
  line.kind === 'over' ||
  line.kind === 'led' ||
  (line.kind === 'fixed' && line.fastening.how !== 'tied');
/** It runs there with somebody on it: over a top rope, on a moving line, and when a leader is lowered. */
const runsLoaded = (line: RigLine, { calls }: Pick<Setup, 'calls'>): boolean =>
  line.kind === 'over' || (line.kind === 'led' && (calls.down === 'lower' || calls.down === 'unknown'));
const isDoubled = (line: RigLine): line is LineOf<'doubled'> => line.kind === 'doubled';

function anchor({ id, through, points, rings }: RigAnchor, lines: readonly RigLine[], setup: Setup): Finding[] {
  const subject = [id] as const;
  const findings: Finding[] = [];
  const loaded = lines.some((l) => runsLoaded(l, setup));
  if (through === 'textile' && lines.some(runs)) {
    findings.push(
      finding(
        {
          code: 'rig.anchor-textile',
          subject,
          remedy:
            'Run the rope through metal: rings, quick links, or a carabiner you leave behind. Never lower anybody through textile.',
        },
        loaded
          ? {
              severity: 'stop',
              says: 'The loaded rope runs through a textile sling at the anchor.',
              because: 'Lowering or a moving rope burns through a sling, and everybody on it falls.',
            }
          : {
              severity: 'mind',
              says: 'The rope runs through a textile sling at the anchor.',
              because: 'A running rope melts the sling; the next person hangs on the damage.',
            },
      ),
    );
  }
  if (through === 'wood' && loaded) {
    findings.push(
      finding({
        code: 'rig.anchor-wood',
        severity: 'mind',
        subject,
        says: 'The loaded rope runs over bare wood at the anchor.',
        because: 'Bark brakes one time and not the next, glazes the rope, and the tree is hurt.',
        remedy: 'Put a friction saver or a ring in, or tie the rope off and use a device.',
      }),
    );
  }
  if (through === 'unknown' || points === 'unknown') {
    findings.push(
      finding({
        code: 'rig.anchor-unknown',
        severity: 'untested',
        subject,
        says: 'The anchor is not described.',
        because: 'Zevrin cannot see an anchor: what the rope runs through and how many points hold it must be said.',
        remedy: 'Look at it and enter it.',
      }),
    );
  }
  if (through === 'rings' && points !== 'one' && lines.some(runs) && rings !== 'all') {
    findings.push(
      finding(
        {
          code: 'rig.anchor-rings',
          subject,
          because: 'Through one ring everything hangs on that ring and its point.',
          remedy: 'Thread the rope through every ring that belongs to the anchor.',
        },
        rings === 'one'
          ? { severity: 'mind', says: 'The rope runs through only one of the rings.' }
          : { severity: 'untested', says: 'Not entered yet: whether the rope runs through all the rings.' },
      ),
    );
  }
  // One sound limb or stem that was tried is what a tree has; it is said with the load it carries.
  if (points === 'one' && setup.site.tree === null) {
    findings.push(
      finding({
        code: 'rig.anchor-one-point',
        severity: 'mind',
        subject,
        says: 'Everything hangs on one anchor point.',
        because: 'When it lets go nothing else holds.',
        remedy: 'Add a second point. If there is only one (a big tree, a boulder), have someone experienced judge it.',
      }),
    );
  }
  if (findings.length > 0) return findings;
  const kept = lines.some(isDoubled);
  return [
    finding({
      code: 'rig.anchor-as-entered',
      severity: 'clear',
      subject,
      says: points === 'one' ? 'Anchor as entered: one point in a tree.' : 'Anchor as entered: more than one point.',
      because: 'How well the points hold is not judged here.',
      remedy: kept
        ? 'Look at every point and at the rope through it. Before you untie to thread it, pull up about {kept} of rope, tie a knot on a bight and clip it.'
        : 'Look at every point, and at what the rope hangs on.',
      numbers: kept
        ? [
            {
              key: 'kept',
              label: 'Rope pulled up and clipped before untying',
              quantity: 'lengthM',
              value: exactly(threshold('ropeKeptAtAnchorM')),
            },
          ]
        : [],
      sources: kept ? ['practice-rope-through-rings'] : [],
    }),
  ];
}
