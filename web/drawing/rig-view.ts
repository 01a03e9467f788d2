import type { ElementId } from '@core/foundations/finding';
import { traitsOf, type Device } from '@core/things/gear';
import {
  belaysFromHarness,
  besideConnector,
  deviceOf,
  hitchOf,
  indexOf,
  linesOf,
  mainConnector,
  ropeSlots,
  slingOf,
  templateOf,
  type Attachment,
  type ConnectorPiece,
  type HitchEnd,
  type RigIndex,
  type RigLine,
  type RigPerson,
  type Scene,
  type Setup,
  type SlingPiece,
} from '@core/rigs/rig';

/** A friction hitch with where it hangs. */
export interface HitchView {
  readonly attachment: Attachment;
  readonly hitch: HitchEnd;
  readonly connector: ConnectorPiece | null;
  readonly onLeg: boolean;
}

/** What the drawings need of a rig: its main device and what belongs to it, from the rig itself. */
export interface RigView {
  readonly scene: Scene;
  readonly index: RigIndex;
  readonly main: Attachment;
  readonly device: Device | null;
  readonly connector: ConnectorPiece | null;
  readonly beside: ConnectorPiece | null;
  readonly extension: SlingPiece | null;
  /** Who wears the device; null: it hangs at an anchor. */
  readonly wearer: RigPerson | null;
  /** Whose hand brakes. */
  readonly braker: RigPerson | null;
  /** The device holds somebody else than its wearer. */
  readonly belays: boolean;
  readonly line: RigLine;
  readonly strands: 1 | 2;
  readonly ropeA: { readonly id: ElementId; readonly diameterMm: number };
  /** Two ropes of unlike colour. */
  readonly joined: boolean;
  /** Hitches of the wearer on the same line. */
  readonly below: HitchView | null;
  readonly above: HitchView | null;
}

const diameter = (line: RigLine): { id: ElementId; diameterMm: number } => {
  const [slot] = ropeSlots(line);
  return {
    id: slot!.id,
    diameterMm: slot!.item?.measuredDiameterMm ?? slot!.item?.nominalDiameterMm ?? 9.5,
  };
};

export function rigView(setup: Setup): RigView {
  const index = indexOf(setup);
  const main =
    setup.attachments.find((a) => a.id === 'main') ??
    setup.attachments.find((a) => a.end.kind === 'device') ??
    setup.attachments[0]!;
  const end = deviceOf(main);
  const line = linesOf(index, main.end)[0] ?? setup.lines[0]!;
  const wearer = main.root.kind === 'harness' ? (index.person(main.root.person) ?? null) : null;
  const order = index.along(line.id);
  const at = order.indexOf(main);
  const view = (a: Attachment | undefined): HitchView | null => {
    const hitch = a ? hitchOf(a) : null;
    if (!a || !hitch || a.root.kind !== 'harness' || a.root.person !== wearer?.id) return null;
    return { attachment: a, hitch, connector: mainConnector(a), onLeg: a.root.point === 'leg-loop' };
  };
  const sling = slingOf(main);
  const two = end ? end.on.length > 1 || end.on.some((o) => o.strand === 'both') : false;
  return {
    scene: templateOf(setup).scene,
    index,
    main,
    device: end?.item ?? null,
    connector: mainConnector(main),
    beside: besideConnector(main),
    extension: sling?.kind === 'sling' ? sling : null,
    wearer,
    braker: end?.hand ? (index.person(end.hand) ?? null) : null,
    belays: belaysFromHarness(index, main),
    line,
    strands: two ? 2 : 1,
    ropeA: diameter(line),
    joined: (line.kind === 'doubled' && line.use === 'joined') || (end?.on.length ?? 0) > 1,
    below: view(order.slice(at + 1).find((a) => hitchOf(a) !== null)),
    above: view(order.slice(0, Math.max(0, at)).findLast((a) => hitchOf(a) !== null)),
  };
}

/** How a device is drawn, by what its family does. */
export type Glyph = 'tube' | 'eight' | 'munter' | 'plate' | 'cam' | 'clamp' | 'bollard' | 'none';
export function glyphOf(device: Device | null): {
  readonly glyph: Glyph;
  readonly grooved: boolean;
  readonly teeth: boolean;
  readonly ears: boolean;
} {
  if (!device) return { glyph: 'none', grooved: false, teeth: false, ears: false };
  const { brake, turningCam, teeth, tuned } = traitsOf(device.family);
  const glyph: Glyph =
    brake === 'tube' || brake === 'grooved-tube'
      ? 'tube'
      : brake === 'eight'
        ? 'eight'
        : brake === 'munter'
          ? 'munter'
          : brake === 'plate'
            ? 'plate'
            : turningCam
              ? 'cam'
              : tuned
                ? 'bollard'
                : 'clamp';
  return { glyph, grooved: brake === 'grooved-tube', teeth, ears: device.family !== 'plain-eight' };
}
