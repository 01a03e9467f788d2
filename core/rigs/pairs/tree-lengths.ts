import {
  finding,
  literal,
  type Finding,
  type FindingNumber,
  type ElementId,
  type Severity,
} from '../../foundations/finding/index.ts';
import { traitsOf, type Person, JOB_FACTS } from '../../things/gear/index.ts';
import { overChinMm, ropeWalkLengths, slingMm, type RopeWalkLengths } from '../../things/geometry/index.ts';
import { claimOf, claimOfPair, type Claim, type Context, type Judge } from '../elements/index.ts';
import { deviceOf, slingOf, type Attachment } from '../rig/index.ts';
import { constant, threshold } from '../../foundations/sources/index.ts';
import { exactly, interval, plus, type Interval } from '../../foundations/units/index.ts';
import { isFootLoop } from './foot-loop.ts';

/** What somebody walks up a rope with, with the lengths that follow from their body. */
export interface RopeWalkFigures extends RopeWalkLengths {
  readonly main: Attachment;
  readonly person: Person;
  /** From the tie-in to the eye of the device, as it is rigged, mm. */
  readonly tetherMm: Interval;
  readonly deviceMm: Interval;
  /** Top of the device over the chin, hanging, mm. */
  readonly overChinMm: Interval;
  /** Where a knee ascender belongs, above the sole, mm; null: not measured. */
  readonly kneeMm: number | null;
}

/** What helps upwards and holds nobody. */
const aidsOf = ({ setup }: Context): Attachment[] => setup.attachments.filter((a) => a.use === 'aid');
/** A foot loop alone is judged by the stroke. */
const walks = (ctx: Context): Attachment | undefined =>
  JOB_FACTS[ctx.setup.job].up === 'stationary-line' && aidsOf(ctx).some((a) => !isFootLoop(a))
    ? ctx.setup.attachments.find((a) => a.use === 'carries' && deviceOf(a) !== null)
    : undefined;

/** null while device, chin or a length is not known. */
export function ropeWalkFigures(ctx: Context): RopeWalkFigures | null {
  const main = walks(ctx);
  const person = main?.root.kind === 'harness' ? ctx.index.person(main.root.person)?.item : null;
  const device = main ? deviceOf(main)?.item : null;
  const tetherMm = main ? ctx.extensionMm(main) : null;
  if (!main || !person || !device || !tetherMm || person.chinAboveTieInMm === null) return null;
  const deviceMm = constant(traitsOf(device.family).tuned ? 'bollardBodyMm' : 'grabBodyMm');
  const lengths = ropeWalkLengths({
    chinAboveTieInMm: person.chinAboveTieInMm,
    armReachMm: person.armReachMm,
    tieInHeightMm: person.tieInHeightMm,
    deviceMm,
    belowChinMm: threshold('walkBelowChinMm'),
    strokeMm: constant('walkStrokeMm'),
  });
  return {
    ...lengths,
    // A device that is longer than the body is hung as short as it goes.
    walkTetherMm: atLeastNone(lengths.walkTetherMm),
    limbTetherMm: atLeastNone(lengths.limbTetherMm),
    main,
    person,
    tetherMm,
    deviceMm,
    overChinMm: overChinMm(plus(tetherMm, deviceMm), person.chinAboveTieInMm),
    kneeMm: person.kneeAboveSolesMm,
  };
}

const atLeastNone = ({ low, best, high }: Interval): Interval =>
  interval(Math.max(0, low), Math.max(0, best), Math.max(0, high));

/** Lengths of what one walks up a rope with, against the body that hangs in it. */
export const treeLengthsJudge: Judge = {
  id: 'tree-lengths',
  subjects: (ctx) => {
    const main = walks(ctx);
    return main ? [main.end.id] : [];
  },
  claims: (_, ctx) => [claimOf('job', 'lengths'), ...aidsOf(ctx).flatMap((aid) => aidClaims(aid, ctx))],
  judge: (ref, ctx) => {
    const main = ctx.index.ownerOf(ref)!;
    const person = main.root.kind === 'harness' ? ctx.index.person(main.root.person)?.item : null;
    if (!deviceOf(main)?.item || !person) return [];
    const figures = ropeWalkFigures(ctx);
    return figures ? [lengths(ref, figures), ...knee(ctx, figures)] : [unknown(ref, person)];
  },
  reads: (ref, ctx) => {
    const main = ctx.index.ownerOf(ref)!;
    return [ref, ...[main, ...aidsOf(ctx)].flatMap((a) => a.pieces.map((p) => p.id))];
  },
};

/**
 * Nobody hangs on what helps upwards: what it is clipped to, and what is above what, matters where it presses a device
 * open, which is judged there.
 */
function aidClaims(aid: Attachment, ctx: Context): Claim[] {
  const { root, end } = aid;
  const harness = root.kind === 'harness' ? ctx.index.person(root.person)?.harnessId : undefined;
  const first = aid.pieces[0]?.id ?? end.id;
  return [
    ...(end.kind === 'clip' ? [claimOf(end.id, 'clipped')] : []),
    ...(harness ? [claimOfPair(harness, first)] : []),
    ...(end.kind === 'device'
      ? ctx.setup.attachments.flatMap((o) =>
          o === aid ? [] : [claimOfPair(o.end.id, end.id), claimOfPair(end.id, o.end.id)],
        )
      : []),
  ];
}

const unknown = (ref: ElementId, person: Person): Finding =>
  finding({
    code: 'tree.lengths',
    severity: 'untested',
    subject: [ref],
    says: 'It is not known whether the tether has the right length for walking up.',
    because:
      person.chinAboveTieInMm === null
        ? `How high the chin of ${literal(person.name)} is above the tie-in was not measured.`
        : 'What the device hangs on is not chosen.',
    remedy: 'Measure it hanging in the harness, from the belay loop straight up to the chin.',
  });

function lengths(ref: ElementId, f: RopeWalkFigures): Finding {
  const { walkTetherMm, limbTetherMm, freeLoopMm, overChinMm: over, tetherMm } = f;
  const outOfReach = tetherMm.best > limbTetherMm.best;
  const high = over.best > 0;
  const low = over.best < -threshold('walkCollarboneMm');
  const severity: Severity = outOfReach ? 'stop' : high || low ? 'mind' : 'clear';
  const numbers: FindingNumber[] = [
    { key: 'tether', label: 'Tether, as rigged', quantity: 'lengthMm', value: tetherMm },
    { key: 'walk', label: 'Tether to walk up', quantity: 'lengthMm', value: walkTetherMm },
    { key: 'limb', label: 'Tether out on a limb, at most', quantity: 'lengthMm', value: limbTetherMm },
    ...(freeLoopMm
      ? [{ key: 'loop', label: 'Foot loop for free hands', quantity: 'lengthMm', value: freeLoopMm } as const]
      : []),
  ];
  return finding({
    code: 'tree.lengths',
    severity,
    subject: [ref],
    says: outOfReach
      ? 'The device is out of reach: you could not descend.'
      : high
        ? 'The top of the device hangs above the chin.'
        : low
          ? 'The top of the device hangs low: each step gains little.'
          : 'The device hangs between collarbone and chin.',
    because: `The tether is {tether~}. For rope walking it should be {walk~}, for limb walking up to {limb~}${freeLoopMm ? ', and for free hands a short one with a foot loop of {loop~}' : ''}.`,
    remedy:
      severity === 'clear'
        ? ''
        : high
          ? 'Shorten the tether until the top of the device is just below the chin while you hang.'
          : 'Lengthen the tether until the top of the device is just below the chin while you hang.',
    numbers,
  });
}

/** A knee ascender on a strap: above the knee it pulls the leg up, low on the shin half the step is lost. */
function knee(ctx: Context, { kneeMm }: RopeWalkFigures): Finding[] {
  const strap = aidsOf(ctx).find((a) => a.root.kind === 'harness' && a.root.point === 'knee');
  const piece = strap && slingOf(strap);
  if (!strap || piece?.kind !== 'sling' || !piece.item) return [];
  const subject = [piece.id, strap.end.id];
  const remedy = 'Set it just below the knee with the leg straight, boots on.';
  if (kneeMm === null)
    return [
      finding({
        code: 'tree.lengths',
        severity: 'untested',
        subject,
        says: 'It is not known whether the knee ascender is below the knee.',
        because: 'From the sole to below the knee was not measured.',
        remedy,
      }),
    ];
  const strapMm = slingMm({ ...piece, sling: piece.item });
  const off = strapMm.best - kneeMm;
  return [
    finding(
      {
        code: 'tree.lengths',
        subject,
        because: 'From the sole its strap is {strap~}, and below the knee is {knee} above the sole.',
        numbers: [
          { key: 'strap', label: 'Strap of the knee ascender', quantity: 'lengthMm', value: strapMm },
          { key: 'knee', label: 'Below the knee, above the sole', quantity: 'lengthMm', value: exactly(kneeMm) },
        ],
      },
      Math.abs(off) <= threshold('kneeOffMm')
        ? { severity: 'clear', says: 'The knee ascender is just below the knee.' }
        : off > 0
          ? {
              severity: 'mind',
              says: 'The knee ascender is above the knee: with the leg straight its strap is slack.',
              remedy,
            }
          : { severity: 'mind', says: 'The knee ascender is low: part of each step is lost.', remedy },
    ),
  ];
}
