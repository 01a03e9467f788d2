import {
  judgeTestedWays,
  roomFindings,
  seatKind,
  wayKey,
  type Way,
  type WayReport,
  type WayTest,
} from './connector/index.ts';
import { finding, overall, worstFirst, type Finding, type Ref, type Severity } from './finding/index.ts';
import { fitCell, handOffIn, inGuideMode, ropeInDevice, strandsAlike } from './fit/index.ts';
import {
  brakeFigures,
  brakeHand,
  hitchOnRope,
  type BrakeFigures,
  type BrakeHandInput,
  type HitchKind,
} from './friction/index.ts';
import {
  diameterOf,
  JOB_FACTS,
  traitsOf,
  usualLoad,
  usualUse,
  type Connector,
  type Cord,
  type Device,
  type Job,
  type Rope,
} from './gear/index.ts';
import { ropeBudgetFindings, ropeLengthFinding } from './geometry/index.ts';
import type { Choice, Question } from './rig/index.ts';
import type { Interval } from './units/index.ts';

/** One rope, or two side by side; a folded rope is one rope. */
export interface RopeSet {
  readonly ropeA: Rope;
  readonly ropeB: Rope | null;
}

/** What is not judged for a job, in words; said beside every verdict, so that "no fault found" is not taken for more. */
export function notAssessed(job: Job): string[] {
  const facts = JOB_FACTS[job];
  return [
    'the anchor, the harness and how everything is rigged',
    ...(facts.fall ? ['how hard a fall is and what the person may hit'] : []),
    ...(facts.backup ? ['whether the hitch keeps clear of the device'] : []),
    ...(!facts.tended ? ['lengths of tether and foot loop, and a second attachment'] : []),
    ...(facts.persons === 'two' ? ['how both persons are attached'] : []),
  ];
}

/** Person whose hand brakes, carrying the load of everybody on the rope. */
function braking({ climber, belayer, job }: Question) {
  if (!climber) return null;
  const massKg = climber.massKg * (JOB_FACTS[job].persons === 'two' ? 2 : 1);
  return { ...(belayer ?? climber), massKg };
}

function brakeInput(question: Question, { ropeA, ropeB }: RopeSet, device: Device): BrakeHandInput | null {
  const climber = braking(question);
  const facts = JOB_FACTS[question.job];
  // The catch of a leader's fall is another matter than the force to hold a hanging person.
  if (!climber || traitsOf(device.family).brake === null || inGuideMode(device, question.job) || facts.fall)
    return null;
  return {
    climber,
    device,
    extraConnector: false,
    ropeA,
    ropeB,
    strands: facts.strands,
    weather: question.weather,
    // Where no free rope hangs below the device nothing helps the hand.
    descentM: facts.ropeBelow ? question.heightM : 1e-6,
    backupStands: false,
  };
}

/** One rope in the device. */
export const fitFindings = ({ job }: Question, rope: Rope, part: Ref, device: Device): Finding[] =>
  ropeInDevice({ load: usualUse(job), rope, part, device });

/** What follows from the ropes alone: long enough, and alike where two lie side by side. */
export function ropeSetFindings({ job, heightM }: Question, { ropeA, ropeB }: RopeSet): Finding[] {
  const length =
    job === 'rappel-double'
      ? ropeBudgetFindings({
          ropeA,
          ropeB,
          middleMissM: ropeA.middle === 'marked' || ropeA.middle === 'bicolour' ? 0.2 : 0.5,
          ends: 'both-knotted',
          descentM: heightM,
          endsAt: 'ground',
        })
      : [ropeA, ...(ropeB ? [ropeB] : [])].map((rope) =>
          ropeLengthFinding({ rope, heightM, perHeight: JOB_FACTS[job].ropePerHeight }),
        );
  return [...length, ...(ropeB ? strandsAlike(ropeA, ropeB) : [])];
}

/** The brake hand, where a hand brakes. */
export function brakingFindings(question: Question, ropes: RopeSet, device: Device): Finding[] {
  const brake = brakeInput(question, ropes, device);
  return brake ? brakeHand(brake) : [];
}

/** All ways for this pair, own tests included, best first; none without a person, whose mass decides. */
export const waysFor = (
  { job, climber }: Question,
  device: Device,
  connector: Connector,
  tests: readonly WayTest[],
): WayReport[] => (climber ? judgeTestedWays({ load: usualLoad(job, climber.massKg), connector, device }, tests) : []);

/** Room of two strands on the connector, where they lie on it side by side. */
export function strandRoomFindings(
  job: Job,
  { ropeA, ropeB }: RopeSet,
  device: Device,
  connector: Connector,
): Finding[] {
  if (seatKind(device) !== 'bight' || JOB_FACTS[job].strands === 'one') return [];
  const a = diameterOf(ropeA).diameterMm.best;
  return roomFindings(connector, 'deviceConnector', [a, ropeB ? diameterOf(ropeB).diameterMm.best : a]);
}

/** A hitch belongs behind a device that lets the rope run when the hand lets go. */
export const wantsHitch = (job: Job, device: Device): boolean =>
  JOB_FACTS[job].backup && handOffIn(device, job) === 'runs';

export interface HitchChoice {
  readonly cord: Cord;
  readonly kind: HitchKind;
  readonly wraps: number;
}

export function hitchChoiceFindings(
  question: Question,
  { ropeA, ropeB }: RopeSet,
  { cord, kind, wraps }: HitchChoice,
): Finding[] {
  const { climber, weather } = question;
  return climber ? hitchOnRope({ cord, ropeA, ropeB, climber, weather, kind, wraps }) : [];
}

const missing = (part: Ref, label: string): Finding =>
  finding({
    code: 'rig.part-missing',
    severity: 'untested',
    subject: [part],
    says: `Not chosen: ${label}.`,
    because: 'What depends on it could not be judged.',
    remedy: 'Choose it, or put it into the locker first.',
  });

export interface ChoiceFigures {
  readonly brake: BrakeFigures | null;
  /** From the diameter to the nearer declared limit, mm; the smaller of two ropes. */
  readonly rangeMarginMm: number | null;
  readonly playMm: number | null;
  readonly strengthLeftKn: Interval | null;
  readonly loadKn: Interval | null;
}

export interface ChoiceAssessment {
  readonly verdict: Severity;
  /** Worst first. */
  readonly findings: readonly Finding[];
  readonly figures: ChoiceFigures;
  readonly notAssessed: readonly string[];
}

/** Judges a combination for its job: fit, length, brake hand, the way it is clipped, and the hitch where one belongs. */
export function assessChoice(choice: Omit<Choice, 'findings'>): ChoiceAssessment {
  const { question, gear, way, hitchKind, hitchWraps, tests } = choice;
  const { ropeA, ropeB, device, connector, hitchCord } = gear;
  const { job } = question;
  const findings: Finding[] = [];
  if (!question.climber) findings.push(missing('climber', 'person on the rope'));
  if (!ropeA) findings.push(missing('ropeA', 'rope'));
  if (!device) findings.push(missing('device', 'device'));
  if (!connector || !way) findings.push(missing('deviceConnector', 'device connector and how it is clipped'));
  const ropes = ropeA ? { ropeA, ropeB } : null;
  if (ropes) findings.push(...ropeSetFindings(question, ropes));
  if (ropes && device) {
    findings.push(...fitFindings(question, ropes.ropeA, 'ropeA', device));
    if (ropeB) findings.push(...fitFindings(question, ropeB, 'ropeB', device));
    findings.push(...brakingFindings(question, ropes, device));
  }
  const report = device && connector && way ? wayReport(question, device, connector, way, tests) : undefined;
  if (report) findings.push(...report.findings);
  if (ropes && device && connector) findings.push(...strandRoomFindings(job, ropes, device, connector));
  if (device && wantsHitch(job, device)) {
    if (!hitchCord) findings.push(missing('hitch', 'cord of the hitch'));
    else if (ropes)
      findings.push(...hitchChoiceFindings(question, ropes, { cord: hitchCord, kind: hitchKind, wraps: hitchWraps }));
  }
  const brake = ropes && device ? brakeInput(question, ropes, device) : null;
  const margins =
    ropes && device
      ? [ropes.ropeA, ...(ropeB ? [ropeB] : [])].map((rope) => fitCell(job, rope, device).marginMm)
      : [null];
  return {
    verdict: overall(findings),
    findings: worstFirst(findings),
    figures: {
      brake: brake ? brakeFigures(brake) : null,
      rangeMarginMm: margins.includes(null) ? null : Math.min(...(margins as number[])),
      playMm: report?.playMm ?? null,
      strengthLeftKn: report?.strengthLeftKn ?? null,
      loadKn: report?.loadKn ?? null,
    },
    notAssessed: notAssessed(job),
  };
}

const wayReport = (question: Question, device: Device, connector: Connector, way: Way, tests: readonly WayTest[]) =>
  waysFor(question, device, connector, tests).find((report) => wayKey(report.way) === wayKey(way));
