import type { Figures } from '@core/answers/assess';
import { slingOf, type Setup } from '@core/rigs/rig';
import { printInterval, printQuantity, type UnitSystem } from '@core/foundations/units';

type Line = [label: string, text: string];

/** The numbers of a set-up as lines of print; where several attachments have the same one, each says whose it is. */
export function figureLines(setup: Setup, figures: Figures, system: UnitSystem): Line[] {
  const each = <T>(label: string, of: Readonly<Record<string, T>>, print: (value: T) => string): Line[] => {
    const entries = Object.entries(of);
    return entries.map(([ref, value]) => {
      const owner = setup.attachments.find((a) => a.id === ref)?.label.toLowerCase();
      return [entries.length > 1 && owner ? `${label}, ${owner}` : label, print(value)];
    });
  };
  const extended = Object.fromEntries(
    Object.entries(figures.extensionMm).filter(([ref]) =>
      setup.attachments.some((a) => a.id === ref && a.end.kind === 'device' && slingOf(a) !== null),
    ),
  );
  return [
    ['Descent', figures.descentM > 0 ? printQuantity(figures.descentM, 'lengthM', system) : 'not known'],
    ...each('Shorter end over', figures.budget, (b) => printInterval(b.marginM, 'lengthM', system)),
    ...each('Extension', extended, (mm) => printInterval(mm, 'lengthMm', system)),
    ...each('Hitch reaches', figures.reach, (r) => printInterval(r.reachMm, 'lengthMm', system)),
    ...each('Gap, knee raised', figures.clearance, (c) => printInterval(c.kneeRaisedMm, 'lengthMm', system)),
    ...each('Brake hand needs', figures.brake, (b) => printInterval(b.bottomN, 'forceN', system)),
    ...each('Brake hand holds', figures.brake, (b) => printInterval(b.handN, 'forceN', system)),
  ];
}
