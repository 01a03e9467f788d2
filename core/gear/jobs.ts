/** Jobs that a device can be declared for. Only those whose rig Zevrin can assess stand here. */
export const JOBS = { 'rappel-double': 'Rappel on two strands' } as const;
export type Job = keyof typeof JOBS;
