import { finding, type Finding, literal, tooMuch } from '../../foundations/finding/index.ts';
import type { Person } from '../gear/index.ts';
import { exactly, type Interval } from '../../foundations/units/index.ts';

/** The device on its extension must stay where the arm can work it. Lengths in mm from the belay loop up. */
export function armReach(climber: Pick<Person, 'name' | 'armReachMm'>, extensionMm: Interval): Finding {
  const reachMm = climber.armReachMm;
  const numbers = [
    { key: 'extension', label: 'Device above the belay loop', quantity: 'lengthMm', value: extensionMm },
    { key: 'reach', label: 'Arm’s reach', quantity: 'lengthMm', value: exactly(reachMm) },
  ] as const;
  const base = {
    subject: ['extension', 'device'] as const,
    because: 'The device is {extension~} above the belay loop; your arm reaches {reach}.',
    numbers,
  };
  const remedy = 'Shorten the extension: another knot, or double the sling.';
  const severity = tooMuch(extensionMm, { stop: reachMm });
  if (severity === 'stop') {
    return finding({
      ...base,
      code: 'geometry.device-out-of-reach',
      severity: 'stop',
      remedy,
      says: `${literal(climber.name)} cannot reach the device once it is loaded.`,
    });
  }
  if (severity !== 'clear') {
    return finding({
      ...base,
      code: 'geometry.device-at-arms-end',
      severity,
      remedy: severity === 'untested' ? `Load it and reach for it, low. ${remedy}` : remedy,
      says: 'The device may hang just beyond the arm.',
    });
  }
  return finding({
    ...base,
    code: 'geometry.device-in-reach',
    severity: 'clear',
    says: 'The device stays within arm’s reach.',
  });
}
