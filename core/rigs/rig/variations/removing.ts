import type { ElementId } from '../../../foundations/finding/index.ts';
import type { RigLine } from '../line-elements.ts';
import type { RigPerson } from '../person-elements.ts';
import type { Setup } from '../model.ts';
import { indexOf, linesOf } from '../rig.ts';
import { templateOf } from '../templates/index.ts';

/** Something that can be taken away, by its id. */
export interface Removable {
  readonly id: ElementId;
  readonly label: string;
}

/** What this rig can do without: backups, tethers, a second connector, the extension. */
export function removablesOf(setup: Setup): Removable[] {
  const limbs = setup.site.tree?.limbs.slice(1) ?? [];
  const further = limbs.map(({ id }, i) => ({ id, label: `Limb ${i + 2}` }));
  const attached = setup.attachments.flatMap((a): Removable[] => [
    ...(a.use === 'backup' || a.use === 'tether' || a.use === 'aid' ? [{ id: a.id, label: a.label }] : []),
    ...a.pieces.flatMap((p): Removable[] => {
      if (p.kind === 'connector' && p.beside !== null) return [{ id: p.id, label: 'Second connector' }];
      return p.kind === 'sling' && a.use === 'carries'
        ? [{ id: p.id, label: a.id === 'main' ? 'Extension' : `Sling of the ${a.label.toLowerCase()}` }]
        : [];
    }),
  ]);
  return [...attached, ...further];
}

/**
 * The rig without one attachment or piece, and without what was there for it alone: what hangs on it, its line, the
 * anchor of that line, and whoever the job does not need and nothing else uses.
 */
export function without(setup: Setup, id: ElementId): Setup {
  const { tree } = setup.site;
  if (tree?.limbs.some((l) => l.id === id)) {
    const limbs = tree.limbs.filter((l) => l.id !== id);
    return limbs.length === 0 ? setup : { ...setup, site: { ...setup.site, tree: { ...tree, limbs } } };
  }
  const whole = setup.attachments.find((a) => a.id === id);
  if (!whole) {
    const attachments = setup.attachments.map((a) =>
      a.pieces.some((p) => p.id === id) ? { ...a, pieces: a.pieces.filter((p) => p.id !== id) } : a,
    );
    return { ...setup, attachments };
  }
  const index = indexOf(setup);
  const added = linesOf(index, whole.end).filter((l) => l !== setup.lines[0] && isAdded(setup, l));
  const gone = new Set<ElementId>([
    id,
    ...added.flatMap((l) => index.along(l.id).map((a) => a.id)),
    ...setup.attachments.flatMap((a) =>
      a.root.kind === 'part' &&
      (whole.end.id === a.root.part || whole.pieces.some((p) => a.root.kind === 'part' && p.id === a.root.part))
        ? [a.id]
        : [],
    ),
    // What is clipped to it goes as well.
    ...setup.attachments.flatMap((a) => {
      const { end } = a;
      return end.kind === 'clip' && (end.to === whole.end.id || whole.pieces.some((p) => p.id === end.to))
        ? [a.id]
        : [];
    }),
  ]);
  const attachments = setup.attachments.filter((a) => !gone.has(a.id));
  const lines = setup.lines.filter((l) => !added.includes(l));
  const anchors = setup.anchors.filter((x) => lines.some((l) => l.anchor === x.id));
  const ofJob = new Set(
    templateOf(setup)
      .parts()
      .persons.map((p) => p.id),
  );
  const used = (p: RigPerson) =>
    ofJob.has(p.id) ||
    attachments.some(
      (a) =>
        (a.root.kind === 'harness' && a.root.person === p.id) ||
        (a.end.kind === 'device' && a.end.hand === p.id) ||
        (a.end.kind === 'hand' && a.end.by === p.id),
    );
  return {
    ...setup,
    attachments,
    lines,
    anchors,
    persons: setup.persons.filter(used),
    along: Object.fromEntries(
      Object.entries(setup.along)
        .filter(([line]) => lines.some((l) => l.id === line))
        .map(([line, order]) => [line, order.filter((a) => !gone.has(a))]),
    ),
  };
}

/** A line that came with a variation: nothing on it carries by itself. */
const isAdded = (setup: Setup, line: RigLine): boolean =>
  indexOf(setup)
    .along(line.id)
    .every((a) => a.use !== 'carries');
