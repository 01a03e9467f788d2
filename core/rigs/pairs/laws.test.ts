import { judgeLaws } from '../elements/laws.test-help.ts';
import * as room from './index.ts';

judgeLaws(room, ['connector.load-off-spine', 'solo.fall', 'solo.ground']);
