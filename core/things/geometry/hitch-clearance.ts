import { finding, tooLittle, type Finding, type FindingNumber } from '../../foundations/finding/index.ts';
import type { Person } from '../gear/index.ts';
import { constant, threshold } from '../../foundations/sources/index.ts';
import { exactly, interval, minus, type Interval } from '../../foundations/units/index.ts';
import type { HitchReach } from './hitch-reach.ts';

export interface ClearanceInput {
  readonly climber: Pick<Person, 'legLoopDropMm' | 'legLoopSideMm' | 'kneeRaiseMm'>;
  readonly attachedTo: 'leg-loop' | 'belay-loop';
  /** Harness to the bar of the device, mm. */
  readonly extensionMm: Interval;
  /** null when the cord loop is not known. */
  readonly reach: HitchReach | null;
}

export interface Clearance {
  /** Free rope between the loaded hitch and the lip of the device, mm. Negative: the hitch is inside the device. */
  readonly hangingMm: Interval;
  readonly kneeRaisedMm: Interval;
}

/** Distance from where the hitch is attached to the lip of the device, along the line of pull, mm. */
export function attachmentToDeviceMm(input: Omit<ClearanceInput, 'reach'>, kneeRaised: boolean): Interval {
  const { climber, attachedTo, extensionMm } = input;
  const lip = constant('deviceLipBelowBarMm');
  const lipMm = interval(extensionMm.low - lip.high, extensionMm.best - lip.best, extensionMm.high - lip.low);
  if (attachedTo === 'belay-loop') return lipMm;
  const dropMm = climber.legLoopDropMm - (kneeRaised ? climber.kneeRaiseMm : 0);
  // Rope runs straight from the lip to the leg loop, which sits to the side. A leg loop above the lip leaves no room at
  // all.
  const along = (upMm: number) =>
    upMm + dropMm <= 0 ? upMm + dropMm : Math.hypot(upMm + dropMm, climber.legLoopSideMm);
  return interval(along(lipMm.low), along(lipMm.best), along(lipMm.high));
}

/** Clearance in both poses, or null when the reach is not known. */
export function hitchClearance(input: ClearanceInput): Clearance | null {
  if (input.reach === null) return null;
  const { reachMm } = input.reach;
  return {
    hangingMm: minus(attachmentToDeviceMm(input, false), reachMm),
    kneeRaisedMm: minus(attachmentToDeviceMm(input, true), reachMm),
  };
}

/** What is left of the loop below the wraps has to take a connector. */
function legFinding({ legMm, loopMm, perWrapMm }: HitchReach): Finding[] {
  const [stopMm, mindMm] = [threshold('hitchLegStopMm'), threshold('hitchLegMindMm')];
  if (legMm.low >= mindMm) return [];
  const stop = legMm.low < stopMm;
  return [
    finding(
      {
        code: 'geometry.cord-too-short',
        subject: ['hitch'],
        because: 'The loop is {loop~} long and each wrap takes {wrap}: {leg~} is left to clip, {asked} is asked for.',
        remedy: 'Use a longer cord, or fewer wraps where the grip allows. Measure the loop to narrow the estimate.',
        numbers: [
          { key: 'leg', label: 'Loop left to clip', quantity: 'lengthMm', value: legMm },
          { key: 'loop', label: 'Loop pulled flat', quantity: 'lengthMm', value: loopMm },
          { key: 'wrap', label: 'Cord per wrap', quantity: 'lengthMm', value: exactly(perWrapMm) },
          { key: 'asked', label: 'Asked for', quantity: 'lengthMm', value: exactly(stop ? stopMm : mindMm) },
        ],
      },
      stop
        ? { severity: 'stop', says: 'The cord is too short for these wraps.' }
        : { severity: 'mind', says: 'Little of the loop is left to clip.' },
    ),
  ];
}

/** The hitch must not be able to touch the device, hanging and with the knee raised. */
export function hitchClearanceFindings(input: ClearanceInput): Finding[] {
  const { reach } = input;
  const clearance = hitchClearance(input);
  const subject = ['hitch', 'device'] as const;
  if (reach === null || clearance === null) {
    return [
      finding({
        code: 'geometry.hitch-unknown',
        severity: 'untested',
        subject,
        says: 'It cannot be computed whether the hitch can touch the device.',
        because: 'Neither the cut length nor the length of the loop is entered.',
        remedy: 'Pull the cord loop flat, measure it end to end and enter it in the locker.',
      }),
    ];
  }
  if (reach.legMm.best <= 0) return legFinding(reach);
  const leg = legFinding(reach);
  const kneeCounts = input.attachedTo === 'leg-loop' && clearance.kneeRaisedMm.best <= clearance.hangingMm.best;
  const handsWidthMm = threshold('hitchClearanceMarginMm');
  const kneeMm = threshold('hitchClearanceKneeMm');
  // Hanging, a hand must pass between them; with the knee raised they must only not touch. The pose with less to spare
  // is told.
  const tellKnee = kneeCounts && clearance.kneeRaisedMm.low - kneeMm <= clearance.hangingMm.low - handsWidthMm;
  const [worst, marginMm] =
    tellKnee || (kneeCounts && clearance.kneeRaisedMm.high <= 0)
      ? [clearance.kneeRaisedMm, kneeMm]
      : [clearance.hangingMm, handsWidthMm];
  const pose = worst === clearance.kneeRaisedMm ? 'with the knee raised' : 'hanging';
  const numbers: FindingNumber[] = [
    { key: 'worst', label: `Clearance, ${pose}`, quantity: 'lengthMm', value: worst },
    ...(worst === clearance.kneeRaisedMm
      ? [{ key: 'hanging', label: 'Clearance, hanging', quantity: 'lengthMm', value: clearance.hangingMm } as const]
      : []),
    { key: 'reach', label: 'Reach of the loaded hitch', quantity: 'lengthMm', value: reach.reachMm },
    { key: 'extension', label: 'Extension', quantity: 'lengthMm', value: input.extensionMm },
    { key: 'margin', label: 'Clearance asked for', quantity: 'lengthMm', value: exactly(marginMm) },
  ];
  const because = `Loaded, the hitch reaches {reach~} above the belay loop; ${pose} it is {worst~} from the device.`;
  const remedy =
    'Shorten the cord or add a wrap, lengthen the extension, or clip the hitch lower. Measure the loop and the extension to narrow the estimate.';
  const severity = tooLittle(worst, { stop: 0, mind: marginMm });
  if (severity === 'stop') {
    return [
      ...leg,
      finding({
        code: 'geometry.hitch-reaches-device',
        severity: 'stop',
        subject,
        because,
        remedy,
        numbers,
        says:
          kneeCounts && clearance.hangingMm.high > 0
            ? 'With the knee raised the hitch reaches the device.'
            : 'The hitch reaches the device.',
        sources: ['practice-extension'],
      }),
    ];
  }
  if (severity === 'untested' || (severity === 'mind' && worst.best <= 0)) {
    return [
      ...leg,
      finding({
        code: 'geometry.hitch-may-reach',
        severity,
        subject,
        because,
        remedy: severity === 'untested' ? `Hang in it low and look, with the knee raised as well. ${remedy}` : remedy,
        numbers,
        says: `The hitch may reach the device ${pose}.`,
      }),
    ];
  }
  if (severity === 'mind') {
    return [
      ...leg,
      finding({
        code: 'geometry.hitch-near-device',
        severity: 'mind',
        subject,
        because,
        remedy,
        numbers,
        says: `The hitch comes close to the device ${pose}.`,
      }),
    ];
  }
  return [
    ...leg,
    finding({
      code: 'geometry.hitch-clear',
      severity: 'clear',
      subject,
      because,
      numbers,
      says: 'The hitch stays clear of the device, hanging and with the knee raised.',
    }),
  ];
}
