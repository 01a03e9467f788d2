import type { ElementId } from '../../../foundations/finding/index.ts';
import type { Attachment } from '../attachment-elements.ts';
import type { RigAnchor, RigLine } from '../line-elements.ts';
import type { RigPerson } from '../person-elements.ts';
import type { Setup } from '../model.ts';
import { belaysFromHarness, indexOf } from '../rig.ts';

/** Something that can be added to a rig as a whole: what it brings, and where it sits. */
export interface Variation {
  readonly id: VariationId;
  /** After "Add ...". */
  readonly label: string;
  /** It backs up whoever hangs on the main device, so that it stands among the ways of backing up. */
  readonly backsUp: boolean;
  readonly needs: readonly string[];
  readonly defeats: readonly string[];
  readonly reasons: readonly string[];
  readonly against: readonly string[];
  /** The rig with it; null where it has no place, or is there already. */
  readonly add: (setup: Setup) => Setup | null;
}

export const VARIATION_IDS = [
  'hitch-below',
  'hitch-above',
  'second-hitch',
  'second-rope',
  'own-hitch',
  'held-below',
  'knot-below',
  'brake-hitch',
  'foot-loop',
  'second-grab',
  'grab-second-rope',
  'lanyard',
  'second-connector',
  'casualty-link',
  'casualty-second-link',
  'casualty-device',
  'chest-tether',
  'foot-ascender',
  'knee-ascender',
  'chest-ascender',
  'limb',
] as const;
export type VariationId = (typeof VARIATION_IDS)[number];

export interface Parts {
  readonly persons?: readonly RigPerson[];
  readonly anchors?: readonly RigAnchor[];
  readonly lines?: readonly RigLine[];
  readonly attachments: readonly Attachment[];
  /** Attachments that come directly before another one along its line. */
  readonly before?: Readonly<Record<ElementId, ElementId>>;
}

/** The rig with these parts; on each line what is new goes to the end, or before what it is said to come before. */
export function grown(
  setup: Setup,
  { persons = [], anchors = [], lines = [], attachments, before = {} }: Parts,
): Setup {
  const along: Record<ElementId, ElementId[]> = { ...setup.along };
  for (const a of attachments) {
    if (a.end.kind === 'clip') continue;
    for (const { line } of a.end.on) {
      const order = along[line] ?? [];
      const next = before[a.id];
      const at = next ? order.indexOf(next) : -1;
      along[line] = at < 0 ? [...order, a.id] : [...order.slice(0, at), a.id, ...order.slice(at)];
    }
  }
  return {
    ...setup,
    persons: [...setup.persons, ...persons],
    anchors: [...setup.anchors, ...anchors],
    lines: [...setup.lines, ...lines],
    attachments: [...setup.attachments, ...attachments],
    along,
  };
}

export const has = (setup: Setup, id: ElementId) => setup.attachments.some((a) => a.id === id);
/** The device that somebody goes down on, or up by, on a line of their own; not one that belays another. */
export function ownDevice(setup: Setup): Attachment | null {
  const index = indexOf(setup);
  return (
    setup.attachments.find(
      (a) => a.end.kind === 'device' && a.root.kind === 'harness' && !belaysFromHarness(index, a),
    ) ?? null
  );
}
export const strandsOn = (a: Attachment) => (a.end.kind === 'clip' ? [] : a.end.on);
