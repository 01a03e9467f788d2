/**
 * What one hand holds on a rope where nobody measured it, N. Apart from the other constants: the form of a person says
 * it, which is loaded before any of those.
 */
export const HAND_FORCE_DEFAULT_N = { low: 150, best: 230, high: 330 } as const;
