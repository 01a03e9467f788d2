export {
  beginCheck,
  checkers,
  endCheck,
  looksFor,
  nextItem,
  nextLook,
  openBefore,
  putRight,
  sawEvent,
  withEvent,
} from './check-run.ts';
export { checkEventSchema, type CheckEvent } from './events.ts';
export { confirmers, itemStatus, type ItemState, type ItemStatus } from './item-status.ts';
export { quickAnswers } from './pace.ts';
export { agedWords, seenIn, setupSeen, sinceCheck } from './since-check.ts';
export { goOn, sameRig, isAbout, setupAfter, WHOLE_BECAUSE, type GoOn } from './go-on.ts';
export { checkRecordSchema, type CheckRecord } from './check-record.ts';
export { trainingSchema, usageSchema, type TrainingRecord, type UseRecord } from './records.ts';
