import type { ElementId, Finding, FindingCode } from '../../foundations/finding/index.ts';
import { elementAt, withFields, type Setup } from '../../rigs/rig/index.ts';
import type { CheckItem } from './check-item.ts';
import { kindOf, type CheckItemKind } from './item.ts';

type Facts = Readonly<Record<string, string>>;

const ENDS: Readonly<Record<string, Facts>> = {
  'Both ends': { state: 'both-knotted' },
  'In both ends': { state: 'knotted' },
  'Somebody tied into it': { state: 'tied' },
  'A stopper knot, long tail': { state: 'knotted' },
};
/** What the rig is like when an item of this kind was closed as it should be, in the fields of what it is about. */
const SAYS: Partial<Record<CheckItemKind, (item: CheckItem) => Facts>> = {
  helmet: () => ({ helmet: 'worn' }),
  'edge-tied': () => ({ atEdge: 'tied' }),
  anchor: ({ expected }): Facts => (expected === 'Metal only' ? { through: 'rings' } : {}),
  'anchor-points': ({ expected }) => ({ points: expected === 'One' ? 'one' : 'several' }),
  'joining-knot': ({ expected }) => ({
    knot: expected.startsWith('Double fisherman') ? 'double-fisherman' : 'flat-overhand',
  }),
  'block-strand': () => ({ how: 'blocked', strand: 'free' }),
  fastening: ({ expected }): Facts => (expected === 'A connector around my strand' ? { backup: 'clipped' } : {}),
  // As this version asks it: the words of an older check say nothing here.
  'rope-ends': ({ expected }) => ENDS[expected] ?? {},
  'tie-in': ({ expected }) => ({ knot: expected === 'Five' ? 'figure-eight' : 'bowline' }),
  'device-around': () => ({ strands: 'both' }),
  'device-pull': () => ({ threaded: 'shown' }),
  'brake-side': ({ expected }) => ({ brakeSide: expected === 'The grooves' ? 'grooves' : 'smooth' }),
  'load-strand': () => ({ loadStrand: 'above' }),
  'strands-lie': ({ expected }) => ({ strandsLie: expected === 'Side by side' ? 'parallel' : 'crossed' }),
  'device-connector': () => ({ gate: 'locked' }),
  'extra-gate': () => ({ gate: 'locked' }),
  'tether-gate': () => ({ gate: 'locked' }),
  'hitch-connector': () => ({ gate: 'locked' }),
  'connector-faces': () => ({ faces: 'away' }),
  'connector-end': ({ expected }): Facts => (expected === 'Broad end' ? { loadedEnd: 'broad' } : {}),
  'extra-connector': () => ({ opposed: 'reversed' }),
  'brake-led': ({ expected }) => ({ brakeLed: expected.startsWith('Straight down') ? 'below' : 'redirected' }),
  'hitch-strands': () => ({ strands: 'both' }),
  'hitch-ends': () => ({ eyes: 'both' }),
  'link-tight': () => ({ tight: 'tight' }),
};

/** Elements that an item is about: where two ropes run to one device their free ends are one item. */
const partsOf = (setup: Setup, item: CheckItem): ElementId[] =>
  kindOf(item) === 'rope-ends' && setup.lines.every((l) => l.kind === 'straight')
    ? setup.lines.flatMap((l) => (l.kind === 'straight' ? [l.end.id] : []))
    : [item.part];

/** One fact that nobody had entered and a check saw. */
export interface SeenFact {
  readonly ref: ElementId;
  readonly field: string;
  readonly value: string;
  /** The item that saw it. */
  readonly item: CheckItem;
}

/** What these items, closed as they should be, say of a set-up and nobody has entered yet. What was entered stays. */
export const factsSeen = (setup: Setup, closed: readonly CheckItem[]): SeenFact[] =>
  closed.flatMap((item) =>
    partsOf(setup, item).flatMap((ref) => {
      const now = elementAt(setup, ref);
      return Object.entries(SAYS[kindOf(item)!]?.(item) ?? {}).flatMap(([field, value]) =>
        now?.[field] === 'unknown' ? [{ ref, field, value, item }] : [],
      );
    }),
  );

/** Fields of an element that a finding calls unknown, where a regular item asks for them. */
const ASKS: Partial<Record<FindingCode, readonly string[]>> = {
  'connector.gate-unknown': ['gate', 'faces'],
  'connector.seat-unknown': ['loadedEnd'],
  'fit.brake-side': ['brakeSide'],
};
/** Whether regular items ask for all that a finding leaves unknown; other findings are asked by their kind of item. */
export function askedBy(setup: Setup, items: readonly CheckItem[], { code, subject }: Finding): boolean {
  const facts = factsSeen(setup, items);
  const now = elementAt(setup, subject[0]!);
  return (ASKS[code] ?? []).every(
    (field) => now?.[field] !== 'unknown' || facts.some((f) => f.ref === subject[0] && f.field === field),
  );
}

/** The set-up with these facts entered. */
export const withFacts = (setup: Setup, facts: readonly SeenFact[]): Setup =>
  facts.reduce((s, { ref, field, value }) => withFields(s, ref, { [field]: value }), setup);
