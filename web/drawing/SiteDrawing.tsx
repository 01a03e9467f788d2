import { templateOf } from '@core/rigs/rig';
import { usePreferences } from '../app/preferences';
import type { DrawingProps } from './drawing-props';
import { aboveScene } from './scenes/above';
import { belowScene } from './scenes/below';
import { hangingScene } from './scenes/hanging';
import { SiteFrame, type SiteScene } from './SiteFrame';

/**
 * The place, to scale: anchor, edge, ropes with their ends, who hangs or stands where; and the force that the brake
 * hand needs.
 */
export function SiteDrawing(props: DrawingProps) {
  const { system } = usePreferences();
  const { setup, assessment } = props;
  const scene = ((): SiteScene => {
    switch (templateOf(setup).scene) {
      case 'from-below':
        return belowScene(setup, system);
      case 'device-above':
        return aboveScene(setup);
      case 'hanging':
        return hangingScene(setup, assessment.figures, system, false);
      case 'tree':
        return hangingScene(setup, assessment.figures, system, true);
    }
  })();
  return <SiteFrame {...props} scene={scene} />;
}
