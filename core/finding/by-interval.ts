import type { Interval } from '../units/index.ts';
import type { Severity } from './schema.ts';

/**
 * Severity of a value of which more is worse, by the whole of its interval: a best value alone never decides. *Stop* where even the good end is over the limit, *mind* where the best
 * value is over it or comes nearer than the margin, *not tested* where only the bad end is over it and a try decides, clear where the bad end is not.
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
