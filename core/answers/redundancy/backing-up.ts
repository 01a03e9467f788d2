import { cascadeJudge } from '../../rigs/pairs/index.ts';
import type { Finding } from '../../foundations/finding/index.ts';
import { contextOf } from '../../rigs/elements/index.ts';
import { ownDevice, removablesOf, VARIATIONS, without, type Setup, type Variation } from '../../rigs/rig/index.ts';
import { standing } from './closure.ts';
import { minimalCutSets, type CutSet } from './cut-sets.ts';
import { holdsFromRig } from './holds-from-rig.ts';
import { hanging } from './who.ts';
import type { Fault, Hold, HoldModel } from './model.ts';

/** One way of backing somebody up, as a variation of this very rig judged by the same engine. */
export interface BackingUp {
  readonly id: string;
  readonly label: string;
  readonly variation: Variation | null;
  /** The rig with this backup and no other. */
  readonly setup: Setup;
  /** It is what the set-up has already. */
  readonly own: boolean;
  readonly model: HoldModel;
  readonly cuts: readonly CutSet[];
}

/** Events by which the ways are compared; each names the faults of a rig that happen together. */
export interface Event {
  readonly id: string;
  readonly says: string;
  readonly faults: (model: HoldModel, setup: Setup) => readonly string[];
}
const ofKind = (model: HoldModel, ...kinds: Fault['kind'][]) =>
  model.faults.filter((f) => kinds.includes(f.kind)).map((f) => f.id);
const ownHand = (_: HoldModel, { persons }: Setup) => [persons[0]!.handId];
const firstLine = ({ lines }: Setup) => lines[0]!;

export const EVENTS: readonly Event[] = [
  { id: 'hand', says: 'The brake hand lets go', faults: ownHand },
  {
    id: 'fright',
    says: 'The hand lets go and clutches the hitch',
    faults: (m, s) => [...ownHand(m, s), ...ofKind(m, 'hitch-held').filter((id) => !id.startsWith('belay-'))],
  },
  {
    id: 'stones',
    says: 'Rocks hit you and the people below',
    faults: (m, s) => [...ownHand(m, s), 'watched-hand'],
  },
  { id: 'partner', says: 'The hand lets go while the others look away', faults: (m) => ofKind(m, 'hand') },
  { id: 'device', says: 'The device lets go, or its connector opens', faults: () => ['device'] },
  {
    id: 'hitch',
    says: 'The hand lets go and the hitch slips',
    faults: (m, s) => [...ownHand(m, s), ...ofKind(m, 'hitch').filter((id) => !id.startsWith('belay-'))],
  },
  {
    id: 'end',
    says: 'You go past an end without a knot',
    faults: (_, s) => {
      const line = firstLine(s);
      const end = line.kind === 'doubled' ? line.ends.id : line.end.id;
      return [`${end}:past`, `${end}:knot`];
    },
  },
  { id: 'rope', says: 'The rope you go down on is cut', faults: (_, s) => [firstLine(s).id] },
  { id: 'edge', says: 'One edge cuts every rope over it', faults: (m) => ofKind(m, 'rope') },
  { id: 'anchor', says: 'The anchor of that rope lets go', faults: (_, s) => [firstLine(s).anchor] },
  { id: 'anchors', says: 'Every rope hangs on the anchor that lets go', faults: (m) => ofKind(m, 'anchor') },
  { id: 'harness', says: 'The harness lets go', faults: (_, s) => [s.persons[0]!.harnessId] },
];

/** What holds after an event; faults that this rig has not do nothing. */
export function standingAfter({ model, setup }: Pick<BackingUp, 'model' | 'setup'>, event: Event): Hold[] {
  const there = new Set(model.faults.map((f) => f.id));
  return standing(
    model,
    event.faults(model, setup).filter((id) => there.has(id)),
  );
}

/**
 * The ways of backing up this rig side by side: each is the rig without its backups, with one variation added, and what
 * holds in it. A backup that the set-up has is judged as it stands, the others as they are meant to be. Empty where
 * nobody hangs on a device of their own.
 */
export function waysToBackUp(setup: Setup, findings: readonly Finding[]): BackingUp[] {
  if (!ownDevice(setup)) return [];
  const backups = setup.attachments.filter((a) => a.use === 'backup').map((a) => a.id);
  const bare = removablesOf(setup)
    .filter(({ id }) => backups.includes(id))
    .reduce((rig, { id }) => without(rig, id), setup);
  const build = (id: string, label: string, variation: Variation | null, rig: Setup, own: boolean): BackingUp => {
    const ctx = contextOf(rig);
    const person = hanging(ctx)[0] ?? rig.persons[0]!;
    // What slides onto what is another matter in each of them.
    const cascades = cascadeJudge.subjects(ctx).flatMap((ref) => cascadeJudge.judge(ref, ctx));
    const about = own
      ? findings
      : [
          ...findings.filter((f) => f.code !== 'between.cascade' && !f.subject.some((ref) => backupRefs.has(ref))),
          ...cascades,
        ];
    const model = holdsFromRig(ctx, person, about);
    return { id, label, variation, setup: rig, own, model, cuts: minimalCutSets(model, 2) };
  };
  const backupRefs = new Set(
    setup.attachments.filter((a) => a.use === 'backup').flatMap((a) => [a.end.id, ...a.pieces.map((p) => p.id)]),
  );
  const upper = (text: string) => text.replace(/^an? /, '').replace(/^./, (c) => c.toUpperCase());
  const own = backups.length > 0 ? [build('own', 'As it stands', null, setup, true)] : [];
  return [
    ...own,
    ...VARIATIONS.filter((v) => v.backsUp).flatMap((v) => {
      const rig = v.add(bare);
      return rig ? [build(v.id, upper(v.label), v, rig, false)] : [];
    }),
    build('nothing', 'Nothing behind the hand', null, bare, backups.length === 0),
  ];
}
