import { STANDARD_GRAVITY_M_PER_S2 } from '../../foundations/units/index.ts';

/**
 * A rope as two springs in a row of loads: up to the load of its label's static test the one, beyond it the other. One
 * modulus cannot be right both for somebody who hangs and for a hard fall. Mechanics; force over strain, for one
 * strand.
 */
export interface TwoSprings {
  /** Modulus up to the knee, N, > 0. */
  readonly firstN: number;
  /** Modulus beyond it, N, > 0. */
  readonly secondN: number;
  /** Force at which the one ends and the other begins, N, > 0. */
  readonly kneeN: number;
}

/** A rope of a single modulus, N, > 0: the limit in which every figure must be that of Wexler 1950. */
export const oneSpring = (modulusN: number): TwoSprings => ({ firstN: modulusN, secondN: modulusN, kneeN: modulusN });

/** As many strands side by side that share the load. */
export const sideBySide = ({ firstN, secondN, kneeN }: TwoSprings, strands: number): TwoSprings => ({
  firstN: firstN * strands,
  secondN: secondN * strands,
  kneeN: kneeN * strands,
});

/** Force at a strain, N; below 0 where the rope is loose. */
export function pullN({ firstN, secondN, kneeN }: TwoSprings, strain: number): number {
  const first = firstN * strain;
  return first <= kneeN ? first : kneeN + secondN * (strain - kneeN / firstN);
}

/** Strain under a force, N, of either sign. */
export const strainAt = ({ firstN, secondN, kneeN }: TwoSprings, forceN: number): number =>
  forceN <= kneeN ? forceN / firstN : kneeN / firstN + (forceN - kneeN) / secondN;

/** Energy stored in each metre of rope at a strain, J/m = N, >= 0. */
export function storedJPerM({ firstN, secondN, kneeN }: TwoSprings, strain: number): number {
  const knee = kneeN / firstN;
  const beyond = strain - knee;
  return beyond <= 0
    ? (firstN * strain * strain) / 2
    : (kneeN * knee) / 2 + kneeN * beyond + (secondN * beyond * beyond) / 2;
}

/** Share of its length by which a rope is longer with this mass hanging still on it, 1. */
export const stretchUnder = (rope: TwoSprings, massKg: number): number =>
  strainAt(rope, massKg * STANDARD_GRAVITY_M_PER_S2);

/**
 * Greatest force of a fall onto a belay that does not give, kN, from the energy at the lowest point: m g (f + e) =
 * W(e). With one spring that is F = m g (1 + sqrt(1 + 2 k f / (m g))) (Wexler 1950). Check, single rope of 8 % and 9.0
 * kN, 80 kg: f 0 gives 2.01, 0.3 gives 4.35, 1 gives 7.01, 2 gives 9.51.
 * @param massKg > 0. @param fallFactor f, >= 0.
 */
export function fallForceKn({ firstN, secondN, kneeN }: TwoSprings, massKg: number, fallFactor: number): number {
  const weightN = massKg * STANDARD_GRAVITY_M_PER_S2;
  const soft = weightN * (1 + Math.sqrt(1 + (2 * firstN * fallFactor) / weightN));
  if (soft <= kneeN) return soft / 1000;
  const knee = kneeN / firstN;
  const over = (kneeN - weightN) ** 2 + 2 * secondN * (weightN * (fallFactor + knee) - (kneeN * knee) / 2);
  return (weightN + Math.sqrt(over)) / 1000;
}

/**
 * The fall factor whose force is just this one, the same equation solved for f: f = W(e) / (m g) - e. Negative where
 * hanging still with a bounce is already more.
 * @param forceKn > 0. @param massKg > 0.
 */
export function factorForForce(rope: TwoSprings, massKg: number, forceKn: number): number {
  const strain = strainAt(rope, forceKn * 1000);
  return storedJPerM(rope, strain) / (massKg * STANDARD_GRAVITY_M_PER_S2) - strain;
}

/**
 * The second spring of a label's drop test, N: mass m, fall factor f, impact force F; what the first spring has taken
 * at the knee is W1. Solved from m g (f + e1 + d) = F1 e1 / 2 + F1 d + (F - F1) d / 2, k2 = (F - F1) / d. A label that
 * would make it much softer than the first is not believed: never below 0.9 of that. Check: 8 %, 9.0 kN: 23.8 kN; half
 * rope of 10 % and 7 kN: 21.5; low-stretch of 3.5 % and 5 kN: 25.9.
 */
export function secondSpringN(first: Pick<TwoSprings, 'firstN' | 'kneeN'>, test: DropTest, impactN: number): number {
  const { firstN, kneeN } = first;
  const weightN = test.massKg * STANDARD_GRAVITY_M_PER_S2;
  const knee = kneeN / firstN;
  const least = firstN * LEAST_OF_FIRST;
  const meanN = (impactN + kneeN) / 2 - weightN;
  if (meanN <= 0 || impactN <= kneeN) return least;
  const beyond = (weightN * (test.factor + knee) - (kneeN * knee) / 2) / meanN;
  return Math.max(least, (impactN - kneeN) / beyond);
}
const LEAST_OF_FIRST = 0.9;

/** The drop of a standard in which the impact force on a label was measured. */
export interface DropTest {
  readonly massKg: number;
  readonly factor: number;
}
