import type { Ref } from '../../../foundations/finding/index.ts';
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
 * Elements as a template begins with them: nothing is chosen, and nothing is said. Their ids are file format: they stand in stored set-ups and
 * in records.
 */

/** The first person of a rig has the plain names; others carry their own before them. */
export const person = (id: Ref, role: Role, plain = id === 'climber'): RigPerson => ({
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
export const anchor = (id: Ref = 'anchor'): RigAnchor => ({
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
const oneRope = (id: Ref, at: Ref) => ({
  id,
  anchor: at,
  rope: { id: id === 'rope' ? 'ropeA' : `${id}-rope`, item: null },
  end: { id: id === 'rope' ? 'ropeEnds' : `${id}-end`, state: 'unknown' as const },
});
export const fixed = (id: Ref = 'rope', at: Ref = 'anchor'): LineOf<'fixed'> => ({
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
export const over = (id: Ref = 'rope', at: Ref = 'anchor'): LineOf<'over'> => ({ ...oneRope(id, at), kind: 'over' });
export const straight = (id: Ref = 'rope', at: Ref = 'anchor'): LineOf<'straight'> => ({
  ...oneRope(id, at),
  kind: 'straight',
});
export const led = (id: Ref = 'rope', at: Ref = 'anchor'): LineOf<'led'> => ({
  ...oneRope(id, at),
  kind: 'led',
  runners: [],
});

export const sling = (id: Ref): SlingPiece => ({
  id,
  kind: 'sling',
  item: null,
  method: 'basket',
  knots: 0,
  measuredMm: null,
});
export const connector = (id: Ref, beside: Ref | null = null): ConnectorPiece => ({
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
export const on = (line: Ref, strand: string) => ({ line, strand });
export const device = (id: Ref, where: DeviceEnd['on'], hand: Ref | null): DeviceEnd => ({
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
export const hitch = (id: Ref, where: HitchEnd['on']): HitchEnd => ({
  id,
  kind: 'hitch',
  item: null,
  hitch: 'autoblock',
  wraps: 4,
  strands: 'unknown',
  eyes: 'unknown',
  on: where,
});
export const knot = (id: Ref, where: KnotEnd['on'][number]): KnotEnd => ({
  id,
  kind: 'knot',
  knot: 'unknown',
  on: [where],
});

export const clip = (id: Ref, to: Ref): ClipEnd => ({ id, kind: 'clip', to, tight: 'unknown' });

export const onHarness = (
  of: Ref,
  point: Extract<Root, { kind: 'harness' }>['point'] = 'belay-loop',
): Extract<Root, { kind: 'harness' }> => ({ kind: 'harness', person: of, point });
export const onAnchor = (of: Ref = 'anchor'): Extract<Root, { kind: 'anchor' }> => ({ kind: 'anchor', anchor: of });

/** The device of a rappel on its extension, and the hitch below it on the leg loop. */
export const deviceOnExtension = (where: DeviceEnd['on']): Attachment => ({
  id: 'main',
  label: 'Device',
  use: 'carries',
  job: null,
  root: onHarness('climber'),
  pieces: [sling('extension'), connector('deviceConnector')],
  end: device('device', where, 'climber'),
});
export const hitchBelow = (where: HitchEnd['on']): Attachment => ({
  id: 'below',
  label: 'Hitch below the device',
  use: 'backup',
  job: null,
  root: onHarness('climber', 'leg-loop'),
  pieces: [connector('hitchConnector')],
  end: hitch('hitch', where),
});
/** Something that grips the rope by itself, on a tether of its own. */
export const onTether = (id: Ref, label: string, of: Ref, end: Attachment['end']): Attachment => ({
  id,
  label,
  use: 'backup',
  job: null,
  root: onHarness(of),
  pieces: [sling(`${id}-tether`), connector(`${id}-connector`)],
  end,
});
/** From the harness of one person to a part, or to the harness, of another: a connector at each end of a sling. */
export const link = (id: Ref, label: string, of: Ref, to: Ref, use: Attachment['use']): Attachment => ({
  id,
  label,
  use,
  job: null,
  root: onHarness(of),
  pieces: [connector(`${id}-low`), { ...sling(`${id}-sling`), method: 'girth' }, connector(`${id}-connector`)],
  end: clip(`${id}-end`, to),
});
/** The short link of a pick-off, to the connector of the rescuer’s device. */
export const shortLink = (casualty: Ref, connectorId: Ref): Attachment =>
  link('link', 'Short link', casualty, connectorId, 'carries');
/** The second one, to the rescuer’s harness. */
export const secondLink = (casualty: Ref, harnessId: Ref): Attachment =>
  link('spare', 'Second link', casualty, harnessId, 'backup');
/** A hitch on a tether of its own above the device: the second of two that hold. */
export const hitchAbove = (where: HitchEnd['on']): Attachment =>
  onTether('above', 'Hitch above the device', 'climber', hitch('above-hitch', where));
/** A loop for the foot, in a connector. */
export const footLoop = (of: Ref, connectorId: Ref): Attachment => ({
  id: 'foot-loop',
  label: 'Foot loop',
  use: 'aid',
  job: null,
  root: onHarness(of, 'foot'),
  pieces: [{ ...sling('foot-sling'), method: 'girth' }],
  end: clip('foot-loop-end', connectorId),
});
/** A knot in the rope below what grips it. */
export const knotBelow = (device: Ref, where: KnotEnd['on'][number]): Attachment => ({
  id: 'stop-knot',
  label: 'Knot below the device',
  use: 'backup',
  job: null,
  root: { kind: 'part', part: device },
  pieces: [],
  end: knot('stop-knot-end', where),
});
/** A device that hangs on a connector and nothing else. */
export const deviceOn = (root: Root, where: DeviceEnd['on'], hand: Ref | null, label = 'Device'): Attachment => ({
  id: 'main',
  label,
  use: 'carries',
  job: null,
  root,
  pieces: [connector('deviceConnector')],
  end: device('device', where, hand),
});
export const tiedIn = (of: Ref, where: KnotEnd['on'][number], id: Ref = `${of}-tie-in`): Attachment => ({
  id,
  label: 'Tie-in',
  use: 'carries',
  job: null,
  root: onHarness(of, 'tie-in'),
  pieces: [],
  end: knot(`${id}-knot`, where),
});

/** Everything that sits on each line, in the order given, from the anchor down. */
export const alongOf = (lines: readonly { id: Ref }[], attachments: readonly Attachment[]): Setup['along'] =>
  Object.fromEntries(
    lines.map((l) => [
      l.id,
      attachments.flatMap((a) => (a.end.kind !== 'clip' && a.end.on.some((o) => o.line === l.id) ? [a.id] : [])),
    ]),
  );
