import { finding, type Finding } from '../finding/index.ts';
import type { Sling } from '../gear/index.ts';
import { constant, threshold } from '../sources/index.ts';
import { exactly, scale, STANDARD_GRAVITY_M_PER_S2 } from '../units/index.ts';
import type { Rig } from './setup.ts';

/** Strength left in the sling of the extension, at its girth hitch or knots, against the load of a jerky rappel. */
export function extensionStrength(
  sling: Sling,
  rig: Pick<Rig, 'extensionMethod' | 'extensionKnots'>,
  massKg: number,
): Finding {
  const subject = ['extension'] as const;
  if (sling.strengthKn === null) {
    return finding({
      code: 'rig.extension-strength-unknown',
      severity: 'untested',
      subject,
      says: `The strength of ${sling.name} is not entered.`,
      because: 'Slings after EN 566 hold 22 kN; whether this one is such a sling is not known.',
      remedy: 'Read the label and enter it.',
    });
  }
  const bent = rig.extensionMethod === 'girth' || rig.extensionKnots > 0;
  const leftKn = scale(bent ? constant('strengthLeftInKnot') : exactly(1), sling.strengthKn);
  const loadKn = (threshold('jerkFactor') * massKg * STANDARD_GRAVITY_M_PER_S2) / 1000;
  const margin = scale(leftKn, 1 / loadKn);
  const severity =
    margin.low < threshold('strengthMarginStop')
      ? 'stop'
      : margin.low < threshold('strengthMarginMind')
        ? 'mind'
        : 'clear';
  return finding({
    code: 'rig.extension-strength',
    severity,
    subject,
    says:
      severity === 'clear'
        ? 'The sling of the extension is strong enough.'
        : 'The sling of the extension is weak for this load.',
    because: `${bent ? 'At its knot it keeps {left~}' : 'It holds {left}'}, {margin~} the load with a jerk ({load}).`,
    remedy: severity === 'clear' ? '' : 'Take a stronger sling.',
    numbers: [
      { key: 'left', label: 'Strength left', quantity: 'strengthKn', value: leftKn },
      { key: 'load', label: 'Load with a jerk', quantity: 'strengthKn', value: exactly(loadKn) },
      { key: 'margin', label: 'Strength over load', quantity: 'ratio', value: margin },
    ],
  });
}
