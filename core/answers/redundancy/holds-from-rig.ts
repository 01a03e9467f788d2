import {
  doubtedBy,
  FINDING_CODES,
  quoted,
  sentence,
  type Finding,
  type ElementId,
  type Severity,
} from '../../foundations/finding/index.ts';
import { handOffIn, inGuideMode } from '../../things/fit/index.ts';
import { traitsOf } from '../../things/gear/index.ts';
import type { Context } from '../../rigs/elements/index.ts';
import {
  belaysFromHarness,
  deviceOf,
  hitchOf,
  linesOf,
  type Attachment,
  type RigLine,
  type RigPerson,
} from '../../rigs/rig/index.ts';
import { faultsOf } from './faults.ts';
import { followsOf } from './follows.ts';
import type { Hold, HoldModel, NoHold } from './model.ts';
import { holdsAnother, wornBy } from './who.ts';

/** How one way of holding is counted: with the parts it may be in doubt for. */
type Count = (hold: Hold, parts: readonly string[], backup: boolean, strict?: readonly string[]) => void;
/** Where somebody else is clipped into an attachment. */
interface Via {
  readonly owner: Attachment;
  readonly part: ElementId;
}

/**
 * What holds one person in this rig, from the rig itself and from what was found in it: never from a tick box. A way of
 * being held is a chain from the anchor over the line and its attachment to the harness, through another person where
 * the line, or a link, runs on to one. Needs a set-up in which every part is chosen.
 */
export function holdsFromRig(ctx: Context, person: RigPerson, findings: readonly Finding[]): HoldModel {
  const { setup, index } = ctx;
  const faults = faultsOf(ctx, person, findings);
  const { anchor, hand: handFault, line: lineNeeds, own, pastEnd, root } = faults;
  const follows = followsOf(ctx, findings, faults);
  const { cascade, hitchUnderDevice } = follows;
  const holds: Hold[] = [];
  const noHolds: NoHold[] = [];

  /** What the hand does at a device is no part of it where the device holds by itself. */
  const handAt = (a: Attachment): RigPerson | undefined => {
    const end = deviceOf(a);
    const braker = end?.hand ? index.person(end.hand) : undefined;
    if (!end?.item || !braker) return undefined;
    const { use } = ctx.use(a);
    return inGuideMode(end.item, use) || handOffIn(end.item, use) === 'holds' ? undefined : braker;
  };
  const holdsAlone = (a: Attachment): boolean => {
    const item = deviceOf(a)?.item;
    return item ? handOffIn(item, ctx.use(a).use) === 'holds' : false;
  };
  /**
   * The hand of a device counts, with whatever is not known about braking, unless the device is made to assist it in
   * this use.
   */
  const handInDoubt = (a: Attachment): ElementId[] => {
    const end = deviceOf(a);
    const braker = end?.hand ? index.person(end.hand) : undefined;
    if (!end?.item || !braker) return [];
    const { use } = ctx.use(a);
    const assists = handOffIn(end.item, use) === 'assists' && traitsOf(end.item.family).made.includes(use);
    return assists ? [] : [braker.handId];
  };
  const hasTail = (line: RigLine) => line.kind === 'doubled' || line.kind === 'fixed';

  /** `strict`: parts that are not counted as long as their strength is open; what carries is judged for itself. */
  const against = (
    needs: readonly string[],
    parts: ReadonlySet<string>,
    strict: ReadonlySet<string>,
  ): Finding | undefined =>
    worst(
      findings.filter((f) => {
        const ref = doubtedBy(f);
        if (ref === undefined || FINDING_CODES[f.code].doubts === 'reach') return false;
        if (f.code === 'friction.not-modelled') return parts.has(ref);
        if (FINDING_CODES[f.code].doubts === 'holding') return needs.includes(ref) || parts.has(ref);
        return strict.has(ref) && f.severity !== 'mind';
      }),
    );
  const add: Count = (hold, parts, backup, strict = backup ? parts : []) => {
    const found = against(hold.needs, new Set(parts), new Set(strict));
    if (found)
      noHolds.push({
        id: hold.id,
        label: hold.label,
        severity: found.severity,
        because: quoted(found, hold.id),
        backup,
      });
    else holds.push(hold);
  };

  collect(person, null, add, new Set([person.id]));

  /** Every way by which `who` is held; with `via` only those that hold what is clipped in there. */
  function collect(who: RigPerson, via: Via | null, count: Count, met: ReadonlySet<ElementId>) {
    const chain = (a: Attachment) => (via && a === via.owner ? from(via) : own(a));
    const passes = (a: Attachment) => !via || a === via.owner;
    for (const a of setup.attachments) {
      const onDevice = a.root.kind === 'part' ? index.ownerOf(a.root.part) : undefined;
      if (onDevice && wornBy(onDevice, who) && passes(onDevice)) behindDevice(a, onDevice, chain(onDevice), count);
      if (!wornBy(a, who) || a.use === 'aid' || belaysFromHarness(index, a) || holdsAnother(ctx, a, who)) continue;
      if (a.end.kind === 'clip') {
        if (passes(a)) clipped(a, a.end.to, count, met);
        continue;
      }
      const line = linesOf(index, a.end)[0]!;
      const above = hitchOf(a) ? ctx.deviceAbove(a) : null;
      if (a.end.kind === 'device') {
        cascade(a);
        if (!passes(a)) continue;
        const hand = handAt(a);
        if (who.role === 'casualty' && !holdsAlone(a)) {
          noHolds.push({
            id: a.id,
            label: a.label,
            severity: 'stop',
            because: sentence('It does not hold without a hand, and a casualty’s hand holds nothing.'),
            backup: false,
          });
          continue;
        }
        // A hand brakes only as long as its owner hangs there, wherever the other one is clipped in.
        const parts = [...chain(a), ...(via && hand ? own(a) : [])];
        const needs = [
          ...lineNeeds(line),
          ...parts,
          ...(hasTail(line) ? [pastEnd(line)] : []),
          ...otherEnd(line, a, who),
        ];
        count(
          {
            id: a.id,
            label: hand ? 'Brake hand on the device' : a.label,
            hand: hand !== undefined,
            needs: hand ? [...needs, handFault(hand)] : needs,
          },
          [a.end.id, ...handInDoubt(a)],
          a.use === 'backup',
        );
      } else if (a.end.kind === 'hitch') {
        const parts = own(a);
        // On the brake strand it holds through the device; below one that grips by itself it holds on its own.
        const braked = above !== null && deviceOf(above)!.hand !== null;
        if (above) hitchUnderDevice(a, above);
        cascade(a);
        if (via && !(a === via.owner || (braked && passes(above)))) continue;
        const through = braked && wornBy(above, who) ? chain(above) : [];
        count(
          {
            id: a.id,
            label: a.label,
            hand: false,
            needs: [
              ...lineNeeds(line),
              ...through,
              ...(a === via?.owner ? chain(a) : parts),
              ...(hasTail(line) ? [pastEnd(line)] : []),
            ],
          },
          parts,
          true,
        );
      } else if (a.end.kind === 'knot' && !tiedToOwnDevice(a, line, who) && passes(a)) {
        tieIn(line, chain(a), count, who);
      }
    }
  }

  /** A lanyard or link: it holds what its anchor holds, or what holds the other person there. */
  function clipped(a: Attachment, to: ElementId, count: Count, met: ReadonlySet<ElementId>) {
    const parts = own(a);
    // A lanyard holds until it comes off, which is before anybody goes: it must not stand where a backup is missing.
    if (a.use === 'tether') {
      noHolds.push({
        id: a.id,
        label: a.label,
        severity: 'clear',
        because: sentence('It comes off before anybody goes.'),
        backup: false,
      });
      return;
    }
    if (index.anchor(to)) {
      count({ id: a.id, label: a.label, hand: false, needs: [anchor(to), ...parts] }, parts, true);
      return;
    }
    const owner = index.ownerOf(to) ?? null;
    const other =
      owner?.root.kind === 'harness' ? index.person(owner.root.person) : setup.persons.find((p) => p.harnessId === to);
    if (!other || met.has(other.id)) return;
    const linked: Count = (hold, refs, backup, strict = backup ? refs : []) =>
      count(
        { ...hold, id: `${a.id}:${hold.id}`, label: `${a.label}: ${hold.label}`, needs: [...parts, ...hold.needs] },
        [...parts, ...refs],
        backup,
        // A link that is in doubt holds nobody who cannot help themselves.
        [...parts, ...strict],
      );
    collect(other, owner ? { owner, part: to } : null, linked, new Set([...met, other.id]));
  }

  /**
   * From the end of an attachment to where something is clipped into it: what lies nearer to its wearer need not hold.
   */
  function from({ owner, part }: Via): string[] {
    const at = owner.pieces.findIndex((p) => p.id === part);
    const inner = at < 0 ? owner.pieces : owner.pieces.slice(0, at);
    const spared = new Set([...root(owner), ...inner.map((p) => p.id)]);
    return own(owner).filter((id) => !spared.has(id));
  }

  /** What stops the rope below a device when the hand lets go: a knot in it, or somebody who pulls. */
  function behindDevice(a: Attachment, device: Attachment, chain: readonly string[], count: Count) {
    const line = linesOf(index, device.end)[0];
    if (!line || (a.end.kind !== 'knot' && a.end.kind !== 'hand')) return;
    const part =
      a.end.kind === 'knot'
        ? faults.add('end-knot', a.end.id, a.end.id, 'the knot below is not there, or the device runs over it')
        : faults.add(
            'hand',
            a.end.id,
            a.end.id,
            `the ${index.person(a.end.by)?.role ?? 'partner'} below does not pull`,
          );
    const needs = [...lineNeeds(line), ...chain, ...(hasTail(line) ? [pastEnd(line)] : []), part];
    count({ id: a.id, label: a.label, hand: a.end.kind === 'hand', needs }, [a.end.id], true);
  }

  /** A moving line: the rope comes back to the same person, so that its other end is needed as well. */
  function otherEnd(line: RigLine, device: Attachment, who: RigPerson): string[] {
    return index
      .along(line.id)
      .filter((o) => o !== device && o.end.kind === 'knot' && wornBy(o, who))
      .flatMap(own);
  }
  function tiedToOwnDevice(a: Attachment, line: RigLine, who: RigPerson): boolean {
    return index.along(line.id).some((o) => o !== a && o.end.kind === 'device' && wornBy(o, who));
  }

  /** Tied into a rope that somebody, or a device at the anchor, holds at its other strand. */
  function tieIn(line: RigLine, parts: readonly string[], count: Count, who: RigPerson) {
    const holders = index.along(line.id).filter((o) => o.end.kind === 'device' && !wornBy(o, who));
    for (const device of holders) {
      const hand = handAt(device);
      const chain = [...lineNeeds(line), ...own(device), ...parts, pastEnd(line)];
      const label = device.root.kind === 'anchor' ? `${device.label}, held by hand` : 'Rope held by the belayer';
      const byHand: Hold = hand
        ? { id: device.id, label, hand: true, needs: [...chain, handFault(hand)] }
        : { id: device.id, label: device.label, hand: false, needs: chain };
      count(byHand, [device.end.id, ...handInDoubt(device)], device.use === 'backup');
      for (const behind of index
        .along(line.id)
        .filter((o) => o.end.kind === 'hitch' && ctx.deviceAbove(o) === device)) {
        const of = own(behind);
        count({ id: behind.id, label: behind.label, hand: false, needs: [...chain, ...of] }, of, true);
        hitchUnderDevice(behind, device);
      }
    }
  }

  const hands = faults
    .all()
    .filter((f) => f.kind === 'hand')
    .map((f) => f.id);
  const past = faults
    .all()
    .filter((f) => f.kind === 'past-end')
    .map((f) => f.id);
  const ownHand = hands.includes(person.handId) ? [person.handId] : [];
  if (ownHand.length > 0) {
    follows.causes.push({
      id: 'distracted',
      says: 'you look away: the hand slips, or the end goes by',
      brings: [...ownHand, ...past],
      because: 'One person minds both.',
    });
    follows.causes.push({
      id: 'stone',
      says: 'a stone hits you',
      brings: ownHand,
      because: 'If you are hit you let go.',
    });
  }
  const ropes = faults
    .all()
    .filter((f) => f.kind === 'rope')
    .map((f) => f.id);
  if (setup.site.edge === 'sharp' || setup.site.edge === 'unknown' || ropes.length > 1)
    follows.causes.push({
      id: 'edge',
      says: ropes.length > 1 ? 'one edge cuts both ropes' : 'the edge cuts what runs over it',
      brings: ropes,
      because:
        ropes.length > 1 ? 'Both ropes run over it, unless one is led aside.' : 'Both strands run over the same edge.',
    });
  return {
    faults: faults.all(),
    consequences: [...faults.consequences, ...follows.consequences],
    holds,
    noHolds,
    causes: follows.causes,
  };
}

const worst = (findings: readonly Finding[]): Finding | undefined =>
  (['stop', 'mind', 'untested'] as const satisfies readonly Severity[])
    .map((severity) => findings.find((f) => f.severity === severity))
    .find(Boolean);
