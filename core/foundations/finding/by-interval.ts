import { threshold } from '../sources/index.ts';
import { exactly, interval, type Interval } from '../units/index.ts';
import type { Severity } from './schema.ts';

/**
 * Severity of a value of which more is worse, by the whole of its interval: a best value alone never decides. *Stop*
 * where even the good end is over the limit, *mind* where the best value is over it or comes nearer than the margin,
 * *not tested* where only the bad end is over it and a try decides, clear where the bad end is not.
 */
export function tooMuch(value: Interval, { stop, mind = stop }: Limits): Severity {
  if (value.low > stop) return 'stop';
  if (value.best > Math.min(mind, stop)) return 'mind';
  return value.high > stop ? 'untested' : 'clear';
}

/** The same of a value of which less is worse. */
export const tooLittle = ({ low, best, high }: Interval, { stop, mind = stop }: Limits): Severity =>
  tooMuch({ low: -high, best: -best, high: -low }, { stop: -stop, mind: -mind });

export interface Limits {
  /** Beyond it the thing fails. */
  readonly stop: number;
  /** Beyond it less than the margin is left; the same as `stop` where there is none. */
  readonly mind?: number;
}

/**
 * A strength against the load it has to carry, in one unit, both > 0: *stop* below 1.5 times, *mind* below twice.
 * Nobody tries how much a part holds: where only the bad end is too weak one minds.
 */
export function strengthAgainst(left: Interval | number, load: Interval | number): Severity {
  const [have, carries] = [left, load].map((x) => (typeof x === 'number' ? exactly(x) : x)) as [Interval, Interval];
  const margin = interval(have.low / carries.high, have.best / carries.best, have.high / carries.low);
  const severity = tooLittle(margin, { stop: threshold('strengthMarginStop'), mind: threshold('strengthMarginMind') });
  return severity === 'untested' ? 'mind' : severity;
}
