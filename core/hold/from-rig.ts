import { doubtedBy, DOUBTS, quoted, sentence, type Finding, type Ref, type Severity } from '../finding/index.ts';
import { handOffIn, inGuideMode } from '../fit/index.ts';
import { traitsOf } from '../gear/index.ts';
import type { Context } from '../parts/index.ts';
import {
  belaysFromHarness,
  deviceOf,
  hitchOf,
  linesOf,
  mainConnector,
  type Attachment,
  type Piece,
  type RigLine,
  type RigPerson,
} from '../rig/index.ts';
import type { FaultKind } from './kinds.ts';
import type { CommonCause, Consequence, Fault, Hold, HoldModel, NoHold } from './model.ts';

/** Everybody who hangs on something in a rig; a belayer on the ground does not. */
export const hanging = (ctx: Context): RigPerson[] =>
  ctx.setup.persons.filter((p) =>
    ctx.setup.attachments.some(
      (a) => wornBy(a, p) && a.use !== 'aid' && !belaysFromHarness(ctx.index, a) && !holdsAnother(ctx, a, p),
    ),
  );

/** A hitch on the brake strand of a device that holds somebody else: who wears it does not hang on it. */
const holdsAnother = (ctx: Context, a: Attachment, p: RigPerson): boolean => {
  const device = hitchOf(a) ? ctx.deviceAbove(a) : null;
  return device !== null && (belaysFromHarness(ctx.index, device) || !wornBy(device, p));
};

const wornBy = (a: Attachment, p: RigPerson) => a.root.kind === 'harness' && a.root.person === p.id;

/** How one way of holding is counted: with the parts it may be in doubt for. */
type Count = (hold: Hold, parts: readonly string[], backup: boolean, strict?: readonly string[]) => void;
/** Where somebody else is clipped into an attachment. */
interface Via {
  readonly owner: Attachment;
  readonly part: Ref;
}

/** The faults of a rig, each once, with what it says. */
function faultList() {
  const faults = new Map<string, Fault>();
  return {
    all: () => [...faults.values()],
    add(kind: FaultKind, id: string, part: Ref, says: string, basic = true): string {
      if (!faults.has(id)) faults.set(id, { id, part, says, basic, kind });
      return id;
    },
  };
}

/**
 * What holds one person in this rig, from the rig itself and from what was found in it: never from a tick box. A way of being held is a chain
 * from the anchor over the line and its attachment to the harness, through another person where the line, or a link, runs on to one. Needs a set-up in
 * which every part is chosen.
 */
export function holdsFromRig(ctx: Context, person: RigPerson, findings: readonly Finding[]): HoldModel {
  const { setup, index } = ctx;
  const list = faultList();
  const holds: Hold[] = [];
  const noHolds: NoHold[] = [];
  const consequences: Consequence[] = [];
  const causes: CommonCause[] = [];
  const first = setup.persons[0]!;
  const you = person.id === first.id;
  const of = (p: RigPerson) => (p.id === person.id && you ? 'your' : `the ${p.role}’s`);
  const main = (a: Attachment) => a.id === 'main';
  const told = new Set<string>();

  const handFault = (p: RigPerson) =>
    list.add(
      'hand',
      p.handId,
      p.handId,
      p.id === person.id ? 'the brake hand lets go' : `the ${p.role}’s brake hand lets go`,
    );

  const pastEnd = (line: RigLine): string => {
    const end = line.kind === 'doubled' ? line.ends : line.end;
    const closed = end.state === 'both-knotted' || end.state === 'knotted' || end.state === 'tied';
    const falls = list.add('off-the-end', `${end.id}:off`, end.id, 'the rope’s end runs through the device', false);
    const goes = list.add(
      'past-end',
      `${end.id}:past`,
      end.id,
      you && wornOn(line) ? 'you go down past the rope’s end' : goesPast(line),
    );
    const knot = closed ? [list.add('end-knot', `${end.id}:knot`, end.id, 'the knot in the rope’s end is gone')] : [];
    if (!consequences.some((c) => c.then === falls))
      consequences.push({
        when: [goes, ...knot],
        then: falls,
        because: sentence(closed ? 'A knot that is there stops at the device.' : 'No knot closes every end.'),
      });
    return falls;
  };
  const wornOn = (line: RigLine) =>
    index.along(line.id).some((a) => wornBy(a, person) && (a.end.kind === 'device' || a.end.kind === 'hitch'));

  const goesPast = (line: RigLine) => {
    const rescuer = setup.persons.find(
      (p) => p.role === 'rescuer' && index.along(line.id).some((a) => wornBy(a, p) && a.end.kind === 'device'),
    );
    return rescuer ? 'the rescuer goes down past the rope’s end' : 'too much rope is let out';
  };

  const root = (a: Attachment): string[] => {
    if (a.root.kind === 'anchor') return [anchorFault(a.root.anchor)];
    if (a.root.kind === 'part') {
      const owner = index.ownerOf(a.root.part);
      return owner ? own(owner) : [];
    }
    const wearer = index.person(a.root.person)!;
    const harness = list.add(
      'harness',
      wearer.harnessId,
      wearer.harnessId,
      wearer.id === person.id ? 'the harness lets go' : `the ${wearer.role}’s harness lets go`,
    );
    if (a.root.point === 'leg-loop')
      return [harness, list.add('leg-loop', wearer.legLoopId, wearer.legLoopId, 'the leg loop lets go')];
    // Of two bridges one is left.
    return a.root.point === 'bridge' && setup.site.tree?.bridge !== 'two'
      ? [harness, list.add('bridge', `${wearer.harnessId}:bridge`, wearer.harnessId, 'the bridge is worn through')]
      : [harness];
  };
  const anchorFault = (id: Ref) =>
    list.add('anchor', id, id, setup.anchors[0]?.id === id ? 'the anchor lets go' : 'the other anchor lets go');

  /** The parts of one attachment, from its end to what it hangs on. */
  const own = (a: Attachment): string[] => [
    ...endFault(a),
    ...a.pieces
      .filter((p) => p.kind === 'sling' || p.beside === null)
      .map((p) =>
        p.kind === 'sling'
          ? list.add(
              a.use === 'backup' ? 'backup-sling' : 'sling',
              p.id,
              p.id,
              main(a) ? 'the extension fails' : `the sling of the ${a.label.toLowerCase()} fails`,
            )
          : list.add(a.use === 'backup' ? 'backup-connector' : 'connector', p.id, p.id, connectorSays(a, p)),
      ),
    ...root(a),
  ];
  const connectorSays = (a: Attachment, piece: Piece) =>
    piece !== mainConnector(a)
      ? `the connector at the harness of the ${a.label.toLowerCase()} opens`
      : main(a)
        ? 'the device connector opens'
        : a.id === 'below'
          ? 'the hitch connector opens'
          : `the connector of the ${a.label.toLowerCase()} opens`;
  const endFault = (a: Attachment): string[] => {
    const { end } = a;
    if (end.kind === 'device')
      return [
        list.add('device', end.id, end.id, main(a) ? 'the device lets go' : `the ${a.label.toLowerCase()} lets go`),
        ...(pushedBy(a)
          ? [
              list.add(
                'device-pushed',
                `${end.id}:pushed`,
                end.id,
                `the ${a.label.toLowerCase()} is pushed open from above`,
                false,
              ),
            ]
          : []),
      ];
    if (end.kind === 'knot')
      return [
        list.add(
          'knot',
          end.id,
          end.id,
          wornBy(a, person) ? 'the knot of the tie-in fails' : `${of(ownerPerson(a) ?? first)} tie-in fails`,
        ),
      ];
    if (end.kind === 'clip' || end.kind === 'hand') return [];
    return [
      list.add(
        'hitch',
        end.id,
        end.id,
        a.id === 'below' ? 'the hitch slips or its cord fails' : `the ${a.label.toLowerCase()} slips or its cord fails`,
      ),
      list.add('hitch-held', `${end.id}:held`, end.id, `a hand holds the ${hitchName(a)} open`),
      list.add('hitch-released', `${end.id}:released`, end.id, `the ${hitchName(a)} is released by the device`, false),
    ];
  };
  /** What is found about another one above it that slides onto it. */
  const pushedBy = (a: Attachment): Finding | undefined =>
    findings.find(
      (f) =>
        f.subject[0] === a.end.id &&
        // What was seen in a try of one's own counts, whatever has teeth.
        ((f.code === 'between.bench' && f.severity === 'stop') ||
          (f.code === 'between.cascade' && f.severity !== 'clear')),
    );
  /** The upper one slips, and the lower one lets go as well. */
  const cascade = (a: Attachment) => {
    const found = pushedBy(a);
    if (!found || told.has(`${a.id}:pushed`)) return;
    told.add(`${a.id}:pushed`);
    const then = a.end.kind === 'hitch' ? `${a.end.id}:released` : `${a.end.id}:pushed`;
    const upper = index.ownerOf(found.subject[1]!)!;
    // It slips by itself, or was pushed open by one above it and slides on.
    for (const fault of endFault(upper).filter((id) => !id.endsWith(':held')))
      consequences.push({ when: [fault], then, because: quoted(found, then) });
  };
  const hitchName = (a: Attachment) => (a.id === 'below' ? 'hitch' : a.label.toLowerCase());
  const ownerPerson = (a: Attachment) => (a.root.kind === 'harness' ? index.person(a.root.person) : undefined);

  /** The line from its anchor down, without what is attached to it. */
  const lineNeeds = (line: RigLine): string[] => [
    anchorFault(line.anchor),
    list.add(
      'rope',
      line.id,
      line.id,
      setup.lines[0]?.id === line.id ? 'the rope is cut or lets go' : 'the second rope is cut or lets go',
    ),
    ...(line.kind === 'doubled' && line.use === 'joined'
      ? [list.add('joint', line.joint.id, line.joint.id, 'the knot between the ropes fails')]
      : []),
    ...(line.kind === 'fixed'
      ? [list.add('fastening', line.fastening.id, line.fastening.id, 'the knot at the anchor fails')]
      : []),
  ];
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
  /** The hand of a device counts, with whatever is not known about braking, unless the device is made to assist it in this use. */
  const handInDoubt = (a: Attachment): Ref[] => {
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
        if (ref === undefined || DOUBTS[f.code] === 'reach') return false;
        if (f.code === 'friction.not-modelled') return parts.has(ref);
        if (DOUBTS[f.code] === 'holding') return needs.includes(ref) || parts.has(ref);
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
  function collect(who: RigPerson, via: Via | null, count: Count, met: ReadonlySet<Ref>) {
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
  function clipped(a: Attachment, to: Ref, count: Count, met: ReadonlySet<Ref>) {
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
      count({ id: a.id, label: a.label, hand: false, needs: [anchorFault(to), ...parts] }, parts, true);
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

  /** From the end of an attachment to where something is clipped into it: what lies nearer to its wearer need not hold. */
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
        ? list.add('end-knot', a.end.id, a.end.id, 'the knot below is not there, or the device runs over it')
        : list.add('hand', a.end.id, a.end.id, `the ${index.person(a.end.by)?.role ?? 'partner'} below does not pull`);
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

  function hitchUnderDevice(hitch: Attachment, device: Attachment) {
    // Two links lead to the same device: what follows there is told once.
    if (told.has(hitch.id)) return;
    told.add(hitch.id);
    const end = deviceOf(device);
    const hand = end?.hand ? index.person(end.hand) : undefined;
    if (!hand) return;
    const released = `${hitch.end.id}:released`;
    const reaches = findings.find(
      (f) => DOUBTS[f.code] === 'reach' && f.severity !== 'clear' && f.subject[0] === hitch.end.id,
    );
    if (reaches) consequences.push({ when: [handFault(hand)], then: released, because: quoted(reaches, released) });
    if (ownerPerson(hitch)?.id === hand.id)
      causes.push({
        id: `same-hand-${hitch.id}`,
        says: `fright: the brake hand slips while it grips the ${hitchName(hitch)}`,
        brings: [handFault(hand), `${hitch.end.id}:held`],
        because: 'The hand that brakes is the hand that tends the hitch.',
      });
    const [x, y] = [mainConnector(hitch), mainConnector(device)];
    if (x?.item && x.item.id === y?.item?.id)
      causes.push({
        id: `same-connector-${hitch.id}`,
        says: 'the one connector of device and hitch opens',
        brings: [y.id, x.id],
        because: 'Device and hitch hang on the same connector.',
      });
    if (hitch.root.kind === 'harness' && hitch.root.point === 'belay-loop')
      causes.push({
        id: `same-harness-${hitch.id}`,
        says: 'the one belay loop fails',
        brings: root(hitch),
        because: 'Device and hitch hang on the same loop.',
      });
  }

  const hands = list
    .all()
    .filter((f) => f.kind === 'hand')
    .map((f) => f.id);
  const past = list
    .all()
    .filter((f) => f.kind === 'past-end')
    .map((f) => f.id);
  const ownHand = hands.includes(person.handId) ? [person.handId] : [];
  if (ownHand.length > 0) {
    causes.push({
      id: 'distracted',
      says: 'you look away: the hand slips, or the end goes by',
      brings: [...ownHand, ...past],
      because: 'One person minds both.',
    });
    causes.push({ id: 'stone', says: 'a stone hits you', brings: ownHand, because: 'Whoever is hit lets go.' });
  }
  const ropes = list
    .all()
    .filter((f) => f.kind === 'rope')
    .map((f) => f.id);
  if (setup.site.edge === 'sharp' || setup.site.edge === 'unknown' || ropes.length > 1)
    causes.push({
      id: 'edge',
      says: ropes.length > 1 ? 'one edge cuts both ropes' : 'the edge cuts what runs over it',
      brings: ropes,
      because:
        ropes.length > 1 ? 'Both ropes run over it, unless one is led aside.' : 'Both strands run over the same edge.',
    });
  return { faults: list.all(), consequences, holds, noHolds, causes };
}

const worst = (findings: readonly Finding[]): Finding | undefined =>
  (['stop', 'mind', 'untested'] as const satisfies readonly Severity[])
    .map((severity) => findings.find((f) => f.severity === severity))
    .find(Boolean);
