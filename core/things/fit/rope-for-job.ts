import { finding, type Finding, literal } from '../../foundations/finding/index.ts';
import { JOB_FACTS, JOBS, listed, ROPE_CONSTRUCTIONS, type RopeConstruction } from '../gear/index.ts';
import type { RopeInDeviceInput } from './rope-in-device-input.ts';

const WHY: Readonly<Partial<Record<RopeConstruction, string>>> = {
  half: 'A half rope is made to work as one of two; on its own it is cut or worn through more easily.',
  twin: 'A twin rope is made to be used as a pair, both strands together.',
  'low-stretch': 'It hardly stretches: a fall onto it is hard on you, the gear and the anchor.',
};

/**
 * Two strands to the same person: ropes that are made to work as a pair then do. Two seconds hang on one strand each.
 */
const isPair = ({ load, rope }: RopeInDeviceInput): boolean =>
  JOB_FACTS[load.use].pairOfRopes &&
  load.strands === 'two' &&
  (rope.construction === 'half' || rope.construction === 'twin');

/** Is this kind of rope, on this many strands, one to do the job with? Empty when nothing speaks against it. */
export function ropeForJob(input: RopeInDeviceInput): Finding[] {
  const { load, rope, part } = input;
  const job = load.use;
  const unsuited = listed(JOB_FACTS[job].unsuited);
  if (unsuited.length > 0 && rope.construction === 'other') {
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
  const severity = unsuited.find(([kind]) => kind === rope.construction)?.[1];
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
            ? 'Use a dynamic single rope.'
            : 'Keep the slack out of it: low-stretch rope catches hard. Use the rope type that your device’s instructions name.'
          : severity === 'stop'
            ? 'Use a rope that is made to be used alone.'
            : 'Keep it off edges and take no fall on it, or take a rope that is made to be used alone.',
    }),
  ];
}
