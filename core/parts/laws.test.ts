import * as room from './index.ts';
import { judgeLaws } from './laws.test-help.ts';

judgeLaws(room, {
  advice: [
    'connector.gate-locked',
    'connector.load-off-spine',
    'connector.settles-across',
    'connector.strength',
    'fit.groove',
    'fit.outside-best-range',
    'fit.teeth',
    'fit.tied',
    'fit.wet-icy',
    'friction.hand-holds',
    'geometry.ends-knotted',
    'geometry.rope-reaches',
    'hitch.grips',
    'rig.anchor-as-entered',
    'rig.block-backup',
    'rig.block-strand',
    'rig.fastening',
    'rig.knot-below',
    'rig.tie-in',
  ],
  sameWords: ['connector.load-off-spine', 'fit.teeth'],
});
