import type { Ref } from '../finding/index.ts';
import type { CheckItem } from './check-item.ts';

/**
 * Kinds of items, with the steps of the procedures that each looks back at: what follows when it is passed over is taken from there.
 * A test holds each step against the shipped procedures.
 */
export const ITEM_KINDS = {
  harness: [],
  'loose-things': [],
  anchor: ['rope-thread'],
  'joining-knot': ['rope-join', 'rope-knot'],
  middle: ['rope-middle'],
  fastening: ['rope-fasten', 'rope-clip'],
  'block-strand': ['rope-block'],
  'rope-ends': ['ends-knot', 'end-knot'],
  'tie-in': ['tie-in'],
  'device-strands': ['device-thread'],
  'device-connector': ['device-lock'],
  'brake-led': ['brake-led'],
  'extra-connector': [],
  'two-ropes': [],
  extension: [],
  'hitch-wraps': [],
  'hitch-connector': ['hitch-lock'],
  'weigh-device': ['device-weigh'],
  'hold-person': ['device-weigh', 'take-in'],
  'hitch-bites': ['hitch-test'],
  'hitch-clear': [],
} as const satisfies Readonly<Record<string, readonly string[]>>;
export type ItemKind = keyof typeof ITEM_KINDS;

/** Id of an item: its kind, and which element it is about when that is not the first of its kind. */
export const itemId = (kind: ItemKind, ref: Ref, first: Ref): string => (ref === first ? kind : `${kind}:${ref}`);
/** The kind of a regular item; undefined for a question that the assessment left open. */
export const kindOf = ({ id }: Pick<CheckItem, 'id'>): ItemKind | undefined => {
  const [kind] = id.split(':');
  return kind && Object.hasOwn(ITEM_KINDS, kind) ? (kind as ItemKind) : undefined;
};

type Draft = Omit<CheckItem, 'numbers' | 'kind' | 'touch' | 'look'> &
  Partial<Pick<CheckItem, 'numbers' | 'kind' | 'touch' | 'look'>>;

/** An item with what most of them share filled in. */
export const item = (draft: Draft): CheckItem => ({ kind: 'look', numbers: [], touch: '', look: '', ...draft });
