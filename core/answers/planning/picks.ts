import { strengthLeftKn, waysOf, type Way } from '../../things/connector/index.ts';
import type { ElementId } from '../../foundations/finding/index.ts';
import {
  JOB_FACTS,
  MUNTER,
  type Connector,
  type Device,
  type Item,
  type ItemOf,
  type Rope,
} from '../../things/gear/index.ts';
import { slotsOf, type Slot } from '../../rigs/elements/index.ts';
import { indexOf, mainConnector, placeOf, withAll, type RigEdit, type Setup } from '../../rigs/rig/index.ts';

/** One item at one place, with how it is put in. */
export interface Pick {
  readonly ref: ElementId;
  readonly itemId: string;
  readonly way?: Way;
  readonly method?: 'girth' | 'basket';
  readonly knots?: number;
  readonly wraps?: number;
}

const ofKind = <K extends Item['kind']>(items: readonly Item[], kind: K) =>
  items.filter((i): i is ItemOf<K> => i.kind === kind);
const ascending = <T>(list: readonly T[], size: (item: T) => number): T[] =>
  [...list].sort((a, b) => size(a) - size(b));

/** Devices to choose among: those of the locker, and the Munter hitch, which needs none. */
export const devicesToPlan = (items: readonly Item[]): Device[] => [...ofKind(items, 'device'), MUNTER];

const byId = new WeakMap<readonly Item[], ReadonlyMap<string, Item>>();
export function itemOf(items: readonly Item[], id: string): Item | null {
  if (!byId.has(items)) byId.set(items, new Map([...items, MUNTER].map((i) => [i.id, i])));
  return byId.get(items)!.get(id) ?? null;
}

/**
 * The set-up with these items in their places, put in as picked. Facts about gates and ends follow the way that was
 * picked.
 */
export const withPicks = (setup: Setup, picks: readonly Pick[], items: readonly Item[]): Setup =>
  withAll(setup, changesFor(setup, picks, items));

/** What putting them in changes. The ropes of a line are picked together. */
export function changesFor(setup: Setup, picks: readonly Pick[], items: readonly Item[]): RigEdit[] {
  const changes = picks.map(({ ref, itemId, way, method, knots, wraps }): RigEdit => {
    const [at, key] = placeOf(setup, ref);
    return [
      at,
      {
        [key]: itemOf(items, itemId),
        ...(way && {
          planned: way,
          loadedEnd: way.end,
          faces: way.gate === 'brake' ? 'rope' : 'away',
          gate: 'locked',
        }),
        ...(method && { method, knots: knots ?? 0, measuredMm: null }),
        ...(wraps !== undefined && { wraps }),
      },
    ];
  });
  const doubled = setup.lines.find((l) => l.kind === 'doubled');
  const use = picks.some((p) => p.ref === doubled?.ropeB.id) ? 'joined' : 'folded';
  return doubled && picks.some((p) => p.ref === doubled.ropeA.id) ? [...changes, [doubled.id, { use }]] : changes;
}

/** What can be put into one open place, or into several that are chosen together. */
export interface OpenPlace {
  /** Places that it fills. */
  readonly refs: readonly ElementId[];
  readonly kind: Slot['kind'];
  readonly values: readonly (readonly Pick[])[];
}

const WRAPS = [4, 3, 5];
const EXTENSIONS = [
  { method: 'basket', knots: 0 },
  { method: 'basket', knots: 1 },
  { method: 'girth', knots: 0 },
  { method: 'girth', knots: 1 },
] as const;

/**
 * Ropes that can serve together: one rope; where two strands of different ropes can lie in the device, every pair of
 * the same kind.
 */
function ropeSets(setup: Setup, refs: readonly ElementId[], ropes: readonly Rope[]): Pick[][] {
  const doubled = setup.lines.find((l) => l.kind === 'doubled');
  const pairs = (a: ElementId, b: ElementId) =>
    ropes.flatMap((x, i) =>
      ropes
        .slice(i + 1)
        .filter((y) => y.construction === x.construction)
        .map((y): Pick[] => [
          { ref: a, itemId: x.id },
          { ref: b, itemId: y.id },
        ]),
    );
  if (refs.length === 2) return pairs(refs[0]!, refs[1]!);
  const single = ropes.map((r): Pick[] => [{ ref: refs[0]!, itemId: r.id }]);
  const canJoin = doubled?.ropeA.id === refs[0] && doubled?.use === 'folded' && doubled?.ropeB.item === null;
  return canJoin ? [...single, ...pairs(doubled.ropeA.id, doubled.ropeB.id)] : single;
}

/**
 * What is open in a set-up and what could be put there, in the order in which it is chosen. Of parts that are judged
 * alike the first one is taken: the broadest connector for two strands, the shortest sling and loop, which leave the
 * least hanging about, and a small connector for a hitch. A part that the set-up has already stays as it is.
 */
export function variablesOf(setup: Setup, items: readonly Item[]): OpenPlace[] {
  const slots = slotsOf(setup).filter((s) => s.item === null && s.kind !== 'person');
  const index = indexOf(setup);
  const mains = new Set(
    setup.attachments.flatMap((a) => (a.end.kind === 'device' ? (mainConnector(a)?.id ?? []) : [])),
  );
  const refsOf = (kind: Slot['kind']) => slots.filter((s) => s.kind === kind).map((s) => s.ref);
  const each = (
    refs: readonly ElementId[],
    kind: Slot['kind'],
    values: (ref: ElementId) => readonly (readonly Pick[])[],
  ) => refs.map((ref): OpenPlace => ({ refs: [ref], kind, values: values(ref) }));
  const ropes = refsOf('rope');
  const connectors = ofKind(items, 'connector');
  const clipped = refsOf('connector').filter((ref) => mains.has(ref));
  const others = refsOf('connector').filter((ref) => !mains.has(ref));
  const loopMm = (c: ItemOf<'cord'>) => c.loopLengthMm ?? (c.cutLengthM ?? 9) * 500;
  const deviceAt = (ref: ElementId): Device | null => {
    const end = index.ownerOf(ref)!.end;
    return end.kind === 'device' ? end.item : null;
  };
  return [
    ...(ropes.length > 0
      ? [{ refs: ropes, kind: 'rope', values: ropeSets(setup, ropes, ofKind(items, 'rope')) } as const]
      : []),
    ...each(refsOf('device'), 'device', (ref) => devicesToPlan(items).map((d) => [{ ref, itemId: d.id }])),
    ...each(clipped, 'connector', (ref) =>
      ascending(connectors, (c) => -(c.broadInsideWidthMm ?? 0)).flatMap((c) =>
        waysFor(c, deviceAt(ref)).map((way) => [{ ref, itemId: c.id, way }]),
      ),
    ),
    ...each(refsOf('sling'), 'sling', (ref) =>
      ascending(ofKind(items, 'sling'), (s) => s.loopLengthMm).flatMap((s) =>
        EXTENSIONS.map((how) => [{ ref, itemId: s.id, ...how }]),
      ),
    ),
    ...each(refsOf('cord'), 'cord', (ref) =>
      ascending(ofKind(items, 'cord'), loopMm).flatMap((c) => WRAPS.map((wraps) => [{ ref, itemId: c.id, wraps }])),
    ),
    ...each(others, 'connector', (ref) =>
      ascending(connectors, (c) => c.insideLengthMm).map((c) => [{ ref, itemId: c.id }]),
    ),
    // Last: whether its leg loop carries the hitch is known only with the hitch, and a wrong one must not cost a whole
    // branch.
    ...each(refsOf('harness'), 'harness', (ref) => ofKind(items, 'harness').map((h) => [{ ref, itemId: h.id }])),
  ];
}

/** Ways that differ for any device, or for the one that is chosen already. */
function waysFor(connector: Connector, device: Device | null): readonly Way[] {
  if (device) return waysOf(connector, device);
  const ends = connector.shape === 'oval' ? (['broad'] as const) : (['broad', 'narrow'] as const);
  return ends.flatMap((end) =>
    (['left', 'right'] as const).flatMap((from) => (['free', 'brake'] as const).map((gate) => ({ end, from, gate }))),
  );
}

/** Whether a value of a connector makes sense in this device: a side to clip from only where there are plates. */
export const makesSense = (pick: Pick | undefined, connector: Connector, device: Device): boolean =>
  !pick?.way || waysOf(connector, device).some((w) => w.from === pick.way!.from && w.end === pick.way!.end);

/** Of ways that are judged alike the one that leaves more strength at the worst comes first, kN. */
export const strengthAt = (connector: Connector, device: Device, way: Way): number =>
  strengthLeftKn(connector, device, way.end, way.gate === 'brake')?.low ?? 0;

/** Two people on two ropes of their own. */
export const needsTwoRopes = ({ job }: Setup): boolean =>
  JOB_FACTS[job].persons === 'two' && JOB_FACTS[job].strands === 'two';
