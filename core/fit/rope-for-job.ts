import { finding, type Finding, literal } from '../finding/index.ts';
import { JOBS, ROPE_CONSTRUCTIONS, type Job, type RopeConstruction } from '../gear/index.ts';
import type { RopeInDeviceInput } from './rope-in-device-input.ts';

type Judged = 'stop' | 'mind';
type Judgements = Partial<Record<RopeConstruction, Judged>>;

/** One strand carries a person who hangs, walks or falls a little, under somebody's eye or close to the rope. */
const HANGS: Judgements = { half: 'mind', twin: 'stop' };

/**
 * Kinds of rope that do not suit a job, whatever the device takes (`en-892`, `practice-rope-kinds`). Not named: no objection. A rappel on
 * two strands takes all kinds, and a second may follow on one half rope.
 */
const UNSUITED: Readonly<Partial<Record<Job, Judgements>>> = {
  'belay-leader': { half: 'stop', twin: 'stop', 'low-stretch': 'stop' },
  // Low-stretch rope is the usual rope there; how hard it catches is told by the fall itself.
  'self-belay-top-rope': { half: 'stop', twin: 'stop' },
  'belay-top-rope': HANGS,
  'belay-second': { twin: 'stop', 'low-stretch': 'mind' },
  'belay-seconds': { twin: 'stop', 'low-stretch': 'mind' },
  lower: HANGS,
  'rappel-single': HANGS,
  'rappel-fixed': HANGS,
  ascend: HANGS,
  'tree-stationary': { half: 'stop', twin: 'stop' },
  'tree-moving': { half: 'stop', twin: 'stop' },
  'pick-off': { half: 'stop', twin: 'stop' },
};

const WHY: Readonly<Partial<Record<RopeConstruction, string>>> = {
  half: 'A half rope is made to work as one of two; alone it is cut and worn through sooner.',
  twin: 'A twin rope is made to be used as a pair, both strands together.',
  'low-stretch': 'It hardly gives: a fall onto it loads person, connector and anchor hard.',
};

/** Two strands to the same person: ropes that are made to work as a pair then do. Two seconds hang on one strand each. */
const isPair = ({ load, rope }: RopeInDeviceInput): boolean =>
  load.use === 'belay-leader' &&
  load.strands === 'two' &&
  (rope.construction === 'half' || rope.construction === 'twin');

/** Is this kind of rope, on this many strands, one to do the job with? Empty when nothing speaks against it. */
export function ropeForJob(input: RopeInDeviceInput): Finding[] {
  const { load, rope, part } = input;
  const job = load.use;
  const unsuited = UNSUITED[job];
  if (unsuited && rope.construction === 'other') {
    return [
      finding({
        code: 'fit.rope-kind-unknown',
        severity: 'untested',
        subject: [part],
        says: `It is not known what kind of rope ${literal(rope.name)} is.`,
        because: `Not every kind does for this job: ${JOBS[job].toLowerCase()}.`,
        remedy: 'Look for the mark on the rope end and enter it.',
      }),
    ];
  }
  const severity = unsuited?.[rope.construction];
  if (!severity || isPair(input)) return [];
  return [
    finding({
      code: 'fit.rope-not-for-job',
      severity,
      subject: [part],
      says: `${literal(rope.name)} is a ${ROPE_CONSTRUCTIONS[rope.construction].toLowerCase()}: ${
        severity === 'stop' ? 'not for this job' : 'mind how it is used here'
      } (${JOBS[job].toLowerCase()}).`,
      because: WHY[rope.construction]!,
      remedy:
        rope.construction === 'low-stretch'
          ? severity === 'stop'
            ? 'Take a dynamic single rope.'
            : 'Never let slack come into it, or take a dynamic rope.'
          : severity === 'stop'
            ? 'Take a rope that is made to be used alone.'
            : 'Keep it off edges and take no fall on it, or take a rope that is made to be used alone.',
    }),
  ];
}
