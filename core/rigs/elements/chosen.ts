import { finding, type Finding, type ElementId, literal } from '../../foundations/finding/index.ts';
import { traitsOf, type Item, type Person } from '../../things/gear/index.ts';
import { mainConnector, templateOf, thingsOf, type Setup, type Thing } from '../rig/index.ts';
import { claimOf, type Judge } from './judge.ts';

/** A place in a rig that a person or a piece of gear is chosen for. */
export interface Slot {
  readonly ref: ElementId;
  /** What belongs there, as a label. */
  readonly label: string;
  readonly kind: 'person' | 'harness' | 'rope' | 'sling' | 'connector' | 'device' | 'cord';
  readonly item: Item | Person | null;
  /** A rig can do without it. */
  readonly optional: boolean;
}

const upperFirst = (text: string) => text.replace(/^./, (c) => c.toUpperCase());

function slotOf(setup: Setup, thing: Thing): Slot | null {
  const { who } = templateOf(setup);
  switch (thing.kind) {
    case 'person': {
      const label = who[thing.id] ?? upperFirst(thing.person.role);
      return {
        ref: thing.id,
        label,
        kind: 'person',
        item: thing.person.item,
        optional: thing.person.role === 'partner',
      };
    }
    case 'harness': {
      const several = setup.persons.filter((p) => p.harness !== null || usesHarness(setup, p.id)).length > 1;
      const label = several ? `Harness of the ${thing.person.role}` : 'Harness';
      return { ref: thing.id, label, kind: 'harness', item: thing.person.harness, optional: false };
    }
    case 'rope': {
      const second = thing.line.kind === 'doubled' && thing.id === thing.line.ropeB.id;
      const first = setup.lines[0] === thing.line;
      return {
        ref: thing.id,
        label: second || !first ? 'Second rope' : 'Rope',
        kind: 'rope',
        item: thing.item,
        optional: false,
      };
    }
    case 'sling':
    case 'connector': {
      const { piece, attachment } = thing;
      const of = attachment.label.toLowerCase();
      const main = attachment.id === 'main';
      const label =
        piece.kind === 'sling'
          ? main
            ? 'Sling of the extension'
            : `Sling of the ${of}`
          : piece.beside !== null
            ? 'Second connector beside it'
            : main
              ? 'Device connector'
              : piece !== mainConnector(attachment)
                ? `Connector at the harness, ${of}`
                : attachment.id === 'below'
                  ? 'Hitch connector'
                  : `Connector of the ${of}`;
      return { ref: piece.id, label, kind: piece.kind, item: piece.item, optional: false };
    }
    case 'device':
    case 'hitch': {
      const { end, attachment } = thing;
      if (end.kind !== 'device' && end.kind !== 'hitch') return null;
      const label =
        end.kind === 'device'
          ? attachment.id === 'main'
            ? 'Device'
            : upperFirst(attachment.label)
          : attachment.id === 'below'
            ? 'Cord of the hitch'
            : `Cord of the ${attachment.label.toLowerCase()}`;
      return { ref: end.id, label, kind: end.kind === 'device' ? 'device' : 'cord', item: end.item, optional: false };
    }
    case 'site':
    case 'edge':
    case 'anchor':
    case 'line':
    case 'knot':
    case 'clip':
    case 'hand':
      return null;
  }
}

const usesHarness = (setup: Setup, person: ElementId) =>
  setup.attachments.some((a) => a.root.kind === 'harness' && a.root.person === person);

/**
 * Every place of a rig, in the order in which one chooses: people, harness, ropes, then from the device down to the
 * hitch.
 */
export function slotsOf(setup: Setup): readonly Slot[] {
  const slots = slotsKnown.get(setup) ?? thingsOf(setup).flatMap((thing) => slotOf(setup, thing) ?? []);
  slotsKnown.set(setup, slots);
  return slots;
}
const slotsKnown = new WeakMap<Setup, readonly Slot[]>();

/** What is not chosen is said once, and nothing else is asked about it. */
export const chosenJudge: Judge = {
  id: 'chosen',
  subjects: ({ setup }) => slotsOf(setup).map((s) => s.ref),
  claims: (ref) => [claimOf(ref, 'chosen')],
  judge: (ref, { setup }) => {
    const slot = slotsOf(setup).find((s) => s.ref === ref)!;
    if (slot.item !== null || slot.optional) return [];
    return [missing(ref, slot.label)];
  },
  reads: (ref) => [ref],
};

const missing = (ref: ElementId, label: string): Finding =>
  finding({
    code: 'rig.part-missing',
    severity: 'untested',
    subject: [ref],
    says: `Not chosen: ${literal(label.toLowerCase())}.`,
    because: 'What depends on it could not be judged.',
    remedy: 'Choose it, or put it into the locker first.',
  });

/** Places that a place shares its kind with, before it. */
const before = (ref: ElementId, setup: Setup): Slot[] => {
  const slots = slotsOf(setup);
  const at = slots.findIndex((s) => s.ref === ref);
  return slots.slice(0, at).filter((s) => s.kind === slots[at]!.kind);
};

/** Places that are not the first one of their kind. */
export const sharedPlaces = (setup: Setup): ElementId[] => {
  const kinds = new Set<string>();
  return slotsOf(setup).flatMap(({ kind, ref }) => {
    const shared = kinds.has(kind);
    kinds.add(kind);
    return shared ? [ref] : [];
  });
};

/** One item, or one person, in two places. A hitch tied with the rope itself is no item. */
export const twiceJudge: Judge = {
  id: 'twice',
  subjects: ({ setup }) => sharedPlaces(setup),
  claims: (ref) => [claimOf(ref, 'once')],
  judge: (ref, { setup }) => {
    const slot = slotsOf(setup).find((s) => s.ref === ref)!;
    const { item } = slot;
    if (item === null || isTied(item)) return [];
    const first = before(ref, setup).find((s) => s.item?.id === item.id);
    if (!first) return [];
    if (slot.kind === 'person') return [samePerson(slot, first)];
    return [
      finding({
        code: 'rig.part-twice',
        severity: 'mind',
        subject: [slot.ref, first.ref],
        says: `${literal(item.name)} is chosen for two places.`,
        because: `It stands as ${literal(first.label.toLowerCase())} and as ${literal(slot.label.toLowerCase())}.`,
        remedy: 'Use another one for one of them; where you own two alike, enter both in the locker.',
      }),
    ];
  },
  reads: (ref, { setup }) => [ref, ...before(ref, setup).map((s) => s.ref)],
};

/** Nobody holds the rope that they hang on; a partner who is somebody else already is none. */
const samePerson = (slot: Slot, first: Slot): Finding =>
  finding({
    code: 'rig.part-twice',
    severity: slot.optional ? 'mind' : 'stop',
    subject: [slot.ref, first.ref],
    says: `${literal(slot.item!.name)} is chosen for two people of this rig.`,
    because: `Both as: ${literal(first.label.toLowerCase())}, and as: ${literal(slot.label.toLowerCase())}.`,
    remedy: 'Choose somebody else for one of them.',
  });

const isTied = (item: object): boolean => 'family' in item && traitsOf((item as { family: 'munter' }).family).tied;
