/** What two persons call to each other; apart from the schemas, since the list of jobs needs it before any of those. */
export const CALL_IDS = ['on-belay', 'climbing', 'slack', 'take', 'lower', 'off-belay', 'rope-free', 'rock'] as const;
export type CallId = (typeof CALL_IDS)[number];
