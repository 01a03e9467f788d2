import type { Combination } from '@core/answers/planning';

/** What tells one combination of a search from another. */
export const combinationKey = ({ picks }: Combination): string => picks.map((p) => `${p.ref}:${p.itemId}`).join();
