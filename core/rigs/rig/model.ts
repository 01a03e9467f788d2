import { z } from 'zod';
import { wayTestSchema } from '../../things/connector/index.ts';
import { findingSchema, elementIdSchema, type ElementId } from '../../foundations/finding/index.ts';
import { choice, idSchema, instantSchema, JOBS, line as text, note } from '../../things/gear/index.ts';
import { attachmentSchema, type Attachment } from './attachment-elements.ts';
import { anchorSchema, lineSchema, STRANDS, type RigLine } from './line-elements.ts';
import { callsSchema, rigPersonSchema, type RigPerson } from './person-elements.ts';
import { siteSchema } from './site-elements.ts';
import { TEMPLATE_FACTS, TEMPLATE_IDS } from './template-facts.ts';

/** Names that a finding may point at in every rig, beside those of its elements. */
export const SITE_REFS = ['edge', 'ground', 'tree'] as const;

const shape = z.strictObject({
  id: idSchema,
  name: text('Name', 80, 1),
  job: choice(JOBS, 'Job'),
  /** What it was made from: its drawing and the order of its form. */
  template: z.enum(TEMPLATE_IDS),
  createdAt: instantSchema,
  updatedAt: instantSchema,
  site: siteSchema,
  calls: callsSchema,
  persons: z.array(rigPersonSchema).min(1).max(6),
  anchors: z.array(anchorSchema).min(1).max(6),
  lines: z.array(lineSchema).min(1).max(6),
  attachments: z.array(attachmentSchema).min(1).max(16),
  /** For each line what sits on it, from the anchor down. */
  along: z.record(elementIdSchema, z.array(elementIdSchema)),
  /** Own tests of the ways to clip that are planned here, as they stood. */
  tests: z.array(wayTestSchema),
  /** What was found when a combination was taken over from a plan; null: it was not. */
  taken: z.strictObject({ at: instantSchema, findings: z.array(findingSchema) }).nullable(),
  note: note(),
});
type Shape = z.infer<typeof shape>;

/**
 * One rig for one job. Refused are a reference to nothing, a circle of roots, an id twice, a strand that its line has
 * not.
 */
export const setupSchema = shape.superRefine((setup, ctx) => {
  for (const { path, message } of rigIssues(setup)) ctx.addIssue({ code: 'custom', path: [...path], message });
});
export type Setup = Shape;

/** Ids of an element and of what it contains, each with its path below the element. */
const idsOfPerson = (p: RigPerson): [PropertyKey[], ElementId][] => [
  [['id'], p.id],
  [['harnessId'], p.harnessId],
  [['handId'], p.handId],
  [['legLoopId'], p.legLoopId],
];
const idsOfLine = (line: RigLine): [PropertyKey[], ElementId][] => {
  const own: [PropertyKey[], ElementId] = [['id'], line.id];
  if (line.kind === 'doubled')
    return [
      own,
      [['ropeA', 'id'], line.ropeA.id],
      [['ropeB', 'id'], line.ropeB.id],
      [['joint', 'id'], line.joint.id],
      [['ends', 'id'], line.ends.id],
    ];
  return [
    own,
    [['rope', 'id'], line.rope.id],
    [['end', 'id'], line.end.id],
    ...(line.kind === 'fixed' ? [[['fastening', 'id'], line.fastening.id] as [PropertyKey[], ElementId]] : []),
    ...(line.kind === 'led'
      ? line.runners.map((r, i): [PropertyKey[], ElementId] => [['runners', i, 'id'], r.id])
      : []),
  ];
};
const idsOfAttachment = (a: Attachment): [PropertyKey[], ElementId][] => [
  [['id'], a.id],
  ...a.pieces.map((p, i): [PropertyKey[], ElementId] => [['pieces', i, 'id'], p.id]),
  [['end', 'id'], a.end.id],
];

interface Issue {
  readonly path: readonly PropertyKey[];
  readonly message: string;
}

/** What in a rig contradicts itself, with its path. */
export function rigIssues(setup: Shape): Issue[] {
  const issues: Issue[] = [];
  const seen = new Set<ElementId>(SITE_REFS);
  const claim = (at: PropertyKey[], ids: readonly [PropertyKey[], ElementId][]) => {
    for (const [path, id] of ids) {
      if (seen.has(id)) issues.push({ path: [...at, ...path], message: `the id "${id}" stands twice` });
      seen.add(id);
    }
  };
  setup.site.tree?.limbs.forEach((l, i) => claim(['site', 'tree', 'limbs', i], [[['id'], l.id]]));
  setup.persons.forEach((p, i) => claim(['persons', i], idsOfPerson(p)));
  setup.anchors.forEach((a, i) => claim(['anchors', i], [[['id'], a.id]]));
  setup.lines.forEach((l, i) => claim(['lines', i], idsOfLine(l)));
  setup.attachments.forEach((a, i) => claim(['attachments', i], idsOfAttachment(a)));

  const persons = new Set(setup.persons.map((p) => p.id));
  const anchors = new Set(setup.anchors.map((a) => a.id));
  const harnesses = new Set(setup.persons.map((p) => p.harnessId));
  const lines = new Map(setup.lines.map((l) => [l.id, l]));
  const attachments = new Map(setup.attachments.map((a) => [a.id, a]));
  const partOf = new Map(setup.attachments.flatMap((a) => idsOfAttachment(a).map(([, id]) => [id, a.id] as const)));
  const refer = (path: PropertyKey[], there: boolean, what: string, id: ElementId) => {
    if (!there) issues.push({ path, message: `there is no ${what} "${id}"` });
  };
  for (const [id, role] of TEMPLATE_FACTS[setup.template].roles) {
    const i = setup.persons.findIndex((p) => p.id === id);
    if (i < 0 && role !== 'partner') issues.push({ path: ['persons'], message: `the ${role} "${id}" is missing` });
    else if (i >= 0 && setup.persons[i]!.role !== role)
      issues.push({ path: ['persons', i, 'role'], message: `in this job "${id}" is the ${role}` });
  }
  setup.lines.forEach((l, i) => refer(['lines', i, 'anchor'], anchors.has(l.anchor), 'anchor', l.anchor));
  setup.attachments.forEach((a, i) => {
    const at = ['attachments', i] as const;
    const { root, end } = a;
    if (root.kind === 'harness') refer([...at, 'root', 'person'], persons.has(root.person), 'person', root.person);
    if (root.kind === 'anchor') refer([...at, 'root', 'anchor'], anchors.has(root.anchor), 'anchor', root.anchor);
    if (root.kind === 'part') refer([...at, 'root', 'part'], partOf.has(root.part), 'part', root.part);
    if (end.kind === 'clip')
      refer(
        [...at, 'end', 'to'],
        partOf.has(end.to) || anchors.has(end.to) || harnesses.has(end.to),
        'part, anchor or harness',
        end.to,
      );
    else
      end.on.forEach(({ line, strand }, k) => {
        const found = lines.get(line);
        refer([...at, 'end', 'on', k, 'line'], found !== undefined, 'line', line);
        if (found && !(STRANDS[found.kind] as readonly string[]).includes(strand))
          issues.push({
            path: [...at, 'end', 'on', k, 'strand'],
            message: `this line has the strands ${STRANDS[found.kind].join(', ')}`,
          });
      });
    if (end.kind === 'hand') refer([...at, 'end', 'by'], persons.has(end.by), 'person', end.by);
    if (end.kind === 'device' && end.hand !== null)
      refer([...at, 'end', 'hand'], persons.has(end.hand), 'person', end.hand);
    a.pieces.forEach((piece, k) => {
      if (piece.kind !== 'connector' || piece.beside === null) return;
      const first = a.pieces.slice(0, k).some((p) => p.kind === 'connector' && p.id === piece.beside);
      refer([...at, 'pieces', k, 'beside'], first, 'connector before it', piece.beside);
    });
  });
  setup.attachments.forEach((a, i) => {
    const met = new Set<ElementId>([a.id]);
    for (let next = rootOwner(a, partOf); next !== undefined; next = rootOwner(attachments.get(next)!, partOf)) {
      if (met.has(next)) {
        issues.push({ path: ['attachments', i, 'root', 'part'], message: 'it hangs on itself, in a circle' });
        break;
      }
      met.add(next);
    }
  });
  for (const [line, order] of Object.entries(setup.along)) {
    refer(['along', line], lines.has(line), 'line', line);
    order.forEach((id, i) => {
      const a = attachments.get(id);
      const sits = a && a.end.kind !== 'clip' && a.end.on.some((o) => o.line === line);
      refer(['along', line, i], Boolean(sits) && order.indexOf(id) === i, 'attachment on this line, once, called', id);
    });
  }
  for (const [i, a] of setup.attachments.entries()) {
    if (a.end.kind === 'clip') continue;
    for (const { line } of a.end.on)
      if (lines.has(line) && !setup.along[line]?.includes(a.id))
        issues.push({ path: ['attachments', i, 'id'], message: `its place along "${line}" is not said` });
  }
  return issues;
}

const rootOwner = (a: Attachment, partOf: ReadonlyMap<ElementId, ElementId>): ElementId | undefined =>
  a.root.kind === 'part' ? partOf.get(a.root.part) : undefined;
