import type { ElementId } from '../../../foundations/finding/index.ts';
import type {
  Attachment,
  ClipEnd,
  ConnectorPiece,
  DeviceEnd,
  HitchEnd,
  KnotEnd,
  Root,
  SlingPiece,
} from '../attachment-elements.ts';
import type { LineOf, RigAnchor } from '../line-elements.ts';
import type { RigPerson, Role } from '../person-elements.ts';
import type { Setup } from '../model.ts';

/*
 * Elements as a template begins with them: nothing is chosen, and nothing is said. Their ids are file format: they
 * stand in stored set-ups and in records.
 */

/** The first person of a rig has the plain names; others carry their own before them. */
export const person = (id: ElementId, role: Role, plain = id === 'climber'): RigPerson => ({
  id,
  role,
  item: null,
  harness: null,
  harnessId: plain ? 'harness' : `${id}-harness`,
  handId: plain ? 'brakeHand' : `${id}-hand`,
  legLoopId: plain ? 'legLoop' : `${id}-legLoop`,
  helmet: 'unknown',
  fromWallM: null,
  atEdge: 'unknown',
  stands: 'free',
});
export const anchor = (id: ElementId = 'anchor'): RigAnchor => ({
  id,
  through: 'unknown',
  points: 'unknown',
  rings: 'unknown',
});

export const doubled = (): LineOf<'doubled'> => ({
  id: 'rope',
  kind: 'doubled',
  anchor: 'anchor',
  use: 'folded',
  ropeA: { id: 'ropeA', item: null },
  ropeB: { id: 'ropeB', item: null },
  joint: { id: 'joiningKnot', knot: 'unknown' },
  middleMissM: 0.5,
  ends: { id: 'ropeEnds', state: 'unknown' },
});
/** `first` has the plain names; a second line carries its own before them. */
const oneRope = (id: ElementId, at: ElementId) => ({
  id,
  anchor: at,
  rope: { id: id === 'rope' ? 'ropeA' : `${id}-rope`, item: null },
  end: { id: id === 'rope' ? 'ropeEnds' : `${id}-end`, state: 'unknown' as const },
});
export const fixed = (id: ElementId = 'rope', at: ElementId = 'anchor'): LineOf<'fixed'> => ({
  ...oneRope(id, at),
  kind: 'fixed',
  fastening: {
    id: id === 'rope' ? 'fastening' : `${id}-fastening`,
    how: 'unknown',
    backup: 'unknown',
    strand: 'unknown',
    tiedAt: 'unknown',
  },
  endWeightKg: null,
});
export const over = (id: ElementId = 'rope', at: ElementId = 'anchor'): LineOf<'over'> => ({
  ...oneRope(id, at),
  kind: 'over',
});
export const straight = (id: ElementId = 'rope', at: ElementId = 'anchor'): LineOf<'straight'> => ({
  ...oneRope(id, at),
  kind: 'straight',
});
export const led = (id: ElementId = 'rope', at: ElementId = 'anchor'): LineOf<'led'> => ({
  ...oneRope(id, at),
  kind: 'led',
  runners: [],
});

export const slingPiece = (id: ElementId): SlingPiece => ({
  id,
  kind: 'sling',
  item: null,
  method: 'basket',
  knots: 0,
  measuredMm: null,
});
export const connector = (id: ElementId, beside: ElementId | null = null): ConnectorPiece => ({
  id,
  kind: 'connector',
  item: null,
  planned: null,
  loadedEnd: 'unknown',
  gate: 'unknown',
  faces: 'unknown',
  beside,
  opposed: 'unknown',
});
export const on = (line: ElementId, strand: string) => ({ line, strand });
export const device = (id: ElementId, where: DeviceEnd['on'], hand: ElementId | null): DeviceEnd => ({
  id,
  kind: 'device',
  item: null,
  on: where,
  strands: 'unknown',
  hand,
  brakeLed: 'unknown',
  threaded: 'unknown',
  brakeSide: 'unknown',
  tuned: 'unknown',
  upperHole: 'unknown',
  groove: 'unknown',
  cam: 'unknown',
  brakeThrough: 'direct',
  brakeAngleDeg: null,
  slackM: null,
  loadStrand: 'unknown',
  strandsLie: 'unknown',
  gatheredM: null,
  arriving: 'unknown',
});
export const hitch = (id: ElementId, where: HitchEnd['on']): HitchEnd => ({
  id,
  kind: 'hitch',
  item: null,
  hitch: 'autoblock',
  wraps: 4,
  strands: 'unknown',
  eyes: 'unknown',
  on: where,
});
const knot = (id: ElementId, where: KnotEnd['on'][number]): KnotEnd => ({
  id,
  kind: 'knot',
  knot: 'unknown',
  on: [where],
});

export const clip = (id: ElementId, to: ElementId): ClipEnd => ({ id, kind: 'clip', to, tight: 'unknown' });

export const onHarness = (
  of: ElementId,
  point: Extract<Root, { kind: 'harness' }>['point'] = 'belay-loop',
): Extract<Root, { kind: 'harness' }> => ({ kind: 'harness', person: of, point });
export const onAnchor = (of: ElementId = 'anchor'): Extract<Root, { kind: 'anchor' }> => ({
  kind: 'anchor',
  anchor: of,
});

/** The device of a rappel on its extension, and the hitch below it on the leg loop. */
export const deviceOnExtension = (where: DeviceEnd['on']): Attachment => ({
  id: 'main',
  label: 'Device',
  use: 'carries',
  job: null,
  root: onHarness('climber'),
  pieces: [slingPiece('extension'), connector('deviceConnector')],
  end: device('device', where, 'climber'),
});
export const hitchBelowAttachment = (where: HitchEnd['on']): Attachment => ({
  id: 'below',
  label: 'Hitch below the device',
  use: 'backup',
  job: null,
  root: onHarness('climber', 'leg-loop'),
  pieces: [connector('hitchConnector')],
  end: hitch('hitch', where),
});
/** Something that grips the rope by itself, on a tether of its own. */
export const onTether = (id: ElementId, label: string, of: ElementId, end: Attachment['end']): Attachment => ({
  id,
  label,
  use: 'backup',
  job: null,
  root: onHarness(of),
  pieces: [slingPiece(`${id}-tether`), connector(`${id}-connector`)],
  end,
});
/** From the harness of one person to a part, or to the harness, of another: a connector at each end of a sling. */
const link = (id: ElementId, label: string, of: ElementId, to: ElementId, use: Attachment['use']): Attachment => ({
  id,
  label,
  use,
  job: null,
  root: onHarness(of),
  pieces: [connector(`${id}-low`), { ...slingPiece(`${id}-sling`), method: 'girth' }, connector(`${id}-connector`)],
  end: clip(`${id}-end`, to),
});
/** The short link of a pick-off, to the connector of the rescuer’s device. */
export const shortLink = (casualty: ElementId, connectorId: ElementId): Attachment =>
  link('link', 'Short link', casualty, connectorId, 'carries');
/** The second one, to the rescuer’s harness. */
export const secondLink = (casualty: ElementId, harnessId: ElementId): Attachment =>
  link('spare', 'Second link', casualty, harnessId, 'backup');
/** A hitch on a tether of its own above the device: the second of two that hold. */
export const hitchAbove = (where: HitchEnd['on']): Attachment =>
  onTether('above', 'Hitch above the device', 'climber', hitch('above-hitch', where));
/** A loop for the foot, in a connector. */
export const footLoop = (of: ElementId, connectorId: ElementId): Attachment => ({
  id: 'foot-loop',
  label: 'Foot loop',
  use: 'aid',
  job: null,
  root: onHarness(of, 'foot'),
  pieces: [{ ...slingPiece('foot-sling'), method: 'girth' }],
  end: clip('foot-loop-end', connectorId),
});
/** A knot in the rope below what grips it. */
export const knotBelowAttachment = (device: ElementId, where: KnotEnd['on'][number]): Attachment => ({
  id: 'stop-knot',
  label: 'Knot below the device',
  use: 'backup',
  job: null,
  root: { kind: 'part', part: device },
  pieces: [],
  end: knot('stop-knot-end', where),
});
/** A device that hangs on a connector and nothing else. */
export const deviceOn = (root: Root, where: DeviceEnd['on'], hand: ElementId | null, label = 'Device'): Attachment => ({
  id: 'main',
  label,
  use: 'carries',
  job: null,
  root,
  pieces: [connector('deviceConnector')],
  end: device('device', where, hand),
});
export const tiedIn = (of: ElementId, where: KnotEnd['on'][number], id: ElementId = `${of}-tie-in`): Attachment => ({
  id,
  label: 'Tie-in',
  use: 'carries',
  job: null,
  root: onHarness(of, 'tie-in'),
  pieces: [],
  end: knot(`${id}-knot`, where),
});

/** Everything that sits on each line, in the order given, from the anchor down. */
export const alongOf = (lines: readonly { id: ElementId }[], attachments: readonly Attachment[]): Setup['along'] =>
  Object.fromEntries(
    lines.map((l) => [
      l.id,
      attachments.flatMap((a) => (a.end.kind !== 'clip' && a.end.on.some((o) => o.line === l.id) ? [a.id] : [])),
    ]),
  );
