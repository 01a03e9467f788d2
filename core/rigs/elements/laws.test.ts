import * as room from './index.ts';
import { judgeLaws } from './laws.test-help.ts';

judgeLaws(room, ['connector.load-off-spine', 'fit.teeth']);
