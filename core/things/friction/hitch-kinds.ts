interface HitchFacts {
  readonly label: string;
  /** Where its legs leave the wraps; an eye takes cord of its own. */
  readonly legs: 'both-edges' | 'middle' | 'upper-eye';
  /** What of the loop is clipped. */
  readonly clipped: 'Both ends' | 'The whole loop';
  /** It lets go while it is loaded. */
  readonly letsGo: boolean;
}

/** All that tells one hitch from another; a row is complete. */
export const HITCH_FACTS = {
  autoblock: { label: 'French Prusik (autoblock)', legs: 'both-edges', clipped: 'Both ends', letsGo: true },
  prusik: { label: 'Prusik', legs: 'middle', clipped: 'The whole loop', letsGo: false },
  klemheist: { label: 'Klemheist', legs: 'upper-eye', clipped: 'The whole loop', letsGo: false },
} as const satisfies Record<string, HitchFacts>;
export type HitchKind = keyof typeof HITCH_FACTS;
export const HITCHES = Object.fromEntries(
  Object.entries(HITCH_FACTS).map(([kind, { label }]) => [kind, label]),
) as Readonly<Record<HitchKind, string>>;
