import { gateFindings, seatFindings, strengthFinding } from './connector/index.ts';
import { overall, worstFirst, type Finding, type Severity } from './finding/index.ts';
import { ropeInDevice, strandsAlike } from './fit/index.ts';
import { brakeFigures, brakeHand, hitchFindings, type BrakeFigures } from './friction/index.ts';
import { diameterOf, usualUse } from './gear/index.ts';
import {
  armReach,
  extensionMm,
  hitchClearance,
  hitchClearanceFindings,
  hitchReach,
  ropeBudget,
  ropeBudgetFindings,
  type Clearance,
  type HitchReach,
  type RopeBudget,
} from './geometry/index.ts';
import { holdFindings } from './hold/index.ts';
import { descentM, extensionStrength, rigFindings, type Setup } from './rig/index.ts';
import type { Interval } from './units/index.ts';

/** What the drawing dimensions: every number that the findings were made from. null where a part is not chosen. */
export interface Figures {
  readonly descentM: number;
  readonly extensionMm: Interval | null;
  readonly reach: HitchReach | null;
  readonly clearance: Clearance | null;
  readonly budget: RopeBudget | null;
  readonly brake: BrakeFigures | null;
}

export interface Assessment {
  readonly verdict: Severity;
  /** Worst first. */
  readonly findings: readonly Finding[];
  readonly figures: Figures;
}

/** One call: a set-up in, every judgement out. Pure; the same set-up always gives the same answer. */
export function assess(setup: Setup): Assessment {
  const { gear, rig, people, situation } = setup;
  const { ropeA, device, deviceConnector, extraConnector, extension, hitchCord, hitchConnector, harness } = gear;
  const ropeB = rig.ropeUse === 'joined' ? gear.ropeB : null;
  // Two ropes planned and one chosen: nothing that depends on both strands is judged.
  const ropes = ropeA && (rig.ropeUse === 'folded' || ropeB) ? { ropeA, ropeB } : null;
  const { climber } = people;
  const descent = descentM(situation);
  const findings: Finding[] = [...rigFindings(setup)];

  if (device && ropeA) {
    findings.push(...ropeInDevice({ load: usualUse(setup.job), rope: ropeA, part: 'ropeA', device }));
    if (ropeB) {
      findings.push(...ropeInDevice({ load: usualUse(setup.job), rope: ropeB, part: 'ropeB', device }));
      findings.push(...strandsAlike(ropeA, ropeB));
    }
  }

  const backup: Finding[] = [];
  if (ropes && hitchCord && climber && harness) {
    backup.push(
      ...hitchFindings({
        cord: hitchCord,
        ...ropes,
        climber,
        harness,
        weather: situation.weather,
        kind: rig.hitchKind,
        wraps: rig.hitchWraps,
        strands: rig.hitchStrands,
        eyes: rig.hitchEyes,
        attachedTo: rig.hitchAt,
      }),
    );
  }
  const extensionLength =
    extension && deviceConnector
      ? extensionMm({
          sling: extension,
          connector: deviceConnector,
          method: rig.extensionMethod,
          knots: rig.extensionKnots,
          measuredMm: rig.extensionMeasuredMm,
        })
      : null;
  const reach =
    ropes && hitchCord && hitchConnector
      ? hitchReach({
          cord: hitchCord,
          ...ropes,
          kind: rig.hitchKind,
          wraps: rig.hitchWraps,
          connectorInsideLengthMm: hitchConnector.insideLengthMm,
        })
      : null;
  const clearanceInput =
    extensionLength && climber && ropes && hitchCord && hitchConnector
      ? { climber, attachedTo: rig.hitchAt, extensionMm: extensionLength, reach }
      : null;
  if (clearanceInput) backup.push(...hitchClearanceFindings(clearanceInput));
  if (hitchConnector) {
    backup.push(
      ...gateFindings({
        connector: hitchConnector,
        part: 'hitchConnector',
        gate: rig.hitchGate,
        facing: rig.hitchGateFaces,
        carries: false,
      }),
    );
    if (climber) backup.push(strengthFinding(hitchConnector, 'hitchConnector', climber.massKg));
  }
  findings.push(...backup);

  const brakeInput =
    climber && device && ropes && descent > 0
      ? {
          climber,
          device,
          extraConnector: extraConnector !== null,
          ...ropes,
          weather: situation.weather,
          descentM: descent,
          backupStands: clearanceInput !== null && overall(backup) === 'clear',
        }
      : null;
  if (brakeInput) findings.push(...brakeHand(brakeInput));

  if (climber && extension) findings.push(extensionStrength(extension, rig, climber.massKg));
  if (climber && extensionLength) findings.push(armReach(climber, extensionLength));

  const budgetInput =
    ropes && descent > 0
      ? {
          ...ropes,
          middleMissM: rig.middleMissM,
          ends: rig.ends,
          descentM: descent,
          endsAt: situation.stanceHeightM > 0 ? ('ledge' as const) : ('ground' as const),
        }
      : null;
  if (budgetInput) findings.push(...ropeBudgetFindings(budgetInput));

  if (deviceConnector) {
    findings.push(
      ...gateFindings({
        connector: deviceConnector,
        part: 'deviceConnector',
        gate: rig.deviceGate,
        facing: rig.deviceGateFaces,
        carries: true,
      }),
    );
    if (ropes) {
      const a = diameterOf(ropes.ropeA).diameterMm.best;
      const b = ropes.ropeB ? diameterOf(ropes.ropeB).diameterMm.best : a;
      findings.push(
        ...seatFindings({
          connector: deviceConnector,
          part: 'deviceConnector',
          ropeEnd: rig.ropeOverEnd,
          strandsMm: [a, b],
        }),
      );
    }
    if (climber) findings.push(strengthFinding(deviceConnector, 'deviceConnector', climber.massKg));
  }
  if (extraConnector && climber) findings.push(strengthFinding(extraConnector, 'extraConnector', climber.massKg));

  // Last, since what counts as holding follows from all that was found.
  findings.push(...holdFindings(setup, findings));

  return {
    verdict: overall(findings),
    findings: worstFirst(findings),
    figures: {
      descentM: descent,
      extensionMm: extensionLength,
      reach,
      clearance: clearanceInput ? hitchClearance(clearanceInput) : null,
      budget: budgetInput ? ropeBudget(budgetInput) : null,
      brake: brakeInput ? brakeFigures(brakeInput) : null,
    },
  };
}
