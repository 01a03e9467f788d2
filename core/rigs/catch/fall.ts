import type { TwoSprings } from '../../things/gear/index.ts';

/** Everything that decides how one fall runs, from the moment the rope comes tight. */
export interface Fall {
  /** With gear, kg, > 0. */
  readonly climberKg: number;
  /** With gear, kg, > 0. Nobody who is `fixed` is asked for a mass. */
  readonly belayerKg: number;
  /**
   * Rope without load between the tie-in and the last runner, m, > 0. Without runners: the whole rope, and
   * `belayerSideM` 0.
   */
  readonly climberSideM: number;
  /** Rope without load between the last runner and the device, m, >= 0. */
  readonly belayerSideM: number;
  /** Free fall before the rope comes tight, h, m, >= 0. */
  readonly freeFallM: number;
  /**
   * Force on the climber's side of the runners over the force on the belayer's, while rope runs towards the climber; r
   * >= 1.
   */
  readonly ratio: number;
  /** How the rope gives. */
  readonly rope: TwoSprings;
  /** Damping of the rope as a share of the critical one, for the climber on a belay that does not give, >= 0. */
  readonly dampingRatio: number;
  /** Force at which rope runs through the device, N, > 0; Infinity where none does. */
  readonly slipN: number;
  /** `fixed`: tied to an anchor, or the device hangs on it. `free`: stands on the ground and can be pulled off it. */
  readonly belayer: 'fixed' | 'free';
  /** How far a belayer who is not fixed can be drawn before a tether holds, m, >= 0; Infinity: there is none. */
  readonly tetherM: number;
  /** Speed upwards of a belayer who steps or jumps up with the catch, m/s, >= 0. */
  readonly stepUpMPerS: number;
  /** From the wall to the belayer, m, >= 0. */
  readonly besideM: number;
  /** Device above the ground the belayer stands on, m. */
  readonly deviceM: number;
  /** First runner above the ground the belayer stands on, m; the pull on the belayer goes there. */
  readonly firstPieceM: number;
  /**
   * How far the climber can go down after the rope came tight until the feet touch ground or ledge, m; Infinity: as far
   * as one likes.
   */
  readonly roomM: number;
}

/** What happened in it. */
export interface Caught {
  /** Greatest force on the climber, N. */
  readonly climberN: number;
  /** Greatest force on the last runner: both strands together, N. Without runners: the force on the belay. */
  readonly pieceN: number;
  /** Greatest force at the device, N. */
  readonly belayerN: number;
  /** How far the device was moved up, m. */
  readonly liftM: number;
  /** How far the belayer was drawn towards the wall, m. */
  readonly towardsWallM: number;
  /** Rope that ran through the device, m. */
  readonly slipM: number;
  /** How far the climber went down after the rope came tight, m. */
  readonly downM: number;
  /** Device or hand met the first runner. */
  readonly reachedPiece: boolean;
  /** The climber met ground or ledge. */
  readonly reachedGround: boolean;
  /** Neither came to rest within the time that is looked at. */
  readonly unfinished: boolean;
}

/** One moment of a fall. */
export interface CatchMoment {
  /** Since the rope came tight, s. */
  readonly timeS: number;
  /** Below the place where the rope came tight, m. */
  readonly downM: number;
  readonly climberMPerS: number;
  /** Above where the belayer stood, and towards the wall from there, m. */
  readonly liftM: number;
  readonly towardsWallM: number;
  readonly belayerMPerS: number;
  readonly climberN: number;
  readonly belayerN: number;
  readonly slipM: number;
  /** Stored in the stretched rope, J; lost to friction and damping since the start is what is missing from the sum. */
  readonly stretchJ: number;
}
