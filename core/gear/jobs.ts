export interface JobFacts {
  readonly label: string;
  /** Strands of rope in the device. */
  readonly strands: 'one' | 'two';
  /** Two people on one device. */
  readonly persons: 'one' | 'two';
  /** A person can fall onto the device, not only hang on it. */
  readonly fall: boolean;
}

const job = (
  label: string,
  strands: JobFacts['strands'],
  more: Partial<Omit<JobFacts, 'label' | 'strands'>> = {},
): JobFacts => ({
  label,
  strands,
  persons: 'one',
  fall: false,
  ...more,
});

/** Every job for which fit can be asked. A rig is drawn and assessed so far for the rappel on two strands only. */
export const JOB_FACTS = {
  'belay-top-rope': job('Belay on a top rope', 'one'),
  'belay-leader': job('Belay a leader', 'one', { fall: true }),
  'belay-second': job('Belay a second from above', 'one'),
  'belay-seconds': job('Belay two seconds from above', 'two', { persons: 'two' }),
  lower: job('Lower somebody', 'one'),
  'rappel-single': job('Rappel on one strand', 'one'),
  'rappel-double': job('Rappel on two strands', 'two'),
  'rappel-fixed': job('Rappel on a fixed line', 'one'),
  ascend: job('Ascend a rope', 'one'),
  'self-belay-top-rope': job('Self-belay on a top rope', 'one', { fall: true }),
  'tree-stationary': job('Climb a stationary line in a tree', 'one'),
  'tree-moving': job('Climb a moving, doubled line in a tree', 'one'),
  'pick-off': job('Pick off a casualty', 'one', { persons: 'two' }),
} as const satisfies Record<string, JobFacts>;

export type Job = keyof typeof JOB_FACTS;
export const JOB_KEYS = Object.keys(JOB_FACTS) as [Job, ...Job[]];
export const JOBS = Object.fromEntries(JOB_KEYS.map((key) => [key, JOB_FACTS[key].label])) as Readonly<
  Record<Job, string>
>;
