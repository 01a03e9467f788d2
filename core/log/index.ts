export {
  checkers,
  confirmers,
  endCheck,
  itemStatus,
  nextItem,
  sawEvent,
  withEvent,
  type ItemState,
  type ItemStatus,
} from './check-run.ts';
export {
  checkEventSchema,
  checkRecordSchema,
  usageSchema,
  WHO,
  type CheckEvent,
  type CheckRecord,
  type UseRecord,
  type Who,
} from './records.ts';
