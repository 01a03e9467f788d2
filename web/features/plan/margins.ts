import type { ChoiceFigures } from '@core/assess-choice';
import { printInterval, printQuantity, ratioIndependent, type UnitSystem } from '@core/units';

/** The margins of a combination, each as label and text; what is not known is left out. */
export function choiceMargins(figures: ChoiceFigures, system: UnitSystem): [string, string][] {
  const { brake, rangeMarginMm, playMm, strengthLeftKn, loadKn } = figures;
  return [
    ...(rangeMarginMm === null
      ? []
      : [['To the limit of the range', printQuantity(rangeMarginMm, 'diameterMm', system)] as [string, string]]),
    ...(brake
      ? [
          ['Hand over need', printInterval(ratioIndependent(brake.handN, brake.bottomN), 'ratio', system)] as [
            string,
            string,
          ],
        ]
      : []),
    ...(playMm === null || !Number.isFinite(playMm)
      ? []
      : [['Play of the connector', printQuantity(playMm, 'diameterMm', system)] as [string, string]]),
    ...(strengthLeftKn && loadKn
      ? [
          [
            'Strength left at worst',
            `${printQuantity(strengthLeftKn.low, 'strengthKn', system)} for ${printInterval(loadKn, 'strengthKn', system)}`,
          ] as [string, string],
        ]
      : []),
  ];
}
