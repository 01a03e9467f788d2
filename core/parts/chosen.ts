import { finding, type Finding, type Ref } from '../finding/index.ts';
import { traitsOf } from '../gear/index.ts';
import { templateOf, thingsOf, type RigSetup, type Thing } from '../rig/index.ts';
import type { Context } from './context.ts';
import { about, type Judge } from './judge.ts';

/** A place in a rig that a person or a piece of gear is chosen for. */
export interface Slot {
  readonly ref: Ref;
  /** What belongs there, as a label. */
  readonly label: string;
  readonly kind: 'person' | 'harness' | 'rope' | 'sling' | 'connector' | 'device' | 'cord';
  readonly item: { readonly id: string; readonly name: string } | null;
  /** A rig can do without it. */
  readonly optional: boolean;
}

const upperFirst = (text: string) => text.replace(/^./, (c) => c.toUpperCase());

function slotOf(setup: RigSetup, thing: Thing): Slot | null {
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
      return null;
  }
}

const usesHarness = (setup: RigSetup, person: Ref) =>
  setup.attachments.some((a) => a.root.kind === 'harness' && a.root.person === person);

/** Every place of a rig, in the order in which one chooses: people, harness, ropes, then from the device down to the hitch. */
export function slotsOf(setup: RigSetup): Slot[] {
  return thingsOf(setup).flatMap((thing) => slotOf(setup, thing) ?? []);
}

/** What is not chosen is said once, and nothing else is asked about it. */
export const chosenJudge: Judge = {
  id: 'chosen',
  subjects: ({ setup }) => slotsOf(setup).map((s) => s.ref),
  claims: (ref) => [about(ref, 'chosen')],
  judge: (ref, { setup }) => {
    const slot = slotsOf(setup).find((s) => s.ref === ref)!;
    if (slot.item !== null || slot.optional) return [];
    return [missing(ref, slot.label)];
  },
  reads: (ref) => [ref],
};

const missing = (ref: Ref, label: string): Finding =>
  finding({
    code: 'rig.part-missing',
    severity: 'untested',
    subject: [ref],
    says: `Not chosen: ${label.toLowerCase()}.`,
    because: 'What depends on it could not be judged.',
    remedy: 'Choose it, or put it into the locker first.',
  });

/** One item in two places. A hitch tied with the rope itself is no item. */
export const twiceJudge: Judge = {
  id: 'twice',
  subjects: ({ setup }) => [setup.attachments[0]!.id],
  claims: () => [],
  judge: (_, { setup }) => {
    const slots = slotsOf(setup).filter(({ item, kind }) => item !== null && kind !== 'person' && !isTied(item));
    return slots.flatMap((slot, i) => {
      const first = slots.slice(0, i).find((s) => s.kind === slot.kind && s.item!.id === slot.item!.id);
      if (!first) return [];
      return [
        finding({
          code: 'rig.part-twice',
          severity: 'mind',
          subject: [slot.ref, first.ref],
          says: `${slot.item!.name} is chosen for two places.`,
          because: `It stands as ${first.label.toLowerCase()} and as ${slot.label.toLowerCase()}.`,
          remedy: 'Take another one for one of them; where you own two alike, enter both in the locker.',
        }),
      ];
    });
  },
  reads: (_, ctx: Context) => slotsOf(ctx.setup).map((s) => s.ref),
};

const isTied = (item: object): boolean => 'family' in item && traitsOf((item as { family: 'munter' }).family).tied;
