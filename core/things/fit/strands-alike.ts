import { finding, type Finding, literal } from '../../foundations/finding/index.ts';
import { diameterOf, type Rope } from '../gear/index.ts';
import { threshold } from '../../foundations/sources/index.ts';
import { around, exactly } from '../../foundations/units/index.ts';

/**
 * Two ropes side by side in one device: unlike diameter or sheath makes one strand run faster, so that the rope creeps
 * through the anchor and one end comes up short. Nothing is said about one folded rope, whose strands are alike.
 */
export function strandsAlike(ropeA: Rope, ropeB: Rope): Finding[] {
  const a = diameterOf(ropeA);
  const b = diameterOf(ropeB);
  const differenceMm = Math.abs(a.diameterMm.best - b.diameterMm.best);
  const limitMm = threshold('strandDifferenceMm');
  const unlikeDiameter = differenceMm >= limitMm - 1e-9;
  const unlikeSheath = ropeA.sheath !== ropeB.sheath;
  if (!unlikeDiameter && !unlikeSheath) {
    if (ropeA.sheath !== 'unknown') return [];
    return [
      finding({
        code: 'fit.strands-unlike',
        severity: 'untested',
        subject: ['ropeA', 'ropeB', 'device'],
        says: 'It is not known whether the two ropes are alike.',
        because: 'The sheath of neither is entered; of unlike sheaths one runs easier and creeps through the anchor.',
        remedy: 'Look at both sheaths and enter them.',
      }),
    ];
  }
  const reasons = [
    unlikeDiameter ? 'the diameters differ by {difference~}' : '',
    unlikeSheath ? 'the sheaths are not alike' : '',
  ].filter(Boolean);
  return [
    finding({
      code: 'fit.strands-unlike',
      severity: 'mind',
      subject: ['ropeA', 'ropeB', 'device'],
      says: 'The two strands are unlike: they will not brake alike.',
      because: `Between ${literal(ropeA.name)} and ${literal(ropeB.name)} ${reasons.join(', and ')}. The strand that runs easier creeps through the anchor.`,
      remedy: 'Hold both strands evenly, watch the joining knot and both ends, or take two ropes that are alike.',
      numbers: [
        {
          key: 'difference',
          label: 'Difference in diameter',
          quantity: 'diameterMm',
          value: around(differenceMm, Math.hypot(a.uncertaintyMm, b.uncertaintyMm)),
        },
        { key: 'limit', label: 'Unlike from', quantity: 'diameterMm', value: exactly(limitMm) },
      ],
    }),
  ];
}
