import { finding, type Finding, type FindingNumber } from '../finding/index.ts';
import { diameterOf, linearDensityKgPerM, traitsOf, type Device, type Person, type Rope } from '../gear/index.ts';
import { threshold } from '../sources/index.ts';
import { plus, ratioIndependent, type Interval } from '../units/index.ts';
import { brakeForceN, handForceN } from './brake-force.ts';
import { frictionShifts, sheathOfBoth, type Weather } from './conditions.ts';
import { deviceExponent } from './device-exponent.ts';

export interface BrakeHandInput {
  readonly climber: Person;
  readonly device: Device;
  readonly extraConnector: boolean;
  readonly ropeA: Rope;
  /** The second rope, or null when one rope is folded or there is one strand only. */
  readonly ropeB: Rope | null;
  /** Strands in the device; two when left out. */
  readonly strands?: 'one' | 'two';
  readonly weather: Weather;
  /** Length of the descent along the rope, m, > 0. */
  readonly descentM: number;
  /** True when the hitch was judged and nothing was found against it. */
  readonly backupStands: boolean;
}

/** Force that the hand must hold at one depth. */
export interface BrakePoint {
  /** Below the anchor, m. */
  readonly depthM: number;
  readonly forceN: Interval;
}

export interface BrakeFigures {
  /** From the anchor down; the last point is the bottom, where the hand works hardest. */
  readonly profile: readonly BrakePoint[];
  readonly bottomN: Interval;
  readonly topN: Interval;
  /** At the bottom, with the hand above the device. */
  readonly handAboveN: Interval;
  /** At the bottom, with a second connector; null when there is one already. */
  readonly withExtraN: Interval | null;
  readonly handN: Interval;
  readonly handMeasured: boolean;
}

const PROFILE_STEPS = 24;
const HAND_BELOW_RAD = Math.PI;
const HAND_ABOVE_RAD = 0;

/** All forces of the brake hand along the descent; null for a family whose braking is not computed. */
export function brakeFigures(input: BrakeHandInput): BrakeFigures | null {
  const { climber, device, ropeA, ropeB, weather, descentM, extraConnector } = input;
  const { brake } = traitsOf(device.family);
  if (brake === null) return null;
  const strandB = ropeB ?? ropeA;
  const single = linearDensityKgPerM(ropeA);
  const ropeKgPerM = input.strands === 'one' ? single : plus(single, linearDensityKgPerM(strandB));
  const diameterMm = Math.min(diameterOf(ropeA).diameterMm.best, diameterOf(strandB).diameterMm.best);
  const conditions = { weather, sheath: sheathOfBoth(input.ropeA, input.ropeB), wear: device.wear };
  const exponent = (lipRad: number, extra: boolean) =>
    deviceExponent({ brake, conditions, diameterMm, extraConnector: extra, lipRad });
  const forceAt = (depthM: number, ofDevice: Interval) =>
    brakeForceN({
      massKg: climber.massKg,
      exponent: ofDevice,
      ropeKgPerM,
      hangingM: Math.max(0, descentM - depthM),
    });
  const below = exponent(HAND_BELOW_RAD, extraConnector);
  const profile = Array.from({ length: PROFILE_STEPS + 1 }, (_, i) => {
    const depthM = (descentM * i) / PROFILE_STEPS;
    return { depthM, forceN: forceAt(depthM, below) };
  });
  const hand = handForceN(climber);
  return {
    profile,
    topN: profile[0]!.forceN,
    bottomN: profile[PROFILE_STEPS]!.forceN,
    handAboveN: forceAt(descentM, exponent(HAND_ABOVE_RAD, extraConnector)),
    withExtraN: extraConnector ? null : forceAt(descentM, exponent(HAND_BELOW_RAD, true)),
    handN: hand.forceN,
    handMeasured: hand.measured,
  };
}

/** Findings about the brake hand: enough along the descent, above the device, held back by the rope, and what shifts friction. */
export function brakeHand(input: BrakeHandInput): Finding[] {
  const figures = brakeFigures(input);
  if (figures === null) {
    return [
      finding({
        code: 'friction.not-modelled',
        severity: 'untested',
        subject: ['device', 'brakeHand'],
        says: `How hard ${input.device.name} must be braked is not computed.`,
        because: `Zevrin computes devices that a hand brakes, not this family (${traitsOf(input.device.family).label.toLowerCase()}).`,
        remedy: 'Try it low above the ground with a backup in place, or take a device that a hand brakes.',
      }),
    ];
  }
  return [
    alongTheDescent(input, figures),
    ...aboveTheDevice(input, figures),
    ...heldBack(input, figures),
    ...conditions(input),
  ];
}

const force = (key: string, label: string, value: Interval): FindingNumber => ({
  key,
  label,
  quantity: 'forceN',
  value,
});

function alongTheDescent({ climber, extraConnector }: BrakeHandInput, figures: BrakeFigures): Finding {
  const margin = ratioIndependent(figures.handN, figures.bottomN);
  const numbers: FindingNumber[] = [
    force('need', 'Needed at the bottom', figures.bottomN),
    force('top', 'Needed at the top', figures.topN),
    force('above', 'Needed at the bottom, hand above the device', figures.handAboveN),
    force('hand', figures.handMeasured ? 'Hand force, measured' : 'Hand force, estimated', figures.handN),
    { key: 'margin', label: 'Hand over need', quantity: 'ratio', value: margin },
    {
      key: 'mass',
      label: 'Mass with gear',
      quantity: 'massKg',
      value: { low: climber.massKg, best: climber.massKg, high: climber.massKg },
    },
    ...(figures.withExtraN ? [force('extra', 'Needed with a second connector', figures.withExtraN)] : []),
  ];
  const subject = ['brakeHand', 'device'] as const;
  const because = `At the bottom no rope hangs below to help: {need~} is needed, the hand holds {hand~}${figures.handMeasured ? '' : ', estimated'}.`;
  const more = extraConnector
    ? 'Take a device with more friction or a thicker rope.'
    : 'Clip a second connector beside the first: the need falls to about {extra}.';
  const measure = figures.handMeasured ? '' : ' Measure the hand force: it may settle this.';
  if (margin.best <= 1) {
    return finding({
      code: 'friction.hand-too-weak',
      severity: 'stop',
      subject,
      because,
      numbers,
      says: `The brake hand of ${climber.name} is not enough.`,
      remedy: `${more}${measure}`,
    });
  }
  if (margin.low < 1) {
    return finding({
      code: 'friction.hand-close',
      severity: 'mind',
      subject,
      because,
      numbers,
      says: `The brake hand of ${climber.name} may not be enough.`,
      remedy: `${more}${measure}`,
    });
  }
  return finding({
    code: 'friction.hand-holds',
    severity: 'clear',
    subject,
    because,
    numbers,
    says: 'By the estimate the brake hand holds along the whole descent.',
    remedy: 'Hand below the device all the way. Go slowly: speed heats the device.',
    sources: ['practice-slow'],
  });
}

/** Said only while the hitch stands: without it the finding about the hitch is the one to act on, and the force stands above. */
function aboveTheDevice({ backupStands }: BrakeHandInput, figures: BrakeFigures): Finding[] {
  if (!backupStands || ratioIndependent(figures.handN, figures.handAboveN).low >= 1) return [];
  return [
    finding({
      code: 'friction.hand-above-device',
      severity: 'clear',
      subject: ['brakeHand', 'device'],
      says: 'With the hand above the device only the hitch would hold.',
      because: 'Turn of rope is then lost: {above~} would be needed, the hand holds {hand~}.',
      remedy: 'Keep the brake hand below the device.',
      numbers: [force('above', 'Needed, hand above', figures.handAboveN), force('hand', 'Hand force', figures.handN)],
    }),
  ];
}

function heldBack({ extraConnector }: BrakeHandInput, figures: BrakeFigures): Finding[] {
  if (figures.topN.best >= threshold('ropeHoldsBackN')) return [];
  return [
    finding({
      code: 'friction.rope-holds-back',
      severity: 'mind',
      subject: ['brakeHand', 'device'],
      says: 'At the top the rope brakes by itself: it has to be fed.',
      because:
        'The rope below weighs so much that the hand needs only {top~} there. A light person gets stuck and is tempted to open the hitch.',
      remedy: `Feed rope up through the device with the hitch in hand${extraConnector ? ', or leave out the second connector' : ''}; do not take the hitch off to get going.`,
      numbers: [force('top', 'Needed at the top', figures.topN)],
    }),
  ];
}

function conditions(input: BrakeHandInput): Finding[] {
  const shifts = frictionShifts({
    weather: input.weather,
    sheath: sheathOfBoth(input.ropeA, input.ropeB),
    wear: input.device.wear,
  });
  if (shifts.length === 0) return [];
  const percent = shifts.map(({ factor }, i) => ({
    key: `shift${i}`,
    label: `Friction because ${shifts[i]!.says}`,
    quantity: 'percent' as const,
    value: { low: factor.low * 100, best: factor.best * 100, high: factor.high * 100 },
  }));
  const icy = input.weather === 'icy';
  return [
    finding({
      code: 'friction.conditions',
      severity: icy ? 'mind' : 'clear',
      subject: ['ropeA', 'device'],
      says: icy ? 'Ice takes braking away.' : 'Conditions shift the friction; the forces include it.',
      because: `Compared with a dry, used rope: ${shifts.map((s, i) => `${s.says} ({shift${i}~})`).join(', ')}.`,
      remedy: icy ? 'Add friction, knock the ice off, and test the hitch on this rope before trusting it.' : '',
      numbers: percent,
    }),
  ];
}
