import type { Device, Rope } from '../gear/index.ts';
import { constant } from '../../foundations/sources/index.ts';
import { exactly, interval, times, type Interval } from '../../foundations/units/index.ts';

export type Weather = 'dry' | 'wet' | 'icy';

export interface Conditions {
  readonly weather: Weather;
  /** `mixed`: two ropes whose sheaths are not alike. */
  readonly sheath: Rope['sheath'] | 'mixed';
  readonly wear: Device['wear'];
}

/** One reason why friction is not that of a dry, used rope in a new device; a factor on the coefficient. */
export interface FrictionShift {
  readonly says: string;
  readonly factor: Interval;
}

/** What is not known spans everything it could be. */
const hull = (...all: Interval[]): Interval =>
  interval(Math.min(...all.map((i) => i.low)), 1, Math.max(...all.map((i) => i.high)));

/** Shifts of the coefficient of friction, rope on metal, for these conditions. Empty when nothing shifts it. */
export function frictionShifts({ weather, sheath, wear }: Conditions): FrictionShift[] {
  const shifts: FrictionShift[] = [];
  if (weather === 'wet') shifts.push({ says: 'the rope is wet', factor: constant('muFactorWet') });
  if (weather === 'icy') shifts.push({ says: 'the rope is icy', factor: constant('muFactorIcy') });
  if (sheath === 'new-treated')
    shifts.push({ says: 'the sheath is new and treated', factor: constant('muFactorNewTreated') });
  if (sheath === 'fuzzy') shifts.push({ says: 'the sheath is fuzzy', factor: constant('muFactorFuzzy') });
  if (sheath === 'unknown' || sheath === 'mixed') {
    shifts.push({
      says: sheath === 'mixed' ? 'the two sheaths are not alike' : 'the sheath is not known',
      factor: hull(constant('muFactorNewTreated'), constant('muFactorFuzzy')),
    });
  }
  if (wear === 'worn') shifts.push({ says: 'the device is worn smooth', factor: constant('muFactorWornDevice') });
  if (wear === 'unknown') {
    shifts.push({
      says: 'the wear of the device is not known',
      factor: hull(constant('muFactorWornDevice'), exactly(1)),
    });
  }
  return shifts;
}

/**
 * All shifts together. They are no errors of measurement that could cancel: a wet, worn, slick rope is all three, so
 * their bad ends add up.
 */
export const shiftOf = (conditions: Conditions): Interval =>
  frictionShifts(conditions).reduce((all, { factor }) => times(all, factor), exactly(1));

/** Every state that these conditions can be in, the usual one first: what is not known can be any of them. */
export function possible({ weather, sheath, wear }: Conditions): Conditions[] {
  const sheaths = sheath === 'unknown' || sheath === 'mixed' ? (['smooth', 'new-treated', 'fuzzy'] as const) : [sheath];
  const wears = wear === 'unknown' ? (['used', 'worn'] as const) : [wear];
  return sheaths.flatMap((s) => wears.map((w) => ({ weather, sheath: s, wear: w })));
}

/**
 * A figure over everything that these conditions can be: the lowest low and the highest high, at its best the usual
 * state. So not knowing a state is never better than any state.
 */
export function overPossible(conditions: Conditions, figure: (known: Conditions) => Interval): Interval {
  const all = possible(conditions).map(figure);
  return interval(Math.min(...all.map((i) => i.low)), all[0]!.best, Math.max(...all.map((i) => i.high)));
}

/** Sheath to reckon with for one folded rope or two joined ones. */
export const sheathOfBoth = (ropeA: Rope, ropeB: Rope | null): Conditions['sheath'] =>
  ropeB && ropeB.sheath !== ropeA.sheath ? 'mixed' : ropeA.sheath;
