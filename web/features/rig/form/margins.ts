import type { Figures } from '@core/answers/assess';
import { printInterval, printQuantity, ratioIndependent, type UnitSystem } from '@core/foundations/units';

type Margins = [string, string][];
const margin = (label: string, text: string): Margins => [[label, text]];

/** What a combination has to spare at its device, each as label and text; what is not known is left out. */
export function marginsOf({ brake, clearance, budget, way }: Figures, system: UnitSystem): Margins {
  const hand = brake.main;
  const report = way.main;
  const gap = Object.values(clearance)[0];
  const length = Object.values(budget)[0];
  return [
    ...(hand
      ? margin(
          'Hand force over what is needed',
          printInterval(ratioIndependent(hand.handN, hand.bottomN), 'ratio', system),
        )
      : []),
    ...(gap ? margin('Gap, knee raised', printQuantity(gap.kneeRaisedMm.best, 'lengthMm', system)) : []),
    ...(length ? margin('Shorter end over', printQuantity(length.marginM.best, 'lengthM', system)) : []),
    ...(report && report.playMm !== null && Number.isFinite(report.playMm)
      ? margin('Play of the connector', printQuantity(report.playMm, 'diameterMm', system))
      : []),
    ...(report?.strengthLeftKn
      ? margin(
          'Strength left at worst',
          `${printQuantity(report.strengthLeftKn.low, 'strengthKn', system)} for ${printInterval(report.loadKn, 'strengthKn', system)}`,
        )
      : []),
  ];
}
