import type { Connector, Sling } from '../gear/index.ts';
import { constant, threshold } from '../../foundations/sources/index.ts';
import { around, exactly, interval, minus, plus, scale, type Interval } from '../../foundations/units/index.ts';

export interface ExtensionInput {
  readonly sling: Sling;
  readonly connector: Connector;
  /** Girth-hitched: the whole sling; basket: the sling doubled through the harness. */
  readonly method: 'girth' | 'basket';
  /** Overhand knots tied into the extension between harness and device. */
  readonly knots: number;
  /** From the harness to the bar the device hangs on, measured under load, mm; null when it is to be computed. */
  readonly measuredMm: number | null;
}

/**
 * From the harness to the bar that the device hangs on, mm: what the sling leaves after hitch, bend and knots, plus the
 * inside length of the connector. A measured length beats the estimate. Never below the connector itself.
 */
export function extensionMm({ connector, ...textile }: ExtensionInput): Interval {
  const length = slingMm(textile);
  return textile.measuredMm === null ? plus(length, exactly(connector.insideLengthMm)) : length;
}

/**
 * A sling as it is tied, mm, without a connector: what hitch, bend and knots leave of it. A measured length beats the
 * estimate.
 */
export function slingMm({ sling, method, knots, measuredMm }: Omit<ExtensionInput, 'connector'>): Interval {
  if (measuredMm !== null) return around(measuredMm, threshold('extensionMeasuredMm'));
  const whole =
    method === 'girth'
      ? minus(exactly(sling.loopLengthMm), constant('girthHitchMm'))
      : minus(exactly(sling.loopLengthMm / 2), constant('basketBendMm'));
  const sewn = minus(whole, scale(constant('overhandInSlingMm'), knots));
  return interval(Math.max(0, sewn.low), Math.max(0, sewn.best), Math.max(0, sewn.high));
}
