import { doubtedBy, FINDING_CODES, finding, literal, type Finding } from '../../foundations/finding/index.ts';
import { traitsOf, type Job, JOB_FACTS } from '../../things/gear/index.ts';
import type { Context } from '../../rigs/elements/index.ts';
import { belaysFromHarness, deviceOf, type RigPerson } from '../../rigs/rig/index.ts';
import { singlePoints } from './cut-sets.ts';
import { holdsFromRig } from './holds-from-rig.ts';
import { hanging } from './who.ts';
import { FAULT_KINDS } from './kinds.ts';
import type { Fault, HoldModel } from './model.ts';

/** One thing after which nothing holds, and whether practice accepts that it is alone. */
export interface SinglePoint {
  readonly fault: Fault;
  readonly accepted: boolean;
  /** What to look at; '' where it is not accepted. */
  readonly inspect: string;
}

const doubtsAbout = (fault: Fault, findings: readonly Finding[]): Finding[] =>
  findings.filter((f) => FINDING_CODES[f.code].doubts !== 'reach' && doubtedBy(f) === fault.part);

/**
 * Single points of a rig. Practice accepts that a person hangs on one belay loop, one rope, one locked connector and
 * the like, as long as nothing was found against the part itself (`practice-single-points`). It accepts the hand of
 * whoever belays from below with both feet on the ground; never one’s own brake hand alone, nor a hand at an anchor
 * that lowers, nor a device that nobody tends.
 */
export function singlePointsOf(ctx: Context, model: HoldModel, findings: readonly Finding[]): SinglePoint[] {
  const byId = new Map(model.faults.map((f) => [f.id, f]));
  return singlePoints(model).map((id) => {
    const fault = byId.get(id)!;
    const inspect = belayed(ctx, fault) ? BELAYED : FAULT_KINDS[fault.kind].inspect;
    const accepted = inspect !== '' && !untended(ctx, fault) && doubtsAbout(fault, findings).length === 0;
    return { fault, accepted, inspect: accepted ? inspect : '' };
  });
}

const BELAYED = 'the hand on the brake strand at every moment, the eyes on who climbs';
/**
 * A hand that holds somebody else: from the harness of a belayer, or at the anchor on a hitch tied with the rope, which
 * brakes most with the hand straight below.
 */
function belayed(ctx: Context, fault: Fault): boolean {
  if (fault.kind !== 'hand') return false;
  const belayer = ctx.setup.persons.find((p) => p.handId === fault.part);
  return ctx.setup.attachments.some((a) => {
    const end = deviceOf(a);
    if (end?.hand !== belayer?.id) return false;
    const munter = a.root.kind === 'anchor' && end !== null && end.item !== null && traitsOf(end.item.family).tied;
    return belaysFromHarness(ctx.index, a) || munter;
  });
}

/**
 * A device that moves along with the person, with no hand on it: one of them is not enough (common practice). In a tree
 * the second attachment is asked for where one works or changes.
 */
function untended(ctx: Context, fault: Fault): boolean {
  if (fault.kind !== 'device') return false;
  const a = ctx.index.ownerOf(fault.part);
  return a !== undefined && deviceOf(a) !== null && onTwo(ctx.setup.job) && !ctx.use(a).tended;
}

/** What the assessment says about what still holds, for everybody who hangs; nothing while a part is not chosen. */
export function holdFindings(ctx: Context, findings: readonly Finding[]): Finding[] {
  if (findings.some((f) => f.code === 'rig.part-missing')) return [];
  const found = hanging(ctx).flatMap((person, _, all) => {
    const model = holdsFromRig(ctx, person, findings);
    if (model.holds.length === 0) return nothing(model, person, all.length > 1);
    const singles = singlePointsOf(ctx, model, findings);
    const alone = singles.filter(({ fault }) => untended(ctx, fault) && !slides(fault, findings));
    return [
      ...handAlone(ctx, model, singles, findings),
      ...alone.map(({ fault }) => oneAttachment(ctx, fault)),
      ...inDoubt(
        singles.filter((s) => !alone.includes(s) && !slidesOnto(s.fault, findings)),
        findings,
      ),
      ...acceptable(singles),
    ];
  });
  // What is said alike of two persons is said once.
  return found.filter(
    (f, i) => found.findIndex((o) => o.code === f.code && o.subject.join() === f.subject.join()) === i,
  );
}

/** A person climbs on what grips the rope by itself: two attachments of full strength, common practice. */
const onTwo = (job: Job): boolean => {
  const { up } = JOB_FACTS[job];
  return up === 'ascends' || up === 'self-belays';
};

/** That the upper one takes the lower one with it is said where the two are judged. */
const slides = (fault: Fault, findings: readonly Finding[]): boolean =>
  findings.some((f) => f.code === 'between.cascade' && f.severity !== 'clear' && f.subject[1] === fault.part);
const slidesOnto = (fault: Fault, findings: readonly Finding[]): boolean =>
  doubtsAbout(fault, findings).length === 0 && slides(fault, findings);

/** One clamp, one grab: nothing is left when it opens. Knots in the rope below shorten the fall to the next one. */
function oneAttachment(ctx: Context, fault: Fault): Finding {
  const a = ctx.index.ownerOf(fault.part)!;
  const lines = a.end.kind === 'device' ? a.end.on.map((o) => o.line) : [];
  const knots = ctx.setup.attachments.some(
    ({ root, end }) => root.kind === 'part' && end.kind === 'knot' && end.on.some((o) => lines.includes(o.line)),
  );
  return finding(
    {
      code: 'hold.one-attachment',
      subject: [fault.part],
      says: `Only one thing that grips the rope holds: when ${literal(fault.says)}, ${knots ? 'the next knot below is what stops the fall' : 'nothing is left'}.`,
    },
    knots
      ? {
          severity: 'mind',
          because: 'You fall back to the last knot, and the knot jams against a device that has just failed.',
          remedy: 'Tie the next knot every few metres, or add a second attachment of full strength.',
        }
      : {
          severity: 'stop',
          because: 'If it opens or slips, nothing backs it up. A foot loop does not count.',
          remedy:
            'Add a second attachment of full strength, at best on a rope of its own, or tie knots below you every few metres.',
        },
  );
}

/**
 * Where every way of being held only waits for something that is not tested, that is said there: "nothing holds" would
 * cry wolf.
 */
function nothing(model: HoldModel, person: RigPerson, named: boolean): Finding[] {
  const waits =
    model.noHolds.some((s) => s.severity === 'untested') && !model.noHolds.some((s) => s.severity === 'stop');
  return waits ? [] : [nothingHolds(model, person, named)];
}

const nothingHolds = (model: HoldModel, person: RigPerson, named: boolean): Finding =>
  finding({
    code: 'hold.nothing',
    severity: model.noHolds.some((s) => s.severity === 'stop') ? 'stop' : 'untested',
    subject: [person.id],
    says: `Nothing that is rigged is known to hold ${named ? literal(person.item?.name ?? `the ${person.role}`) : 'you'}.`,
    because:
      model.noHolds.map(({ label, because }) => `${literal(label)}: ${because.template}`).join(' ') ||
      'No attachment leads from the harness to an anchor.',
    remedy: 'Put right what is named here first.',
    numbers: model.noHolds.flatMap((s) => s.because.numbers),
  });

function handAlone(
  ctx: Context,
  model: HoldModel,
  singles: readonly SinglePoint[],
  findings: readonly Finding[],
): Finding[] {
  const hand = singles.find((s) => s.fault.kind === 'hand' && !s.accepted)?.fault;
  if (!hand || belayed(ctx, hand)) return [];
  const owner = ctx.setup.persons.find((p) => p.handId === hand.part);
  // Where a Stop at the hitch is the reason it is said there, with what to do.
  const backup = model.noHolds.find((s) => s.backup);
  const reaches = findings.some((f) => FINDING_CODES[f.code].doubts === 'reach' && f.severity !== 'clear');
  if (backup?.severity === 'stop' || reaches) return [];
  return [
    finding({
      code: 'hold.hand-alone',
      severity: backup?.severity === 'untested' ? 'untested' : 'mind',
      subject: [hand.part],
      says:
        owner && owner.role === 'belayer'
          ? `Only the brake hand of ${literal(owner.item?.name ?? 'the belayer')} is known to hold.`
          : 'Only the brake hand is known to hold you.',
      because: backup
        ? `${literal(backup.label)} does not count. ${backup.because.template}`
        : 'Nothing catches when it lets go.',
      remedy:
        owner?.role === 'belayer'
          ? 'Put a hitch on the brake strand, which holds without a hand.'
          : 'Rig a backup that holds without a hand, or be belayed.',
      numbers: backup?.because.numbers ?? [],
    }),
  ];
}

/** Single points that practice does not accept, though nothing is found about the part itself. */
function inDoubt(singles: readonly SinglePoint[], findings: readonly Finding[]): Finding[] {
  const open = singles
    .filter(({ fault, accepted }) => !accepted && fault.kind !== 'hand')
    .map(({ fault }) => ({ fault, doubts: doubtsAbout(fault, findings) }))
    // Where something is found about the part itself, that finding says it.
    .filter(({ doubts }) => doubts.length === 0);
  if (open.length === 0) return [];
  return [
    finding({
      code: 'hold.single-point',
      severity: 'mind',
      subject: [...new Set(open.map(({ fault }) => fault.part))],
      says: `Nothing else holds you if ${open.map(({ fault }) => literal(fault.says)).join(', or if ')}.`,
      because: open.length > 1 ? 'There is only one of each.' : 'It has no backup.',
      remedy: 'Back it up.',
    }),
  ];
}

function acceptable(singles: readonly SinglePoint[]): Finding[] {
  const accepted = singles.filter((s) => s.accepted);
  if (accepted.length === 0) return [];
  return [
    finding({
      code: 'hold.single-accepted',
      severity: 'clear',
      subject: [...new Set(accepted.map(({ fault }) => fault.part))],
      says: 'These parts have no backup. Climbers accept that, but check each one every time.',
      because: `${accepted.map(({ fault, inspect }) => `${FAULT_KINDS[fault.kind].plain}: ${inspect}`).join('. ')}.`,
      remedy: 'Look at each before you trust it.',
    }),
  ];
}
