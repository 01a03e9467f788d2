import {
  finding,
  type Finding,
  type FindingNumber,
  literal,
  strengthAgainst,
} from '../../foundations/finding/index.ts';
import { exactly, interval, type Interval } from '../../foundations/units/index.ts';
import { endMeasures, seatThicknessMm } from './clearance.ts';
import { alongKn, offSpineShare } from './strength-left.ts';
import type { Way } from './way.ts';
import type { WayInput } from './way-input.ts';

const SUBJECT = ['deviceConnector', 'device'] as const;
const kn = (key: string, label: string, value: Interval): FindingNumber => ({
  key,
  label,
  quantity: 'strengthKn',
  value,
});

/** Strength left along, off the spine and across, against the load of the job. */
export function loadFindings(input: WayInput, way: Way, loadKn: Interval): Finding[] {
  return [...along(input, way, loadKn), ...across(input, loadKn)];
}

function along({ connector, device }: WayInput, way: Way, loadKn: Interval): Finding[] {
  const { strengthMajorKn: major, strengthOpenKn: open } = connector;
  if (major === null) {
    return [
      finding({
        code: 'connector.strength-unknown',
        severity: 'untested',
        subject: ['deviceConnector'],
        says: `The strength of ${literal(connector.name)} is not entered.`,
        because: 'The load of this job is {load~}.',
        remedy: 'Read the marks on the spine and enter them.',
        numbers: [kn('load', 'Load of this job', loadKn)],
      }),
    ];
  }
  const share = offSpineShare(connector, device, way.end);
  const left =
    open === null ? interval(0, major, major) : interval(Math.min(open, major), alongKn(major, open, share), major);
  const severity = strengthAgainst(share > 0 ? left.best : major, loadKn);
  return [
    ...(share > 0 ? [offSpine({ connector, device }, way, left, loadKn)] : []),
    finding(
      {
        code: 'connector.job-strength',
        severity,
        subject: ['deviceConnector'],
        because: 'Along the spine {major}; the load of this job is {load~}.',
        numbers: [kn('major', 'Strength along', exactly(major)), kn('load', 'Load of this job', loadKn)],
      },
      severity === 'clear'
        ? { says: `${literal(connector.name)} is strong enough along its axis.` }
        : {
            says: `${literal(connector.name)} has little strength left for this job.`,
            remedy: 'Use a stronger connector.',
          },
    ),
  ];
}

/** A wide device holds the load off the spine, towards the gate. */
function offSpine(
  { connector, device }: Pick<WayInput, 'connector' | 'device'>,
  way: Way,
  left: Interval,
  loadKn: Interval,
): Finding {
  const { strengthMajorKn: major, strengthOpenKn: open } = connector;
  const { insideWidthMm } = endMeasures(connector, way.end);
  return finding(
    {
      code: 'connector.load-off-spine',
      subject: SUBJECT,
      says: `${literal(device.name)} is wide: the load sits away from the strong spine of ${literal(connector.name)}.`,
      numbers: [
        { key: 'wide', label: 'Device is wide', quantity: 'diameterMm', value: exactly(seatThicknessMm(device)!) },
        { key: 'inside', label: 'Inside width of this end', quantity: 'diameterMm', value: exactly(insideWidthMm!) },
        kn('left', 'Strength left', left),
        kn('major', 'Strength along', exactly(major!)),
        kn('load', 'Load of this job', loadKn),
      ],
    },
    open === null
      ? {
          severity: 'untested',
          because:
            'It is {wide} wide in an end of {inside}. The gate-open strength is not entered, so what is left is not known.',
          remedy: 'Read the marks on the spine and enter them.',
        }
      : {
          severity: strengthAgainst(left.best, loadKn.best),
          because:
            'It is {wide} wide in an end of {inside}. By the estimate {left~} is left of {major}; the load of this job is {load~}.',
          remedy: 'A rounder or narrower end keeps the load on the spine.',
        },
  );
}

/**
 * Settling across is possible, not certain: where somebody tends the device, and nobody can fall onto it, it is never
 * worse than *mind*, and the usual load counts. In a fall the upper end of the load decides, and nobody's eye helps.
 */
function across({ connector, device, load }: WayInput, loadKn: Interval): Finding[] {
  if (connector.keeper === 'yes') return [];
  const { strengthMinorKn: minor } = connector;
  if (minor === null) {
    return [
      finding({
        code: 'connector.settles-across',
        severity: 'untested',
        subject: SUBJECT,
        says: `${literal(connector.name)} can settle across, and its strength across is not entered.`,
        because: 'Nothing holds it from turning. The load of this job is {load~}.',
        remedy: 'Read the marks on the spine and enter them, or take one with an anti-rotation bar.',
        numbers: [kn('load', 'Load of this job', loadKn)],
      }),
    ];
  }
  const looked = load.tended && !load.fall;
  const computed = strengthAgainst(minor, load.fall ? loadKn.high : loadKn.best);
  const severity = computed === 'stop' && looked ? 'mind' : computed;
  return [
    finding({
      code: 'connector.settles-across',
      severity,
      subject: SUBJECT,
      says:
        severity === 'clear'
          ? `${literal(connector.name)} can turn sideways on ${literal(device.name)}; even so it is strong enough for this job.`
          : `${literal(connector.name)} can settle across ${literal(device.name)}, where little strength is left.`,
      because: 'Nothing holds it from turning. Across it holds {minor}; the load of this job is {load~}.',
      remedy:
        severity === 'clear'
          ? 'Look along its axis before each load.'
          : 'Use a connector with an anti-rotation bar or captive end, and look along its axis before each load.',
      numbers: [kn('minor', 'Strength across', exactly(minor)), kn('load', 'Load of this job', loadKn)],
    }),
  ];
}
