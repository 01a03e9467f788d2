import { finding, type Finding } from '../finding/index.ts';
import type { Setup } from '../rig/index.ts';
import { singlePoints } from './cut-sets.ts';
import type { HoldModel } from './model.ts';
import { FAULTS, INSPECT, type FaultId } from './parts.ts';
import { rappelHolds } from './rappel.ts';

/** One thing after which nothing holds, and whether practice accepts that it is alone. */
export interface SinglePoint {
  readonly fault: FaultId;
  readonly accepted: boolean;
  /** What to look at; '' where it is not accepted. */
  readonly inspect: string;
}

/** What puts a part in doubt: findings of these codes at that part. */
const DOUBTS: Readonly<Partial<Record<FaultId, string>>> = {
  anchor: 'rig.anchor-',
  rope: 'rig.edge-',
  joiningKnot: 'rig.joining-knot-',
  device: 'fit.',
  deviceConnector: 'connector.',
  extension: 'rig.extension-',
  pastEnd: 'geometry.ends-',
};

const doubtsAbout = (fault: FaultId, findings: readonly Finding[]): Finding[] => {
  const prefix = DOUBTS[fault];
  return prefix === undefined
    ? []
    : findings.filter(
        (f) =>
          f.severity !== 'clear' &&
          f.code.startsWith(prefix) &&
          (fault !== 'deviceConnector' || f.subject.includes('deviceConnector')),
      );
};

/**
 * Single points of a set-up. Practice accepts that a person hangs on one belay loop, one rope, one locked connector and the like, as long as
 * nothing was found against the part itself (`practice-single-points`); the brake hand alone is never accepted.
 */
export function singlePointsOf(model: HoldModel, findings: readonly Finding[]): SinglePoint[] {
  return (singlePoints(model) as FaultId[]).map((fault) => {
    const inspect = INSPECT[fault];
    const accepted = inspect !== undefined && doubtsAbout(fault, findings).length === 0;
    return { fault, accepted, inspect: accepted ? inspect : '' };
  });
}

/** What the assessment says about what still holds; nothing while a part is not chosen. */
export function holdFindings(setup: Setup, findings: readonly Finding[]): Finding[] {
  if (findings.some((f) => f.code === 'rig.part-missing')) return [];
  const model = rappelHolds(setup, findings);
  if (model.stops.length === 0) return [nothing(model)];
  const singles = singlePointsOf(model, findings);
  return [...handAlone(model, singles, findings), ...inDoubt(singles, findings), ...acceptable(singles)];
}

const nothing = (model: HoldModel): Finding =>
  finding({
    code: 'hold.nothing',
    severity: model.noStops.some((s) => s.severity === 'stop') ? 'stop' : 'untested',
    subject: ['climber'],
    says: 'Nothing that is rigged is known to hold you.',
    because: model.noStops.map(({ label, because }) => `${label}: ${because}`).join(' '),
    remedy: 'Put right what is named here first.',
  });

function handAlone(model: HoldModel, singles: readonly SinglePoint[], findings: readonly Finding[]): Finding[] {
  if (!singles.some((s) => s.fault === 'hand')) return [];
  // Where a Stop at the hitch is the reason it is said there, with what to do.
  const hitch = model.noStops.find((s) => s.id === 'hitch');
  if (hitch?.severity === 'stop' || findings.some((f) => f.code === 'geometry.hitch-reaches-device')) return [];
  return [
    finding({
      code: 'hold.hand-alone',
      severity: hitch?.severity === 'untested' ? 'untested' : 'mind',
      subject: ['brakeHand'],
      says: 'Only the brake hand is known to hold you.',
      because: hitch ? `${hitch.label} does not count: ${hitch.because}` : 'Nothing catches when it lets go.',
      remedy: 'Rig a backup that holds without a hand, or be belayed.',
    }),
  ];
}

/** Single points about which something is open; what is a Stop already is said there. */
function inDoubt(singles: readonly SinglePoint[], findings: readonly Finding[]): Finding[] {
  const open = singles
    .filter(({ fault, accepted }) => !accepted && fault !== 'hand')
    .map(({ fault }) => ({ fault, doubts: doubtsAbout(fault, findings) }))
    .filter(({ doubts }) => doubts.every((f) => f.severity !== 'stop'));
  if (open.length === 0) return [];
  const mind = open.some(({ doubts }) => doubts.length === 0 || doubts.some((f) => f.severity === 'mind'));
  return [
    finding({
      code: 'hold.single-point',
      severity: mind ? 'mind' : 'untested',
      subject: open.map(({ fault }) => FAULTS[fault].part),
      says: `Nothing holds when ${open.map(({ fault }) => FAULTS[fault].says).join(', or when ')}.`,
      because: 'Each is the only one of its kind, and something is open about it.',
      remedy: 'Settle what is found about it, or back it up.',
    }),
  ];
}

function acceptable(singles: readonly SinglePoint[]): Finding[] {
  const accepted = singles.filter((s) => s.accepted);
  if (accepted.length === 0) return [];
  return [
    finding({
      code: 'hold.single-accepted',
      severity: 'clear',
      subject: accepted.map(({ fault }) => FAULTS[fault].part),
      says: 'What hangs on one thing alone is what practice accepts.',
      because: `${accepted.map(({ fault, inspect }) => `${PLAIN[fault] ?? fault}: ${inspect}`).join('. ')}.`,
      remedy: 'Look at each before you trust it.',
    }),
  ];
}

const PLAIN: Readonly<Partial<Record<FaultId, string>>> = {
  harness: 'Harness',
  rope: 'Rope',
  anchor: 'Anchor',
  device: 'Device',
  deviceConnector: 'Device connector',
  extension: 'Extension',
  joiningKnot: 'Joining knot',
};
