import { interval, type Interval } from '../units/index.ts';

export interface JobFacts {
  readonly label: string;
  /** Strands of rope in the device. */
  readonly strands: 'one' | 'two';
  /** Two people on one device. */
  readonly persons: 'one' | 'two';
  /** A person can fall onto the device, not only hang on it. */
  readonly fall: boolean;
  /**
   * Fall factor to reckon with, by a free fall or by slack that has crept in: 2 is a leader who falls past the belay, 0.3 much slack above a
   * second; null where the rope stays tight.
   */
  readonly fallFactor: Interval | null;
  /** Somebody's hand and eye stay on it all the time. */
  readonly tended: boolean;
  /** Rope needed over the height of the site, knots apart. */
  readonly ropePerHeight: number;
  /** The rope runs through the device while it carries a person downwards. */
  readonly goesDown: boolean;
  /** The person goes up by it, so that it must hold at every stop. */
  readonly climbs: boolean;
  /** The free rope hangs below the device and helps the hand. */
  readonly ropeBelow: boolean;
  /** A hitch backs up a device that lets the rope run. */
  readonly backup: boolean;
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
  fallFactor: null,
  tended: true,
  ropePerHeight: 1,
  goesDown: false,
  climbs: false,
  ropeBelow: false,
  backup: false,
  ...more,
});

/** Slack that is taken in late above a second: 2.9 kN at 0.1 and 4.2 at 0.3 for 80 kg on a rope of 24.1 kN. More is a fault by itself. */
const SLACK_ABOVE = interval(0, 0.1, 0.3);
/** Slack on the way back along a limb. */
const SLACK_IN_TREE = interval(0, 0.1, 0.3);

/** Every job for which fit can be asked. A whole rig is drawn and assessed so far for the rappel on two strands; of the others rope, device, connector and hitch. */
export const JOB_FACTS = {
  'belay-top-rope': job('Belay on a top rope', 'one', { ropePerHeight: 2, fallFactor: interval(0, 0.1, 0.3) }),
  'belay-leader': job('Belay a leader', 'one', { fall: true, fallFactor: interval(0.3, 0.6, 2), ropePerHeight: 2 }),
  'belay-second': job('Belay a second from above', 'one', { fallFactor: SLACK_ABOVE }),
  'belay-seconds': job('Belay two seconds from above', 'two', { persons: 'two', fallFactor: SLACK_ABOVE }),
  lower: job('Lower somebody', 'one', { goesDown: true }),
  'rappel-single': job('Rappel on one strand', 'one', { goesDown: true, ropeBelow: true, backup: true }),
  'rappel-double': job('Rappel on two strands', 'two', {
    goesDown: true,
    ropeBelow: true,
    backup: true,
    ropePerHeight: 2,
  }),
  'rappel-fixed': job('Rappel on a fixed line', 'one', { goesDown: true, ropeBelow: true, backup: true }),
  ascend: job('Ascend a rope', 'one', { climbs: true, tended: false }),
  'self-belay-top-rope': job('Self-belay on a top rope', 'one', {
    fall: true,
    fallFactor: interval(0.1, 0.3, 1),
    climbs: true,
    tended: false,
  }),
  'tree-stationary': job('Climb a stationary line in a tree', 'one', {
    climbs: true,
    tended: false,
    ropeBelow: true,
    fallFactor: SLACK_IN_TREE,
  }),
  'tree-moving': job('Climb a moving, doubled line in a tree', 'one', {
    climbs: true,
    tended: false,
    ropePerHeight: 2,
    fallFactor: SLACK_IN_TREE,
  }),
  'pick-off': job('Pick off a casualty', 'one', { persons: 'two', goesDown: true }),
} as const satisfies Record<string, JobFacts>;

export type Job = keyof typeof JOB_FACTS;
export const JOB_KEYS = Object.keys(JOB_FACTS) as [Job, ...Job[]];
export const JOBS = Object.fromEntries(JOB_KEYS.map((key) => [key, JOB_FACTS[key].label])) as Readonly<
  Record<Job, string>
>;
