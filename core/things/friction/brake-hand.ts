import { finding, type Finding, type FindingNumber, literal, tooLittle } from '../../foundations/finding/index.ts';
import {
  diameterOf,
  linearDensityKgPerM,
  traitsOf,
  type BrakeKind,
  type Device,
  type Person,
  type Rope,
} from '../gear/index.ts';
import { constant, threshold } from '../../foundations/sources/index.ts';
import { exactly, interval, mapRising, plus, ratioIndependent, type Interval } from '../../foundations/units/index.ts';
import { brakeForceN, handForceN } from './brake-force.ts';
import { frictionShifts, possible, sheathOfBoth, type Conditions, type Weather } from './conditions.ts';
import { deviceExponent } from './device-exponent.ts';

export interface BrakeHandInput {
  readonly climber: Person;
  readonly device: Device;
  readonly extraConnector: boolean;
  /** The brake strand runs through a connector on the harness behind the device; left out: straight to the hand. */
  readonly behindConnector?: boolean;
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
  /** A hitch on the brake strands stands behind the hand; whether it holds is judged apart. Left out: none. */
  readonly backedUp?: boolean;
  /** What hangs on the rope when it is not whoever brakes, kg. */
  readonly massKg?: number;
  /**
   * Angle between brake strand and loaded strand, rad, 0 to pi; pi when left out: the hand straight below, the load
   * above.
   */
  readonly brakeAngleRad?: number;
  /**
   * Where the rope is that helps or loads: `below` the device it helps the hand (the usual); `load`: the rope let out
   * hangs with the person below the device; `none`: it hangs on neither side to speak of.
   */
  readonly rope?: 'below' | 'load' | 'none';
  /** The brake strand runs over the smooth side of a tube that has grooves. */
  readonly smoothSide?: boolean;
  /** Ratio by which the rope over an anchor lightens the load, >= 1; left out: no such anchor. */
  readonly overAnchor?: Interval;
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
  /** At the bottom, with the brake strand led up and over; null where it pulls away from the load already. */
  readonly redirectedN: Interval | null;
  readonly handN: Interval;
  readonly handMeasured: boolean;
}

const PROFILE_STEPS = 24;
const HAND_BELOW_RAD = Math.PI;
const HAND_ABOVE_RAD = 0;

/** All forces of the brake hand along the descent; null for a family whose braking is not computed. */
export function brakeFigures(input: BrakeHandInput, known?: Conditions): BrakeFigures | null {
  const { climber, device, ropeA, ropeB, weather, descentM, extraConnector } = input;
  const brake = brakeOf(device, input.smoothSide ?? false);
  if (brake === null) return null;
  const strandB = ropeB ?? ropeA;
  const single = linearDensityKgPerM(ropeA);
  const ropeKgPerM = input.strands === 'one' ? single : plus(single, linearDensityKgPerM(strandB));
  const diameterMm = Math.min(diameterOf(ropeA).diameterMm.best, diameterOf(strandB).diameterMm.best);
  const conditions = known ?? conditionsOf(input);
  const exponent = (lipRad: number, extra: boolean) =>
    deviceExponent({
      brake,
      conditions,
      diameterMm,
      extraConnector: extra,
      behindConnector: input.behindConnector ?? false,
      lipRad,
    });
  const { rope = 'below', brakeAngleRad = HAND_BELOW_RAD, massKg = climber.massKg } = input;
  const lighter = input.overAnchor ? mapRising(input.overAnchor, Math.log) : null;
  const forceAt = (depthM: number, ofDevice: Interval) =>
    brakeForceN({
      massKg: massKg + (rope === 'load' ? ropeKgPerM.best * depthM : 0),
      exponent: lighter ? plus(ofDevice, lighter) : ofDevice,
      ropeKgPerM,
      hangingM: rope === 'below' ? Math.max(0, descentM - depthM) : 0,
      // Friction falls with pressure, and each strand bends by itself: one strand brakes less than half of two.
      ...(rope === 'below' && input.strands === 'one' ? { oneStrand: constant('oneStrandFactor') } : {}),
    });
  const below = exponent(brakeAngleRad, extraConnector);
  const hand = handForceN(climber, { diameterMm, weather });
  let profile: readonly BrakePoint[] | null = null;
  return {
    // Only the drawing asks for it, and a plan computes thousands of figures.
    get profile() {
      profile ??= Array.from({ length: PROFILE_STEPS + 1 }, (_, i) => {
        const depthM = (descentM * i) / PROFILE_STEPS;
        return { depthM, forceN: forceAt(depthM, below) };
      });
      return profile;
    },
    topN: forceAt(0, below),
    bottomN: forceAt(descentM, below),
    handAboveN: forceAt(descentM, exponent(HAND_ABOVE_RAD, extraConnector)),
    withExtraN: extraConnector || !isTube(brake) ? null : forceAt(descentM, exponent(brakeAngleRad, true)),
    redirectedN: brakeAngleRad < HAND_BELOW_RAD ? forceAt(descentM, exponent(HAND_BELOW_RAD, extraConnector)) : null,
    handN: hand.forceN,
    handMeasured: hand.measured,
  };
}

const conditionsOf = ({ weather, ropeA, ropeB, device }: BrakeHandInput): Conditions => ({
  weather,
  sheath: sheathOfBoth(ropeA, ropeB),
  wear: device.wear,
});

/** Hand over need in every state that is possible: not knowing a state is never better than the worst of them. */
function marginOf(
  input: BrakeHandInput,
  { handN, bottomN }: BrakeFigures,
): { readonly margin: Interval; readonly mayFail: boolean } {
  const all = possible(conditionsOf(input)).map((known) =>
    ratioIndependent(handN, brakeFigures(input, known)!.bottomN),
  );
  const { best } = ratioIndependent(handN, bottomN);
  return {
    margin: interval(Math.min(best, ...all.map((m) => m.low)), best, Math.max(best, ...all.map((m) => m.high))),
    // In some state that it can be in, the best value fails.
    mayFail: all.some((m) => m.best < 1),
  };
}

/** How a device brakes with the brake strand on one side of it: over its smooth side a grooved tube is a tube. */
export function brakeOf({ family }: Device, smoothSide: boolean): BrakeKind | null {
  const { brake } = traitsOf(family);
  return smoothSide && brake === 'grooved-tube' ? 'tube' : brake;
}

/** In a tube a second connector bends the rope more; what it does in other devices is not known. */
const isTube = (brake: BrakeKind): boolean => brake === 'tube' || brake === 'grooved-tube';

/**
 * Findings about the brake hand: enough along the descent, above the device, held back by the rope, and what shifts
 * friction.
 */
export function brakeHand(input: BrakeHandInput): Finding[] {
  const figures = brakeFigures(input);
  if (figures === null) {
    return [
      finding({
        code: 'friction.not-modelled',
        severity: 'untested',
        subject: ['device', 'brakeHand'],
        says: `How hard ${literal(input.device.name)} must be braked is not computed.`,
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

function alongTheDescent(input: BrakeHandInput, figures: BrakeFigures): Finding {
  const { climber, rope = 'below', massKg = climber.massKg } = input;
  const { margin, mayFail } = marginOf(input, figures);
  const numbers: FindingNumber[] = [
    force('need', 'Needed at the bottom', figures.bottomN),
    force('top', 'Needed at the top', figures.topN),
    force('above', 'Needed at the bottom, hand above the device', figures.handAboveN),
    force('hand', figures.handMeasured ? 'Hand force, measured' : 'Hand force, estimated', figures.handN),
    { key: 'margin', label: 'Hand force over what is needed', quantity: 'ratio', value: margin },
    {
      key: 'mass',
      label: 'Mass with gear',
      quantity: 'massKg',
      value: exactly(massKg),
    },
    ...(figures.withExtraN ? [force('extra', 'Needed with a second connector', figures.withExtraN)] : []),
    ...(figures.redirectedN
      ? [force('redirected', 'Needed with the brake strand led up and over', figures.redirectedN)]
      : []),
  ];
  const subject = ['brakeHand', 'device'] as const;
  // A Munter hitch is at its best with both strands side by side: led over, it would need more.
  const redirectHelps = figures.redirectedN !== null && figures.redirectedN.best < figures.bottomN.best;
  const where =
    rope === 'below'
      ? 'At the bottom no rope hangs below to help'
      : redirectHelps
        ? 'Load and brake strand run side by side, so that the device turns the rope little'
        : 'With the whole weight on the rope';
  const because = `${where}: about {need~} is needed; this hand ${figures.handMeasured ? 'holds' : 'is estimated at'} {hand~}.`;
  const more = redirectHelps
    ? 'Lead the brake strand up through a connector above the device: the need falls to about {redirected}.'
    : !figures.withExtraN
      ? 'Use a device with more friction or a thicker rope.'
      : 'Clip a second connector beside the first: the need falls to about {extra}.';
  const measure = figures.handMeasured ? '' : ' Measure the hand force: it may settle this.';
  const severity = tooLittle(margin, { stop: 1 });
  // What a hitch holds, the hand need not: the last doubt is then about the hitch, and told there.
  if (severity === 'stop' || severity === 'mind' || (severity === 'untested' && (mayFail || !input.backedUp))) {
    const stop = severity === 'stop';
    return finding({
      code: stop ? 'friction.hand-too-weak' : 'friction.hand-close',
      severity,
      subject,
      because,
      numbers,
      says: stop
        ? `On this estimate the brake hand of ${literal(climber.name)} does not hold.`
        : `On this estimate the brake hand of ${literal(climber.name)} may not hold.`,
      remedy: `${stop ? '' : 'Test it low with a backup. '}${more}${measure}`,
    });
  }
  return finding({
    code: 'friction.hand-holds',
    severity: 'clear',
    subject,
    because,
    numbers,
    says:
      severity === 'untested'
        ? 'By the estimate the hand is close to its limit; the hitch holds what it cannot.'
        : rope === 'below'
          ? 'By the estimate the brake hand holds along the whole descent.'
          : 'By the estimate the brake hand holds the person on the rope.',
    remedy:
      rope === 'below'
        ? 'Hand below the device all the way. Go slowly: speed heats the device.'
        : 'The brake hand never leaves the rope. Go slowly: speed heats the device.',
    sources: ['practice-slow'],
  });
}

/**
 * Said only while the hitch stands: without it the finding about the hitch is the one to act on, and the force stands
 * above. Where the brake strand does not run away from the load there is no hand below to keep.
 */
function aboveTheDevice(
  { backupStands, brakeAngleRad = HAND_BELOW_RAD }: BrakeHandInput,
  figures: BrakeFigures,
): Finding[] {
  if (!backupStands || brakeAngleRad < HAND_BELOW_RAD || ratioIndependent(figures.handN, figures.handAboveN).low >= 1)
    return [];
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

/**
 * A rope that brakes by itself. Stiff rope does not bend into the device and runs worse than reckoned: there the low
 * end decides, at any depth; where the stiffness is not known, the low end leaves it open.
 */
function heldBack(input: BrakeHandInput, { topN, bottomN }: BrakeFigures): Finding[] {
  const { extraConnector, rope = 'below' } = input;
  const limitN = threshold('ropeHoldsBackN');
  const stiff = [input.ropeA, input.ropeB ?? input.ropeA].map((r) => r.stiffness);
  const isStiff = stiff.includes('stiff');
  const allTheWay = isStiff && bottomN.low < limitN;
  const held = topN.best < limitN || (isStiff && topN.low < limitN);
  const open = !held && stiff.includes('unknown') && topN.low < limitN;
  if (rope !== 'below' || (!held && !open)) return [];
  return [
    finding(
      {
        code: 'friction.rope-holds-back',
        subject: ['brakeHand', 'device'],
        says: open
          ? 'It is not known how stiff the rope is: a stiff one may not run at the top.'
          : allTheWay
            ? 'The stiff rope may brake by itself all the way down: it has to be fed.'
            : topN.best < limitN
              ? 'At the top the rope brakes by itself: it has to be fed.'
              : 'At the top the stiff rope may brake by itself: then it has to be fed.',
        because: `${allTheWay ? 'The hand needs only {bottom~} at the bottom, and {top~} at the top.' : topN.best > 0 ? 'The rope below weighs so much that the hand needs only {top~} there.' : 'The rope below holds more there than the hand would have to.'} A light person may not move, and is tempted to release the hitch.`,
        numbers: [
          force('top', 'Needed at the top', topN),
          ...(allTheWay ? [force('bottom', 'Needed at the bottom', bottomN)] : []),
        ],
      },
      open
        ? {
            severity: 'untested',
            remedy: 'Bend the rope into the device and try it low above the ground; then enter how stiff it is.',
          }
        : {
            severity: 'mind',
            remedy: `Feed rope up through the device with the hitch in hand${extraConnector ? ', or leave out the second connector' : ''}; do not take the hitch off to get going.`,
          },
    ),
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
    finding(
      {
        code: 'friction.conditions',
        subject: ['ropeA', 'device'],
        because: `Compared with a dry, used rope: ${shifts.map((s, i) => `${s.says} ({shift${i}~})`).join(', ')}.`,
        numbers: percent,
      },
      icy
        ? {
            severity: 'mind',
            says: 'Ice takes braking away.',
            remedy: 'Add friction, knock the ice off, and test the hitch on this rope before trusting it.',
          }
        : { severity: 'clear', says: 'Conditions shift the friction; the forces include it.' },
    ),
  ];
}
