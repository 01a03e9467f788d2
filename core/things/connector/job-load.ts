import { handOffIn } from '../fit/index.ts';
import { fallForceKn, type Device, type LoadCase, type TwoSprings } from '../gear/index.ts';
import { constant, threshold } from '../../foundations/sources/index.ts';
import { exactly, interval, STANDARD_GRAVITY_M_PER_S2, type Interval } from '../../foundations/units/index.ts';

/**
 * What a job can put on the connector of the device, kN. Hanging: body weight with a jerk, and not less anywhere. A
 * fall, or slack that has crept in, is limited by rope slipping through a device that somebody tends; where nobody does
 * by nothing but the rope.
 */
export function jobLoadKn(facts: LoadCase, device: Device | null): Interval {
  const { massKg } = facts;
  const persons = facts.persons === 'two' ? 2 : 1;
  const jerkKn = (threshold('jerkFactor') * persons * massKg * STANDARD_GRAVITY_M_PER_S2) / 1000;
  if (facts.fallFactor === null) return exactly(jerkKn);
  const { fallFactor: f, springs } = facts;
  // Of two seconds one falls while the other hangs.
  const otherKn = jerkKn - jerkKn / persons;
  const at = (rope: TwoSprings, factor: number) => Math.max(jerkKn, otherKn + fallForceKn(rope, massKg, factor));
  const fall = interval(at(springs.soft, f.low), at(springs.best, f.best), at(springs.hard, f.high));
  if (!facts.tended || device === null) return fall;
  const runs = handOffIn(device, facts.use) === 'runs';
  const slip = (runs ? facts.slipKn : null) ?? constant(runs ? 'belaySlipKn' : 'assistedSlipKn');
  // Below the jerk of a hanging person no slipping device takes the load; above, it cuts the fall.
  const cut = (fallKn: number, slipKn: number) => Math.max(jerkKn, Math.min(fallKn, slipKn));
  return interval(cut(fall.low, slip.low), cut(fall.best, slip.best), cut(fall.high, slip.high));
}
