import { judgeLaws } from '../parts/laws.test-help.ts';
import * as room from './index.ts';

judgeLaws(room, {
  advice: [
    'between.cascade',
    'connector.load-off-spine',
    'connector.way-free',
    'friction.hand-above-device',
    'pick.anchor-load',
    'solo.ground',
    'tree.bridge',
  ],
  sameWords: ['connector.load-off-spine', 'solo.fall', 'solo.ground'],
});
