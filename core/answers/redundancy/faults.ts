import { sentence, type Finding, type ElementId } from '../../foundations/finding/index.ts';
import type { Context } from '../../rigs/elements/index.ts';
import { mainConnector, type Attachment, type Piece, type RigLine, type RigPerson } from '../../rigs/rig/index.ts';
import type { FaultKind } from './kinds.ts';
import type { Consequence, Fault } from './model.ts';
import { wornBy } from './who.ts';

/** The faults of a rig, each once, with what it says. */
function faultList() {
  const faults = new Map<string, Fault>();
  return {
    all: () => [...faults.values()],
    add: (kind: FaultKind, id: string, part: ElementId, says: string, basic = true): string => {
      if (!faults.has(id)) faults.set(id, { id, part, says, basic, kind });
      return id;
    },
  };
}

/** What a hitch is called in a sentence. */
export const hitchName = (a: Attachment) => (a.id === 'below' ? 'hitch' : a.label.toLowerCase());

/** What can fail in a rig, each part under the name that somebody would give it who hangs there: `person`. */
export function faultsOf(ctx: Context, person: RigPerson, findings: readonly Finding[]) {
  const { setup, index } = ctx;
  const list = faultList();
  const consequences: Consequence[] = [];
  const first = setup.persons[0]!;
  const you = person.id === first.id;
  const of = (p: RigPerson) => (p.id === person.id && you ? 'your' : `the ${p.role}’s`);
  const main = (a: Attachment) => a.id === 'main';
  const ownerPerson = (a: Attachment) => (a.root.kind === 'harness' ? index.person(a.root.person) : undefined);

  const hand = (p: RigPerson) =>
    list.add(
      'hand',
      p.handId,
      p.handId,
      p.id === person.id ? 'the brake hand lets go' : `the ${p.role}’s brake hand lets go`,
    );

  /** The end of a line, which somebody may go past; a knot that is there stops at the device. */
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
    if (a.root.kind === 'anchor') return [anchor(a.root.anchor)];
    if (a.root.kind === 'part') {
      const owner = index.ownerOf(a.root.part);
      return owner ? own(owner) : [];
    }
    const wearer = index.person(a.root.person)!;
    const harness = list.add(
      'harness',
      wearer.harnessId,
      wearer.harnessId,
      wearer.id === person.id ? 'the harness fails' : `the ${wearer.role}’s harness fails`,
    );
    if (a.root.point === 'leg-loop')
      return [harness, list.add('leg-loop', wearer.legLoopId, wearer.legLoopId, 'the leg loop lets go')];
    // Of two bridges one is left.
    return a.root.point === 'bridge' && setup.site.tree?.bridge !== 'two'
      ? [harness, list.add('bridge', `${wearer.harnessId}:bridge`, wearer.harnessId, 'the bridge is worn through')]
      : [harness];
  };
  const anchor = (id: ElementId) =>
    list.add('anchor', id, id, setup.anchors[0]?.id === id ? 'the anchor fails' : 'the other anchor fails');

  /** The parts of one attachment, from its end to what it hangs on. */
  const own = (a: Attachment): string[] => [
    ...atEnd(a),
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
  const atEnd = (a: Attachment): string[] => {
    const { end } = a;
    if (end.kind === 'device')
      return [
        list.add(
          'device',
          end.id,
          end.id,
          main(a) ? 'the device stops holding' : `the ${a.label.toLowerCase()} lets go`,
        ),
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
  /** The line from its anchor down, without what is attached to it. */
  const line = (line: RigLine): string[] => [
    anchor(line.anchor),
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
  return {
    all: list.all,
    consequences,
    add: list.add,
    hand,
    anchor,
    root,
    own,
    end: atEnd,
    line,
    pastEnd,
    pushedBy,
    ownerPerson,
  };
}
export type Faults = ReturnType<typeof faultsOf>;
