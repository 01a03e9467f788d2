import { judgedBy } from '../elements/judged-by.test-help.ts';
import * as room from './index.ts';

/** What the judges of this room say of a set-up. */
export const judged = judgedBy(room);
