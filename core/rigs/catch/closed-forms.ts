import { pullN, storedJPerM, strainAt, type TwoSprings } from '../../things/gear/index.ts';
import { STANDARD_GRAVITY_M_PER_S2 } from '../../foundations/units/index.ts';

const G = STANDARD_GRAVITY_M_PER_S2;

/**
 * Greatest force on the climber where the belay does not give, over runners, N, from the energy at the lowest point:
 * what the climber loses in height is stored in the rope and lost over the runners, m g (h + x) = integral of F dx with
 * x = a e(F) + b e(F / r), which is a W(e(F)) + b r W(e(F / r)). Searched, since two springs on two sides have three
 * regimes. With one spring: F = m g (1 + sqrt(1 + 2 k h / (m g L_eff))), L_eff = a + b / r (Wexler 1950, with the rope
 * on the belayer's side counted by what it is pulled with). Check, k 24.1 kN: L 10, a 2, s 0.5, r 1.8, 80 kg: 5.98 kN;
 * r 1 and h/L 2: 9.52 kN.
 * @param freeFallM h, m. @param climberSideM a, m. @param belayerSideM b, m. @param ratio r, >= 1.
 */
export function fixedForceN(
  massKg: number,
  rope: TwoSprings,
  freeFallM: number,
  climberSideM: number,
  belayerSideM: number,
  ratio: number,
): number {
  const weightN = massKg * G;
  const missingJ = (forceN: number): number => {
    const [above, below] = [strainAt(rope, forceN), strainAt(rope, forceN / ratio)];
    const fallenM = freeFallM + climberSideM * above + belayerSideM * below;
    return (
      weightN * fallenM - climberSideM * storedJPerM(rope, above) - belayerSideM * ratio * storedJPerM(rope, below)
    );
  };
  // A rope that hangs still with this weight can still fall; at ten times its length it holds any.
  let [low, high] = [weightN, pullN(rope, 10)];
  for (let i = 0; i < 200 && high - low > 1e-9 * high; i += 1) {
    const middle = (low + high) / 2;
    if (missingJ(middle) > 0) low = middle;
    else high = middle;
  }
  return low;
}

/**
 * Where somebody hangs still on a top rope below where the rope came tight, m: e(T) on their side and e(T / r) on the
 * belayer's. Mechanics. Check: 84 kg, 8 %, 15.5 m and 19 m: with the slack of 0.3 m 3.12, 2.56 and 2.36 m below for r
 * 1, 1.6 and 2.
 */
export const hangsStillM = (
  rope: TwoSprings,
  massKg: number,
  climberSideM: number,
  belayerSideM: number,
  ratio: number,
): number => climberSideM * strainAt(rope, massKg * G) + belayerSideM * strainAt(rope, (massKg * G) / ratio);

/**
 * How high a belayer who is not held is lifted by a fall, m; Infinity where nothing stops it. The rope is taken as
 * inextensible after the jerk: v = sqrt(2 g h), u = v / (1 + r m2 / m1), y = u^2 / (2 g) * (m1 + r m2) / (r m2 - m1).
 * Check, h 4.5 m, r 1.8: 80/80 2.0 m, 80/60 5.5, 90/60 10, 110/48 unbounded.
 * @param fallM free fall h, m, >= 0. @param climberKg m1. @param belayerKg m2. @param ratio r of the runners, >= 1.
 */
export function belayerLiftM(fallM: number, climberKg: number, belayerKg: number, ratio: number): number {
  const held = ratio * belayerKg;
  if (climberKg >= held) return Infinity;
  const speed = Math.sqrt(2 * G * fallM) / (1 + held / climberKg);
  return ((speed * speed) / (2 * G)) * ((climberKg + held) / (held - climberKg));
}

/**
 * Acceleration of the heavier of two masses on one rope, m/s2, >= 0: g (m1 - r m2) / (m1 + r m2) while the first one
 * goes down; 0 where friction holds them. Check: 80 against 55 kg without friction 1.816.
 */
export const atwoodMPerS2 = (downKg: number, upKg: number, ratio: number): number =>
  Math.max(0, (G * (downKg - ratio * upKg)) / (downKg + ratio * upKg));
