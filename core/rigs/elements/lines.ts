import { withSubjects as named, finding, type Finding, type ElementId } from '../../foundations/finding/index.ts';
import { diameterOf, JOB_FACTS, type Rope } from '../../things/gear/index.ts';
import { lineLengthFindings, ropeBudgetFindings } from '../../things/geometry/index.ts';
import { belaysFromHarness, linesOf, ropeSlots, ropesOf, type LineOf, type RigLine } from '../rig/index.ts';
import { threshold } from '../../foundations/sources/index.ts';
import { exactly } from '../../foundations/units/index.ts';
import type { Context } from './context.ts';
import { claimOf, claimOfPair, type Judge } from './judge.ts';

/** Long enough, and are its ends closed. */
export const lengthJudge: Judge = {
  id: 'length',
  subjects: ({ setup }) => setup.lines.map((l) => l.id),
  claims: (ref) => [claimOf(ref, 'length'), claimOf(ref, 'ends')],
  judge: (ref, ctx) => length(ctx.line(ref), ctx),
  reads: (ref, ctx) => ropeSlots(ctx.line(ref)).map((r) => r.id),
};

function length(line: RigLine, ctx: Context): Finding[] {
  if (line.kind === 'doubled') {
    const input = ctx.budgetInput(line);
    return input ? named(ropeBudgetFindings(input), { ropeEnds: line.ends.id }) : [];
  }
  const ropes = ropesOf(line);
  if (!ropes || ctx.descentM <= 0) return [];
  const { job, site } = ctx.setup;
  // A second line of another job, such as a belay from above, needs what its own job needs.
  const use = ctx.index.along(line.id).find((a) => a.end.kind === 'device')?.job ?? job;
  const overTop = line.kind === 'over' || line.kind === 'led';
  return named(
    lineLengthFindings({
      rope: ropes.ropeA,
      heightM: ctx.descentM,
      perHeight: overTop ? Math.max(2, JOB_FACTS[use].ropePerHeight) : 1,
      extraM: overTop ? threshold('tieInKnotM') + wayFromWallM(line, ctx) : 0,
      pulledDown: line.kind === 'fixed' && line.fastening.how === 'blocked',
      end: line.end.state,
      endsAt: site.stanceHeightM > 0 ? 'ledge' : 'ground',
    }),
    { ropeA: line.rope.id, ropeEnds: line.end.id },
  );
}

/** From the wall to who belays from below on this line, m; where it is not said, as far as is still close. */
function wayFromWallM(line: RigLine, { setup, index }: Context): number {
  const belay = setup.attachments.find(
    (a) => belaysFromHarness(index, a) && linesOf(index, a.end).some((l) => l.id === line.id),
  );
  if (belay?.root.kind !== 'harness') return 0;
  return index.person(belay.root.person)?.fromWallM ?? threshold('stanceMindM');
}

/** How a line is held at its anchor: tied, or blocked by a knot against the rings. */
export const fastenedJudge: Judge = {
  id: 'fastened',
  subjects: ({ setup }) => setup.lines.filter((l) => l.kind === 'fixed').map((l) => l.id),
  claims: (ref) => [claimOf(ref, 'fastened')],
  judge: (ref, ctx) => fastened(ctx.line(ref) as LineOf<'fixed'>),
  reads: () => [],
};

function fastened({ fastening }: LineOf<'fixed'>): Finding[] {
  const { id, how, backup, strand } = fastening;
  const subject = [id] as const;
  if (how === 'unknown') {
    return [
      finding({
        code: 'rig.fastening',
        severity: 'untested',
        subject,
        says: 'Not entered yet: how the rope is held at the anchor.',
        because: 'Tied to it, or drawn through the rings and blocked by a knot: each has its own mistakes.',
        remedy: 'Look and enter it.',
      }),
    ];
  }
  if (how === 'tied') {
    return [
      finding({
        code: 'rig.fastening',
        severity: 'clear',
        subject,
        says: 'The rope is tied to the anchor, as entered.',
        because: 'Zevrin cannot see the knot.',
        remedy: 'Look at the knot and its tail, and pull at it.',
      }),
    ];
  }
  return [...blockedStrand(id, strand), ...blockedBackup(id, backup)];
}

function blockedStrand(id: ElementId, strand: LineOf<'fixed'>['fastening']['strand']): Finding[] {
  const wrong = strand === 'knot';
  return [
    finding(
      {
        code: 'rig.block-strand',
        subject: [id],
        because: 'A knot at the rings holds the strand on their other side only; its own strand runs free.',
        remedy: 'Pull hard on your strand: the knot must jam against the rings and stay there.',
      },
      wrong
        ? { severity: 'stop', says: 'You would go down the strand with the knot, which runs out of the rings.' }
        : strand === 'unknown'
          ? { severity: 'untested', says: 'Not entered yet: which strand you go down.' }
          : { severity: 'clear', says: 'You go down the strand that draws the knot against the rings.' },
    ),
  ];
}

function blockedBackup(id: ElementId, backup: LineOf<'fixed'>['fastening']['backup']): Finding[] {
  return [
    finding(
      {
        code: 'rig.block-backup',
        subject: [id],
        because:
          'A knot can be drawn through wide rings; a locked connector through it and around the strand stops it.',
        remedy:
          backup === 'clipped'
            ? 'Look that it is locked.'
            : 'Clip a locking connector through the knot and around the strand you go down.',
      },
      backup === 'clipped'
        ? { severity: 'clear', says: 'The knot at the rings is clipped to the strand you go down.' }
        : backup === 'no'
          ? { severity: 'mind', says: 'Nothing but the knot keeps the rope from running through the rings.' }
          : {
              severity: 'untested',
              says: 'Not entered yet: whether the knot at the rings is clipped to the other strand.',
            },
    ),
  ];
}

/** The knot that joins two ropes. */
export const jointJudge: Judge = {
  id: 'joint',
  subjects: ({ setup }) => setup.lines.filter((l) => l.kind === 'doubled' && l.use === 'joined').map((l) => l.id),
  claims: (ref) => [claimOf(ref, 'joined')],
  judge: (ref, ctx) => joint(ctx.line(ref) as LineOf<'doubled'>),
  reads: (ref, ctx) => ropeSlots(ctx.line(ref)).map((r) => r.id),
};

function joint({ joint: { id, knot }, ropeA, ropeB }: LineOf<'doubled'>): Finding[] {
  if (knot === 'double-fisherman') {
    return [
      finding({
        code: 'rig.joining-knot',
        severity: 'mind',
        subject: [id],
        says: 'A double fisherman’s is bulky and can catch when the ropes are pulled.',
        because: 'It does not roll over edges as a flat overhand does, and is hard to untie.',
        remedy:
          'For ropes that are alike take a flat overhand with long tails; else look for edges and cracks below, and pull with care.',
      }),
    ];
  }
  if (knot === 'flat-overhand') return rolls(id, ropeA.item, ropeB.item);
  return [
    finding({
      code: 'rig.joining-knot-unknown',
      severity: 'untested',
      subject: [id],
      says: 'The knot that joins the two ropes is not judged.',
      because: knot === 'other' ? 'Zevrin does not know this knot.' : 'Not entered yet: which knot is used.',
      remedy: 'Say which, and look at its shape and tails at the check.',
    }),
  ];
}

/** A flat knot rolls along where one rope is thicker, softer or stiffer than the other. */
function rolls(id: ElementId, ropeA: Rope | null, ropeB: Rope | null): Finding[] {
  if (!ropeA || !ropeB) return [];
  const [a, b] = [diameterOf(ropeA).diameterMm, diameterOf(ropeB).diameterMm];
  const differenceMm = Math.abs(a.best - b.best);
  if (differenceMm < threshold('flatKnotUnlikeMm') - 1e-9) return [];
  return [
    finding({
      code: 'rig.joining-knot',
      severity: 'mind',
      subject: [id],
      says: 'The ropes are unlike: a flat overhand can roll along them.',
      because: 'The diameters differ by {difference}; practice joins ropes by a flat knot where they are alike.',
      remedy:
        'Tie a second flat overhand snug against the first, tails at least 30 cm, or join them by a double fisherman’s.',
      numbers: [
        { key: 'difference', label: 'Difference in diameter', quantity: 'diameterMm', value: exactly(differenceMm) },
      ],
    }),
  ];
}

/** The knot by which somebody is tied into the rope, and where on the harness. */
export const tieInJudge: Judge = {
  id: 'tie-in',
  subjects: ({ setup }) => setup.attachments.filter((a) => a.end.kind === 'knot').map((a) => a.id),
  claims: (ref, ctx) => {
    const a = ctx.attachment(ref);
    if (a.end.kind !== 'knot') return [];
    const harness = a.root.kind === 'harness' ? ctx.index.person(a.root.person)?.harnessId : undefined;
    return [
      claimOf(a.end.id, 'tied'),
      ...a.end.on.map((o) => claimOfPair(a.end.id, o.line)),
      ...(harness && a.pieces.length === 0 ? [claimOfPair(harness, a.end.id)] : []),
      // A knot low in the rope does nothing to what sits above it, and stops what slides down to it.
      ...(a.root.kind === 'part'
        ? [
            claimOfPair(a.root.part, a.end.id),
            ...a.end.on.flatMap((o) => ctx.index.along(o.line).map((other) => claimOfPair(other.end.id, a.end.id))),
          ]
        : []),
    ];
  },
  judge: (ref, ctx) => {
    const { end, root } = ctx.attachment(ref);
    if (end.kind !== 'knot') return [];
    return [root.kind === 'part' ? knotBelow(end.id, end.knot) : tieIn(end.id, end.knot)];
  },
  reads: () => [],
};

/** A knot in the rope below a device: it stops at the device when the hand lets go. */
function knotBelow(id: ElementId, knot: string): Finding {
  const unknown = knot === 'unknown';
  return finding(
    {
      code: 'rig.knot-below',
      subject: [id],
      because: 'You fall as far as the knot is away; past it the next one counts.',
      remedy: 'Tie it close below you, tie the next before untying this one, and remove all before you pull the rope.',
    },
    unknown
      ? { severity: 'untested', says: 'Not entered yet: which knot is tied below the device.' }
      : { severity: 'clear', says: 'A knot below stops at the device.' },
  );
}

function tieIn(id: ElementId, knot: string): Finding {
  const good = knot === 'figure-eight' || knot === 'bowline';
  return finding(
    {
      code: 'rig.tie-in',
      subject: [id],
      because: 'An unfinished or unfit knot holds until it is loaded.',
      remedy: good
        ? 'Look at it and at the tie-in points, your partner as well.'
        : 'Use a figure eight traced back, or a bowline with a lock, through the tie-in points.',
    },
    good
      ? { severity: 'clear', says: 'Tied in with a knot that practice takes, as entered.' }
      : knot === 'unknown'
        ? { severity: 'untested', says: 'Not entered yet: the knot that the rope is tied in with.' }
        : { severity: 'mind', says: 'This is not a usual tie-in knot.' },
  );
}
