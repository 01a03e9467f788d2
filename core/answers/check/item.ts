import type { ElementId } from '../../foundations/finding/index.ts';
import type { Attachment, Setup } from '../../rigs/rig/index.ts';
import type { CheckItem } from './check-item.ts';

/**
 * Kinds of items, with the steps of the procedures that each looks back at: what follows when it is passed over is
 * taken from there. A test holds each step against the shipped procedures.
 */
export const ITEM_KINDS = {
  helmet: [],
  harness: [],
  'harness-belt': [],
  'brake-hand': [],
  'loose-things': [],
  calls: [],
  'coming-down': [],
  anchor: ['rope-thread'],
  'anchor-points': [],
  'joining-knot': ['rope-join', 'rope-knot'],
  'joining-tails': [],
  'pull-side': [],
  middle: ['rope-middle'],
  'this-place': [],
  fastening: ['rope-fasten', 'rope-fix', 'rope-clip', 'fixed'],
  'block-strand': ['rope-block'],
  'tree-tried': ['line-try'],
  'tree-runs': [],
  'tree-lanyard': [],
  'tree-rehearsed': ['rehearse'],
  'tree-tether': ['tether'],
  'rope-ends': ['ends-knot', 'end-knot'],
  'end-weight': ['weight-hang'],
  'tie-in': ['tie-in'],
  'tie-in-tail': [],
  'tie-in-points': [],
  'device-strands': ['device-thread'],
  'device-around': [],
  'device-pull': ['first-on', 'second-on', 'upper-on', 'lower-on'],
  'brake-side': [],
  'load-strand': [],
  'strands-lie': [],
  'device-place': [],
  'device-connector': ['device-lock', 'plate-lock', 'first-lock', 'second-lock', 'upper-lock', 'lower-lock'],
  'connector-faces': [],
  'connector-end': [],
  'brake-led': ['brake-led'],
  'extra-connector': [],
  'extra-gate': [],
  extension: [],
  'hitch-wraps': [],
  'hitch-strands': [],
  'hitch-ends': [],
  'hitch-place': [],
  'hitch-connector': ['hitch-lock'],
  'knot-below': [],
  'tether-gate': [],
  'tether-to': [],
  'link-to': ['link-on', 'spare-on'],
  'link-gates': ['link-lock', 'spare-lock'],
  'link-tight': ['link-tight'],
  'weigh-device': ['device-weigh', 'first-try', 'second-try', 'take-in', 'bounce-upper', 'bounce-lower'],
  'lanyard-on': [],
  'hold-person': ['device-weigh', 'take-in', 'plate-weigh', 'plate-weigh-other'],
  'hitch-bites': ['hitch-test'],
  'hitch-lets-go': [],
  'edge-tied': [],
  'hitch-clear': [],
  'hitch-clear-knee': [],
} as const satisfies Readonly<Record<string, readonly string[]>>;
export type CheckItemKind = keyof typeof ITEM_KINDS;

/** Id of an item: its kind, and which element it is about when that is not the first of its kind. */
export const itemId = (kind: CheckItemKind, ref: ElementId, first: ElementId): string =>
  ref === first ? kind : `${kind}:${ref}`;
/** Id of an item about an attachment: plain for the first one with this kind of end. */
export const idAt = ({ attachments }: Pick<Setup, 'attachments'>, kind: CheckItemKind, a: Attachment): string =>
  itemId(kind, a.id, attachments.find((x) => x.end.kind === a.end.kind)!.id);
/** The kind of a regular item; undefined for a question that the assessment left open. */
export const kindOf = ({ id }: Pick<CheckItem, 'id'>): CheckItemKind | undefined => {
  const [kind] = id.split(':');
  return kind && Object.hasOwn(ITEM_KINDS, kind) ? (kind as CheckItemKind) : undefined;
};

type Draft = Omit<CheckItem, 'numbers' | 'kind' | 'touch' | 'look'> &
  Partial<Pick<CheckItem, 'numbers' | 'kind' | 'touch' | 'look'>>;

/** An item with what most of them share filled in. */
export const item = (draft: Draft): CheckItem => ({ kind: 'look', numbers: [], touch: '', look: '', ...draft });
