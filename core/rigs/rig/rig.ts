import type { ElementId } from '../../foundations/finding/index.ts';
import { JOB_FACTS, type Person, type Rope } from '../../things/gear/index.ts';
import type { Attachment, ConnectorPiece, DeviceEnd, EndPart, HitchEnd, Piece } from './attachment-elements.ts';
import type { RigAnchor, RigLine } from './line-elements.ts';
import type { RigPerson } from './person-elements.ts';
import type { Setup } from './model.ts';

/** Anything that has an id of its own in a rig. */
export type Thing =
  | { readonly kind: 'person'; readonly id: ElementId; readonly person: RigPerson }
  | { readonly kind: 'harness'; readonly id: ElementId; readonly person: RigPerson }
  | { readonly kind: 'anchor'; readonly id: ElementId; readonly anchor: RigAnchor }
  | { readonly kind: 'site'; readonly id: 'ground' }
  | { readonly kind: 'edge'; readonly id: 'edge' }
  | { readonly kind: 'line'; readonly id: ElementId; readonly line: RigLine }
  | { readonly kind: 'rope'; readonly id: ElementId; readonly item: Rope | null; readonly line: RigLine }
  | {
      readonly kind: 'sling' | 'connector';
      readonly id: ElementId;
      readonly piece: Piece;
      readonly attachment: Attachment;
    }
  | {
      readonly kind: 'device' | 'hitch' | 'knot' | 'clip' | 'hand';
      readonly id: ElementId;
      readonly end: EndPart;
      readonly attachment: Attachment;
    };

/**
 * A set-up with its ways from one element to the next. Built once for a set-up and cheap: lists are short, and nothing
 * is computed before it is asked for.
 */
export interface RigIndex {
  readonly setup: Setup;
  readonly person: (id: ElementId) => RigPerson | undefined;
  readonly anchor: (id: ElementId) => RigAnchor | undefined;
  readonly line: (id: ElementId) => RigLine | undefined;
  readonly attachment: (id: ElementId) => Attachment | undefined;
  /** The attachment that a part belongs to. */
  readonly ownerOf: (part: ElementId) => Attachment | undefined;
  /** Attachments along a line, from the anchor down. */
  readonly along: (line: ElementId) => readonly Attachment[];
}

const byId =
  <T extends { readonly id: ElementId }>(list: readonly T[]) =>
  (id: ElementId): T | undefined => {
    for (const x of list) if (x.id === id) return x;
    return undefined;
  };

export function indexOf(setup: Setup): RigIndex {
  const attachment = byId(setup.attachments);
  return {
    setup,
    person: byId(setup.persons),
    anchor: byId(setup.anchors),
    line: byId(setup.lines),
    attachment,
    ownerOf: (part) =>
      setup.attachments.find((a) => a.id === part || a.end.id === part || a.pieces.some((p) => p.id === part)),
    along: (line) => (setup.along[line] ?? []).flatMap((id) => attachment(id) ?? []),
  };
}

const thingsKnown = new WeakMap<Setup, readonly Thing[]>();

/**
 * Every element of a rig that something can be asked about, in the order in which one rigs. Worked out once for each
 * set-up.
 */
export function thingsOf(setup: Setup): readonly Thing[] {
  const things = thingsKnown.get(setup) ?? makeThings(setup);
  thingsKnown.set(setup, things);
  return things;
}

function makeThings(setup: Setup): Thing[] {
  const harnessUsed = (id: ElementId) =>
    setup.attachments.some((a) => a.root.kind === 'harness' && a.root.person === id);
  return [
    ...setup.persons.map((person): Thing => ({ kind: 'person', id: person.id, person })),
    ...setup.persons
      .filter((p) => p.harness !== null || harnessUsed(p.id))
      .map((person): Thing => ({ kind: 'harness', id: person.harnessId, person })),
    { kind: 'site', id: 'ground' },
    { kind: 'edge', id: 'edge' },
    ...setup.anchors.map((anchor): Thing => ({ kind: 'anchor', id: anchor.id, anchor })),
    ...setup.lines.flatMap((line): Thing[] => [
      { kind: 'line', id: line.id, line },
      ...ropeSlots(line).map(({ id, item }): Thing => ({ kind: 'rope', id, item, line })),
    ]),
    ...setup.attachments.flatMap((attachment): Thing[] => [
      ...attachment.pieces.map((piece): Thing => ({ kind: piece.kind, id: piece.id, piece, attachment })),
      { kind: attachment.end.kind, id: attachment.end.id, end: attachment.end, attachment },
    ]),
  ];
}

/** The ropes that a line is made of: two when two are joined, else one. */
export const ropeSlots = (line: RigLine): readonly { readonly id: ElementId; readonly item: Rope | null }[] =>
  line.kind !== 'doubled' ? [line.rope] : line.use === 'joined' ? [line.ropeA, line.ropeB] : [line.ropeA];

export interface Ropes {
  readonly ropeA: Rope;
  /** The second rope, or null when one rope is folded or there is one strand. */
  readonly ropeB: Rope | null;
}

/** The ropes of a line; null as long as one of them is not chosen. */
export function ropesOf(line: RigLine): Ropes | null {
  const [a, b] = ropeSlots(line);
  if (!a?.item || (b && !b.item)) return null;
  return { ropeA: a.item, ropeB: b?.item ?? null };
}

/** Lines that an end sits on; none for a clip. */
export function linesOf(index: RigIndex, end: EndPart): RigLine[] {
  const lines: RigLine[] = [];
  if (end.kind === 'clip') return lines;
  for (const { line } of end.on) {
    const found = index.line(line);
    if (found) lines.push(found);
  }
  return lines;
}

/** The places of the ropes that an end sits on, by id. */
export const ropeIdsOf = (index: RigIndex, end: EndPart): ElementId[] =>
  linesOf(index, end).flatMap((line) => ropeSlots(line).map(({ id }) => id));

/**
 * Ropes in a device or hitch: those of a doubled line, or one of each of two lines. null as long as one is not chosen.
 */
export function ropesIn(index: RigIndex, end: EndPart): Ropes | null {
  const lines = linesOf(index, end);
  if (lines.length === 0) return null;
  if (lines.length === 1) return ropesOf(lines[0]!);
  const [a, b] = lines.map((l) => ropesOf(l));
  return a && b ? { ropeA: a.ropeA, ropeB: b.ropeA } : null;
}

/** Both strands of one line, or one strand of each of two. */
export const strandsIn = (end: DeviceEnd | HitchEnd): 'one' | 'two' =>
  end.on.length > 1 || end.on.some((o) => o.strand === 'both') ? 'two' : 'one';

/** Who cannot help, in the job that brings somebody down. */
export const casualtyOf = ({ job, persons }: Pick<Setup, 'job' | 'persons'>): RigPerson | undefined =>
  JOB_FACTS[job].casualty ? persons.find((p) => p.role === 'casualty') : undefined;

export const deviceOf = (a: Attachment): DeviceEnd | null => (a.end.kind === 'device' ? a.end : null);
export const hitchOf = (a: Attachment): HitchEnd | null => (a.end.kind === 'hitch' ? a.end : null);
/** The connector that holds the end: the last that is not clipped beside another. */
export const mainConnector = (a: Attachment): ConnectorPiece | null =>
  a.pieces.findLast((p): p is ConnectorPiece => p.kind === 'connector' && p.beside === null) ?? null;
export const besideConnector = (a: Attachment): ConnectorPiece | null =>
  a.pieces.find((p): p is ConnectorPiece => p.kind === 'connector' && p.beside !== null) ?? null;
export const slingOf = (a: Attachment) => a.pieces.find((p) => p.kind === 'sling') ?? null;

/**
 * Who hangs by an attachment: its wearer, or, for a device at an anchor, whoever is tied into the loaded end of its
 * line.
 */
export function hangingBy(index: RigIndex, a: Attachment): RigPerson[] {
  if (a.root.kind === 'harness' && !belaysFromHarness(index, a)) {
    const own = index.person(a.root.person);
    return own ? [own] : [];
  }
  const lines = linesOf(index, a.end).map((l) => l.id);
  return index.setup.attachments.flatMap((other) => {
    if (other === a || other.end.kind !== 'knot' || other.root.kind !== 'harness') return [];
    const person = other.end.on.some((o) => lines.includes(o.line)) ? index.person(other.root.person) : undefined;
    return person ? [person] : [];
  });
}

/** A device on the belayer's harness holds somebody else: the one who is tied into the other strand of its line. */
export const belaysFromHarness = (index: RigIndex, a: Attachment): boolean => {
  if (a.end.kind !== 'device' || a.root.kind !== 'harness') return false;
  const { person } = a.root;
  return a.end.on.some(({ line, strand }) =>
    index.setup.attachments.some(
      (other) =>
        other.end.kind === 'knot' &&
        other.root.kind === 'harness' &&
        other.root.person !== person &&
        other.end.on.some((o) => o.line === line && o.strand !== strand),
    ),
  );
};

/** The person whose hand brakes at a device; undefined: nobody's. */
export const brakerOf = (index: RigIndex, end: DeviceEnd): RigPerson | undefined =>
  end.hand === null ? undefined : index.person(end.hand);

/** From the anchor along the rope to the next stance, m; 0 or less when the heights contradict each other. */
export const descentOf = ({ anchorHeightM, stanceHeightM, extraLineM }: Setup['site']): number =>
  anchorHeightM - stanceHeightM + (anchorHeightM > stanceHeightM ? extraLineM : 0);

/** Everybody of whom a mass is known, heaviest first. */
export const heaviest = (persons: readonly RigPerson[]): Person | null =>
  persons.flatMap((p) => p.item ?? []).sort((a, b) => b.massKg - a.massKg)[0] ?? null;
