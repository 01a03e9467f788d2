import {
  brakingFindings,
  fitFindings,
  hitchChoiceFindings,
  ropeSetFindings,
  strandRoomFindings,
  wantsHitch,
  waysFor,
  type HitchChoice,
  type RopeSet,
} from '../assess-choice.ts';
import { seatKind, type Way, type WayReport, type WayTest } from '../connector/index.ts';
import { SEVERITIES, type Finding, type Severity } from '../finding/index.ts';
import {
  JOB_FACTS,
  MUNTER,
  traitsOf,
  type Connector,
  type Cord,
  type Device,
  type Item,
  type ItemOf,
  type Job,
  type Rope,
} from '../gear/index.ts';
import type { Question } from '../rig/index.ts';
import type { Cost } from './choose.ts';

/** One complete answer to a plan, by the ids of what it is made of. */
export interface Combination {
  readonly ropeAId: string;
  readonly ropeBId: string | null;
  readonly deviceId: string;
  readonly connectorId: string | null;
  readonly way: Way | null;
  readonly hitch: { readonly cordId: string; readonly kind: HitchChoice['kind']; readonly wraps: number } | null;
  readonly cost: Cost;
  /** Worst finding; null when nothing was found at all. */
  readonly worst: Finding | null;
  /** Worst strength left of the connector, kN; null where not entered. */
  readonly strengthLeftKn: number | null;
}

export interface PlanResult {
  /** Best first, none with a *stop*; one for each set of ropes and device. */
  readonly combinations: readonly Combination[];
  /** The others, with their worst finding; once something stops them the brake hand is not looked at any more. */
  readonly rejected: readonly Combination[];
  /** Sets of ropes times devices. */
  readonly pairs: number;
}

const WRAPS = [4, 3, 5];
const HITCH_KIND = 'autoblock';

const count = (findings: readonly Finding[]): Cost => {
  let [stop, mind, untested] = [0, 0, 0];
  for (const { severity } of findings) {
    if (severity === 'stop') stop += 1;
    else if (severity === 'mind') mind += 1;
    else if (severity === 'untested') untested += 1;
  }
  return [stop, mind, untested];
};
const add = (a: Cost, b: Cost): Cost => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
const compare = (a: Cost, b: Cost): number => a[0] - b[0] || a[1] - b[1] || a[2] - b[2];
const RANK = Object.fromEntries(SEVERITIES.map((s, i) => [s, i])) as Readonly<Record<Severity, number>>;
const NOTHING: Cost = [0, 0, 0];

const ofKind = <K extends Item['kind']>(items: readonly Item[], kind: K) =>
  items.filter((i): i is ItemOf<K> => i.kind === kind);

/** Devices to choose among: those of the locker, and the Munter hitch, which needs none. */
export const devicesToPlan = (items: readonly Item[]): Device[] => [...ofKind(items, 'device'), MUNTER];

/** Ropes that can serve together: one rope; for two strands of different ropes every pair of the same kind. */
export function ropeSets(job: Job, ropes: readonly Rope[]): RopeSet[] {
  const single = ropes.map((ropeA): RopeSet => ({ ropeA, ropeB: null }));
  if (JOB_FACTS[job].strands === 'one') return single;
  const pairs = ropes.flatMap((ropeA, i) =>
    ropes
      .slice(i + 1)
      .filter((ropeB) => ropeB.construction === ropeA.construction)
      .map((ropeB): RopeSet => ({ ropeA, ropeB })),
  );
  // Two seconds hang on a rope each; a doubled rappel can be one rope folded.
  return JOB_FACTS[job].persons === 'two' ? pairs : [...single, ...pairs];
}

interface Clipped {
  readonly connector: Connector;
  readonly report: WayReport;
  readonly cost: Cost;
}

const betterClip = (a: Clipped, aCost: Cost, b: Clipped, bCost: Cost): boolean =>
  (compare(aCost, bCost) || (b.report.strengthLeftKn?.low ?? -1) - (a.report.strengthLeftKn?.low ?? -1)) < 0;

/**
 * Every set of ropes with every device of the locker, each with its best connector, way to clip it, cord and wraps. Exact: findings about
 * ropes and device, about connector and device, about strands on the connector, and about the hitch are independent of each other, so
 * the best parts make the best whole. Adding an item never removes a combination.
 * @param onRow hears how many sets of ropes are done.
 */
export function plan(
  question: Question,
  items: readonly Item[],
  tests: readonly WayTest[],
  onRow?: (done: number) => void,
): PlanResult {
  const { job } = question;
  const devices = devicesToPlan(items);
  const connectors = ofKind(items, 'connector');
  // Of cords that are judged alike the shortest leaves the least hanging about.
  const loopMm = (c: Cord) => c.loopLengthMm ?? (c.cutLengthM ?? 9) * 500;
  const cords = [...ofKind(items, 'cord')].sort((a, b) => loopMm(a) - loopMm(b));
  const sets = ropeSets(job, ofKind(items, 'rope'));
  const clips = new Map(
    devices.map((device) => [
      device.id,
      connectors.flatMap((connector) =>
        waysFor(question, device, connector, tests).map((report): Clipped => ({
          connector,
          report,
          cost: count(report.findings),
        })),
      ),
    ]),
  );
  // A rope meets the same device in many pairs: its fit is judged once.
  const fits = new Map<string, Finding[]>();
  const fitOf = (rope: Rope, part: 'ropeA' | 'ropeB', device: Device): Finding[] => {
    const at = `${part}/${rope.id}/${device.id}`;
    const known = fits.get(at) ?? fitFindings(question, rope, part, device);
    fits.set(at, known);
    return known;
  };
  const all = sets.flatMap((ropes, row) => {
    const alone = ropeSetFindings(question, ropes);
    const hitch = bestHitch(question, ropes, cords);
    const rooms = new Map(
      connectors.map((connector) => {
        const findings = strandRoomFindings(job, ropes, BIGHT_OF(devices), connector);
        return [connector.id, { findings, cost: count(findings) }];
      }),
    );
    const combinations = devices.map((device) => {
      const alike = [
        ...alone,
        ...fitOf(ropes.ropeA, 'ropeA', device),
        ...(ropes.ropeB ? fitOf(ropes.ropeB, 'ropeB', device) : []),
      ];
      // What is rejected already need not be braked.
      const fit = count(alike)[0] > 0 ? alike : [...alike, ...brakingFindings(question, ropes, device)];
      return combine(ropes, device, {
        fit,
        clips: clips.get(device.id)!,
        hitch: wantsHitch(job, device) ? hitch : null,
        rooms: seatKind(device) === 'bight' ? rooms : NO_ROOMS,
      });
    });
    onRow?.(row + 1);
    return combinations;
  });
  // Of equally good ones those whose family is made for the job come before those that also serve it.
  const made = new Set(devices.filter((d) => traitsOf(d.family).made.includes(job)).map((d) => d.id));
  const ranked = [...all].sort(
    (a, b) =>
      compare(a.cost, b.cost) ||
      Number(made.has(b.deviceId)) - Number(made.has(a.deviceId)) ||
      (b.strengthLeftKn ?? -1) - (a.strengthLeftKn ?? -1),
  );
  return {
    combinations: ranked.filter((c) => c.cost[0] === 0 && c.connectorId !== null),
    rejected: ranked.filter((c) => c.cost[0] > 0 || c.connectorId === null),
    pairs: sets.length * devices.length,
  };
}

interface Room {
  readonly findings: readonly Finding[];
  readonly cost: Cost;
}
const NO_ROOMS: ReadonlyMap<string, Room> = new Map();
/** Any device in which the rope's bight is the seat: room on the connector is the same for all of them. */
const BIGHT_OF = (devices: readonly Device[]): Device => devices.find((d) => seatKind(d) === 'bight') ?? devices[0]!;

interface Hitched extends HitchChoice {
  readonly findings: readonly Finding[];
  readonly cost: Cost;
}

function bestHitch(question: Question, ropes: RopeSet, cords: readonly Cord[]): Hitched | null {
  let best: Hitched | null = null;
  for (const cord of cords) {
    for (const wraps of WRAPS) {
      const choice: HitchChoice = { cord, kind: HITCH_KIND, wraps };
      const findings = hitchChoiceFindings(question, ropes, choice);
      const cost = count(findings);
      if (best === null || compare(cost, best.cost) < 0) best = { ...choice, findings, cost };
    }
  }
  return best;
}

interface Parts {
  readonly fit: readonly Finding[];
  readonly clips: readonly Clipped[];
  readonly hitch: Hitched | null;
  readonly rooms: ReadonlyMap<string, Room>;
}

function combine(ropes: RopeSet, device: Device, { fit, clips, hitch, rooms }: Parts): Combination {
  let clip: Clipped | null = null;
  let clipCost: Cost = NOTHING;
  for (const candidate of clips) {
    const room = rooms.get(candidate.connector.id);
    const cost = room && room.findings.length > 0 ? add(candidate.cost, room.cost) : candidate.cost;
    if (clip === null || betterClip(candidate, cost, clip, clipCost)) [clip, clipCost] = [candidate, cost];
  }
  let worst: Finding | null = null;
  const room = clip ? rooms.get(clip.connector.id)?.findings : undefined;
  for (const findings of [fit, clip?.report.findings, room, hitch?.findings])
    for (const f of findings ?? []) if (worst === null || RANK[f.severity] < RANK[worst.severity]) worst = f;
  return {
    ropeAId: ropes.ropeA.id,
    ropeBId: ropes.ropeB?.id ?? null,
    deviceId: device.id,
    connectorId: clip?.connector.id ?? null,
    way: clip?.report.way ?? null,
    hitch: hitch ? { cordId: hitch.cord.id, kind: hitch.kind, wraps: hitch.wraps } : null,
    cost: add(add(count(fit), clipCost), hitch?.cost ?? NOTHING),
    worst,
    strengthLeftKn: clip?.report.strengthLeftKn?.low ?? null,
  };
}
