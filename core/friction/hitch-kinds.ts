export const HITCHES = {
  autoblock: 'French Prusik (autoblock)',
  prusik: 'Prusik',
  klemheist: 'Klemheist',
} as const;
export type HitchKind = keyof typeof HITCHES;
