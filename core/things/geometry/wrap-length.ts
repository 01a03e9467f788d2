/**
 * Length of an open belt around two circles that touch or stand apart, mm. L = 2 sqrt(c^2 - (r1 - r2)^2) + pi (r1 + r2)
 * + 2 (r1 - r2) asin((r1 - r2) / c) (belt length of any machine-design handbook).
 * @param centreMm distance of the centres, > |r1 - r2|
 * @throws RangeError when one circle lies inside the other.
 */
export function beltLengthMm(r1Mm: number, r2Mm: number, centreMm: number): number {
  const dr = r1Mm - r2Mm;
  if (!(centreMm > Math.abs(dr))) throw new RangeError('beltLengthMm: one circle lies inside the other');
  return 2 * Math.sqrt(centreMm ** 2 - dr ** 2) + Math.PI * (r1Mm + r2Mm) + 2 * dr * Math.asin(dr / centreMm);
}

/**
 * Perimeter of the wrapped bundle at the centre line of the cord, mm: one strand pi (D + d), two strands side by side
 * the belt around both, which for equal strands is pi (D + d) + 2 D.
 */
export function wrapPerimeterMm(cordMm: number, ropeAMm: number, ropeBMm?: number): number {
  if (ropeBMm === undefined) return Math.PI * (ropeAMm + cordMm);
  return beltLengthMm((ropeAMm + cordMm) / 2, (ropeBMm + cordMm) / 2, (ropeAMm + ropeBMm) / 2);
}

/**
 * Length of cord in one wrap, mm: hypot(perimeter, pitch). Tightly laid single cord has pitch d, doubled cord 2 d.
 * Check: 6 mm on one 10 mm strand 50.6, on two 9.5 mm strands 68.0 (pitch d).
 */
export const cordPerWrapMm = (perimeterMm: number, pitchMm: number): number => Math.hypot(perimeterMm, pitchMm);
