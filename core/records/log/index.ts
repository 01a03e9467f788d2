export {
  beginCheck,
  checkers,
  looksFor,
  nextItem,
  nextLook,
  nothingLeft,
  openBefore,
  stillPlanted,
  turnedFor,
  waitsFor,
} from './check-run.ts';
export { endCheck, putRight, saw, sawEvent, sawNot, withEvent } from './check-answers.ts';
export { checkEventSchema, CHECK_MODES, type CheckEvent } from './events.ts';
export { halfOf, halfSchema, hasHeard, joined, withOther, type HalfCheck } from './two-phones.ts';
export { confirmers, itemStatus, type ItemState, type ItemStatus } from './item-status.ts';
export { quickAnswers } from './pace.ts';
export { agedWords, seenIn, setupSeen, sinceCheck } from './since-check.ts';
export { agreedToday } from './agreed-today.ts';
export { checksFound, type ChecksFound, type FoundThing } from './found.ts';
export { goOn, sameRig, isAbout, setupAfter, WHOLE_BECAUSE, type GoOn } from './go-on.ts';
export { checkRecordSchema, type CheckRecord } from './check-record.ts';
export { trainingSchema, usageSchema, type TrainingRecord, type UseRecord } from './records.ts';
