/** One place where the rope bends over something and rubs. */
export interface Contact {
  /** Coefficient of friction, > 0. */
  readonly mu: number;
  /** Angle through which the rope turns there, rad, >= 0. */
  readonly angleRad: number;
  /** Opening of the groove it lies in, rad, 0 < beta <= pi; pi is a flat or round surface. */
  readonly grooveRad: number;
}

/** Weight of a contact in the exponent: angle over the sine of half the groove angle, rad. */
export const effectiveAngleRad = (angleRad: number, grooveRad: number): number => angleRad / Math.sin(grooveRad / 2);

/**
 * Ratio of the tension on the loaded side to that on the braked side over a chain of contacts:
 * exp( sum of mu * theta / sin(beta / 2) ).
 * Source: Euler-Eytelwein, V-belt form (machine-design handbooks).
 * @throws RangeError for a contact outside the ranges above.
 */
export function capstanRatio(contacts: readonly Contact[]): number {
  let exponent = 0;
  for (const { mu, angleRad, grooveRad } of contacts) {
    if (!(mu > 0) || !(angleRad >= 0) || !(grooveRad > 0 && grooveRad <= Math.PI)) {
      throw new RangeError(`capstanRatio: mu > 0, angle >= 0, 0 < groove <= pi; got ${mu}, ${angleRad}, ${grooveRad}`);
    }
    exponent += mu * effectiveAngleRad(angleRad, grooveRad);
  }
  return Math.exp(exponent);
}
