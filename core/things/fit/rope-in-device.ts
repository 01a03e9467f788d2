import { finding, SEVERITIES, type Finding, literal } from '../../foundations/finding/index.ts';
import { diameterOf, JOBS, ROPE_CONSTRUCTIONS, traitsOf, type Declaration } from '../gear/index.ts';
import { threshold } from '../../foundations/sources/index.ts';
import { exactly } from '../../foundations/units/index.ts';
import { accepting, inRange, isDeclared } from './declared.ts';
import { familyRules } from './family-rules.ts';
import { ropeForJob } from './rope-for-job.ts';
import type { RopeInDeviceInput } from './rope-in-device-input.ts';

/**
 * Does this rope fit this device for this job? By what the maker declares and by what its family is known for. A
 * diameter outside the declared range is *stop*, at a limit see `inRange`, no declared range is *not tested*. The
 * measured diameter beats the label (see `diameterOf`).
 */
export function ropeInDevice(input: RopeInDeviceInput): Finding[] {
  const declared = traitsOf(input.device.family).tied ? tied(input) : byDeclaration(input);
  return [declared, ...ropeForJob(input), ...familyRules(input), ...thinRopeInPlainTube(input)];
}

/** A hitch tied with the rope itself: no maker, no range. */
const tied = ({ device, part }: RopeInDeviceInput): Finding =>
  finding({
    code: 'fit.tied',
    severity: 'clear',
    subject: ['device', part],
    says: `${literal(device.name)}: tied with the rope itself, no range to keep.`,
    because: 'No device, so no maker’s limits: the carabiner and your hand decide.',
    remedy: 'Check that the brake strand does not run over the gate.',
  });

function byDeclaration(input: RopeInDeviceInput): Finding {
  const { device, rope, part } = input;
  const { use: job, strands } = input.load;
  const subject = ['device', part] as const;
  const forJob = device.declarations.filter((d) => d.job === job && d.strands === strands);
  if (forJob.length === 0) {
    return finding({
      code: 'fit.range-not-declared',
      severity: 'untested',
      subject,
      says: `No range is entered for ${literal(device.name)}: ${JOBS[job].toLowerCase()}.`,
      because: 'Without the declared range of the maker the fit cannot be judged.',
      remedy: 'Enter the range from the instructions of the device in the locker.',
    });
  }
  const fitting = accepting(input);
  if (fitting.length === 0) {
    const known = rope.construction !== 'other';
    return finding(
      { code: 'fit.kind-not-accepted', subject, because: `Declared for this job: ${kinds(forJob)}.` },
      known
        ? {
            severity: 'stop',
            says: `${literal(device.name)} is not declared for this kind of rope (${ROPE_CONSTRUCTIONS[rope.construction].toLowerCase()}).`,
            remedy: 'Use a rope of an accepted kind, or a device declared for this one.',
          }
        : {
            severity: 'untested',
            says: `It is not known what kind of rope ${literal(rope.name)} is.`,
            remedy: 'Look for the mark on the rope end and enter it.',
          },
    );
  }
  const judged = fitting.map((declaration) => againstRange(input, declaration));
  return judged.reduce((best, next) =>
    SEVERITIES.indexOf(next.severity) > SEVERITIES.indexOf(best.severity) ? next : best,
  );
}

const kinds = (declarations: readonly Declaration[]): string =>
  [...new Set(declarations.flatMap((d) => d.constructions))].map((k) => ROPE_CONSTRUCTIONS[k].toLowerCase()).join(', ');

function againstRange({ rope, device, part }: RopeInDeviceInput, declaration: Declaration): Finding {
  const { minDiameterMm, maxDiameterMm, bestMinDiameterMm, bestMaxDiameterMm } = declaration;
  const severity = inRange(rope, declaration);
  const { diameterMm, measured } = diameterOf(rope);
  const base = {
    subject: ['device', part] as const,
    because: `${measured ? 'Measured' : 'Label'} {diameter~}; declared {min} to {max}.`,
    numbers: [
      {
        key: 'diameter',
        label: measured ? 'Measured diameter' : 'Diameter on the label',
        quantity: 'diameterMm',
        value: diameterMm,
      },
      { key: 'min', label: 'Declared from', quantity: 'diameterMm', value: exactly(minDiameterMm) },
      { key: 'max', label: 'Declared to', quantity: 'diameterMm', value: exactly(maxDiameterMm) },
    ] as const,
  };
  if (diameterMm.high < minDiameterMm) {
    return finding({
      ...base,
      code: 'fit.rope-too-thin',
      severity: 'stop',
      says: `${literal(rope.name)} is too thin for ${literal(device.name)}.`,
      remedy: 'Use a thicker rope or a device declared for this diameter. A thin rope brakes less.',
    });
  }
  if (diameterMm.low > maxDiameterMm) {
    return finding({
      ...base,
      code: 'fit.rope-too-thick',
      severity: 'stop',
      says: `${literal(rope.name)} is too thick for ${literal(device.name)}.`,
      remedy: 'Use a thinner rope or a device declared for this diameter. A thick rope jams or does not feed.',
    });
  }
  if (severity !== 'clear') {
    return finding({
      ...base,
      code: 'fit.rope-near-limit',
      severity,
      says: `${literal(rope.name)} is at the limit of ${literal(device.name)}.`,
      remedy: measured
        ? 'Measure again at several places; expect braking at the edge of what the device is made for.'
        : 'Measure the rope: the label alone does not decide it.',
    });
  }
  const [bestMin, bestMax] = [bestMinDiameterMm ?? minDiameterMm, bestMaxDiameterMm ?? maxDiameterMm];
  if (diameterMm.best < bestMin || diameterMm.best > bestMax) {
    return finding({
      ...base,
      code: 'fit.outside-best-range',
      severity: 'clear',
      says: `${literal(rope.name)} is inside the range of ${literal(device.name)}, outside its best range.`,
      because: `${measured ? 'Measured' : 'Label'} {diameter~}; declared {min} to {max}, best {bestMin} to {bestMax}.`,
      remedy: diameterMm.best < bestMin ? 'Expect less braking.' : 'Expect it to feed hard.',
      numbers: [
        ...base.numbers,
        { key: 'bestMin', label: 'Best from', quantity: 'diameterMm', value: exactly(bestMin) },
        { key: 'bestMax', label: 'Best to', quantity: 'diameterMm', value: exactly(bestMax) },
      ],
    });
  }
  return finding({
    ...base,
    code: 'fit.rope-in-range',
    severity: 'clear',
    says: `${literal(rope.name)} is inside the range of ${literal(device.name)}.`,
  });
}

function thinRopeInPlainTube(input: RopeInDeviceInput): Finding[] {
  const { device, rope, part } = input;
  const { diameterMm } = diameterOf(rope);
  const limitMm = threshold('thinRopeMm');
  if (device.family !== 'tube-plain' || diameterMm.low >= limitMm || isDeclared(input)) return [];
  return [
    finding({
      code: 'fit.thin-rope-plain-tube',
      severity: 'mind',
      subject: ['device', part],
      says: `A tube without grooves brakes ${literal(rope.name)} little.`,
      because: 'It has {diameter~}; below {limit} smooth tubes are known to brake too little.',
      remedy: 'Use a tube with brake grooves, or add a second connector and keep the hitch.',
      numbers: [
        { key: 'diameter', label: 'Diameter', quantity: 'diameterMm', value: diameterMm },
        { key: 'limit', label: 'Thin below', quantity: 'diameterMm', value: exactly(limitMm) },
      ],
    }),
  ];
}
