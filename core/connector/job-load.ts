import { handOffIn } from '../fit/index.ts';
import type { Device, LoadCase } from '../gear/index.ts';
import { constant, threshold } from '../sources/index.ts';
import { exactly, interval, STANDARD_GRAVITY_M_PER_S2, type Interval } from '../units/index.ts';

/**
 * Greatest force of a fall caught by a rope that stretches like a spring, on a belay that does not give, kN:
 * F = m g (1 + sqrt(1 + 2 k f / (m g))). Source: Wexler 1950. Check: k 24.1 kN, 80 kg: f 0.3 gives 4.24, 1 gives 6.98, 2 gives 9.52;
 * f 0 gives 2 m g.
 * @param massKg > 0. @param modulusKn k, > 0. @param fallFactor f, >= 0.
 */
export function fallForceKn(massKg: number, modulusKn: number, fallFactor: number): number {
  const weightKn = (massKg * STANDARD_GRAVITY_M_PER_S2) / 1000;
  return weightKn * (1 + Math.sqrt(1 + (2 * modulusKn * fallFactor) / weightKn));
}

/**
 * What a job can put on the connector of the device, kN. Hanging: body weight with a jerk, and not less anywhere. A fall, or slack that has
 * crept in, is limited by rope slipping through a device that somebody tends; where nobody does by nothing but the rope.
 */
export function jobLoadKn(facts: LoadCase, device: Device | null): Interval {
  const { massKg } = facts;
  const persons = facts.persons === 'two' ? 2 : 1;
  const jerkKn = (threshold('jerkFactor') * persons * massKg * STANDARD_GRAVITY_M_PER_S2) / 1000;
  if (facts.fallFactor === null) return exactly(jerkKn);
  const { fallFactor: f, modulusKn: k } = facts;
  // Of two seconds one falls while the other hangs.
  const otherKn = jerkKn - jerkKn / persons;
  const at = (modulusKn: number, factor: number) => Math.max(jerkKn, otherKn + fallForceKn(massKg, modulusKn, factor));
  const fall = interval(at(k.low, f.low), at(k.best, f.best), at(k.high, f.high));
  if (!facts.tended || device === null) return fall;
  const runs = handOffIn(device, facts.use) === 'runs';
  const slip = (runs ? facts.slipKn : null) ?? constant(runs ? 'belaySlipKn' : 'assistedSlipKn');
  // Below the jerk of a hanging person no slipping device takes the load; above, it cuts the fall.
  const cut = (fallKn: number, slipKn: number) => Math.max(jerkKn, Math.min(fallKn, slipKn));
  return interval(cut(fall.low, slip.low), cut(fall.best, slip.best), cut(fall.high, slip.high));
}
