import { STANDARD_GRAVITY_M_PER_S2 } from '../units/index.ts';

const G = STANDARD_GRAVITY_M_PER_S2;

/**
 * Greatest force on the climber where the belay does not give, over runners, N: F = m g (1 + sqrt(1 + 2 k h / (m g L_eff))) with
 * L_eff = a + (L - a) / r. Source: Wexler 1950, with the rope on the belayer's side counted by what it is pulled with. Check: L 10, a 2, s 0.5,
 * r 1.8, k 24.1 kN, 80 kg: 5.98 kN; r 1 and h/L 2: 9.52 kN.
 * @param modulusN k, N. @param freeFallM h, m. @param climberSideM a, m. @param belayerSideM L - a, m. @param ratio r, >= 1.
 */
export function fixedForceN(
  massKg: number,
  modulusN: number,
  freeFallM: number,
  climberSideM: number,
  belayerSideM: number,
  ratio: number,
): number {
  const weightN = massKg * G;
  const effectiveM = climberSideM + belayerSideM / ratio;
  return weightN * (1 + Math.sqrt(1 + (2 * modulusN * freeFallM) / (weightN * effectiveM)));
}

/**
 * How high a belayer who is not held is lifted by a fall, m; Infinity where nothing stops it. The rope is taken as inextensible after the
 * jerk: v = sqrt(2 g h), u = v / (1 + r m2 / m1), y = u^2 / (2 g) * (m1 + r m2) / (r m2 - m1). Check, h 4.5 m, r 1.8: 80/80 2.0 m,
 * 80/60 5.5, 90/60 10, 110/48 unbounded.
 * @param fallM free fall h, m, >= 0. @param climberKg m1. @param belayerKg m2. @param ratio r of the runners, >= 1.
 */
export function belayerLiftM(fallM: number, climberKg: number, belayerKg: number, ratio: number): number {
  const held = ratio * belayerKg;
  if (climberKg >= held) return Infinity;
  const speed = Math.sqrt(2 * G * fallM) / (1 + held / climberKg);
  return ((speed * speed) / (2 * G)) * ((climberKg + held) / (held - climberKg));
}

/**
 * Acceleration of the heavier of two masses on one rope, m/s2, >= 0: g (m1 - r m2) / (m1 + r m2) while the first one goes down; 0 where friction
 * holds them. Check: 80 against 55 kg without friction 1.816.
 */
export const atwoodMPerS2 = (downKg: number, upKg: number, ratio: number): number =>
  Math.max(0, (G * (downKg - ratio * upKg)) / (downKg + ratio * upKg));
