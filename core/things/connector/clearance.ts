import type { Connector, Device } from '../gear/index.ts';
import type { Way } from './way.ts';

/** Measures of the connector at the end that sits in the device; null where not measured. mm. */
export interface EndMeasures {
  readonly insideWidthMm: number | null;
  readonly stockMm: number | null;
  /** From the inside of this end along the gate to the locked sleeve. */
  readonly sleeveFromMm: number | null;
}

export function endMeasures(connector: Connector, end: Way['end']): EndMeasures {
  return end === 'broad'
    ? {
        insideWidthMm: connector.broadInsideWidthMm,
        stockMm: connector.broadStockMm,
        sleeveFromMm: connector.sleeveFromBroadMm,
      }
    : {
        insideWidthMm: connector.narrowInsideWidthMm,
        stockMm: connector.narrowStockMm,
        sleeveFromMm: connector.sleeveFromNarrowMm,
      };
}

/** How thick the device is where the connector goes through, mm: one plate, or both and the gap between them. */
export function seatThicknessMm({ plateMm, gapMm }: Device): number | null {
  if (plateMm === null || gapMm === null) return null;
  return gapMm === 0 ? plateMm : 2 * plateMm + gapMm;
}

/**
 * Smallest hole through which a bent bar sits in a plate, mm: inner radius r = inside width / 2, stock d, plate
 * thickness T: need = r + d - sqrt(r^2 - T^2 / 4); the straight bar (T = 0) needs d. Infinity when the plate is thicker
 * than the end is wide. Source: plane geometry of a ring sector in a straight slot. Check: r 15, d 10, T 10 gives
 * 10.858.
 */
export function holeNeededMm(insideWidthMm: number, stockMm: number, thicknessMm: number): number {
  const r = insideWidthMm / 2;
  const half = thicknessMm / 2;
  return half > r ? Infinity : r + stockMm - Math.sqrt(r * r - half * half);
}
