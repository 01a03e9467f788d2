import { exactly, interval, minus, type Interval } from '../../foundations/units/index.ts';

export interface RopeWalkInput {
  /** Hanging in the harness: from the tie-in up to the chin, and up to the hand that still works well, mm. */
  readonly chinAboveTieInMm: number;
  readonly armReachMm: number;
  /** Standing: from the soles to the tie-in, mm; null: not measured. */
  readonly tieInHeightMm: number | null;
  /** The device, from the eye it hangs by to its top, mm. */
  readonly deviceMm: Interval;
  /** How far below the chin its top is meant to be, mm. */
  readonly belowChinMm: number;
  /** What a step up gains, mm. */
  readonly strokeMm: Interval;
}

/** Lengths for three ways of being on a rope; a tether runs from the tie-in to the eye of the device. mm. */
export interface RopeWalkLengths {
  readonly walkTetherMm: Interval;
  readonly limbTetherMm: Interval;
  /**
   * Of the loop for free hands, from the sole to the device at the saddle: so short that standing up in it gains one
   * step. null while the tie-in is not measured.
   */
  readonly freeLoopMm: Interval | null;
}

/**
 * Walking up, the top of the device hangs just below the chin; out on a limb the tether is as long as one hand still
 * reaches its top; with free hands the device is at the saddle. Checks by hand: chin 400, reach 650, device 250 and 50
 * below the chin: 100 to walk, 400 on a limb; tie-in 1000 and steps of 300 to 450: a loop of 550 to 700.
 */
export function ropeWalkLengths(input: RopeWalkInput): RopeWalkLengths {
  const { chinAboveTieInMm, armReachMm, tieInHeightMm, deviceMm, belowChinMm, strokeMm } = input;
  return {
    walkTetherMm: minus(exactly(chinAboveTieInMm - belowChinMm), deviceMm),
    limbTetherMm: minus(exactly(armReachMm), deviceMm),
    freeLoopMm: tieInHeightMm === null ? null : minus(exactly(tieInHeightMm), strokeMm),
  };
}

/** Where the top of the device is, over the chin, mm: below 0 it is below the chin. */
export const overChinMm = (topMm: Interval, chinAboveTieInMm: number): Interval =>
  interval(topMm.low - chinAboveTieInMm, topMm.best - chinAboveTieInMm, topMm.high - chinAboveTieInMm);
