import { threshold } from '../../foundations/sources/index.ts';
import { interval, mapRising, scale, timesIndependent, type Interval } from '../../foundations/units/index.ts';
import { brakeOf, deviceExponent, handForceN, sheathOfBoth, type Conditions } from '../../things/friction/index.ts';
import {
  anyRope,
  diameterOf,
  JOB_FACTS,
  springsOfBoth,
  usualUse,
  type Job,
  type LoadCase,
  type RopeSprings,
  type UseCase,
} from '../../things/gear/index.ts';
import type { Attachment, DeviceEnd } from './attachment-elements.ts';
import { besideConnector, brakerOf, deviceOf, hangingBy, heaviest, ropesIn, strandsIn, type RigIndex } from './rig.ts';

/** What the device or hitch of an attachment is used for. */
export const jobOf = ({ setup }: RigIndex, a: Attachment): Job => a.job ?? setup.job;

const casualtys = (index: RigIndex, { root }: Attachment): boolean =>
  root.kind === 'harness' && index.person(root.person)?.role === 'casualty';

/** What fit asks about the place of a device in this rig. */
export function useOf(index: RigIndex, a: Attachment): UseCase {
  const job = jobOf(index, a);
  const strands = a.end.kind === 'device' || a.end.kind === 'hitch' ? strandsIn(a.end) : 'one';
  const usual = usualUse(job);
  return {
    ...usual,
    // On a link, and in a device of their own, the casualty hangs alone.
    persons: casualtys(index, a) ? 'one' : usual.persons,
    strands,
    hangsOn: a.root.kind === 'anchor' ? 'anchor' : 'harness',
  };
}

/**
 * How far the brake strand is bent away from the loaded strand, rad. On a harness the hand pulls down, the load up; at
 * an anchor what was measured counts, else how it is led, and straight down where that is not said.
 */
export const brakeAngleOf = (a: Attachment): number =>
  a.root.kind !== 'anchor' || a.end.kind !== 'device'
    ? Math.PI
    : a.end.brakeAngleDeg !== null
      ? (a.end.brakeAngleDeg * Math.PI) / 180
      : a.end.brakeLed === 'redirected'
        ? Math.PI
        : 0;

/** Fall factor of this much slack above somebody who is close to the device, where there is little rope to stretch. */
export const slackFactor = (slackM: number): number => slackM / threshold('secondNearM');

/** What is not taken in above a second can be more than the job is reckoned with; it is never reckoned with less. */
const withSlack = (factor: Interval | null, end: DeviceEnd | null): Interval | null =>
  factor === null || end === null || end.slackM === null
    ? factor
    : interval(factor.low, factor.best, Math.max(factor.high, slackFactor(end.slackM)));

/** Reckoned as over the smooth side, the weaker one, until it is said that the brake strand lies in the grooves. */
export const onSmoothSide = (end: DeviceEnd): boolean => end.brakeSide !== 'grooves';

/**
 * Force at which the rope slips through a device that a hand brakes: its ratio times the force of this hand. Check:
 * grooved tube, 10 mm, 230 N: 1.53 kN. null while one of them is not chosen, or where no hand brakes.
 * @param lipRad how far the brake strand is bent away from the loaded one, rad; left out: as the rig says.
 */
export function slipOf(index: RigIndex, a: Attachment, lipRad = brakeAngleOf(a)): Interval | null {
  const end = deviceOf(a);
  const braker = end ? brakerOf(index, end)?.item : null;
  const ropes = ropesIn(index, a.end);
  if (!end?.item || !braker || !ropes) return null;
  const brake = brakeOf(end.item, onSmoothSide(end));
  if (brake === null) return null;
  const { ropeA, ropeB } = ropes;
  const diameterMm = Math.min(...[ropeA, ropeB ?? ropeA].map((r) => diameterOf(r).diameterMm.best));
  const { weather } = index.setup.site;
  const slipN = (conditions: Conditions): Interval => {
    const exponent = deviceExponent({
      brake,
      conditions,
      diameterMm,
      extraConnector: besideConnector(a) !== null,
      behindConnector: end.brakeThrough === 'connector' && a.root.kind === 'harness',
      lipRad,
    });
    const { forceN } = handForceN(braker, { diameterMm, weather: conditions.weather });
    return timesIndependent(mapRising(exponent, Math.exp), forceN);
  };
  const now = slipN({ weather, sheath: sheathOfBoth(ropeA, ropeB), wear: end.item.wear });
  // Water and wear make a catch softer; that a part would hold less is not made good by counting on them.
  const most = slipN({ weather: 'dry', sheath: 'fuzzy', wear: 'new' });
  return scale(interval(now.low, now.best, Math.max(now.high, most.high)), 1 / 1000);
}

/** How the ropes of an attachment give; one that is not chosen can be any. */
function giveOf(index: RigIndex, a: Attachment): RopeSprings {
  const ropes = ropesIn(index, a.end);
  return ropes ? springsOfBoth(ropes.ropeA, ropes.ropeB) : anyRope();
}

/**
 * Rescuer and casualty hang in one device, whoever of them is the heavier: half of what both weigh, since a load of two
 * is reckoned as twice one; null in other jobs.
 */
function onOneDevice(index: RigIndex, a: Attachment): number | null {
  const { setup } = index;
  if (!JOB_FACTS[setup.job].casualty || a.root.kind !== 'harness' || casualtys(index, a)) return null;
  const [x, y] = setup.persons.flatMap((p) =>
    p.item && (p.role === 'rescuer' || p.role === 'casualty') ? [p.item.massKg] : [],
  );
  return x !== undefined && y !== undefined ? (x + y) / 2 : null;
}

/**
 * What an attachment must carry and how it is pulled, from the rig itself; null while nobody who could hang on it is
 * chosen. A brake strand at an anchor of which nothing is said is reckoned as led straight down, the weaker way.
 */
export function loadOf(index: RigIndex, a: Attachment): LoadCase | null {
  const person = heaviest(hangingBy(index, a));
  if (!person) return null;
  const both = onOneDevice(index, a);
  const { fallFactor, ropeBelow } = JOB_FACTS[jobOf(index, a)];
  const { use, strands, persons, fall, tended, climbs, hangsOn } = useOf(index, a);
  return {
    use,
    strands,
    persons,
    fall,
    tended,
    climbs,
    hangsOn,
    massKg: both ?? person.massKg,
    fallFactor: withSlack(fallFactor, deviceOf(a)),
    springs: giveOf(index, a),
    // Where nobody falls nothing slips in a catch: a plan makes thousands of loads.
    slipKn: fallFactor ? slipOf(index, a) : null,
    brakeAngleRad: brakeAngleOf(a),
    ropeBelow,
  };
}
